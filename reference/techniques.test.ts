import { describe, expect, it } from 'vitest';
import { cautionsAt } from '@/core/dish/cautions';
import type { Dish, Step } from '@/core/dish/dish';
import { aftersOf } from '@/core/dish/edit-steps';
import { grainParts } from '@/core/dish/grain-of';
import { makeDish } from '@/core/dish/parts';
import { measuredAt } from '@/core/dish/rules';
import { scaleDish } from '@/core/dish/scale';
import { TECHNIQUES, techniqueOf } from '@/core/dish/techniques/all';
import { BIRD } from '@/core/dish/techniques/stock-and-meat';
import { grainOf, litresDry, US_CUP } from '@/core/grain/grains';
import { methodOf } from '@/core/grain/methods';
import { minutesToBoil, USUAL_WATTS } from '@/core/heat/boil';
import { simmerFactor } from '@/core/heat/water';
import { madeAhead } from '@/core/meal/ahead';

/** Facts of the trade that the techniques must agree with: common practice, no source, unless one is named. */

const make = (technique: string, ways: Record<string, string> = {}, servings = 4): Dish =>
  makeDish(techniqueOf(technique), { id: technique, name: technique, servings }, { ways });

const step = (dish: Dish, id: string): Step => {
  const found = dish.steps.find((each) => each.id === id);
  if (!found) throw new Error(`${dish.name} has no step ${id}: ${dish.steps.map((each) => each.id).join(', ')}`);
  return found;
};

/** The likely minutes lie between two that cooks go by. */
const within = (dish: Dish, id: string, least: number, most: number) => {
  const { likely } = step(dish, id).minutes;
  expect(likely, `${dish.name}, ${id}`).toBeGreaterThanOrEqual(least);
  expect(likely, `${dish.name}, ${id}`).toBeLessThanOrEqual(most);
};

describe('onions, thin', () => {
  it.each([
    ['soft', 3, 5],
    ['golden', 8, 12],
    ['dark', 12, 20],
  ])('%s in %i to %i min', (onions, least, most) => {
    within(make('curry', { onions }), 'onions', least, most);
  });

  it('garlic and ginger come after them, for a minute or two on the same heat', () => {
    const dish = make('curry');
    expect(aftersOf(dish, 'spice').map((after) => after.step)).toEqual(['onions']);
    within(dish, 'spice', 1, 2);
  });

  it('crisp ones take patience and are fresh within half an hour', () => {
    const dish = make('crisp-onions');
    within(dish, 'fry', 10, 20);
    expect(dish.lands!.waits.mostMinutes).toBeLessThanOrEqual(30);
  });
});

describe('stock', () => {
  it.each([
    ['vegetables', 40, 60],
    ['poultry', 40, 90],
    ['shanks', 80, 120],
  ])('of %s simmers %i to %i min', (from, least, most) => {
    within(make('stock', { from }), 'simmer', least, most);
  });

  it('gives five parts of six, and is measured before anything takes it', () => {
    const dish = make('stock');
    const water = dish.ingredients.find(({ id }) => id === 'water')!.amount.quantity / 1000;
    const [give] = dish.gives;
    expect(give!.amount.quantity / water).toBeGreaterThan(0.75);
    expect(give!.amount.quantity / water).toBeLessThan(0.9);
    expect(step(dish, give!.step).says).toContain('measure');
  });

  it('in the pressure cooker takes about a third, and the pressure its own time', () => {
    for (const from of ['vegetables', 'poultry', 'shanks']) {
      const slow = step(make('stock', { from }), 'simmer').minutes.likely;
      const fast = step(make('stock-pressure', { from }), 'cook').minutes.likely;
      expect(fast).toBeGreaterThan(slow / 3);
      expect(fast).toBeLessThan(slow / 3 + 25);
    }
  });
});

describe('meat', () => {
  it('is browned three to five minutes a side, in batches', () => {
    const dish = make('braise');
    within(dish, 'brown', 6, 10);
    expect(step(dish, 'brown').grows.by).toBe('batches');
  });

  it('that is tough takes an hour, a look, and half an hour more; tender is a finding', () => {
    const dish = make('braise');
    within(dish, 'braise', 90, 120);
    expect(step(dish, 'braise').doneWhen).toContain('fork');
    expect(step(dish, 'braise').attention).toBe('eyes');
  });

  it('that was roasted rests ten minutes to half an hour', () => {
    for (const animal of ['whole', 'poultry']) within(make('roast', { animal }), 'rest', 10, 30);
  });

  it('in a braise waits an hour covered, better for it, and days in the cold', () => {
    const { waits } = make('braise').lands!;
    expect(waits.wellMinutes + 30).toBeGreaterThanOrEqual(60);
    expect(waits.overnight).toBe(true);
  });

  it('marinates in the cold', () => {
    for (const technique of ['roast', 'pan-meat']) {
      for (const rub of ['rub', 'night'])
        expect(step(make(technique, { rub }), 'lie').place.at, technique).toBe('cold');
    }
  });
});

