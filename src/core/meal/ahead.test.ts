import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { chop, dish, follow, fry, item, leave, overnight, pot, waits } from '@/core/dish/write';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { ALL_THAT_CAN, aheadPoints, asMadeAhead, madeAhead, stepsForTheDayBefore } from './ahead';
import { checkKitchen, checkMeal } from './check';
import type { Meal } from './meal';
import { inTheOven, moreGently } from './other-heat';

const stew = dish({
  id: 'stew',
  name: 'Bean stew',
  servings: 4,
  ingredients: [item('beans', 400, 'g', 'beans')],
  steps: [
    chop('chop', 'chop', 10, 'Chop.'),
    fry('brown', 'brown', 'medium', 8, 'Brown.', { vessel: 'pot' }),
    leave('simmer', 'simmer', 'lowest', [50, 60, 80], 'Simmer.', { vessel: 'pot', uses: ['beans'] }),
    chop('taste', 'taste', 3, 'Taste.', { vessel: 'pot', by: 'cook' }),
  ],
  links: [
    follow('chop', 'brown', 0, 120),
    follow('brown', 'simmer', 0, 0),
    overnight(follow('simmer', 'taste', 0, 30)),
  ],
  vessels: [pot('pot', 'pot', ['pot', 'casserole'], 3, 'brown', 'taste')],
  lands: { step: 'taste', waits: waits('hot', 10, 20, 'covered') },
});

describe('the day before', () => {
  it('takes all up to where the dish may stand overnight, and nothing where it may not', () => {
    expect([...stepsForTheDayBefore(stew)].sort()).toEqual(['brown', 'chop', 'simmer']);
    expect(stepsForTheDayBefore(plainGrain()).size).toBe(0);
    const noPoint = { ...stew, links: stew.links.map(({ overnight: _, ...link }) => link) };
    expect(stepsForTheDayBefore(noPoint).size).toBe(0);
  });

  it('takes nothing that another dish gives or wants', () => {
    const giver = {
      ...stew,
      gives: [{ product: 'beans', name: 'beans', step: 'simmer', amount: item('x', 1, 'l', 'x').amount }],
    };
    expect(stepsForTheDayBefore(giver).size).toBe(0);
  });

  it('cools and heats through what was cooked, in a vessel of each day', () => {
    const made = madeAhead(stew, stepsForTheDayBefore(stew));
    expect(checkDish(made)).toEqual([]);
    expect(made.steps.find(({ id }) => id === 'simmer-cool')?.cautions.join(' ')).toMatch(/within two hours/);
    const again = made.steps.find(({ id }) => id === 'simmer-again')!;
    expect(again.cautions.join(' ')).toMatch(/74 °C/);
    expect(made.vessels.map(({ id, from, to }) => [id, from, to])).toEqual([
      ['pot', 'brown', 'simmer'],
      ['pot-day', 'simmer-again', 'taste'],
    ]);
    expect(made.links).toContainEqual(expect.objectContaining({ from: 'simmer-again', to: 'taste', max: 30 }));
  });

  it('is planned in the evening before, and the day has only the rest', async () => {
    const plan = await planned(mealOf([madeAhead(stew, stepsForTheDayBefore(stew)), plainGrain()]));
    const midnight = -19 * 60;
    for (const step of plan.steps.filter(({ dishId }) => dishId === 'stew')) {
      const early =
        ['chop', 'brown', 'simmer'].some((id) => step.key.startsWith(`stew/${id}`)) && !step.key.includes('again');
      if (early) expect(step.end, step.key).toBeLessThanOrEqual(midnight);
      else expect(step.start, step.key).toBeGreaterThan(midnight);
    }
    expect(plan.landings.every(({ late }) => late === 0)).toBe(true);
  });

  it('makes sound dishes of all samples it can make ahead', () => {
    const dishes = SAMPLE_MEALS.flatMap((meal) => meal.dishes).filter((each) => stepsForTheDayBefore(each).size > 0);
    expect(dishes.length).toBeGreaterThan(6);
    for (const each of dishes) {
      for (const point of aheadPoints(each)) {
        for (const way of [{ days: 1 }, { days: 3 }, { days: 2, frozen: true }])
          expect(checkDish(madeAhead(each, point.steps, way)), each.name).toEqual([]);
      }
    }
  });
});

