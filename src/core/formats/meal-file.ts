import Joi from 'joi';
import type { Dish } from '@/core/dish/dish';
import { GRAINS } from '@/core/grain/grains';
import { METHODS } from '@/core/grain/methods';
import { HIGHEST_METRES, LOWEST_METRES } from '@/core/heat/water';
import { APPLIANCE_KINDS, BURNER_STRENGTHS, HEATS, type Kitchen, VESSEL_KINDS } from '@/core/kitchen/kitchen';
import { MOST_DISHES, MOST_PEOPLE } from '@/core/meal/check';
import { APPETITES, type Meal, type MealSetting, PACES } from '@/core/meal/meal';
import { UNITS } from '@/core/units/amount';
import { check, type Parsed, parseJson } from './refuse';

/** A whole meal in one file: the setting, its kitchen and its dishes. */
export interface MealFile {
  readonly format: 'warm-cadence/meal';
  readonly version: 1;
  readonly meal: MealSetting;
  readonly kitchen: Kitchen;
  readonly dishes: readonly Dish[];
}

const id = Joi.string().min(1).max(100).required();
const name = Joi.string().min(1).max(120).required();
const words = Joi.string().allow('').max(2000);
const minutes = Joi.number().integer().min(0).max(10_080);
const hour = Joi.string()
  .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, 'an hour such as 19:30')
  .required();
const day = Joi.string()
  .pattern(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'a day such as 2026-11-28')
  .required();
const litres = Joi.number().min(0.05).max(200);
const centimetres = Joi.number().min(0).max(150);
const amount = Joi.object({
  quantity: Joi.number().min(0).max(1_000_000).required(),
  unit: Joi.string()
    .valid(...UNITS)
    .required(),
});

export const kitchenShape: Joi.ObjectSchema<Kitchen> = Joi.object({
  id,
  name,
  burners: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        strength: Joi.string()
          .valid(...BURNER_STRENGTHS)
          .required(),
        widestCm: Joi.number().min(8).max(80).required(),
        gentle: Joi.boolean().required(),
        watts: Joi.number().min(50).max(20_000),
      }),
    )
    .max(12)
    .unique('id')
    .required(),
  ovens: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        shelves: Joi.number().integer().min(1).max(12).required(),
        warmUpMinutes: Joi.number().integer().min(0).max(90).required(),
      }),
    )
    .max(6)
    .unique('id')
    .required(),
  appliances: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        kind: Joi.string()
          .valid(...APPLIANCE_KINDS)
          .required(),
        litres,
      }),
    )
    .max(20)
    .unique('id')
    .required(),
  vessels: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        kind: Joi.string()
          .valid(...VESSEL_KINDS)
          .required(),
        litres: litres.required(),
        widthCm: Joi.number().min(5).max(100).required(),
        count: Joi.number().integer().min(0).max(30).required(),
        straight: Joi.boolean(),
      }),
    )
    .max(60)
    .unique('id')
    .required(),
  people: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        role: Joi.string().valid('cook', 'helper').required(),
        from: hour,
        until: hour,
      }),
    )
    .min(1)
    .max(12)
    .unique('id')
    .required(),
  metres: Joi.number().integer().min(LOWEST_METRES).max(HIGHEST_METRES),
});

const place = Joi.alternatives().conditional('.at', {
  switch: [
    {
      is: 'burner',
      // biome-ignore lint/suspicious/noThenProperty: Joi's own key
      then: Joi.object({
        at: Joi.string().required(),
        heat: Joi.string()
          .valid(...HEATS)
          .required(),
        orIn: Joi.string().valid(...APPLIANCE_KINDS),
      }),
    },
    {
      is: 'oven',
      // biome-ignore lint/suspicious/noThenProperty: Joi's own key
      then: Joi.object({
        at: Joi.string().required(),
        celsius: Joi.number().integer().min(30).max(320).required(),
        shelves: Joi.number().integer().min(1).max(12).required(),
      }),
    },
    {
      is: 'appliance',
      // biome-ignore lint/suspicious/noThenProperty: Joi's own key
      then: Joi.object({
        at: Joi.string().required(),
        appliance: Joi.string()
          .valid(...APPLIANCE_KINDS)
          .required(),
      }),
    },
  ],
  otherwise: Joi.object({ at: Joi.string().valid('board', 'rest', 'cold', 'burner', 'oven', 'appliance').required() }),
});

