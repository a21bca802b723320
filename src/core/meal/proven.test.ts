import { describe, expect, it } from 'vitest';
import { mealOf, plainGrain, smallKitchen } from '@/core/testing/meals';
import { brownRice } from '@/demo/harvest';
import { provenGiven } from './proven';

describe('what a proof leaves open', () => {
  it('is nothing where nothing is put by hand and nothing comes to the boil by its burner', () => {
    expect(provenGiven(mealOf([plainGrain()]))).toBe('');
    const oneBurner = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    expect(provenGiven(mealOf([brownRice], { kitchen: oneBurner }))).toBe('');
  });

  it('is what is put by hand, and the burners that boils stand on', () => {
    const pins = [{ key: 'brown-rice/boil', start: -60 }];
    expect(provenGiven(mealOf([brownRice]))).toBe(' on these burners');
    expect(provenGiven(mealOf([brownRice], { pins }))).toBe(' with what you put by hand, on these burners');
  });
});
