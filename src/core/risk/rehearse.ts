import { type Random, seededRandom } from '@/core/schedule/random';
import { type Course, NO_MOST } from './course';

/** Evenings cooked in the head: the end of each step in each evening, in minutes of the problem. */
export interface Rehearsed {
  readonly evenings: number;
  /** ends[evening * n + step]. */
  readonly ends: Int32Array;
  readonly starts: Int32Array;
}

/** How true minutes are drawn. */
export interface Chance {
  readonly seed: number;
  /** Share of the variance that steps of the same cook, or on the same flame, have in common; 0 to 1. */
  readonly shared: number;
}

/** Common practice, no source: a slow evening is slow for all that the same hands do, and a weak flame for all that stands on it. */
export const USUAL_SHARED = 0.2;

const EVENINGS_IN_A_TURN = 200;

/**
 * Cooks a course many times as it is followed at the stove: each step begins at its hour, when what it waits for is over, its place is free and
 * hands are free; what must follow at once does so, sooner or later than planned; minutes are whole, as the clock shows them. Yields
 * between turns of some milliseconds, so that whoever waits may give up.
 */
export function* rehearseInTurns(course: Course, evenings: number, chance: Chance): Generator<number, Rehearsed> {
  const { n } = course;
  const ends = new Int32Array(evenings * n);
  const starts = new Int32Array(evenings * n);
  const cook = new Cook(course, chance);
  for (let evening = 0; evening < evenings; evening++) {
    cook.evening(starts.subarray(evening * n, (evening + 1) * n), ends.subarray(evening * n, (evening + 1) * n));
    if (evening % EVENINGS_IN_A_TURN === EVENINGS_IN_A_TURN - 1) yield evening + 1;
  }
  return { evenings, ends, starts };
}

/** The same at once. */
export function rehearse(course: Course, evenings: number, chance: Chance): Rehearsed {
  const turns = rehearseInTurns(course, evenings, chance);
  for (;;) {
    const turn = turns.next();
    if (turn.done) return turn.value;
  }
}

const QUANTILES = 1024;

/** One cook of a course, with the tables used again each evening. */
class Cook {
  private readonly random: Random;
  private readonly left: Int32Array;
  private readonly ready: Int32Array;
  private readonly pulled: Int32Array;
  private readonly heldEnd: Int32Array;
  private readonly minutes: Int32Array;
  private readonly free: Int32Array;
  private readonly ofKin: Float64Array;
  private readonly heap: Int32Array;
  private size = 0;

  constructor(
    private readonly course: Course,
    private readonly chance: Chance,
  ) {
    this.random = seededRandom(chance.seed);
    this.left = new Int32Array(course.n);
    this.ready = new Int32Array(course.n);
    this.pulled = new Int32Array(course.n);
    this.heldEnd = new Int32Array(course.n);
    this.minutes = new Int32Array(course.n);
    this.free = new Int32Array(Math.max(1, course.people));
    this.ofKin = new Float64Array(Math.max(1, course.kins));
    this.heap = new Int32Array(course.n + 1);
  }

  evening(starts: Int32Array, ends: Int32Array): void {
    const { n, planned, waitsFor, arcAt, arcTo, arcFromEnd, arcOfEnd, arcLeast, arcMost, person } = this.course;
    const { left, ready, pulled, heldEnd, minutes, free } = this;
    this.draw();
    left.set(waitsFor);
    ready.fill(-NO_MOST);
    heldEnd.fill(-NO_MOST);
    pulled.set(planned);
    free.fill(-NO_MOST);
    this.size = 0;
    for (let i = 0; i < n; i++) {
      if (left[i] === 0) this.push(i, planned[i]!);
    }
    while (this.size > 0) {
      const i = this.pop();
      let start = ready[i]!;
      if (person[i]! >= 0 && minutes[i]! > 0) start = this.takeHands(i, start);
      const end = start + minutes[i]!;
      starts[i] = start;
      ends[i] = end;
      for (let arc = arcAt[i]!; arc < arcAt[i + 1]!; arc++) {
        const to = arcTo[arc]!;
        const from = arcFromEnd[arc] === 1 ? end : start;
        const least = from + arcLeast[arc]!;
        if (arcOfEnd[arc] === 1) {
          if (least > heldEnd[to]!) heldEnd[to] = least;
        } else {
          if (least > ready[to]!) ready[to] = least;
          const most = arcMost[arc]!;
          if (most < NO_MOST && from + most < pulled[to]!) pulled[to] = from + most;
        }
        if (--left[to]! === 0) this.push(to, Math.max(ready[to]!, pulled[to]!, heldEnd[to]! - minutes[to]!));
      }
    }
  }

