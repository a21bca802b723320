'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { type Cue, cuesAt } from '@/core/live/cues';
import type { Evening } from '@/core/live/evening';
import { lastTakenBack } from '@/core/live/events';
import { followAlong } from '@/core/live/follow';
import {
  isFinished,
  type LiveStep,
  lastStanding,
  liveSteps,
  minutesToTable,
  safeMinutesLeft,
} from '@/core/live/session';
import { stoveAt } from '@/core/live/stove';
import type { Meal } from '@/core/meal/meal';
import { tableInstant } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import { pantry } from '@/store/db';
import { beginSession, endSession, wasPutAway } from '@/store/sessions';
import { Button } from '@/ui/button';
import { printCountdown, printSpan, useNow } from '@/ui/clock';
import { type KeyRow, KeysSheet, useKey } from '@/ui/keys-sheet';
import { pigmentAt } from '@/ui/pigments';
import { useMeal } from '@/views/shell/meal-frame';
import { AllSaid } from './all-said';
import { EveningPanel } from './evening-panel';
import { Ways } from './live-remedies';
import { useCues } from './use-cues';
import { type SessionAtHand, useSession } from './use-session';
import { Rarely, Watched } from './watched';

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
  const at = tableInstant(meal) + first.start * 60_000;
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
          await beginSession(pantry(), meal, plan, Date.now()).finally(() => setBusy(false));
        }}
      >
        Begin at the stove
      </Button>
    </div>
  );
}

const NO_CUES: readonly Cue[] = [];

function AtTheStove({ session, told }: { readonly session: Evening; readonly told: SessionAtHand }) {
  const now = useNow(250);
  const [panel, setPanel] = useState(false);
  const quiet = useLiveQuery(() => pantry().settings.get('quiet'))?.value === 'on';
  const follow = useLiveQuery(() => pantry().settings.get('follow'))?.value === 'on';
  const pretend = useLiveQuery(() => pantry().settings.get('pretend'))?.value === 'on';
  const second = now === null ? null : Math.floor(now / 1000);
  // The log is folded once a second; stove, calls and silence are read from it.
  const evening = useMemo(() => {
    if (second === null) return null;
    const at = second * 1000 + 999;
    const steps = liveSteps(session, at);
    return { steps, stove: stoveAt(session, at, steps), cues: cuesAt(session, at, steps) };
  }, [session, second]);
  const stove = evening?.stove ?? null;
  const cues = evening?.cues ?? NO_CUES;
  useCues({ cues, now, leads: told.leads, quiet });
  useFollowing(session, told, second, follow && told.leads);
  const wentBack = useClockWentBack(now, told.leads, told.clockSet);
  const focal = stove?.now[0];
  const press = () => focal && (isStart(focal) ? told.begun(focal) : told.done(focal));
  const open = told.leads && !panel && told.early === null;
  useKey('d', () => open && press());
  useKey(' ', (event) => {
    // On a button the space bar presses that button.
    if (!open || (event.target as HTMLElement | null)?.closest('button')) return;
    event.preventDefault();
    press();
  });
  useKey('n', () => open && focal && !isStart(focal) && told.notYet(focal));
  const beside = stove?.now[1];
  useKey('b', () => open && beside && (isStart(beside) ? told.begun(beside) : told.done(beside)));
  useKey('u', () => open && told.undo());
  useKey('r', () => open && told.redo());
  useKey('e', () => setPanel(true));
  // The pot that calls first is answered by number.
  const called = stove?.watching.find(({ step }) => cues.some(({ keys }) => keys.includes(step.key)));
  useKey('1', () => open && called && told.looked(called, 'not there'));
  useKey('2', () => open && called && told.looked(called, 'nearly'));
  useKey('3', () => open && called && told.done(called));
  const nowSection = useRef<HTMLElement>(null);
  useFocusKept(nowSection, focal?.step.key ?? (stove === null ? 'opening' : 'quiet'));
  useCoveredPage();
  if (now === null || stove === null) return null;
  return (
    <div
      data-dress="night"
      className="fixed inset-0 z-10 flex scroll-pb-[36dvh] flex-col overflow-auto bg-ground text-ink md:scroll-pb-0 md:overflow-hidden"
    >
      <TopLine session={session} now={now} thinking={told.thinking} onPanel={() => setPanel(true)} />
      {panel && (
        <EveningPanel
          session={session}
          told={told}
          quiet={quiet}
          follow={follow}
          pretend={pretend}
          leads={told.leads}
          onClose={() => setPanel(false)}
        />
      )}
      {told.early && <TooSoon live={told.early} now={now} told={told} />}
      {!told.leads && <Follows onTakeOver={told.takeOver} />}
      <Faults told={told} />
      {wentBack !== null && (
        <p role="status" className="bg-soft px-5 py-2 text-lg sm:px-8">
          The clock of this device was put back by {wentBack} min; times follow it, and nothing told is lost.
        </p>
      )}
      {stove.finished ? (
        <Finished session={session} now={now} told={told} />
      ) : (
        <fieldset disabled={!told.leads} className="grid flex-1 md:min-h-0 md:grid-cols-2">
          <section
            ref={nowSection}
            tabIndex={-1}
            aria-label="Now"
            className="border-line outline-none p-5 sm:px-8 sm:py-6 md:overflow-y-auto md:border-r"
          >
            <h2 className="font-sans text-base font-semibold text-faint">Now</h2>
            {focal ? (
              <Focal session={session} live={focal} told={told} now={now} />
            ) : (
              <Quiet session={session} told={told} next={stove.next[0]} now={now} />
            )}
            {stove.now.slice(1).map((live) => (
              <Beside key={live.step.key} session={session} live={live} told={told} now={now} />
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
                <Watched
                  key={live.step.key}
                  session={session}
                  live={live}
                  told={told}
                  now={now}
                  tint={colour(session, live.step.dishId)}
                  pretend={pretend}
                />
              ))}
            </ul>
          </section>
        </fieldset>
      )}
      {/* From below, so that nothing a finger may be on its way to moves under it. */}
      <div className="sticky bottom-0 z-10 max-h-[34dvh] shrink-0 overflow-y-auto bg-ground md:static md:max-h-none">
        <Calls cues={cues} />
        {told.leads && !stove.finished && <Ways session={session} told={told} quiet={quiet} />}
      </div>
      {!stove.finished && (
        <Next session={session} list={stove.next} quiet={stove.quietMinutes} quietFrom={stove.quietFrom} now={now} />
      )}
    </div>
  );
}

