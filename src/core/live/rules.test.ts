import { beforeAll, describe, expect, it } from 'vitest';
import { item } from '@/core/dish/write';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { dangerAt } from './cues';
import type { LiveEvent } from './events';
import { followAlong, maySlipBy } from './follow';
import { nextLookAt, untilAfter } from './looks';
import { type LiveStep, liveSteps, moreMinutes, type Session } from './session';

// The rules of the stove to the minute: each of these numbers burns, spoils or hides something where it is off.

const MINUTE = 60_000;
const MEAL = mealOf([plainGrain()]);
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});
const step = (id: string, change: Partial<PlannedStep> = {}): PlannedStep => ({
  ...plan.steps.find(({ stepId }) => stepId === id)!,
  ...change,
});
const live = (of: PlannedStep, minutes: number, change: Partial<LiveStep> = {}): LiveStep => ({
  step: of,
  status: 'running',
  startAt: TABLE,
  endAt: TABLE + minutes * MINUTE,
  told: { pauses: [], water: 0 },
  ...change,
});
const session = (events: readonly LiveEvent[] = []): Session => ({
  id: 's',
  meal: MEAL,
  tableAt: TABLE,
  plan,
  events,
  moved: '',
});

describe('danger', () => {
  it('begins three minutes after the end, or a fifth of the time where that is more, and not sooner', () => {
    const boil = step('boil');
    expect(dangerAt(live(boil, 10))).toBe(TABLE + 13 * MINUTE);
    expect(dangerAt(live(boil, 15))).toBe(TABLE + 18 * MINUTE);
    expect(dangerAt(live(boil, 60))).toBe(TABLE + 72 * MINUTE);
  });

  it('is none off the heat, for a warming oven, for what is put aside or over', () => {
    const boil = step('boil');
    expect(dangerAt(live(step('wash'), 10))).toBeNull();
    expect(dangerAt(live({ ...boil, kind: 'warm-up' }, 10))).toBeNull();
    expect(dangerAt(live(boil, 10, { stands: true }))).toBeNull();
    expect(dangerAt(live(boil, 10, { status: 'done' }))).toBeNull();
  });
});

describe('a silent cook', () => {
  it('is followed at the board twenty seconds after the end, and never past a caution, an eye or the heat', () => {
    const wash = step('wash');
    const at = (live_: LiveStep, seconds: number) => followAlong(session(), [live_], live_.endAt + seconds * 1000);
    expect(at(live(wash, 4), 20)).not.toBeNull();
    expect(at(live(wash, 4), 19)).toBeNull();
    expect(maySlipBy(session(), live({ ...wash, cautions: ['Hot fat.'] }, 4))).toBe(false);
    expect(maySlipBy(session(), live({ ...wash, attention: 'eyes' }, 4))).toBe(false);
    expect(maySlipBy(session(), live(wash, 4, { stands: true }))).toBe(false);
    expect(maySlipBy(session(), live(step('boil'), 4))).toBe(false);
    expect(maySlipBy(session(), live(wash, 4, { status: 'waiting' }))).toBe(false);
  });

  it('is not followed where the step handles raw meat, or is none of the meal’s', () => {
    const wash = step('wash');
    const ham = item('meat', 800, 'g', 'pork shoulder');
    const dishes = MEAL.dishes.map((dish) => ({
      ...dish,
      ingredients: [...dish.ingredients, ham],
      steps: dish.steps.map((each) => (each.id === 'wash' ? { ...each, uses: ['meat'] } : each)),
    }));
    const of = { ...session(), meal: { ...MEAL, dishes } };
    expect(maySlipBy(session(), live(wash, 4))).toBe(true);
    expect(maySlipBy(of, live(wash, 4))).toBe(false);
    expect(maySlipBy(session(), live({ ...wash, dishId: 'other' }, 4))).toBe(false);
    expect(maySlipBy(session(), live({ ...wash, stepId: 'other' }, 4))).toBe(false);
  });
});

describe('more time', () => {
  it('is the later of what was planned and what was told', () => {
    const boil = step('boil');
    const begun = TABLE + boil.start * MINUTE;
    const end = begun + boil.minutes * MINUTE;
    const ends = (until: number) => {
      const events: LiveEvent[] = [
        { id: '1', at: begun, kind: 'begun', key: boil.key },
        { id: '2', at: begun + MINUTE, kind: 'not-yet', key: boil.key, until },
      ];
      return liveSteps(session(events), begun + 2 * MINUTE).find(({ step: each }) => each.key === boil.key)!.endAt;
    };
    expect(ends(end + 7 * MINUTE)).toBe(end + 7 * MINUTE);
    expect(ends(end - MINUTE)).toBe(end);
  });

  it('after a look is none early on, half for nearly and all for not there', () => {
    const cover = live(step('cover'), 20);
    const more = moreMinutes(cover.step) * MINUTE;
    expect(untilAfter('not there', cover, cover.endAt - more - 1)).toBe(cover.endAt);
    expect(untilAfter('not there', cover, cover.endAt)).toBe(cover.endAt + more);
    expect(untilAfter('nearly', cover, cover.endAt)).toBe(cover.endAt + Math.max(MINUTE, more / 2));
    expect(untilAfter('there', cover, TABLE + MINUTE)).toBe(TABLE + MINUTE);
  });

  it('a look comes so long after the last one, and none in the last minute: the end is one', () => {
    const eyed = step('cover', { attention: 'eyes', lookEvery: 5 });
    expect(nextLookAt(live(eyed, 20))).toBe(TABLE + 5 * MINUTE);
    expect(nextLookAt(live(eyed, 20, { told: { pauses: [], water: 0, looked: TABLE + 9 * MINUTE } }))).toBe(
      TABLE + 14 * MINUTE,
    );
    expect(nextLookAt(live(eyed, 6))).toBeNull();
    expect(nextLookAt(live(eyed, 7))).toBe(TABLE + 5 * MINUTE);
  });
});
