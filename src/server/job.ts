import { mealOf, readMealFile } from '@/core/formats/meal-file';
import { readProblem } from '@/core/formats/problem-file';
import { planMeal } from '@/core/plan/plan-meal';
import type { Parsed } from '@/core/records/refuse';
import { type CancelSignal, solve } from '@/core/schedule/solve';

/** What the server is asked for: the text of a body that nobody has read yet, and its options, which were checked. */
export interface Job {
  readonly kind: 'plan' | 'solve';
  readonly text: string;
  readonly seconds: number;
  readonly seed: number;
  /** The present in minutes relative to the table: nothing is planned before it. */
  readonly notBefore?: number;
}

export interface Done {
  readonly status: number;
  readonly body: unknown;
}

/** Reads and does a job: 200 with what was found, 400 for what is not sound, 422 with sentences when a meal cannot be planned. */
export async function doJob(job: Job, signal?: CancelSignal): Promise<Done> {
  const { text, seconds, seed, notBefore } = job;
  const limits = {
    seconds,
    seed,
    now: () => performance.now(),
    pause: () => new Promise<void>((resolve) => setImmediate(resolve)),
  };
  if (job.kind === 'solve') {
    return read(readProblem(text), async (problem) => ({
      status: 200,
      body: await solve(problem, limits, undefined, signal),
    }));
  }
  return read(readMealFile(text), async (file) => {
    const present = notBefore === undefined ? {} : { notBefore };
    const result = await planMeal(mealOf(file), { ...present, solve: limits }, undefined, signal);
    if (result.ok) return { status: 200, body: result.plan };
    const { ok: _, ...refused } = result;
    return { status: 422, body: refused };
  });
}

async function read<T>(parsed: Parsed<T>, then: (value: T) => Promise<Done>): Promise<Done> {
  return parsed.ok ? then(parsed.value) : { status: 400, body: { sentence: parsed.sentence } };
}
