import { type Indexed, NO_LAG } from './indexed';
import type { Placement } from './placement';
import type { Random } from './random';
import { Union } from './union';

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
  const union = new Union(p.n);
  for (const need of p.needs) union.join(need.from, need.to);
  for (let i = 0; i < p.n; i++) for (let j = 0; j < p.n; j++) if (i !== j && joined(i, j)) union.join(i, j);
  const byRoot = new Map<number, number[]>();
  for (let i = 0; i < p.n; i++) byRoot.set(union.find(i), [...(byRoot.get(union.find(i)) ?? []), i]);
  return [...byRoot.values()];
}

/** Dishes to set free: some of them, one and its rivals, or all of which something goes on in a stretch of time. */
function pickFree(
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
      for (const other of dishes.find((dish) => dish.includes(step))!) take(other);
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

const FIRST_SIZE = 12;
const LEAST_SIZE = 6;

/** Picks what to set free: more as long as pieces are solved to the end, less when they are not. */
export class PiecePicker {
  private readonly dishes: readonly (readonly number[])[];
  private size = FIRST_SIZE;

  constructor(
    private readonly p: Indexed,
    private readonly random: Random,
  ) {
    this.dishes = dishesOf(p);
  }

  /** Whether a piece is less than the whole. */
  get areSmaller(): boolean {
    return this.dishes.length > 2 && this.p.n > FIRST_SIZE;
  }

  pick(placement: Placement): Uint8Array {
    return pickFree(this.p, this.dishes, placement, this.size, this.random);
  }

  /** Hears whether a piece was solved to the end. */
  learn(solved: boolean): void {
    this.size = solved ? Math.min(this.p.n, this.size + 0.25) : Math.max(LEAST_SIZE, this.size - 0.5);
  }
}