describe('grain', () => {
  it('rests five to fifteen minutes before it is loosened', () => {
    for (const technique of ['absorption', 'pilaf', 'pilaf-oven', 'broth-grain', 'hard-boil', 'coconut-pulses']) {
      const dish = make(technique);
      within(dish, 'rest', 5, 15);
      expect(aftersOf(dish, 'fluff').map((after) => after.step)).toEqual(['rest']);
    }
  });

  it('boiled and drained waits five to ten minutes and no longer', () => {
    const dish = make('drain');
    within(dish, 'parboil', 5, 8);
    const [after] = aftersOf(dish, 'layer');
    expect(after!.within).toBeLessThanOrEqual(10);
    within(dish, 'steam', 20, 25);
    within(make('drain', { crust: 'thick' }), 'steam', 40, 50);
  });

  it('boiled hard is looked at after five minutes under its cloth', () => {
    const dish = make('hard-boil');
    within(dish, 'covered', 7, 10);
    expect(step(dish, 'covered').says).toContain('five minutes');
  });

  it('with pulses in coconut milk steams half an hour, never lifted, and rests fifteen', () => {
    const dish = make('coconut-pulses');
    within(dish, 'covered', 30, 30);
    within(dish, 'rest', 15, 15);
  });

  it('finished in the oven stands 25 to 30 min at 160 °C (325 °F, gas 3)', () => {
    const dish = make('pilaf-oven');
    within(dish, 'covered', 25, 30);
    expect(step(dish, 'covered').place).toMatchObject({ at: 'oven', celsius: 160 });
  });

  it('turned out settles fifteen to twenty minutes in a straight pot, and may be layered the night before', () => {
    const dish = make('turned-out');
    within(dish, 'settle', 15, 20);
    expect(dish.vessels.find(({ id }) => id === 'pot')!.need.straight).toBe(true);
    expect(dish.links.find(({ from, to }) => from === 'layer' && to === 'boil')!.overnight).toBe(true);
  });

  it('in the cooker needs no burner', () => {
    expect(make('rice-cooker').steps.every(({ place }) => place.at !== 'burner')).toBe(true);
    within(make('rice-cooker'), 'cook', 20, 30);
  });

  it('by the school’s ratio gets just that', () => {
    for (const [technique, method] of [
      ['absorption', 'covered'],
      ['pilaf', 'pilaf'],
      ['hard-boil', 'hard-boil'],
    ] as const) {
      const dish = make(technique, { measure: 'school' });
      const { grams, litres } = grainParts(dish)!;
      const [least, most] = methodOf(method).ratio;
      const ratio = litres / litresDry(grainOf(dish.grain!.kind), grams);
      expect(ratio, technique).toBeGreaterThan(least - 0.05);
      expect(ratio, technique).toBeLessThan(most + 0.05);
    }
  });

  it('is soaked within its range: too short does little, too long breaks it', () => {
    const dish = make('absorption', { kind: 'aged-long', soak: 'yes' });
    const [least, most] = grainOf('aged-long').soak!;
    expect(step(dish, 'soak').minutes).toMatchObject({ shortest: least, longest: most });
  });
});

describe('pulses', () => {
  it('soak eight hours at least from the evening before, and the water is thrown away', () => {
    const dish = make('pulses-soaked');
    within(dish, 'soak', 480, 960);
    expect(step(dish, 'cover').daysBefore).toBe(1);
    expect(step(dish, 'drain').says).toContain('away');
  });

  it('that are kidney beans boil hard for thirty minutes (FDA Bad Bug Book, from memory: ten at the very least)', () => {
    within(make('pulses-soaked', { which: 'kidney' }), 'rolling', 30, 30);
    within(make('pulses-soaked'), 'rolling', 10, 10);
  });

  it('unsoaked are lentils and split peas, done in half an hour or so', () => {
    within(make('pulses-quick'), 'cook', 20, 35);
    within(make('pulses-quick', { which: 'split' }), 'cook', 30, 45);
  });
});

describe('what waits, and what does not', () => {
  it.each([
    ['stir-fry', 2, 6],
    ['fish-seared', 2, 5],
    ['fried-layers', 45, 60],
    ['salad', 10, 40],
    ['relish', 120, 480],
    ['yogurt-side', 120, 480],
    ['greens', 2, 10],
  ])('%s: at least %i and at most %i min', (technique, least, most) => {
    const { wellMinutes, mostMinutes } = make(technique).lands!.waits;
    expect(wellMinutes).toBeGreaterThanOrEqual(least);
    expect(mostMinutes).toBeLessThanOrEqual(most);
  });

  it('leaves fall sooner than what is firm', () => {
    const most = (kind: string) => make('salad', { kind }).lands!.waits.mostMinutes;
    expect(most('leaves')).toBeLessThan(most('firm'));
  });
});

