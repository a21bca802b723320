import Joi from 'joi';
import { type Dish, DUTIES } from '@/core/dish/dish';
import { DIETS, KINDS, type SaidFood, STATES } from '@/core/food/food';
import { GRAINS } from '@/core/grain/grains';
import { METHODS } from '@/core/grain/methods';
import { STANDINGS } from '@/core/heat/cool';
import { HIGHEST_METRES, LOWEST_METRES } from '@/core/heat/water';
import {
  APPLIANCE_KINDS,
  BURNER_STRENGTHS,
  HEATS,
  KITCHEN_PLACES,
  type Kitchen,
  VESSEL_KINDS,
} from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { type EventKind, LOOKS } from '@/core/live/events';
import { asMadeAhead } from '@/core/meal/ahead';
import { MOST_DISHES, MOST_PEOPLE } from '@/core/meal/check';
import {
  APPETITES,
  COLDEST_ROOM,
  HOTTEST_ROOM,
  type Meal,
  type MealSetting,
  MOST_DAYS_AHEAD,
  PACES,
} from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { UNITS } from '@/core/units/amount';
import { mealWithKeys } from './older-keys';
import { check, type Parsed, parseJson, upgrade } from './refuse';
import { dayShape as day, idShape, instantShape as instant, lineShape } from './shapes';

export const MEAL_VERSION = 3;

/** A whole meal in one file: the setting, its kitchen, its dishes as they are written; perhaps its plan and its evenings. */
export interface MealFile {
  readonly format: 'warm-cadence/meal';
  readonly version: typeof MEAL_VERSION;
  readonly meal: MealSetting;
  readonly kitchen: Kitchen;
  readonly dishes: readonly Dish[];
  readonly plan?: Plan;
  readonly log?: readonly Evening[];
}

const id = idShape(100);
const name = lineShape(120).required();
const words = Joi.string().allow('').max(2000);
/** Up to what is kept from the longest way back. */
const minutes = Joi.number()
  .integer()
  .min(0)
  .max(1440 * (MOST_DAYS_AHEAD + 1));
const hour = Joi.string()
  .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, 'an hour such as 19:30')
  .required();
const litres = Joi.number().min(0.05).max(200);
const centimetres = Joi.number().min(0).max(150);
/** An amount in a unit that is known. */
export const amountShape = Joi.object({
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
        learned: Joi.number().min(0.1).max(10),
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
  asleep: Joi.object({ from: hour, until: hour }),
  where: Joi.string().valid(...KITCHEN_PLACES),
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
        litres,
      }),
    },
  ],
  otherwise: Joi.object({ at: Joi.string().valid('board', 'rest', 'cold', 'burner', 'oven', 'appliance').required() }),
});

