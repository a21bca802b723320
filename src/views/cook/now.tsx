'use client';

import { format } from 'date-fns';
import { lastTakenBack, standingEvents } from '@/core/live/events';
import { withGuests } from '@/core/live/guests';
import { toMeasure } from '@/core/live/measuring';
import { type LiveStep, lastStanding, safeMinutesLeft } from '@/core/live/session';
import { ladderOf } from '@/core/live/stages';
import { type Carry, transitionOf } from '@/core/live/transition';
import { sayLearned } from '@/core/plan/say-odds';
import { say, term } from '@/core/say/say';
import { Button } from '@/ui/button';
import { printCountdown, printSpan } from '@/ui/clock';
import { Say } from '@/ui/say';
import { AllSaid } from './all-said';
import { HowMuch } from './how-much';
import { colour, isStart, placeWords, type StepProps, tells } from './pieces';
import { Stages } from './stages';
import { Taste } from './taste';
import type { SessionAtHand, Stood } from './use-session';
import { Rarely } from './watched';

interface NowProps {
  readonly now: number;
  /** What every step is doing. */
  readonly steps: readonly LiveStep[];
}

/** The first thing under "now", as large as it can be read from two metres. Its answers stand apart: see `Answers`. */
export function Focal({ session, live, told, now, steps }: StepProps & NowProps) {
  const { step } = live;
  const tint = colour(session, step.dishId);
  const over = live.status === 'running' && live.endAt < now;
  const measure = toMeasure(withGuests(session.meal, standingEvents(session.events)), step.dishId, step.stepId);
  const turn = transitionOf(live, steps);
  return (
    <div>
      <p className="mt-3 text-xl short:mt-0" style={{ color: tint }}>
        <span aria-hidden className="me-2.5 inline-block size-3.5 rounded-full" style={{ background: tint }} />
        {step.dishName}{' '}
        {step.person && session.meal.kitchen.people.length > 1 && (
          <span className="text-faint">· {step.person.name}</span>
        )}
      </p>
      <h1 className="mt-1 text-5xl first-letter:uppercase sm:text-6xl short:text-4xl">{step.name}</h1>
      <p className="mt-2 flex flex-wrap gap-x-4 text-2xl sm:text-3xl">
        {placeWords(live)}
        {live.status === 'running' && (
          <span className={over ? 'text-ember' : ''} data-testid="focal-clock" data-verbatim>
            {printCountdown(live.endAt - now)} {over ? say('over') : say('left')}
          </span>
        )}
      </p>
      {turn && (
        <p className="mt-3 text-3xl text-ember" data-testid="turn">
          {turn}
        </p>
      )}
      <p className="mt-3 text-2xl">{step.says}</p>
      {step.amounts.length > 0 && <p className="mt-3 text-2xl">{step.amounts.join(' · ')}</p>}
      {measure && <HowMuch key={step.key} session={session} live={live} measure={measure} told={told} />}
      {step.doneWhen && (
        <p className="mt-2 text-xl text-faint">{say('Until: {doneWhen}', { doneWhen: step.doneWhen })}</p>
      )}
      <Taste session={session} live={live} told={told} now={now} steps={steps} />
      {step.learned !== undefined && <p className="mt-2 text-lg text-faint">{sayLearned(step)}</p>}
      {step.cautions.map((caution) => (
        <p key={caution} className="mt-3 border-s-4 border-ember ps-3 text-lg">
          {caution}
        </p>
      ))}
      <span className="mt-2 flex flex-wrap">
        <HandOver session={session} live={live} told={told} />
      </span>
      {live.status === 'running' && <Rarely session={session} live={live} told={told} />}
    </div>
  );
}

