import { describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { scaleDish } from '@/core/dish/scale';
import { appliedAsMade } from '@/core/remedies/change';
import { ideasFor } from '@/core/remedies/ideas';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { stepKey } from './keys';
import { lacksVessel } from './missing-vessels';
import { sharedOut } from './share-out';

const grain = plainGrain();
const pot = grain.vessels[0]!;

describe('a dish shared out between two pots', () => {
  const shared = sharedOut(grain, pot)!;

  it('doubles what happens in the pot and nothing else', () => {
    expect(checkDish(shared)).toEqual([]);
    expect(shared.steps.map(({ id }) => id)).toEqual([
      'wash',
      'soak',
      'boil',
      'boil~2',
      'cover',
      'cover~2',
      'rest',
      'rest~2',
    ]);
    expect(shared.vessels.map(({ id, need }) => [id, need.litres])).toEqual([
      ['pot', pot.need.litres / 2],
      ['pot~2', pot.need.litres / 2],
    ]);
  });

  it('neither loses nor gains any of an ingredient', () => {
    const all = (id: string) =>
      shared.ingredients
        .filter((item) => item.id.split('~')[0] === id)
        .reduce((sum, { amount }) => sum + amount.quantity, 0);
    expect(all('water')).toBe(600);
    expect(all('millet')).toBe(300);
    const barley = sharedOut(barleyLeeks, barleyLeeks.vessels[0]!)!;
    expect(barley.takes.map(({ step, amount }) => [step, amount.quantity])).toEqual([
      ['boil', 0.625],
      ['boil~2', 0.625],
    ]);
  });

  it('comes to the table with both halves together', async () => {
    const plan = await planned(mealOf([shared]));
    const [one, two] = [stepKey('grain-shared-pot', 'rest'), stepKey('grain-shared-pot', 'rest~2')].map(
      (key) => plan.steps.find((step) => step.key === key)!.end,
    );
    expect(Math.abs(one! - two!)).toBeLessThanOrEqual(10);
    expect(plan.landings[0]!.late).toBe(0);
  });

  it('is not tried where another dish wants what comes out of the pot', () => {
    expect(sharedOut(mushroomStock, mushroomStock.vessels[0]!)).toBeNull();
  });
});

describe('where no pot is large enough', () => {
  // The largest pot here holds 4 l, and grain for ten wants 5.
  const meal = mealOf([grain], { people: 10 });

  it('sharing out and borrowing both make it possible', async () => {
    expect(lacksVessel(meal)).toBe(true);
    expect(lacksVessel(mealOf([grain]))).toBe(false);
    const ideas = ideasFor(meal).filter(({ id }) => id === 'borrow vessels' || id === 'share out');
    expect(ideas.map(({ says }) => says)).toEqual([
      'share Grain grain out between two pots',
      'borrow a pot of 5 l, 23 cm across',
    ]);
    for (const idea of ideas) {
      const other = appliedAsMade(meal, idea.change);
      expect(lacksVessel(other), idea.id).toBe(false);
      expect(
        (await planned(other)).landings.every(({ late }) => late === 0),
        idea.id,
      ).toBe(true);
    }
  });

  it('shares out amounts for all the people', () => {
    const share = ideasFor(meal).find(({ id }) => id === 'share out')!;
    const [dish] = appliedAsMade(meal, share.change).dishes;
    const water = scaleDish(dish!, 10).ingredients.filter(({ id }) => id.startsWith('water'));
    expect(water.reduce((sum, { amount }) => sum + amount.quantity, 0)).toBe(1500);
  });
});
