import type { LarderItem } from '@/core/prep/larder';
import { say } from '@/core/say/say';
import type { Unit } from '@/core/units/amount';
import { readNumber } from '@/core/units/number';
import type { Pantry } from './db';

/** As it was typed: empty where nothing is said. */
export interface LarderTyped {
  readonly have: { readonly quantity: string; readonly unit: Unit };
  readonly price: { readonly money: string; readonly quantity: string; readonly unit: Unit };
}

const MOST = 100_000;

/** Stores what is in the house of a thing and what it costs; a sentence when something typed is no number, and then nothing is changed. */
export async function storeLarder(
  db: Pantry,
  thing: Pick<LarderItem, 'key' | 'name'>,
  { have, price }: LarderTyped,
): Promise<string | null> {
  const home = numberOf(have.quantity);
  const money = numberOf(price.money);
  const per = numberOf(price.quantity);
  if (home === undefined)
    return say('At home: a number from 0 to {most}; found “{found}”.', { most: MOST, found: have.quantity });
  if (money === undefined)
    return say('Price: a number from 0 to {most}; found “{found}”.', { most: MOST, found: price.money });
  if (per === undefined || (money !== null && !per))
    return say('Price for: an amount above 0; found “{found}”.', { found: price.quantity });
  const item: LarderItem = {
    ...thing,
    have: home === null ? null : { quantity: home, unit: have.unit },
    price: money === null || per === null ? null : { money, per: { quantity: per, unit: price.unit } },
  };
  if (item.have === null && item.price === null) await db.larder.delete(thing.key);
  else await db.larder.put(item);
  return null;
}

/** Null where nothing is typed, undefined where it is no number that can be. */
function numberOf(typed: string): number | null | undefined {
  if (typed.trim() === '') return null;
  const value = readNumber(typed);
  return value >= 0 && value <= MOST ? value : undefined;
}
