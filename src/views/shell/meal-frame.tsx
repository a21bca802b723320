'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { createContext, useContext, useEffect, useMemo, useRef, useSyncExternalStore } from 'react';
import type { Meal } from '@/core/meal/meal';
import { lacksVessel } from '@/core/meal/missing-vessels';
import { sayClockChange, tableInstant } from '@/core/plain/wall-clock';
import { verdictCalled } from '@/core/plan/beginning';
import { mealAsPlanned, sayKept } from '@/core/plan/keeps';
import type { Plan } from '@/core/plan/plan';
import { provenGiven } from '@/core/plan/proven';
import { sayOddsChange } from '@/core/plan/say-odds';
import { wantsWayOut } from '@/core/plan/well-landed';
import { DEFER, findingsOf, heeded } from '@/core/safety/findings';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { printOf } from '@/store/meals';
import { openMeal } from '@/store/opened';
import { openSession } from '@/store/sessions';
import { Button } from '@/ui/button';
import { useNow } from '@/ui/clock';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';
import { plannerSeat } from '@/workers/planner';
import { Due, dayNames } from './due';
import { type PlanState, usePlan } from './use-plan';

// Seldom wanted, and most of what a plan's frame would be made of.
const WaysOut = dynamic(() => import('./ways-out').then((ways) => ways.WaysOut), { ssr: false });
const Missing = dynamic(() => import('./missing').then((missing) => missing.Missing), { ssr: false });

interface MealAtHand {
  /** As it is cooked: what is made ahead stands on its day, and what the plan keeps warm until the table has that as a step. */
  readonly meal: Meal;
  /** The same as it was put together, without what the plan keeps warm: what plans are made for. */
  readonly asked: Meal;
  /** With its dishes as they are written. */
  readonly written: Meal;
  readonly planned: PlanState;
}

const MealContext = createContext<MealAtHand | null>(null);

/** The meal of the page and its plan. */
export function useMeal(): MealAtHand {
  const value = useContext(MealContext);
  if (!value) throw new Error('useMeal belongs inside MealFrame');
  return value;
}

const leaves = () =>
  [
    ['', say('Menu')],
    ['/prep', say('Prep')],
    ['/score', say('Score')],
    ['/rehearse', say('Rehearse')],
    ['/paper', say('Paper')],
    ['/cook', say('Cook')],
  ] as const;

/** Name, leaves and verdict of a meal around its views. */
export function MealFrame({ id, children }: { readonly id: string; readonly children: React.ReactNode }) {
  const evening = useLiveQuery(() => openSession(pantry(), id), [id]);
  const opened = useLiveQuery(async () => (await openMeal(pantry(), id)) ?? null, [id]);
  const meal = opened?.meal;
  const written = opened?.written;
  const planned = usePlan(meal);
  const { plan } = planned;
  const cooked = useMemo(() => (meal && plan ? mealAsPlanned(meal, plan) : meal), [meal, plan]);
  const path = usePathname();
  const leaf = leaves().findLast(([end]) => path.replace(/\/prep\/.*/, '/prep').endsWith(end))?.[1];
  useTitle(leaf, meal?.name);
  // Whoever comes here by a button that is gone now stands at the name, not nowhere.
  const heading = useRef<HTMLHeadingElement>(null);
  const isHere = meal !== undefined && planned.looked;
  useEffect(() => {
    if (isHere && document.activeElement === document.body) heading.current?.focus({ preventScroll: true });
  }, [isHere]);
  if (opened === null) {
    return (
      <div className="mt-8 max-w-prose">
        <h1 className="text-4xl">{say('There is no such meal in this browser')}</h1>
        <Link href="/" className="mt-5 inline-flex min-h-12 items-center text-lg underline underline-offset-4">
          {say('Go to the meals')}
        </Link>
      </div>
    );
  }
  if (!meal || !cooked || !written || !planned.looked)
    return <p className="mt-10 text-faint">{say('Opening the meal…')}</p>;
  const base = `/meals/${encodeURIComponent(id)}`;
  const agreed = evening && evening.tableAt !== tableInstant(meal) ? format(evening.tableAt, 'HH:mm') : null;
  return (
    <MealContext value={{ meal: cooked, asked: meal, written, planned }}>
      <div
        data-covered-by-stove
        className={`flex flex-wrap items-end justify-between gap-x-8 gap-y-1 pt-1 ${path.endsWith('/paper') ? 'print:hidden' : ''}`}
      >
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 ref={heading} tabIndex={-1} className="text-3xl outline-none">
            {meal.name}
          </h1>
          <p className="text-faint">
            {say('{day} · {people} at the table · {hour} · {kitchen}', {
              day: sayDay(new Date(`${meal.day}T12:00`), 'day'),
              people: meal.people,
              hour:
                agreed === null
                  ? meal.hour
                  : say('{hour} on the menu, {agreed} agreed at the stove', { hour: meal.hour, agreed }),
              kitchen: meal.kitchen.name,
            })}
          </p>
        </div>
        <nav aria-label={say('Views of the meal')} className="flex flex-wrap gap-1 print:hidden">
          {leaves().map(([leaf, name]) => {
            const here = leaf === '/prep' ? path.startsWith(`${base}/prep`) : path === `${base}${leaf}`;
            return (
              <Link
                key={name}
                href={`${base}${leaf}`}
                aria-current={here ? 'page' : undefined}
                className={`min-h-10 px-3 py-2 ${here ? 'border-b-3 border-ember font-bold' : 'text-faint hover:text-ink'}`}
              >
                {name}
              </Link>
            );
          })}
        </nav>
      </div>
      {!path.endsWith('/cook') && (
        <div className={path.endsWith('/paper') ? 'print:hidden' : ''}>
          <Verdict meal={meal} planned={planned} />
        </div>
      )}
      {children}
    </MealContext>
  );
}

