import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { planMeal } from '@/core/meal/plan-meal';
import { answer } from '@/server/answer';

export const runtime = 'nodejs';

/** A meal file in, a plan out; 422 with sentences when the meal cannot be planned. */
export function POST(request: Request): Promise<Response> {
  return answer(request, readMealFile, async (file, { signal, ...solveTools }) => {
    const result = await planMeal(mealOf(file), { solve: solveTools }, undefined, signal);
    return result.ok ? { status: 200, body: result.plan } : { status: 422, body: { refusals: result.refusals } };
  });
}