  /** Whoever the plan says, or whoever else is free sooner. */
  private takeHands(i: number, ready: number): number {
    const { person, could, people } = this.course;
    let who = person[i]!;
    if (this.free[who]! > ready) {
      for (let other = 0; other < people; other++) {
        if ((could[i]! & (1 << other)) !== 0 && this.free[other]! < this.free[who]!) who = other;
      }
    }
    const start = Math.max(ready, this.free[who]!);
    this.free[who] = start + this.minutes[i]!;
    return start;
  }

  /** True minutes of an evening, whole. */
  private draw(): void {
    const { n, shortest, likely, longest, kin } = this.course;
    const { shared } = this.chance;
    const together = Math.sqrt(shared);
    const alone = Math.sqrt(1 - shared);
    for (let k = 0; k < this.ofKin.length; k++) this.ofKin[k] = this.normal();
    for (let i = 0; i < n; i++) {
      const [a, c, b] = [shortest[i]!, likely[i]!, longest[i]!];
      if (b <= a) {
        this.minutes[i] = c;
        continue;
      }
      const u = kin[i]! < 0 || shared === 0 ? this.random.next() : phi(together * this.ofKin[kin[i]!]! + alone * this.normal());
      const width = b - a;
      const rise = c - a;
      const x = u * width < rise ? a + Math.sqrt(u * width * rise) : b - Math.sqrt((1 - u) * width * (b - c));
      this.minutes[i] = Math.ceil(x - 1e-9);
    }
  }

  private normal(): number {
    return NORMAL[this.random.below(QUANTILES)]!;
  }

  private push(i: number, ready: number): void {
    this.ready[i] = ready;
    const { heap } = this;
    let at = ++this.size;
    while (at > 1) {
      const up = at >> 1;
      if (!this.before(i, heap[up]!)) break;
      heap[at] = heap[up]!;
      at = up;
    }
    heap[at] = i;
  }

  private pop(): number {
    const { heap } = this;
    const top = heap[1]!;
    const last = heap[this.size--]!;
    let at = 1;
    for (;;) {
      let down = at * 2;
      if (down > this.size) break;
      if (down < this.size && this.before(heap[down + 1]!, heap[down]!)) down++;
      if (!this.before(heap[down]!, last)) break;
      heap[at] = heap[down]!;
      at = down;
    }
    heap[at] = last;
    return top;
  }

  private before(a: number, b: number): boolean {
    const by = this.ready[a]! - this.ready[b]! || this.course.planned[a]! - this.course.planned[b]! || a - b;
    return by < 0;
  }
}

/** The normal distribution function (Zelen and Severo 1964, in Abramowitz and Stegun 26.2.17; error below 7.5e-8). */
export function phi(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = 0.3989422804014327 * Math.exp((-z * z) / 2) * poly;
  return z >= 0 ? 1 - tail : tail;
}

/** Midpoints of equal shares of the normal distribution, found by halving. */
const NORMAL = Float64Array.from({ length: QUANTILES }, (_, index) => {
  let [low, high] = [-6, 6];
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (phi(middle) < (index + 0.5) / QUANTILES) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
});
