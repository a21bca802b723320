'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useState } from 'react';
import { isFinished, type LiveStep, lastStanding, liveSteps, minutesToTable } from '@/core/live/session';
import { stoveAt } from '@/core/live/stove';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/meal/plan';
import { pantry, type StoredSession } from '@/store/db';
import { beginSession, endSession, wasPutAway } from '@/store/sessions';
import { Button } from '@/ui/button';
import { printCountdown, printSpan, useNow } from '@/ui/clock';
import { type KeyRow, KeysSheet, useKey } from '@/ui/keys-sheet';
import { pigmentAt } from '@/ui/pigments';
import { useMeal } from '@/views/shell/meal-frame';
import { type SessionAtHand, useSession } from './use-session';

const KEYS: readonly KeyRow[] = [
  ['D', 'done: the first thing under “now”'],
  ['N', 'not yet: it gets more time'],
  ['U', 'undo what was pressed last'],
  ['?', 'this sheet'],
];

/** Standing up: now, watching, next, and nothing else. */
export function CookView() {
  const { meal, planned } = useMeal();
  const told = useSession(meal.id);
  if (told.session === undefined) return <p className="mt-10 text-faint">Opening the evening…</p>;
  if (told.session === null) return <Before meal={meal} plan={planned.plan} refusals={planned.refusals} />;
  return <AtTheStove session={told.session} told={told} />;
}

function Before({
  meal,
  plan,
  refusals,
}: {
  readonly meal: Meal;
  readonly plan: Plan | null;
  readonly refusals: readonly { readonly sentence: string }[];
}) {
  const [busy, setBusy] = useState(false);
  const putAway = useLiveQuery(() => wasPutAway(pantry(), meal), [meal]);
  const first = plan?.steps[0];
  const canBegin = plan && first && refusals.length === 0;
  const stored = putAway && (
    <p className="mb-6 max-w-prose text-lg" data-testid="put-away">
      This evening is put away.{' '}
      {canBegin ? 'It can be begun again.' : 'To cook the meal again, choose another day on the menu.'}
    </p>
  );
  if (!canBegin) {
    return (
      <div className="mt-8">
        {stored || (
          <p className="max-w-prose text-lg">
            There is no plan to cook from yet.{' '}
            {refusals[0]?.sentence ?? 'Look at the menu: it says what is in the way.'}
          </p>
        )}
      </div>
    );
  }
  const at = new Date(`${meal.day}T${meal.hour}`).getTime() + first.start * 60_000;
  return (
    <div className="mt-8 max-w-prose">
      {stored}
      <p className="text-2xl">
        The first thing to do is <strong>{first.name}</strong> ({first.dishName}), {format(at, 'EEEE')} at{' '}
        {format(at, 'HH:mm')}.
      </p>
      <p className="mt-3 text-lg text-faint">
        Begin any time: the view waits with you. What you press is kept at once, also when the tab is closed or the
        battery dies.
      </p>
      <Button
        look="strong"
        big
        className="mt-6"
        disabled={busy}
        onClick={async () => {
          setBusy(true);
          await beginSession(pantry(), meal, plan, Date.now());
        }}
      >
        Begin at the stove
      </Button>
    </div>
  );
}

