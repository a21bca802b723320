import loadHighs from 'highs';
import type { Alternative, Problem } from '@/core/schedule/problem';

/** What the general solver says of a problem. */
export interface GeneralAnswer {
  readonly status: 'optimal' | 'infeasible' | 'unknown';
  readonly cost: number | null;
  readonly milliseconds: number;
}

/**
 * Solves a kitchen problem as a mixed-integer programme, written straight from docs/formats.md and sharing nothing with the
 * project's solver, with HiGHS (Huangfu and Hall 2018) as WebAssembly. Uses are taken to last at least a minute and to begin
 * before the horizon: see `isPlain`.
 */
export async function solveGenerally(problem: Problem, seconds: number): Promise<GeneralAnswer> {
  const begun = performance.now();
  const highs = await loadHighs();
  const text = programme(problem);
  if (text === null) return { status: 'infeasible', cost: null, milliseconds: performance.now() - begun };
  const result = highs.solve(text, { time_limit: seconds, mip_rel_gap: 0, mip_abs_gap: 0.5 });
  const milliseconds = Math.round(performance.now() - begun);
  if (result.Status === 'Optimal') return { status: 'optimal', cost: Math.round(result.ObjectiveValue), milliseconds };
  if (result.Status === 'Infeasible') return { status: 'infeasible', cost: null, milliseconds };
  const some = result.ObjectiveValue;
  return { status: 'unknown', cost: Number.isFinite(some) ? Math.round(some) : null, milliseconds };
}

/** Whether every use lasts at least a minute and begins before the horizon, as the programme supposes. */
export function isPlain(problem: Problem): boolean {
  const minutes = new Map(problem.steps.map((step) => [step.id, step.minutes]));
  return problem.holds.every((hold) => minutes.get(hold.from)! > 0 && (hold.after > 0 || hold.from === hold.to));
}

interface Taker {
  readonly from: number;
  readonly to: number;
  readonly tail: number;
  readonly choice: string;
  readonly units: readonly Alternative[];
}