/** So many of what is not safe stand above every view; the others are one press away. */
const MOST_UNSAFE = 3;

/** One condition of the proof stands in the line; more of them behind "as set". */
function Proven({ given }: { readonly given: readonly string[] }) {
  const all = given.join(say(', '));
  return (
    <span className="text-faint" title={given.length > 1 ? say('Proven best {all}.', { all }) : undefined}>
      {' '}
      {given.length > 1
        ? say('Proven best as set.')
        : given.length === 1
          ? say('Proven best {all}.', { all })
          : say('Proven best.')}
      {given.length > 1 && <span className="sr-only"> {say('That is {all}.', { all })}</span>}
    </span>
  );
}

/** What the plan keeps warm by itself, and how it is planned without. */
function KeptWarm({ meal, plan }: { readonly meal: Meal; readonly plan: Plan }) {
  const said = sayKept(meal, plan);
  return said ? (
    <p className="text-faint" data-testid="kept-warm">
      {said} {say('Leaning to “short” plans without that.')}
    </p>
  ) : null;
}

/** Where the clocks are changed between the first step and the table. */
function ClocksChanged({ plan }: { readonly plan: Plan }) {
  const said = sayClockChange(plan, Math.min(0, ...plan.steps.map(({ start }) => start)), 0);
  return said ? <p className="text-faint">{said}</p> : null;
}

function Verdict({ meal, planned }: { readonly meal: Meal; readonly planned: PlanState }) {
  const { plan, refusals, settling, long, settle, oddsBefore } = planned;
  const now = useNow(60_000);
  const moved = !settling && plan?.odds && oddsBefore ? sayOddsChange(oddsBefore, plan.odds) : '';
  const seat = useSyncExternalStore(plannerSeat.subscribe, plannerSeat.now, () => 'worker' as const);
  const open = plan && refusals.length === 0 ? heeded(meal, findingsOf(mealAsPlanned(meal, plan), plan)).open : [];
  const stuck =
    plan === null ? refusals.some(({ where }) => where === 'the meal') || lacksVessel(meal) : wantsWayOut(plan);
  const heed = `/meals/${encodeURIComponent(meal.id)}?heed#heed`;
  const unsafe = open.filter(({ weight }) => weight === 'hard');
  return (
    <div aria-live="polite" className="mt-1 min-h-8">
      {plan && refusals.length === 0 && <Due meal={meal} plan={plan} />}
      {refusals.map(({ where, sentence }) => (
        <p key={where + sentence} role="alert" className="mt-1 border-s-4 border-warn ps-3 text-lg">
          <strong className="font-semibold">{where}:</strong> {sentence}
        </p>
      ))}
      {refusals.length > 0 && <Missing meal={meal} />}
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        {plan && refusals.length === 0 && (
          <p className="text-lg" data-testid="verdict">
            {now === null ? plan.verdict : verdictCalled(plan, dayNames(meal, now))}
            {plan.proven && <Proven given={provenGiven(meal, plan)} />}
            {moved && (
              <strong className="font-semibold" data-testid="odds-moved">
                {' '}
                {moved}
              </strong>
            )}
          </p>
        )}
        {open.length > 0 && (
          <Link href={heed} className="text-faint underline underline-offset-4">
            {say('{open} to heed', { open: open.length })}
          </Link>
        )}
        {!settling && stuck && <WaysOut key={printOf(meal)} meal={meal} plan={plan} />}
      </div>
      {plan && refusals.length === 0 && <KeptWarm meal={meal} plan={plan} />}
      {plan && refusals.length === 0 && <ClocksChanged plan={plan} />}
      {unsafe.slice(0, MOST_UNSAFE).map(({ id, says, fix }) => (
        <p key={id} role="alert" className="mt-1 border-s-4 border-warn ps-3 text-lg">
          <strong className="font-semibold">{say('Not safe as it stands:')}</strong> {says} {fix} {say(DEFER)}
        </p>
      ))}
      {unsafe.length > MOST_UNSAFE && (
        <p role="alert" className="mt-1 border-s-4 border-warn ps-3 text-lg">
          <Link href={heed} className="font-semibold underline underline-offset-4">
            {say('{unsafe} more that are not safe as they stand', { unsafe: unsafe.length - MOST_UNSAFE })}
          </Link>
        </p>
      )}
      {!plan && refusals.length === 0 && settling && (
        <p className="flex flex-wrap items-center gap-x-4 text-lg text-faint">
          {long
            ? say('No plan yet: with so much to do in this kitchen it takes longer…')
            : say('Looking for a first plan…')}
          {long && (
            <Button look="quiet" onClick={settle}>
              {say('stop looking')}
            </Button>
          )}
        </p>
      )}
      {plan && seat !== 'worker' && (
        <p className="text-sm text-faint" data-testid="planner-seat">
          {seat === 'server'
            ? say('This browser’s own planner did not answer; the server made this plan.')
            : say('This browser’s own planner did not answer, nor did the server; the page itself made this plan.')}
        </p>
      )}
      {settling && plan && (
        <p className="flex items-center gap-2 text-sm text-faint">
          <span aria-hidden className="inline-block size-2 animate-pulse rounded-full bg-ember" />
          {say('Looking for a better plan…')}
          <Button look="quiet" className="min-h-6" onClick={settle}>
            {say('keep this one')}
          </Button>
        </p>
      )}
    </div>
  );
}