/** The answers to the first thing under "now": they stay in sight, whatever it has to say. */
export function Answers({ session, live, told, now }: StepProps & { readonly now: number }) {
  const { step } = live;
  const ladder = live.status === 'running' && !isStart(live) ? ladderOf(step) : null;
  return (
    <>
      {ladder && <Stages live={live} ladder={ladder} told={told} now={now} />}
      <div className="mt-2 flex flex-wrap gap-2 sm:gap-3.5">
        {isStart(live) ? (
          <Button look="strong" big aria-label={tells(say('begun'), live)} onClick={() => told.begun(live)}>
            {say('begun')}
          </Button>
        ) : (
          <>
            <Button
              look="strong"
              big
              className="px-5! xl:min-w-48"
              aria-label={tells(say('done'), live)}
              onClick={() => told.done(live)}
            >
              {say('done')}
            </Button>
            <Button big className="px-5!" aria-label={tells(say('not yet'), live)} onClick={() => told.notYet(live)}>
              {say('not yet')}
            </Button>
          </>
        )}
        <Undo session={session} told={told} />
      </div>
    </>
  );
}

/** Called done long after its hour, with a long rest to follow: it has most likely stood already. */
export function HasItStood({ stood, told }: { readonly stood: Stood; readonly told: SessionAtHand }) {
  const { live, rest } = stood;
  return (
    <div
      role="alertdialog"
      aria-label={say('Has it stood?')}
      className="bg-warn px-5 py-4 text-ground sm:px-8"
      data-testid="has-it-stood"
    >
      <p className="text-2xl">
        {say('“{step}” of {dish} takes {span}. Has it stood already?', {
          step: rest.step.name,
          dish: rest.step.dishName,
          span: printSpan(rest.step.minutes),
        })}
      </p>
      <div className="mt-3 flex flex-wrap gap-3.5">
        <Button look="strong" big onClick={told.hasStood}>
          {say('yes, it has stood')}
        </Button>
        <Button big onClick={told.standsNow}>
          {say('no, “{step}” is done just now', { step: live.step.name })}
        </Button>
      </div>
    </div>
  );
}

/** A pot that stood where there is no more heat: where it goes. */
export function CarryOver({ carry, told }: { readonly carry: Carry; readonly told: SessionAtHand }) {
  const { live, from } = carry;
  const { step } = live;
  const move = {
    vessel: step.vessel ?? say('the pot'),
    dish: step.dishName,
    from,
    station: <strong>{step.station.name}</strong>,
  };
  return (
    <div className="mt-3 border-s-4 border-warn ps-4" data-testid="carry">
      <p className="text-3xl">
        {step.heat ? (
          <Say
            words="Move {vessel} of {dish} from {from} to {station}, {heat} heat."
            values={{ ...move, heat: term(step.heat) }}
          />
        ) : (
          <Say words="Move {vessel} of {dish} from {from} to {station}." values={move} />
        )}
      </p>
      <Button
        look="strong"
        big
        className="mt-2"
        aria-label={tells(say('it stands there'), live)}
        onClick={() => told.move(live, step.station.id, step.station.name)}
      >
        {say('it stands there')}
      </Button>
    </div>
  );
}

/** Whose hands do it instead: one press for each of the others. */
function HandOver({ session, live, told }: StepProps) {
  const { people } = session.meal.kitchen;
  const { person } = live.step;
  if (people.length < 2 || person === null) return null;
  return people
    .filter(({ id }) => id !== person.id)
    .map((other) => (
      <Button
        key={other.id}
        look="quiet"
        className="min-h-16 text-lg"
        aria-label={tells(say('give it to {other}', { other: other.name }), live)}
        onClick={() => told.handed(live, other)}
      >
        {say('give it to {other}', { other: other.name })}
      </Button>
    ));
}

