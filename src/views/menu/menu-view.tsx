'use client';

import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { ChevronDown, X } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Refusal } from '@/core/dish/check';
import { allergensOf, unknownOf } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { aheadPoints } from '@/core/meal/ahead';
import { MOST_PEOPLE } from '@/core/meal/check';
import { eatenIn } from '@/core/meal/hand-over';
import {
  APPETITES,
  COLDEST_ROOM,
  HOTTEST_ROOM,
  type Meal,
  PACES,
  type Pace,
  portionsOf,
  roomOf,
  SURENESSES,
  type Sureness,
} from '@/core/meal/meal';
import { clockAt, type TableHour } from '@/core/plain/wall-clock';
import type { Landing } from '@/core/plan/plan';
import { say, term } from '@/core/say/say';
import { pantry } from '@/store/db';
import { rememberKitchen } from '@/store/kitchens';
import { addToMeal, changeMeal, storeDish } from '@/store/meals';
import { printSpan } from '@/ui/clock';
import { HourField } from '@/ui/hour-field';
import { KeptField } from '@/ui/kept-field';
import { Link } from '@/ui/link';
import { pigmentAt } from '@/ui/pigments';
import { Pills } from '@/ui/pills';
import { Stepper } from '@/ui/stepper';
import { useMeal } from '@/views/shell/meal-frame';
import { useDress } from '@/views/shell/shell';
import { Pots } from './pots';
import { ToHeed } from './to-heed';
import { WhatPortionsChange } from './what-portions-change';

// The shelf and all its techniques are most of what this view is made of: the plan is seen before they have come.
const WholeMenu = dynamic(() => import('./whole-menu').then((menu) => menu.WholeMenu), {
  ssr: false,
  loading: () => <div className="min-h-16" />,
});
const AddDish = dynamic(() => import('./add-dish').then((add) => add.AddDish), {
  ssr: false,
  loading: () => <div className="mt-5 min-h-56" />,
});

const paceWords = (): Readonly<Record<Pace, string>> => ({
  relaxed: say('a breath after everything'),
  steady: say('as most cooks work'),
  brisk: say('practised hands, little pause'),
});

const surenessWords = (): Readonly<Record<Sureness, string>> => ({
  sure: say('much room for what takes longer; hands begin sooner'),
  even: say('room where it helps most evenings'),
  short: say('the shortest evening, if all takes its usual minutes'),
});

