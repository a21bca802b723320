'use client';

import { useState } from 'react';
import { clockMinutes, printClock } from '@/core/kitchen/kitchen';
import { whatLands, whatMoved } from '@/core/meal/changes';
import type { Meal } from '@/core/meal/meal';
import { pinOf, unkeptPins, withoutPin, withPin } from '@/core/meal/pins';
import type { Plan, PlannedStep } from '@/core/meal/plan';
import { knownPlan } from '@/core/meal/read';
import { pantry } from '@/store/db';
import { setByHand, tableInstant } from '@/store/meals';
import { Button } from '@/ui/button';
import { planInWorker } from '@/workers/planner';

const NUDGES = [-5, -1, 1, 5];
const SECONDS = 0.5;
const PATIENCE = 250;
const NOTHING_FIXED: ReadonlySet<string> = new Set();

interface ByHandProps {
  readonly meal: Meal;
  readonly plan: Plan;
  readonly step: PlannedStep;
  /** Hears what is going on and what a move has changed, in sentences. */
  readonly say: (words: string) => void;
}

/** Moves the chosen step by minutes; the rest of the plan arranges itself around it, and what that changes is said. */
export function ByHand({ meal, plan, step, say }: ByHandProps) {
  const [busy, setBusy] = useState(false);
  const pins = meal.pins ?? [];
  const pinned = pinOf(pins, step.key) !== undefined;
  const clock = (minute: number) => printClock(clockMinutes(plan.hour) + minute);

  const moveTo = async (start: number) => {
    const held = { key: step.key, start };
    const notBefore = Math.ceil((Date.now() - tableInstant(meal)) / 60_000);
    const known = knownPlan(plan);
    const result = await planInWorker({
      meal,
      seconds: SECONDS,
      patience: PATIENCE,
      near: true,
      notBefore,
      held,
      known,
    });
    if (!result.ok) return result.refusals.map(({ sentence }) => sentence).join(' ');
    const placed = result.plan.steps.find(({ key }) => key === step.key);
    if (!placed) return 'The plan does not hold this step any more.';
    await setByHand(pantry(), meal, withPin(pins, { ...held, start: placed.start }), result.plan, Date.now());
    const [unkept] = unkeptPins(result.plan, [held]);
    const told = unkept
      ? `${step.name} cannot stand at ${clock(start)}; ${clock(placed.start)} is the nearest`
      : `${step.name} stands at ${clock(placed.start)}`;
    return [whatMoved(plan, result.plan, NOTHING_FIXED, told), whatLands(plan, result.plan)].filter(Boolean).join(' ');
  };

  const run = async (change: () => Promise<string>) => {
    setBusy(true);
    say('Arranging the rest around it…');
    try {
      say(await change());
    } catch (error) {
      console.error(error);
      say('The planner stopped unexpectedly; the plan stands as it was.');
    } finally {
      setBusy(false);
    }
  };

  return (
    <div className="flex flex-wrap items-center gap-1.5 text-sm sm:max-w-60" data-testid="by-hand">
      {NUDGES.map((by) => (
        <Button
          key={by}
          disabled={busy}
          aria-label={`${Math.abs(by)} min ${by < 0 ? 'earlier' : 'later'}`}
          onClick={() => run(() => moveTo(step.start + by))}
        >
          {by < 0 ? '−' : '+'}
          {Math.abs(by)}
        </Button>
      ))}
      <span>min</span>
      {pinned ? (
        <Button
          disabled={busy}
          onClick={() =>
            run(async () => {
              await setByHand(pantry(), meal, withoutPin(pins, step.key), plan, Date.now());
              return `${step.name} is free to move again.`;
            })
          }
        >
          Let it move
        </Button>
      ) : (
        <Button disabled={busy} onClick={() => run(() => moveTo(step.start))}>
          Keep it here
        </Button>
      )}
    </div>
  );
}
