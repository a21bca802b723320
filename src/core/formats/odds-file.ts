import Joi from 'joi';
import type { Odds } from '@/core/plan/plan';
import { oddsShape } from '@/core/records/plan';
import { idShape } from '@/core/records/shapes';

/** How a meal's evening may go, for other programs. */
export interface OddsFile extends Odds {
  readonly format: 'warm-cadence/odds';
  readonly version: 1;
  readonly meal: string;
}

/** The odds of a meal as JSON. */
export function oddsFile(meal: string, odds: Odds): OddsFile {
  return { format: 'warm-cadence/odds', version: 1, meal, ...odds };
}

/** What an odds file holds. */
export const oddsFileShape = (oddsShape as Joi.ObjectSchema).keys({
  format: Joi.string().valid('warm-cadence/odds').required(),
  version: Joi.number().valid(1).required(),
  meal: idShape(300),
});
