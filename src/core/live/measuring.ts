import type { Dish } from '@/core/dish/dish';
import { grainParts } from '@/core/dish/grain-of';
import { takersOf } from '@/core/meal/hand-over';
import type { Meal } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import { printAmount, VOLUME_IN_ML, type VolumeUnit } from '@/core/units/amount';
import { listed } from '@/core/units/words';

/** A liquid that is measured at a step: how much of it there should be, how much is wanted, and by what. Millilitres, grams. */
export interface ToMeasure {
  readonly name: string;
  readonly thoughtMl: number;
  readonly wantedMl: number;
  /** Names of the dishes that take it. */
  readonly takers: readonly string[];
  /** Dry grain that cooks in it; 0 where none does. */
  readonly grainGrams: number;
}

/** What is measured at the end of a step; null where it gives no liquid, or nothing takes it. */
export function toMeasure(meal: Meal, dishId: string, stepId: string): ToMeasure | null {
  // Asked of every step each second, and nearly always for nothing.
  const written = meal.dishes.find(({ id }) => id === dishId);
  if (!written?.gives.some(({ step }) => step === stepId)) return null;
  const dishes = meal.dishes.map((dish) => scaledFor(meal, dish));
  const dish = dishes.find(({ id }) => id === dishId);
  const give = dish?.gives.find(({ step, amount }) => step === stepId && (amount.unit === 'l' || amount.unit === 'ml'));
  if (!dish || !give) return null;
  const taken = takersOf(dishes, dish, give);
  if (taken.length === 0) return null;
  return {
    name: give.name.split(',')[0] ?? give.name,
    thoughtMl: millilitres(give.amount),
    wantedMl: taken.reduce((sum, { take }) => sum + millilitres(take.amount), 0),
    takers: [...new Set(taken.map(({ taker }) => taker.name))],
    grainGrams: taken.reduce((sum, { taker, take }) => sum + grainIn(taker, take.product), 0),
  };
}

function millilitres({ quantity, unit }: { readonly quantity: number; readonly unit: string }): number {
  return unit in VOLUME_IN_ML ? quantity * VOLUME_IN_ML[unit as VolumeUnit] : 0;
}

function grainIn(dish: Dish, product: string): number {
  return dish.grain?.liquid.includes(product) ? (grainParts(dish)?.grams ?? 0) : 0;
}

/** So much more or less than is wanted is within any measuring. Common practice, no source. */
const WITHIN = 0.04;
/** What is over and worth keeping. Common practice, no source. */
const WORTH_KEEPING = 150;

/** What so many millilitres mean: enough, too little and what then, or how much is over. */
export function sayWhatIsThere({ name, wantedMl, takers, grainGrams }: ToMeasure, ml: number): string {
  const liquid = (of: number) => printAmount({ quantity: of, unit: 'ml' });
  const grain = (of: number) => printAmount({ quantity: of, unit: 'g' });
  const lacks = wantedMl - ml;
  const into = listed(takers);
  if (lacks > WITHIN * wantedMl) {
    const less =
      grainGrams > 0
        ? `, or take ${grain((grainGrams * lacks) / wantedMl)} less grain: this carries ${grain((grainGrams * ml) / wantedMl)}`
        : '';
    return `${liquid(lacks)} short: top it up with ${liquid(lacks)} of boiling water and taste for salt${less}.`;
  }
  const over = ml - wantedMl;
  if (over < WORTH_KEEPING) return `Enough: ${liquid(wantedMl)} for ${into}.`;
  const more = grainGrams > 0 ? `, or ${grain((grainGrams * over) / wantedMl)} more grain could cook in it` : '';
  return `Enough: ${liquid(wantedMl)} for ${into}. ${liquid(over)} of ${name} over: keep it hot to loosen with, cool it fast for the freezer${more}.`;
}
