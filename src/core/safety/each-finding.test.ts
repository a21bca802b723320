import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { chill, chop, dish, follow, fry, item, leave, pot, rest, waits, work } from '@/core/dish/write';
import { LIMITS } from '@/core/heat/safe-limits';
import { holdOfVessel, unitId } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import type { Landing, Plan, PlannedStep } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { allergensOfMeal, findingsOf, heeded, unknownOfMeal } from './findings';

// Each finding on a plan written by hand: what it is told of, what it is not told of, and its words.

const person = { id: 'cook', name: 'Ama' };

function step(dishOf: Dish, id: string, start: number, change: Partial<PlannedStep> = {}): PlannedStep {
  const written = dishOf.steps.find((each) => each.id === id)!;
  const minutes = written.minutes.likely;
  return {
    key: `${dishOf.id}/${id}`,
    kind: 'step',
    dishId: dishOf.id,
    dishName: dishOf.name,
    stepId: id,
    name: written.name,
    start,
    end: start + minutes,
    minutes,
    station: { sort: 'board', id: 'board', name: 'board' },
    person,
    ...change,
  } as PlannedStep;
}

const planOf = (change: Partial<Plan> = {}): Plan =>
  ({
    day: '2026-11-28',
    hour: '19:00',
    steps: [],
    landings: [],
    waitings: [],
    hands: [],
    known: { places: {}, holds: {} },
    ...change,
  }) as unknown as Plan;

const kitchen = largeKitchen;
const found = (dishes: readonly Dish[], plan: Partial<Plan> = {}, meal: Partial<Meal> = {}) =>
  findingsOf(mealOf(dishes, { kitchen, ...meal }), planOf(plan));
const only = (list: ReturnType<typeof found>, id: string) => list.filter((each) => each.id.startsWith(id));

const made = (id: string, foods: readonly string[], steps: Dish['steps'], change: Partial<Dish> = {}): Dish => ({
  ...dish({
    id,
    name: id,
    servings: 4,
    ingredients: foods.map((name, k) => item(`i${k}`, 400, 'g', name)),
    steps,
    links: steps.slice(1).map(({ id: to }, k) => follow(steps[k]!.id, to, 0, 60)),
    lands: { step: steps.at(-1)!.id, waits: waits('hot', 5, 10, 'covered') },
  }),
  ...change,
});

const thighs = made(
  'Thighs',
  ['chicken thighs'],
  [chop('cut', 'cut', 10, 'Cut them.', { uses: ['i0'] }), fry('fry', 'fry', 'full', 12, 'Fry them.')],
);
const salad = made('Salad', ['lettuce'], [chop('tear', 'tear', 5, 'Tear it.', { uses: ['i0'] })]);

describe('raw food that no heat reaches', () => {
  it.each([
    ['beef', 'hard', 'Cook it through'],
    ['salmon', 'caution', 'Raw only on purpose'],
    ['prawns', 'caution', 'Raw only on purpose'],
    ['mussels', 'caution', 'Raw only on purpose'],
    ['eggs', 'caution', 'Raw only on purpose'],
  ])('%s: %s', (food, weight, fix) => {
    const raw = made('Raw', [food], [chop('cut', 'cut', 5, 'Cut it.', { uses: ['i0'] })]);
    const [told] = only(found([raw]), 'raw ');
    expect(told).toMatchObject({ weight, step: 'Raw/cut', dish: 'Raw' });
    expect(told!.fix).toContain(fix);
    // Given on, it is heated where it is taken; cooked, there is nothing to say.
    expect(only(found([{ ...raw, lands: null }]), 'raw ')).toEqual([]);
  });

  it('says nothing of what is fried', () => {
    expect(only(found([thighs]), 'raw ')).toEqual([]);
  });
});

