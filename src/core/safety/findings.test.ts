import { describe, expect, it } from 'vitest';
import { missingCautions } from '@/core/dish/cautions';
import type { Dish } from '@/core/dish/dish';
import { isHeatedAfter } from '@/core/dish/foods';
import { makeDish } from '@/core/dish/parts';
import { SHELF } from '@/core/dish/shelf';
import { techniqueOf } from '@/core/dish/techniques/all';
import { chop, dish, follow, fry, item, rest, waits, work } from '@/core/dish/write';
import type { Meal } from '@/core/meal/meal';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { friedGreens, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { allergensOfMeal, findingsOf, heeded } from './findings';

const oneCook = { ...largeKitchen, people: largeKitchen.people.slice(0, 1) };
const found = async (dishes: readonly Dish[], change: Partial<Meal> = {}) => {
  const meal = mealOf(dishes, { kitchen: oneCook, hour: '20:00', ...change });
  return findingsOf(meal, await planned(meal));
};
const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id.split(' ')[0]);

const marinated = (minutes: number, place: 'rest' | 'cold'): Dish => {
  const lie = rest('lie', 'marinate', minutes, 'Let it lie in its marinade.');
  return dish({
    id: 'chops',
    name: 'Chops',
    servings: 4,
    ingredients: [item('meat', 600, 'g', 'pork chops'), item('oil', 2, 'tbsp', 'oil', { grows: false })],
    steps: [
      work('rub', 'rub', 5, 'Rub the meat.', { uses: ['meat'] }),
      place === 'rest' ? lie : { ...lie, place: { at: 'cold' } },
      fry('fry', 'fry', 'full', 8, 'Fry the meat.', { uses: ['oil'] }),
    ],
    links: [follow('rub', 'lie', 0, 0), follow('lie', 'fry', 0, 10)],
    lands: { step: 'fry', waits: waits('hot', 5, 10, 'under foil') },
  });
};

const relish = dish({
  id: 'relish',
  name: 'Relish',
  servings: 4,
  ingredients: [item('herbs', 40, 'g', 'parsley')],
  steps: [chop('chop', 'chop herbs', 6, 'Chop the herbs.', { uses: ['herbs'] })],
  links: [],
  lands: { step: 'chop', waits: waits('cold', 240, 480, 'covered, in the cold') },
});

describe('a plan', () => {
  it('with raw meat marinating out of the cold is cautioned, and after two hours not safe', async () => {
    expect(ids(await found([marinated(90, 'cold')]))).not.toContain('marinade');
    expect((await found([marinated(90, 'rest')])).find(({ id }) => id.startsWith('marinade'))?.weight).toBe('caution');
    const [first] = await found([marinated(180, 'rest')]);
    expect(first).toMatchObject({ weight: 'hard', step: 'chops/lie' });
    expect(first!.fix).toContain('fridge');
  });

  it('with raw and ready food in one pair of hands is told to wash between', async () => {
    const both = await found([marinated(60, 'cold'), relish]);
    const board = both.filter(({ id }) => id.startsWith('board'));
    // Whichever comes first: the other way round nothing is to be washed.
    const meal = mealOf([marinated(60, 'cold'), relish], { kitchen: oneCook, hour: '20:00' });
    const plan = await planned(meal);
    const at = (key: string) => plan.steps.find((step) => step.key === key)!.start;
    expect(board.length).toBe(at('relish/chop') > at('chops/rub') ? 1 : 0);
    const later = { ...meal, pins: [{ key: 'relish/chop', start: -10 }] };
    const [told] = findingsOf(later, await planned(later)).filter(({ id }) => id.startsWith('board'));
    expect(told?.fix).toContain('Wash hands, board and knife');
  });

  it('with kidney beans that never boil hard is not safe; the techniques boil them', async () => {
    const beans = {
      ...plainGrain('beans'),
      ingredients: [item('millet', 300, 'g', 'dried red kidney beans'), item('water', 1, 'l', 'water')],
    };
    expect((await found([beans]))[0]).toMatchObject({ weight: 'hard', id: 'kidney beans' });
    for (const id of ['pulses-soaked', 'pulses-pressure']) {
      const made = makeDish(
        techniqueOf(id),
        { id, name: id, servings: 4 },
        { ways: { which: 'kidney' }, fillings: { pulses: { name: 'dried red kidney beans' } } },
      );
      expect(ids(await found([made])), id).not.toContain('kidney');
    }
  });

  it('with a dish that stands lukewarm for hours is not safe, and one that cools off is cautioned', async () => {
    const standing = (minutes: number): Dish => ({
      ...plainGrain('grain'),
      lands: { step: 'rest', waits: waits('warm', minutes, 400, 'covered') },
    });
    const meal = mealOf([standing(400)], {
      kitchen: oneCook,
      hour: '20:00',
      pins: [{ key: 'grain/rest', start: -200 }],
    });
    const list = findingsOf(meal, await planned(meal));
    expect(list[0]).toMatchObject({ weight: 'hard', id: 'danger grain' });
    expect(ids(await found([standing(60)]))).not.toContain('danger');
  });

  it('says of grain how what is left is kept, and of what is cooked a day before how it is cooled', async () => {
    const rice = makeDish(techniqueOf('absorption'), { id: 'rice', name: 'Rice', servings: 4 });
    expect(ids(await found([rice]))).toEqual(['grain']);
  });
});

