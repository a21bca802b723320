'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { dangerAt } from '@/core/live/cues';
import type { Evening } from '@/core/live/evening';
import { nextLookAt, questionOf } from '@/core/live/looks';
import { measurable } from '@/core/live/measured';
import type { LiveStep } from '@/core/live/session';
import { ladderOf } from '@/core/live/stages';
import { nameOfUnit, readUnit } from '@/core/meal/keys';
import { say, term } from '@/core/say/say';

import { Button } from '@/ui/button';
import { printCountdown } from '@/ui/clock';
import { AllSaid } from './all-said';
import { Measured } from './instruments';
import { useAsk } from './pieces';
import { Stages } from './stages';
import { Taste } from './taste';
import type { Telling } from './use-session';

/** Three answers beside each other, on a phone too. */
const NARROW = 'px-2! sm:px-7!';
/** Seconds before its end from which a pot's buttons stand open by themselves. */
const OPEN_BEFORE_END = 90;

interface WatchedProps {
  readonly session: Evening;
  readonly live: LiveStep;
  readonly told: Telling;
  readonly now: number;
  readonly tint: string;
  /** Whether pretended instruments may be shown. */
  readonly pretend: boolean;
  /** What every step is doing. */
  readonly steps: readonly LiveStep[];
}

/** A pot on the heat: its clock, its sign, its next look; and, when it is looked at, three answers. */
export function Watched({ session, live, told, now, tint, pretend, steps }: WatchedProps) {
  const [opened, setOpened] = useState(false);
  const { step, stands } = live;
  // Which of several pots a button is for, for whoever hears it.
  const tells = (word: string) => say('{word}: {step}, {dish}', { word, step: step.name, dish: step.dishName });
  const left = live.endAt - now;
  const look = nextLookAt(live);
  const lookIsDue = look !== null && look <= now;
  // What only rests is over by itself: there is nothing to press.
  const byItself = step.station.sort === 'shelf' && step.attention === 'none';
  // What opens by itself shows the answers only, so that the pots below stay in sight.
  const open = opened || (!byItself && !stands && (lookIsDue || left < OPEN_BEFORE_END * 1000));
  const what = measurable(session.meal, live);
  const ladder = ladderOf(step);
  const danger = dangerAt(live);
  const inDanger = danger !== null && danger <= now;
  // Early in its time "not yet" is no news, and asks for no minutes.
  const notYet = () =>
    lookIsDue && left >= OPEN_BEFORE_END * 1000 ? told.looked(live, 'not there') : told.notYet(live);
  return (
    <li
      className={`border-b border-line py-1 ${inDanger ? 'bg-warn/15' : ''}`}
      data-testid="watched"
      data-key={step.key}
    >
      <button
        type="button"
        aria-expanded={open}
        className="flex min-h-20 w-full items-center gap-4 text-start"
        onClick={() => setOpened(!opened)}
      >
        <span aria-hidden className="h-14 w-2 shrink-0 rounded-full" style={{ background: tint }} />
        <span className="min-w-0 flex-1">
          <span className="block text-2xl font-semibold first-letter:uppercase">{step.name}</span>
          <span className="block text-lg text-faint">
            {step.dishName}
            {step.doneWhen && `: ${step.doneWhen}`}
          </span>
        </span>
        <span className={`shrink-0 text-end text-4xl font-semibold ${left < 0 || lookIsDue ? 'text-ember' : ''}`}>
          <span data-testid="countdown" data-verbatim>
            {printCountdown(left)}
          </span>
          <span className="block text-base font-normal text-faint">
            {stands
              ? say('put aside')
              : left < 0
                ? say('is it there?')
                : lookIsDue
                  ? say('look now')
                  : look
                    ? say('look at {hour}', { hour: format(look, 'HH:mm') })
                    : step.station.name}
          </span>
        </span>
      </button>
      {open && (
        <div className="pb-3 ps-6">
          {!ladder && (lookIsDue || left < 0) && <p className="mb-2 text-2xl text-ember">{questionOf(live)}</p>}
          {inDanger && (
            <p role="alert" className="mb-2 text-xl font-semibold text-warn">
              {say('Long past its time on the heat: take it off, or look at it now.')}
            </p>
          )}
          {ladder && <Stages live={live} ladder={ladder} told={told} now={now} />}
          <Taste session={session} live={live} told={told} now={now} steps={steps} />
          <span className="mt-3 grid auto-cols-fr grid-flow-col gap-2 sm:inline-flex sm:flex-wrap sm:gap-3">
            <Button big className={NARROW} aria-label={tells(say('not yet'))} onClick={notYet}>
              {say('not yet')}
            </Button>
            {step.attention === 'eyes' && !ladder && (
              <Button
                big
                className={NARROW}
                aria-label={tells(say('nearly'))}
                onClick={() => told.looked(live, 'nearly')}
              >
                {say('nearly')}
              </Button>
            )}
            <Button
              big
              className={NARROW}
              look={left < 0 ? 'strong' : 'plain'}
              aria-label={tells(say('done'))}
              onClick={() => told.done(live)}
            >
              {say('done')}
            </Button>
          </span>
          {!opened && (
            <Button look="quiet" big aria-label={tells(say('more'))} onClick={() => setOpened(true)}>
              {say('more')}
            </Button>
          )}
          {opened && (
            <>
              <p className="mb-1 text-lg text-faint">
                {[
                  step.station.name,
                  step.heat ? say('{heat} heat', { heat: term(step.heat) }) : step.celsius ? `${step.celsius} °C` : '',
                  step.vessel ?? '',
                ]
                  .filter(Boolean)
                  .join(say(', '))}
              </p>
              <p className="mb-2">
                <AllSaid step={step} />
              </p>
              {what && pretend && <Measured live={live} what={what} now={now} />}
              <Rarely session={session} live={live} told={told} />
            </>
          )}
        </div>
      )}
    </li>
  );
}

/** What a pot seldom needs: water, a rest, another burner, to be left out. */
export function Rarely({ session, live, told }: Pick<WatchedProps, 'session' | 'live' | 'told'>) {
  const { step, stands } = live;
  const ask = useAsk();
  const hot = step.station.sort === 'burner';
  const others = step.choices.filter((unit) => unit !== step.station.id && readUnit(unit).sort === 'burner');
  return (
    <span className="mt-2 flex flex-wrap gap-x-1">
      {hot &&
        step.attention !== 'hands' &&
        [100, 250].map((ml) => (
          <Button key={ml} look="quiet" className="min-h-16 text-lg" onClick={() => told.water(live, ml)}>
            {say('+ {ml} ml water', { ml })}
          </Button>
        ))}
      <Button look="quiet" className="min-h-16 text-lg" onClick={() => (stands ? told.resume(live) : told.pause(live))}>
        {stands ? say('go on with it') : say('put it aside')}
      </Button>
      {others.map((unit) => (
        <Button
          key={unit}
          look="quiet"
          className="min-h-16 text-lg"
          onClick={() => told.move(live, unit, nameOfUnit(session.meal.kitchen, unit))}
        >
          {say('on {place} now', { place: nameOfUnit(session.meal.kitchen, unit) })}
        </Button>
      ))}
      <Button look="quiet" className="min-h-16 text-lg" onClick={() => told.skip(live)}>
        {say('leave it out')}
      </Button>
      <Button look="quiet" className="min-h-16 text-lg" onClick={() => ask({ dish: step.dishId, live })}>
        {say('something is wrong')}
      </Button>
    </span>
  );
}