describe('raw food that lies ready', () => {
  const waiting = (minutes: number, after = 'Thighs/cut') => ({
    steps: [step(thighs, 'cut', -120), step(thighs, 'fry', -20), step(salad, 'tear', -60)],
    waitings: [{ after, from: -110, to: -110 + minutes }] as unknown as Plan['waitings'],
  });

  it('is told with its clock, of the step before, raw and off the heat only', () => {
    const [told] = only(found([thighs, salad], waiting(31)), 'raw-waits');
    expect(told).toMatchObject({ id: 'raw-waits Thighs/cut', dish: 'Thighs', weight: 'caution' });
    expect(told!.says).toBe('Thighs lies ready from 17:10 to 17:41, raw.');
    expect(told!.fix).toContain('17:41');
    expect(told!.limit).toBe(LIMITS.dangerZone);
    for (const [minutes, after] of [
      [30, 'Thighs/cut'],
      [31, 'Thighs/fry'],
      [31, 'Salad/tear'],
      [31, 'nothing/there'],
    ] as const)
      expect(only(found([thighs, salad], waiting(minutes, after)), 'raw-waits'), `${after} ${minutes}`).toEqual([]);
    // Of a dish that is not on the menu any more.
    expect(only(found([salad], waiting(31)), 'raw-waits')).toEqual([]);
  });

  it('has half as long where the air is hot', () => {
    const limitAt = (roomCelsius: number) => only(found([thighs], waiting(31), { roomCelsius }), 'raw-waits')[0]!.limit;
    expect([limitAt(33), limitAt(32)]).toEqual([LIMITS.dangerZoneHot, LIMITS.dangerZone]);
  });
});

describe('one pair of hands at one board', () => {
  const board = (rawStart: number, readyStart: number, change: Partial<PlannedStep> = {}, other: Dish = salad) => {
    const id = other.steps[0]!.id;
    const steps = [step(thighs, 'cut', rawStart), step(other, id, readyStart, change)];
    const busy = steps.map(({ key, start, end }) => ({ key, start, end })).reverse();
    return found([thighs, other], { steps, hands: [{ name: 'Ama', busy }] as unknown as Plan['hands'] });
  };

  it('goes from raw to ready only washed, and the other way as it likes', () => {
    const [told] = only(board(-60, -40), 'board');
    expect(told).toMatchObject({ id: 'board Salad/tear', dish: 'Salad', step: 'Salad/tear' });
    expect(told!.says).toBe('“tear” (Salad) comes after the raw meat or fish of Thighs in the same hands: Ama.');
    expect(only(board(-40, -60), 'board')).toEqual([]);
  });

  it.each([
    ['long after, when it is washed anyway', 91, {}, salad],
    ['off the board', 10, { station: { sort: 'burner', id: 'b', name: 'b' } }, salad],
    ['nothing in hand', 10, {}, made('Salad', ['lettuce'], [chop('tear', 'tear', 5, 'Lay the table.')])],
    [
      'what is cooked after',
      10,
      {},
      made(
        'Salad',
        ['leeks'],
        [chop('tear', 'cut', 5, 'Cut.', { uses: ['i0'] }), fry('fry', 'fry', 'full', 5, 'Fry.')],
      ),
    ],
  ] as const)('says nothing of %s', (_, after, change, other) => {
    expect(only(board(-200, -190 + after, change as Partial<PlannedStep>, other), 'board')).toEqual([]);
  });

  it('says nothing of what is given to a dish that heats it', () => {
    const base: Dish = {
      ...made('Base', ['leeks'], [chop('tear', 'cut', 5, 'Cut.', { uses: ['i0'] })]),
      gives: [
        { step: 'tear', product: 'base', name: 'base', amount: { quantity: 1, unit: 'l' } },
      ] as unknown as Dish['gives'],
    };
    expect(only(board(-60, -40, {}, base), 'board')).toEqual([]);
  });

  it('an hour and a half after it still does', () => {
    expect(only(board(-200, -100, {}), 'board')).toHaveLength(1);
  });
});

