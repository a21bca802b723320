import { beforeAll, describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import type { Plan } from '@/core/plan/plan';
import { friedGreens, mealOf, plainGrain, planned } from '@/core/testing/meals';
import { takenOut } from './vessels-out';

// What stands on the table before the first flame.

describe('the pots taken out', () => {
  const meal = mealOf([friedGreens(10), plainGrain()]);
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(meal);
  });

  it('are those that the plan puts something into, by the name of the kitchen, each once', () => {
    const { vessels, serving, toBorrow } = takenOut(meal, plan);
    const names = new Map(meal.kitchen.vessels.map(({ id, name }) => [id, name]));
    expect(vessels.length).toBeGreaterThan(1);
    expect(new Set(vessels.map(({ id }) => id)).size).toBe(vessels.length);
    for (const { id, name, atOnce, borrowed } of vessels) {
      expect([name, atOnce, borrowed]).toEqual([names.get(id), 1, false]);
    }
    expect(toBorrow).toBe(0);
    expect(serving).toEqual(meal.dishes.map(({ name }) => ({ dish: name, served: 'hot' })));
  });

  it('are washed by the hour at which they are wanted next; the last use needs none', async () => {
    // One pan, and greens that wait for each other.
    const twice = mealOf(['One', 'Two'].map((name) => ({ ...friedGreens(60), id: name.toLowerCase(), name })));
    const pan = takenOut(twice, await planned(twice)).vessels.find(({ id }) => id === 'pan')!;
    const [first, second] = pan.uses;
    expect([...pan.uses.map(({ dish }) => dish)].sort()).toEqual(['One', 'Two']);
    expect(pan.atOnce).toBe(1);
    expect(second!.start).toBeGreaterThanOrEqual(first!.end);
    expect([first!.washedBy, second!.washedBy]).toEqual([second!.from, null]);
  });
});

describe('small things beside the pots', () => {
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(mealOf([friedGreens(10)]));
  });
  const wanting = (says: string, more: Partial<Dish['steps'][number]> = {}): readonly string[] => {
    const greens = friedGreens(10);
    const steps = greens.steps.map((step) =>
      step.id === 'fry'
        ? { ...step, name: 'fry', says, cautions: [], ...more }
        : { ...step, name: 'cut', says: '', cautions: [] },
    );
    const meal = mealOf([{ ...greens, steps }]);
    return takenOut(meal, plan).small.map(({ name }) => name);
  };

  it.each([
    ['Cover the pan.', ['lid']],
    ['Wrap the lid in a clean cloth.', ['lid', 'clean cloth']],
    ['Under foil.', ['foil']],
    ['Line it with paper.', ['baking paper']],
    ['Drain it.', ['sieve or colander']],
    ['Measure the stock.', ['measuring jug']],
    ['75 °C in the middle.', ['thermometer']],
    ['In the middle 75 °C are enough.', ['thermometer']],
    ['Grate it in.', ['grater']],
    ['Whisk.', ['whisk']],
    ['A ladle at a time.', ['ladle']],
    ['Mash half.', ['masher']],
    ['On a rack.', ['rack']],
    ['Seal it with dough.', ['dough, to seal']],
    ['Turn it out.', ['flat plate, wider than the pot']],
    ['Fry them. Discover how.', []],
  ])('%s wants %o', (says, things) => expect(wanting(says)).toEqual(things));

  it('are told by a caution too, but a lid only by what is done with a pot', () => {
    expect(wanting('Fry them.', { cautions: ['Drain it over the sink.'] })).toEqual(['sieve or colander']);
    expect(wanting('Fry them.', { cautions: ['Keep a lid at hand.'] })).toEqual([]);
    const { vessel: _, ...bare } = friedGreens(10).steps.find(({ id }) => id === 'fry')!;
    const greens = friedGreens(10);
    const onBoard = {
      ...greens,
      steps: greens.steps.map((step) => (step.id === 'fry' ? { ...bare, says: 'Cover it.' } : step)),
    };
    expect(takenOut(mealOf([onBoard]), plan).small).toEqual([]);
  });

  it('are named with the dishes that want them', async () => {
    const covered = (name: string) => ({
      ...friedGreens(10),
      id: name,
      name,
      steps: friedGreens(10).steps.map((step) => (step.id === 'fry' ? { ...step, says: 'Cover it.' } : step)),
    });
    const meal = mealOf([covered('One'), plainGrain(), covered('Two')]);
    const lid = takenOut(meal, await planned(meal)).small.find(({ name }) => name === 'lid')!;
    expect(lid.dishes).toEqual(expect.arrayContaining(['One', 'Two']));
  });
});
