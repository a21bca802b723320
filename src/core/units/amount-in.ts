import { say, term } from '@/core/say/say';
import { type Amount, COUNT_UNITS, isMass, isVolume, MASS_IN_GRAMS, type Unit, VOLUME_IN_ML } from './amount';
import { densityOf } from './densities';
import type { Manner } from './manner';

/** An amount in the units in which the cook of a manner measures it; what is counted stays. Its `name` decides whether a cup measures it. */
export function amountIn(amount: Amount, name: string, { amounts }: Pick<Manner, 'amounts'>): Amount {
  const { quantity, unit } = amount;
  if (UNITS_OF[amounts].includes(unit)) return amount;
  if (isMass(unit)) {
    const grams = quantity * MASS_IN_GRAMS[unit];
    if (amounts !== 'american') return grams < 1000 ? inUnit(grams, 'g') : inUnit(grams, 'kg');
    const density = densityOf(name);
    if (density !== null) return inUnit(grams / density, cupOrSpoon(grams / density));
    return inUnit(grams, grams < 0.97 * MASS_IN_GRAMS.lb ? 'oz' : 'lb');
  }
  if (!isVolume(unit)) return amount;
  const ml = quantity * VOLUME_IN_ML[unit];
  if (amounts === 'american') return inUnit(ml, cupOrSpoon(ml));
  if (amounts === 'metric') return ml < 1000 ? inUnit(ml, 'ml') : inUnit(ml, 'l');
  if (ml < 15) return inUnit(ml, 'tsp');
  return ml < 60 ? inUnit(ml, 'au-tbsp') : inUnit(ml, 'cup');
}

/** The same amount in another unit; as it is where there is no way between the two, such as from what is counted. */
export function amountAs(amount: Amount, unit: Unit, name: string): Amount {
  if (amount.unit === unit) return amount;
  const base = baseOf(amount);
  const wanted = baseOf({ quantity: 1, unit });
  if (!base || !wanted) return amount;
  const density = base.sort === wanted.sort ? 1 : densityOf(name);
  if (density === null) return amount;
  const there = base.sort === 'mass' && wanted.sort === 'volume' ? 1 / density : density;
  return { quantity: (base.value * there) / wanted.value, unit };
}

/** Grams or millilitres of an amount; null where it is counted. */
function baseOf({ quantity, unit }: Amount): { readonly sort: 'mass' | 'volume'; readonly value: number } | null {
  if (isMass(unit)) return { sort: 'mass', value: quantity * MASS_IN_GRAMS[unit] };
  return isVolume(unit) ? { sort: 'volume', value: quantity * VOLUME_IN_ML[unit] } : null;
}

function inUnit(base: number, unit: Unit): Amount {
  const size = isMass(unit) ? MASS_IN_GRAMS[unit] : isVolume(unit) ? VOLUME_IN_ML[unit] : 1;
  return { quantity: base / size, unit };
}

function cupOrSpoon(ml: number): Unit {
  return ml < 12.5 ? 'tsp' : ml < 54 ? 'tbsp' : 'us-cup';
}

/** Units in which a cook of each manner thinks, besides what is counted. */
const UNITS_OF: Readonly<Record<Manner['amounts'], readonly Unit[]>> = {
  metric: ['g', 'kg', 'ml', 'l', 'tsp', 'tbsp', ...COUNT_UNITS],
  american: ['us-cup', 'tbsp', 'tsp', 'oz', 'lb', ...COUNT_UNITS],
  australian: ['g', 'kg', 'ml', 'l', 'cup', 'au-tbsp', 'tsp', ...COUNT_UNITS],
};

const OTHERS: Readonly<Record<Manner['amounts'], readonly Unit[]>> = {
  metric: ['cup', 'us-cup', 'au-tbsp', 'oz', 'lb'],
  american: ['g', 'kg', 'ml', 'l', 'cup', 'au-tbsp'],
  australian: ['tbsp', 'us-cup', 'oz', 'lb'],
};

/** All units for a choice, those of the cook's manner first, each with its name there. */
export function unitChoices({ amounts }: Pick<Manner, 'amounts'>): readonly (readonly [Unit, string])[] {
  return [...UNITS_OF[amounts], ...OTHERS[amounts]].map((unit) => [unit, unitName(unit, amounts)] as const);
}

function unitName(unit: Unit, amounts: Manner['amounts']): string {
  if (unit === 'us-cup') return amounts === 'american' ? term('cup') : say('US cup');
  if (unit === 'cup') return amounts === 'american' ? say('metric cup') : term('cup');
  if (unit === 'au-tbsp') return amounts === 'australian' ? term('tbsp') : say('Australian tbsp');
  if (unit === 'tbsp' && amounts === 'australian') return say('tbsp of 15 millilitres');
  return term(unit);
}
