import { describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { chop, dish, follow, fry, item, waits, work } from '@/core/dish/write';
import type { Meal } from '@/core/meal/meal';
import { mealOf, planned } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { type Bowl, boardRounds, bowlsOf, LAYERS } from './bowls';
import { handsBetween, hotHourOf } from './hot-hour';
import { jointsOf } from './joint-work';
import { keyOf } from './shopping';

const samples = SAMPLE_MEALS.map(({ setting, kitchen, dishes }): Meal => {
  return { ...setting, day: '2026-12-05', kitchen, dishes };
});
const onionDish = (id: string, cut: string) =>
  dish({
    id,
    name: `Dish ${id}`,
    servings: 4,
    ingredients: [item('onion', 2, 'piece', 'onions', { cut }), item('oil', 1, 'tbsp', 'oil')],
    steps: [
      chop('chop', 'chop', 10, 'Chop.', { uses: ['onion'] }),
      fry('fry', 'fry', 'medium', 10, 'Fry with salt.', { uses: ['oil'] }),
    ],
    links: [follow('chop', 'fry', 0, 120)],
    lands: { step: 'fry', waits: waits('hot', 20, 40, 'covered') },
  });
const of = (bowls: readonly Bowl[], key: string) => bowls.find((bowl) => bowl.key === key)!;

describe('bowls', () => {
  it('say what is cut how, measured how, for which step at what time', async () => {
    const meal = mealOf([onionDish('a', 'thinly sliced')], { people: 8 });
    const plan = await planned(meal);
    const bowls = bowlsOf(meal, plan);
    const fryAt = plan.steps.find(({ key }) => key === 'a/fry')!.start;
    expect(of(bowls, 'a/onion')).toMatchObject({
      amount: { quantity: 4, unit: 'piece' },
      cut: 'thinly sliced',
      measured: 'counted',
      readiedIn: 'a/chop',
      into: { key: 'a/fry', name: 'fry' },
      at: fryAt,
      layer: 'vegetables',
    });
    expect(of(bowls, 'a/oil')).toMatchObject({ measured: 'by the spoon', layer: 'wet', readiedIn: null, at: fryAt });
    expect(of(bowls, 'a/at hand salt')).toMatchObject({ amount: null, measured: 'to taste', into: { key: 'a/fry' } });
  });

  // Each dish by itself, so that the name of a dish that fails is seen.
  const all = [...SHELF, ...samples.flatMap(({ dishes }) => dishes)];
  const words = vocabulary();
  it.each(all.map((each) => [each.name, each] as const))('leave nothing out that a step of %s uses', (_, each) => {
    const bowls = bowlsOf(mealOf([each]), null);
    for (const step of each.steps) {
      for (const id of step.uses) {
        const bowl = of(bowls, `${each.id}/${id}`);
        expect(bowl, id).toBeDefined();
        const stands = [bowl.readiedIn, bowl.into.key];
        const others = each.steps.filter(({ uses }) => uses.includes(id)).map((other) => `${each.id}/${other.id}`);
        expect(
          others.some((key) => stands.includes(key)),
          `${id} for ${step.id}`,
        ).toBe(true);
      }
      for (const take of each.takes) expect(of(bowls, `${each.id}/${take.product}`), take.product).toBeDefined();
      // What an instruction names must lie there under some name, or be what the dish itself becomes.
      const there = [...bowls.map(({ name, cut }) => `${name} ${cut ?? ''}`), each.name, each.note ?? '']
        .concat(each.gives.map(({ name }) => name))
        .join(' ')
        .toLowerCase();
      for (const word of words) {
        if (new RegExp(`\\b${word}\\b`).test(step.says.toLowerCase())) {
          expect(there, `“${word}” in “${step.says}”`).toContain(
            keyOf(word).slice(0, Math.max(4, keyOf(word).length - 1)),
          );
        }
      }
    }
  });

  it('stand dry before wet, vegetables before raw meat, the same things together', () => {
    for (const meal of samples) {
      const bowls = bowlsOf(meal, null);
      const layers = bowls.map(({ layer }) => LAYERS.indexOf(layer));
      expect([...layers].sort((a, b) => a - b)).toEqual(layers);
      const things = bowls.map(({ thing, layer }) => `${layer} ${thing}`);
      const runs = things.filter((thing, index) => thing !== things[index - 1]);
      expect(new Set(runs).size).toBe(runs.length);
    }
  });
});

/**
 * Every word that is some dish's ingredient, so that one dish cannot name what only another lists; and things that are wanted at the stove
 * though nobody eats them. Left out is what describes, and what a dish is called while it cooks.
 */
function vocabulary(): readonly string[] {
  const describes =
    /^(grain|cold|warm|fresh|hard|flat|thin|small|thick|whole|soft|boiling|toasted|brown|pieces|with|large|smooth|short|ribs|beaten|firm|mixed|round|leaves|sauce|water|seed|roots?)$/;
  // "Roll walnuts of one size", "fish out the bay", "dry the fish" of a mackerel.
  const saidOtherwise = /^(walnuts|fish)$/;
  const names = [...SHELF, ...SAMPLE_MEALS.flatMap(({ dishes }) => dishes)].flatMap(({ ingredients }) => ingredients);
  const words = names.flatMap(({ name }) =>
    name
      .toLowerCase()
      .replace(/\([^)]*\)/g, '')
      .split(/[^a-z]+/),
  );
  return [...new Set([...words, 'cloth', 'foil'])].filter(
    (word) => word.length > 3 && !describes.test(word) && !saidOtherwise.test(word),
  );
}