/** Where a button went away under the focus, the list it stood in gets it: a keyboard goes on from there, and a screen reader reads on. */
function useFocusKept(holder: React.RefObject<HTMLElement | null>, changes: string): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at when what stands there changes
  useEffect(() => {
    if (document.activeElement === document.body) holder.current?.focus({ preventScroll: true });
  }, [changes]);
}

/** What lies under the stove's view is out of reach while it covers the page. */
function useCoveredPage(): void {
  useEffect(() => {
    const covered = [...document.querySelectorAll<HTMLElement>('[data-covered-by-stove]')];
    for (const each of covered) each.inert = true;
    return () => {
      for (const each of covered) each.inert = false;
    };
  }, []);
}

/** "done: fry, Barley": which of several buttons it is, for whoever hears it. */
function tells(word: string, { step }: LiveStep): string {
  return `${word}: ${step.name}, ${step.dishName}`;
}

/** Calls in words, danger largest; where the browser cannot speak they stand alone for the voice. */
function Calls({ cues }: { readonly cues: readonly Cue[] }) {
  const loud = cues.filter(({ kind }) => kind !== 'hands');
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
        {loud.slice(0, 2).map(({ id, kind, says }, index) => (
          <p
            key={id}
            className={`px-5 py-2 sm:px-8 ${kind === 'danger' ? 'bg-warn text-xl font-semibold text-ground sm:text-3xl' : 'bg-soft text-lg sm:text-2xl'} ${index > 0 && loud[0]!.kind === 'danger' ? 'hidden md:block' : ''}`}
          >
            {says}
          </p>
        ))}
      </div>
    </>
  );
}

/** What could not be stored or planned, with the way to try again. */
function Faults({ told }: { readonly told: SessionAtHand }) {
  const { unkept, letGo, unplanned, planAgain } = told;
  const look = 'flex flex-wrap items-center gap-4 bg-warn px-5 py-2 text-lg text-ground sm:px-8';
  return (
    <>
      {unkept && (
        <div role="alert" className={look} data-testid="unkept">
          <p className="max-w-prose">
            <strong className="font-semibold">Not kept: {unkept.words}.</strong> {unkept.fault}
          </p>
          <Button onClick={unkept.again}>tell it again</Button>
          <Button onClick={letGo}>let it go</Button>
        </div>
      )}
      {unplanned && (
        <div role="alert" className={look} data-testid="unplanned">
          <p className="max-w-prose">
            The rest could not be planned anew: the hours below are the ones from before. What you told is kept.
          </p>
          <Button onClick={planAgain}>plan again</Button>
        </div>
      )}
    </>
  );
}

function Follows({ onTakeOver }: { readonly onTakeOver: () => void }) {
  return (
    <p role="status" className="flex flex-wrap items-center gap-4 bg-soft px-5 py-2 text-lg sm:px-8">
      Another window leads this evening; this one follows.
      <Button onClick={onTakeOver}>take over here</Button>
    </p>
  );
}

