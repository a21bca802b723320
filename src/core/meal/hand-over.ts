import type { Eaten } from '@/core/dish/diet';
import type { Dish, Gives, Takes } from '@/core/dish/dish';
import { say } from '@/core/say/say';
import { type Amount, MASS_IN_GRAMS, printAmount, VOLUME_IN_ML, type VolumeUnit } from '@/core/units/amount';
import { listed } from '@/core/units/words';

/** What a dish of the meal gives to another. */
export interface Giver {
  readonly dish: Dish;
  readonly give: Gives;
}

/**
 * What of a meal a dish takes: the very thing it names, its own parts' first of all; then what a part of another dish gives of the kind; where
 * it wants just any stock, the first stock there is.
 */
export function giverOf(dishes: readonly Dish[], taker: Dish, { product }: Pick<Takes, 'product'>): Giver | null {
  const own = taker.gives.find((give) => give.product === product);
  if (own && taker.takes.some((take) => take.product === product))
    return { dish: dishes.find(({ id }) => id === taker.id) ?? taker, give: own };
  const all = dishes
    .filter((dish) => dish.id !== taker.id)
    .flatMap((dish) => dish.gives.map((give) => ({ dish, give })));
  return (
    all.find(({ give }) => give.product === product) ??
    all.find(({ give }) => give.product.endsWith(`_${product}`)) ??
    (product === ANY_STOCK ? all.find(({ give }) => /\b(?:stock|broth)$/.test(give.product)) : undefined) ??
    null
  );
}

const ANY_STOCK = 'stock';

/** What is eaten with a dish in its meal: its own things and those of the dishes it takes from; what no dish makes is bought. */
export function eatenIn(dishes: readonly Dish[], dish: Dish): Eaten {
  const seen = new Set<string>();
  const ingredients: Dish['ingredients'][number][] = [];
  const takes: Takes[] = [];
  const open = [dish];
  for (let at = open.pop(); at; at = open.pop()) {
    if (seen.has(at.id)) continue;
    seen.add(at.id);
    ingredients.push(...at.ingredients);
    for (const take of at.takes) {
      const giver = giverOf(dishes, at, take);
      if (giver) open.push(giver.dish);
      else takes.push(take);
    }
  }
  return { ingredients, takes };
}

/** Something that is handed over and does not come out. Amounts are those of the dishes given, for their servings. */
export type PartFault =
  /** A dish takes what no dish of the meal makes. */
  | { readonly kind: 'missing'; readonly taker: Dish; readonly take: Takes }
  /** More is taken of it than there will be; `lacks` is in the unit of what is given. */
  | {
      readonly kind: 'short';
      readonly giver: Giver;
      readonly takers: readonly Dish[];
      readonly taken: Amount;
      readonly lacks: Amount;
    }
  /** It is made for other dishes, and none takes it. */
  | { readonly kind: 'unused'; readonly giver: Giver };

/** So much less than what is wanted is within any measuring. Common practice, no source. */
const WITHIN_MEASURING = 0.03;

/** What is missing, short or never taken among dishes scaled to their people. */
export function partFaults(dishes: readonly Dish[]): readonly PartFault[] {
  const faults: PartFault[] = [];
  const taken = new Map<Gives, { giver: Giver; takers: Dish[]; amounts: Amount[] }>();
  for (const taker of dishes) {
    for (const take of taker.takes) {
      const giver = giverOf(dishes, taker, take);
      if (!giver) {
        faults.push({ kind: 'missing', taker, take });
        continue;
      }
      const known = taken.get(giver.give) ?? { giver, takers: [], amounts: [] };
      taken.set(giver.give, { giver, takers: [...known.takers, taker], amounts: [...known.amounts, take.amount] });
    }
  }
  for (const { giver, takers, amounts } of taken.values()) {
    const lot = sumIn(giver.give.amount, amounts);
    if (lot === null || lot <= giver.give.amount.quantity * (1 + WITHIN_MEASURING)) continue;
    const { quantity, unit } = giver.give.amount;
    const lacks = { quantity: lot - quantity, unit };
    faults.push({ kind: 'short', giver, takers: [...new Set(takers)], taken: { quantity: lot, unit }, lacks });
  }
  for (const dish of dishes) {
    if (dish.lands) continue;
    const givers = dish.gives.map((give) => ({ dish, give }));
    if (givers.length > 0 && !givers.some(({ give }) => taken.has(give)))
      faults.push({ kind: 'unused', giver: givers[0]! });
  }
  return faults;
}

