import { printClock } from '@/core/kitchen/kitchen';
import type { FoundSolution, Problem } from '@/core/schedule/problem';
import type { Compiled, Entry } from './compile';
import { readUnit } from './resources';

/** What ties one step to a later one: the later cannot begin until so many minutes after the earlier has begun. */
interface Tie {
  readonly from: string;
  readonly to: string;
  /** Minutes the earlier could slip before it pushes the later. */
  readonly gap: number;
  readonly by: 'link' | 'unit' | 'person' | 'vessel' | 'oven';
  readonly unit?: string;
}

export interface Reasons {
  readonly why: ReadonlyMap<string, string>;
  readonly slack: ReadonlyMap<string, number>;
}

/** For each step why it stands where it does and how far it could slip before the table is late. */
export function explain(
  compiled: Compiled,
  solution: FoundSolution,
  tableClock: number,
  unitName: (unit: string) => string,
): Reasons {
  const { problem, origin, entries } = compiled;
  const minutes = new Map(problem.steps.map((step) => [step.id, step.minutes]));
  const start = (id: string) => solution.starts[id]!;
  const end = (id: string) => start(id) + minutes.get(id)!;
  const clock = (minute: number) => printClock(tableClock + origin + minute);
  const ties = tiesOf(problem, solution, start, end);
  const after = groupBy(ties, (tie) => tie.from);
  const before = groupBy(ties, (tie) => tie.to);

  const lands = new Map<string, number>();
  for (const dish of compiled.dishes) {
    if (!dish.lands) continue;
    const key = [...entries].filter(([, entry]) => isStepOf(entry, dish.id, dish.lands!.step)).at(-1)?.[0];
    if (key) lands.set(key, problem.serve);
  }
  const slack = new Map<string, number>();
  const byTime = problem.steps.map((step) => step.id).sort((a, b) => start(b) - start(a) || end(b) - end(a));
  for (let pass = 0; pass < 2; pass++) {
    for (const id of byTime) {
      const table = lands.get(id);
      let least = table !== undefined ? Math.max(0, table - end(id)) : Number.POSITIVE_INFINITY;
      for (const tie of after.get(id) ?? [])
        least = Math.min(least, tie.gap + (slack.get(tie.to) ?? Number.POSITIVE_INFINITY));
      slack.set(id, least);
    }
  }

  const why = new Map<string, string>();
  for (const step of problem.steps) {
    const own = slack.get(step.id)!;
    const parts: string[] = [];
    const waitsFor = (before.get(step.id) ?? []).filter((tie) => tie.gap === 0).sort(byImportance)[0];
    if (waitsFor)
      parts.push(
        `It waits for ${described(waitsFor, waitsFor.from, step.id, entries, unitName, false)} (${clock(end(waitsFor.from))}).`,
      );
    const next = (after.get(step.id) ?? []).sort((a, b) => a.gap - b.gap || byImportance(a, b))[0];
    if (lands.has(step.id)) {
      const waits = lands.get(step.id)! - end(step.id);
      parts.push(
        waits > 0
          ? `Then it waits ${waits} min for the table.`
          : waits === 0
            ? 'It goes straight to the table.'
            : `It is ${-waits} min late for the table.`,
      );
    } else if (next) {
      parts.push(
        `${described(next, next.to, step.id, entries, unitName, true)} at ${clock(start(next.to))}${next.gap === 0 ? ', so it cannot stand later' : ''}.`,
      );
    }
    parts.push(spare(own));
    why.set(step.id, parts.filter(Boolean).join(' '));
  }
  return { why, slack };
}

function spare(slack: number): string {
  if (!Number.isFinite(slack)) return 'Nothing at the table hangs on it.';
  if (slack <= 0) return 'No minute to spare.';
  return `${slack} min to spare before the table feels it.`;
}

function byImportance(a: Tie, b: Tie): number {
  const rank = { link: 0, oven: 1, unit: 2, vessel: 3, person: 4 };
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
  unitName: (unit: string) => string,
  later: boolean,
): string {
  const entry = entries.get(other);
  const home = entries.get(own);
  const sameDish =
    home && home.kind !== 'present' && entry && entry.kind !== 'present' && dishOf(home) === dishOf(entry);
  const what =
    entry?.kind === 'part'
      ? `“${entry.part.step.name}”${sameDish ? '' : ` of the ${lower(entry.part.dish.name)}`}`
      : entry?.kind === 'warm'
        ? `warming the oven to ${entry.celsius}°`
        : 'the present';
  const unit = tie.unit ? unitName(tie.unit) : '';
  switch (tie.by) {
    case 'link':
      return later ? `${upper(what)} follows` : what;
    case 'oven':
      return later ? `The oven is wanted at another heat for ${what}` : `the oven, at another heat for ${what}`;
    case 'person':
      return later ? `${upper(unit)} ${unit === 'you' ? 'are' : 'is'} wanted for ${what}` : `the hands that do ${what}`;
    default:
      return later ? `The ${lower(unit)} is wanted for ${what}` : `the ${lower(unit)}, busy with ${what}`;
  }
}

function dishOf(entry: Exclude<Entry, { kind: 'present' }>): string {
  return entry.kind === 'part' ? entry.part.dish.id : entry.dish.id;
}

function upper(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

function groupBy(ties: readonly Tie[], key: (tie: Tie) => string): Map<string, Tie[]> {
  const groups = new Map<string, Tie[]>();
  for (const tie of ties) groups.set(key(tie), [...(groups.get(key(tie)) ?? []), tie]);
  return groups;
}

/** Links and neighbours on each unit, in the order the solution puts them. */
function tiesOf(
  problem: Problem,
  solution: FoundSolution,
  start: (id: string) => number,
  end: (id: string) => number,
): Tie[] {
  const ties: Tie[] = [];
  for (const link of problem.links) {
    const lag =
      (link.of === 'end' ? end(link.to) : start(link.to)) - (link.at === 'end' ? end(link.from) : start(link.from));
    if (start(link.to) >= start(link.from))
      ties.push({ from: link.from, to: link.to, gap: lag - link.min, by: 'link' });
  }
  const uses = new Map<string, { lo: number; hi: number; first: string; last: string }[]>();
  const use = (unit: string, lo: number, hi: number, first: string, last: string) =>
    uses.set(unit, [...(uses.get(unit) ?? []), { lo, hi, first, last }]);
  for (const step of problem.steps) {
    for (const unit of solution.units[step.id] ?? []) use(unit, start(step.id), end(step.id), step.id, step.id);
  }
  for (const hold of problem.holds) {
    use(solution.holds[hold.id]!, start(hold.from), end(hold.to) + hold.after, hold.from, hold.to);
  }
  for (const [unit, list] of uses) {
    list.sort((a, b) => a.lo - b.lo);
    list.forEach((one, index) => {
      const next = list[index + 1];
      if (!next) return;
      const { sort } = readUnit(unit);
      const by = sort === 'person' ? 'person' : sort === 'vessel' ? 'vessel' : 'unit';
      ties.push({ from: one.last, to: next.first, gap: next.lo - one.hi, by, unit });
    });
  }
  for (const state of problem.states) {
    const users = problem.steps.filter((step) => step.state?.id === state.id);
    for (const a of users) {
      for (const b of users) {
        if (a.state!.value === b.state!.value || start(b.id) < end(a.id)) continue;
        ties.push({ from: a.id, to: b.id, gap: start(b.id) - end(a.id) - state.change, by: 'oven' });
      }
    }
  }
  return ties;
}
