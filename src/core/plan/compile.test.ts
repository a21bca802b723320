import { describe, expect, it } from 'vitest';
import { atOnce, chop, dish, follow, fry, item, leave, pot, simmer, waits, work } from '@/core/dish/write';
import type { Meal } from '@/core/meal/meal';
import type { Problem } from '@/core/schedule/problem';
import { TEST_CLOCK } from '@/core/testing/clock';
import { baked, drainedGrain, mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { compile } from './compile';
import type { Plan } from './plan';
import { planMeal } from './plan-meal';

function problemOf(meal: Meal): Problem {
  const compiled = compile(meal);
  if (!compiled.ok) throw new Error(compiled.refusals[0]!.sentence);
  return compiled.problem;
}

const at = (plan: Plan, key: string) => plan.steps.find((step) => step.key === key)!;

const stock = dish({
  id: 'stock',
  name: 'Stock',
  servings: 4,
  ingredients: [item('bones', 1, 'kg', 'bones')],
  steps: [
    simmer('boil', 'boil', 'low', 40, 'Simmer.', { vessel: 'pot', uses: ['bones'] }),
    work('strain', 'strain', 5, 'Strain.', { vessel: 'pot' }),
  ],
  links: [follow('boil', 'strain', 0, 20)],
  vessels: [pot('pot', 'pot', ['pot'], 3, 'boil', 'strain')],
  gives: [{ product: 'stock', name: 'stock', step: 'strain', amount: { quantity: 1, unit: 'l' } }],
  lands: null,
});

const barley = dish({
  id: 'barley',
  name: 'Barley',
  servings: 4,
  ingredients: [item('barley', 300, 'g', 'barley')],
  steps: [
    fry('toast', 'toast', 'medium', 6, 'Toast.', { vessel: 'pot', uses: ['barley'] }),
    leave('cook', 'simmer', 'low', 30, 'Cover.', { vessel: 'pot' }),
  ],
  links: atOnce('toast', 'cook'),
  vessels: [pot('pot', 'pot', ['pot'], 3, 'toast', 'cook')],
  takes: [
    {
      product: 'stock',
      step: 'cook',
      amount: { quantity: 0.8, unit: 'l' },
      withinMinutes: 45,
      otherwise: 'water and a bay leaf',
    },
  ],
  lands: { step: 'cook', waits: waits('hot', 10, 20, 'covered') },
});

describe('compile and read', () => {
  it('keeps a soak within its shortest and longest minutes', async () => {
    const plan = await planned(mealOf([plainGrain()]));
    const soak = at(plan, 'grain/soak');
    const boil = at(plan, 'grain/boil');
    expect(boil.start - soak.start).toBeGreaterThanOrEqual(20);
    expect(boil.start - soak.start).toBeLessThanOrEqual(60);
  });

  it('lets what rests go on resting for as long as it bears, before what follows may wait: counted from its beginning', () => {
    const plain = plainGrain();
    const steps = plain.steps.map((step) =>
      step.id === 'soak' ? { ...step, minutes: { shortest: 20, likely: 30, longest: 50 } } : step,
    );
    const meal = mealOf([{ ...plain, steps }]);
    const mostAfterSoak = (lasted?: number) => {
      const compiled = compile(meal, {
        ...(lasted === undefined
          ? {}
          : {
              progress: {
                now: -40,
                running: new Map(),
                done: new Map([
                  ['grain/wash', { start: -120, end: -116 }],
                  ['grain/soak', { start: -116, end: -116 + lasted }],
                ]),
              },
            }),
      });
      if (!compiled.ok) throw new Error('refused');
      const { links, ready, steps } = compiled.likely;
      const link = links.find(({ from, to }) => from === 'grain/soak' && to === 'grain/boil');
      if (link) return link.max;
      const wish = ready.find(({ step, early }) => step === 'grain/boil' && early === 0)!;
      const { minutes } = steps.find(({ id }) => id === 'grain/boil')!;
      return wish.by - minutes + compiled.origin - (-116 + lasted!);
    };
    // 40 minutes it may wait after its soak, and 20 longer it may soak.
    expect(mostAfterSoak()).toBe(60);
    expect(mostAfterSoak(30)).toBe(60);
    expect(mostAfterSoak(45)).toBe(45);
    expect(mostAfterSoak(70)).toBe(40);
    // Raw meat does not lie about the longer for it.
    const meat = { ...plain, ingredients: [item('millet', 300, 'g', 'minced beef'), ...plain.ingredients.slice(1)] };
    const raw = compile(mealOf([{ ...meat, steps }]));
    if (!raw.ok) throw new Error('refused');
    expect(raw.likely.links.find(({ from, to }) => from === 'grain/soak' && to === 'grain/boil')!.max).toBe(40);
  });

  it('never lets drained grain stand longer than five minutes, with every burner wanted', async () => {
    const plan = await planned(mealOf([drainedGrain(), plainGrain('a'), plainGrain('b')]));
    const gap = at(plan, 'drained/steam').start - at(plan, 'drained/drain').end;
    expect(gap).toBeGreaterThanOrEqual(0);
    expect(gap).toBeLessThanOrEqual(5);
    expect(at(plan, 'drained/drain').start).toBe(at(plan, 'drained/parboil').end);
  });

  it('has the stock strained before another dish takes it, and not too long before', async () => {
    const plan = await planned(mealOf([barley, stock]));
    const handed = at(plan, 'stock/strain').end;
    const taken = at(plan, 'barley/cook').start;
    expect(taken - handed).toBeGreaterThanOrEqual(0);
    expect(taken - handed).toBeLessThanOrEqual(45);
    expect(at(plan, 'barley/cook').amounts).toContain('800 ml stock');
  });

  it('has a stock that nobody takes done with before the guests sit down', async () => {
    const kitchen = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    const plan = await planned(mealOf([plainGrain('a'), plainGrain('b'), stock], { kitchen }));
    expect(at(plan, 'stock/strain').end).toBeLessThanOrEqual(0);
    expect(plan.landings.map(({ dishId }) => dishId)).not.toContain('stock');
  });

  it('says what to use when no dish gives the stock', async () => {
    const plan = await planned(mealOf([barley]));
    expect(at(plan, 'barley/cook').amounts.join()).toContain('water and a bay leaf');
  });

  it('keeps a pot from its first step to the last and then until it is washed', async () => {
    const one = { ...smallKitchen, vessels: smallKitchen.vessels.map((vessel) => ({ ...vessel, count: 1 })) };
    const plan = await planned(mealOf([plainGrain('a'), plainGrain('b')], { kitchen: one }));
    const span = (id: string) => [at(plan, `${id}/boil`).start, at(plan, `${id}/rest`).end] as const;
    const [first, second] = [span('a'), span('b')].sort((x, y) => x[0] - y[0]) as [
      readonly [number, number],
      readonly [number, number],
    ];
    expect(second[0] - first[1]).toBeGreaterThanOrEqual(5);
  });

  it('cuts batches into parts, one after another, as many as the people need', async () => {
    const flatbread = dish({
      id: 'bread',
      name: 'Flatbread',
      servings: 4,
      ingredients: [],
      steps: [fry('bake', 'bake', 'full', 6, 'Bake.', { perBatch: 2, vessel: 'pan' })],
      links: [],
      vessels: [pot('pan', 'pan', ['pan'], 1, 'bake', 'bake', { grows: false })],
      lands: { step: 'bake', waits: waits('hot', 10, 20, 'in a cloth') },
    });
    const plan = await planned(mealOf([flatbread], { people: 7 }));
    const batches = plan.steps.filter((step) => step.key.startsWith('bread/bake'));
    expect(batches.map((step) => step.name)).toEqual(['bake 1/4', 'bake 2/4', 'bake 3/4', 'bake 4/4']);
    for (const [index, batch] of batches.slice(1).entries()) {
      expect(batch.start).toBeGreaterThanOrEqual(batches[index]!.end);
    }
  });

  it('shares an oven within ten degrees and never between farther temperatures', async () => {
    const near = problemOf(mealOf([baked('a', 180, 30), baked('b', 190, 30)]));
    const values = (problem: Problem) =>
      new Set(problem.steps.flatMap((step) => (step.state ? [step.state.value] : [])));
    expect(values(near).size).toBe(1);
    const meal = mealOf([baked('a', 150, 60), baked('b', 200, 20)]);
    expect(values(problemOf(meal)).size).toBe(2);
    const plan = await planned(meal);
    const [a, b] = [at(plan, 'a/bake'), at(plan, 'b/bake')];
    expect(a.end <= b.start || b.end <= a.start).toBe(true);
    const between = [...plan.steps].filter((step) => step.key.endsWith('~warm'));
    expect(between).toHaveLength(2);
    expect(between.map(({ minutes }) => minutes).sort((a, b) => a - b)).toEqual([7, 12]);
  });

  it('lets an oven that is hotter at another time come down, and says how', async () => {
    const plan = await planned(mealOf([baked('a', 200, 40), baked('b', 80, 20)]));
    const [hot, low] = [at(plan, 'a/bake~warm'), at(plan, 'b/bake~warm')];
    expect([hot.minutes, low.minutes]).toEqual([12, 12]);
    expect(hot.says).not.toContain('ajar');
    expect(low.says).toMatch(
      /^Set the oven to 80 °C and let it warm through\. While it is hotter than that, leave its door ajar, where its maker allows it\.$/,
    );
    const alone = await planned(mealOf([baked('b', 80, 20)]));
    expect(at(alone, 'b/bake~warm')).toMatchObject({ minutes: 3, says: expect.not.stringContaining('ajar') });
  });

  it('puts the work of the day before on that day', async () => {
    const cured = dish({
      id: 'cured',
      name: 'Cured fish',
      servings: 4,
      ingredients: [],
      steps: [
        chop('salt', 'salt', 10, 'Salt it.', { ahead: true, daysBefore: 1 }),
        chop('slice', 'slice', 10, 'Slice it.'),
      ],
      links: [follow('salt', 'slice', 600)],
      lands: { step: 'slice', waits: waits('cold', 120, 240, 'chilled') },
    });
    const plan = await planned(mealOf([cured]));
    const salt = at(plan, 'cured/salt').start;
    // The table is at 19:00: the day before runs from 43 to 19 hours ahead of it.
    expect(salt).toBeGreaterThanOrEqual(-43 * 60);
    expect(salt).toBeLessThan(-19 * 60);
    expect(plan.firstHand).toBeGreaterThan(-19 * 60);
  });

  it('lets the pace stretch hands-on minutes and the breath after them', () => {
    const chopping = (pace: Meal['pace']) => problemOf(mealOf([plainGrain()], { pace })).steps[0]!.minutes;
    expect(chopping('brisk')).toBe(4);
    expect(chopping('steady')).toBe(5);
    expect(chopping('relaxed')).toBe(5);
    const breaths = (pace: Meal['pace']) =>
      problemOf(mealOf([plainGrain()], { pace })).holds.find((hold) => hold.id === 'who grain/wash')!.after;
    expect(breaths('relaxed')).toBeGreaterThan(breaths('brisk'));
  });

  it('does not put a wide pot on a narrow burner', () => {
    const wide = dish({
      ...plainGrain(),
      vessels: [pot('pot', 'pan', ['pan'], 1, 'boil', 'rest', { widthCm: 24 })],
    });
    const { forbid } = problemOf(mealOf([wide]));
    expect(forbid).toContainEqual([
      { hold: 'vessel grain/pot', unit: 'vessel:pan#1' },
      { step: 'grain/cover', need: 0, unit: 'burner:small' },
    ]);
  });
});

describe('what makes a meal impossible is said in a sentence', () => {
  const refusal = (meal: Meal) => {
    const compiled = compile(meal);
    return compiled.ok ? '' : compiled.refusals.map(({ where, sentence }) => `${where}: ${sentence}`).join('\n');
  };

  it.each<[string, Meal, RegExp]>([
    ['a pot too small', mealOf([plainGrain()], { people: 12 }), /Grain grain for 12 needs a pot of 6 l.*4 l/],
    ['nobody to feed', mealOf([plainGrain()], { people: 0 }), /whole number from 1 to 200/],
    ['no dishes', mealOf([]), /at least one dish/],
    ['two dishes alike', mealOf([plainGrain(), plainGrain()]), /share the id "grain"/],
    [
      'no burner that simmers low enough',
      mealOf([plainGrain()], {
        kitchen: { ...smallKitchen, burners: smallKitchen.burners.map((each) => ({ ...each, gentle: false })) },
      }),
      /wants lowest heat/,
    ],
    ['no oven', mealOf([baked('a', 180, 30)], { kitchen: { ...smallKitchen, ovens: [] } }), /wants an oven/],
    [
      'no cook',
      mealOf([plainGrain()], {
        kitchen: { ...smallKitchen, people: [{ ...smallKitchen.people[0]!, role: 'helper' }] },
      }),
      /Someone must cook/,
    ],
  ])('%s', (_, meal, words) => {
    expect(refusal(meal)).toMatch(words);
  });
});

describe('a meal that cannot be', () => {
  it('is refused with what collides', async () => {
    // Two drained grains cannot wait, and both must be on the one burner with the one cook at once.
    const oneBurner = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    const twin = { ...drainedGrain(), id: 'twin', name: 'Its twin' };
    const bound = (id: string, other: string) => ({
      ...drainedGrain(),
      id,
      name: id === 'drained' ? 'Drained grain' : twin.name,
      gives: [{ product: `${id} water`, name: 'water', step: 'parboil', amount: { quantity: 1, unit: 'l' as const } }],
      takes: [
        {
          product: `${other} water`,
          step: 'steam',
          amount: { quantity: 1, unit: 'l' as const },
          withinMinutes: 12,
          otherwise: 'water',
        },
      ],
    });
    const meal = mealOf([bound('drained', 'twin'), bound('twin', 'drained')], { kitchen: oneBurner });
    const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 20 } });
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.refusals[0]!.sentence).toMatch(/cannot be cooked.*collide: .*“steam”.*Big burner/);
  });
});
