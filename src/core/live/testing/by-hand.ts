import { stepKey } from '@/core/meal/keys';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, plainGrain } from '@/core/testing/meals';
import { type LiveEvent, toldOf } from '../events';
import type { LiveStep, Session } from '../session';

// Plans put together step by step, for what a planned meal seldom shows.

/** The table of every session made here: minute 0, in milliseconds since 1970. */
export const TABLE = Date.UTC(2026, 10, 28, 18, 0);
/** The instant of a minute relative to the table. */
export const at = (minute: number) => TABLE + minute * 60_000;

export const BURNER = { id: 'burner:left', sort: 'burner', name: 'the left burner' } as const;
export const RIGHT = { id: 'burner:right', sort: 'burner', name: 'the right burner' } as const;
export const OVEN = { id: 'oven:main', sort: 'oven', name: 'the oven' } as const;
export const SHELF_OUT = { id: 'shelf', sort: 'shelf', name: 'aside' } as const;

const [COOK, HELPER] = largeKitchen.people;
export const cook = { id: COOK!.id, name: COOK!.name };
export const helper = { id: HELPER!.id, name: HELPER!.name };

/** A step named "dish/step" from one minute to another: on a burner, watched, by nobody's hands, unless it is said otherwise. */
export function planned(name: string, start: number, end: number, more: Partial<PlannedStep> = {}): PlannedStep {
  const [dishId, stepId] = name.split('/') as [string, string];
  return {
    key: stepKey(dishId, stepId),
    stepId,
    kind: 'step',
    dishId,
    dishName: dishId,
    name: stepId,
    says: '',
    part: 1,
    parts: 1,
    start,
    end,
    minutes: end - start,
    shortestEnd: end,
    longestEnd: end,
    attention: 'eyes',
    lookEvery: null,
    station: BURNER,
    choices: [],
    heat: 'low',
    celsius: null,
    vessel: null,
    person: null,
    doneWhen: '',
    cautions: [],
    amounts: [],
    why: '',
    slack: 0,
    slackSooner: 0,
    chain: [],
    after: [],
    follows: null,
    ahead: false,
    ...more,
  };
}

/** Work of someone's hands. */
export const hands = (name: string, start: number, end: number, more: Partial<PlannedStep> = {}): PlannedStep =>
  planned(name, start, end, { attention: 'hands', person: cook, heat: null, ...more });

/** What stands aside by itself. */
export const aside = (name: string, start: number, end: number, more: Partial<PlannedStep> = {}): PlannedStep =>
  planned(name, start, end, { attention: 'none', station: SHELF_OUT, heat: null, ...more });

/** An evening of such steps, and what was told. */
export function sessionOf(steps: readonly PlannedStep[], events: readonly LiveEvent[] = []): Session {
  const meal = mealOf([plainGrain()], { kitchen: largeKitchen });
  return { id: 's', meal, tableAt: TABLE, plan: { steps } as unknown as Plan, events, moved: '' };
}

let count = 0;
/** Something that was told of a step at a minute. */
export const told = (kind: 'begun' | 'done' | 'paused' | 'resumed', key: string, minute: number): LiveEvent =>
  ({ id: `e${count++}`, at: at(minute), kind, key }) as LiveEvent;

/** A step as it is under way. */
export const underWay = (step: PlannedStep, more: Partial<LiveStep> = {}): LiveStep => ({
  step,
  status: 'running',
  startAt: at(step.start),
  endAt: at(step.end),
  told: toldOf([]).get(step.key) ?? { pauses: [], water: 0 },
  ...more,
});
