'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useSyncExternalStore } from 'react';
import type { Evening } from '@/core/live/evening';
import { isFinished, type LiveStep, liveSteps, minutesToTable } from '@/core/live/session';
import { sayHour } from '@/core/plan/say-odds';
import { pantry } from '@/store/db';
import { endSession } from '@/store/sessions';
import { Button } from '@/ui/button';
import { printSpan } from '@/ui/clock';
import { type KeyRow, KeysSheet } from '@/ui/keys-sheet';
import { soundState, wakeSound } from './calls';
import { Undo } from './now';
import { placeWords, type StepProps } from './pieces';

/** Keys at the stove. */
const KEYS: readonly KeyRow[] = [
  ['D', 'done: the first thing under “now”; so does the space bar'],
  ['N', 'not yet: it gets more time'],
  ['B', 'done or begun: the second thing under “now”'],
  ['1', 'the pot that calls: not there yet'],
  ['2', 'the pot that calls: nearly'],
  ['3', 'the pot that calls: there'],
  ['U', 'undo what was pressed last'],
  ['R', 'do again what was undone'],
  ['E', 'the evening: another hour, a dish less, a note, everything that was told'],
  ['?', 'this sheet'],
];

interface NextProps {
  readonly session: Evening;
  readonly list: readonly LiveStep[];
  readonly quiet: number;
  readonly quietFrom: number;
  readonly now: number;
}

/** What comes after "now", and how long the hands are free. */
export function Next({ session, list, quiet, quietFrom, now }: NextProps) {
  const { people } = session.meal.kitchen;
  const cook = people.length > 1 ? people.find(({ role }) => role === 'cook')?.name : undefined;
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
          {cook && <span className="block text-lg">{cook}:</span>}
          {printSpan(quiet)} free {quietFrom - now > 60_000 ? `after ${format(quietFrom, 'HH:mm')}` : 'now'}
        </p>
      )}
    </section>
  );
}

interface TopLineProps {
  readonly session: Evening;
  readonly now: number;
  readonly thinking: boolean;
  /** Calls are to make no sound. */
  readonly quiet: boolean;
  readonly onPanel: () => void;
}

/** The clock, the hour of the table, and what moved. */
export function TopLine({ session, now, thinking, quiet, onPanel }: TopLineProps) {
  const sounds = useSyncExternalStore(soundState.subscribe, soundState.now, () => true);
  const away = -minutesToTable(session, now);
  const late = Math.max(0, ...session.plan.landings.map((landing) => landing.late));
  const table = format(session.tableAt + late * 60_000, 'HH:mm');
  const { odds } = session.plan;
  const agreed = session.firstTable !== undefined && session.firstTable !== session.tableAt;
  return (
    <header className="flex flex-wrap items-center gap-x-8 gap-y-1 border-b border-line px-5 py-4 sm:px-8">
      <p className="text-5xl font-semibold">{format(now, 'HH:mm')}</p>
      <p className="text-xl leading-7 text-faint" data-testid="table-line">
        {away > 0 ? `${printSpan(Math.ceil(away))} to the table` : `${printSpan(away)} past the hour`} ·{' '}
        {late > 0 ? `now ${table}` : agreed ? `agreed on ${table}` : `still ${table}`}
        {/* Its line is there also when it is empty: nothing below moves when there is more to say. */}
        <span className="block min-h-5 text-base leading-5">
          {odds && late === 0 ? sayHour(odds, session.plan) : ''}
        </span>
      </p>
      <p
        className="order-last min-w-0 basis-full text-lg text-ember sm:order-none sm:-my-3 sm:flex-1 sm:basis-0 sm:text-right sm:leading-6"
        aria-live="polite"
        data-testid="moved"
      >
        {thinking ? 'Planning the rest anew…' : session.moved}
      </p>
      <span className="flex items-center gap-4">
        {/* Its place stays when it goes: nothing moves under the finger that wakes the sound. */}
        <Button
          look="quiet"
          className={`text-ember ${sounds || quiet ? 'invisible' : ''}`}
          aria-hidden={sounds || quiet}
          onClick={wakeSound}
        >
          silent until touched
        </Button>
        <Button onClick={onPanel}>evening</Button>
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

/** All is on the table. */
export function Finished({ session, now, told }: Omit<StepProps, 'live'> & { readonly now: number }) {
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
        <Undo session={session} told={told} />
      </div>
    </div>
  );
}
