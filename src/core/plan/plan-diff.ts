import type { Pin } from '@/core/meal/pin';
import { printSpan } from '@/core/plain/span';
import { clockAt } from '@/core/plain/wall-clock';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { unkeptPins } from './pins';
import type { Landing, Plan } from './plan';

/** A step that moves by less is not worth a cook's attention. */
const WORTH_TELLING = 2;
/** Of more moves than this the last are counted. */
const MOST_TOLD = 3;

/**
 * What a new plan changes for steps still to come, in one sentence. `told` says what caused it ("The cheeks have 12 min
 * more"); it opens the sentence.
 */
export function whatMoved(before: Plan, after: Plan, fixed: ReadonlySet<string>, told: string): string {
  const old = new Map(before.steps.map((step) => [step.key, step]));
  const moved = new Map<string, number>();
  for (const step of after.steps) {
    const was = old.get(step.key);
    if (!was || fixed.has(step.key)) continue;
    const shift = step.start - was.start;
    if (Math.abs(shift) < WORTH_TELLING) continue;
    const known = moved.get(step.dishName);
    if (known === undefined || Math.abs(shift) > Math.abs(known)) moved.set(step.dishName, shift);
  }
  const late = lateness(after);
  const wasLate = lateness(before);
  const ending =
    late > 0
      ? say(' The table waits until {hour}.', { hour: clockAt(after, late) })
      : wasLate > 0
        ? say(' Back on time for {hour}.', { hour: after.hour })
        : '';
  const list = [...moved].map(([dish, shift]) =>
    shift > 0
      ? say('{dish} {shift} min later', { dish, shift: Math.abs(shift) })
      : say('{dish} {shift} min earlier', { dish, shift: Math.abs(shift) }),
  );
  if (list.length === 0) return say('{told}; nothing else moved.{ending}', { told, ending });
  if (list.length === 1) return say('{told}; only this moved: {list}.{ending}', { told, list: list[0]!, ending });
  return say('{told}; moved: {list}.{ending}', { told, list: listed(list, MOST_TOLD), ending });
}

/** Minutes by which the table waits; what rounding alone can make is not worth telling. */
function lateness(plan: Plan): number {
  const late = Math.max(0, ...plan.landings.map((landing) => landing.late));
  return late < WORTH_TELLING ? 0 : late;
}

/** What a new plan changes at the table, in a sentence: which dishes land or wait otherwise, the worst first. */
export function whatLands(before: Plan, after: Plan): string {
  const changed = after.landings.flatMap((landing) => {
    const was = before.landings.find(({ dishId }) => dishId === landing.dishId);
    return was && was.ready !== landing.ready ? [{ landing, was }] : [];
  });
  const firstHand =
    Math.abs(after.firstHand - before.firstHand) < WORTH_TELLING
      ? ''
      : say(' First hand on a knife at {hour} instead of {other}.', {
          hour: clockAt(after, after.firstHand),
          other: clockAt(before, before.firstHand),
        });
  if (changed.length === 0) return say('At the table nothing changes.{firstHand}', { firstHand });
  changed.sort((a, b) => weightOf(b.landing) - weightOf(a.landing));
  const told = changed
    .slice(0, MOST_TOLD)
    .map(({ landing, was }) => say('{name}: {words}', { name: landing.dishName, words: landsLike(landing, was) }));
  const rest = changed.length - told.length;
  return `${told.join('; ')}${rest > 0 ? say('; {rest} more a little otherwise', { rest }) : ''}.${firstHand}`;
}

/** What came of moving one step by hand: where it stands, the nearest place when the wished one cannot be, and what else that moves. */
export function whatCameOf(before: Plan, after: Plan, wish: Pin): string {
  const placed = after.steps.find(({ key }) => key === wish.key);
  if (!placed) return say('The plan does not hold this step any more.');
  const was = before.steps.find(({ key }) => key === wish.key);
  const clock = (minute: number) => clockAt(after, minute);
  const name = `${placed.name.charAt(0).toUpperCase()}${placed.name.slice(1)}`;
  const elsewhere = was !== undefined && was.station.id !== placed.station.id;
  const stands = elsewhere
    ? say('on {station} at {hour}', { station: placed.station.name, hour: clock(placed.start) })
    : say('at {hour}', { hour: clock(placed.start) });
  const [unkept] = unkeptPins(after, [wish]);
  const wished = wish.unit === undefined ? undefined : after.stations.find(({ id }) => id === wish.unit)?.name;
  const told = !unkept
    ? say('{name} stands {stands}', { name, stands })
    : wished !== undefined && placed.station.id !== wish.unit
      ? say('{name} cannot stand on {wished} then; it stands on {station} at {hour}', {
          name,
          wished,
          station: placed.station.name,
          hour: clock(placed.start),
        })
      : say('{name} cannot stand at {hour}; {other} is the nearest', {
          name,
          hour: clock(wish.start ?? placed.start),
          other: clock(placed.start),
        });
  return [whatMoved(before, after, new Set([wish.key]), told), whatLands(before, after)].filter(Boolean).join(' ');
}

function weightOf({ late, waits }: Landing): number {
  return late * 1000 + waits;
}

function landsLike(landing: Landing, was: Landing): string {
  const before =
    was.late > 0
      ? say('{span} late', { span: printSpan(was.late) })
      : was.waits > 0
        ? say('a wait of {span}', { span: printSpan(was.waits) })
        : say('no wait');
  if (landing.late > 0) return say('{span} late instead of {before}', { span: printSpan(landing.late), before });
  if (landing.waits === 0) return say('straight to the table instead of {before}', { before });
  return landing.fine === 'too long'
    ? say('a wait of {waits} min instead of {before}, which is too long', { waits: landing.waits, before })
    : say('a wait of {waits} min instead of {before}', { waits: landing.waits, before });
}
