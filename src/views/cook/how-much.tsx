'use client';

import { useState } from 'react';
import type { Evening } from '@/core/live/evening';
import { standingEvents } from '@/core/live/events';
import { measuringWays, sayWhatIsThere, type ToMeasure, whatToDo } from '@/core/live/measuring';
import type { LiveStep } from '@/core/live/session';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import type { Telling } from './use-session';

interface HowMuchProps {
  readonly session: Evening;
  readonly live: LiveStep;
  readonly measure: ToMeasure;
  readonly told: Pick<Telling, 'measured'>;
}

/** How much there is of what was just strained, set with a few presses of a wet knuckle, what that means, and what is done about it. */
export function HowMuch({ session, live, measure, told }: HowMuchProps) {
  const [ml, setMl] = useState(Math.round(measure.thoughtMl / 50) * 50);
  const [wayId, setWayId] = useState('jug');
  const pot = session.meal.kitchen.vessels.find(({ name }) => name === live.step.vessel);
  const ways = measuringWays(pot?.widthCm ?? null);
  const way = ways.find(({ id }) => id === wayId) ?? ways[0]!;
  const said = standingEvents(session.events).findLast(
    (event) => event.kind === 'measured' && event.key === live.step.key && event.product === measure.product,
  );
  const isSaid = said?.kind === 'measured' && Math.abs(said.ml - ml) < 1;
  return (
    <section
      aria-label={say('How much {measure}', { measure: measure.name })}
      className="mt-4 border-s-4 border-line ps-4"
    >
      <p className="text-xl text-faint">{say('How much {measure} is there?', { measure: measure.name })}</p>
      <fieldset className="mt-1 flex flex-wrap gap-x-4" aria-label={say('Measured by')}>
        {ways.map(({ id, name }) => (
          <Button
            key={id}
            look="quiet"
            className={`min-h-16 text-lg ${id === way.id ? 'font-semibold decoration-ember! decoration-2' : ''}`}
            aria-pressed={id === way.id}
            onClick={() => setWayId(id)}
          >
            {name}
          </Button>
        ))}
      </fieldset>
      <strong className="mt-1 block text-3xl" data-testid="how-much">
        {way.print(ml / way.ml)}
      </strong>
      <div className="mt-1 grid max-w-xl auto-cols-fr grid-flow-col gap-2">
        {way.steps.map((step) => (
          <Button
            key={step}
            className="min-h-16 px-1! text-lg"
            aria-label={`${way.print(Math.abs(step))} ${step < 0 ? say('less') : say('more')}`}
            disabled={ml + step * way.ml < 0}
            onClick={() => setMl((now) => Math.max(0, now + step * way.ml))}
          >
            {step < 0 ? '−' : '+'} {way.print(Math.abs(step))}
          </Button>
        ))}
      </div>
      <p role="status" className="mt-2 text-xl">
        {isSaid && said.kind === 'measured'
          ? say('Kept: {amount}, {does}.', { amount: way.print(said.ml / way.ml), does: said.does })
          : sayWhatIsThere(measure, ml)}
      </p>
      {!isSaid && (
        <ul className="mt-2 grid gap-2">
          {whatToDo(measure, ml).map(({ does, says, how }) => (
            <li key={does}>
              <Button
                className="min-h-16 px-5 text-start text-xl first-letter:uppercase"
                onClick={() => told.measured(live, measure, ml, does)}
              >
                {says}
              </Button>
              {how && <p className="mt-0.5 text-lg text-faint">{how}</p>}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
