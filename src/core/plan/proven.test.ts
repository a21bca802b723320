import { describe, expect, it } from 'vitest';
import { mealOf, plainGrain, smallKitchen } from '@/core/testing/meals';
import { brownRice } from '@/demo/harvest';
import { provenGiven } from './proven';

/** A plan that could keep the last hour free. */
const KEPT = {};

describe('what a proof leaves open', () => {
  it('is nothing where nothing is put by hand, nothing comes to the boil by its burner, and the last hour is not kept free', () => {
    expect(provenGiven(mealOf([plainGrain()], { layOutFirst: false }), KEPT)).toEqual([]);
    const oneBurner = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    expect(provenGiven(mealOf([brownRice], { kitchen: oneBurner, layOutFirst: false }), KEPT)).toEqual([]);
  });

  it('is what is put by hand, the burners that boils stand on, and the last hour', () => {
    const pins = [{ key: 'brown-rice/boil', start: -60 }];
    expect(provenGiven(mealOf([brownRice], { layOutFirst: false }), KEPT)).toEqual(['on these burners']);
    expect(provenGiven(mealOf([brownRice], { pins }), KEPT)).toEqual([
      'with what you put by hand',
      'on these burners',
      'with the last hour kept for cooking',
    ]);
  });

  it('does not claim the last hour where the plan could not keep it', () => {
    expect(provenGiven(mealOf([brownRice]), { lastHourOpen: true })).toEqual(['on these burners']);
  });
});
