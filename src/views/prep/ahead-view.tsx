'use client';

import { differenceInCalendarDays, format, isSameDay, subDays } from 'date-fns';
import { useEffect, useRef, useState } from 'react';
import type { MadeAhead, Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { ofTwenty } from '@/core/plan/say-odds';
import { keptTooLong, type Offer, offersOf } from '@/core/prep/offers';
import { type AheadProposal, proposeAhead } from '@/core/prep/propose';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { capital } from '@/core/units/words';
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
    return <p className="mt-4 text-lg">{say('Nothing to make ahead yet: choose the first dish on the menu.')}</p>;
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
        <section aria-label={say('What can be made ahead')} className="min-w-0">
          <h2 className="text-2xl">{say('What can be made ahead')}</h2>
          {dishes.length === 0 && (
            <p className="text-faint">{say('Nothing of this menu gets better, or keeps, by waiting.')}</p>
          )}
          {left !== null && left < 1 && dishes.length > 0 && (
            <p className="mt-2 border-s-4 border-line ps-3">
              {say('No day is left before this meal: choose a later day on the menu to make something ahead.')}
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
  const day = (days: number) => sayDay(subDays(new Date(`${meal.day}T12:00`), days), 'short day');
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
              {offer.whole ? say('All of it') : say('Up to “{lastStep}”', { lastStep: offer.lastStep })}
              <span className="block text-sm text-faint">{sparesOf(offer)}</span>
            </Tick>
          </li>
        ))}
      </ul>
      {made && chosen && (
        <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-2 ps-9">
          <span className="flex items-center gap-2">
            <span aria-hidden>{say('on')}</span>
            <Select
              label={say('Day for {dish}', { dish: dishName })}
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
              {say('in the freezer')}
            </TickBox>
          )}
          <Button
            look="quiet"
            onClick={() => onPut(() => null)}
            aria-label={say('Make {dish} on the day', { dish: dishName })}
          >
            {say('on the day after all')}
          </Button>
          {isPast && (
            <p role="alert" className="basis-full text-warn">
              {say(
                'That day is past. If it was made then, all is well; if not, choose another day or cook it on the day.',
              )}
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
    [spares.hands, say('of hands')],
    [spares.burner, say('of burner')],
    [spares.oven, say('of oven')],
  ] as const;
  const spared = kinds
    .filter(([minutes]) => minutes > 0)
    .map(([minutes, of]) => say('{minutes} min {of}', { minutes, of }));
  const asked = kinds
    .filter(([minutes]) => minutes < 0)
    .map(([minutes, of]) => say('{minutes} min {of} more', { minutes: -minutes, of }));
  const words =
    spared.length > 0
      ? say('spares the day {spared}', { spared: spared.join(say(', ')) })
      : say('spares the day little');
  return `${words}${asked.length > 0 ? say('; asks {asked}', { asked: asked.join(say(', ')) }) : ''}${heatedAgain ? say('; heated through on the day') : ''}`;
}

function keepingOf({ keeps, cooked, litres }: Offer, { frozen }: MadeAhead): string {
  const life = frozen
    ? say('{of}: up to {freezerMonths} months at −18 °C, then a night in the fridge to thaw', {
        of: say(keeps.of),
        freezerMonths: keeps.freezerMonths ?? '',
      })
    : say('{of}: {fridgeDays, plural, one {# day} other {# days}} at 4 °C or below', {
        of: say(keeps.of),
        fridgeDays: keeps.fridgeDays,
      });
  const box = litres > 0 ? say(' A box of {litres} l with a lid.', { litres }) : say(' Covered.');
  const path = cooked
    ? say(' Cooled in a shallow dish: below 21 °C within two hours, below 5 °C within four more; grain within one.')
    : '';
  return say('{life} ({source}).{box}{path} Local rules come first.', {
    life: capital(life),
    source: say(keeps.source),
    box,
    path,
  });
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
        {say('What would help most?')}
      </Button>
    );
  }
  if (search.state === 'trying') {
    return (
      <p className="mt-2 flex items-center gap-3" aria-live="polite">
        {search.all > 0
          ? say('Trying each on the evening before: {tried} of {all}', { tried: search.tried, all: search.all })
          : say('Trying each on the evening before…')}
        <Button
          look="quiet"
          onClick={() => {
            signal.current.aborted = true;
          }}
        >
          {say('stop')}
        </Button>
      </p>
    );
  }
  if (search.found.length === 0)
    return <p className="mt-2">{say('Nothing made the evening before would spare the day anything.')}</p>;
  return (
    <ol aria-label={say('What helps most')} className="mt-2 border-t border-line">
      {search.found.map((found) => (
        <li key={found.made.dish} className="flex items-center justify-between gap-4 border-b border-line py-1.5">
          <span>
            {found.offer.whole
              ? say('{dish} the evening before', { dish: found.offer.dishName })
              : say('{dish} up to “{lastStep}” the evening before', {
                  dish: found.offer.dishName,
                  lastStep: found.offer.lastStep,
                })}
            <span className="block text-sm text-faint">{sayWorth(found, plan)}</span>
          </span>
          <Button
            onClick={() => {
              onChoose(found.made);
              setSearch({ state: 'idle' });
            }}
            aria-label={say('Do this: {dish} the evening before', { dish: found.offer.dishName })}
          >
            {say('do this')}
          </Button>
        </li>
      ))}
    </ol>
  );
}

/** What it would spare the day, and what the evening would be like. */
function sayWorth({ spares, hands, sparesHotHour, hotHour, late, good }: AheadProposal, plan: Plan): string {
  const worth = say(
    'hands on the day {hands} min instead of {handsNow}; in the last hour {hotHour} instead of {hotHourNow}',
    { hands, handsNow: hands + spares, hotHour, hotHourNow: hotHour + sparesHotHour },
  );
  const odds = good === null ? null : ofTwenty(good);
  const before = plan.odds ? ofTwenty(plan.odds.good) : odds;
  const parts = [
    worth,
    late > 0 ? say('still {span} late', { span: printSpan(late) }) : '',
    odds === null
      ? ''
      : odds === before || before === null
        ? say('lands well in {odds} of 20 evenings', { odds })
        : say('lands well in {odds} of 20 evenings instead of {before}', { odds, before }),
  ];
  return parts.filter(Boolean).join('; ');
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
    <section aria-label={say('The days before')} className="min-w-0">
      <h2 className="text-2xl">{say('The days before')}</h2>
      {days.length === 0 && <p className="text-faint">{say('Everything is done on the day itself.')}</p>}
      {days.map((day) => (
        <section key={day} className="mt-3" aria-label={sayDay(new Date(`${day}T12:00`), 'day')}>
          <h3 className="text-xl">{sayDay(new Date(`${day}T12:00`), 'day')}</h3>
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
                      {say('{minutes} min. {says}', { minutes: step.minutes, says: step.says })}
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