function AtTheStove({ session, told }: { readonly session: StoredSession; readonly told: SessionAtHand }) {
  const now = useNow(250);
  const stove = now === null ? null : stoveAt(session, now);
  const focal = stove?.now[0];
  useKey('d', () => focal && (isStart(focal) ? told.begun(focal) : told.done(focal)));
  useKey('n', () => focal && !isStart(focal) && told.notYet(focal));
  useKey('u', told.undo);
  if (now === null || stove === null) return null;
  const canUndo = lastStanding(session) !== undefined;
  return (
    <div
      data-dress="night"
      className="fixed inset-0 z-10 flex flex-col overflow-auto bg-ground md:overflow-hidden text-ink"
    >
      <TopLine session={session} now={now} />
      {stove.finished ? (
        <Finished session={session} now={now} onUndo={told.undo} />
      ) : (
        <>
          <div className="grid flex-1 md:min-h-0 md:grid-cols-2">
            <section aria-label="Now" className="border-line p-5 sm:px-8 sm:py-6 md:overflow-y-auto md:border-r">
              <h2 className="font-sans text-base font-semibold text-faint">Now</h2>
              {focal ? (
                <Focal session={session} live={focal} told={told} now={now} canUndo={canUndo} />
              ) : (
                <Quiet next={stove.next[0]} now={now} onUndo={told.undo} canUndo={canUndo} />
              )}
              {stove.now.slice(1).map((live) => (
                <Beside key={live.step.key} session={session} live={live} told={told} />
              ))}
            </section>
            <section
              aria-label="Watching"
              className="border-t border-line p-5 sm:px-8 sm:py-6 md:overflow-y-auto md:border-t-0"
            >
              <h2 className="font-sans text-base font-semibold text-faint">Watching</h2>
              {stove.watching.length === 0 && <p className="mt-3 text-xl text-faint">Nothing is on the heat.</p>}
              <ul>
                {stove.watching.map((live) => (
                  <Watched key={live.step.key} session={session} live={live} told={told} now={now} />
                ))}
              </ul>
            </section>
          </div>
          <Next session={session} list={stove.next} quiet={stove.quietMinutes} quietFrom={stove.quietFrom} now={now} />
        </>
      )}
    </div>
  );
}

function TopLine({ session, now }: { readonly session: StoredSession; readonly now: number }) {
  const away = -minutesToTable(session, now);
  const late = Math.max(0, ...session.plan.landings.map((landing) => landing.late));
  const table = format(session.tableAt + late * 60_000, 'HH:mm');
  return (
    <header className="flex flex-wrap items-center gap-x-8 gap-y-1 border-b border-line px-5 py-4 sm:px-8">
      <p className="text-5xl font-semibold">{format(now, 'HH:mm')}</p>
      <p className="text-xl text-faint" data-testid="table-line">
        {away > 0 ? `${printSpan(Math.ceil(away))} to the table` : `${printSpan(away)} past the hour`} ·{' '}
        {late > 0 ? `now ${table}` : `still ${table}`}
      </p>
      <p className="min-w-0 flex-1 text-right text-lg text-ember" aria-live="polite" data-testid="moved">
        {session.moved}
      </p>
      <span className="flex items-center gap-4">
        <KeysSheet rows={KEYS} />
        <Link
          href={`/meals/${encodeURIComponent(session.mealId)}/score`}
          className="min-h-10 py-2 underline underline-offset-4"
        >
          score
        </Link>
      </span>
    </header>
  );
}

function colour(session: StoredSession, dishId: string): string {
  return pigmentAt(session.meal.dishes.findIndex((dish) => dish.id === dishId)).night;
}

/** A pot or an oven that someone has to set going: it is told "begun", not "done". */
function isStart({ step, status }: LiveStep): boolean {
  return step.attention !== 'hands' && status === 'due';
}

interface StepProps {
  readonly session: StoredSession;
  readonly live: LiveStep;
  readonly told: SessionAtHand;
}