describe('at the table', () => {
  const landing = (change: Partial<Landing>) => ({
    landings: [
      {
        dishId: 'Salad',
        dishName: 'Salad',
        served: 'hot',
        waits: 5,
        celsius: { low: 70, likely: 75, high: 80 },
        ...change,
      },
    ] as unknown as Plan['landings'],
  });
  const cooler = { low: 40, likely: 59, high: 61 };

  it('cold food is not too cool, however long it waits', () => {
    expect(found([salad], landing({ served: 'cold', waits: 300, celsius: cooler }))).toEqual([]);
  });

  it('what nobody knows the warmth of is not safe after two hours, and one where the air is hot', () => {
    const { celsius: _, ...unknown } = { celsius: 0 };
    const bare = (waitsFor: number) => {
      const plan = landing({ waits: waitsFor, ...unknown });
      return { landings: plan.landings.map(({ celsius: __, ...rest }) => rest) as unknown as Plan['landings'] };
    };
    expect(only(found([salad], bare(121)), 'danger')[0]).toMatchObject({ weight: 'hard', limit: LIMITS.dangerZone });
    expect(only(found([salad], bare(121)), 'danger')[0]!.says).toBe(
      'Salad would stand 121 min between hot and cold; 120 in all are the most.',
    );
    expect(only(found([salad], bare(120)), 'danger')).toEqual([]);
    const hot = { roomCelsius: 35 };
    expect(only(found([salad], bare(61), hot), 'danger')[0]!.says).toBe(
      'Salad would stand 61 min between hot and cold; 60 in all are the most in such heat.',
    );
    expect(only(found([salad], bare(60), hot), 'danger')).toEqual([]);
    expect(only(found([salad], bare(20)), 'cool')).toEqual([]);
  });

  it.each([
    [120, 59, false],
    [121, 59, true],
    // The coolest guess decides, not the likely or the warmest.
    [121, 60, false],
  ])('for %d minutes at %d °C at the least', (waits_, low, told) => {
    const list = found([salad], landing({ waits: waits_, celsius: { low, likely: 65, high: 70 } }));
    expect(only(list, 'danger')).toHaveLength(told ? 1 : 0);
  });

  it('only hot food is said to have cooled, with its likely degrees', () => {
    const [told] = only(found([salad], landing({ celsius: cooler })), 'cool');
    expect(told!.says).toBe('Salad will be at about 59 °C when the table is laid.');
    expect(only(found([salad], landing({ celsius: cooler, served: 'warm' })), 'cool')).toEqual([]);
    expect(only(found([salad], landing({ celsius: { low: 50, likely: 60, high: 70 } })), 'cool')).toEqual([]);
  });

  it('what is not safe stands before what is only to be heeded', () => {
    const two = landing({ celsius: cooler }).landings[0]!;
    const list = found([salad, thighs], {
      landings: [two, { ...two, dishId: 'Thighs', dishName: 'Thighs', waits: 200 }] as unknown as Plan['landings'],
    });
    expect(list.map(({ id, weight }) => [id, weight])).toEqual([
      ['danger Thighs', 'hard'],
      ['cool Salad', 'caution'],
    ]);
  });
});

describe('a marinade', () => {
  const chops = (minutes: number, between: Dish['steps'] = [], heat = true) =>
    made(
      'Chops',
      ['pork chops'],
      [
        work('rub', 'rub', 5, 'Rub.', { uses: ['i0'] }),
        ...between,
        rest('lie', 'lie', minutes, 'Let it lie.'),
        ...(heat ? [fry('fry', 'fry', 'full', 8, 'Fry.')] : [chop('slice', 'slice', 5, 'Slice.')]),
      ],
    );

  it.each([
    [30, null],
    [31, 'caution'],
    [120, 'caution'],
    [121, 'hard'],
  ] as const)('of %d minutes in the room: %s', (minutes, weight) => {
    expect(only(found([chops(minutes)]), 'marinade').map((each) => each.weight)).toEqual(weight ? [weight] : []);
  });

  it('is none where it was cooked before, is not heated after, or nothing raw went in', () => {
    expect(only(found([chops(60, [fry('sear', 'sear', 'full', 9, 'Sear.')])]), 'marinade')).toEqual([]);
    expect(only(found([chops(60, [], false)]), 'marinade')).toEqual([]);
    const beans = made(
      'Beans',
      ['tofu'],
      [
        work('rub', 'rub', 5, 'Rub.', { uses: ['i0'] }),
        rest('lie', 'lie', 60, 'Let it lie.'),
        fry('fry', 'fry', 'full', 8, 'Fry.'),
      ],
    );
    expect(only(found([beans]), 'marinade')).toEqual([]);
    // What was rubbed elsewhere in the dish does not lie here.
    const two = made(
      'Two',
      ['pork chops', 'flour'],
      [
        work('rub', 'rub', 5, 'Rub.', { uses: ['i0'] }),
        fry('fry', 'fry', 'full', 8, 'Fry.'),
        work('knead', 'knead', 5, 'Knead.', { uses: ['i1'] }),
        rest('lie', 'rise', 60, 'Let it rise.'),
        fry('bake', 'bake', 'low', 8, 'Bake.'),
      ],
    );
    expect(only(found([two]), 'marinade')).toEqual([]);
  });
});

