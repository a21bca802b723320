import type { WarmPlace } from '@/core/dish/keep-warm';
import type { Meal } from '@/core/meal/meal';
import {
  asIfKept,
  bearers,
  type Keepable,
  type Kept,
  keepables,
  keptAsIf,
  keptRather,
  mealAsPlanned,
  withKept,
} from './keeps';
import type { Plan } from './plan';

/** How meals with something kept warm are looked at and planned, each in a share of the time for a plan. */
export interface Keeper {
  /** How badly the evenings of a first plan go; null where there is none. */
  look(meal: Meal, share: number): Promise<number | null>;
  /** A plan as it comes, with room behind its steps or without, its hours not moved; null where there is none. */
  sketch(meal: Meal, share: number, room: Sketch['room']): Promise<Sketch | null>;
  /** A plan with its odds, looked for around a sketch of much the same meal, where there is one; null where there is none. */
  plan(meal: Meal, share: number, sketch?: Sketch): Promise<Plan | null>;
  /** Whether the time is over. */
  isOver(): boolean;
}

/** A plan as it comes, and how badly its evenings go. */
export interface Sketch {
  readonly plan: Plan;
  readonly room: 'no room' | 'room';
  /** 0 where all evenings land well, 1 and more where none does. */
  readonly loss: number;
}

/** A sketch as if all were kept warm takes such a share of the time, a look at each way to do it, and a plan for the most promising ones each. */
const SHARE_OF_A_SKETCH = 0.3;
const SHARE_OF_A_LOOK = 0.1;
const SHARE_OF_A_PLAN = 0.3;
const PROMISING = 2;
/** Minutes by which what bears it may be done with sooner. */
const OUT_OF_THE_WAY = [20, 45] as const;
/** Where so many evenings land well nothing else is tried for more. */
export const NEARLY_ALL = 0.95;
/** So many more evenings must land well for a dish to be kept warm. */
const WORTH_KEEPING = 0.03;

/**
 * Where too few evenings land well because something waits too long, a plan that keeps it warm until the table, if more land by that: in a low oven, in
 * the one it was baked in, or on the lowest flame. Its steps are in the plan alone; `mealAsPlanned` is the meal with them.
 */
export async function keepingWarm(meal: Meal, asked: Plan, keeper: Keeper): Promise<Plan> {
  let best = asked;
  while (best.odds && best.odds.good < NEARLY_ALL && !keeper.isOver()) {
    const more = mealAsPlanned(meal, best);
    const sketch = await sketchAsIfKept(more, keeper, 'room');
    const asIf = sketch && (await keptAsInSketch(more, sketch, best, keeper));
    const better = asIf ?? (await keptSomehow(more, best, keeper));
    if (!better) break;
    best = better;
  }
  return best;
}

/**
 * A plan that keeps warm what waits, by which most evenings land well; null where nothing waits that could be kept. With room behind its steps the longest
 * work comes last and what is kept comes before it, without room the other way round: both are sketched, and the one that goes better is planned first.
 */
export async function keptFirst(meal: Meal, keeper: Keeper): Promise<Plan | null> {
  const roomy = await sketchAsIfKept(meal, keeper, 'room');
  const bare = keeper.isOver() ? null : await sketchAsIfKept(meal, keeper, 'no room');
  const sketches = [roomy, bare].filter((each) => each !== null).sort((a, b) => a.loss - b.loss);
  let best: Plan | null = null;
  for (const sketch of sketches) {
    best = (await keptAsInSketch(meal, sketch, best, keeper)) ?? best;
    if (isEnough(best) || keeper.isOver()) break;
  }
  return best;
}

function isEnough(plan: Plan | null): boolean {
  return (plan?.odds?.good ?? 0) >= NEARLY_ALL;
}

/** The meal is planned as if all that bears it were kept warm. */
async function sketchAsIfKept(meal: Meal, keeper: Keeper, room: Sketch['room']): Promise<Sketch | null> {
  return keeper.sketch(asIfKept(meal), SHARE_OF_A_SKETCH, room);
}

/** What waits in a plan made as if all were kept warm is: a plan with that, where there is one by which more evenings land well. */
async function keptAsInSketch(meal: Meal, sketch: Sketch, than: Plan | null, keeper: Keeper): Promise<Plan | null> {
  let best: Plan | null = null;
  for (const kept of waysAsIf(meal, sketch.plan)) {
    if (keeper.isOver()) break;
    best = (await planKeeping(withKept(meal, kept), best ?? than, keeper, sketch)) ?? best;
    if (isEnough(best)) break;
  }
  return best;
}

/** What is kept as if all were, on flames or rather off them: one way where there is no difference, none where nothing is kept. */
function waysAsIf(meal: Meal, sketch: Plan): readonly (readonly Kept[])[] {
  const onFlames = keptAsIf(meal, sketch);
  const aside = keptAsIf(meal, sketch, 'aside');
  if (onFlames.length === 0) return [];
  return aside.some(({ place }) => place === 'aside') ? [aside, onFlames] : [onFlames];
}

/** Other ways to keep things warm, the most promising ones planned; null where none lands more evenings well. */
async function keptSomehow(meal: Meal, than: Plan, keeper: Keeper): Promise<Plan | null> {
  const seen: { readonly kept: Meal; readonly loss: number }[] = [];
  for (const kept of waysToKeep(meal, than)) {
    const loss = keeper.isOver() ? null : await keeper.look(kept, SHARE_OF_A_LOOK);
    if (loss !== null) seen.push({ kept, loss });
  }
  for (const { kept } of seen.sort((a, b) => a.loss - b.loss).slice(0, PROMISING)) {
    const plan = await planKeeping(kept, than, keeper);
    if (plan) return plan;
  }
  return null;
}

async function planKeeping(kept: Meal, than: Plan | null, keeper: Keeper, sketch?: Sketch): Promise<Plan | null> {
  const plan = await keeper.plan(kept, SHARE_OF_A_PLAN, sketch);
  // Proven best is only what stands with that kept warm; whether that is best nobody has proven.
  return plan && (!than || landsBetter(plan, than)) ? { ...plan, proven: false } : null;
}

/** Whether clearly fewer evenings go badly by a plan; a late one weighs half as much again. */
export function landsBetter({ odds }: Plan, than: Plan): boolean {
  if (!odds || !than.odds) return false;
  return odds.good - than.odds.good + (odds.within5 - than.odds.within5) / 2 >= WORTH_KEEPING;
}

/** How things may be kept warm: what waits too long, or all that bears it for a while, so that hands and flames are free for what does not. */
function waysToKeep(meal: Meal, plan: Plan): readonly Meal[] {
  const stale = keepables(meal, plan);
  const ways: readonly (readonly [readonly Keepable[], WarmPlace])[] = [
    [stale, 'oven'],
    [stale, 'flame'],
    ...OUT_OF_THE_WAY.map((minutes) => [bearers(meal, minutes), 'oven'] as const),
  ];
  return ways.flatMap(([kept, rather]) => (kept.length > 0 ? [withKept(meal, keptRather(kept, rather))] : []));
}
