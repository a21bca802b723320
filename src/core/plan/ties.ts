import { readUnit } from '@/core/meal/keys';
import type { FoundSolution, Hold, Problem, ProblemLink, ProblemStep } from '@/core/schedule/problem';

/** What ties one step to another: `to` cannot start earlier than so many minutes after `from` has started. */
export interface Tie {
  readonly from: string;
  readonly to: string;
  /** Minutes the first could slip before it pushes the second. */
  readonly gap: number;
  /** 'most' is a maximum lag: the later of two pulls the earlier along. */
  readonly by: 'link' | 'most' | 'unit' | 'person' | 'vessel' | 'oven' | 'pool';
  /** The unit or pool it is about. */
  readonly what?: string;
}

/** A solved schedule with the questions one asks of it. */
export class PlacedPlan {
  readonly ties: readonly Tie[];
  private readonly steps: ReadonlyMap<string, ProblemStep>;

  constructor(
    readonly problem: Problem,
    readonly solution: FoundSolution,
  ) {
    this.steps = new Map(problem.steps.map((step) => [step.id, step]));
    const ties = [...this.linkTies(), ...this.unitTies(), ...this.stateTies(), ...this.poolTies()];
    // A plan moved by rehearsal, or pushed on at the stove, may stand in room that was kept: there is none to spare then, and no less than none.
    this.ties = ties.map((tie) => (tie.gap < 0 ? { ...tie, gap: 0 } : tie));
  }

  start(id: string): number {
    return this.solution.starts[id]!;
  }

  end(id: string): number {
    return this.start(id) + this.steps.get(id)!.minutes;
  }

  private linkTies(): Tie[] {
    const holds = this.problem.holds.filter(({ from, to }) => from !== to);
    return [...holds.map((hold) => this.holdTie(hold)), ...this.problem.links.flatMap((link) => this.tiesOf(link))];
  }

  /** A hold does not end before it begins. */
  private holdTie({ from, to }: Hold): Tie {
    return { from, to, gap: this.end(to) - this.start(from), by: 'link' };
  }

  private tiesOf(link: ProblemLink): readonly Tie[] {
    const { from, to } = link;
    const lag =
      (link.of === 'end' ? this.end(to) : this.start(to)) - (link.at === 'end' ? this.end(from) : this.start(from));
    const least: Tie = { from, to, gap: lag - link.min, by: 'link' };
    if (link.max === undefined || link.max === null) return [least];
    return [least, { from: to, to: from, gap: link.max - lag, by: 'most' }];
  }

  /** Neighbours on each unit, in the order the solution puts them. */
  private unitTies(): Tie[] {
    const uses = new Map<string, { lo: number; hi: number; first: string; last: string }[]>();
    const use = (unit: string, lo: number, hi: number, first: string, last: string) => {
      if (hi > lo) uses.set(unit, [...(uses.get(unit) ?? []), { lo, hi, first, last }]);
    };
    for (const { id } of this.problem.steps) {
      for (const unit of this.solution.units[id] ?? []) use(unit, this.start(id), this.end(id), id, id);
    }
    for (const hold of this.problem.holds) {
      use(this.solution.holds[hold.id]!, this.start(hold.from), this.end(hold.to) + hold.after, hold.from, hold.to);
    }
    return [...uses].flatMap(([unit, list]) => {
      const { sort } = readUnit(unit);
      const by = sort === 'person' || sort === 'vessel' ? sort : 'unit';
      list.sort((a, b) => a.lo - b.lo);
      return list.slice(1).map((next, index): Tie => {
        const one = list[index]!;
        return { from: one.last, to: next.first, gap: next.lo - one.hi, by, what: unit };
      });
    });
  }

  private stateTies(): Tie[] {
    return this.problem.states.flatMap((state) => {
      const users = this.problem.steps.filter((step) => step.state?.id === state.id && step.minutes > 0);
      return users.flatMap((a) =>
        users
          .filter((b) => a.state!.value !== b.state!.value && this.start(b.id) >= this.end(a.id))
          .map((b): Tie => {
            const gap = this.start(b.id) - this.end(a.id) - state.change;
            return { from: a.id, to: b.id, gap, by: 'oven', what: state.id };
          }),
      );
    });
  }