describe('dried beans', () => {
  const pot = (name: string, steps: Dish['steps']) => made('Pot', [name], steps);
  const boil = (minutes: number, heat: 'full' | 'medium' = 'full') =>
    fry('boil', 'boil', heat, [minutes, minutes, minutes], 'Boil.', { uses: ['i0'] });

  it.each([
    ['dried red kidney beans', LIMITS.kidneyBoil.minutes, 'hard', 'are poisonous'],
    ['dried black beans', LIMITS.beanBoil.minutes, 'caution', 'may be poisonous'],
  ] as const)('%s boil hard for %d minutes', (name, minutes, weight, words) => {
    const [told] = only(found([pot(name, [boil(minutes - 1)])]), 'kidney');
    expect(told).toMatchObject({ weight, id: 'kidney Pot' });
    expect(told!.says).toContain(words);
    expect(told!.fix).toContain(`boil them hard for ${minutes} minutes`);
    expect(only(found([pot(name, [boil(minutes)])]), 'kidney')).toEqual([]);
    const perhaps = fry('boil', 'boil', 'full', [minutes - 1, minutes + 20, minutes + 20], 'Boil.', { uses: ['i0'] });
    expect(only(found([pot(name, [perhaps])]), 'kidney')).toHaveLength(1);
    expect(only(found([pot(name, [boil(minutes, 'medium')])]), 'kidney')).toHaveLength(1);
    expect(only(found([pot(name, [leave('cook', 'cook', 'low', 90, 'Simmer.')])]), 'kidney')).toHaveLength(1);
  });

  it('of a tin are safe, the worst of two decides, and pressure is hot enough', () => {
    expect(only(found([pot('tinned red kidney beans', [boil(1)])]), 'kidney')).toEqual([]);
    const both = made('Both', ['dried black beans', 'dried red kidney beans'], [boil(LIMITS.beanBoil.minutes)]);
    expect(only(found([both]), 'kidney').map(({ weight }) => weight)).toEqual(['hard']);
    const under = (appliance: 'pressure-cooker' | 'slow-cooker') => ({
      ...boil(5),
      place: { at: 'appliance', appliance } as Dish['steps'][number]['place'],
    });
    expect(only(found([pot('dried red kidney beans', [under('pressure-cooker')])]), 'kidney')).toEqual([]);
    expect(only(found([pot('dried red kidney beans', [under('slow-cooker')])]), 'kidney')).toHaveLength(1);
  });
});

describe('what is cooked early, and what is left', () => {
  const stew = (daysBefore?: number, cold = false) =>
    made(
      'Stew',
      ['beef'],
      [
        {
          ...(cold
            ? chill('cook', 'chill', 60, 'In the cold.')
            : leave('cook', 'cook', 'low', 60, 'Simmer.', { uses: ['i0'] })),
          ...(daysBefore === undefined ? {} : { daysBefore }),
        },
      ],
    );

  it.each([
    [1, 'the day before'],
    [2, '2 days before'],
  ])('%d day before is said to be cooled fast', (days, words) => {
    expect(only(found([stew(days)]), 'overnight')[0]).toMatchObject({
      step: 'Stew/cook',
      says: `Stew is cooked ${words} and kept.`,
      limit: LIMITS.coolFirst,
    });
  });

  it('is nothing for what is cooked on the day, or only set into the cold before it', () => {
    expect(only(found([stew()]), 'overnight')).toEqual([]);
    expect(only(found([stew(1, true)]), 'overnight')).toEqual([]);
  });

  it('grain is named once with the dishes that are cooked of it and eaten here', () => {
    const pot = (id: string) => made(id, ['white rice'], [leave('cook', 'cook', 'low', 15, 'Cook.', { uses: ['i0'] })]);
    const [told, ...more] = only(found([pot('Rice'), pot('Pilaf'), stew()]), 'grain');
    expect(more).toEqual([]);
    expect(told!.says).toBe('What is left of Rice and Pilaf does not keep warm.');
    expect(only(found([{ ...pot('Base'), lands: null }]), 'grain')).toEqual([]);
    expect(
      only(found([made('Dry', ['white rice'], [chop('mix', 'mix', 5, 'Mix.', { uses: ['i0'] })])]), 'grain'),
    ).toEqual([]);
    expect(only(found([stew()]), 'grain')).toEqual([]);
  });
});