describe('what is passed over', () => {
  it('stays in sight with its mark', async () => {
    const rice = makeDish(techniqueOf('absorption'), { id: 'rice', name: 'Rice', servings: 4 });
    const list = await found([rice]);
    const { open, passedOver } = heeded({ passedOver: ['grain', 'gone'] }, list);
    expect(open).toEqual([]);
    expect(passedOver).toEqual(list);
  });
});

describe('the allergens of a meal', () => {
  it('are told with the dishes that hold them', () => {
    const fish = SHELF.find(({ name }) => name === 'White fish in paper')!;
    const yogurt = SHELF.find(({ name }) => name === 'Cucumber yogurt')!;
    expect(allergensOfMeal([fish, yogurt])).toEqual([
      ['fish', ['White fish in paper']],
      ['milk', ['White fish in paper', 'Cucumber yogurt']],
    ]);
  });
});

describe('cautions that a writer has left out', () => {
  const bare = marinated(60, 'rest');
  const cautions = (id: string) => missingCautions(bare, bare.steps.find((step) => step.id === id)!).join(' ');

  it('stand at the step where the work can hurt', () => {
    expect(cautions('rub')).toContain('wash board');
    expect(cautions('fry')).toContain('Hot fat');
    expect(cautions('fry')).toContain('63 °C, and 3 minutes');
    expect(cautions('lie')).toBe('');
  });

  it('are not said twice', () => {
    const written = { ...bare, steps: bare.steps.map((step) => ({ ...step, cautions: missingCautions(bare, step) })) };
    for (const step of written.steps) expect(missingCautions(written, step)).toEqual([]);
  });
});

describe('a pot that is a little too small', () => {
  const kitchen = (widthCm: number) => ({
    ...oneCook,
    vessels: [
      ...oneCook.vessels.filter(({ kind }) => kind !== 'pan'),
      { id: 'pan', name: 'The old pan', kind: 'pan', litres: 3, widthCm, count: 1 } as const,
    ],
  });
  const wide = 26;
  const plain = friedGreens(10);
  const greens = {
    ...plain,
    vessels: plain.vessels.map((use) => ({ ...use, need: { ...use.need, widthCm: wide } })),
  };

  it('is a caution that says what it misses and what to do, and no refusal', async () => {
    const told = await found([greens], { kitchen: kitchen(wide - 1) });
    expect(told.filter(({ id }) => id.startsWith('tight')).map(({ weight, says }) => [weight, says])).toEqual([
      ['caution', expect.stringContaining('the old pan is 1 cm too narrow')],
    ]);
  });

  it('is not told of one that fits', async () => {
    expect(ids(await found([greens], { kitchen: kitchen(wide) }))).not.toContain('tight');
  });
});

describe('what a step handles', () => {
  it('is known to be heated after it, or not', () => {
    expect(isHeatedAfter(marinated(60, 'rest'), 'rub')).toBe(true);
    expect(isHeatedAfter(marinated(60, 'rest'), 'fry')).toBe(false);
    expect(isHeatedAfter(relish, 'chop')).toBe(false);
  });
});
