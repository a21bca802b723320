import type { Dish, VesselUse } from '@/core/dish/dish';
import { fittingVessels } from '@/core/kitchen/fits';
import type { Meal } from './meal';
import { scaledFor } from './scaled';

/** Vessel uses that no vessel of the kitchen fits, with their dish scaled to the meal. */
export function missingVessels(meal: Meal): readonly { readonly dish: Dish; readonly use: VesselUse }[] {
  const { kitchen, dishes } = meal;
  return dishes.flatMap((written) => {
    const dish = scaledFor(meal, written);
    const without = dish.vessels.filter(({ need }) => fittingVessels(kitchen, need).length === 0);
    return without.map((use) => ({ dish: written, use }));
  });
}

/** Whether a vessel is wanted that the kitchen does not have: then a larger one, or two, may help. */
export function lacksVessel(meal: Meal): boolean {
  return missingVessels(meal).length > 0;
}
