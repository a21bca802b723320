import { type Indexed, NO_LAG } from './indexed';
import type { Model, Placement } from './learn/model';
import type { Random } from './random';

/** Orders of uses farther apart than this need no fixing: the ones between them do it. */
const NEAR_MINUTES = 40;

/** Groups of steps that belong together: what the links and holds join, a dish as a rule. */
export function dishesOf(p: Indexed): readonly (readonly number[])[] {
  const whole = groups(p, (i, j) => p.lag[i * p.n + j]! > NO_LAG);
  const largest = Math.max(...whole.map((group) => group.length));
  // Where everything hangs together, only what hangs together closely.
  if (largest <= Math.max(12, p.n * 0.35)) return whole;
  return closelyJoined(p);
}

/** Groups of steps joined by a bounded lag or a hold. */
export function closelyJoined(p: Indexed): readonly (readonly number[])[] {
  return groups(p, (i, j) => p.lag[i * p.n + j]! > NO_LAG && p.lag[j * p.n + i]! > NO_LAG);
}

function groups(p: Indexed, joined: (i: number, j: number) => boolean): number[][] {
  const parent = Array.from({ length: p.n }, (_, i) => i);
  const find = (i: number): number => {
    let root = i;
    while (parent[root] !== root) root = parent[root]!;
    parent[i] = root;
    return root;
  };
  for (const need of p.needs) parent[find(need.from)] = find(need.to);
  for (let i = 0; i < p.n; i++) for (let j = 0; j < p.n; j++) if (i !== j && joined(i, j)) parent[find(i)] = find(j);
  const byRoot = new Map<number, number[]>();
  for (let i = 0; i < p.n; i++) byRoot.set(find(i), [...(byRoot.get(find(i)) ?? []), i]);
  return [...byRoot.values()];
}

/** Steps to set free: some dishes, a dish and its rivals, or all that goes on in a stretch of time. */
export function pickFree(
  p: Indexed,
  dishes: readonly (readonly number[])[],
  { start }: Placement,
  size: number,
  random: Random,
): Uint8Array {
  const free = new Uint8Array(p.n);
  let count = 0;
  const take = (step: number) => {
    if (free[step]) return;
    free[step] = 1;
    count++;
  };
  const kind = random.next();
  if (kind < 0.3) {
    // All that goes on around a minute.
    const middle = start[random.below(p.n)]! + random.below(30);
    const near = Array.from({ length: p.n }, (_, i) => i).sort((a, b) => away(a) - away(b));
    function away(i: number): number {
      const from = start[i]!;
      const to = from + p.minutes[i]!;
      return middle < from ? from - middle : middle > to ? middle - to : 0;
    }
    for (const step of near) {
      if (count >= size) break;
      take(step);
    }
    return free;
  }
  const first = random.below(dishes.length);
  for (const step of dishes[first]!) take(step);
  const others = dishes.map((_, k) => k).filter((k) => k !== first);
  const reach = (k: number) => Math.max(...dishes[k]!.map((step) => start[step]! + p.minutes[step]!));
  const rank = new Map(
    others.map((k) => [k, kind < 0.6 ? random.next() : Math.abs(reach(k) - reach(first)) + 40 * random.next()]),
  );
  others.sort((a, b) => rank.get(a)! - rank.get(b)!);
  for (const k of others) {
    if (count >= size) break;
    for (const step of dishes[k]!) take(step);
  }
  return free;
}

/** What a placement decides about all that is not free, as assumptions for the engine; it may move by `reach` minutes. */
export function keepTheRest(model: Model, placement: Placement, free: Uint8Array, reach: number): number[] {
  const { p, pairs, needs } = model;
  const assumptions: number[] = [];
  needs.forEach(({ need, classes }, index) => {
    if (classes.length === 1 || free[need.from] || free[need.to]) return;
    const k = classes.findIndex((each) => model.classes[each]!.units.includes(placement.unit[index]!));
    assumptions.push(2 * model.choices[index]![k]!, 1);
  });
  const value = (view: number) => {
    const variable = view >> 1;
    const at = variable === 0 ? 1 : placement.start[variable - 1]!;
    return view & 1 ? -at : at;
  };
  const order: { pair: number; way: 0 | 1; gap: number }[] = [];
  for (let pair = 0; pair < pairs.count && reach > 0; pair++) {
    const [a, b] = model.pairSteps[pair]!;
    if (free[a] || free[b]) continue;
    const way = pairs.firstIn(pair, value);
    const row = pair * 2 + way;
    const gap = value(pairs.afterOf(row)) - value(pairs.beforeOf(row)) - pairs.lagOf(row);
    if (gap < 0 || gap > NEAR_MINUTES) continue;
    order.push({ pair, way, gap });
  }
  for (const { pair, way } of order) assumptions.push(2 * pairs.orderOf(pair) + way, 1 - way);
  // The steps themselves may move with the rest, but not far.
  for (let step = 0; step < p.n; step++) {
    if (free[step]) continue;
    const view = 2 * model.startOf(step);
    const at = placement.start[step]!;
    assumptions.push(view, at - reach, view + 1, -(at + reach));
  }
  return assumptions;
}