function Focal({ session, live, told, now, canUndo }: StepProps & { readonly now: number; readonly canUndo: boolean }) {
  const { step } = live;
  const tint = colour(session, step.dishId);
  const over = live.status === 'running' && live.endAt < now;
  return (
    <div data-testid="focal" data-key={step.key}>
      <p className="mt-3 flex items-center gap-2.5 text-xl" style={{ color: tint }}>
        <span aria-hidden className="size-3.5 rounded-full" style={{ background: tint }} />
        {step.dishName}
        {step.person && session.meal.kitchen.people.length > 1 && (
          <span className="text-faint">· {step.person.name}</span>
        )}
      </p>
      <h1 className="mt-1 text-5xl first-letter:uppercase sm:text-6xl">{step.name}</h1>
      <p className="mt-3 text-2xl">{step.says}</p>
      <p className="mt-2 text-xl text-faint">
        {placeWords(live)}
        {live.status === 'running' && (
          <span className="ml-3 text-ink" data-testid="focal-clock">
            {printCountdown(live.endAt - now)} {over ? 'over' : 'left'}
          </span>
        )}
      </p>
      {step.amounts.length > 0 && <p className="mt-3 text-xl">{step.amounts.join(' · ')}</p>}
      {step.doneWhen && <p className="mt-2 text-xl text-faint">Until: {step.doneWhen}</p>}
      {step.cautions.map((caution) => (
        <p key={caution} className="mt-3 border-l-4 border-ember pl-3 text-lg">
          {caution}
        </p>
      ))}
      <div className="mt-6 flex flex-wrap gap-3.5">
        {isStart(live) ? (
          <Button look="strong" big onClick={() => told.begun(live)}>
            begun
          </Button>
        ) : (
          <>
            <Button look="strong" big className="min-w-48" onClick={() => told.done(live)}>
              done
            </Button>
            <Button big onClick={() => told.notYet(live)}>
              not yet
            </Button>
          </>
        )}
        <Undo onUndo={told.undo} canUndo={canUndo} />
      </div>
    </div>
  );
}

function Undo({ onUndo, canUndo }: { readonly onUndo: () => void; readonly canUndo: boolean }) {
  return (
    <Button look="quiet" big onClick={onUndo} disabled={!canUndo}>
      undo
    </Button>
  );
}

function placeWords({ step }: LiveStep): string {
  const heat = step.heat ? `${step.heat} heat` : step.celsius ? `${step.celsius} °C` : '';
  return [step.station.sort === 'board' ? '' : step.station.name, heat, step.vessel ?? ''].filter(Boolean).join(', ');
}

function Beside({ session, live, told }: StepProps) {
  return (
    <div
      className="mt-6 flex items-center gap-4 border-t border-line pt-4"
      data-testid="beside"
      data-key={live.step.key}
    >
      <span aria-hidden className="h-12 w-2 rounded-full" style={{ background: colour(session, live.step.dishId) }} />
      <p className="min-w-0 flex-1 text-xl">
        <strong className="inline-block font-semibold first-letter:uppercase">{live.step.name}</strong>,{' '}
        {live.step.dishName}
        <span className="block text-faint">{live.step.person?.name ?? placeWords(live)}</span>
      </p>
      <Button big onClick={() => (isStart(live) ? told.begun(live) : told.done(live))}>
        {isStart(live) ? 'begun' : 'done'}
      </Button>
    </div>
  );
}

interface QuietProps {
  readonly next: LiveStep | undefined;
  readonly now: number;
  readonly onUndo: () => void;
  readonly canUndo: boolean;
}

function Quiet({ next, now, onUndo, canUndo }: QuietProps) {
  return (
    <div className="mt-3" data-testid="quiet">
      <p className="font-title text-5xl text-ember">Nothing for the hands</p>
      {next && (
        <p className="mt-3 text-2xl">
          Next in {printSpan(Math.max(0, (next.startAt - now) / 60_000))}: {next.step.name}, {next.step.dishName}, at{' '}
          {format(next.startAt, 'HH:mm')}.
        </p>
      )}
      <div className="mt-6">
        <Undo onUndo={onUndo} canUndo={canUndo} />
      </div>
    </div>
  );
}

/** Seconds before its end from which a pot's buttons stand open by themselves. */
const OPEN_BEFORE_END = 90;

