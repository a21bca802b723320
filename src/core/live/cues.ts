import { HEATED_AGAIN, TOO_LONG_ASIDE } from '@/core/dish/set-aside';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { dishesOf } from './guests';
import { nextLookAt, questionOf, toFishOut } from './looks';
import { type LiveStep, liveSteps, type Session } from './session';

/** What a call asks for: hands, a look, or at once. */
export type CueKind = 'hands' | 'look' | 'danger';

/** Something the cook is called for. It stands until it is answered. */
export interface Cue {
  /** The same for the same call at every instant: it rings once. */
  readonly id: string;
  readonly kind: CueKind;
  /** The instant from which it calls. */
  readonly at: number;
  /** As it is spoken. */
  readonly says: string;
  /** Keys of the steps it is about. */
  readonly keys: readonly string[];
}

const MINUTE = 60_000;
/** What is due within this is done on the same trip to the stove. Common practice, no source. */
const SAME_TRIP = 2 * MINUTE;
/** What has to come out of the pot rings so long before its end. */
const FISH_OUT_BEFORE = 3 * MINUTE;
/** On the heat and past its end by so much, or by a fifth of its time, it may burn or boil dry. Common practice, no source. */
const OVERDUE = 3 * MINUTE;
const OVERDUE_SHARE = 0.2;
/** Cooked food that has cooled wants the fridge: two hours in all, of which cooling has had one. */
const STILL_WARM = 45 * MINUTE;

/** All calls that stand at an instant, danger first, then by the clock; looks near one another are one trip. `steps`: what every step is doing then, where that is known already. */
export function cuesAt(session: Session, now: number, steps = liveSteps(session, now)): readonly Cue[] {
  const several = session.meal.kitchen.people.length > 1;
  const cues = [
    ...steps.flatMap((live) => ownCues(live, now, several)),
    ...stoodCues(steps),
    ...fishOutCues(session, steps, now),
  ];
  const looks = cues.filter(({ kind }) => kind === 'look').sort((a, b) => a.at - b.at);
  const due = looks.filter(({ at }) => at <= now);
  const calls = cues.filter(({ kind, at }) => kind !== 'look' && at <= now);
  const trip = due.length > 0 ? [oneTrip(looks.filter(({ at }) => at <= now + SAME_TRIP))] : [];
  const rank: Readonly<Record<CueKind, number>> = { danger: 0, hands: 1, look: 2 };
  return [...calls, ...trip].sort((a, b) => rank[a.kind] - rank[b.kind] || a.at - b.at);
}

function ownCues(live: LiveStep, now: number, several: boolean): Cue[] {
  // Of several people each is called by name.
  const whom = several && live.step.person ? live.step.person.name : 'Now';
  const { step, status, startAt, endAt, stands } = live;
  const { key, name, dishName } = step;
  const keys = [key];
  if (stands) return [];
  if (status === 'due') {
    const begin: Cue = {
      id: `begin ${key}`,
      kind: 'hands',
      at: startAt,
      says: say('Set going: {name}, {dish}. {spoken}', { name, dish: dishName, spoken: spoken(live) }).trim(),
      keys,
    };
    const late = step.duty === 'into the cold' && now > startAt + STILL_WARM;
    return late
      ? [begin, dangerOf(live, startAt + STILL_WARM, say('has stood warm too long: into the cold with it'))]
      : [begin];
  }
  const cues: Cue[] = [];
  if (live.turns) {
    const says = say('Now: {name}, {dish}. {spoken}', { name, dish: dishName, spoken: spoken(live) }).trim();
    cues.push({ id: `turn ${key}`, kind: 'hands', at: startAt, says, keys });
  }
  if (status !== 'running') return cues;
  if (step.attention === 'hands') {
    const says = `${whom}: ${name}, ${dishName}. ${spoken(live)}`.trim();
    cues.push({ id: `hands ${key}`, kind: 'hands', at: startAt, says, keys });
  }
  const byItself = step.station.sort === 'shelf' && step.attention === 'none';
  if (step.attention !== 'hands' && !byItself) {
    const look = nextLookAt(live);
    if (look !== null)
      cues.push({
        id: `look ${key} ${look}`,
        kind: 'look',
        at: look,
        says: `${dishName}, ${name}: ${questionOf(live)}`,
        keys,
      });
    cues.push({
      id: `end ${key} ${Math.round(endAt / MINUTE)}`,
      kind: 'look',
      at: endAt,
      says: `${dishName}, ${name}: ${questionOf(live)}`,
      keys,
    });
  }
  const danger = dangerAt(live);
  if (danger !== null) cues.push(dangerOf(live, danger, say('is long past its time on the heat')));
  return cues;
}

