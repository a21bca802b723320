import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { mealOf } from '@/core/testing/meals';
import { beefCheeks, mushroomStock } from '@/demo/harvest';
import { muttonUnderRice } from '@/demo/shearing';
import { centreOf, measurable } from './measured';
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

  it('is told only of what is on the heat, of a dish of this meal', () => {
    const braise = running(beefCheeks, 'braise');
    const with_ = (step: Partial<LiveStep['step']>, more: Partial<LiveStep> = {}) =>
      measurable(mealOf([mushroomStock, beefCheeks]), { ...braise, step: { ...braise.step, ...step }, ...more });
    expect(with_({})).toMatchObject({ kind: 'probe' });
    expect(with_({}, { status: 'done' })).toBeNull();
    expect(with_({ dishId: 'nobody' })).toBeNull();
    expect(with_({ station: { sort: 'shelf', id: 'x', name: 'x' } })).toBeNull();
    expect(with_({ attention: 'hands' })).toBeNull();
    expect(with_({ kind: 'warm-up' })).toBeNull();
    // A weight is told of a pot on a burner: what stands in an oven stands on no scale.
    const simmer = running(mushroomStock, 'simmer');
    expect(
      measurable(mealOf([mushroomStock]), {
        ...simmer,
        step: { ...simmer.step, station: { sort: 'oven', id: 'o', name: 'o' } },
      }),
    ).toBeNull();
    expect(measurable(mealOf([mushroomStock]), simmer)).toMatchObject({
      wantedMl: 1000 * mushroomStock.gives[0]!.amount.quantity,
    });
  });

  it('knows how hot it is around: the oven’s degrees, a pan’s, or a simmering pot’s', () => {
    const braise = running(beefCheeks, 'braise');
    const around = (step: Partial<LiveStep['step']>) => {
      const told = measurable(mealOf([beefCheeks]), { ...braise, step: { ...braise.step, ...step } });
      return told?.kind === 'probe' ? told.around : null;
    };
    expect(around({ celsius: 140 })).toBe(140);
    expect(['full', 'medium', 'low', 'lowest'].map((heat) => around({ heat: heat as 'full' }))).toEqual([
      120, 120, 96, 96,
    ]);
    expect(around({ heat: null })).toBe(96);
  });

  it('weighs only what is given as a liquid, from the pot that holds it until it is strained', () => {
    const [give] = mushroomStock.gives;
    const given = (change: object) => at({ ...mushroomStock, gives: [{ ...give!, ...change }] }, 'simmer');
    expect(given({ amount: { quantity: 500, unit: 'g' } })).toBeNull();
    expect(given({ step: 'nobody' })).toBeNull();
    const bare = { ...mushroomStock, steps: mushroomStock.steps.map(({ vessel: _, ...step }) => step) };
    expect(at(bare, 'simmer')).toBeNull();
    expect(centreOf({ ingredients: [] })).toBeNull();
  });
});