/** Calls cold work done when its time is over and the cook stays silent. */
function useFollowing(session: Evening, told: SessionAtHand, second: number | null, on: boolean): void {
  const said = useRef(new Set<string>());
  useEffect(() => {
    if (!on || second === null) return;
    const at = second * 1000;
    const live = followAlong(session, liveSteps(session, at), at);
    if (!live || said.current.has(live.step.key)) return;
    said.current.add(live.step.key);
    told.byClock(live);
  }, [session, told, second, on]);
}

/** A step back of the clock that is no mere tuning. */
const WENT_BACK = 30_000;

/**
 * Minutes by which the device's clock was put back while the view was open; null when it was not. The window that leads tells it to the
 * evening, so that pots go on where they were.
 */
function useClockWentBack(now: number | null, leads: boolean, onSet: (by: number) => void): number | null {
  const latest = useRef({ wall: 0, running: 0 });
  const [back, setBack] = useState<number | null>(null);
  const tell = useEffectEvent((by: number) => {
    if (leads) onSet(by);
  });
  useEffect(() => {
    if (now === null) return;
    const { wall, running } = latest.current;
    // Both are read at once: `now` may be older than this by as long as the machine was busy, or slept.
    latest.current = { wall: Date.now(), running: performance.now() };
    // What the clock shows, less what it should show by the time that really went by.
    const by = latest.current.wall - wall - (latest.current.running - running);
    if (wall === 0 || by > -WENT_BACK) return;
    setBack(Math.max(1, Math.round(-by / 60_000)));
    tell(Math.round(by));
  }, [now]);
  return back;
}

interface TopLineProps {
  readonly session: Evening;
  readonly now: number;
  readonly thinking: boolean;
  readonly onPanel: () => void;
}