/** What a call says of a step besides its name: all that asks something of the hands. */
function spoken({ step }: LiveStep): string {
  const { says, amounts, cautions } = step;
  const into = amounts.length > 0 ? say('In go: {amounts}.', { amounts: amounts.join('; ') }) : '';
  const careful = cautions.length > 0 ? say('Careful: {cautions}', { cautions: cautions.join(' ') }) : '';
  return [says, into, careful].filter(Boolean).join(' ');
}

function dangerOf({ step }: LiveStep, at: number, words: string): Cue {
  return {
    id: `danger ${step.key} ${Math.round(at / MINUTE)}`,
    kind: 'danger',
    at,
    says: say('Careful: {dish}, {step}, {words}.', { dish: step.dishName, step: step.name, words }),
    keys: [step.key],
  };
}

function isHot({ station: { sort } }: LiveStep['step']): boolean {
  return sort === 'burner' || sort === 'oven' || sort === 'appliance';
}

/** The instant from which a step under way is in danger of burning or boiling dry; null where nothing can. */
export function dangerAt({ step, status, startAt, endAt, stands }: LiveStep): number | null {
  if (status !== 'running' || !isHot(step) || stands || step.kind === 'warm-up') return null;
  return endAt + Math.max(OVERDUE, OVERDUE_SHARE * (endAt - startAt));
}

/** What was set aside rings when it has been off the heat too long, unless it is on it again. */
function stoodCues(steps: readonly LiveStep[]): Cue[] {
  return steps.flatMap((live): Cue[] => {
    if (live.step.stepId !== HEATED_AGAIN || (live.status !== 'waiting' && live.status !== 'due')) return [];
    const before = steps.filter(({ step }) => step.dishId === live.step.dishId && step !== live.step && isHot(step));
    if (before.length === 0 || before.some(({ status }) => status !== 'done')) return [];
    const offAt = Math.max(...before.map(({ endAt }) => endAt));
    const words = say('has stood off the heat for an hour and a half: heat it through now');
    return [dangerOf(live, offAt + TOO_LONG_ASIDE * MINUTE, words)];
  });
}

/** Whole spices ring before the last heat of their dish is over. */
function fishOutCues(session: Session, steps: readonly LiveStep[], now: number): Cue[] {
  return dishesOf(session).flatMap((dish): Cue[] => {
    const things = toFishOut(dish);
    const hot = steps.filter(({ step }) => step.dishId === dish.id && isHot(step));
    const last = hot.at(-1);
    if (things.length === 0 || last?.status !== 'running') return [];
    const at = last.endAt - FISH_OUT_BEFORE;
    const { looked } = last.told;
    if (now < at || (looked !== undefined && looked >= at)) return [];
    return [
      {
        id: `fish out ${dish.id}`,
        kind: 'look',
        at,
        says: say('{dish}: fish out the {things}.', { dish: dish.name, things: listed(things) }),
        keys: [last.step.key],
      },
    ];
  });
}

function oneTrip(looks: readonly Cue[]): Cue {
  const first = looks[0]!;
  // A look and the end of the same pot ask the same.
  const asked = [...new Set(looks.map(({ says }) => says))];
  if (asked.length === 1) return first;
  return {
    ...first,
    says: say('One trip to the stove. {asked}', { asked: asked.join(' ') }),
    keys: [...new Set(looks.flatMap(({ keys }) => keys))],
  };
}

/** How urgently a call rings: once, and for danger again and louder every half minute, until it is answered. */
export function ringsAt({ kind, at }: Cue, now: number): number {
  return kind === 'danger' ? 1 + Math.floor(Math.max(0, now - at) / 30_000) : 1;
}
