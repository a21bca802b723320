'use client';

import { differenceInCalendarDays, format, isSameDay, subDays } from 'date-fns';
import { useEffect, useRef, useState } from 'react';
import type { MadeAhead, Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { ofTwenty } from '@/core/plan/say-odds';
import { keptTooLong, type Offer, offersOf } from '@/core/prep/offers';
import { type AheadProposal, proposeAhead } from '@/core/prep/propose';
import { pantry } from '@/store/db';
import { changeMeal, tableInstant } from '@/store/meals';
import { Button } from '@/ui/button';
import { printSpan, useNow } from '@/ui/clock';
import { Select } from '@/ui/select';
import { TickBox } from '@/ui/tick-box';
import { useMeal } from '@/views/shell/meal-frame';
import { askPlanner } from '@/workers/planner';
import { Tick, useTicks } from './ticks';
import { Tonight } from './tonight';

/** What is made on an earlier day, what that spares, and the days themselves. */
export function AheadView() {
  const { meal, written, planned } = useMeal();
  const [fault, setFault] = useState('');
  const now = useNow(60_000);
  const { plan } = planned;
  const offers = offersOf(written);
  const put = async (dish: string, change: Change) => {
    const refusal = await changeMeal(
      pantry(),
      meal.id,
      ({ ahead = [] }) => {
        const made = change(ahead.find((each) => each.dish === dish));
        const others = ahead.filter((each) => each.dish !== dish);
        return { ahead: made ? [...others, made] : others };
      },
      Date.now(),
    );
    setFault(refusal?.sentence ?? '');
  };
  if (meal.dishes.length === 0)
    return <p className="mt-4 text-lg">Nothing to make ahead yet: choose the first dish on the menu.</p>;
  const left = now === null ? null : differenceInCalendarDays(new Date(`${meal.day}T12:00`), now);
  const dishes = [...new Set(offers.map(({ dishId }) => dishId))];
  return (
    <div>
      {plan && <Tonight meal={meal} plan={plan} />}
      {fault && (
        <p role="alert" className="text-warn">
          {fault}
        </p>
      )}
      <div className="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <section aria-label="What can be made ahead" className="min-w-0">
          <h2 className="text-2xl">What can be made ahead</h2>
          {dishes.length === 0 && <p className="text-faint">Nothing of this menu gets better, or keeps, by waiting.</p>}
          {left !== null && left < 1 && dishes.length > 0 && (
            <p className="mt-2 border-s-4 border-line ps-3">
              No day is left before this meal: choose a later day on the menu to make something ahead.
            </p>
          )}
          {plan && dishes.length > 0 && left !== null && left >= 1 && (
            <Propose written={written} plan={plan} onChoose={(made) => void put(made.dish, () => made)} />
          )}
          <ul className="mt-3 border-t border-line">
            {dishes.map((id) => (
              <DishAhead
                key={id}
                offers={offers.filter(({ dishId }) => dishId === id)}
                made={meal.ahead?.find(({ dish }) => dish === id)}
                left={left}
                onPut={(change) => void put(id, change)}
              />
            ))}
          </ul>
        </section>
        {plan && <Days plan={plan} />}
      </div>
    </div>
  );
}

/** What is made ahead of a dish, from what was until now; null for nothing. */
type Change = (was: MadeAhead | undefined) => MadeAhead | null;

interface DishAheadProps {
  readonly offers: readonly Offer[];
  readonly made: MadeAhead | undefined;
  /** Days that are left before the table's; null before the clock is read. */
  readonly left: number | null;
  readonly onPut: (change: Change) => void;
}

function DishAhead({ offers, made, left, onPut }: DishAheadProps) {
  const { meal } = useMeal();
  const chosen = offers.find(({ upTo }) => upTo === made?.upTo);
  const shown = chosen ?? offers[0]!;
  const { dishId, dishName, keeps } = shown;
  const tooLong = made && chosen ? keptTooLong(chosen, made) : null;
  // Days that are past are not offered; what was chosen before stands there until another day is.
  const days = Array.from({ length: shown.mostDays }, (_, k) => k + 1).filter(
    (each) => left === null || each <= left || each === made?.days,
  );
  const isPast = made !== undefined && left !== null && made.days > left;
  const day = (days: number) => format(subDays(new Date(`${meal.day}T12:00`), days), 'EEEE d MMM');
  return (
    <li className="border-b border-line py-3">
      <p className="text-lg font-semibold">{dishName}</p>
      <ul>
        {(left !== null && left < 1 && !made ? [] : offers).map((offer) => (
          <li key={offer.upTo}>
            <Tick
              radio={`ahead ${dishId}`}
              checked={offer === chosen}
              onChange={() =>
                onPut((was) => ({ dish: dishId, upTo: offer.upTo, days: Math.min(was?.days ?? 1, offer.mostDays) }))
              }
            >
              {offer.whole ? 'All of it' : `Up to “${offer.lastStep}”`}
              <span className="block text-sm text-faint">{sparesOf(offer)}</span>
            </Tick>
          </li>
        ))}
      </ul>
      {made && chosen && (
        <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-2 ps-9">
          <span className="flex items-center gap-2">
            <span aria-hidden>on</span>
            <Select
              label={`Day for ${dishName}`}
              hideLabel
              value={made.days}
              options={days.map((each) => [each, day(each)] as const)}
              onChange={(days) => onPut((was = made) => ({ ...was, days }))}
            />
          </span>
          {keeps.freezerMonths !== null && (
            <TickBox
              value={made.frozen === true}
              onChange={(on) =>
                onPut((was = made) => {
                  const { frozen: _, ...rest } = was;
                  return on ? { ...rest, frozen: true } : rest;
                })
              }
            >
              in the freezer
            </TickBox>
          )}
          <Button look="quiet" onClick={() => onPut(() => null)} aria-label={`Make ${dishName} on the day`}>
            on the day after all
          </Button>
          {isPast && (
            <p role="alert" className="basis-full text-warn">
              That day is past. If it was made then, all is well; if not, choose another day or cook it on the day.
            </p>
          )}
          {tooLong && (
            <p role="alert" className="basis-full text-warn">
              {tooLong}
            </p>
          )}
          <p className="basis-full text-sm text-faint">{keepingOf(chosen, made)}</p>
        </div>
      )}
    </li>
  );
}

function sparesOf({ spares, heatedAgain }: Offer): string {
  const kinds = [
    [spares.hands, 'of hands'],
    [spares.burner, 'of burner'],
    [spares.oven, 'of oven'],
  ] as const;
  const spared = kinds.filter(([minutes]) => minutes > 0).map(([minutes, of]) => `${minutes} min ${of}`);
  const asked = kinds.filter(([minutes]) => minutes < 0).map(([minutes, of]) => `${-minutes} min ${of} more`);
  const words = `spares the day ${spared.length > 0 ? spared.join(', ') : 'little'}`;
  return `${words}${asked.length > 0 ? `; asks ${asked.join(', ')}` : ''}${heatedAgain ? '; heated through on the day' : ''}`;
}

function keepingOf({ keeps, cooked, litres }: Offer, { frozen }: MadeAhead): string {
  const life = frozen
    ? `${keeps.of}: up to ${keeps.freezerMonths} months at −18 °C, then a night in the fridge to thaw`
    : `${keeps.of}: ${keeps.fridgeDays} ${keeps.fridgeDays === 1 ? 'day' : 'days'} at 4 °C or below`;
  const box = litres > 0 ? ` A box of ${litres} l with a lid.` : ' Covered.';
  const path = cooked
    ? ' Cooled in a shallow dish: below 21 °C within two hours, below 5 °C within four more; grain within one.'
    : '';
  return `${life.charAt(0).toUpperCase()}${life.slice(1)} (${keeps.source}).${box}${path} Local rules come first.`;
}

type Search =
  | { readonly state: 'idle' }
  | { readonly state: 'trying'; readonly tried: number; readonly all: number }
  | { readonly state: 'done'; readonly found: readonly AheadProposal[] };

interface ProposeProps {
  readonly written: Meal;
  readonly plan: Plan;
  readonly onChoose: (made: MadeAhead) => void;
}

/** Each dish tried on the evening before, planned for real. */
function Propose({ written, plan, onChoose }: ProposeProps) {
  const [search, setSearch] = useState<Search>({ state: 'idle' });
  const signal = useRef({ aborted: false });
  useEffect(
    () => () => {
      signal.current.aborted = true;
    },
    [],
  );
  const look = async () => {
    signal.current = { aborted: false };
    const own = signal.current;
    setSearch({ state: 'trying', tried: 0, all: 0 });
    const notBefore = Math.ceil((Date.now() - tableInstant(written)) / 60_000);
    const found = await proposeAhead(
      written,
      plan,
      (meal) => askPlanner({ meal, seconds: 0.8, patience: 8, explain: false, notBefore }),
      { signal: own, onTried: (tried, all) => own.aborted || setSearch({ state: 'trying', tried, all }) },
    );
    setSearch({ state: 'done', found });
  };
  if (search.state === 'idle') {
    return (
      <Button className="mt-2" onClick={() => void look()}>
        What would help most?
      </Button>
    );
  }
  if (search.state === 'trying') {
    return (
      <p className="mt-2 flex items-center gap-3" aria-live="polite">
        Trying each on the evening before{search.all > 0 ? `: ${search.tried} of ${search.all}` : '…'}
        <Button
          look="quiet"
          onClick={() => {
            signal.current.aborted = true;
          }}
        >
          stop
        </Button>
      </p>
    );
  }
  if (search.found.length === 0)
    return <p className="mt-2">Nothing made the evening before would spare the day anything.</p>;
  return (
    <ol aria-label="What helps most" className="mt-2 border-t border-line">
      {search.found.map(({ offer, made, spares, hands, sparesHotHour, hotHour, late, good }) => (
        <li key={made.dish} className="flex items-center justify-between gap-4 border-b border-line py-1.5">
          <span>
            {offer.dishName} {offer.whole ? '' : `up to “${offer.lastStep}” `}the evening before
            <span className="block text-sm text-faint">
              hands on the day {hands} min instead of {hands + spares}; in the last hour {hotHour} instead of{' '}
              {hotHour + sparesHotHour}
              {late > 0 ? `; still ${printSpan(late)} late` : ''}
              {good !== null && `; lands well in ${ofTwenty(good)} of 20 evenings`}
              {plan.odds &&
                good !== null &&
                ofTwenty(good) !== ofTwenty(plan.odds.good) &&
                ` instead of ${ofTwenty(plan.odds.good)}`}
            </span>
          </span>
          <Button
            onClick={() => {
              onChoose(made);
              setSearch({ state: 'idle' });
            }}
            aria-label={`Do this: ${offer.dishName} the evening before`}
          >
            do this
          </Button>
        </li>
      ))}
    </ol>
  );
}

const MINUTE = 60_000;

/** The days before the table's, each with what is done on it. */
function Days({ plan }: { readonly plan: Plan }) {
  const { meal } = useMeal();
  const { stateOf, put } = useTicks(meal.id);
  const table = tableInstant(meal);
  const early = plan.steps.filter(({ start, ahead }) => ahead || !isSameDay(table + start * MINUTE, table));
  const days = [...new Set(early.map(({ start }) => format(table + start * MINUTE, 'yyyy-MM-dd')))];
  return (
    <section aria-label="The days before" className="min-w-0">
      <h2 className="text-2xl">The days before</h2>
      {days.length === 0 && <p className="text-faint">Everything is done on the day itself.</p>}
      {days.map((day) => (
        <section key={day} className="mt-3" aria-label={format(new Date(`${day}T12:00`), 'EEEE d MMMM')}>
          <h3 className="text-xl">{format(new Date(`${day}T12:00`), 'EEEE d MMMM')}</h3>
          <ul className="border-t border-line">
            {early
              .filter(({ start }) => format(table + start * MINUTE, 'yyyy-MM-dd') === day)
              .map((step) => (
                <li key={step.key} className="border-b border-line">
                  <Tick
                    checked={stateOf(`step ${step.key}`) === 'laid out'}
                    onChange={(checked) => put(`step ${step.key}`, checked ? 'laid out' : undefined)}
                  >
                    <span className="text-lg">
                      <span className="font-semibold tabular-nums">{format(table + step.start * MINUTE, 'HH:mm')}</span>{' '}
                      {step.name}, {step.dishName}
                    </span>
                    <span className="block text-sm text-faint">
                      {step.minutes} min. {step.says}
                    </span>
                    {step.cautions.map((caution) => (
                      <span key={caution} className="block text-sm text-warn">
                        {caution}
                      </span>
                    ))}
                  </Tick>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </section>
  );
}