function TopLine({ session, now, thinking, onPanel }: TopLineProps) {
  const away = -minutesToTable(session, now);
  const late = Math.max(0, ...session.plan.landings.map((landing) => landing.late));
  const table = format(session.tableAt + late * 60_000, 'HH:mm');
  const agreed = session.firstTable !== undefined && session.firstTable !== session.tableAt;
  return (
    <header className="flex flex-wrap items-center gap-x-8 gap-y-1 border-b border-line px-5 py-4 sm:px-8">
      <p className="text-5xl font-semibold">{format(now, 'HH:mm')}</p>
      <p className="text-xl text-faint" data-testid="table-line">
        {away > 0 ? `${printSpan(Math.ceil(away))} to the table` : `${printSpan(away)} past the hour`} ·{' '}
        {late > 0 ? `now ${table}` : agreed ? `agreed on ${table}` : `still ${table}`}
      </p>
      <p
        className="order-last min-w-0 basis-full text-lg text-ember sm:order-none sm:-my-3 sm:flex-1 sm:basis-0 sm:text-right sm:leading-6"
        aria-live="polite"
        data-testid="moved"
      >
        {thinking ? 'Planning the rest anew…' : session.moved}
      </p>
      <span className="flex items-center gap-4">
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

function colour(session: Evening, dishId: string): string {
  return pigmentAt(session.meal.dishes.findIndex((dish) => dish.id === dishId)).night;
}

/** A pot or an oven that someone has to set going or turn: it is told "begun", not "done". */
function isStart({ step, status, turns }: LiveStep): boolean {
  return step.attention !== 'hands' && (status === 'due' || turns === true);
}

interface StepProps {
  readonly session: Evening;
  readonly live: LiveStep;
  readonly told: SessionAtHand;
}

function Focal({ session, live, told, now }: StepProps & { readonly now: number }) {
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
      <p className="mt-2 flex flex-wrap gap-x-3 text-xl text-faint">
        {placeWords(live)}
        {live.status === 'running' && (
          <span className="text-ink" data-testid="focal-clock">
            {printCountdown(live.endAt - now)} {over ? 'over' : 'left'}
          </span>
        )}
      </p>
      {step.amounts.length > 0 && <p className="mt-3 text-xl">{step.amounts.join(' · ')}</p>}
      {step.doneWhen && <p className="mt-2 text-xl text-faint">Until: {step.doneWhen}</p>}
      {step.learned !== undefined && (
        <p className="mt-2 text-lg text-faint">Its minutes are from your last {step.learned} times.</p>
      )}
      {step.cautions.map((caution) => (
        <p key={caution} className="mt-3 border-l-4 border-ember pl-3 text-lg">
          {caution}
        </p>
      ))}
      {/* Whatever the step has to say, its answers stay in sight. */}
      <div className="mt-4 flex flex-wrap gap-3.5 bg-ground py-2 md:sticky md:-bottom-6">
        {isStart(live) ? (
          <Button look="strong" big aria-label={tells('begun', live)} onClick={() => told.begun(live)}>
            begun
          </Button>
        ) : (
          <>
            <Button
              look="strong"
              big
              className="min-w-48"
              aria-label={tells('done', live)}
              onClick={() => told.done(live)}
            >
              done
            </Button>
            <Button big aria-label={tells('not yet', live)} onClick={() => told.notYet(live)}>
              not yet
            </Button>
          </>
        )}
        <Undo session={session} told={told} />
      </div>
      {live.status === 'running' && <Rarely session={session} live={live} told={told} />}
    </div>
  );
}

/** Said to be done before the minutes that safety asks for: asked back, and nothing told yet. */
function TooSoon({ live, now, told }: Omit<StepProps, 'session'> & { readonly now: number }) {
  const { step } = live;
  const left = safeMinutesLeft(live, now);
  return (
    <div
      role="alertdialog"
      aria-label="Is it safe?"
      className="bg-warn px-5 py-4 text-ground sm:px-8"
      data-testid="too-soon"
    >
      <p className="text-2xl">
        <strong className="font-semibold first-letter:uppercase">{step.name}</strong> ({step.dishName}) wants{' '}
        {step.safeMinutes} min to be safe{left > 0 ? `, and ${left} of them are left by this clock` : ''}. Has it had
        them all the same?
      </p>
      <div className="mt-3 flex flex-wrap gap-3.5">
        <Button look="strong" big onClick={told.goOn}>
          no, it goes on
        </Button>
        <Button big onClick={told.insist}>
          yes, it had {step.safeMinutes} min
        </Button>
      </div>
    </div>
  );
}

/** What was told last is taken back, and told again. */
function Undo({ session, told }: Omit<StepProps, 'live'>) {
  return (
    <>
      <Button look="quiet" big onClick={told.undo} disabled={lastStanding(session) === undefined}>
        undo
      </Button>
      {lastTakenBack(session.events) !== undefined && (
        <Button look="quiet" big onClick={told.redo}>
          do again
        </Button>
      )}
    </>
  );
}

function placeWords({ step }: LiveStep): string {
  const heat = step.heat ? `${step.heat} heat` : step.celsius ? `${step.celsius} °C` : '';
  return [step.station.sort === 'board' ? '' : step.station.name, heat, step.vessel ?? ''].filter(Boolean).join(', ');
}

/** What goes on beside the first thing: the hands of another cook, a pot to be set going. All that it asks of the hands stands here too. */
function Beside({ session, live, told, now }: StepProps & { readonly now: number }) {
  const { step } = live;
  const left = live.status === 'running' && !isStart(live) ? printCountdown(live.endAt - now) : null;
  return (
    <div
      className="mt-6 flex items-start gap-4 border-t border-line pt-4"
      data-testid="beside"
      data-key={live.step.key}
    >
      <span aria-hidden className="h-12 w-2 rounded-full" style={{ background: colour(session, live.step.dishId) }} />
      <p className="min-w-0 flex-1 text-xl">
        <strong className="inline-block font-semibold first-letter:uppercase">{step.name}</strong>, {step.dishName}
        <span className="block text-faint">
          {[step.person?.name ?? '', placeWords(live), left === null ? '' : `${left} left`].filter(Boolean).join(' · ')}
        </span>
        <AllSaid step={step} />
      </p>
      <Button
        big
        aria-label={tells(isStart(live) ? 'begun' : 'done', live)}
        onClick={() => (isStart(live) ? told.begun(live) : told.done(live))}
      >
        {isStart(live) ? 'begun' : 'done'}
      </Button>
    </div>
  );
}

interface QuietProps {
  readonly session: Evening;
  readonly told: SessionAtHand;
  readonly next: LiveStep | undefined;
  readonly now: number;
}

function Quiet({ session, told, next, now }: QuietProps) {
  return (
    <div className="mt-3" data-testid="quiet">
      <p className="font-title text-5xl text-ember">Nothing for the hands</p>
      {next && (
        <p className="mt-3 text-2xl">
          Next in {printSpan(Math.max(0, (next.startAt - now) / 60_000))}: {next.step.name}, {next.step.dishName}, at{' '}
          {format(next.startAt, 'HH:mm')}.
        </p>
      )}
      <div className="mt-6 flex flex-wrap gap-3.5">
        <Undo session={session} told={told} />
      </div>
    </div>
  );
}

interface NextProps {
  readonly session: Evening;
  readonly list: readonly LiveStep[];
  readonly quiet: number;
  readonly quietFrom: number;
  readonly now: number;
}

function Next({ session, list, quiet, quietFrom, now }: NextProps) {
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

function Finished({ session, now, told }: Omit<StepProps, 'live'> & { readonly now: number }) {
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
