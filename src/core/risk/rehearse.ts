import { toEnd } from '@/core/plain/to-end';
import { seededRandom } from '@/core/schedule/random';
import { type Course, lastsFrom, NO_MOST } from './course';
import { quantile } from './duration';

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

const EVENINGS_IN_A_TURN = 500;

/** True minutes of the steps in many evenings: minutes[evening * n + step]. The same draw serves many plans, so that they are compared fairly. */
export interface Drawn {
  readonly evenings: number;
  readonly minutes: Int32Array;
}

/** Draws the true minutes of so many evenings, whole, as the clock shows them. */
export function drawMinutes(course: Course, evenings: number, { seed, shared }: Chance): Drawn {
  const { n, shortest, likely, longest, kin, kins } = course;
  const random = seededRandom(seed);
  const normal = () => NORMAL[random.below(QUANTILES)]!;
  const [together, alone] = [Math.sqrt(shared), Math.sqrt(1 - shared)];
  const minutes = new Int32Array(evenings * n);
  const ofKin = new Float64Array(kins);
  for (let evening = 0; evening < evenings; evening++) {
    for (let k = 0; k < kins; k++) ofKin[k] = normal();
    for (let i = 0; i < n; i++) {
      const [a, c, b] = [shortest[i]!, likely[i]!, longest[i]!];
      if (b <= a) {
        minutes[evening * n + i] = c;
        continue;
      }
      const u = kin[i]! < 0 || shared === 0 ? random.next() : phi(together * ofKin[kin[i]!]! + alone * normal());
      minutes[evening * n + i] = Math.ceil(quantile(a, c, b, u) - 1e-9);
    }
  }
  return { evenings, minutes };
}

/**
 * Cooks a course as it is followed at the stove: each step begins at its hour, when what it waits for is over, its place is free and hands are
 * free; what must follow at once does so, sooner or later than planned; minutes are whole, as the clock shows them. `onEvening` hears
 * the starts and ends of each evening, and may say that it has heard enough.
 */
export function cookEach(
  course: Course,
  { evenings, minutes }: Drawn,
  onEvening: (ends: Int32Array, starts: Int32Array, evening: number) => boolean,
): void {
  const { n } = course;
  const cook = new Cook(course);
  const [starts, ends] = [new Int32Array(n), new Int32Array(n)];
  for (let evening = 0; evening < evenings; evening++) {
    cook.evening(minutes.subarray(evening * n, (evening + 1) * n), starts, ends);
    if (!onEvening(ends, starts, evening)) return;
  }
}

/** All evenings, in turns of some milliseconds, so that whoever waits may give up; yields how many are cooked. */
export function* rehearseInTurns(course: Course, drawn: Drawn): Generator<number, Rehearsed> {
  const { evenings, minutes } = drawn;
  const { n } = course;
  const all = { evenings, starts: new Int32Array(evenings * n), ends: new Int32Array(evenings * n) };
  for (let from = 0; from < evenings; from += EVENINGS_IN_A_TURN) {
    const some = Math.min(EVENINGS_IN_A_TURN, evenings - from);
    cookEach(
      course,
      { evenings: some, minutes: minutes.subarray(from * n, (from + some) * n) },
      (ends, starts, evening) => {
        all.ends.set(ends, (from + evening) * n);
        all.starts.set(starts, (from + evening) * n);
        return true;
      },
    );
    yield from + some;
  }
  return all;
}

/** A schedule by likely minutes as it is followed: when each step begins, with whose hands and where (positions in the course, -1 for none). */
export interface Followed {
  readonly starts: Int32Array;
  readonly person: Int32Array;
  readonly place: Int32Array;
}

/**
 * What comes of a course by likely minutes when each step begins at its hour or as soon after as it can, everything in its order: with the people and
 * on the burners that were meant, or with others where those are not free.
 */
export function followed(course: Course, as: 'meant' | 'helped'): Followed {
  const { n } = course;
  const none = new Int32Array(n);
  const cook = new Cook(as === 'helped' ? course : { ...course, could: none, placeCould: none });
  const starts = new Int32Array(n);
  cook.evening(Int32Array.from(course.likely), starts, new Int32Array(n));
  return { starts, person: cook.whose, place: cook.where };
}

/** The same at once. */
export function rehearse(course: Course, drawn: Drawn): Rehearsed {
  return toEnd(rehearseInTurns(course, drawn));
}

const QUANTILES = 1024;

