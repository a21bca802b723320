import type { Dish } from '@/core/dish/dish';
import { atOnce, bake, chop, dish, follow, fry, item, leave, pot, rest, waits } from '@/core/dish/write';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { planMeal } from '@/core/plan/plan-meal';
import { spoken } from '@/core/say/say';
import { TEST_CLOCK } from './clock';

/** A kitchen small enough to reason about: two burners, an oven of two shelves, one cook. */
export const smallKitchen: Kitchen = {
  id: 'small',
  name: 'Small kitchen',
  burners: [
    { id: 'big', name: 'Big burner', strength: 'strong', widestCm: 30, gentle: true },
    { id: 'small', name: 'Small burner', strength: 'weak', widestCm: 20, gentle: true },
  ],
  ovens: [{ id: 'oven', name: 'Oven', shelves: 2, warmUpMinutes: 10 }],
  appliances: [],
  vessels: [
    { id: 'pot', name: 'pot', kind: 'pot', litres: 4, widthCm: 20, count: 2, straight: true },
    { id: 'pan', name: 'pan', kind: 'pan', litres: 2, widthCm: 26, count: 1 },
    { id: 'bowl', name: 'bowl', kind: 'bowl', litres: 3, widthCm: 24, count: 3 },
    { id: 'tray', name: 'tray', kind: 'tray', litres: 3, widthCm: 34, count: 2 },
  ],
  people: [{ id: 'cook', name: 'you', role: 'cook', from: '06:00', until: '23:30' }],
};

/** Boil, cover, rest: grain by absorption, with a soak of 20 to 60 minutes. */
export function plainGrain(id = 'grain'): Dish {
  return dish({
    id,
    name: `Grain ${id}`,
    servings: 4,
    ingredients: [item('millet', 300, 'g', 'millet'), item('water', 600, 'ml', 'water')],
    steps: [
      chop('wash', 'wash', 4, 'Wash it.', { uses: ['millet'] }),
      rest('soak', 'soak', 20, 'Soak it.'),
      fry('boil', 'boil', 'medium', 5, 'Bring to the boil.', { vessel: 'pot', uses: ['water'] }),
      leave('cover', 'covered', 'lowest', [12, 15, 20], 'Cover.', { vessel: 'pot', doneWhen: 'dry on top' }),
      rest('rest', 'rest', 10, 'Off the heat.', { vessel: 'pot' }),
    ],
    links: [...atOnce('wash', 'soak'), follow('soak', 'boil', 0, 40), ...atOnce('boil', 'cover', 'rest')],
    vessels: [pot('pot', 'pot', ['pot'], 2, 'boil', 'rest')],
    lands: { step: 'rest', waits: waits('hot', 10, 20, 'covered') },
  });
}

/** Grain boiled and drained that must go back on the heat within five minutes. */
export function drainedGrain(): Dish {
  return dish({
    id: 'drained',
    name: 'Drained grain',
    servings: 4,
    ingredients: [item('rice', 300, 'g', 'long grain')],
    steps: [
      fry('parboil', 'parboil', 'full', 7, 'Boil hard in plenty of salted water.', { vessel: 'pot', uses: ['rice'] }),
      chop('drain', 'drain', 2, 'Drain at once.', { by: 'cook', steady: true }),
      leave('steam', 'steam', 'lowest', 22, 'Seal and steam.', { vessel: 'pot' }),
    ],
    links: [...atOnce('parboil', 'drain'), follow('drain', 'steam', 0, 5)],
    vessels: [pot('pot', 'pot', ['pot'], 3, 'parboil', 'steam')],
    lands: { step: 'steam', waits: waits('hot', 5, 15, 'covered') },
  });
}

/** Chopped, then fried for 8 to 16 minutes; good for so many minutes. */
export function friedGreens(wellMinutes: number): Dish {
  return dish({
    id: 'greens',
    name: 'Greens',
    servings: 4,
    ingredients: [item('greens', 400, 'g', 'chard')],
    steps: [
      chop('cut', 'cut', 5, 'Cut them.', { uses: ['greens'] }),
      fry('fry', 'fry', 'medium', [8, 10, 16], 'Fry them.', { vessel: 'pan' }),
    ],
    links: [follow('cut', 'fry', 0, 60)],
    vessels: [pot('pan', 'pan', ['pan'], 1, 'fry', 'fry')],
    lands: { step: 'fry', waits: waits('hot', wellMinutes, wellMinutes + 30, 'covered') },
  });
}

/** Cut, then baked on a tray; good for a quarter of an hour. */
export function baked(id: string, celsius: number, minutes: number): Dish {
  return dish({
    id,
    name: `Baked ${id}`,
    servings: 4,
    ingredients: [],
    steps: [chop('cut', 'cut', 5, 'Cut.'), bake('bake', 'bake', celsius, 1, minutes, 'Bake.', { vessel: 'tray' })],
    links: [follow('cut', 'bake')],
    vessels: [pot('tray', 'tray', ['tray'], 2, 'bake', 'bake')],
    lands: { step: 'bake', waits: waits('hot', 15, 40, 'covered') },
  });
}

/** A meal planned by likely minutes alone, so that its plan can be reasoned about. */
export function mealOf(dishes: readonly Dish[], change: Partial<Meal> = {}): Meal {
  return {
    id: 'meal',
    name: 'Test meal',
    people: 4,
    day: '2026-11-28',
    hour: '19:00',
    pace: 'steady',
    sureness: 'short',
    kitchen: smallKitchen,
    dishes,
    ...change,
  };
}

/** Plans made so far: what several tests begin from is planned once, and no test changes a plan. */
const made = new Map<string, Promise<Plan>>();

/** Plans a meal or fails the test with the refusals; rounds end it, so that a slow machine finds the same plan. */
export function planned(meal: Meal, seconds = 10, patience = 8): Promise<Plan> {
  const asked = JSON.stringify([spoken(), meal, seconds, patience]);
  const plan = made.get(asked) ?? planNow(meal, seconds, patience);
  made.set(asked, plan);
  return plan;
}

async function planNow(meal: Meal, seconds: number, patience: number): Promise<Plan> {
  const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds, patience } });
  if (!result.ok) throw new Error(result.refusals.map((each) => each.sentence).join('\n'));
  return result.plan;
}