describe('points and days', () => {
  it('are the steps after which the dish may stand, the longest first, each closed under what it needs', () => {
    expect(aheadPoints(stew).map(({ upTo }) => upTo)).toEqual(['simmer']);
    for (const each of SAMPLE_MEALS.flatMap(({ dishes }) => dishes)) {
      for (const { upTo, steps } of aheadPoints(each)) {
        expect(upTo === ALL_THAT_CAN || steps.has(upTo)).toBe(true);
        for (const link of each.links) if (steps.has(link.to)) expect(steps.has(link.from), link.from).toBe(true);
      }
    }
  });

  it('change a meal only where they are chosen, and only dishes that can', () => {
    const meal = mealOf([stew, plainGrain()]);
    expect(asMadeAhead(meal)).toBe(meal);
    const ahead = [
      { dish: 'stew', upTo: 'simmer', days: 2 },
      { dish: 'grain', upTo: 'boil', days: 1 },
      { dish: 'gone', upTo: 'x', days: 1 },
    ];
    const made = asMadeAhead({ ...meal, ahead });
    expect(made.dishes[1]).toBe(meal.dishes[1]);
    expect(made.dishes[0]!.steps.find(({ id }) => id === 'brown')?.daysBefore).toBe(2);
  });

  it('a cold dish made whole on the day before stands ready in the fridge, and waits for nothing too long', async () => {
    const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === 'harvest')!;
    const cold = sample.dishes.filter(({ lands }) => lands?.waits.served === 'cold');
    const whole = cold.flatMap((each) =>
      aheadPoints(each)
        .filter(({ steps }) => steps.size === each.steps.length)
        .map(({ upTo }) => ({ dish: each.id, upTo, days: 2 })),
    );
    expect(whole.length).toBeGreaterThan(0);
    const plan = await planned(asMadeAhead(mealOf(cold, { kitchen: sample.kitchen, ahead: whole })));
    for (const { dish: id } of whole) {
      const landing = plan.landings.find(({ dishId }) => dishId === id)!;
      expect(landing.fine).toBe('well');
      expect(landing.waits).toBeGreaterThan(1440);
    }
  });

  it('frozen, it is taken out the evening before and has the night to thaw', async () => {
    const meal = mealOf([stew], { ahead: [{ dish: 'stew', upTo: 'simmer', days: 3, frozen: true }] });
    const plan = await planned(asMadeAhead(meal));
    const at = (id: string) => plan.steps.find(({ key }) => key === `stew/${id}`)!;
    expect(at('simmer-away').end).toBeLessThanOrEqual(-19 * 60 - 2 * 1440);
    expect(at('simmer-thaw').start).toBeGreaterThanOrEqual(-19 * 60 - 1440);
    expect(at('simmer-again').start - at('simmer-thaw').end).toBeGreaterThanOrEqual(600);
  });

  it('a table in the hours of sleep, or a sleep of all day, is refused in a sentence', () => {
    const asleep = { from: '18:30', until: '06:00' };
    const meal = mealOf([plainGrain()], { kitchen: { ...smallKitchen, asleep } });
    expect(checkMeal(meal).map(({ sentence }) => sentence)).toEqual([
      'The table is laid at 19:00, when the household sleeps (18:30 to 06:00). Choose another hour, or change the hours of sleep in the kitchen.',
    ]);
    expect(checkMeal({ ...meal, hour: '18:30' })).toEqual([]);
    const all = { ...smallKitchen, asleep: { from: '07:00', until: '07:00' } };
    expect(checkKitchen(all)[0]?.sentence).toMatch(/the two hours must differ/);
  });

  it('while the household sleeps nobody works and nothing is left on the heat', async () => {
    const kitchen = { ...smallKitchen, asleep: { from: '20:30', until: '16:00' } };
    const people = kitchen.people.map((person) => ({ ...person, from: '00:00', until: '23:59' }));
    const ahead = [{ dish: 'stew', upTo: 'simmer', days: 1 }];
    const plan = await planned(asMadeAhead(mealOf([stew], { kitchen: { ...kitchen, people }, ahead })));
    const eve = plan.steps.filter(({ end }) => end < -19 * 60);
    expect(eve.length).toBeGreaterThan(3);
    for (const { key, start, end } of eve.filter(({ station }) => station.sort !== 'shelf')) {
      expect(start, key).toBeGreaterThanOrEqual(-1440 - 180);
      expect(end, key).toBeLessThanOrEqual(-1440 + 90);
    }
  });
});

