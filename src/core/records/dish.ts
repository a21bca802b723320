import Joi from 'joi';
import {
  type Dish,
  type DishGrain,
  DUTIES,
  type Gives,
  type Ingredient,
  type Lands,
  type Link,
  type Minutes,
  type Step,
  type Takes,
  type VesselUse,
  type Waits,
} from '@/core/dish/dish';
import {
  BETWEEN,
  type Filling,
  type From,
  type Made,
  type MadePart,
  type More,
  PRODUCTS,
  type SameVessel,
} from '@/core/dish/made';
import { DIETS, KINDS, type SaidFood, STATES } from '@/core/food/food';
import { GRAINS } from '@/core/grain/grains';
import { METHODS } from '@/core/grain/methods';
import { STANDINGS } from '@/core/heat/cool';
import { APPLIANCE_KINDS, HEATS, VESSEL_KINDS } from '@/core/kitchen/kitchen';
import { MOST_PEOPLE } from '@/core/meal/check';
import { MOST_DAYS_AHEAD } from '@/core/meal/meal';
import { type Amount, UNITS } from '@/core/units/amount';
import {
  idShape,
  lineShape,
  litresShape as litres,
  minutesShape as minutes,
  recordOf,
  wordsShape as words,
} from './shapes';

const id = idShape(100);
const name = lineShape(120).required();
/** Parts that a dish may be made of. */
const MOST_PARTS = 20;
const centimetres = Joi.number().min(0).max(150);

/** An amount in a unit that is known. */
export const amountShape = recordOf<Amount>({
  quantity: Joi.number().min(0).max(1_000_000).required(),
  unit: Joi.string()
    .valid(...UNITS)
    .required(),
});

const range = recordOf<Minutes>({
  shortest: minutes.required(),
  likely: minutes.required(),
  longest: minutes.required(),
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
export const saidFoodShape = recordOf<SaidFood>({
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

/** Letters, figures and hyphens: what is made by a part is known by it. */
const partId = Joi.string()
  .pattern(/^[a-z0-9-]{1,40}$/, 'letters, figures and hyphens')
  .required();
const from = recordOf<From>({
  part: partId.allow(null),
  product: Joi.string()
    .valid(...PRODUCTS)
    .required(),
});
const filling = recordOf<Filling>({
  name: Joi.string().min(1).max(120),
  amount: amountShape,
  cut: words,
  allergens: Joi.array().items(Joi.string().max(60)),
  food: saidFoodShape,
  from,
});
/** A choice or a slot of a technique. A pattern, for the published schema knows no other way to say it. */
const NAME_OF_CHOICE = /^(?!_)[A-Za-z0-9 _-]{1,60}$/;
const said = {
  technique: Joi.string().max(60).required(),
  ways: Joi.object().pattern(NAME_OF_CHOICE, Joi.string().max(60)).required(),
  fillings: Joi.object().pattern(NAME_OF_CHOICE, filling.allow(null)).required(),
  more: Joi.array()
    .items(
      recordOf<More>({
        id: id.required(),
        name: Joi.string().min(1).max(120).required(),
        amount: amountShape.required(),
        step: id.optional(),
        food: saidFoodShape,
      }),
    )
    .max(60)
    .unique('id'),
};

/** A dish as it is written. */
export const dishShape = recordOf<Dish>({
  id,
  name,
  servings: Joi.number().integer().min(1).max(MOST_PEOPLE).required(),
  ingredients: Joi.array()
    .items(
      recordOf<Ingredient>({
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
      recordOf<Step>({
        id,
        name,
        says: words.required(),
        minutes: range.required(),
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
          written: range,
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
      recordOf<Link>({
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
      recordOf<VesselUse>({
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
    .items(
      recordOf<Gives>({
        product: id,
        name,
        step: id,
        amount: amountShape.required(),
        overnight: Joi.boolean(),
        learned: Joi.object({
          factor: Joi.number().min(0.1).max(10).required(),
          times: Joi.number().integer().min(1).required(),
        }),
      }),
    )
    .max(20)
    .required(),
  takes: Joi.array()
    .items(
      recordOf<Takes>({
        product: id,
        step: id,
        amount: amountShape.required(),
        withinMinutes: minutes.allow(null).required(),
        otherwise: words.required(),
      }),
    )
    .max(20)
    .required(),
  lands: recordOf<Lands>({
    step: id,
    after: minutes,
    waits: recordOf<Waits>({
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
  grain: recordOf<DishGrain>({
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
  made: recordOf<Made>({
    ...said,
    parts: Joi.array()
      .items(recordOf<MadePart>({ id: partId, ...said }))
      .max(MOST_PARTS)
      .unique('id'),
    same: Joi.array()
      .items(
        recordOf<SameVessel>({
          from: id,
          to: id,
          between: Joi.string()
            .valid(...BETWEEN)
            .required(),
        }),
      )
      .max(40),
  }),
});