/** What is chosen for a meal; every change is stored and planned at once. */
export function MenuView() {
  const { meal, planned } = useMeal();
  const [fault, setFault] = useState<Refusal | null>(null);
  const dishes = useLiveQuery(() => pantry().dishes.toArray()) ?? [];
  const change = async (what: Parameters<typeof changeMeal>[2]) =>
    setFault(await changeMeal(pantry(), meal.id, what, Date.now()));
  const chosen = meal.dishes.map((dish) => dish.id);
  const add = async (dish: Dish) => {
    // A dish of the shelf becomes the cook's own when it is first used.
    const fault = dishes.some(({ id }) => id === dish.id) ? null : await storeDish(pantry(), dish);
    setFault(fault ?? (await addToMeal(pantry(), meal.id, dish.id, Date.now())));
  };
  const addAll = async (list: readonly Dish[]) => {
    for (const dish of list) {
      const fault = dishes.some(({ id }) => id === dish.id) ? null : await storeDish(pantry(), dish);
      if (fault) return setFault(fault);
    }
    const ids = list.map(({ id }) => id);
    await change(({ dishIds }) => ({ dishIds: [...dishIds, ...ids.filter((id) => !dishIds.includes(id))] }));
  };
  return (
    <div className="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-[20rem_1fr]">
      <section aria-label={say('The table')} className="flex min-w-0 flex-col gap-5">
        <KeptField
          className="w-full"
          label={say('Name')}
          type="text"
          value={meal.name}
          onChange={(name) => change({ name })}
        />
        <div className="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] gap-4">
          <KeptField
            className="w-full"
            label={say('Day')}
            type="date"
            value={meal.day}
            onChange={(day) => change({ day })}
          />
          <HourField
            className="w-full"
            label={say('On the table at')}
            value={meal.hour}
            onChange={(hour) => change({ hour })}
          />
        </div>
        <div className="flex flex-wrap gap-x-4 gap-y-2">
          <Stepper
            label={say('People at the table')}
            value={meal.people}
            least={1}
            most={MOST_PEOPLE}
            onChange={(people) => change({ people })}
          />
          <Stepper
            label={say('Portions to be left over')}
            value={meal.leftovers ?? 0}
            least={0}
            most={MOST_PEOPLE}
            onChange={(leftovers) => change({ leftovers })}
          />
        </div>
        <div>
          <Pills
            label={say('Appetite')}
            value={meal.appetite ?? 'usual'}
            options={APPETITES.map((each) => [each, term(each)])}
            onChange={(appetite) => change({ appetite })}
          />
          {portionsOf(meal) !== meal.people && (
            <p className="mt-1 text-sm text-faint">
              {say('cooks {portions} portions as they are written', { portions: portionsOf(meal) })}
            </p>
          )}
        </div>
        <KitchenOf meal={meal} change={change} />
        <Stepper
          label={say('Warmth of the air on that day')}
          unit="°C"
          value={roomOf(meal)}
          least={COLDEST_ROOM}
          most={HOTTEST_ROOM}
          onChange={(roomCelsius) => change({ roomCelsius })}
        />
        <div>
          <Pills
            label={say('Pace')}
            value={meal.pace}
            options={PACES.map((each) => [each, term(each)])}
            onChange={(pace) => change({ pace })}
          />
          <p className="mt-1 text-sm text-faint">{paceWords()[meal.pace]}</p>
        </div>
        <div>
          <Pills
            label={say('The plan leans to')}
            value={meal.sureness ?? 'even'}
            options={SURENESSES.map((each) => [each, term(each)])}
            onChange={(sureness) => change({ sureness })}
          />
          <p className="mt-1 text-sm text-faint">{surenessWords()[meal.sureness ?? 'even']}</p>
        </div>
        {fault && (
          <p role="alert" className="border-s-4 border-warn ps-3">
            {say('{sentence} Nothing was changed.', { sentence: fault.sentence })}
          </p>
        )}
      </section>
      <section aria-label={say('Dishes')} className="min-w-0">
        <div className="flex items-baseline justify-between">
          <h2 className="text-2xl">{say('Dishes')}</h2>
          <span className="text-faint">{say('{dishes} on the menu', { dishes: meal.dishes.length })}</span>
        </div>
        <WhatPortionsChange />
        {meal.dishes.length === 0 && (
          <p className="mt-3">{say('Nothing on the menu yet. Choose the first dish below.')}</p>
        )}
        {meal.dishes.length === 0 && <WholeMenu meal={meal} own={dishes} onTake={(list) => void addAll(list)} />}
        <ul className="mt-2 border-t border-line">
          {meal.dishes.map((dish, index) => (
            <DishRow
              key={dish.id}
              dish={dish}
              mealId={meal.id}
              index={index}
              landing={planned.plan?.landings.find((landing) => landing.dishId === dish.id)}
              hands={handsMinutes(
                planned.plan?.steps.filter((step) => step.dishId === dish.id && step.attention === 'hands'),
              )}
              onRemove={() => change(({ dishIds }) => ({ dishIds: dishIds.filter((id) => id !== dish.id) }))}
            />
          ))}
        </ul>
        <Pots />
        <ToHeed />
        {meal.dishes.length > 0 && <WholeMenu meal={meal} own={dishes} onTake={(list) => void addAll(list)} />}
        <AddDish dishes={dishes} chosen={chosen} mealId={meal.id} onAdd={(dish) => void add(dish)} />
      </section>
    </div>
  );
}

function handsMinutes(steps: readonly { start: number; end: number }[] | undefined): number {
  return (steps ?? []).reduce((sum, step) => sum + step.end - step.start, 0);
}

interface DishRowProps {
  readonly dish: Dish;
  readonly mealId: string;
  readonly index: number;
  readonly landing: Landing | undefined;
  readonly hands: number;
  readonly onRemove: () => void;
}