/** One cook of a course, with the tables used again each evening. */
class Cook {
  /** Whose hands and which place each step had on the last evening. */
  readonly whose: Int32Array;
  readonly where: Int32Array;
  private readonly left: Int32Array;
  private readonly ready: Int32Array;
  private readonly pulled: Int32Array;
  private readonly heldEnd: Int32Array;
  private readonly free: Int32Array;
  private readonly taken: Int32Array;
  private readonly heap: Int32Array;
  private minutes: Int32Array;
  private size = 0;

  constructor(private readonly course: Course) {
    this.whose = course.person.slice();
    this.where = course.place.slice();
    this.left = new Int32Array(course.n);
    this.ready = new Int32Array(course.n);
    this.pulled = new Int32Array(course.n);
    this.heldEnd = new Int32Array(course.n);
    this.minutes = this.left;
    this.free = new Int32Array(Math.max(1, course.people));
    this.taken = new Int32Array(Math.max(1, course.places));
    this.heap = new Int32Array(course.n + 1);
  }

  evening(minutes: Int32Array, starts: Int32Array, ends: Int32Array): void {
    this.minutes = minutes;
    const { n, planned, pulledTo, notBefore, waitsFor, arcAt, arcTo, arcFromEnd, arcOfEnd, arcLeast, arcMost } =
      this.course;
    const { left, ready, pulled, heldEnd, free } = this;
    left.set(waitsFor);
    ready.fill(-NO_MOST);
    heldEnd.fill(-NO_MOST);
    pulled.set(pulledTo);
    free.fill(-NO_MOST);
    this.taken.fill(-NO_MOST);
    this.size = 0;
    for (let i = 0; i < n; i++) {
      if (left[i] === 0) this.push(i, Math.max(pulledTo[i]!, notBefore[i]!));
    }
    let cooked = 0;
    while (this.size > 0) {
      const i = this.pop();
      cooked++;
      let start = ready[i]!;
      if (minutes[i]! > 0) start = this.take(i, start);
      const end = start + this.lasts(i, start);
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
        if (--left[to]! === 0)
          this.push(to, Math.max(ready[to]!, pulled[to]!, notBefore[to]!, heldEnd[to]! - minutes[to]!));
      }
    }
    if (cooked === n) return;
    // Where hours overlap by now the order may go in a circle: what is in it begins at its hour.
    for (let i = 0; i < n; i++) {
      if (left[i] === 0) continue;
      starts[i] = Math.max(ready[i]!, planned[i]!);
      ends[i] = starts[i]! + minutes[i]!;
    }
  }

  /** The hands and the burner that the plan says, or others that are free sooner; the minute from which both are there. */
  private take(i: number, ready: number): number {
    const { person, could, people, breath, place, placeCould, places, fixed } = this.course;
    if (fixed[i] === 1) {
      const end = ready + this.lasts(i, ready);
      if (person[i]! >= 0) this.free[person[i]!] = end + breath[i]!;
      if (place[i]! >= 0) this.taken[place[i]!] = end;
      return ready;
    }
    const who = soonest(this.free, person[i]!, could[i]!, people, ready);
    const where = soonest(this.taken, place[i]!, placeCould[i]!, places, ready);
    const start = Math.max(ready, who < 0 ? ready : this.free[who]!, where < 0 ? ready : this.taken[where]!);
    const end = start + this.lasts(i, start);
    if (who >= 0) this.free[who] = end + breath[i]!;
    if (where >= 0) this.taken[where] = end;
    this.whose[i] = who;
    this.where[i] = where;
    return start;
  }

  /** Minutes that a step lasts which begins at a minute: what fills the time until its hour as long as it has to. */
  private lasts(i: number, start: number): number {
    return lastsFrom(this.course, i, start, this.minutes[i]!);
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
    const { fixed, planned } = this.course;
    // What is under way has its hands and its burner before anything that is to begin at that minute.
    const by = this.ready[a]! - this.ready[b]! || fixed[b]! - fixed[a]! || planned[a]! - planned[b]! || a - b;
    return by < 0;
  }
}

/** The one that is meant, or one of the others where that is not free in time. */
function soonest(free: Int32Array, meant: number, could: number, all: number, ready: number): number {
  if (meant < 0 || free[meant]! <= ready) return meant;
  let best = meant;
  for (let other = 0; other < all && other < 31; other++) {
    if ((could & (1 << other)) !== 0 && free[other]! < free[best]!) best = other;
  }
  return best;
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
