import { type Balance, liquidBalance } from '@/core/grain/balance';
import { GRAINS, grainOf, US_CUP } from '@/core/grain/grains';
import { METHODS, type Method, methodOf } from '@/core/grain/methods';
import { type Range, USUAL_WATTS } from '@/core/heat/boil';
import { say } from '@/core/say/say';
import { type Amount, isMass, isVolume, MASS_IN_GRAMS, type Unit, VOLUME_IN_ML } from '@/core/units/amount';
import type { Dish, DishGrain } from './dish';

/** Width in cm of the pot that is thought of where none is known. */
const USUAL_WIDTH = 20;

/** Litres of a volume, or null of anything else. */
export function litresOf({ quantity, unit }: Amount): number | null {
  return isVolume(unit) ? (quantity * VOLUME_IN_ML[unit]) / 1000 : null;
}

/** Amounts that are liquid for a dish's grain, by the id that the dish knows them by. */
function liquids(dish: Dish): readonly { readonly id: string; readonly amount: Amount }[] {
  const all = [
    ...dish.ingredients.map(({ id, amount }) => ({ id, amount })),
    ...dish.takes.map(({ product, amount }) => ({ id: product, amount })),
  ];
  return all.filter(({ id }) => dish.grain?.liquid.includes(id));
}

const SPOONS: readonly Unit[] = ['tsp', 'tbsp', 'au-tbsp'];

/** Grams of dry grain, weighed or in cups; null where it is counted, or measured by the spoon. */
function gramsOfDry({ quantity, unit }: Amount, kind: DishGrain['kind']): number | null {
  if (isMass(unit)) return quantity * MASS_IN_GRAMS[unit];
  if (!isVolume(unit) || SPOONS.includes(unit)) return null;
  return (quantity * VOLUME_IN_ML[unit] * grainOf(kind).gramsPerCup) / (1000 * US_CUP);
}

/** Grams of dry grain and litres of its liquid for the dish's servings; null where the dish has no such grain. */
export function grainParts(dish: Dish): { readonly grams: number; readonly litres: number } | null {
  const dry = dish.ingredients.find(({ id }) => id === dish.grain?.dry)?.amount;
  if (!dish.grain || !dry) return null;
  const grams = gramsOfDry(dry, dish.grain.kind);
  if (grams === null) return null;
  const litres = liquids(dish).reduce((sum, { amount }) => sum + (litresOf(amount) ?? 0), 0);
  return { grams, litres };
}

/** Whether a way of cooking grain has a rolling boil, which wants the strong burner. */
export function boilsHard(method: string): boolean {
  return methodOf(method).stretches.some(({ heat }) => heat === 'full');
}

/** The burner that a method stands on where no kitchen is known. */
function usualWatts({ id }: Method): Range {
  return boilsHard(id) ? USUAL_WATTS.strong : USUAL_WATTS.middling;
}

/** The liquid balance in an ordinary pot, over the burner of these watts, or over the one that suits the method. */
export function usualBalance(
  { kind, method: id, soaked, alone }: Pick<DishGrain, 'kind' | 'method' | 'soaked' | 'alone'>,
  grams: number,
  watts?: Range,
): Balance {
  const method = methodOf(id);
  return liquidBalance({
    grain: grainOf(kind),
    method: alone ? { ...method, given: [0, 0] } : method,
    grams,
    soaked,
    watts: watts ?? usualWatts(method),
    widthCm: USUAL_WIDTH,
  });
}

/**
 * Litres that must be poured more (or fewer: negative) over a kitchen's burner than over the usual one, for what boils off there. `watts`: of
 * the burner for the hottest stretch of the method.
 */
export function moreBoiledOff(dish: Dish, watts: Range): number {
  const parts = grainParts(dish);
  if (!dish.grain || !parts) return 0;
  return (
    usualBalance(dish.grain, parts.grams, watts).boiledOff.likely -
    usualBalance(dish.grain, parts.grams).boiledOff.likely
  );
}

/** The dish with so much liquid for its grain, and the way of cooking that it follows. Several liquids keep their shares. */
export function withLiquid(dish: Dish, litres: number, way: Pick<DishGrain, 'kind' | 'method' | 'soaked'>): Dish {
  const parts = grainParts(dish);
  if (!dish.grain || !parts || parts.litres <= 0) return dish;
  const factor = litres / parts.litres;
  const more = ({ quantity, unit }: Amount): Amount => ({ quantity: Number((quantity * factor).toFixed(4)), unit });
  const { liquid } = dish.grain;
  return {
    ...dish,
    ingredients: dish.ingredients.map((item) =>
      liquid.includes(item.id) ? { ...item, amount: more(item.amount) } : item,
    ),
    takes: dish.takes.map((take) => (liquid.includes(take.product) ? { ...take, amount: more(take.amount) } : take)),
    grain: { ...dish.grain, ...way },
  };
}

/**
 * The same, where the litres are meant for other portions than the dish is written for: scaled to those, the dish wants just so much.
 */
export function withLiquidFor(
  dish: Dish,
  portions: number,
  litres: number,
  way: Pick<DishGrain, 'kind' | 'method' | 'soaked'>,
): Dish {
  const parts = grainParts(dish);
  if (!dish.grain || !parts) return dish;
  const times = portions / dish.servings;
  const boiled = usualBalance({ ...dish.grain, ...way }, parts.grams).boiledOff.likely;
  const written = (litres - boiled) / times + boiled;
  // Of so little liquid half counts as boiled off, as it does in scaling.
  const set = withLiquid(dish, written >= 2 * boiled ? written : litres / ((times + 1) / 2), way);
  return set.grain ? { ...set, grain: { ...set.grain, set: true } } : set;
}

/** What is wrong with the grain of a dish: where, and what is allowed. */
export function grainFaults(dish: Dish, grain: DishGrain): readonly (readonly [where: string, sentence: string])[] {
  const faults: (readonly [string, string])[] = [];
  if (!GRAINS.some(({ id }) => id === grain.kind))
    faults.push(['grain', say('There is no kind of grain "{kind}".', { kind: grain.kind })]);
  if (!METHODS.some(({ id }) => id === grain.method)) {
    faults.push([say('grain, method'), say('There is no way of cooking grain "{method}".', { method: grain.method })]);
  }
  const dry = dish.ingredients.find(({ id }) => id === grain.dry);
  const unit = dry?.amount.unit;
  if (!unit || !(isMass(unit) || (isVolume(unit) && !SPOONS.includes(unit)))) {
    faults.push([
      say('grain, dry'),
      say('"{dry}" must be an ingredient of this dish, weighed in g or kg, or measured in ml, l or cups.', {
        dry: grain.dry,
      }),
    ]);
  }
  const known = liquids(dish);
  for (const id of grain.liquid) {
    const found = known.find((each) => each.id === id);
    if (!found || !isVolume(found.amount.unit)) {
      faults.push([
        say('grain, liquid'),
        say('"{id}" must go into this dish and be measured in ml or l, or in cups.', { id }),
      ]);
    }
  }
  return faults;
}