function DishRow({ dish, mealId, index, landing, hands, onRemove }: DishRowProps) {
  const dress = useDress();
  const { meal } = useMeal();
  const eaten = eatenIn(meal.dishes, dish);
  const allergens = allergensOf(eaten);
  const unknown = unknownOf(eaten);
  return (
    <li className="grid grid-cols-[auto_1fr_auto] items-start gap-x-3 border-b border-line py-2.5">
      <span aria-hidden className="mt-1.5 size-3.5 rounded-full" style={{ background: pigmentAt(index)[dress] }} />
      <div>
        <p className="text-lg font-semibold">
          <Link href={`/dishes/${encodeURIComponent(dish.id)}`} className="hover:underline">
            {dish.name}
          </Link>
        </p>
        <p className="text-faint">
          {landing
            ? landingWords(landing, meal)
            : dish.lands
              ? say('not planned yet')
              : say('a part for the other dishes')}
          {hands > 0 && say(' · {span} of hands', { span: printSpan(hands) })}
          {allergens.length > 0 && say(' · contains {allergens}', { allergens: allergens.map(term).join(say(', ')) })}
          {unknown.length > 0 && (
            <span className="text-warn">
              {say(' · not known: ')}
              <Link href={`/dishes/${encodeURIComponent(dish.id)}`} className="underline underline-offset-4">
                {unknown.join(say(', '))}
              </Link>
            </span>
          )}
          <DayBefore dish={dish} />
          {dish.grain && (
            <>
              {' · '}
              <Link
                href={`/bench?meal=${encodeURIComponent(mealId)}&dish=${encodeURIComponent(dish.id)}`}
                className="underline underline-offset-4"
                aria-label={say('{dish} on the bench', { dish: dish.name })}
              >
                {say('on the bench')}
              </Link>
            </>
          )}
        </p>
      </div>
      <button
        type="button"
        aria-label={say('Take out {dish}', { dish: dish.name })}
        className="grid size-10 place-items-center rounded-lg hover:bg-soft"
        onClick={onRemove}
      >
        <X size={18} aria-hidden />
      </button>
    </li>
  );
}

/** Whether a dish is made ahead, and the way to say so, where it can be. */
function DayBefore({ dish }: { readonly dish: Dish }) {
  const { meal, written } = useMeal();
  const made = meal.ahead?.find((each) => each.dish === dish.id);
  const own = written.dishes.find(({ id }) => id === dish.id);
  if (!made && (!own || aheadPoints(own).length === 0)) return null;
  const words = made
    ? made.days === 1
      ? say('made the day before')
      : say('made {days} days before', { days: made.days })
    : say('on the day before?');
  return (
    <>
      {' · '}
      <Link
        href={`/meals/${encodeURIComponent(meal.id)}/prep/ahead`}
        className="underline underline-offset-4"
        aria-label={say('{name}: {words}', { name: dish.name, words })}
      >
        {words}
      </Link>
    </>
  );
}

function landingWords(landing: Landing, table: TableHour): string {
  const ready = clockAt(table, landing.ready);
  if (landing.late > 0) return say('ready at {ready}, {span} late', { ready, span: printSpan(landing.late) });
  const judged = { well: '', long: say(', rather long'), 'too long': say(', too long'), late: '' }[landing.fine];
  return landing.waits === 0
    ? say('ready at {ready}, straight to the table', { ready })
    : say('ready at {ready}, waits {span}{judged}', { ready, span: printSpan(landing.waits), judged });
}

interface KitchenOfProps {
  readonly meal: Meal;
  readonly change: (what: Parameters<typeof changeMeal>[2]) => Promise<void>;
}

/** Where the meal is cooked. */
function KitchenOf({ meal, change }: KitchenOfProps) {
  const kitchens = useLiveQuery(() => pantry().kitchens.toArray()) ?? [];
  return (
    <div>
      <span className="block text-sm text-faint">{say('Kitchen')}</span>
      <div className="flex items-center gap-3">
        <Listbox
          value={meal.kitchen.id}
          onChange={(kitchenId: string) => {
            void change({ kitchenId });
            void rememberKitchen(pantry(), kitchenId);
          }}
        >
          <ListboxButton className="inline-flex min-h-10 items-center gap-2 rounded-lg border border-line bg-paper px-3">
            {meal.kitchen.name} <ChevronDown size={16} aria-hidden />
          </ListboxButton>
          <ListboxOptions anchor="bottom start" className="z-10 rounded-lg border border-line bg-paper p-1 shadow-lg">
            {kitchens.map((kitchen) => (
              <ListboxOption
                key={kitchen.id}
                value={kitchen.id}
                className="min-h-10 cursor-pointer rounded px-3 py-2 data-focus:bg-soft"
              >
                {kitchen.name}
              </ListboxOption>
            ))}
          </ListboxOptions>
        </Listbox>
        <Link href={`/kitchens/${encodeURIComponent(meal.kitchen.id)}`} className="underline underline-offset-4">
          {say('look inside')}
        </Link>
      </div>
    </div>
  );
}
