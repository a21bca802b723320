'use client';

import { useEffect, useRef, useState } from 'react';
import type { Refusal } from '@/core/dish/check';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { findWaysOut, type WayOut } from '@/core/remedies/ways-out';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { carryOut, tableInstant } from '@/store/meals';
import { Button } from '@/ui/button';
import { askPlanner } from '@/workers/planner';

/** Time for each what-if: enough for a good plan, short enough to try a dozen. */
const SECONDS = 0.6;
const PATIENCE = 6;
const FIRST_SHOWN = 6;

type Search =
  | { readonly state: 'idle' }
  | { readonly state: 'trying'; readonly tried: number; readonly all: number; readonly ways: readonly WayOut[] }
  | { readonly state: 'done'; readonly ways: readonly WayOut[] };

/** Where a meal does not fit or lands late: what would help, each planned for real, each one press away. */
export function WaysOut({ meal, plan }: { readonly meal: Meal; readonly plan: Plan | null }) {
  const [search, setSearch] = useState<Search>({ state: 'idle' });
  const [shown, setShown] = useState(FIRST_SHOWN);
  const [fault, setFault] = useState<Refusal | null>(null);
  const signal = useRef({ aborted: false });
  useEffect(() => () => stop(signal), []);

  const look = async () => {
    signal.current = { aborted: false };
    const own = signal.current;
    setSearch({ state: 'trying', tried: 0, all: 0, ways: [] });
    const ways = await findWaysOut(
      meal,
      plan,
      (other) =>
        askPlanner({
          meal: other,
          seconds: SECONDS,
          patience: PATIENCE,
          // Of an idea that does not work nobody reads why.
          explain: false,
          notBefore: Math.ceil((Date.now() - tableInstant(other)) / 60_000),
        }),
      {
        minutesLeft: (tableInstant(meal) - Date.now()) / 60_000,
        onTried: (tried, all, found) => own.aborted || setSearch({ state: 'trying', tried, all, ways: found }),
        signal: own,
      },
    );
    if (!own.aborted || ways.length > 0) setSearch({ state: 'done', ways });
    else setSearch({ state: 'idle' });
  };
  const apply = async ({ change }: WayOut) => setFault(await carryOut(pantry(), meal.id, change, Date.now()));

  return (
    <div className="contents" data-testid="ways-out">
      {search.state === 'idle' && (
        <Button className="min-h-9" onClick={() => void look()}>
          {say('Look for ways out')}
        </Button>
      )}
      {search.state === 'trying' && (
        <p className="flex items-center gap-3" aria-live="polite">
          {search.all > 0
            ? say('Trying what would help: {tried} of {all}', { tried: search.tried, all: search.all })
            : say('Trying what would help…')}
          <Button look="quiet" onClick={() => stop(signal)}>
            {say('stop')}
          </Button>
        </p>
      )}
      {search.state === 'done' && search.ways.length === 0 && (
        <p>{say('None of the usual changes helps by itself. Take out a dish and choose a later hour.')}</p>
      )}
      {search.state !== 'idle' && search.ways.length > 0 && (
        <ol className="grid basis-full gap-x-8 sm:grid-cols-2" aria-label={say('Ways out, the best first')}>
          {search.ways.slice(0, shown).map((way) => (
            <li key={way.id} className="flex items-center justify-between gap-4 border-b border-line py-1.5">
              <span>
                <span className="inline-block first-letter:uppercase">{way.says}</span>
                <span className="block text-sm text-faint">
                  {say('{gains}; asks {asks}', { gains: way.gains, asks: way.asks })}
                </span>
              </span>
              <Button
                className="shrink-0"
                onClick={() => void apply(way)}
                aria-label={say('Do this: {says}', { says: way.says })}
              >
                {say('do this')}
              </Button>
            </li>
          ))}
          {search.ways.length > shown && (
            <li className="py-1.5">
              <Button look="quiet" className="px-0" onClick={() => setShown(search.ways.length)}>
                {say('{ways} more', { ways: search.ways.length - shown })}
              </Button>
            </li>
          )}
        </ol>
      )}
      {fault && (
        <p role="alert" className="mt-1 text-warn">
          {fault.sentence}
        </p>
      )}
    </div>
  );
}

function stop(signal: { readonly current: { aborted: boolean } }): void {
  signal.current.aborted = true;
}