function Watched({ session, live, told, now }: StepProps & { readonly now: number }) {
  const [opened, setOpened] = useState(false);
  const { step } = live;
  const left = live.endAt - now;
  const look = step.lookEvery ? nextLook(live, now) : null;
  // What only rests is over by itself: there is nothing to press.
  const byItself = step.station.sort === 'shelf' && step.attention === 'none';
  const open = opened || (!byItself && left < OPEN_BEFORE_END * 1000);
  return (
    <li className="border-b border-line py-1" data-testid="watched" data-key={step.key}>
      <button
        type="button"
        aria-expanded={open}
        className="flex min-h-20 w-full items-center gap-4 text-left"
        onClick={() => setOpened(!opened)}
      >
        <span
          aria-hidden
          className="h-14 w-2 shrink-0 rounded-full"
          style={{ background: colour(session, step.dishId) }}
        />
        <span className="min-w-0 flex-1">
          <span className="block text-2xl font-semibold first-letter:uppercase">{step.name}</span>
          <span className="block text-lg text-faint">
            {step.dishName}
            {step.doneWhen && `: ${step.doneWhen}`}
          </span>
        </span>
        <span className={`shrink-0 text-right text-4xl font-semibold ${left < 0 ? 'text-ember' : ''}`}>
          <span data-testid="countdown">{printCountdown(left)}</span>
          <span className="block text-base font-normal text-faint">
            {left < 0 ? 'is it there?' : look ? `look at ${format(look, 'HH:mm')}` : step.station.name}
          </span>
        </span>
      </button>
      {open && (
        <span className="flex gap-3 pb-3 pl-6">
          <Button big look={left < 0 ? 'strong' : 'plain'} onClick={() => told.done(live)}>
            done
          </Button>
          <Button big onClick={() => told.notYet(live)}>
            not yet
          </Button>
        </span>
      )}
    </li>
  );
}

/** The next look at a simmer, or null when it ends before. */
function nextLook({ step, startAt, endAt }: LiveStep, now: number): number | null {
  const every = (step.lookEvery ?? 0) * 60_000;
  if (every <= 0) return null;
  const look = startAt + Math.ceil((now - startAt + 1) / every) * every;
  return look < endAt ? look : null;
}

interface NextProps {
  readonly session: StoredSession;
  readonly list: readonly LiveStep[];
  readonly quiet: number;
  readonly quietFrom: number;
  readonly now: number;
}

function Next({ list, quiet, quietFrom, now }: NextProps) {
  return (
    <section
      aria-label="Next"
      className="grid gap-x-8 gap-y-3 border-t border-line px-5 py-5 sm:grid-cols-[auto_1fr_auto] sm:px-8"
    >
      <h2 className="font-sans text-base font-semibold text-faint">Next</h2>
      <ol className="grid gap-x-8 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
        {list.map((live) => (
          <li key={live.step.key} className="min-w-0">
            <p className="text-xl font-semibold">
              {format(live.startAt, live.startAt - now > 12 * 3_600_000 ? 'EEE HH:mm' : 'HH:mm')} {live.step.name}
            </p>
            <p className="text-lg text-faint">{[live.step.dishName, placeWords(live)].filter(Boolean).join(' · ')}</p>
          </li>
        ))}
      </ol>
      {quiet > 0 && (
        <p className="max-w-48 font-title text-xl text-ember" data-testid="quiet-minutes">
          {printSpan(quiet)} free {quietFrom - now > 60_000 ? `after ${format(quietFrom, 'HH:mm')}` : 'now'}
        </p>
      )}
    </section>
  );
}

function Finished({
  session,
  now,
  onUndo,
}: {
  readonly session: StoredSession;
  readonly now: number;
  readonly onUndo: () => void;
}) {
  const steps = liveSteps(session, now);
  const last = steps.reduce((latest, live) => Math.max(latest, live.endAt), 0);
  return (
    <div className="m-auto max-w-prose p-8 text-center" data-testid="finished">
      <h1 className="text-6xl">To the table</h1>
      <p className="mt-4 text-2xl">
        {isFinished(steps) &&
          `Everything was ready at ${format(last, 'HH:mm')}; the table was laid for ${format(session.tableAt, 'HH:mm')}.`}
      </p>
      <p className="mt-3 text-lg text-faint">
        Cool what is left within two hours, grain within one, and put it in the cold; your local food-safety rules come
        first.
      </p>
      <div className="mt-8 flex justify-center gap-4">
        <Button look="strong" big onClick={() => endSession(pantry(), session.id)}>
          Put the evening away
        </Button>
        <Button look="quiet" big onClick={onUndo}>
          undo
        </Button>
      </div>
    </div>
  );
}