/** Said to be done before the minutes that safety asks for: asked back, and nothing told yet. */
export function TooSoon({ live, now, told }: Omit<StepProps, 'session'> & { readonly now: number }) {
  const { step } = live;
  const left = safeMinutesLeft(live, now);
  return (
    <div
      role="alertdialog"
      aria-label={say('Is it safe?')}
      className="bg-warn px-5 py-4 text-ground sm:px-8"
      data-testid="too-soon"
    >
      <p className="text-2xl">
        {left > 0 ? (
          <Say
            words="{step} ({dish}) wants {safeMinutes} min to be safe, and {left} of them are left by this clock. Has it had them all the same?"
            values={{
              step: <strong className="font-semibold first-letter:uppercase">{step.name}</strong>,
              dish: step.dishName,
              safeMinutes: step.safeMinutes,
              left,
            }}
          />
        ) : (
          <Say
            words="{step} ({dish}) wants {safeMinutes} min to be safe. Has it had them all the same?"
            values={{
              step: <strong className="font-semibold first-letter:uppercase">{step.name}</strong>,
              dish: step.dishName,
              safeMinutes: step.safeMinutes,
            }}
          />
        )}
      </p>
      <div className="mt-3 flex flex-wrap gap-3.5">
        <Button look="strong" big onClick={told.goOn}>
          {say('no, it goes on')}
        </Button>
        <Button big onClick={told.insist}>
          {say('yes, it had {safeMinutes} min', { safeMinutes: step.safeMinutes ?? '' })}
        </Button>
      </div>
    </div>
  );
}

/** What was told last is taken back, and told again. */
export function Undo({ session, told }: Omit<StepProps, 'live'>) {
  return (
    <>
      <Button look="quiet" big className="px-4!" onClick={told.undo} disabled={lastStanding(session) === undefined}>
        {say('undo')}
      </Button>
      {lastTakenBack(session.events) !== undefined && (
        <Button look="quiet" big className="px-4!" onClick={told.redo}>
          {say('do again')}
        </Button>
      )}
    </>
  );
}

/** What goes on beside the first thing: the hands of another cook, a pot to be set going. All that it asks of the hands stands here too. */
export function Beside({ session, live, told, now, steps }: StepProps & NowProps) {
  const { step } = live;
  const turn = transitionOf(live, steps);
  const ladder = live.status === 'running' && !isStart(live) ? ladderOf(step) : null;
  const left = live.status === 'running' && !isStart(live) ? printCountdown(live.endAt - now) : null;
  return (
    <div
      className="mt-6 flex items-start gap-4 border-t border-line pt-4"
      data-testid="beside"
      data-key={live.step.key}
    >
      <span aria-hidden className="h-12 w-2 rounded-full" style={{ background: colour(session, live.step.dishId) }} />
      <div className="min-w-0 flex-1 text-xl">
        <strong className="inline-block font-semibold first-letter:uppercase">{step.name}</strong>, {step.dishName}
        <span className="block text-faint" data-verbatim>
          {[step.person?.name ?? '', placeWords(live), left === null ? '' : say('{left} left', { left })]
            .filter(Boolean)
            .join(' · ')}
        </span>
        {turn && <span className="block text-2xl text-ember">{turn}</span>}
        <AllSaid step={step} />
        {ladder && <Stages live={live} ladder={ladder} told={told} now={now} />}
        <HandOver session={session} live={live} told={told} />
      </div>
      <Button
        big
        aria-label={tells(isStart(live) ? 'begun' : 'done', live)}
        onClick={() => (isStart(live) ? told.begun(live) : told.done(live))}
      >
        {isStart(live) ? say('begun') : say('done')}
      </Button>
    </div>
  );
}

interface QuietProps {
  readonly next: LiveStep | undefined;
  readonly now: number;
}

/** Nothing for the hands: when they are wanted next. */
export function Quiet({ next, now }: QuietProps) {
  return (
    <div className="mt-3" data-testid="quiet">
      <p className="font-title text-5xl text-ember">{say('Nothing for the hands')}</p>
      {next && (
        <p className="mt-3 text-2xl">
          {say('Next in {span}: {step}, {dish}, at {hour}.', {
            span: printSpan(Math.max(0, (next.startAt - now) / 60_000)),
            step: next.step.name,
            dish: next.step.dishName,
            hour: format(next.startAt, 'HH:mm'),
          })}
        </p>
      )}
    </div>
  );
}