/** Who takes what a dish gives, and how much. */
export function takersOf(
  dishes: readonly Dish[],
  dish: Dish,
  give: Gives,
): readonly { readonly taker: Dish; readonly take: Takes }[] {
  return dishes.flatMap((taker) =>
    taker.takes.flatMap((take) => {
      const giver = giverOf(dishes, taker, take);
      return giver?.dish.id === dish.id && giver.give.product === give.product ? [{ taker, take }] : [];
    }),
  );
}

/** What is over after all have taken is told from here on; less is within measuring. Litres; common practice, no source. */
const WORTH_KEEPING = 0.15;

/**
 * How far what a dish gives at a step goes among dishes scaled to their people, in a sentence for the one who measures it; empty where it is
 * no liquid, or nothing takes it.
 */
export function sayMeasured(dishes: readonly Dish[], dish: Dish, step: string): string {
  const sentences = dish.gives
    .filter((give) => give.step === step && (give.amount.unit === 'l' || give.amount.unit === 'ml'))
    .map((give) => {
      const takes = takersOf(dishes, dish, give).map(({ take }) => take.amount);
      const taken = takes.length > 0 ? sumIn(give.amount, takes) : null;
      if (taken === null) return '';
      const { quantity, unit } = give.amount;
      const says = (of: number) => printAmount({ quantity: of, unit });
      const litre = 1000 / VOLUME_IN_ML[unit as VolumeUnit];
      if (taken > quantity * (1 + WITHIN_MEASURING)) {
        return say(
          'There will be about {given}, and {taken} is wanted: top it up with {rest} of boiling water, and taste for salt.',
          { given: says(quantity), taken: says(taken), rest: says(taken - quantity) },
        );
      }
      const over = quantity - taken;
      return over >= WORTH_KEEPING * litre
        ? say(
            'There will be about {given}: {taken} is wanted, and the {rest} over is worth keeping in small boxes, cooled fast and frozen.',
            { given: says(quantity), taken: says(taken), rest: says(over) },
          )
        : say('There will be about {given}, as much as is wanted.', { given: says(quantity) });
    });
  return sentences.filter((each) => each !== '').join(' ');
}

/** What amounts add up to in the unit of another; null where they are of different kinds. */
function sumIn({ unit }: Amount, amounts: readonly Amount[]): number | null {
  const measures: readonly Readonly<Record<string, number>>[] = [VOLUME_IN_ML, MASS_IN_GRAMS];
  const table = measures.find((each) => unit in each) ?? { [unit]: 1 };
  if (!amounts.every((each) => each.unit in table)) return null;
  return amounts.reduce((sum, each) => sum + each.quantity * table[each.unit]!, 0) / table[unit]!;
}

/** A fault in a sentence. */
export function sayPartFault(fault: PartFault): string {
  switch (fault.kind) {
    case 'missing':
      return say('{taker} takes {otherwise}, which no dish of this meal makes', {
        taker: fault.taker.name,
        otherwise: fault.take.otherwise,
      });
    case 'short':
      return say('there is less {give} than {count, plural, one {{takers} takes} other {{takers} take}}', {
        give: fault.giver.give.name,
        takers: listed(fault.takers.map(({ name }) => name)),
        count: fault.takers.length,
      });
    case 'unused':
      return say('nothing takes the {give} of {dish}', { give: fault.giver.give.name, dish: fault.giver.dish.name });
  }
}
