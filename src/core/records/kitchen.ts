import Joi from 'joi';
import { HIGHEST_METRES, LOWEST_METRES } from '@/core/heat/water';
import {
  APPLIANCE_KINDS,
  type Appliance,
  BURNER_STRENGTHS,
  type Burner,
  KITCHEN_PLACES,
  type Kitchen,
  type Oven,
  type Person,
  VESSEL_KINDS,
  type Vessel,
} from '@/core/kitchen/kitchen';
import { hourShape as hour, idShape, lineShape, litresShape as litres, recordOf } from './shapes';

const id = idShape(100);
const name = lineShape(120).required();

/** A kitchen: burners, ovens, appliances, pots and people. */
export const kitchenShape = recordOf<Kitchen>({
  id,
  name,
  burners: Joi.array()
    .items(
      recordOf<Burner>({
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
      recordOf<Oven>({
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
      recordOf<Appliance>({
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
      recordOf<Vessel>({
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
      recordOf<Person>({
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