describe('elsewhere', () => {
  const casserole = { id: 'c', name: 'casserole', kind: 'casserole', litres: 5, widthCm: 26, count: 1 } as const;

  it('moves a long gentle simmer into the oven where a casserole fits, and says that it is hot', () => {
    expect(inTheOven(stew, smallKitchen)).toEqual([]);
    const [moved] = inTheOven(stew, { ...smallKitchen, vessels: [...smallKitchen.vessels, casserole] });
    const step = moved?.dish.steps.find(({ id }) => id === 'simmer');
    expect(step?.place).toEqual({ at: 'oven', celsius: 140, shelves: 1 });
    expect(step?.cautions.join(' ')).toMatch(/hot/);
    expect(moved?.dish.vessels[0]?.need.kinds).toEqual(['casserole']);
    expect(checkDish(moved!.dish)).toEqual([]);
    expect(inTheOven(stew, { ...smallKitchen, ovens: [], vessels: [casserole] })).toEqual([]);
  });

  it('lets a medium simmer go gently and longer, but not what must come to the boil', () => {
    expect(moreGently(stew)).toEqual([]);
    const place = { at: 'burner', heat: 'medium' } as const;
    const faster = { ...stew, steps: stew.steps.map((step) => (step.id === 'simmer' ? { ...step, place } : step)) };
    const [moved] = moreGently(faster);
    const step = moved?.dish.steps.find(({ id }) => id === 'simmer');
    expect(step).toMatchObject({ place: { heat: 'low' }, minutes: { shortest: 50, likely: 75, longest: 100 } });
    const boils = {
      ...faster,
      links: faster.links.map((link) => (link.from === 'simmer' ? { ...link, max: 0 } : link)),
    };
    expect(moreGently(boils)).toEqual([]);
  });
});

describe('a stock made two days before', () => {
  const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === 'harvest')!;
  const meal: Meal = { ...sample.setting, day: '2026-11-28', kitchen: sample.kitchen, dishes: sample.dishes };
  const stock = meal.dishes.find(({ id }) => id === 'mushroom-stock')!;

  it('can be made ahead whole; what a roast gives cannot, for it comes with the roast', () => {
    const [point] = aheadPoints(stock);
    expect([...point!.steps].sort()).toEqual(stock.steps.map(({ id }) => id).sort());
    const pork = SAMPLE_MEALS.flatMap(({ dishes }) => dishes).find(({ name }) => name === 'Slow pork shoulder')!;
    const given = pork.gives[0]!.step;
    for (const { steps } of aheadPoints(pork)) expect(steps.has(given)).toBe(false);
  });

  it('is cooled and put away, heated through in a pot on the day, and only then given to the barley', async () => {
    const { upTo } = aheadPoints(stock)[0]!;
    const made = asMadeAhead({ ...meal, ahead: [{ dish: stock.id, upTo, days: 2 }] });
    const dish = made.dishes.find(({ id }) => id === stock.id)!;
    expect(checkDish(dish)).toEqual([]);
    expect(dish.gives.map(({ step }) => step)).toEqual(['strain-again']);
    const plan = await planned(made, 5, 4);
    const at = (key: string) => plan.steps.find((step) => step.key === key)!;
    expect(at('mushroom-stock/strain').end).toBeLessThan(-1440);
    expect(at('mushroom-stock/strain-away').end - at('mushroom-stock/strain').end).toBeLessThanOrEqual(120);
    const again = at('mushroom-stock/strain-again');
    expect(again.start).toBeGreaterThan(-600);
    expect(again.station.sort).toBe('burner');
    expect(again.vessel).toMatch(/pot/);
    const barley = plan.steps.find((step) => step.key === 'barley/boil')!;
    expect(barley.start).toBeGreaterThanOrEqual(again.end);
  }, 60_000);
});
