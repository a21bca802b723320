'use client';

import type { Cue } from '@/core/live/cues';
import type { Evening } from '@/core/live/evening';
import { clockAt, furtherEast, sayClockChange } from '@/core/plain/wall-clock';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import type { SessionAtHand } from './use-session';
import type { ClockSeen } from './use-stove';

/** Calls in words, danger largest; where the browser cannot speak they stand alone for the voice. */
export function Calls({ cues }: { readonly cues: readonly Cue[] }) {
  // What wants a look stands open under "watching"; on a phone that may be below the edge, and one line leads there.
  const loud = cues.filter(({ kind }) => kind !== 'hands');
  const toPot = (key: string | undefined) =>
    document
      .querySelector(`[data-testid="watched"][data-key="${CSS.escape(key ?? '')}"]`)
      ?.scrollIntoView({ block: 'center' });
  const hands = cues.filter(({ kind }) => kind === 'hands');
  return (
    <>
      {/* What the hands do next stands large under "now"; a screen reader is told. Both regions are there before there is news. */}
      <div aria-live="polite" className="sr-only" data-testid="hands-calls">
        {hands.map(({ id, says }) => (
          <p key={id}>{says}</p>
        ))}
      </div>
      <div aria-live="assertive" data-testid="calls">
        {loud.slice(0, 2).map(({ id, kind, says, keys }, index) =>
          kind === 'danger' ? (
            <p
              key={id}
              className={`bg-warn px-5 py-2 text-xl font-semibold text-ground sm:px-8 sm:text-3xl ${index > 0 ? 'hidden md:block' : ''}`}
            >
              {says}
            </p>
          ) : (
            <button
              key={id}
              type="button"
              className={`min-h-16 w-full truncate border-t border-line px-5 text-start text-lg md:sr-only ${index > 0 ? 'sr-only' : ''}`}
              onClick={() => toPot(keys[0])}
            >
              ↓ {says}
            </button>
          ),
        )}
      </div>
    </>
  );
}

/** What could not be stored or planned, with the way to try again. */
export function Faults({ told }: { readonly told: SessionAtHand }) {
  const { unkept, letGo, unplanned, planAgain } = told;
  const look = 'flex flex-wrap items-center gap-4 bg-warn px-5 py-2 text-lg text-ground sm:px-8';
  return (
    <>
      {unkept && (
        <div role="alert" className={look} data-testid="unkept">
          <p className="max-w-prose">
            <strong className="font-semibold">{say('Not kept: {unkept}.', { unkept: unkept.words })}</strong>{' '}
            {unkept.fault}
          </p>
          <Button onClick={unkept.again}>{say('tell it again')}</Button>
          <Button onClick={letGo}>{say('let it go')}</Button>
        </div>
      )}
      {unplanned && (
        <div role="alert" className={look} data-testid="unplanned">
          <p className="max-w-prose">
            {say(
              'The rest could not be planned anew: the hours below are the ones from before. What you told is kept.',
            )}
          </p>
          <Button onClick={planAgain}>{say('plan again')}</Button>
        </div>
      )}
    </>
  );
}

/** Another window leads. */
export function Follows({ onTakeOver }: { readonly onTakeOver: () => void }) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-4 border-b border-line px-5 py-2 text-lg sm:px-8">
      {say('Another window leads this evening; this one follows.')}
      <Button onClick={onTakeOver}>{say('take over here')}</Button>
    </p>
  );
}

/** What is said about the clock of this device: that it leapt, that it stands in another time zone, that this night changes it. */
export function ClockWords({
  session,
  clock: { leap, slept, putForward },
  leads,
}: {
  readonly session: Evening;
  readonly clock: ClockSeen;
  readonly leads: boolean;
}) {
  const { plan, meal, tableAt, firstTable } = session;
  const east = furtherEast(meal, firstTable ?? tableAt);
  const change = sayClockChange(plan, Math.min(0, ...plan.steps.map(({ start }) => start)), 0);
  const minutes = leap ? Math.max(1, Math.round(Math.abs(leap.by) / 60_000)) : 0;
  return (
    <>
      {leap?.way === 'back' && (
        <p role="status" className="bg-soft px-5 py-2 text-lg sm:px-8">
          {say('The clock of this device was put back by {minutes} min; times follow it, and nothing told is lost.', {
            minutes,
          })}
        </p>
      )}
      {leap?.way === 'on' && leads && (
        <div role="status" className="flex flex-wrap items-center gap-3 border-b border-line px-5 py-2 text-lg sm:px-8">
          <p className="max-w-prose">
            {say(
              'The clock of this device leapt on by {minutes} min. Time goes by it until you say that it was put forward.',
              { minutes },
            )}
          </p>
          <Button className="min-h-16 text-lg" onClick={slept}>
            {say('the device slept')}
          </Button>
          <Button className="min-h-16 text-lg" onClick={putForward}>
            {say('its clock was put forward')}
          </Button>
        </div>
      )}
      {east !== 0 && (
        <p role="status" className="px-5 py-1 text-lg text-faint sm:px-8">
          {say('This evening was begun in another time zone: the table of {hour} there is at {here} by this device.', {
            hour: meal.hour,
            here: clockAt(meal, east),
          })}
        </p>
      )}
      {change && <p className="px-5 py-1 text-lg text-faint sm:px-8">{change}</p>}
    </>
  );
}
