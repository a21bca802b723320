import { groupBy } from '@/core/plain/group-by';
import { printSpan } from '@/core/plain/span';
import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import { say } from '@/core/say/say';
import type { FoundSolution } from '@/core/schedule/problem';
import { capital, lowered } from '@/core/units/words';
import type { Compiled, Entry } from './compile';
import { EYES, HANDS } from './resources';
import { PlacedPlan, type Tie } from './ties';

/** Why each step stands where it does. Slack in minutes. */
export interface Reasons {
  readonly why: ReadonlyMap<string, string>;
  /** Minutes a step could slip before the table is late; infinite when nothing there hangs on it. */
  readonly later: ReadonlyMap<string, number>;
  /** Minutes a step could begin sooner while all else stays. */
  readonly sooner: ReadonlyMap<string, number>;
  /** The steps after a step on its tightest way to the table. */
  readonly chain: ReadonlyMap<string, readonly string[]>;
}

/** For each step why it stands where it does, the chain that ties it to the table, and how far it could move either way. */
export function explain(
  compiled: Compiled,
  solution: FoundSolution,
  table: TableHour,
  nameOf: (unit: string) => string,
): Reasons {
  const { problem, origin, entries } = compiled;
  const standing = new PlacedPlan(problem, solution);
  const minutesOf = new Map(compiled.likely.steps.map(({ id, minutes }) => [id, minutes]));
  /** When it is over by its likely minutes: the room behind it is nobody's wait. */
  const likelyEnd = (id: string) => standing.start(id) + minutesOf.get(id)!;
  const clock = (minute: number) => clockAt(table, origin + minute);
  const after = groupBy(standing.ties, (tie) => tie.from);
  const before = groupBy(standing.ties, (tie) => tie.to);

  const lands = new Map<string, number>();
  for (const dish of compiled.dishes) {
    if (!dish.lands) continue;
    const key = [...entries].filter(([, entry]) => isStepOf(entry, dish.id, dish.lands!.step)).at(-1)?.[0];
    if (key && solution.starts[key] !== undefined) lands.set(key, problem.serve);
  }
  const later = standing.slackLater(lands);
  const sooner = standing.slackSooner();
  // In mid-meal what runs is fixed too, but at the present, which is minute 0.
  const byHand = new Set(
    problem.steps
      .filter(({ earliest, latest }) => earliest !== undefined && earliest > 0 && earliest === latest)
      .map(({ id }) => id),
  );
  /** The tie by which a step reaches the table first, as the chain goes on. */
  const binding = (id: string) => {
    const own = later.get(id)!;
    if (byHand.has(id)) return null;
    if (!Number.isFinite(own) || (lands.has(id) && Math.max(0, lands.get(id)! - standing.end(id)) <= own)) return null;
    const ties = (after.get(id) ?? []).filter((tie) => tie.gap + later.get(tie.to)! <= own);
    return ties.sort(byImportance)[0] ?? null;
  };

  const why = new Map<string, string>();
  const chain = new Map<string, readonly string[]>();
  for (const { id } of problem.steps) {
    const parts: string[] = [];
    const waitsFor = (before.get(id) ?? [])
      .filter((tie) => tie.gap === 0 && tie.by !== 'most' && standing.start(tie.from) <= standing.start(id))
      .sort(byImportance)[0];
    if (waitsFor)
      parts.push(
        say('It waits for {described} ({hour}).', {
          described: described(waitsFor, waitsFor.from, id, entries, nameOf, false),
          hour: clock(standing.end(waitsFor.from)),
        }),
      );
    const next = (after.get(id) ?? [])
      .filter((tie) => tie.by !== 'most')
      .sort((a, b) => a.gap - b.gap || byImportance(a, b))[0];
    if (lands.has(id)) {
      const waits = lands.get(id)! - likelyEnd(id);
      parts.push(
        waits > 0
          ? say('Then it waits {waits} min for the table.', { waits })
          : waits === 0
            ? say('It goes straight to the table.')
            : say('It is {span} late for the table.', { span: printSpan(waits) }),
      );
    } else if (next) {
      parts.push(
        next.gap === 0
          ? say('{described} at {hour}, so it cannot stand later.', {
              described: described(next, next.to, id, entries, nameOf, true),
              hour: clock(standing.start(next.to)),
            })
          : say('{described} at {hour}.', {
              described: described(next, next.to, id, entries, nameOf, true),
              hour: clock(standing.start(next.to)),
            }),
      );
    }
    const onward = chainFrom(id, binding);
    const end = onward.at(-1);
    const pinned = end !== undefined && byHand.has(end) ? stepName(entries.get(end)) : null;
    parts.push(byHand.has(id) ? say('You put it there.') : room(later.get(id)!, sooner.get(id)!, pinned));
    why.set(id, parts.join(' '));
    chain.set(id, onward);
  }
  return { why, later, sooner, chain };
}

