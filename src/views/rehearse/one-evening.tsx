'use client';

import { useEffect, useState } from 'react';
import { clockAt } from '@/core/plain/wall-clock';
import type { LookedAt } from '@/core/plan/odds';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { readyIn } from './hundred';

interface OneProps {
  readonly plan: Plan;
  readonly evening: LookedAt;
}

/** A whole evening is played in so many seconds. */
const SECONDS = 60;
const FRAMES_A_SECOND = 5;
/** A step that took so many minutes more or less than planned is worth a word. */
const WORTH_SAYING = 3;

/** One rehearsed evening, minute by minute: what was on the heat and in the hands, and what a cook would have told. */
export function OneEvening({ plan, evening }: OneProps) {
  const rows = plan.steps.flatMap((step) => {
    const real = evening.steps.get(step.key);
    return real && !step.ahead ? [{ step, ...real }] : [];
  });
  const first = Math.min(plan.firstHand, ...rows.filter(({ step }) => step.person).map(({ start }) => start));
  const last = Math.max(0, evening.table);
  const [minute, setMinute] = useState(last);
  const [playing, setPlaying] = useState(false);
  const span = last - first;
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(() => {
      setMinute((now) => {
        if (now < last) return Math.min(last, now + span / (SECONDS * FRAMES_A_SECOND));
        setPlaying(false);
        return now;
      });
    }, 1000 / FRAMES_A_SECOND);
    return () => clearInterval(timer);
  }, [playing, last, span]);
  const at = Math.floor(minute);
  const now = rows.filter(({ start, end }) => start <= at && at < end);
  const told = rows
    .filter(({ step, start, end }) => end <= at && Math.abs(end - start - step.minutes) >= WORTH_SAYING)
    .sort((a, b) => a.end - b.end);
  const play = () => {
    if (minute >= last) setMinute(first);
    setPlaying(!playing);
  };
  return (
    <div>
      <div className="mt-2 flex items-center gap-4">
        <Button onClick={play}>{playing ? say('stop') : say('play')}</Button>
        <input
          type="range"
          aria-label={say('The clock of this evening')}
          aria-valuetext={clockAt(plan, at)}
          className="min-w-0 flex-1 accent-ember"
          min={first}
          max={last}
          step={1}
          value={at}
          onChange={({ target }) => {
            setPlaying(false);
            setMinute(Number(target.value));
          }}
        />
        <strong className="text-2xl font-semibold" data-testid="rehearsed-clock">
          {clockAt(plan, at)}
        </strong>
      </div>
      <div className="mt-3 grid gap-y-4">
        <section aria-label={say('Going on')}>
          <h3 className="font-sans font-semibold text-faint">{say('Going on')}</h3>
          {now.length === 0 && <p>{say('Nothing.')}</p>}
          <ul>
            {now.map(({ step, end }) => (
              <li key={step.key}>
                {say('{dish}: {step}, until {hour}', {
                  dish: step.dishName,
                  step: step.name,
                  hour: clockAt(plan, end),
                })}
              </li>
            ))}
          </ul>
        </section>
        <section aria-label={say('What the cook told')}>
          <h3 className="font-sans font-semibold text-faint">{say('What was not as planned')}</h3>
          {told.length === 0 && <p>{say('All took its minutes so far.')}</p>}
          <ul>
            {told.map(({ step, start, end }) => (
              <li key={step.key}>
                {clockAt(plan, end)} {step.dishName}: {step.name}, {sayMinutes(step, end - start)}
              </li>
            ))}
          </ul>
        </section>
      </div>
      {at >= last && (
        <p className="mt-3" data-testid="rehearsed-end">
          {say('All was on the table at {hour}. {landings}.', {
            hour: clockAt(plan, last),
            landings: plan.landings
              .filter(({ served }) => served === 'hot')
              .map((landing) =>
                say('{dish} {waited}', {
                  dish: landing.dishName,
                  waited: sayWait(last - readyIn(plan, landing, evening), landing.wellMinutes),
                }),
              )
              .join('; '),
          })}
        </p>
      )}
    </div>
  );
}

function sayMinutes({ minutes }: PlannedStep, real: number): string {
  const by = real - minutes;
  return by > 0
    ? say('{by} min longer than is likely', { by: Math.abs(by) })
    : say('{by} min shorter than is likely', { by: Math.abs(by) });
}

function sayWait(waits: number, well: number): string {
  if (waits <= 0) return say('came last');
  return waits > well + 3
    ? say('waited {waits} min, longer than its {well}', { waits, well })
    : say('waited {waits} min', { waits });
}