/** What a cook has said that a thing is. */
export const saidFoodShape: Joi.ObjectSchema<SaidFood> = Joi.object({
  kind: Joi.string()
    .valid(...Object.keys(KINDS))
    .required(),
  state: Joi.string()
    .valid(...STATES)
    .required(),
  diet: Joi.string()
    .valid(...DIETS)
    .required(),
  allergens: Joi.array().items(Joi.string().max(60)).max(30).required(),
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
        amount: amountShape.required(),
        cut: words,
        grows: Joi.boolean().required(),
        allergens: Joi.array().items(Joi.string().max(60)).required(),
        food: saidFoodShape,
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
            by: Joi.string().valid('pieces').required(),
            kilos: Joi.number().min(0.01).max(500).required(),
            mostKilos: Joi.number().min(0.01).max(50).required(),
            first: Joi.number().min(0).max(600).required(),
            perKilo: Joi.number().min(0).max(600).required(),
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
        duty: Joi.string().valid(...DUTIES),
        safeMinutes: minutes,
        learned: Joi.object({
          factor: Joi.number().min(0.05).max(20).required(),
          times: Joi.number().integer().min(0).required(),
        }),
        daysBefore: Joi.number()
          .integer()
          .min(1)
          .max(2 * MOST_DAYS_AHEAD),
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
    .items(Joi.object({ product: id, name, step: id, amount: amountShape.required() }))
    .max(20)
    .required(),
  takes: Joi.array()
    .items(
      Joi.object({
        product: id,
        step: id,
        amount: amountShape.required(),
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
      standing: Joi.string().valid(...STANDINGS),
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
    besides: Joi.number().min(0).max(200),
    set: Joi.boolean().valid(true),
    alone: Joi.boolean().valid(true),
  }),
  made: Joi.object({
    technique: Joi.string().max(60).required(),
    ways: Joi.object().pattern(Joi.string().max(60), Joi.string().max(60)).required(),
    fillings: Joi.object()
      .pattern(
        Joi.string().max(60),
        Joi.object({
          name: Joi.string().min(1).max(120),
          amount: amountShape,
          cut: words,
          allergens: Joi.array().items(Joi.string().max(60)),
          food: saidFoodShape,
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
  layOutFirst: Joi.boolean(),
  roomCelsius: Joi.number().min(COLDEST_ROOM).max(HOTTEST_ROOM),
  together: Joi.array()
    .items(Joi.array().items(Joi.string().max(300)).min(2).max(20))
    .max(40),
  ahead: Joi.array()
    .items(
      Joi.object({
        dish: id,
        upTo: id,
        days: Joi.number().integer().min(1).max(MOST_DAYS_AHEAD).required(),
        frozen: Joi.boolean(),
      }),
    )
    .unique('dish')
    .max(MOST_DISHES),
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

const text = Joi.string().allow('').max(4000);
const minute = Joi.number().min(-100_000).max(100_000);
const range = Joi.object({
  low: Joi.number().required(),
  likely: Joi.number().required(),
  high: Joi.number().required(),
});
const station = Joi.object({
  id: text.required(),
  sort: Joi.string().valid('board', 'burner', 'oven', 'appliance', 'shelf').required(),
  name: text.required(),
});

/** A plan in a file. What it was made from stands beside it; a reader that does not trust it plans anew. */
export const planShape: Joi.ObjectSchema<Plan> = Joi.object({
  mealId: id,
  day,
  hour,
  people: Joi.number().integer().min(1).max(MOST_PEOPLE).required(),
  steps: Joi.array()
    .items(
      Joi.object({
        key: text.required(),
        stepId: text.required(),
        kind: Joi.string().valid('step', 'warm-up').required(),
        duty: Joi.string().valid(...DUTIES),
        safeMinutes: minute,
        dishId: text.required(),
        dishName: text.required(),
        name: text.required(),
        says: text.required(),
        part: Joi.number().integer().required(),
        parts: Joi.number().integer().required(),
        start: minute.required(),
        end: minute.required(),
        minutes: minute.required(),
        shortestEnd: minute.required(),
        longestEnd: minute.required(),
        attention: Joi.string().valid('hands', 'eyes', 'none').required(),
        lookEvery: Joi.number().allow(null).required(),
        station: station.required(),
        choices: Joi.array().items(text).required(),
        heat: Joi.string()
          .valid(...HEATS)
          .allow(null)
          .required(),
        celsius: Joi.number().allow(null).required(),
        vessel: text.allow(null).required(),
        person: Joi.object({ id: text.required(), name: text.required() }).allow(null).required(),
        doneWhen: text.required(),
        cautions: Joi.array().items(text).required(),
        amounts: Joi.array().items(text).required(),
        why: text.required(),
        slack: minute.required(),
        slackSooner: minute.required(),
        chain: Joi.array().items(text).required(),
        after: Joi.array().items(text).required(),
        follows: text.allow(null).required(),
        ahead: Joi.boolean().required(),
        learned: Joi.number().integer().min(0),
      }),
    )
    .max(MOST_DISHES * 200)
    .required(),
  landings: Joi.array()
    .items(
      Joi.object({
        dishId: text.required(),
        dishName: text.required(),
        ready: minute.required(),
        waits: minute.required(),
        late: minute.required(),
        after: minute,
        wellMinutes: minute.required(),
        mostMinutes: minute.required(),
        how: text.required(),
        served: Joi.string().valid('hot', 'warm', 'cold').required(),
        fine: Joi.string().valid('well', 'long', 'too long', 'late').required(),
        celsius: range,
      }),
    )
    .required(),
  waitings: Joi.array()
    .items(
      Joi.object({
        dishId: text.required(),
        from: minute.required(),
        to: minute.required(),
        after: text.required(),
        before: text.allow(null).required(),
        cold: Joi.boolean().required(),
      }),
    )
    .required(),
  stations: Joi.array().items(station).required(),
  hands: Joi.array()
    .items(
      Joi.object({
        personId: text.required(),
        name: text.required(),
        busy: Joi.array()
          .items(Joi.object({ start: minute.required(), end: minute.required(), key: text.required() }))
          .required(),
      }),
    )
    .required(),
  firstHand: minute.required(),
  quietStretch: minute.required(),
  proven: Joi.boolean().required(),
  cost: Joi.number().required(),
  verdict: text.required(),
  known: Joi.object({
    places: Joi.object()
      .pattern(
        Joi.string(),
        Joi.object({
          start: minute.required(),
          end: minute.required(),
          units: Joi.array().items(text).required(),
        }),
      )
      .required(),
    holds: Joi.object().pattern(Joi.string(), text).required(),
  }).required(),
});

const someMinutes = Joi.number().integer().min(-1440).max(1440).required();
const rating = Joi.number().valid(-1, 0, 1);

const told = (kinds: readonly EventKind[], more: Joi.PartialSchemaMap) =>
  Joi.object({
    id,
    at: instant.required(),
    kind: Joi.string()
      .valid(...kinds)
      .required(),
    ...more,
  });
/** An evening at the stove: the meal as it was then, the plan as it stood at the end, and everything that was told. */
export const eveningShape: Joi.ObjectSchema<Evening> = Joi.object({
  id,
  mealId: id,
  meal: (settingShape as Joi.ObjectSchema)
    .keys({ kitchen: kitchenShape.required(), dishes: Joi.array().items(dishShape).max(MOST_DISHES).required() })
    .required(),
  tableAt: instant.required(),
  firstTable: instant,
  plan: planShape.required(),
  events: Joi.array()
    .items(
      told(['begun', 'done', 'clock', 'paused', 'resumed', 'skipped'], { key: text.required() }),
      told(['not-yet', 'forecast'], { key: text.required(), until: instant.required() }),
      told(['checked'], {
        key: text.required(),
        look: Joi.string()
          .valid(...LOOKS)
          .required(),
        until: instant.required(),
      }),
      told(['water'], {
        key: text.required(),
        ml: Joi.number().min(0).max(20_000).required(),
        until: instant.required(),
      }),
      told(['moved'], { key: text.required(), unit: text.required() }),
      told(['failed'], { unit: text.required() }),
      told(['hour'], { minutes: someMinutes }),
      told(['kept'], { minutes: someMinutes, dishes: Joi.array().items(text).max(MOST_DISHES) }),
      told(['after'], { dish: text.required(), minutes: someMinutes }),
      told(['keep-warm'], { dish: text.required(), where: Joi.string().valid('oven', 'flame').required() }),
      told(['turned-down'], { key: text.required(), until: instant.required() }),
      told(['to-oven'], {
        key: text.required(),
        under: Joi.object({ until: instant.required(), rest: Joi.number().min(0).max(1440).required() }),
      }),
      told(['dropped'], { dish: text.required() }),
      told(['note'], { text: Joi.string().min(1).max(2000).required(), key: text, photo: text }),
      told(['rated'], { dish: text.required(), salt: rating, wetness: rating, doneness: rating }),
      told(['left-over'], { dish: text.required(), portions: Joi.number().min(0).max(MOST_PEOPLE).required() }),
      told(['clock-set'], { by: Joi.number().integer().required() }),
      told(['undo'], { of: text.required() }),
    )
    .max(10_000)
    .required(),
  moved: text.required(),
  over: Joi.boolean().required(),
});

export const mealShape: Joi.ObjectSchema<MealFile> = Joi.object({
  format: Joi.string().valid('warm-cadence/meal').required(),
  version: Joi.number().valid(MEAL_VERSION).required(),
  meal: settingShape.required(),
  kitchen: kitchenShape.required(),
  dishes: Joi.array().items(dishShape).max(MOST_DISHES).unique('id').required(),
  plan: planShape,
  log: Joi.array().items(eveningShape).max(1000),
});

/** What each older version needs to become the next. Version 1 had neither plan nor log; in version 2 keys were not escaped. */
const OLDER: Readonly<Record<number, (file: object) => object>> = {
  1: (file) => ({ ...file, version: 2 }),
  2: (file) => ({ ...mealWithKeys(file), version: 3 }),
};

/** Reads a meal file, of an older version too. The refusal of a newer one says so kindly; every other names the field. */
export function readMealFile(text: string): Parsed<MealFile> {
  const json = parseJson(text, 'meal file');
  return json.ok ? checkMealFile(json.value) : json;
}

/** Checks what a meal file held, and brings an older version up to now. */
export function checkMealFile(value: unknown): Parsed<MealFile> {
  const upgraded = upgrade(value, 'meal', MEAL_VERSION, OLDER);
  if (!upgraded.ok) return upgraded;
  const file = check(mealShape, upgraded.value);
  if (!file.ok) return file;
  const stranger = file.value.log?.find(({ mealId }) => mealId !== file.value.meal.id);
  if (!stranger) return file;
  const sentence = `log, "${stranger.id}", mealId: this evening is of the meal "${stranger.mealId}"; the file holds "${file.value.meal.id}".`;
  return { ok: false, sentence };
}

/** The meal a file holds, ready to plan. */
export function mealOf(file: MealFile): Meal {
  return asMadeAhead({ ...file.meal, kitchen: file.kitchen, dishes: file.dishes });
}

/** A meal of dishes as they are written, with its plan and its evenings if there are any. */
export function mealFile(meal: Meal, more: Pick<MealFile, 'plan' | 'log'> = {}): MealFile {
  const { kitchen, dishes, ...setting } = meal;
  return { format: 'warm-cadence/meal', version: MEAL_VERSION, meal: setting, kitchen, dishes, ...more };
}
