import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainGrain } from '@/core/testing/meals';
import { checkDish, minutesFault } from './check';
import type { Dish } from './dish';
import { batches, scaleDish, scaleMinutes } from './scale';
import { follow } from './write';

const faults = (dish: Dish) => checkDish(dish).map((each) => `${each.where}: ${each.sentence}`);

describe('checking a dish', () => {
  it('finds nothing wrong with a sound one', () => {
    expect(checkDish(plainGrain())).toEqual([]);
  });

  it('says where minutes are negative or do not rise', () => {
    expect(minutesFault({ shortest: -1, likely: 2, longest: 3 })).toMatch(/from 0 upwards/);
    expect(minutesFault({ shortest: 5, likely: 2, longest: 3 })).toMatch(/5, 2, 3/);
    expect(minutesFault({ shortest: 0, likely: 0, longest: 0 })).toBeNull();
  });

  it('refuses a step that follows itself, naming it', () => {
    const dish = plainGrain();
    expect(faults({ ...dish, links: [...dish.links, follow('boil', 'boil')] })).toEqual([
      'Grain grain, link from "boil" to "boil": The step "boil" cannot follow itself; name another step.',
    ]);
  });

  it('refuses steps that wait for one another in a circle', () => {
    const dish = plainGrain();
    const [fault] = faults({ ...dish, links: [...dish.links, follow('rest', 'wash')] });
    expect(fault).toMatch(/circle: .*wash/);
  });

  it('refuses unknown ids of steps, ingredients and vessels, and doubled ids', () => {
    const dish = plainGrain();
    const steps = dish.steps.map((step) => (step.id === 'boil' ? { ...step, vessel: 'cup', uses: ['gold'] } : step));
    const found = faults({ ...dish, steps: [...steps, dish.steps[0]!], links: [follow('soak', 'nowhere')] });
    expect(found.join('\n')).toMatch(/"cup"[\s\S]*"gold"[\s\S]*"nowhere"/);
    expect(found.join('\n')).toMatch(/share the id "wash"/);
  });

  it('refuses a shortest wait above the longest', () => {
    expect(faults({ ...plainGrain(), links: [follow('wash', 'soak', 9, 3)] })[0]).toMatch(/9 min.*3 min/);
  });
});

describe('scaling', () => {
  it('grows chopping but not simmering, and counts batches whole', () => {
    const minutes = { shortest: 8, likely: 10, longest: 12 };
    expect(scaleMinutes(minutes, { by: 'nothing' }, 4, 12).likely).toBe(10);
    expect(scaleMinutes(minutes, { by: 'people' }, 4, 12).likely).toBe(26);
    expect(batches(4, 9)).toBe(3);
    expect(scaleMinutes(minutes, { by: 'batches', servingsPerBatch: 4 }, 4, 9).likely).toBe(30);
  });

  it('keeps shortest, likely, longest in order for any number of people', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 40 }), (people, servings) => {
        const { shortest, likely, longest } = scaleMinutes(
          { shortest: 3, likely: 5, longest: 9 },
          { by: 'people' },
          servings,
          people,
        );
        return shortest >= 1 && shortest <= likely && likely <= longest;
      }),
    );
  });

  it('scales amounts and pots with the people and leaves the written dish alone', () => {
    const dish = plainGrain();
    const twice = scaleDish(dish, 8);
    expect(twice.ingredients[0]!.amount.quantity).toBe(600);
    expect(twice.vessels[0]!.need.litres).toBe(4);
    expect(dish.ingredients[0]!.amount.quantity).toBe(300);
    expect(scaleDish(dish, 4)).toBe(dish);
  });
});
