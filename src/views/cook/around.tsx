'use client';

import { format } from 'date-fns';
import { useSyncExternalStore } from 'react';
import type { Evening } from '@/core/live/evening';
import type { AtWork } from '@/core/live/people';
import { isFinished, type LiveStep, liveSteps, minutesToTable } from '@/core/live/session';
import { sayHour } from '@/core/plan/say-odds';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { endSession } from '@/store/sessions';
import { Button } from '@/ui/button';
import { printCountdown, printSpan } from '@/ui/clock';
import { type KeyRow, KeysSheet } from '@/ui/keys-sheet';
import { soundState, wakeSound } from './calls';
import { Undo } from './now';
import { placeWords, type StepProps } from './pieces';
import { useScreens } from './use-screens';

/** Keys at the stove. */
const keyRows = (): readonly KeyRow[] => [
  ['D', say('done: the first thing under “now”; so does the space bar')],
  ['N', say('not yet: it gets more time')],
  ['B', say('done or begun: the second thing under “now”')],
  ['1', say('the pot that calls: not there yet')],
  ['2', say('the pot that calls: nearly')],
  ['3', say('the pot that calls: there')],
  ['U', say('undo what was pressed last')],
  ['R', say('do again what was undone')],
  ['F', say('letters for two metres, and back')],
  ['E', say('the evening: another hour, a dish less, a note, everything that was told')],
  ['?', say('this sheet')],
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
      aria-label={say('Next')}
      className="grid gap-x-8 gap-y-3 border-t border-line px-5 py-4 sm:grid-cols-[auto_1fr_auto] sm:px-8 md:col-span-2 md:row-start-3 md:py-3 short:hidden"
    >
      <h2 className="font-sans text-base font-semibold text-faint">{say('Next')}</h2>
      <ol className="grid gap-x-8 gap-y-3 sm:grid-cols-2 md:grid-cols-3 lg:grid-cols-4">
        {list.map((live, index) => (
          <li key={live.step.key} className={`min-w-0 ${index === 3 ? 'md:hidden lg:block' : ''}`}>
            <p className="truncate text-xl font-semibold">
              {live.startAt - now > 12 * 3_600_000 && sayDay(live.startAt, 'short weekday')}{' '}
              {format(live.startAt, 'HH:mm')} {live.step.name}
            </p>
            <p className="line-clamp-2 text-lg leading-snug text-faint md:line-clamp-1">
              {[live.step.dishName, placeWords(live)].filter(Boolean).join(' · ')}
            </p>
          </li>
        ))}
      </ol>
      {quiet > 0 && (
        <p className="max-w-48 font-title text-xl leading-snug text-ember" data-testid="quiet-minutes">
          {cook && <span className="block text-lg">{cook}:</span>}
          {quietFrom - now > 60_000
            ? say('{span} free after {hour}', { span: printSpan(quiet), hour: format(quietFrom, 'HH:mm') })
            : say('{span} free now', { span: printSpan(quiet) })}
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
  /** What everybody does. */
  readonly work: readonly AtWork[];
  /** Whose screen this is; null for everybody's. */
  readonly who: string | null;
  readonly onWho: (who: string | null) => void;
  /** Letters for two metres. */
  readonly far: boolean;
  readonly onFar: () => void;
  readonly onPanel: () => void;
}

/** The clock, the hour of the table, and what moved. */
export function TopLine(line: TopLineProps) {
  const { session, now, thinking, quiet, work, who, onWho, far, onFar, onPanel } = line;
  const together = useScreens(session.id).kind === 'together';
  const sounds = useSyncExternalStore(soundState.subscribe, soundState.now, () => true);
  const away = -minutesToTable(session, now);
  const late = Math.max(0, ...session.plan.landings.map((landing) => landing.late));
  const table = format(session.tableAt + late * 60_000, 'HH:mm');
  const { odds } = session.plan;
  const agreed = session.firstTable !== undefined && session.firstTable !== session.tableAt;
  return (
    <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-5 py-2 sm:gap-x-6 sm:px-8 short:flex-nowrap short:gap-x-3 short:py-0.5">
      <p className="text-4xl font-semibold sm:text-5xl short:text-3xl">{format(now, 'HH:mm')}</p>
      <p
        className="min-w-20 flex-1 basis-0 text-base leading-5 text-faint lg:text-xl lg:leading-7"
        data-testid="table-line"
      >
        {away > 0
          ? say('{span} to the table', { span: printSpan(Math.ceil(away)) })
          : say('{span} past the hour', { span: printSpan(away) })}{' '}
        ·{' '}
        {late > 0
          ? say('now {table}', { table })
          : agreed
            ? say('agreed on {table}', { table })
            : say('still {table}', { table })}
        {/* Its line is there also when it is empty: nothing below moves when there is more to say. */}
        <span className="hidden min-h-5 text-base leading-5 lg:block short:hidden">
          {odds && late === 0 ? sayHour(odds, session.plan) : ''}
        </span>
      </p>
      <People work={work} who={who} onWho={onWho} now={now} />
      {/* The note of the silence stands in a row that keeps its height: nothing moves under the finger that wakes the sound. */}
      <div className="order-last flex min-h-10 basis-full items-center gap-4 short:hidden">
        <p
          className="line-clamp-2 min-w-0 flex-1 text-base leading-5 text-ember sm:text-lg sm:leading-6 md:line-clamp-1"
          aria-live="polite"
          data-testid="moved"
        >
          {thinking ? say('Planning the rest anew…') : session.moved}
        </p>
        <span role="status" className="sr-only shrink-0 text-faint md:not-sr-only">
          {together ? say('on two screens') : ''}
        </span>
        <Button
          look="quiet"
          className={`-mt-1 -mb-5 min-h-16 text-ember ${sounds || quiet ? 'hidden' : ''}`}
          aria-hidden={sounds || quiet}
          onClick={wakeSound}
        >
          {say('silent until touched')}
        </Button>
      </div>
      <span className="ms-auto flex shrink-0 items-center gap-2 sm:gap-3">
        <Button
          look="quiet"
          className="hidden min-h-16 min-w-16 text-lg sm:block short:hidden"
          aria-pressed={far}
          onClick={onFar}
        >
          {far ? say('near') : say('far')}
        </Button>
        <span className="hidden xl:block">
          <KeysSheet rows={keyRows()} atTheStove />
        </span>
        <Button className="min-h-16 px-4 text-lg sm:px-5" onClick={onPanel}>
          {say('evening')}
        </Button>
      </span>
    </header>
  );
}

interface PeopleProps {
  readonly work: readonly AtWork[];
  readonly who: string | null;
  readonly onWho: (who: string | null) => void;
  readonly now: number;
}

/** Who does what, and whose screen this is: one press, and only their own work stands on it. */
function People({ work, who, onWho, now }: PeopleProps) {
  if (work.length < 2) return null;
  return (
    <fieldset
      aria-label={say('Whose screen')}
      className="order-1 flex min-w-0 basis-full gap-1 md:order-none md:basis-auto md:gap-2 short:basis-auto"
    >
      {[null, ...work].map((each) => {
        const id = each?.person.id ?? null;
        return (
          <button
            key={id ?? 'all'}
            type="button"
            aria-pressed={who === id}
            className={`min-h-16 min-w-0 rounded-lg px-3 text-start leading-tight ${each ? 'flex-1' : ''} ${who === id ? 'bg-soft text-ink' : 'text-faint'}`}
            onClick={() => onWho(id)}
          >
            <span className="block truncate text-lg">{each?.person.name ?? say('all')}</span>
            {each && (
              <span className="block truncate text-base">
                {each.doing ? (
                  <>
                    {each.doing.step.name} <span data-verbatim>{printCountdown(each.doing.endAt - now)}</span>
                  </>
                ) : (
                  freeWords(each, now)
                )}
              </span>
            )}
          </button>
        );
      })}
    </fieldset>
  );
}

function freeWords({ next }: AtWork, now: number): string {
  if (!next) return 'free';
  return next.startAt <= now ? say('free now') : say('free until {hour}', { hour: format(next.startAt, 'HH:mm') });
}

/** All is on the table. */
export function Finished({ session, now, told }: Omit<StepProps, 'live'> & { readonly now: number }) {
  const steps = liveSteps(session, now);
  const last = steps.reduce((latest, live) => Math.max(latest, live.endAt), 0);
  return (
    <div className="m-auto max-w-prose p-8 text-center" data-testid="finished">
      <h1 className="text-6xl">{say('To the table')}</h1>
      <p className="mt-4 text-2xl">
        {isFinished(steps) &&
          say('Everything was ready at {hour}; the table was laid for {table}.', {
            hour: format(last, 'HH:mm'),
            table: format(session.tableAt, 'HH:mm'),
          })}
      </p>
      <p className="mt-3 text-lg text-faint">
        {say(
          'Cool what is left within two hours, grain within one, and put it in the cold; your local food-safety rules come first.',
        )}
      </p>
      <div className="mt-8 flex justify-center gap-4">
        <Button look="strong" big onClick={() => endSession(pantry(), session.id)}>
          {say('Put the evening away')}
        </Button>
        <Undo session={session} told={told} />
      </div>
    </div>
  );
}