/** The programme in the LP format of CPLEX; null when a start has no room at all. */
function programme(problem: Problem): string | null {
  const { horizon, steps } = problem;
  const at = new Map(steps.map((step, index) => [step.id, index]));
  const rules: string[] = [];
  const bounds: string[] = [];
  const whole: string[] = [];
  const binary: string[] = [];
  const objective: string[] = [];
  const big = 3 * horizon + 50;
  let names = 0;
  const fresh = (prefix: string) => `${prefix}${names++}`;
  const flag = () => {
    const name = fresh('b');
    binary.push(name);
    return name;
  };
  /** A variable that is at least 0 and costs so much a unit. */
  const paid = (cost: number) => {
    const name = fresh('t');
    objective.push(`${cost} ${name}`);
    return name;
  };
  for (const [index, step] of steps.entries()) {
    const low = Math.max(0, step.earliest ?? 0);
    const high = Math.min(horizon - step.minutes, step.latest ?? horizon);
    if (low > high) return null;
    bounds.push(`${low} <= s${index} <= ${high}`);
    whole.push(`s${index}`);
  }

  const takers: Taker[] = [];
  const choiceOf = new Map<string, { readonly name: string; readonly units: readonly Alternative[] }>();
  const choose = (key: string, units: readonly Alternative[]) => {
    const name = fresh('c');
    choiceOf.set(key, { name, units });
    units.forEach(({ cost }, k) => {
      binary.push(`${name}_${k}`);
      if (cost > 0) objective.push(`${cost} ${name}_${k}`);
    });
    rules.push(`${units.map((_, k) => `${name}_${k}`).join(' + ')} = 1`);
    return name;
  };
  for (const [index, step] of steps.entries()) {
    const own = (step.units ?? []).map((units, need) => ({ units, choice: choose(`${need} ${step.id}`, units) }));
    own.forEach((a, k) => {
      for (const b of own.slice(k + 1)) {
        a.units.forEach(({ id }, i) => {
          const j = b.units.findIndex((other) => other.id === id);
          if (j >= 0) rules.push(`${a.choice}_${i} + ${b.choice}_${j} <= 1`);
        });
      }
      if (step.minutes > 0)
        takers.push({ from: index, to: index, tail: step.minutes, choice: a.choice, units: a.units });
    });
  }
  for (const hold of problem.holds) {
    const choice = choose(`hold ${hold.id}`, hold.units);
    const from = at.get(hold.from)!;
    const to = at.get(hold.to)!;
    if (from !== to) rules.push(`s${to} - s${from} >= ${-steps[to]!.minutes}`);
    takers.push({ from, to, tail: steps[to]!.minutes + hold.after, choice, units: hold.units });
  }
  /** One of two orders, as far as all conditions are 1. */
  const apart = (a: Pick<Taker, 'from' | 'to' | 'tail'>, b: typeof a, gap: number, conditions: readonly string[]) => {
    const order = flag();
    const free = conditions.length * big;
    const terms = conditions.map((name) => ` - ${big} ${name}`).join('');
    const difference = (late: number, early: number) => (late === early ? '0 zero' : `s${late} - s${early}`);
    rules.push(`${difference(b.from, a.to)} - ${big} ${order}${terms} >= ${a.tail + gap - free - big}`);
    rules.push(`${difference(a.from, b.to)} + ${big} ${order}${terms} >= ${b.tail + gap - free}`);
  };
  takers.forEach((a, k) => {
    for (const b of takers.slice(k + 1)) {
      a.units.forEach(({ id }, i) => {
        const j = b.units.findIndex((other) => other.id === id);
        if (j >= 0) apart(a, b, 0, [`${a.choice}_${i}`, `${b.choice}_${j}`]);
      });
    }
    a.units.forEach(({ id }, i) => {
      for (const [from, to] of problem.units.find((unit) => unit.id === id)!.away ?? []) {
        if (from >= to) continue;
        const before = flag();
        rules.push(`s${a.to} + ${big} ${before} + ${big} ${a.choice}_${i} <= ${from - a.tail + 2 * big}`);
        rules.push(`s${a.from} + ${big} ${before} - ${big} ${a.choice}_${i} >= ${to - big}`);
      }
    });
  });
  for (const pair of problem.forbid ?? []) {
    const [a, b] = pair.map((choice) => {
      const known = choiceOf.get('hold' in choice ? `hold ${choice.hold}` : `${choice.need} ${choice.step}`)!;
      return `${known.name}_${known.units.findIndex(({ id }) => id === choice.unit)}`;
    });
    rules.push(a === b ? `${a} <= 0` : `${a} + ${b} <= 1`);
  }
  for (const link of problem.links) {
    const from = at.get(link.from)!;
    const to = at.get(link.to)!;
    const offset = (link.of === 'end' ? steps[to]!.minutes : 0) - (link.at === 'end' ? steps[from]!.minutes : 0);
    if (from === to) {
      if (offset < link.min || offset > (link.max ?? offset)) return null;
      if (link.soft) objective.push(`${link.soft.cost * Math.max(0, offset - link.soft.after)} one`);
      continue;
    }
    rules.push(`s${to} - s${from} >= ${link.min - offset}`);
    if (link.max !== undefined && link.max !== null) rules.push(`s${to} - s${from} <= ${link.max - offset}`);
    if (link.soft) rules.push(`${paid(link.soft.cost)} - s${to} + s${from} >= ${offset - link.soft.after}`);
  }
  for (const pool of problem.pools) {
    const users = steps.flatMap((step, index) =>
      step.minutes > 0 && (step.pools?.[pool.id] ?? 0) > 0 ? [{ index, amount: step.pools![pool.id]! }] : [],
    );
    // Whatever is in use when one begins, or when a reduction does, must fit.
    const moments = [
      ...users.map(({ index, amount }) => ({ minute: `s${index}`, own: amount, index })),
      ...(pool.away ?? []).map(([from]) => ({ minute: from, own: 0, index: -1 })),
    ];
    const minutesOf = (term: string | number) =>
      typeof term === 'number' ? { name: '', value: term } : { name: term, value: 0 };
    for (const { minute, own, index } of moments) {
      const { name, value } = minutesOf(minute);
      const inUse: string[] = [];
      for (const other of users) {
        if (other.index === index) continue;
        // begun = 1 when it has begun by then, over = 1 when it is over by then.
        const [begun, over] = [flag(), flag()];
        const gap = name === '' ? `- s${other.index}` : `${name} - s${other.index}`;
        rules.push(`${gap} - ${big} ${begun} <= ${-1 - value}`);
        rules.push(`${gap} - ${big} ${over} >= ${steps[other.index]!.minutes - value - big}`);
        inUse.push(`${other.amount} ${begun} - ${other.amount} ${over}`);
      }
      if (typeof minute === 'number') {
        const left = capacityAt(pool, minute);
        if (inUse.length > 0) rules.push(`${inUse.join(' + ')} <= ${left}`);
        continue;
      }
      if (own > pool.capacity) return null;
      if (inUse.length > 0) rules.push(`${inUse.join(' + ')} <= ${pool.capacity - own}`);
      // Together with a reduction that is under way.
      const ends = [...(pool.away ?? []).map(([from]) => from), ...(pool.away ?? []).map(([, to]) => to)];
      const cuts = [...new Set(ends)].sort((x, y) => x - y);
      cuts.slice(0, -1).forEach((from, k) => {
        const to = cuts[k + 1]!;
        const left = capacityAt(pool, from);
        if (left >= pool.capacity) return;
        const [before, after] = [flag(), flag()];
        rules.push(`${name} + ${big} ${before} <= ${from - 1 + big}`);
        rules.push(`${name} - ${big} ${after} >= ${to - big}`);
        const sum = inUse.length > 0 ? `${inUse.join(' + ')} - ` : '- ';
        rules.push(`${sum}${big} ${before} - ${big} ${after} <= ${left - own}`);
      });
    }
    if (problem.awake?.pool === pool.id && users.length > 0) {
      const first = fresh('w');
      bounds.push(`${first} free`);
      for (const { index } of users) rules.push(`${first} - s${index} <= 0`);
      rules.push(`${paid(problem.awake.cost)} + ${first} >= ${problem.serve}`);
    }
  }
  for (const state of problem.states) {
    const users = steps.flatMap((step, index) =>
      step.state?.id === state.id && step.minutes > 0 ? [{ index, value: step.state.value }] : [],
    );
    users.forEach((a, k) => {
      for (const b of users.slice(k + 1)) {
        if (a.value === b.value) continue;
        const use = (index: number) => ({ from: index, to: index, tail: steps[index]!.minutes });
        apart(use(a.index), use(b.index), state.change, []);
      }
    });
  }
  for (const { step, by, hold, early, late } of problem.ready) {
    const index = at.get(step)!;
    const end = steps[index]!.minutes;
    if (late > 0) rules.push(`${paid(late)} - s${index} >= ${end - by}`);
    if (early > 0) rules.push(`${paid(early)} + s${index} >= ${by - hold - end}`);
  }
  return [
    'Minimize',
    ` cost: ${['0 one', ...objective].join(' + ')}`,
    'Subject To',
    ...rules.map((rule, k) => ` r${k}: ${rule}`),
    ' unit: one = 1',
    ' nothing: zero = 0',
    'Bounds',
    ...bounds.map((bound) => ` ${bound}`),
    'General',
    ` ${whole.join(' ')}`,
    'Binary',
    ` ${binary.join(' ')}`,
    'End',
  ].join('\n');
}

function capacityAt(pool: Problem['pools'][number], minute: number): number {
  const away = (pool.away ?? []).reduce((sum, [from, to, by]) => sum + (from <= minute && minute < to ? by : 0), 0);
  return Math.max(0, pool.capacity - away);
}
