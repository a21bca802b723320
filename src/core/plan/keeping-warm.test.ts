import { describe, expect, it } from 'vitest';
import type { Meal } from '@/core/meal/meal';
import { mealOf, plainGrain } from '@/core/testing/meals';
import { type Keeper, keepingWarm, keptFirst, landsBetter } from './keeping-warm';
import { landingAt, type Odds, type Plan } from './plan';

const meal = mealOf([plainGrain('a')]);

function planWith(good: number, within5 = 1): Plan {
  return { landings: [], steps: [], odds: { good, within5, dishes: [] } as unknown as Odds } as unknown as Plan;
}

/** A sketch in which the grain waits so many minutes. */
function planWaiting(minutes: number): Plan {
  const landing = {
    dishId: 'a',
    dishName: 'Grain a',
    ready: 0,
    waits: 0,
    late: 0,
    wellMinutes: 70,
    mostMinutes: 70,
    how: 'covered',
    served: 'hot',
    fine: 'well',
  } as const;
  return { ...planWith(0), landings: [landingAt(landing, -minutes)] };
}

/** Minutes for which the grain is kept warm in a meal; none where it is not. */
const keptFor = ({ dishes }: Meal) => dishes[0]!.steps.find(({ id }) => id === 'kept-warm')?.minutes.likely;

interface Told {
  /** Minutes that the grain waits in a sketch with room and in one without, and how badly their evenings go. */
  readonly waits: Readonly<Record<'room' | 'no room', number>>;
  readonly losses?: Readonly<Record<'room' | 'no room', number>>;
  /** Share of evenings that are good, by the minutes it is kept for. */
  readonly good: (kept: number | undefined) => number;
  readonly isOver?: () => boolean;
}

function keeper({ waits, losses = { room: 0.5, 'no room': 0.6 }, good, isOver = () => false }: Told) {
  const asked: string[] = [];
  const begunFrom: (string | undefined)[] = [];
  const kept: Keeper = {
    look: async () => 0.5,
    sketch: async (_, __, room) => {
      asked.push(room);
      return { plan: planWaiting(waits[room]), room, loss: losses[room] };
    },
    plan: async (other, _, sketch) => {
      begunFrom.push(sketch?.room);
      return planWith(good(keptFor(other)));
    },
    isOver,
  };
  return { kept, asked, begunFrom };
}

describe('what is kept warm before anything else is tried', () => {
  it('is what waits in a plan with room, where its evenings go better and nearly all of them land well by that', async () => {
    const { kept, asked, begunFrom } = keeper({ waits: { room: 40, 'no room': 20 }, good: () => 0.96 });
    expect((await keptFirst(meal, kept))?.odds?.good).toBe(0.96);
    expect(asked).toEqual(['room', 'no room']);
    // It is looked for around that plan.
    expect(begunFrom).toEqual(['room']);
  });

  it('is what waits in one without room, where that one goes better', async () => {
    const losses = { room: 0.5, 'no room': 0.4 };
    const { kept, begunFrom } = keeper({ waits: { room: 40, 'no room': 20 }, losses, good: () => 0.96 });
    expect((await keptFirst(meal, kept))?.odds?.good).toBe(0.96);
    expect(begunFrom).toEqual(['no room']);
  });

  it('is the better of both, where too few evenings land well by the first', async () => {
    const better = keeper({ waits: { room: 40, 'no room': 20 }, good: (minutes) => (minutes === 12 ? 0.9 : 0.5) });
    const plan = await keptFirst(meal, better.kept);
    expect(plan?.odds?.good).toBe(0.9);
    // Whether that is best nobody has proven.
    expect(plan?.proven).toBe(false);
    expect(better.begunFrom).toEqual(['room', 'no room']);
    const worse = keeper({ waits: { room: 40, 'no room': 20 }, good: (minutes) => (minutes === 12 ? 0.4 : 0.5) });
    expect((await keptFirst(meal, worse.kept))?.odds?.good).toBe(0.5);
  });

  it('is nothing where nothing waits longer than it does well, or the time is over', async () => {
    expect(await keptFirst(meal, keeper({ waits: { room: 10, 'no room': 10 }, good: () => 1 }).kept)).toBe(null);
    const late = keeper({ waits: { room: 40, 'no room': 40 }, good: () => 1, isOver: () => true });
    expect(await keptFirst(meal, late.kept)).toBe(null);
  });
});

describe('a plan that lands well already', () => {
  it('keeps nothing warm; another one does, where clearly more evenings land by that', async () => {
    const { kept, asked } = keeper({ waits: { room: 40, 'no room': 40 }, good: () => 0.97 });
    const well = planWith(0.96);
    expect(await keepingWarm(meal, well, kept)).toBe(well);
    expect(asked).toEqual([]);
    expect((await keepingWarm(meal, planWith(0.9), kept)).odds?.good).toBe(0.97);
    const hardly = keeper({ waits: { room: 40, 'no room': 40 }, good: () => 0.92 });
    const most = planWith(0.9);
    expect(await keepingWarm(meal, most, hardly.kept)).toBe(most);
  });
});

describe('which of two plans lands better', () => {
  it('is told by three evenings in a hundred and more; a late one weighs half as much again', () => {
    expect(landsBetter(planWith(0.84), planWith(0.8))).toBe(true);
    expect(landsBetter(planWith(0.82), planWith(0.8))).toBe(false);
    expect(landsBetter(planWith(0.46, 0.62), planWith(0, 0.66))).toBe(true);
    expect(landsBetter(planWith(0.84, 0.9), planWith(0.8, 1))).toBe(false);
    expect(landsBetter(planWith(0, 0.9), planWith(0, 0.8))).toBe(true);
  });
});
