import type { Refusal } from '@/core/dish/check';
import { nameOfUnit } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import type { Pin } from '@/core/meal/pin';
import { bare, own } from '@/core/plain/record';
import { courseOf } from '@/core/risk/course';
import { pushed } from '@/core/risk/rehearse';
import { ROOM_SHARE } from '@/core/risk/room';
import { withinLags } from '@/core/risk/within-lags';
import { say } from '@/core/say/say';
import { type Conflict, type FoundSolution, isFound, type NoSolution, type Schedule } from '@/core/schedule/problem';
import { type CancelSignal, type SolveOptions, solve } from '@/core/schedule/solve';
import { validate } from '@/core/schedule/validate';
import { listed } from '@/core/units/words';
import { type Compiled, type CompileOptions, compile } from './compile';
import { type Keeper, keepingWarm, keptFirst, landsBetter, NEARLY_ALL } from './keeping-warm';
import { keptUntilTable, WARM_UNTIL } from './kept-until';
import { LONGEST_PLAN } from './longest';
import { oddsOf, rehearsedPlan } from './odds';
import { pinAttempts } from './pins';
import { knownPlan, type Odds, type Plan } from './plan';
import { rolesIn } from './plan-course';
import { lossOfEvenings, polishedInRounds } from './polish';
import { readPlan, sketchOf, withOdds } from './read';
import { EYES, HANDS, shelvesOf } from './resources';
import { COST } from './weights';

/** A plan, or why there is none. */
export type PlanResult =
  | { readonly ok: true; readonly plan: Plan }
  | {
      readonly ok: false;
      readonly refusals: readonly Refusal[];
      /** The time ended before it was known whether there is a plan: more of it may bring one. */
      readonly undecided?: true;
    };

/** Circumstances and limits of planning. */
export interface PlanOptions extends Omit<CompileOptions, 'pins'> {
  readonly solve: SolveOptions;
  /** A pin under the hand: it gives way before the meal's own pins do. */
  readonly held?: Pin;
}

/**
 * Plans a meal: compiles it, solves it, reads the plan back. `onImprove` gets each better plan on the way. A meal that
 * cannot be planned comes back as refusals in a cook's words. Pins that cannot be kept are kept as nearly as can be, each attempt in
 * its own time limit; see `unkeptPins`. A plan may keep dishes warm until the table of its own accord: `mealAsPlanned` is the meal with that.
 */
export async function planMeal(
  meal: Meal,
  options: PlanOptions,
  onImprove?: (plan: Plan) => void,
  signal?: CancelSignal,
): Promise<PlanResult> {
  const { now, seconds = 5 } = options.solve;
  const until = now() + 1000 * (LONGEST_PLAN * seconds + LEAST_SECONDS);
  const end: CancelSignal = {
    get aborted() {
      return signal?.aborted === true || now() >= until;
    },
  };
  const mayKeep = meal.sureness !== 'short' && !options.progress && !options.held;
  if (!mayKeep) return planAsAsked(meal, options, onImprove, end);
  const keeper = keeperOf(options, end);
  const first = await planAsSet(meal, options, onImprove, end);
  // Whatever else is tried takes longer, and seldom helps a kitchen as full as that.
  const kept = first.ok && lossOf(first, options) > HARDLY_LANDS ? await keptFirst(meal, keeper) : null;
  if (kept?.odds && kept.odds.good >= NEARLY_ALL) return { ok: true, plan: kept };
  const asked = await orLaidOutLater(first, meal, options, onImprove, end);
  if (!asked.ok) return kept ? { ok: true, plan: kept } : asked;
  const best = kept && landsBetter(kept, asked.plan) ? kept : asked.plan;
  return { ...asked, plan: await keepingWarm(meal, best, keeper) };
}

/** Where so many evenings go badly by a first plan, before its hours are moved, what waits in it is kept warm first of all. */
const HARDLY_LANDS = 0.6;

/** Whoever gives next to no time still gets the first plan. */
const LEAST_SECONDS = 1;

