import type { Dish } from '@/core/dish/dish';
import { boilsHard, grainParts, moreBoiledOff, withLiquid } from '@/core/dish/grain-of';
import { scaleDish } from '@/core/dish/scale';
import { wattsOf } from '@/core/heat/boil';
import { burnerCost } from '@/core/kitchen/fits';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { type Meal, portionsOf } from './meal';

/** A dish for the people of a meal, in its kitchen: the liquid of its grain follows the burner that it stands on there. */
export function scaledFor(meal: Meal, dish: Dish): Dish {
  const scaled = scaleDish(dish, portionsOf(meal));
  const { grain } = scaled;
  const parts = grainParts(scaled);
  const burner = grain && burnerFor(meal.kitchen, grain.method);
  if (!grain || grain.set || !parts || !burner || parts.litres <= 0) return scaled;
  const more = moreBoiledOff(scaled, wattsOf(burner));
  // Half of what is written is the least that can be meant.
  return Math.abs(more) < WORTH_LITRES
    ? scaled
    : withLiquid(scaled, Math.max(parts.litres / 2, parts.litres + more), grain);
}

/** Less than this no jug shows. */
const WORTH_LITRES = 0.01;

/** The burner that suits the hottest stretch of a method best. */
function burnerFor({ burners }: Kitchen, method: string) {
  return burners
    .map((burner) => ({ burner, cost: burnerCost(burner, boilsHard(method) ? 'full' : 'medium') }))
    .filter((each): each is { burner: (typeof burners)[number]; cost: number } => each.cost !== null)
    .sort((a, b) => a.cost - b.cost)[0]?.burner;
}