export const dishShape: Joi.ObjectSchema<Dish> = Joi.object({
  id,
  name,
  servings: Joi.number().integer().min(1).max(MOST_PEOPLE).required(),
  ingredients: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        amount: amount.required(),
        cut: words,
        grows: Joi.boolean().required(),
        allergens: Joi.array().items(Joi.string().max(60)).required(),
      }),
    )
    .max(200)
    .required(),
  steps: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        says: words.required(),
        minutes: Joi.object({
          shortest: minutes.required(),
          likely: minutes.required(),
          longest: minutes.required(),
        }).required(),
        grows: Joi.alternatives(
          Joi.object({ by: Joi.string().valid('nothing', 'people').required() }),
          Joi.object({
            by: Joi.string().valid('batches').required(),
            servingsPerBatch: Joi.number().min(0.1).max(MOST_PEOPLE).required(),
            floorCm2: Joi.number().min(1).max(5000),
          }),
          Joi.object({
            by: Joi.string().valid('boil').required(),
            litres: Joi.number().min(0.05).max(50).required(),
            fromCelsius: Joi.number().min(0).max(100).required(),
            covered: Joi.boolean().required(),
          }),
        ).required(),
        attention: Joi.string().valid('hands', 'eyes', 'none').required(),
        by: Joi.string().valid('cook', 'anyone').required(),
        lookEvery: Joi.number().integer().min(1).max(1440),
        place: place.required(),
        vessel: Joi.string().max(100),
        doneWhen: words.required(),
        cautions: Joi.array().items(words).max(20).required(),
        uses: Joi.array().items(Joi.string()).max(200).required(),
        ahead: Joi.boolean(),
        daysBefore: Joi.number().integer().min(1).max(7),
      }),
    )
    .min(1)
    .max(100)
    .required(),
  links: Joi.array()
    .items(
      Joi.object({
        from: id,
        at: Joi.string().valid('start', 'end').required(),
        to: id,
        of: Joi.string().valid('start', 'end').required(),
        min: Joi.number().integer().min(-10_080).max(10_080).required(),
        max: Joi.number().integer().min(-10_080).max(10_080).allow(null).required(),
        rather: minutes,
        overnight: Joi.boolean(),
      }),
    )
    .max(400)
    .required(),
  vessels: Joi.array()
    .items(
      Joi.object({
        id,
        name,
        need: Joi.object({
          kinds: Joi.array()
            .items(Joi.string().valid(...VESSEL_KINDS))
            .min(1)
            .required(),
          litres: litres.required(),
          widthCm: centimetres.required(),
          straight: Joi.boolean(),
        }).required(),
        grows: Joi.boolean().required(),
        from: id,
        to: id,
        washMinutes: Joi.number().integer().min(0).max(240).required(),
      }),
    )
    .max(40)
    .required(),
  gives: Joi.array()
    .items(Joi.object({ product: id, name, step: id, amount: amount.required() }))
    .max(20)
    .required(),
  takes: Joi.array()
    .items(
      Joi.object({
        product: id,
        step: id,
        amount: amount.required(),
        withinMinutes: minutes.allow(null).required(),
        otherwise: words.required(),
      }),
    )
    .max(20)
    .required(),
  lands: Joi.object({
    step: id,
    waits: Joi.object({
      wellMinutes: minutes.required(),
      mostMinutes: minutes.required(),
      overnight: Joi.boolean(),
      how: words.required(),
      served: Joi.string().valid('hot', 'warm', 'cold').required(),
    }).required(),
  })
    .allow(null)
    .required(),
  note: words,
  grain: Joi.object({
    kind: Joi.string()
      .valid(...GRAINS.map((each) => each.id))
      .required(),
    method: Joi.string()
      .valid(...METHODS.map((each) => each.id))
      .required(),
    soaked: Joi.boolean().required(),
    dry: id,
    liquid: Joi.array().items(id).min(1).max(10).required(),
  }),
  made: Joi.object({
    technique: Joi.string().max(60).required(),
    ways: Joi.object().pattern(Joi.string().max(60), Joi.string().max(60)).required(),
    fillings: Joi.object()
      .pattern(
        Joi.string().max(60),
        Joi.object({
          name: Joi.string().min(1).max(120),
          amount,
          cut: words,
          allergens: Joi.array().items(Joi.string().max(60)),
        }).allow(null),
      )
      .required(),
  }),
});

export const settingShape: Joi.ObjectSchema<MealSetting> = Joi.object({
  id,
  name,
  people: Joi.number().integer().min(1).max(MOST_PEOPLE).required(),
  day,
  hour,
  pace: Joi.string()
    .valid(...PACES)
    .required(),
  appetite: Joi.string().valid(...APPETITES),
  leftovers: Joi.number().integer().min(0).max(MOST_PEOPLE),
  passedOver: Joi.array().items(Joi.string().max(300)).max(200),
  pins: Joi.array()
    .items(
      Joi.object({
        key: Joi.string().max(300).required(),
        start: Joi.number().integer().min(-20_160).max(1440),
        unit: Joi.string().max(120),
      }),
    )
    .max(400),
});

export const mealShape: Joi.ObjectSchema<MealFile> = Joi.object({
  format: Joi.string().valid('warm-cadence/meal').required(),
  version: Joi.number().valid(1).required(),
  meal: settingShape.required(),
  kitchen: kitchenShape.required(),
  dishes: Joi.array().items(dishShape).max(MOST_DISHES).required(),
});

/** Reads a meal file. The refusal of a newer version says so kindly; every other names the field. */
export function readMealFile(text: string): Parsed<MealFile> {
  const json = parseJson(text, 'meal file');
  if (!json.ok) return json;
  const version = (json.value as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > 1) {
    return {
      ok: false,
      sentence: `version: this meal file is of version ${version}, written by a newer Warm Cadence; this one reads version 1. Update and open it again.`,
    };
  }
  return check(mealShape, json.value);
}

/** The meal a file holds, ready to plan. */
export function mealOf(file: MealFile): Meal {
  return { ...file.meal, kitchen: file.kitchen, dishes: file.dishes };
}

export function mealFile(meal: Meal): MealFile {
  const { kitchen, dishes, ...setting } = meal;
  return { format: 'warm-cadence/meal', version: 1, meal: setting, kitchen, dishes };
}
