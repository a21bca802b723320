import * as Comlink from 'comlink';
import { withPin } from '@/core/meal/pin';
import { LONGEST_PLAN } from '@/core/plan/longest';
import type { PlanResult } from '@/core/plan/made';
import type { Plan } from '@/core/plan/plan';
import type { PlannerWorker, PlanRequest } from './planner.worker';
import { Silence } from './silence';
import { turn } from './turn';

let most = Number.POSITIVE_INFINITY;

/** No better plan is looked for longer than so many seconds: for slow machines, and for those who try many. A first plan takes what it takes. */
export function lookAtMost(seconds: number): void {
  most = seconds;
}

/** So many seconds, or as many as a plan may be looked for here. */
export function atMost(seconds: number): number {
  return Math.min(seconds, most);
}

let language: Parameters<PlannerWorker['speak']> = ['en', {}, {}];

/** From now on plans are put into the words of a language. */
export function planIn(...next: typeof language): void {
  if (next[0] === language[0]) return;
  language = next;
  void desk?.remote.speak(...language);
}

/** Where the last plan was made: on the worker's thread, by the server, or in the page itself. */
export type PlannerSeat = 'worker' | 'server' | 'page';

/** Attempts at a worker that fails before it is left alone until the page is opened again. */
const MOST_FAILURES = 2;
/** A worker that says nothing for so many seconds, more than it was given, is taken for dead. */
const patienceFor = ({ seconds }: PlanRequest) => Math.ceil(10 + seconds * LONGEST_PLAN);

interface Desk {
  readonly worker: Worker;
  readonly remote: Comlink.Remote<PlannerWorker>;
  /** Settles, with null, when the worker fails. */
  readonly fails: Promise<null>;
}

let desk: Desk | undefined;
let failures = 0;
let seat: PlannerSeat = 'worker';
const listeners = new Set<() => void>();

/** For `useSyncExternalStore`: where plans are made. */
export const plannerSeat = {
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  now: (): PlannerSeat => seat,
};

function sit(at: PlannerSeat): void {
  if (seat === at) return;
  seat = at;
  for (const listener of listeners) listener();
}

/**
 * Plans a meal: on the worker's thread; where that fails, on the server; where that cannot be reached either, or in mid-meal, of
 * which the server knows nothing, in the page. `onImprove` hears of each better plan on the way, except from the server.
 */
export async function askPlanner(request: PlanRequest, onImprove?: (plan: Plan) => void): Promise<PlanResult> {
  const own = await inWorker(request, onImprove);
  if (own) {
    sit('worker');
    return own;
  }
  const served = request.progress ? null : await onServer(request);
  sit(served ? 'server' : 'page');
  return served ?? inPage(request, onImprove);
}

/** Fetches what plans, as long as there is a network, so that an evening goes on without one. */
export async function warmPlanner(): Promise<void> {
  try {
    desk ??= openDesk();
    await Promise.all([desk.remote.ready(), import('@/core/plan/plan-meal')]);
  } catch (error) {
    console.warn('The planner could not be fetched ahead.', error);
  }
}

/** Keeps the best plan found so far. */
export async function stopPlanning(): Promise<void> {
  await desk?.remote.stop();
}

async function inWorker(request: PlanRequest, onImprove?: (plan: Plan) => void): Promise<PlanResult | null> {
  if (failures >= MOST_FAILURES) return null;
  const silence = new Silence(patienceFor(request));
  try {
    desk ??= openDesk();
    const answer = desk.remote.plan(request, onImprove ? Comlink.proxy(onImprove) : undefined);
    const result = await Promise.race([answer, desk.fails, silence.over]);
    if (result) return result;
  } catch (error) {
    console.warn('The planner on its own thread failed.', error);
  } finally {
    silence.stop();
  }
  failures++;
  desk?.worker.terminate();
  desk = undefined;
  return null;
}

function openDesk(): Desk {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
  const fails = new Promise<null>((resolve) => worker.addEventListener('error', () => resolve(null), { once: true }));
  const remote = Comlink.wrap<PlannerWorker>(worker);
  if (language[0] !== 'en') void remote.speak(...language);
  return { worker, remote, fails };
}

/** Null when the server cannot be asked; a refusal of its own is an answer. */
async function onServer({ meal, seconds, notBefore, held }: PlanRequest): Promise<PlanResult | null> {
  // The dishes are as they are made already.
  const { ahead: _, ...asMade } = held ? { ...meal, pins: withPin(meal.pins ?? [], held) } : meal;
  const given = Math.min(seconds, MOST_SERVED);
  const options = new URLSearchParams({ seconds: String(given) });
  if (notBefore !== undefined) options.set('notBefore', String(Math.max(notBefore, EARLIEST)));
  try {
    const { mealFile } = await import('@/core/formats/meal-file');
    const answer = await fetch(`/api/plan?${options}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(mealFile(asMade)),
      signal: AbortSignal.timeout((SERVER_PATIENCE + LONGEST_PLAN * given) * 1000),
    });
    const body: unknown = await answer.json();
    if (answer.status === 200) return isPlan(body) ? { ok: true, plan: body } : null;
    return answer.status === 422 && isRefused(body) ? { ok: false, ...body } : null;
  } catch {
    return null;
  }
}

/** Something else than our server may answer at that address. */
function isPlan(body: unknown): body is Plan {
  const plan = body as Partial<Plan> | null;
  const lists = [plan?.steps, plan?.landings, plan?.waitings, plan?.stations, plan?.hands];
  return lists.every(Array.isArray) && typeof plan?.verdict === 'string' && typeof plan.known?.places === 'object';
}

function isRefused(body: unknown): body is Omit<PlanResult & { ok: false }, 'ok'> {
  return Array.isArray((body as { refusals?: unknown } | null)?.refusals);
}

/** Seconds to wait for a server that says nothing, more than it was given. */
const SERVER_PATIENCE = 15;
/** Seconds that the server gives to one meal at most. */
const MOST_SERVED = 20;
/** The server takes the present from two weeks before the table; what is longer ago bounds nothing. */
const EARLIEST = -20_160;

/** The same planner here, giving way to the page between its rounds. Loaded only when it is needed. */
async function inPage(
  { meal, seconds, patience, rounds, brief = false, explain = true, ...options }: PlanRequest,
  onImprove?: (plan: Plan) => void,
): Promise<PlanResult> {
  const { planMeal } = await import('@/core/plan/plan-meal');
  const solving = {
    seconds,
    explain,
    brief,
    ...(patience === undefined ? {} : { patience }),
    ...(rounds === undefined ? {} : { rounds }),
    now: () => performance.now(),
    pause: turn,
  };
  return planMeal(meal, { ...options, solve: solving }, onImprove);
}