describe('cooking in the open', () => {
  it.each([
    ['tent', 'hard'],
    ['outdoors', 'caution'],
  ] as const)('in %s monoxide is %s, and wind is said', (where, weight) => {
    const list = found([salad], {}, { kitchen: { ...kitchen, where } });
    expect(list.map((each) => [each.id, each.weight])).toEqual([
      ['carbon-monoxide', weight],
      ['wind-and-ground', 'caution'],
    ]);
  });

  it('is not said in a house', () => {
    expect(found([salad])).toEqual([]);
  });
});

describe('who eats what', () => {
  it('allergens come in the order of the lists, each with its dishes, and what is passed over is kept apart', () => {
    const dishes = [
      made('Toast', ['butter', 'wheat flour'], [chop('a', 'a', 5, 'A.', { uses: ['i0', 'i1'] })]),
      made('Cream', ['cream'], [chop('a', 'a', 5, 'A.', { uses: ['i0'] })]),
    ];
    expect(allergensOfMeal(dishes)).toEqual([
      ['gluten', ['Toast']],
      ['milk', ['Toast', 'Cream']],
    ]);
    const list = found([salad], {}, { kitchen: { ...kitchen, where: 'tent' } });
    const { open, passedOver } = heeded({ passedOver: ['wind-and-ground'] }, list);
    expect([open.map(({ id }) => id), passedOver.map(({ id }) => id)]).toEqual([
      ['carbon-monoxide'],
      ['wind-and-ground'],
    ]);
    expect(heeded({}, list)).toEqual({ open: list, passedOver: [] });
  });

  it('a name that nobody knows is asked about, and its dish is free of nothing', () => {
    const odd = made('Odd', ['zworbel', 'lettuce'], [chop('a', 'a', 5, 'A.', { uses: ['i0'] })]);
    expect(unknownOfMeal([odd, salad])).toEqual([['Odd', ['zworbel']]]);
    const [told] = only(found([odd]), 'not-known');
    expect(told).toMatchObject({ weight: 'caution', dish: 'Odd', asks: { dishId: 'Odd', ingredient: 'i0' } });
    expect(told!.says).toBe('“zworbel” (Odd) is not known: what is it?');
  });
});

describe('what is handed from dish to dish', () => {
  const broth = (litres: number): Dish => ({
    ...made(
      'Broth',
      ['carrots'],
      [leave('boil', 'boil', 'low', 60, 'Boil.', { uses: ['i0'] }), chop('strain', 'strain', 5, 'Strain.')],
    ),
    lands: null,
    gives: [{ product: 'broth', name: 'clear broth', step: 'strain', amount: { quantity: litres, unit: 'l' } }],
  });
  const pilaf = (id: string, litres: number, grain = true): Dish => ({
    ...made(id, ['white rice'], [leave('cook', 'cook', 'low', 20, 'Cook.', { uses: ['i0'] })]),
    takes: [
      {
        product: 'broth',
        step: 'cook',
        amount: { quantity: litres, unit: 'l' },
        withinMinutes: null,
        otherwise: 'stock',
      },
    ],
    ...(grain
      ? {
          grain: {
            kind: 'long',
            method: 'drain',
            set: true,
            dry: 'i0',
            liquid: ['broth'],
            soaked: false,
          } as unknown as NonNullable<Dish['grain']>,
        }
      : {}),
  });
  const told = (dishes: readonly Dish[], plan: Partial<Plan> = {}) =>
    found(dishes, plan).filter(({ id }) => /^(missing|short|unused|late-part)/.test(id));

  it('is missing where nothing makes it', () => {
    const [missing, ...more] = told([pilaf('Pilaf', 0.6)]);
    expect(more).toEqual([]);
    expect(missing).toMatchObject({ weight: 'caution', dish: 'Pilaf', step: null });
    expect(missing!.says).toBe('Pilaf takes 600 ml stock, and no dish of this meal makes it.');
  });

  it('is short by what is lacking, in more broth and in less grain', () => {
    const [short, ...more] = told([broth(1), pilaf('Pilaf', 0.9), pilaf('Rice', 0.6)]);
    expect(more).toEqual([]);
    expect(short).toMatchObject({ id: expect.stringContaining('short'), weight: 'caution', dish: 'Broth' });
    expect(short!.says).toBe('Broth gives about 1 l, and 1.5 l is taken for Pilaf and Rice.');
    // A third of 2 x 400 g, as a scale shows it, is what the broth does not carry.
    expect(short!.fix).toBe(
      'Make 50 % more of it, top it up with 500 ml of boiling water and taste for salt, or take 270 g less grain.',
    );
    const [plain] = told([broth(1), pilaf('Soup', 1.5, false)]);
    expect(plain!.fix).toBe('Make 50 % more of it, top it up with 500 ml of boiling water and taste for salt.');
    expect(told([broth(1.5), pilaf('Pilaf', 0.9), pilaf('Rice', 0.6)])).toEqual([]);
  });

  it('is said to be for nothing where nobody takes it and it is no dish of its own', () => {
    expect(told([broth(1)]).map(({ says }) => says)).toEqual(['Nothing in this meal takes the clear broth of Broth.']);
    expect(told([{ ...broth(1), lands: { step: 'strain', waits: waits('hot', 5, 10, 'covered') } }])).toEqual([]);
  });

  it('is too late by so many minutes, counted from the last lot to the first that wants it', () => {
    const [soup, rice] = [broth(1), pilaf('Pilaf', 0.6)];
    const plan = (strained: number, cooked: number) => ({
      steps: [
        step(soup, 'strain', strained - 25),
        step(soup, 'strain', strained - 5),
        step(rice, 'cook', cooked),
        step(rice, 'cook', cooked + 20),
        step(soup, 'boil', 0),
      ],
    });
    const [late, ...more] = told([soup, rice], plan(-40, -47));
    expect(more).toEqual([]);
    expect(late).toMatchObject({ weight: 'hard', dish: 'Pilaf', step: 'Pilaf/cook' });
    expect(late!.says).toBe('Pilaf wants clear broth 7 min before Broth has it.');
    expect(told([soup, rice], plan(-40, -40))).toEqual([]);
    expect(told([soup, rice], plan(-40, -30))).toEqual([]);
    expect(told([soup, rice])).toEqual([]);
  });
});

