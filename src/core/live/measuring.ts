import type { Dish } from '@/core/dish/dish';
import { grainParts, withLiquidFor } from '@/core/dish/grain-of';
import { takersOf } from '@/core/meal/hand-over';
import { readKey } from '@/core/meal/keys';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import { say } from '@/core/say/say';
import {
  type Amount,
  printAmount,
  printFraction,
  scaleAmount,
  VOLUME_IN_ML,
  type VolumeUnit,
} from '@/core/units/amount';
import { listed } from '@/core/units/words';
import type { LiveEvent, MeasuredDoes } from './events';

/** A liquid that is measured at a step: how much of it there should be, how much is wanted, and by what. Millilitres, grams. */
export interface ToMeasure {
  readonly product: string;
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
    product: give.product,
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
/** What is over and worth keeping, ml. Common practice, no source. */
const WORTH_KEEPING = 150;
/** Grams of fine salt in a litre of broth that tastes a little too salty, as broth for grain should. Common practice, no source. */
const SALT_PER_LITRE = 8;
/** Grams of a level teaspoon of fine salt. Common practice, no source: 5 to 6. */
const TEASPOON_OF_SALT = 6;

/** What so many millilitres mean for what is wanted. */
export interface Found {
  readonly does: MeasuredDoes;
  /** As a button says it: "top it up with 400 ml of boiling water". */
  readonly says: string;
  /** What else belongs to it: the salt, what there is over. */
  readonly how: string;
}

/** Whether it is enough, in a sentence. */
export function sayWhatIsThere(measure: ToMeasure, ml: number): string {
  const { wantedMl, takers } = measure;
  const lacks = lackOf(measure, ml);
  if (lacks > 0)
    return say('{amount} short of the {wanted} for {takers}.', {
      amount: millis(lacks),
      wanted: millis(wantedMl),
      takers: listed(takers),
    });
  const over = ml - wantedMl;
  const enough = say('Enough: {amount} for {takers}.', { amount: millis(wantedMl), takers: listed(takers) });
  return over < WORTH_KEEPING ? enough : say('{enough} {amount} over.', { enough, amount: millis(over) });
}

/** What can be done with so many millilitres, the usual first. */
export function whatToDo(measure: ToMeasure, ml: number): readonly Found[] {
  const { name, wantedMl, grainGrams } = measure;
  const grain = (of: number) => printAmount({ quantity: of, unit: 'g' });
  const lacks = lackOf(measure, ml);
  if (lacks > 0) {
    const salt = printAmount({
      quantity: Math.max(0.25, (lacks / 1000) * (SALT_PER_LITRE / TEASPOON_OF_SALT)),
      unit: 'tsp',
    });
    const toppedUp: Found = {
      does: 'topped up',
      says: say('top it up with {amount} of boiling water', { amount: millis(lacks) }),
      how: say('{salt} of salt with it, then taste: it should taste a little too salty', { salt }),
    };
    const less: Found = {
      does: 'less grain',
      says:
        grainGrams > 0
          ? say('take {grain} less grain', { grain: grain((grainGrams * lacks) / wantedMl) })
          : say('take less of it'),
      how:
        grainGrams > 0
          ? say('it carries {grain}; salt for the grain goes down with it', {
              grain: grain((grainGrams * ml) / wantedMl),
            })
          : say('{count, plural, one {{takers} has} other {{takers} have}} so much less', {
              takers: listed(measure.takers),
              count: measure.takers.length,
            }),
    };
    return ml > 0 ? [toppedUp, less] : [toppedUp];
  }
  const over = ml - wantedMl;
  const keep =
    over < WORTH_KEEPING
      ? ''
      : say('{amount} of {name} stays: hot, to loosen with; or cooled fast, into small boxes and the freezer', {
          amount: millis(over),
          name,
        });
  const more =
    over < WORTH_KEEPING || grainGrams === 0
      ? ''
      : say('; {grain} more grain could cook in it', { grain: grain((grainGrams * over) / wantedMl) });
  return [{ does: 'as it is', says: say('take {amount}', { amount: millis(wantedMl) }), how: `${keep}${more}` }];
}

function lackOf({ wantedMl }: ToMeasure, ml: number): number {
  const lacks = wantedMl - ml;
  return lacks > WITHIN * wantedMl ? lacks : 0;
}

function millis(of: number): string {
  return printAmount({ quantity: of, unit: 'ml' });
}

/**
 * The meal by what was measured: the dish gives what is there, topped up where it was; where there is less grain instead, all that takes of it
 * takes as much less, its grain and its salt with it.
 */
export function asMeasured(
  meal: Meal,
  said: Pick<Extract<LiveEvent, { kind: 'measured' }>, 'key' | 'product' | 'ml' | 'does'>,
): Meal {
  const read = readKey(said.key);
  const measure = read && toMeasure(meal, read.dish, read.step);
  if (!read || measure?.product !== said.product) return meal;
  const { thoughtMl, wantedMl } = measure;
  const there = said.does === 'topped up' ? Math.max(said.ml, wantedMl) : said.ml;
  const share = said.does === 'less grain' && wantedMl > 0 ? Math.min(1, said.ml / wantedMl) : 1;
  const scaled = meal.dishes.map((dish) => scaledFor(meal, dish));
  const giver = scaled.find(({ id }) => id === read.dish);
  const give = giver?.gives.find(({ product }) => product === said.product);
  const taking = giver && give ? takersOf(scaled, giver, give) : [];
  const dishes = meal.dishes.map((written): Dish => {
    const dish = written.id === read.dish && thoughtMl > 0 ? giving(written, said.product, there / thoughtMl) : written;
    const takes = taking.filter(({ taker }) => taker.id === dish.id).map(({ take }) => take.product);
    return share === 1 ? dish : takes.reduce((now, product) => takingLess(meal, now, product, share), dish);
  });
  return { ...meal, dishes };
}

function giving(dish: Dish, product: string, times: number): Dish {
  if (times === 1) return dish;
  return {
    ...dish,
    gives: dish.gives.map((give) =>
      give.product === product ? { ...give, amount: scaleAmount(give.amount, times) } : give,
    ),
  };
}

const SALT = /\bsalt\b/i;

/** Grain that cooks in it goes down with all its liquid and its salt; of anything else only what is taken. */
function takingLess(meal: Meal, dish: Dish, product: string, share: number): Dish {
  const { grain } = dish;
  const litres = grainParts(scaledFor(meal, dish))?.litres ?? 0;
  const less = (amount: Amount) => scaleAmount(amount, share);
  if (!grain?.liquid.includes(product) || litres <= 0)
    return {
      ...dish,
      takes: dish.takes.map((take) => (take.product === product ? { ...take, amount: less(take.amount) } : take)),
    };
  const ingredients = dish.ingredients.map((item) =>
    item.id === grain.dry || SALT.test(item.name) ? { ...item, amount: less(item.amount) } : item,
  );
  return withLiquidFor({ ...dish, ingredients }, portionsOf(meal), litres * share, grain);
}

/** A way of measuring what stands in a pot or a jug: what one of it holds, and how much a press gives. */
export interface MeasuringWay {
  readonly id: 'jug' | 'mug' | 'depth' | 'scale';
  readonly name: string;
  /** Millilitres of one. */
  readonly ml: number;
  /** What the four presses give, in ones. */
  readonly steps: readonly [number, number, number, number];
  /** "2½ mugs" */
  readonly print: (of: number) => string;
}

/** A mug, ml. Common practice, no source: 220 to 300. */
const MUG = 250;

/** How it can be measured: by jug, mug, scale, and by the depth in a pot whose width in cm is known. */
export function measuringWays(potWidthCm: number | null): readonly MeasuringWay[] {
  const jug: MeasuringWay = { id: 'jug', name: 'jug', ml: 1, steps: [-250, -50, 50, 250], print: millis };
  const mug: MeasuringWay = {
    id: 'mug',
    name: 'mugs',
    ml: MUG,
    steps: [-1, -0.25, 0.25, 1],
    print: (of) => (of <= 0 ? say('no mug') : `${printFraction(of)} ${of > 1 ? 'mugs' : 'mug'}`),
  };
  const scale: MeasuringWay = {
    id: 'scale',
    name: 'scale',
    ml: 1,
    steps: [-250, -50, 50, 250],
    print: (of) => (of <= 0 ? '0 g' : printAmount({ quantity: of, unit: 'g' })),
  };
  if (potWidthCm === null || potWidthCm <= 0) return [jug, mug, scale];
  const depth: MeasuringWay = {
    id: 'depth',
    name: say('depth in the {width} cm pot', { width: Math.round(potWidthCm) }),
    ml: (Math.PI / 4) * potWidthCm ** 2,
    steps: [-1, -0.25, 0.25, 1],
    print: (of) => (of <= 0 ? say('0 cm') : say('{depth} cm', { depth: printFraction(of) })),
  };
  return [jug, mug, depth, scale];
}
