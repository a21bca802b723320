'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import type { Evening } from '@/core/live/evening';
import { eatersOf, standingEvents } from '@/core/live/events';
import { tableInstant } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { pantry, type StoredMeal } from '@/store/db';
import { Button } from '@/ui/button';
import { printAway, useNow } from '@/ui/clock';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';
import { Questions } from '@/views/kitchen/questions';
import { Kitchens } from './kitchens';

// The cards are seen before what is seldom wanted, or only while an evening is under way, has come.
const AtTheStove = dynamic(() => import('./at-the-stove').then((stove) => stove.AtTheStove), { ssr: false });
const Files = dynamic(() => import('@/views/files/files').then((files) => files.Files), {
  ssr: false,
  loading: () => <div className="min-h-64" />,
});

/** All meals: each with its hour, its state, and what comes next. */
export function MealsView() {
  useTitle('Meals');
  const router = useRouter();
  const now = useNow(15_000);
  const meals = useLiveQuery(() => pantry().meals.orderBy('day').toArray());
  const plans = useLiveQuery(() => pantry().plans.toArray());
  const sessions = useLiveQuery(() => pantry().sessions.toArray());
  const kitchens = useLiveQuery(() => pantry().kitchens.toArray());
  if (!meals || !plans || !sessions || !kitchens || now === null)
    return <p className="mt-10 text-faint">{say('Opening…')}</p>;
  const create = async () => {
    const { createMeal } = await import('@/store/meals');
    const made = await createMeal(pantry(), new Date());
    router.push(made === null ? '/kitchens/new?for=meal' : `/meals/${encodeURIComponent(made)}`);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{say('Meals')}</h1>
        <Button onClick={create}>{say('New meal')}</Button>
      </div>
      {meals.length === 0 && <Beginning hasKitchen={kitchens.length > 0} onBegin={() => void create()} />}
      <ul className="mt-6 grid gap-4 lg:grid-cols-3">
        {meals.map((meal) => {
          const session = sessions.find((each) => each.mealId === meal.id && !each.over);
          const plan = plans.find((each) => each.mealId === meal.id)?.plan;
          const kitchen = kitchens.find((each) => each.id === meal.kitchenId);
          return (
            <MealCard
              key={meal.id}
              meal={meal}
              plan={plan}
              session={session}
              kitchen={kitchen?.name ?? say('no kitchen')}
              now={now}
            />
          );
        })}
      </ul>
      {kitchens.length > 0 && <Kitchens kitchens={kitchens} />}
      <Files />
    </>
  );
}

/** The first page of a browser that holds no meal yet. */
function Beginning({ hasKitchen, onBegin }: { readonly hasKitchen: boolean; readonly onBegin: () => void }) {
  return (
    <div className="mt-6">
      <p className="max-w-prose text-lg">
        {hasKitchen
          ? say(
              'Nothing is planned yet. Begin a meal of your own, or load the four sample meals to see how an evening looks.',
            )
          : say(
              'Nothing is planned yet. Say what your kitchen has and begin, or load the four sample meals to see how an evening looks.',
            )}
      </p>
      {!hasKitchen && (
        <section aria-label={say('Your kitchen')} className="mt-5">
          <h2 className="mb-3 text-2xl">{say('Your kitchen')}</h2>
          <Questions onMade={onBegin} />
        </section>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        {hasKitchen && (
          <Button look="strong" onClick={onBegin}>
            {say('Begin a meal')}
          </Button>
        )}
        <Button onClick={loadAnew}>{say('Load the sample meals')}</Button>
      </div>
    </div>
  );
}

interface CardProps {
  readonly meal: StoredMeal;
  readonly plan: Plan | undefined;
  readonly session: Evening | undefined;
  readonly kitchen: string;
  readonly now: number;
}

function MealCard({ meal, plan, session, kitchen, now }: CardProps) {
  // At the stove the hour is the one agreed there, and so are those who eat.
  const table = session?.tableAt ?? tableInstant(meal);
  const people = session ? eatersOf(session.meal, standingEvents(session.events)) : meal.people;
  const base = `/meals/${encodeURIComponent(meal.id)}`;
  return (
    <li className="flex flex-col border-t-3 border-ink bg-paper p-5">
      <p className="text-faint">
        {sayDay(table, 'day')} <span className="float-right">{printAway(now, table)}</span>
      </p>
      <h2 className="mt-1 text-2xl">
        <Link href={base} className="hover:underline">
          {meal.name}
        </Link>
      </h2>
      <p className="mt-1 text-4xl font-semibold">{format(table, 'HH:mm')}</p>
      <p className="mt-2 text-faint">
        {say('{people} at the table · {dishes} dishes · {kitchen}', { people, dishes: meal.dishIds.length, kitchen })}
      </p>
      <p className="mt-4 min-h-12 flex-1">
        {session ? <AtTheStove session={session} now={now} /> : comesNext(meal, plan, now)}
      </p>
      <p className="mt-3 flex flex-wrap gap-x-4">
        {[
          [say('Menu'), base],
          [say('Score'), `${base}/score`],
          [session ? say('Back to the stove') : say('Cook'), `${base}/cook`],
        ].map(([name, href]) => (
          <Link key={name} href={href!} className="min-h-10 py-2 underline underline-offset-4">
            {name}
          </Link>
        ))}
      </p>
    </li>
  );
}

function comesNext(meal: StoredMeal, plan: Plan | undefined, now: number): string {
  const table = tableInstant(meal);
  if (table < now) return say('Its hour has gone by. Choose another day to cook it again.');
  if (meal.dishIds.length === 0) return say('No dishes yet: open the menu and choose some.');
  const first = plan?.steps[0];
  if (!plan || !first) return say('Not planned yet: open it, and the plan is made.');
  const at = table + first.start * 60_000;
  return say('Planned. First: {first}, {dish}, {hour} at {clock}.', {
    first: first.name,
    dish: first.dishName,
    hour: sayDay(at, 'weekday'),
    clock: format(at, 'HH:mm'),
  });
}

async function loadAnew(): Promise<void> {
  const { loadSamples } = await import('@/store/samples');
  await loadSamples(pantry(), new Date(), { anew: true });
}