describe('a pot that was taken because none is larger', () => {
  const potted: Dish = {
    ...made('Soup', ['carrots'], [leave('boil', 'boil', 'low', 60, 'Boil.', { uses: ['i0'] })]),
    vessels: [pot('pot', 'soup pot', ['pot'], 5, 'boil', 'boil', { widthCm: 20 })],
  };
  const use = potted.vessels[0]!;
  const told = (litres: number, widthCm: number, unit = unitId('vessel', 'mine')) =>
    found(
      [potted],
      { known: { places: {}, holds: { [holdOfVessel('Soup', use.id)]: unit } } as unknown as Plan['known'] },
      {
        kitchen: { ...kitchen, vessels: [{ id: 'mine', name: 'The old pot', kind: 'pot', litres, widthCm, count: 1 }] },
      },
    ).filter(({ id }) => id.startsWith('tight'));
  const { litres, widthCm } = use.need;

  it('too small is fuller, too narrow is closer, and what fits is not told', () => {
    const [small] = told(litres - 0.5, widthCm);
    expect(small!.says).toBe('Soup: the old pot is 0.5 l too small for the soup pot, and none here is larger.');
    expect(small!.fix).toContain('gentler flame');
    const [narrow] = told(litres, widthCm - 2);
    expect(narrow!.says).toContain('2 cm too narrow');
    expect(narrow!.fix).toContain('browns more slowly');
    expect(told(litres, widthCm)).toEqual([]);
    expect(told(litres - 0.5, widthCm, unitId('vessel', 'gone'))).toEqual([]);
  });
});

describe('the order of what is told', () => {
  it('allergens stand as in the lists, whichever dish comes first', () => {
    const dishes = [
      made('Cream', ['cream'], [chop('a', 'a', 5, 'A.', { uses: ['i0'] })]),
      made('Toast', ['wheat flour'], [chop('a', 'a', 5, 'A.', { uses: ['i0'] })]),
    ];
    expect(allergensOfMeal(dishes).map(([allergen]) => allergen)).toEqual(['gluten', 'milk']);
    expect(allergensOfMeal([])).toEqual([]);
  });

  it('hard ones stay in their own order, before the others', () => {
    const raw = (id: string, food: string) => made(id, [food], [chop('cut', 'cut', 5, 'Cut it.', { uses: ['i0'] })]);
    const list = found([raw('A', 'salmon'), raw('B', 'beef'), raw('C', 'eggs'), raw('D', 'pork')]);
    expect(list.map(({ dish: name, weight }) => `${name} ${weight}`)).toEqual([
      'B hard',
      'D hard',
      'A caution',
      'C caution',
    ]);
  });
});