/** Follows the binding ties until one lands. */
function chainFrom(id: string, binding: (id: string) => Tie | null): readonly string[] {
  const passed: string[] = [];
  for (let tie = binding(id); tie && tie.to !== id && !passed.includes(tie.to); tie = binding(tie.to)) {
    passed.push(tie.to);
  }
  return passed;
}

/** How far it could move either way, and what holds it when it is neither way stopped. */
function room(later: number, sooner: number, pinned: string | null): string {
  const felt =
    pinned === null ? say('before the table feels it') : say('before {pinned}, which you put by hand', { pinned });
  const onward = !Number.isFinite(later)
    ? say('Nothing at the table hangs on it')
    : later <= 0
      ? say('No minute to spare {felt}', { felt })
      : say('{later} min to spare {felt}', { later, felt });
  const back =
    sooner <= 0
      ? say('it could not begin sooner')
      : say('it could begin {sooner} min sooner, and wait longer', { sooner });
  return `${onward}; ${back}.`;
}

function stepName(entry: Entry | undefined): string {
  return entry?.kind === 'part' ? say('“{step}”', { step: entry.part.step.name }) : say('warming the oven');
}

function byImportance(a: Tie, b: Tie): number {
  const rank = { link: 0, oven: 1, unit: 2, vessel: 3, person: 4, pool: 5, most: 6 };
  return rank[a.by] - rank[b.by];
}

function isStepOf(entry: Entry, dish: string, step: string): boolean {
  return entry.kind === 'part' && entry.part.dish.id === dish && entry.part.step.id === step;
}

function described(
  tie: Tie,
  other: string,
  own: string,
  entries: ReadonlyMap<string, Entry>,
  nameOf: (unit: string) => string,
  later: boolean,
): string {
  const entry = entries.get(other);
  const home = entries.get(own);
  const sameDish =
    home && home.kind !== 'present' && entry && entry.kind !== 'present' && dishOf(home) === dishOf(entry);
  const what =
    entry?.kind === 'part'
      ? `${say('“{step}”', { step: entry.part.step.name })}${sameDish ? '' : say(' of the {dish}', { dish: lowered(entry.part.dish.name) })}`
      : entry?.kind === 'warm'
        ? say('warming the oven to {celsius} °C', { celsius: entry.celsius })
        : say('the present');
  const unit = tie.what && tie.by !== 'pool' && tie.by !== 'oven' ? nameOf(tie.what) : '';
  switch (tie.by) {
    case 'link':
      return later ? say('{what} follows', { what: capital(what) }) : what;
    case 'oven':
      return later
        ? say('The oven is wanted at another heat for {what}', { what })
        : say('the oven, at another heat for {what}', { what });
    case 'pool':
      return later ? sayWanted(tie.what, what) : say('{pool} that {what} takes', { pool: poolName(tie.what), what });
    case 'person':
      return later
        ? unit === 'you'
          ? say('You are wanted for {what}', { what })
          : say('{person} is wanted for {what}', { person: capital(unit), what })
        : say('the hands that do {what}', { what });
    default:
      return later
        ? say('The {unit} is wanted for {what}', { unit: lowered(unit), what })
        : say('the {unit}, busy with {what}', { unit: lowered(unit), what });
  }
}

function poolName(pool: string | undefined): string {
  return pool === EYES ? say('the eyes') : pool === HANDS ? say('the hands') : say('the shelf');
}

function sayWanted(pool: string | undefined, what: string): string {
  if (pool === EYES) return say('The eyes are wanted for {what}', { what });
  return pool === HANDS
    ? say('The hands are wanted for {what}', { what })
    : say('The shelf is wanted for {what}', { what });
}

function dishOf(entry: Exclude<Entry, { kind: 'present' }>): string {
  return entry.kind === 'part' ? entry.part.dish.id : entry.dish.id;
}
