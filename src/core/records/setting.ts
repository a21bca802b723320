import Joi from 'joi';
import { MOST_DISHES, MOST_PEOPLE } from '@/core/meal/check';
import {
  APPETITES,
  COLDEST_ROOM,
  HOTTEST_ROOM,
  type MadeAhead,
  type MealSetting,
  MOST_DAYS_AHEAD,
  PACES,
  SURENESSES,
} from '@/core/meal/meal';
import type { Pin } from '@/core/meal/pin';
import { dayShape as day, hourShape as hour, idShape, instantShape, lineShape, recordOf } from './shapes';

const id = idShape(100);
const name = lineShape(120).required();

/** A meal as it is stored: its setting, and which kitchen and dishes it stands on. */
export interface StoredMeal extends MealSetting {
  readonly kitchenId: string;
  readonly dishIds: readonly string[];
  /** Milliseconds since 1970. */
  readonly changedAt: number;
}

/** What is set for a meal, besides its kitchen and its dishes. */
export const settingShape = recordOf<MealSetting>({
  id,
  name,
  people: Joi.number().integer().min(1).max(MOST_PEOPLE).required(),
  day,
  hour,
  pace: Joi.string()
    .valid(...PACES)
    .required(),
  sureness: Joi.string().valid(...SURENESSES),
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
      recordOf<MadeAhead>({
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
      recordOf<Pin>({
        key: Joi.string().max(300).required(),
        start: Joi.number().integer().min(-20_160).max(1440),
        unit: Joi.string().max(120),
      }),
    )
    .max(400),
});

/** A meal as it is stored. */
export const storedMealShape = (settingShape as Joi.ObjectSchema).keys({
  kitchenId: idShape(300),
  dishIds: Joi.array().items(idShape(300)).max(MOST_DISHES).required(),
  changedAt: instantShape.required(),
}) as Joi.ObjectSchema<StoredMeal>;