describe('rounds at the board', () => {
  it('cut the same thing for all dishes at once, and share the minutes out', async () => {
    const meal = mealOf([onionDish('a', 'thinly sliced'), onionDish('b', 'halved')]);
    const plan = await planned(meal);
    const rounds = boardRounds(bowlsOf(meal, plan), plan);
    expect(rounds).toHaveLength(1);
    expect(rounds[0]!.bowls.map(({ dishName }) => dishName).sort()).toEqual(['Dish a', 'Dish b']);
    const planned10 = plan.steps
      .filter(({ key }) => key.endsWith('/chop'))
      .reduce((sum, step) => sum + step.minutes, 0);
    expect(rounds[0]!.minutes).toBeCloseTo(planned10, 6);
  });

  it('of the sample meals hold all onions in one', () => {
    const rounds = boardRounds(bowlsOf(samples[0]!, null), null);
    const onions = rounds.find(({ thing }) => thing === 'onion')!;
    expect(onions.bowls.length).toBeGreaterThan(2);
    expect(rounds.map(({ layer }) => LAYERS.indexOf(layer))).toEqual(
      rounds.map(({ layer }) => LAYERS.indexOf(layer)).sort((a, b) => a - b),
    );
  });
});

describe('board work done together', () => {
  it('is offered where dishes share a thing, and then follows one another in fewer minutes', async () => {
    const meal = mealOf([onionDish('a', 'sliced'), onionDish('b', 'sliced')]);
    const before = await planned(meal);
    const [joint, ...more] = jointsOf(meal, bowlsOf(meal, before), before);
    expect(more).toEqual([]);
    expect(joint).toMatchObject({ thing: 'onion', dishes: ['Dish a', 'Dish b'], joined: false });
    const together = [joint!.steps];
    const plan = await planned({ ...meal, together });
    const [first, second] = joint!.steps.map((key) => plan.steps.find((step) => step.key === key)!);
    expect(second!.start - first!.end).toBeGreaterThanOrEqual(0);
    expect(second!.start - first!.end).toBeLessThanOrEqual(3);
    expect(second!.minutes).toBeLessThan(first!.minutes);
    expect(jointsOf({ ...meal, together }, bowlsOf(meal, plan), plan)[0]!.joined).toBe(true);
  });

  it('of a dish that is gone is left out', async () => {
    const plan = await planned(mealOf([onionDish('a', 'sliced')], { together: [['a/chop', 'gone/chop']] }));
    expect(plan.steps.find(({ key }) => key === 'a/chop')!.minutes).toBeGreaterThan(0);
  });
});

describe('the hot hour', () => {
  it('has fewer hands when what keeps is laid out first, and nothing lands late for it', async () => {
    const salad = dish({
      id: 'salad',
      name: 'Salad',
      servings: 4,
      ingredients: [],
      steps: [chop('cut', 'cut', 15, 'Cut.'), work('dress', 'dress', 2, 'Dress.')],
      links: [follow('cut', 'dress', 0, 240, 0)],
      lands: { step: 'dress', waits: waits('cold', 5, 10, 'dressed') },
    });
    const meal = mealOf([salad]);
    const before = await planned({ ...meal, layOutFirst: false });
    const after = await planned(meal);
    expect(hotHourOf(meal, before).minutes).toBeGreaterThan(15);
    expect(hotHourOf(meal, after).minutes).toBeLessThan(6);
    expect(hotHourOf(meal, after).prep).not.toBeNull();
    expect(after.landings.every(({ late }) => late === 0)).toBe(true);
    expect(handsBetween(meal, after, -1440, 0)).toBe(handsBetween(meal, before, -1440, 0));
  });

  it('is not asked for where the cook comes late', async () => {
    const kitchen = { ...mealOf([]).kitchen, people: [{ ...mealOf([]).kitchen.people[0]!, from: '18:05' }] };
    const plan = await planned(mealOf([onionDish('a', 'sliced')], { kitchen }));
    expect(plan.landings[0]!.late).toBe(0);
  });
});