/** How meals with something kept warm are looked at and planned, each in a share of the time. */
function keeperOf(options: PlanOptions, end: CancelSignal): Keeper {
  const { seconds = 5 } = options.solve;
  const within = (share: number) => ({
    ...options,
    solve: { ...options.solve, seconds: seconds * share, explain: false },
  });
  return {
    look: async (meal, share) => {
      const look = await planAsSet(meal, within(share), undefined, end);
      return look.ok ? lossOf(look, options) : null;
    },
    sketch: async (meal, share, room) => {
      const bare = room === 'no room' ? { roomShare: 0 } : {};
      const sketch = await planAsSet(meal, { ...within(share), ...bare }, undefined, end);
      return sketch.ok ? sketch.plan() : null;
    },
    plan: async (meal, share) => {
      const result = await planAsAsked(meal, within(share), undefined, end);
      return result.ok ? result.plan : null;
    },
    isOver: () => end.aborted,
  };
}

async function planAsAsked(
  meal: Meal,
  options: PlanOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<PlanResult> {
  return orLaidOutLater(await planAsSet(meal, options, onImprove, signal), meal, options, onImprove, signal);
}

/** Of the time for a plan so much is for one that does not lay all out first, where there is a plan that does. */
const SHARE_OF_ANOTHER = 0.5;

/** What was planned with its hours moved, or a plan in which not all is laid out first, where that lands sooner. */
async function orLaidOutLater(
  first: Attempt,
  meal: Meal,
  options: PlanOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<PlanResult> {
  const wants = meal.layOutFirst !== false && !options.progress && !signal?.aborted;
  if (!wants || (first.ok && latenessOf(first.plan()) === 0)) return finished(first, options, signal);
  const share = first.ok ? SHARE_OF_ANOTHER : 1;
  const { seconds = 5 } = options.solve;
  // Where hands are too few to lay all out first, what keeps may be prepared in the last hour after all.
  const second = await planAsSet(
    { ...meal, layOutFirst: false },
    { ...options, solve: { ...options.solve, seconds: share * seconds, explain: false } },
    (plan) => {
      if (!first.ok || latenessOf(plan) < latenessOf(first.plan())) onImprove?.({ ...plan, lastHourOpen: true });
    },
    signal,
  );
  const isBetter = second.ok && (!first.ok || latenessOf(second.plan()) < latenessOf(first.plan()));
  const result = await finished(isBetter ? second : first, options, signal);
  return isBetter && result.ok ? { ...result, plan: { ...result.plan, lastHourOpen: true } } : result;
}

/** A plan with what it is read from. */
interface Made {
  readonly ok: true;
  /** Read when it is first asked for: of two plans that are compared one is never looked at. */
  readonly plan: () => Plan;
  readonly meal: Meal;
  readonly compiled: Compiled;
  readonly solution: FoundSolution;
  /** Where it was rehearsed on the way. */
  readonly odds?: (() => Odds) | undefined;
  /** Another plan of the same meal, which looked worse before hours were moved. */
  readonly other?: Made;
}

type Attempt = Made | Extract<PlanResult, { readonly ok: false }>;

function madeOf(meal: Meal, compiled: Compiled, solution: FoundSolution): Made {
  return { ok: true, plan: once(() => readPlan(meal, compiled, solution)), meal, compiled, solution };
}

function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}

/** Evenings that the odds of a plan are taken from: before an evening, and with guests waiting. */
const EVENINGS = 1000;
const EVENINGS_AT_THE_STOVE = 200;

/** The plan moved to where more evenings land, with its odds. */
async function finished(made: Attempt, options: PlanOptions, signal: CancelSignal | undefined): Promise<PlanResult> {
  if (!made.ok) return made;
  const { meal } = made;
  const { seed = 1 } = options.solve;
  const quick = options.progress !== undefined || options.held !== undefined;
  const leans = meal.sureness !== 'short' && !quick && !signal?.aborted;
  const { compiled, solution } = leans ? await surest(made, options, signal) : made;
  const isAsMade = solution === made.solution;
  const plan = isAsMade ? made.plan() : readPlan(meal, compiled, solution);
  const known = isAsMade ? made.odds?.() : undefined;
  const odds =
    known ?? oddsOf(compiled, plan, { evenings: quick ? EVENINGS_AT_THE_STOVE : EVENINGS, seed, causes: !quick });
  if (!odds) return { ok: true, plan };
  return { ok: true, plan: withOdds(plan, odds, meal, compiled) };
}

/** As many evenings as there is time for at the stove, of a plan that is not put into words for it. */
function rehearsedInBrief({ compiled, solution }: Made, seed: number) {
  return rehearsedPlan(compiled, sketchOf(compiled, solution), {
    evenings: EVENINGS_AT_THE_STOVE,
    seed,
    causes: false,
  });
}

function latenessOf({ landings }: Plan): number {
  return Math.max(0, ...landings.map(({ late }) => late));
}

async function planAsSet(
  meal: Meal,
  options: PlanOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<Attempt> {
  const attempts = options.progress ? [undefined] : pinAttempts(meal.pins ?? [], options.held);
  for (const [index, pins] of attempts.entries()) {
    const last = index === attempts.length - 1;
    const chosen = { ...options, ...(pins ? { pins } : {}) };
    const result = await attemptPlan(meal, chosen, last, onImprove, signal);
    if (result === null || (!result.ok && !last && !signal?.aborted)) continue;
    if (!result.ok || options.progress || options.held) return result;
    return keptToTheTable(onItsFlames(await tryOtherFlames(result, chosen, onImprove, signal), chosen), chosen);
  }
  throw new Error('There is always a last attempt.');
}

/** Each slower burner gets so many seconds, and all together no more than this share of the time. */
const SECONDS_A_FLAME = 1;
const SHARE_OF_FLAMES = 0.5;
const FLAME_PATIENCE = 40;
/** A gain smaller than this is not worth another burner. */
const WORTH_ANOTHER = 2;

/**
 * A pot comes to the boil as fast as its burner lets it, and the plan counts on the burner that suits it best, or a quicker one. Where
 * that one is busy, waiting longer on a slower one may serve better: each is tried for real, and kept when it does.
 */
async function tryOtherFlames(
  made: Made,
  options: PlanOptions & CompileOptions,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<Made> {
  const { meal } = made;
  let best = made;
  let flames = new Map(options.flames);
  const { now, seconds = 5 } = options.solve;
  const until = now() + 1000 * SHARE_OF_FLAMES * seconds;
  for (const [key, unit] of slowerFlames(meal, options)) {
    if (now() >= until || signal?.aborted) break;
    const tried = new Map(flames).set(key, unit);
    const compiled = compile(meal, { ...options, flames: tried });
    if (!compiled.ok) continue;
    const start = knownSchedule(compiled, { known: knownPlan(best.plan()) });
    const limits = { seconds: Math.min(SECONDS_A_FLAME, seconds / 4), patience: FLAME_PATIENCE, explain: false };
    const solution = await solve(compiled.problem, { ...options.solve, ...limits, start }, undefined, signal);
    if (!isFound(solution) || solution.cost > best.solution.cost - WORTH_ANOTHER) continue;
    flames = tried;
    best = { ...madeOf(meal, compiled, solution), ...(made.other ? { other: made.other } : {}) };
    onImprove?.(best.plan());
  }
  return best;
}

/**
 * A plan in which every boil takes as long as on the burner it came to stand on, which may be quicker than the one that was counted on: it ends when
 * it did. At the stove it would be reckoned so, and begun later than the plan said.
 */
function onItsFlames(made: Made, options: CompileOptions): Made {
  const { meal, compiled, solution } = made;
  const flames = flamesOf(made, options);
  const exact = flames.size > 0 ? compile(meal, { ...options, flames }) : null;
  if (!exact?.ok) return made;
  const counted = new Map(compiled.likely.steps.map(({ id, minutes }) => [id, minutes]));
  const starts = bare(
    exact.likely.steps.map(({ id, minutes }) => [id, solution.starts[id]! + counted.get(id)! - minutes] as const),
  );
  if (exact.likely.steps.every(({ id }) => starts[id] === solution.starts[id])) return made;
  const { faults, cost } = validate(exact.likely, { ...solution, starts });
  if (faults.length > 0) return made;
  const { other } = made;
  return {
    ...madeOf(meal, exact, { ...solution, starts, cost, bound: 0, status: 'feasible' }),
    ...(other ? { other: onItsFlames(other, options) } : {}),
  };
}

/** The burner that each step that comes to the boil stands on in a plan. */
function flamesOf({ compiled, solution }: Made, options: CompileOptions): ReadonlyMap<string, string> {
  const flames = new Map(options.flames);
  for (const [key, entry] of compiled.entries) {
    const unit = own(solution.units, key)?.[0];
    if (entry.kind === 'part' && entry.part.flames && unit !== undefined) flames.set(key, unit);
  }
  return flames;
}

/** A plan in which what is kept warm is so until shortly before the table, where there is a place for it and it bears that; or at least until it waits well. */
function keptToTheTable(made: Made, options: CompileOptions): Made {
  const { meal, compiled, solution, other } = made;
  const rest = other ? { other: keptToTheTable(other, options) } : {};
  let best = { ...made, ...rest };
  let keeps: ReadonlyMap<string, number> = new Map();
  const wanted = [
    ...keptUntilTable(compiled, solution, { well: WARM_UNTIL }),
    ...keptUntilTable(compiled, solution, {}),
  ];
  for (const [key, minutes] of wanted) {
    if (keeps.has(key)) continue;
    const tried = new Map(keeps).set(key, minutes);
    const exact = compile(meal, { ...options, flames: flamesOf(made, options), keeps: tried });
    const longer = exact.ok ? somewhere(exact, best.solution, key) : null;
    if (!exact.ok || !longer) continue;
    keeps = tried;
    best = { ...madeOf(meal, exact, longer), ...rest };
  }
  return best;
}

/** The solution where a step stands where it did, or on another burner that would do; null where no rule allows either. */
function somewhere({ likely }: Compiled, solution: FoundSolution, key: string): FoundSolution | null {
  const [own = []] = likely.steps.find(({ id }) => id === key)?.units ?? [];
  const others = own.map(({ id }) => ({ ...solution, units: { ...solution.units, [key]: [id] } }));
  for (const tried of [solution, ...others]) {
    const { faults, cost } = validate(likely, tried);
    if (faults.length === 0) return { ...tried, cost, bound: 0, status: 'feasible' };
  }
  return null;
}

/** Steps that come to the boil, each with the burners on which that takes longer than the plan counts on. */
function slowerFlames(meal: Meal, options: CompileOptions): readonly (readonly [key: string, unit: string])[] {
  const compiled = compile(meal, options);
  if (!compiled.ok) return [];
  return [...compiled.entries.values()].flatMap((entry) =>
    entry.kind === 'part' ? (entry.part.flames?.slow ?? []).map((unit) => [entry.part.key, unit] as const) : [],
  );
}

/** One attempt; null when it has no plan and is not the last, so that nobody needs to know why. */
async function attemptPlan(
  meal: Meal,
  options: PlanOptions & CompileOptions,
  last: boolean,
  onImprove: ((plan: Plan) => void) | undefined,
  signal: CancelSignal | undefined,
): Promise<Attempt | null> {
  const compiled = compile(meal, options);
  if (!compiled.ok) return compiled;
  const known = options.known ? knownSchedule(compiled, options) : undefined;
  const start = known && options.progress ? pushedOn(compiled, known, options) : known;
  if (options.progress && start && !options.keeps) {
    const keeps = keptAsFits(meal, compiled, start, options);
    if (keeps.size > 0) return attemptPlan(meal, { ...options, keeps }, last, onImprove, signal);
  }
  if (options.progress && known) {
    const standing = (start ? whileItStands(compiled, start) : null) ?? whileItStands(compiled, known);
    if (standing) return asWanted(madeOf(meal, compiled, standing), options);
  }
  const hasRoom = compiled.room.size > 0;
  const solution = await solve(
    compiled.problem,
    { ...options.solve, explain: !hasRoom && last && options.solve.explain !== false, ...(start ? { start } : {}) },
    onImprove ? (better: FoundSolution) => onImprove(readPlan(meal, compiled, better)) : undefined,
    signal,
  );
  if (isFound(solution)) {
    const found = madeOf(meal, compiled, solution);
    if (options.progress) return start ? orInOrder(found, start, options) : found;
    return hasRoom && troublesOf(found) > 0 && !signal?.aborted
      ? orWithoutRoom(found, meal, options, last, signal)
      : found;
  }
  // Where there is no room to be had, a plan without it is better than none.
  if (hasRoom && !signal?.aborted) return attemptPlan(meal, { ...options, roomShare: 0 }, last, onImprove, signal);
  if (!last && !signal?.aborted) return null;
  const undecided = solution.status === 'unknown' ? ({ undecided: true } as const) : {};
  return { ok: false, refusals: [noPlan(meal, compiled, solution)], ...undecided };
}

/** Where fewer evenings than this land well, all that room may have been too much for the kitchen: so much of it is tried, for so much of the time. */
const TOO_CROWDED = 0.5;
const LESS_ROOM = 0.75;
const SHARE_WITH_LESS = 0.5;

/** A plan with less room, where so few evenings land by what was found that all of its room may be too much for the kitchen. */
async function withLessRoom(made: Made, options: PlanOptions, signal: CancelSignal | undefined): Promise<Made | null> {
  const { meal } = made;
  const { seed = 1, seconds = 5 } = options.solve;
  const lands = rehearsedInBrief(made, seed)?.good ?? 1;
  if (lands >= TOO_CROWDED || made.compiled.room.size === 0) return null;
  const roomShare = LESS_ROOM * (options.roomShare ?? ROOM_SHARE[meal.sureness ?? 'even']);
  const solveIt = { ...options.solve, seconds: seconds * SHARE_WITH_LESS, explain: false };
  const less = await planAsSet(meal, { ...options, roomShare, solve: solveIt }, undefined, signal);
  return less.ok ? less : null;
}

/** The plan whose hours can be moved to where most evenings land: of what was found, what was left aside, and one with less room. */
async function surest(
  made: Made,
  options: PlanOptions,
  signal: CancelSignal | undefined,
): Promise<Pick<Made, 'compiled' | 'solution'>> {
  const less = await withLessRoom(made, options, signal);
  const others = [made.other, less].filter((each) => each != null);
  const moved = async ({ compiled, solution }: Pick<Made, 'compiled' | 'solution'>, share: number) => ({
    compiled,
    solution: await surer(compiled, solution, share, options, signal),
  });
  if (others.length === 0) return moved(made, POLISH_SHARE);
  // Each gets a turn, and the best of them another.
  const share = POLISH_SHARE / (others.length + 2);
  let best = await moved(made, share);
  for (const other of others) {
    const tried = await moved(other, share);
    if (lossOf(tried, options) < lossOf(best, options)) best = tried;
  }
  return moved(best, share);
}

/** The hours of a solution moved, for such a share of the time, to where more evenings land well; before an evening only. */
async function surer(
  compiled: Compiled,
  solution: FoundSolution,
  share: number,
  options: PlanOptions,
  signal: CancelSignal | undefined,
): Promise<FoundSolution> {
  const { now, pause, seconds = 5, seed = 1 } = options.solve;
  const until = now() + 1000 * share * seconds;
  const schedule = await polishedInRounds(compiled, solution, {
    rounds: 3,
    tries: 6000,
    seed,
    price: PRICE_OF_A_MINUTE,
    pause: async () => {
      await pause();
      return now() >= until || signal?.aborted === true;
    },
  });
  return schedule === solution ? solution : { ...solution, ...schedule, status: 'feasible' };
}

const POLISH_SHARE = 1.2;
/** In evenings: a minute awake or waiting is dear enough that hours stay where nothing is won, and too cheap to stand in a guest's way. */
const PRICE_OF_A_MINUTE = 0.0002;

/**
 * The known plan with everything begun at the hour wanted at first, or as soon after as what it waits for allows: what a cook does who just goes
 * on, and makes up for minutes that were feared lost. What must not wait long for something that is late is begun later too.
 */
function pushedOn(compiled: Compiled, known: Schedule, options: CompileOptions): Schedule {
  const { likely, origin } = compiled;
  if (likely.steps.some(({ id }) => own(known.starts, id) === undefined)) return known;
  const wanted = bare<number>();
  for (const { id } of likely.steps) {
    const hour = options.known?.places.get(id)?.wanted;
    wanted[id] = hour === undefined ? known.starts[id]! : hour - origin;
  }
  const course = courseOf(likely, { ...known, starts: wanted }, rolesIn(compiled));
  const on = pushed(course);
  const found = withinLags(course, likely, on) ?? on;
  const starts = bare<number>();
  for (const [index, id] of course.ids.entries()) starts[id] = found[index]!;
  return { ...known, starts };
}

/** In mid-meal: what is kept warm is so until the table, however late or soon it is ready; longer than it was meant to be only where its place is free for that. */
function keptAsFits(
  meal: Meal,
  compiled: Compiled,
  start: Schedule,
  options: CompileOptions,
): ReadonlyMap<string, number> {
  const keeps = keptUntilTable(compiled, start, options);
  if (compiled.stretch.size === 0) return keeps;
  const fitted = keeps.size === 0 ? compiled : compile(meal, { ...options, keeps });
  const fits = fitted.ok && validate(fitted.likely, start).faults.length === 0;
  return fits ? keeps : keptUntilTable(compiled, start, { ...options, longer: false });
}

/** A plan whose hours were pushed on, with those that were wanted at first. */
function asWanted(made: Made, { known }: CompileOptions): Made {
  return { ...made, plan: once(() => wanting(made.plan(), known)) };
}

function wanting(plan: Plan, known: CompileOptions['known']): Plan {
  const places = Object.entries(plan.known.places).map(([key, place]) => {
    const before = known?.places.get(key);
    const wanted = before?.wanted ?? before?.start ?? place.start;
    return [key, wanted === place.start ? place : { ...place, wanted }] as const;
  });
  return { ...plan, known: { ...plan.known, places: bare(places) } };
}

/** Of the time for a plan so much is for one without room, where room makes something late or wait too long. */
const SHARE_WITHOUT_ROOM = 0.3;

/** What was found with room, or a plan without it where its evenings go better: a kitchen may be too small for both. */
async function orWithoutRoom(
  found: Made,
  meal: Meal,
  options: PlanOptions & CompileOptions,
  last: boolean,
  signal: CancelSignal | undefined,
): Promise<Made> {
  const { seconds = 5 } = options.solve;
  const solveIt = { ...options.solve, seconds: seconds * SHARE_WITHOUT_ROOM, explain: false };
  const bare = await attemptPlan(meal, { ...options, roomShare: 0, solve: solveIt }, last, undefined, signal);
  if (!bare?.ok) return found;
  return lossOf(bare, options) < lossOf(found, options) ? { ...bare, other: found } : { ...found, other: bare };
}

/** What a plan is judged by before an evening: how its rehearsed evenings go. */
function lossOf(
  { compiled, solution }: Pick<Made, 'compiled' | 'solution'>,
  { solve: { seed = 1 } }: PlanOptions,
): number {
  return lossOfEvenings(compiled, solution, { seed, price: PRICE_OF_A_MINUTE });
}

/** Minutes late by likely minutes, and a quarter of an hour for each dish that waits too long. */
function troublesOf(made: Made): number {
  const plan = made.plan();
  const overdue = plan.landings.filter(({ fine }) => fine === 'too long').length;
  return latenessOf(plan) + 15 * overdue;
}

/** So many more evenings must land before a plan that the cook knows gives way to another. */
const WORTH_LEARNING = 0.05;

/** In mid-meal: what was found, or everything in the order that the cook knows, where that breaks no rule and lands about as many evenings. */
function orInOrder(found: Made, inOrder: Schedule, options: PlanOptions & CompileOptions): Made {
  const { seed = 1 } = options.solve;
  const { meal, compiled } = found;
  const { faults, cost } = validate(compiled.likely, inOrder);
  if (faults.length > 0) return found;
  const standing = { ...found.solution, ...inOrder, status: 'feasible', cost, bound: 0 } as const;
  const known = asWanted(madeOf(meal, compiled, standing), options);
  const rehearsed = (made: Made) => {
    const seen = rehearsedInBrief(made, seed);
    return { made: { ...made, odds: seen?.odds }, landed: seen ? (seen.within5 + seen.good) / 2 : 1 };
  };
  const [one, other] = [rehearsed(known), rehearsed(found)];
  const gain = other.landed - one.landed;
  if (Math.abs(gain) >= WORTH_LEARNING) return gain > 0 ? other.made : one.made;
  return validate(compiled.likely, found.solution).cost < cost ? other.made : one.made;
}

/** Minutes late that rounding to whole minutes alone can make. */
const FORGIVEN = 1;

/**
 * In mid-meal the plan that the cook knows is kept as long as it breaks no rule, makes nothing late, spoils nothing and misses no hand-over: a
 * slightly better one is not worth learning anew.
 */
function whileItStands({ likely: problem }: Compiled, known: Schedule): FoundSolution | null {
  if (problem.steps.some((step) => own(known.starts, step.id) === undefined)) return null;
  const { faults, cost } = validate(problem, known);
  if (faults.length > 0) return null;
  const isLate = problem.ready.some((row) => {
    const end = own(known.starts, row.step)! + (problem.steps.find((step) => step.id === row.step)?.minutes ?? 0);
    return row.late >= COST.missedLag && end > row.by + FORGIVEN;
  });
  // Where the hour was moved, what was in time may now stand too long: resting or holding longer is better than spoiling.
  const isSpoilt = problem.ready.some((row) => {
    const end = own(known.starts, row.step)! + (problem.steps.find((step) => step.id === row.step)?.minutes ?? 0);
    return row.early === COST.spoiling && end < row.by - row.hold - FORGIVEN;
  });
  if (isLate || isSpoilt) return null;
  return { format: 'warm-cadence/solution', version: 1, status: 'feasible', cost, bound: 0, milliseconds: 0, ...known };
}

/** Why there is no plan: what collides, as far as that is known, and what may help. */
function noPlan(meal: Meal, compiled: Compiled, solution: NoSolution): Refusal {
  const help = say('Choose a later hour, take out a dish, or add a burner, a pot or a person.');
  if (solution.status === 'unknown') {
    return { where: say('the meal'), sentence: say('No plan was found in the time there was. {help}', { help }) };
  }
  const clash = solution.conflict ? clashOf(meal, compiled, solution.conflict) : '';
  return {
    where: say('the meal'),
    sentence: [say('This cannot be cooked in this kitchen by that hour.'), clash, help].filter(Boolean).join(' '),
  };
}

/** "These collide: “simmer” of the barley and “fry” of the curry; they want the strong burner." */
function clashOf(meal: Meal, { entries }: Compiled, conflict: Conflict): string {
  const steps = conflict.steps.flatMap((key) => {
    const entry = entries.get(key);
    if (entry?.kind === 'part')
      return [say('“{step}” ({dish})', { step: entry.part.step.name, dish: entry.part.dish.name })];
    return entry?.kind === 'warm'
      ? [say('warming the oven to {celsius} °C ({dish})', { celsius: entry.celsius, dish: entry.dish.name })]
      : [];
  });
  if (steps.length === 0) return '';
  const things = [
    ...new Set(conflict.units.map((unit) => nameOfUnit(meal.kitchen, unit))),
    ...(conflict.pools.includes(HANDS) ? [say('hands')] : []),
    ...(conflict.pools.includes(EYES) ? [say('eyes for the pots')] : []),
    ...meal.kitchen.ovens.flatMap(({ id, name }) =>
      conflict.pools.includes(shelvesOf(id)) || conflict.states.includes(id) ? [name] : [],
    ),
  ];
  const values = { steps: listed(steps, MOST_NAMED), things: listed(things, MOST_NAMED) };
  if (steps.length === 1)
    return things.length > 0
      ? say('What does not fit is {steps}, which wants {things}.', values)
      : say('What does not fit is {steps}.', values);
  return things.length > 0
    ? say('These collide: {steps}; they want {things}.', values)
    : say('These collide: {steps}.', values);
}

const MOST_NAMED = 5;

/** The known plan in the times and ids of the newly compiled problem: a place to start from. */
function knownSchedule(compiled: Compiled, { known }: CompileOptions): Schedule {
  const starts = bare<number>();
  const units = bare<readonly string[]>();
  for (const step of compiled.problem.steps) {
    const place = known?.places.get(step.id);
    if (!place) continue;
    starts[step.id] = step.latest === 0 ? 0 : place.start - compiled.origin;
    units[step.id] = place.units;
  }
  for (const step of compiled.problem.steps) {
    if (step.minutes === 0 && step.latest === 0) starts[step.id] = 0;
  }
  return { starts, units, holds: bare(known?.holds) };
}
