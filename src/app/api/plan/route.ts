import Joi from 'joi';
import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { planMeal } from '@/core/meal/plan-meal';
import { answer, type Options, optionsShape } from '@/server/answer';

export const runtime = 'nodejs';

interface PlanningOptions extends Options {
  /** The present in minutes relative to the table: nothing is planned before it. */
  readonly notBefore?: number;
}

const shape = (optionsShape as Joi.ObjectSchema<PlanningOptions>).keys({
  notBefore: Joi.number().integer().min(-20_160).max(1440),
});

/** A meal file in, a plan out; 422 with sentences when the meal cannot be planned. */
export function POST(request: Request): Promise<Response> {
  return answer(request, shape, readMealFile, async (file, { signal, options, ...tools }) => {
    const { notBefore, ...limits } = options;
    const present = notBefore === undefined ? {} : { notBefore };
    const result = await planMeal(mealOf(file), { ...present, solve: { ...limits, ...tools } }, undefined, signal);
    if (result.ok) return { status: 200, body: result.plan };
    const { ok: _, ...refused } = result;
    return { status: 422, body: refused };
  });
}