describe('hands, eyes and cautions', () => {
  it('quick fish takes two to four minutes', () => {
    within(make('fish-seared'), 'sear', 2, 4);
  });

  it('nuts and dried fruit five to eight, and hold all evening', () => {
    within(make('nuts'), 'fry', 5, 8);
    expect(make('nuts').lands!.waits.mostMinutes).toBeGreaterThanOrEqual(240);
  });

  it('everything that takes raw meat or fish in hand says to wash', () => {
    for (const technique of TECHNIQUES.filter(({ family }) => family === 'meat' || family === 'fish')) {
      const dish = make(technique.id);
      const cautions = dish.steps.flatMap((each) => cautionsAt(dish, each)).join(' ');
      expect(cautions, technique.id).toMatch(/wash board/i);
    }
  });

  it('everything grown in water and kept says how what is left is cooled', () => {
    for (const technique of TECHNIQUES.filter(({ family }) => family === 'grain')) {
      const cautions = make(technique.id)
        .steps.flatMap((each) => each.cautions)
        .join(' ');
      expect(cautions, technique.id).toMatch(/within the hour/);
    }
  });
});

/** Facts of the trade that were once told wrong; common practice, no source, unless one is named. */
describe('as many, as much, as long as it takes', () => {
  const forPeople = (dish: Dish, people: number) => scaleDish(dish, people);
  const bird = make('roast', { animal: 'poultry' });

  it('a bird: about twenty minutes for each half kilo and twenty more; for twelve as many as it takes, none over 2 kg', () => {
    // 330 g a head: one of 1.3 kg for four, two of 2 kg for twelve; one of 4 kg would take over two hours.
    const roast = (people: number) =>
      step(
        forPeople(
          makeDish(
            techniqueOf('roast'),
            { id: 'r', name: 'R', servings: 4 },
            {
              ways: { animal: 'poultry' },
              fillings: { meat: { name: 'chicken', amount: { quantity: 330, unit: 'g' } } },
            },
          ),
          people,
        ),
        'roast',
      ).minutes.likely;
    expect(roast(4)).toBeGreaterThanOrEqual(65);
    expect(roast(4)).toBeLessThanOrEqual(80);
    expect(roast(12)).toBeGreaterThanOrEqual(90);
    expect(roast(12)).toBeLessThanOrEqual(110);
    expect(step(bird, 'roast').says).toContain('none over 2 kg');
    const one = BIRD.first + BIRD.perKilo * 4;
    expect(one).toBeGreaterThan(120);
  });

  it('minutes follow the kind of grain, whatever the way of cooking it', () => {
    const covered = (technique: string, kind: string, id = 'covered') => step(make(technique, { kind }), id).minutes;
    for (const technique of ['absorption', 'pilaf', 'pilaf-oven', 'broth-grain', 'coconut-pulses']) {
      const kinds = techniqueOf(technique)
        .choices.find(({ id }) => id === 'kind')!
        .ways.map(({ id }) => id);
      for (const kind of kinds) {
        const [least, most] = grainOf(kind).minutes;
        const { likely } = covered(technique, kind);
        expect(likely, `${technique}, ${kind}`).toBeGreaterThanOrEqual(least);
        expect(likely, `${technique}, ${kind}`).toBeLessThanOrEqual(Math.max(35, 1.5 * most));
      }
    }
    within(make('broth-grain', { kind: 'barley' }), 'covered', 25, 45);
    within(make('pilaf-oven', { kind: 'brown' }), 'covered', 45, 60);
    within(make('pilaf-oven', { kind: 'wild' }), 'covered', 50, 70);
    within(make('coconut-pulses', { kind: 'brown' }), 'covered', 40, 55);
    const bulgur = make('sauce-grain', { kind: 'bulgur-coarse' });
    expect(step(bulgur, 'first').minutes.likely + step(bulgur, 'second').minutes.likely).toBeLessThanOrEqual(15);
  });

  it('what cooks to a mush or only swells is offered no way that leaves every grain by itself', () => {
    for (const technique of ['absorption', 'pilaf', 'pilaf-oven', 'broth-grain', 'rice-cooker', 'hard-boil', 'drain']) {
      const kinds = techniqueOf(technique)
        .choices.find(({ id }) => id === 'kind')!
        .ways.map(({ id }) => id);
      for (const mush of ['polenta', 'oats', 'couscous']) expect(kinds, technique).not.toContain(mush);
    }
    expect(step(make('absorption', { kind: 'short' }), 'fluff').doneWhen).not.toContain('every grain by itself');
  });

  it('a sauce counts as liquid', () => {
    const dish = make('sauce-grain');
    const { litres, grams } = grainParts(dish)!;
    expect(dish.grain!.besides).toBeGreaterThan(0.1);
    const all = (litres + dish.grain!.besides!) / litresDry(grainOf('parboiled'), grams);
    expect(all).toBeGreaterThan(1.3);
    expect(all).toBeLessThan(2.1);
  });

  it('salt of the stock counts: a teaspoon to a cup of grain in all', () => {
    const teaspoons = (dish: Dish) => {
      const salt = dish.ingredients.find(({ id }) => id === 'salt')!.amount;
      return salt.unit === 'tsp' ? salt.quantity : 0;
    };
    for (const people of [4, 12]) {
      const stock = make('stock', {}, people);
      const grain = make('broth-grain', { liquid: 'stock' }, people);
      const given = stock.gives[0]!.amount.quantity;
      const taken = grain.takes[0]!.amount.quantity;
      const inAll = teaspoons(grain) + teaspoons(stock) * (taken / given);
      const cups = litresDry(grainOf(grain.grain!.kind), grainParts(grain)!.grams) / US_CUP;
      expect(inAll / cups, String(people)).toBeGreaterThan(0.75);
      expect(inAll / cups, String(people)).toBeLessThan(1.15);
    }
  });

  it('broth without meat in the pot counts on no juice of it: for twelve no school pours less', () => {
    const dish = scaleDish(make('broth-grain'), 12);
    const { litres, grams } = grainParts(dish)!;
    expect(litres / litresDry(grainOf(dish.grain!.kind), grams)).toBeGreaterThanOrEqual(methodOf('broth').ratio[0]);
  });

  it('a rolling boil stands on the strong burner, and boils off as much as that', () => {
    const dish = make('hard-boil');
    const { litres, grams } = grainParts(dish)!;
    const ratio = litres / litresDry(grainOf('aged-long'), grams);
    expect(ratio).toBeGreaterThan(1.85);
    expect(ratio).toBeLessThan(2.15);
  });

  it('a pilaf takes boiling liquid; a crust is coloured on medium heat first, then left on the lowest', () => {
    expect(step(make('pilaf'), 'boil').says).toContain('boiling from the kettle');
    const crust = make('drain', { crust: 'thick' });
    expect(step(crust, 'colour').place).toMatchObject({ heat: 'medium' });
    expect(step(crust, 'steam').place).toMatchObject({ heat: 'lowest' });
    expect(aftersOf(crust, 'steam').map((after) => after.step)).toEqual(['colour']);
  });

  it('onions for twelve are more lots and more oil, not the same minutes', () => {
    for (const technique of ['curry', 'crisp-onions']) {
      const dish = make(technique);
      const onions = step(dish, technique === 'curry' ? 'onions' : 'fry');
      expect(onions.grows.by, technique).toBe('batches');
      expect(dish.ingredients.find(({ id }) => id === 'oil')!.grows, technique).toBe(true);
    }
  });

  it('layers from the cold with cooked chicken are heated through to 74 °C, and their boil is no matter of six minutes', () => {
    const dish = makeDish(
      techniqueOf('turned-out'),
      { id: 't', name: 'T', servings: 8 },
      { fillings: { layers: { name: 'cooked chicken' } } },
    );
    expect(measuredAt(dish)).toMatchObject({ step: { id: 'low' }, rule: { celsius: 74 } });
    const boil = step(dish, 'boil').grows;
    expect(boil).toMatchObject({ by: 'boil' });
    if (boil.by !== 'boil') return;
    expect(boil.fromCelsius).toBeLessThan(70);
    const minutes = minutesToBoil({ ...boil, watts: USUAL_WATTS.middling, widthCm: 24, metres: 0 }).likely;
    expect(minutes).toBeGreaterThan(10);
    const night = madeAhead(dish, new Set(['layer', 'wash', 'soak', 'drain']));
    const colder = step(night, 'boil').grows;
    expect(colder.by === 'boil' && colder.fromCelsius).toBeLessThan(boil.fromCelsius);
  });
});

describe('at height', () => {
  it('a simmer takes about a quarter more at 1500 m (USDA FSIS, High Altitude Cooking, from memory)', () => {
    expect(simmerFactor(1524)).toBeGreaterThan(1.2);
    expect(simmerFactor(1524)).toBeLessThan(1.3);
    expect(simmerFactor(0)).toBeCloseTo(1, 9);
  });
});
