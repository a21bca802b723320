import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import type { Plugin } from 'vite';

type PlanMeal = typeof import('@/core/plan/plan-meal')['planMeal'];

/** For what is asked: a map as its pairs, or it would be `{}`. */
const withMaps = (_: string, value: unknown) => (value instanceof Map || value instanceof Set ? [...value] : value);

/**
 * Planning that keeps each plan in a file of `folder`, found again by what was asked: the same tests run for thousands of planted faults, and
 * nearly all of them ask for the same plans. A fault that changes what is asked for is planned anew. Only right while no fault is planted in
 * what plans.
 */
export function keepingPlans(planAnew: PlanMeal, folder: string): PlanMeal {
  mkdirSync(folder, { recursive: true });
  return async (meal, options, onImprove, signal) => {
    if (onImprove || signal?.aborted) return planAnew(meal, options, onImprove, signal);
    const { now: _, pause: __, ...limits } = options.solve;
    const asked = createHash('sha1')
      .update(JSON.stringify([meal, { ...options, solve: limits }], withMaps))
      .digest('hex');
    const file = join(folder, asked);
    if (existsSync(file)) return deserialize(readFileSync(file));
    const result = await planAnew(meal, options, onImprove, signal);
    if (signal?.aborted) return result;
    // Whole or not at all: other workers read here.
    writeFileSync(`${file}.${process.pid}`, serialize(result));
    renameSync(`${file}.${process.pid}`, file);
    return result;
  };
}

/** Puts `keepingPlans` in the place of the core's planning. */
export function keptPlans(folder: string): Plugin {
  return {
    name: 'kept-plans',
    enforce: 'pre',
    transform(code, id) {
      if (!id.endsWith('/core/plan/plan-meal.ts')) return undefined;
      const anew = code.replace('export async function planMeal(', 'async function planAnew(');
      if (anew === code) throw new Error('plan-meal.ts exports no planMeal any more.');
      return `import { keepingPlans } from ${JSON.stringify(import.meta.filename)};\n${anew}\nexport const planMeal = keepingPlans(planAnew, ${JSON.stringify(folder)});\n`;
    },
  };
}
