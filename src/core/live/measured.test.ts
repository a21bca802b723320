import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { mealOf } from '@/core/testing/meals';
import { beefCheeks, mushroomStock } from '@/demo/harvest';
import { muttonUnderRice } from '@/demo/shearing';
import { measurable } from './measured';
import type { LiveStep } from './session';

/** A step of a dish under way. */
const running = (dish: Dish, id: string): LiveStep => {
  const { attention, place } = dish.steps.find((step) => step.id === id)!;
  const station = { sort: place.at === 'oven' ? 'oven' : 'burner', id: 'x', name: 'x' };
  const heat = place.at === 'burner' ? place.heat : null;
  const step = { kind: 'step', dishId: dish.id, stepId: id, attention, station, heat, celsius: null };
  return { step, status: 'running' } as unknown as LiveStep;
};
const at = (dish: Dish, id: string) => measurable(mealOf([dish]), running(dish, id));

describe('what an instrument could tell', () => {
  it('is the weight of the pot whose liquid is given, and of no other pot of the dish', () => {
    expect(at(mushroomStock, 'simmer')).toMatchObject({ kind: 'scale' });
    expect(at(muttonUnderRice, 'mutton_cook')).toMatchObject({ kind: 'scale', wantedMl: 2800 });
    expect(at(muttonUnderRice, 'first')).toMatchObject({ kind: 'probe' });
  });

  it('is the middle of what holds an animal, not the water that boils beside it', () => {
    expect(at(beefCheeks, 'braise')).toMatchObject({ kind: 'probe' });
    expect(at(muttonUnderRice, 'steam')).toMatchObject({ kind: 'probe', target: 63 });
    expect(at(muttonUnderRice, 'boil')).toBeNull();
    // What hands are busy with is not measured.
    expect(at(muttonUnderRice, 'onions_fry')).toBeNull();
  });
});
