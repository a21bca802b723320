import { type Amount, MASS_IN_GRAMS, VOLUME_IN_ML } from '@/core/units/amount';
import { densityOf } from '@/core/units/densities';
import { added, buyable, type Errand } from './shopping';

/** What a shop asks for so much of a thing: `money` counted in the cook's own, whichever that is. */
export interface Price {
  readonly money: number;
  readonly per: Amount;
}

/** What the cook has of a thing at home, and what it costs. */
export interface LarderItem {
  /** The key of its errand: the same for the same thing. */
  readonly key: string;
  readonly name: string;
  readonly have: Amount | null;
  readonly price: Price | null;
}

/** One amount in the unit of another (g, ml or its own count); null where they cannot be compared. */
export function inKindOf(name: string, amount: Amount, kind: Amount): Amount | null {
  const from = added([amount])[0]!;
  const to = added([{ quantity: 1, unit: kind.unit }])[0]!.unit;
  if (from.unit === to) return from;
  const density = densityOf(name);
  if (density === null) return null;
  if (from.unit === 'ml' && to === 'g') return { quantity: from.quantity * density, unit: 'g' };
  if (from.unit === 'g' && to === 'ml') return { quantity: from.quantity / density, unit: 'ml' };
  return null;
}

/** What of an errand is still to be bought when the larder gives what it has, and what it gives. */
export function lessTheLarder(
  errand: Errand,
  item: LarderItem | undefined,
): { readonly buy: readonly Amount[]; readonly fromHome: Amount | null } {
  const have = item?.have;
  if (!have || have.quantity <= 0) return { buy: errand.amounts, fromHome: null };
  let left = have;
  let fromHome: Amount | null = null;
  const buy = errand.exact.flatMap((want): Amount[] => {
    const there = inKindOf(errand.name, left, want);
    if (!there || there.quantity <= 0) return [buyable(want)];
    const taken = Math.min(there.quantity, want.quantity);
    left = { quantity: there.quantity - taken, unit: there.unit };
    fromHome = added([...(fromHome ? [fromHome] : []), { quantity: taken, unit: want.unit }])[0]!;
    const rest = want.quantity - taken;
    return rest > 1e-6 ? [buyable({ quantity: rest, unit: want.unit })] : [];
  });
  return { buy, fromHome };
}

/** Money for an amount of a thing; null where its price is not told, or for another kind of amount. */
export function moneyFor(name: string, amount: Amount, price: Price | null | undefined): number | null {
  if (!price || price.per.quantity <= 0) return null;
  const asked = inKindOf(name, amount, price.per);
  const per = added([price.per])[0]!;
  return asked ? (price.money * asked.quantity) / per.quantity : null;
}

/** What a meal costs: what goes into it, not what is left in the packet. */
export interface MealCost {
  readonly meal: number;
  readonly portion: number;
  readonly dishes: readonly { readonly dish: string; readonly money: number }[];
  /** Names of what has no price yet. */
  readonly unpriced: readonly string[];
}

/** The cost of all errands by the larder's prices; null while nothing has a price. */
export function costOf(errands: readonly Errand[], larder: readonly LarderItem[], portions: number): MealCost | null {
  const dishes = new Map<string, number>();
  const unpriced: string[] = [];
  let priced = 0;
  for (const { key, name, wants } of errands) {
    const price = larder.find((item) => item.key === key)?.price;
    const moneys = wants.map(({ dish, amount }) => ({ dish, money: moneyFor(name, amount, price) }));
    if (moneys.some(({ money }) => money === null)) unpriced.push(name);
    else priced++;
    for (const { dish, money } of moneys) dishes.set(dish, (dishes.get(dish) ?? 0) + (money ?? 0));
  }
  if (priced === 0) return null;
  const meal = [...dishes.values()].reduce((sum, money) => sum + money, 0);
  return {
    meal,
    portion: meal / Math.max(1, portions),
    dishes: [...dishes].map(([dish, money]) => ({ dish, money })),
    unpriced,
  };
}

/** The larder after a meal: what it gave is gone. */
export function afterTheMeal(larder: readonly LarderItem[], errands: readonly Errand[]): readonly LarderItem[] {
  return larder.map((item) => {
    const errand = errands.find(({ key }) => key === item.key);
    const { fromHome } = errand ? lessTheLarder(errand, item) : { fromHome: null };
    const used = fromHome && item.have ? inKindOf(item.name, fromHome, item.have) : null;
    if (!used || !item.have) return item;
    const had = added([item.have])[0]!;
    const rest = { quantity: Math.max(0, had.quantity - used.quantity), unit: had.unit };
    return { ...item, have: asWritten(rest, item.have) };
  });
}

/** In the unit it was written in. */
function asWritten(rest: Amount, { unit }: Amount): Amount {
  const factor =
    unit in MASS_IN_GRAMS ? MASS_IN_GRAMS[unit as 'g'] : unit in VOLUME_IN_ML ? VOLUME_IN_ML[unit as 'ml'] : 1;
  return { quantity: rest.quantity / factor, unit };
}
