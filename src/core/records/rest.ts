import Joi from 'joi';
import type { SaidFood } from '@/core/food/food';
import type { LarderItem, Price } from '@/core/prep/larder';
import { LEAST_OWN, MOST_OWN, type OwnMeasure } from '@/core/units/measures';
import { amountShape, saidFoodShape } from './dish';
import { idShape, recordOf } from './shapes';

// The small records: what is at home, what is ticked off, mugs, choices, photos, and what was said of foods.

const id = idShape(300);

/** Where one thing of a meal's lists is: ticked off, at home, laid out. */
export interface StoredErrand {
  readonly id: string;
  readonly mealId: string;
  readonly key: string;
  readonly state: 'at home' | 'in the basket' | 'laid out';
}

/** A picture of a note, as text. */
export interface PhotoAsText {
  readonly id: string;
  /** "image/jpeg" */
  readonly type: string;
  /** Its bytes, base64 (RFC 4648, section 4). */
  readonly base64: string;
}

/** A choice that belongs to no meal: the paper, the sign of the money. */
export interface SettingRow {
  readonly name: string;
  readonly value: string | number;
}

/** What a cook has once said of a name that nobody knew: it is not asked again. */
export interface KnownFood {
  /** The name, as `rememberedAs` writes it. */
  readonly key: string;
  readonly food: SaidFood;
}

/** What is in the house, and what it costs. */
export const larderShape = recordOf<LarderItem>({
  key: id,
  name: Joi.string().min(1).max(120).required(),
  have: amountShape.allow(null).required(),
  price: recordOf<Price>({ money: Joi.number().min(0).max(1_000_000).required(), per: amountShape.required() })
    .allow(null)
    .required(),
});

/** A mug or a tin of the cook's own. */
export const measureShape = recordOf<OwnMeasure>({
  id,
  name: Joi.string().min(1).max(40).required(),
  millilitres: Joi.number().min(LEAST_OWN).max(MOST_OWN).required(),
});

/** What is ticked off of a meal's lists. */
export const errandShape = recordOf<StoredErrand>({
  id,
  mealId: id,
  key: id,
  state: Joi.string().valid('at home', 'in the basket', 'laid out').required(),
});

/** A choice that belongs to no meal. */
export const settingRowShape = recordOf<SettingRow>({
  name: id,
  value: Joi.alternatives(Joi.string().max(300), Joi.number()).required(),
});

/** What was said of a name. */
export const knownFoodShape = recordOf<KnownFood>({ key: id, food: saidFoodShape.required() });

/** A picture of a note. */
export const photoShape = recordOf<PhotoAsText>({
  id,
  type: Joi.string()
    .pattern(/^image\/[a-z0-9.+-]+$/)
    .required(),
  base64: Joi.string()
    .pattern(/^[A-Za-z0-9+/]*={0,2}$/)
    .max(12_000_000)
    .required(),
});