  /** One that must be over before another begins, because there is no room for both beside what else goes on then. */
  private poolTies(): Tie[] {
    return this.problem.pools.flatMap((pool) => {
      const users = this.usersOf(pool.id);
      const room = this.roomIn(pool.id);
      return users.flatMap((a) =>
        users
          .filter((b) => this.start(b.id) >= this.end(a.id) && a.pools![pool.id]! > room[this.start(b.id)]!)
          .map((b): Tie => {
            return { from: a.id, to: b.id, gap: this.start(b.id) - this.end(a.id), by: 'pool', what: pool.id };
          }),
      );
    });
  }

  private usersOf(pool: string): readonly ProblemStep[] {
    return this.problem.steps.filter((step) => step.minutes > 0 && (step.pools?.[pool] ?? 0) > 0);
  }

  /** What is left of a pool in each minute. */
  private roomIn(id: string): Int32Array {
    const { capacity, away } = this.problem.pools.find((pool) => pool.id === id)!;
    const room = new Int32Array(this.problem.horizon + 1).fill(capacity);
    for (const [from, to, amount] of away ?? []) {
      for (let minute = from; minute < Math.min(to, room.length); minute++) {
        room[minute] = Math.max(0, room[minute]! - amount);
      }
    }
    for (const step of this.usersOf(id)) {
      for (let minute = this.start(step.id); minute < this.end(step.id); minute++) room[minute]! -= step.pools![id]!;
    }
    return room;
  }

  /**
   * Minutes each step could slip before a step with a deadline is later than that: later ones are pushed along in their order, what
   * hangs on a step by a maximum lag is pulled along. Infinite where no deadline feels it.
   */
  slackLater(deadlines: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
    const slack = new Map<string, number>();
    for (const { id, latest } of this.problem.steps) {
      const table = deadlines.get(id);
      const own = table === undefined ? Number.POSITIVE_INFINITY : Math.max(0, table - this.end(id));
      slack.set(id, Math.min(own, latest === undefined ? Number.POSITIVE_INFINITY : latest - this.start(id)));
    }
    for (let changed = true; changed; ) {
      changed = false;
      for (const { from, to, gap } of this.ties) {
        if (slack.get(to)! + gap >= slack.get(from)!) continue;
        slack.set(from, slack.get(to)! + gap);
        changed = true;
      }
    }
    return slack;
  }

  /**
   * Minutes each step could begin sooner while all else stays where it is. Never too many; in rare cases (a hold that lasts no time,
   * a stretch that would have to be jumped over) fewer than the rules would allow.
   */
  slackSooner(): ReadonlyMap<string, number> {
    const slack = new Map(
      this.problem.steps.map(({ id, earliest }) => [id, this.start(id) - Math.max(0, earliest ?? 0)]),
    );
    const limit = (id: string, minutes: number) => slack.set(id, Math.min(slack.get(id)!, Math.max(0, minutes)));
    for (const tie of this.ties) {
      if (tie.by !== 'pool') limit(tie.to, tie.gap);
    }
    // A hold that lasts no time stands in nobody's way, but would as soon as it began sooner.
    for (const { from, to, after } of this.problem.holds) {
      if (from !== to && this.end(to) + after <= this.start(from)) limit(from, 0);
    }
    for (const { id, away } of this.problem.units) {
      for (const [, to] of away ?? []) {
        for (const step of this.usersOfUnit(id)) if (to <= this.start(step)) limit(step, this.start(step) - to);
      }
    }
    for (const pool of this.problem.pools) {
      const room = this.roomIn(pool.id);
      for (const { id, pools } of this.usersOf(pool.id)) {
        let free = this.start(id);
        const least = free - slack.get(id)!;
        while (free > least && room[free - 1]! >= pools![pool.id]!) free--;
        limit(id, this.start(id) - free);
      }
    }
    return slack;
  }

  /** The steps that begin the use of a unit. */
  private usersOfUnit(unit: string): readonly string[] {
    return [
      ...this.problem.steps.filter(({ id }) => this.solution.units[id]?.includes(unit)).map(({ id }) => id),
      ...this.problem.holds.filter(({ id }) => this.solution.holds[id] === unit).map(({ from }) => from),
    ];
  }
}
