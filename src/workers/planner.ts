import * as Comlink from 'comlink';
import type { Plan } from '@/core/meal/plan';
import type { PlanResult } from '@/core/meal/plan-meal';
import type { PlannerWorker, PlanRequest } from './planner.worker';

let remote: Comlink.Remote<PlannerWorker> | undefined;

/** Plans on the worker's thread; `onImprove` hears of each better plan on the way. */
export async function planInWorker(request: PlanRequest, onImprove?: (plan: Plan) => void): Promise<PlanResult> {
  remote ??= Comlink.wrap<PlannerWorker>(
    new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote.plan(request, onImprove ? Comlink.proxy(onImprove) : undefined);
}

/** Keeps the best plan found so far. */
export async function stopPlanning(): Promise<void> {
  await worker().stop();
}

function worker(): Comlink.Remote<PlannerWorker> {
  remote ??= Comlink.wrap<PlannerWorker>(
    new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}
