import Joi from 'joi';
import { HEATS } from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { type EventKind, LOOKS, MEASURED_DOES, SENSES } from '@/core/live/events';
import { MOST_DISHES, MOST_PEOPLE } from '@/core/meal/check';
import { amountShape, dishShape } from './dish';
import { kitchenShape } from './kitchen';
import { planShape } from './plan';
import { settingShape } from './setting';
import { idShape, instantShape as instant, recordOf, textShape as text } from './shapes';

const id = idShape(100);
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
export const eveningShape = recordOf<Evening>({
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
        stage: text,
        until: instant.required(),
      }),
      told(['water'], {
        key: text.required(),
        ml: Joi.number().min(0).max(20_000).required(),
        until: instant.required(),
      }),
      told(['moved'], { key: text.required(), unit: text.required() }),
      told(['failed'], { unit: text.required(), stood: Joi.array().items(text).max(20) }),
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
      told(['settled'], { key: text.required(), when: instant.required() }),
      told(['measured'], {
        key: text.required(),
        product: text.required(),
        ml: Joi.number().min(0).max(100_000).required(),
        does: Joi.string()
          .valid(...MEASURED_DOES)
          .required(),
      }),
      told(['tasted'], {
        dish: text.required(),
        sense: Joi.string()
          .valid(...SENSES)
          .required(),
        gave: Joi.object({ name: text.required(), amount: amountShape.required() }),
      }),
      told(['rescued'], {
        dish: text.required(),
        says: text.required(),
        key: text,
        until: instant,
        step: Joi.object({
          name: text.required(),
          says: text.required(),
          minutes: Joi.number().integer().min(1).max(1440).required(),
          heat: Joi.string()
            .valid(...HEATS)
            .allow(null)
            .required(),
          hands: Joi.boolean().valid(true),
        }),
      }),
      told(['guests'], {
        more: Joi.number().integer().min(-MOST_PEOPLE).max(MOST_PEOPLE).required(),
        fixed: Joi.array().items(text).max(MOST_DISHES).required(),
      }),
      told(['added'], { dish: text.required(), made: dishShape.required() }),
      told(['handed'], { key: text.required(), person: text.required() }),
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
