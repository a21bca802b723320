import Joi from 'joi';
import { cautionsAt } from '@/core/dish/cautions';
import { checkDish } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import { minutesOf } from '@/core/dish/strip';
import { dishShape } from '@/core/records/dish';
import { broughtUp } from '@/core/records/generations';
import { check, type Parsed, parseJson, upgrade } from '@/core/records/refuse';
import { recordOf } from '@/core/records/shapes';
import { say } from '@/core/say/say';
import { printThing } from '@/core/units/thing';

/** The version that is written now. */
export const DISH_VERSION = 2;

/** Version 1 held a dish of generation 1. */
const OLDER: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => ({ ...file, version: 2, dish: broughtUp({ dishes: [(file as { dish?: unknown }).dish] }, 1).dishes[0] }),
};

/** One dish in a file of our own: nothing of it is lost. */
export interface DishFile {
  readonly format: 'warm-cadence/dish';
  readonly version: typeof DISH_VERSION;
  readonly dish: Dish;
}

const shape = recordOf<DishFile>({
  format: Joi.string().valid('warm-cadence/dish').required(),
  version: Joi.number().valid(DISH_VERSION).required(),
  dish: dishShape.required(),
});

/** A dish in a file of its own. */
export function dishFile(dish: Dish): DishFile {
  return { format: 'warm-cadence/dish', version: DISH_VERSION, dish };
}

/** Whether a text says that it is a dish file, of whatever version. */
export function isDishFile(text: string): boolean {
  return /^\s*\{[^{]{0,200}"format"\s*:\s*"warm-cadence\/dish"/.test(text);
}

/** Reads a dish file; the refusal names the field, and a newer version is refused kindly. */
export function readDishFile(text: string): Parsed<Dish> {
  const json = parseJson(text, say('dish file'));
  if (!json.ok) return json;
  const upgraded = upgrade(json.value, 'dish', DISH_VERSION, OLDER);
  if (!upgraded.ok) return upgraded;
  const file = check(shape, upgraded.value);
  if (!file.ok) return file;
  const [fault] = checkDish(file.value.dish);
  return fault ? { ok: false, sentence: `${fault.where}: ${fault.sentence}` } : { ok: true, value: file.value.dish };
}

/** A dish as a schema.org Recipe, for other programs. What they have no words for (lags, burners, waiting) is told in the steps' own words. */
export function recipeJsonLd(dish: Dish): Readonly<Record<string, unknown>> {
  const { all, hands } = minutesOf(dish);
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: dish.name,
    ...(dish.note ? { description: dish.note } : {}),
    recipeYield: say('{servings} portions', { servings: dish.servings }),
    prepTime: isoDuration(hands),
    totalTime: isoDuration(all),
    recipeIngredient: dish.ingredients.map(
      ({ amount, name, cut }) => `${printThing(amount, name)}${cut ? `, ${cut}` : ''}`,
    ),
    recipeInstructions: dish.steps.map((step, k) => {
      const { name, says, doneWhen, minutes } = step;
      return {
        '@type': 'HowToStep',
        position: k + 1,
        name,
        text: [
          says,
          minutes.likely > 0 ? say('About {likely} min.', { likely: minutes.likely }) : '',
          doneWhen ? say('Done when {doneWhen}.', { doneWhen }) : '',
          ...cautionsAt(dish, step),
        ]
          .filter(Boolean)
          .join(' '),
      };
    }),
  };
}

function isoDuration(minutes: number): string {
  const [h, m] = [Math.floor(minutes / 60), minutes % 60];
  return `PT${h > 0 ? `${h}H` : ''}${m > 0 || h === 0 ? `${m}M` : ''}`;
}
