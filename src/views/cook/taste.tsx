'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { mealAsItIs } from '@/core/live/as-it-is';
import type { Evening } from '@/core/live/evening';
import { dishesOf } from '@/core/live/guests';
import type { LiveStep } from '@/core/live/session';
import { isToTaste, rememberedOf, sayRemembered, tasteSteps } from '@/core/live/tasting';
import { say } from '@/core/say/say';
import { printThing } from '@/core/units/thing';
import { pantry } from '@/store/db';
import { Button } from '@/ui/button';
import type { Telling } from './use-session';

interface TasteProps {
  readonly session: Evening;
  readonly live: LiveStep;
  readonly told: Pick<Telling, 'tasted'>;
  readonly now: number;
  /** What every step is doing. */
  readonly steps: readonly LiveStep[];
}

/** A spoon of it, what the tongue finds, one small step, and again; with what was added on other evenings. */
export function Taste({ session, live, told, now, steps }: TasteProps) {
  const [open, setOpen] = useState(false);
  const [sense, setSense] = useState<string | null>(null);
  const [given, setGiven] = useState(0);
  const { dishId } = live.step;
  const before = useLiveQuery(async () => {
    const over = await pantry()
      .sessions.filter((evening) => evening.over && evening.meal.dishes.some(({ id }) => id === dishId))
      .toArray();
    return sayRemembered(rememberedOf(over, dishId));
  }, [dishId]);
  const dish = dishesOf(session).find(({ id }) => id === dishId);
  if (!dish || !isToTaste(dish, live, steps, now)) return null;
  if (!open)
    return (
      <Button className="mt-3 min-h-16 text-xl" onClick={() => setOpen(true)}>
        {say('taste it')}
      </Button>
    );
  const small = tasteSteps(mealAsItIs(session, now), dishId);
  const chosen = small.find((step) => step.sense === sense);
  return (
    <section
      aria-label={say('Taste {dish}', { dish: dish.name })}
      className="mt-4 border-s-4 border-line ps-4"
      data-testid="taste"
    >
      <p className="text-xl text-faint">
        {say('A clean spoon, cooled a moment. How is it?')} {before}
      </p>
      <ul className="mt-2 grid grid-cols-2 gap-1.5 sm:grid-cols-4">
        <li>
          <Button className="min-h-16 w-full text-lg" onClick={() => setOpen(false)}>
            {say('right')}
          </Button>
        </li>
        {small.map((step) => (
          <li key={step.sense}>
            <Button
              className={`min-h-16 w-full text-lg leading-tight ${step.sense === sense ? 'outline-3 outline-ember' : ''}`}
              aria-pressed={step.sense === sense}
              onClick={() => setSense(step.sense)}
            >
              {step.finds}
            </Button>
          </li>
        ))}
      </ul>
      {chosen && (
        <div role="status" className="mt-3 text-xl">
          <p>
            {chosen.give && (
              <strong className="font-semibold">{printThing(chosen.give.amount, chosen.give.name)}. </strong>
            )}
            {chosen.says}
          </p>
          <Button
            className="mt-2 min-h-16 text-xl"
            onClick={() => {
              told.tasted(dish, chosen);
              setGiven((count) => count + 1);
              setSense(null);
            }}
          >
            {chosen.give ? say('it is in') : say('done')}
          </Button>
        </div>
      )}
      {given > 0 && !chosen && (
        <p className="mt-2 text-lg text-faint">{say('Wait half a minute, then taste again.')}</p>
      )}
    </section>
  );
}
