'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { askedAbout } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { draftOf } from '@/core/dish/draft-dish';
import { withSaidFood } from '@/core/dish/said-foods';
import { SHELF } from '@/core/dish/shelf';
import { say } from '@/core/say/say';
import { printThing } from '@/core/units/thing';
import { pantry } from '@/store/db';
import { sayFood } from '@/store/foods';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';
import { DishEditor } from './dish-editor';
import { Holds } from './holds';
import { ByHand } from './step-editor';
import { Steps } from './steps';
import { Strip } from './strip';
import { WhatIsIt } from './what-is-it';

/** One dish: to be changed where it was made by a technique, to be read where it was written by hand. */
export function DishView({ id }: { readonly id: string }) {
  const router = useRouter();
  const [byHand, setByHand] = useState(false);
  const stored = useLiveQuery(async () => (await pantry().dishes.get(id)) ?? null, [id]);
  const dish = stored ?? SHELF.find((each) => each.id === id);
  useTitle(dish?.name ?? 'Dish');
  if (stored === undefined) return <p className="mt-10 text-faint">{say('Opening the dish…')}</p>;
  if (!dish) return <p className="mt-10">{say('There is no such dish in this browser.')}</p>;
  if (byHand) return <ByHand dish={dish} onDone={() => setByHand(false)} />;
  const draft = draftOf(dish);
  if (draft) {
    return (
      <DishEditor
        key={id}
        initial={draft}
        mealId={null}
        onAway={() => router.back()}
        onByHand={() => setByHand(true)}
      />
    );
  }
  return <Written dish={dish} onAway={() => router.back()} onByHand={() => setByHand(true)} />;
}

interface WrittenProps {
  readonly dish: Dish;
  readonly onAway: () => void;
  readonly onByHand: () => void;
}

function Written({ dish, onAway, onByHand }: WrittenProps) {
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{dish.name}</h1>
        <span className="flex gap-2">
          <Button onClick={onAway}>{say('Back')}</Button>
          <Button look="strong" onClick={onByHand}>
            {say('Change it')}
          </Button>
        </span>
      </div>
      {dish.note && <p className="mt-1 text-lg text-faint">{dish.note}</p>}
      <div className="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <section aria-label={say('What goes in')}>
          <h2 className="text-2xl">{say('What goes in, for {servings}', { servings: dish.servings })}</h2>
          <ul className="mt-1 border-t border-line">
            {dish.ingredients.map((item) => (
              <li key={item.id} className="border-b border-line py-1.5">
                {printThing(item.amount, item.name)}
                {item.cut && <span className="text-faint">, {item.cut}</span>}
              </li>
            ))}
          </ul>
          <Holds dish={dish} />
        </section>
        <div className="grid min-w-0 content-start gap-6">
          <WhatIsIt
            asked={askedAbout(dish)}
            onSay={(item, food) => {
              void sayFood(pantry(), item.name, food);
              void storeDish(pantry(), withSaidFood(dish, item.id, food));
            }}
          />
          <Strip dish={dish} />
          <OntoMenu dish={dish} />
          <Steps dish={dish} />
        </div>
      </div>
    </>
  );
}

/** Puts the dish onto a menu, and shows the way to its score there. */
function OntoMenu({ dish }: { readonly dish: Dish }) {
  const meals = useLiveQuery(() => pantry().meals.toArray(), []) ?? [];
  const [told, setTold] = useState('');
  const add = async (mealId: string) => {
    const refusal = (await storeDish(pantry(), dish)) ?? (await addToMeal(pantry(), mealId, dish.id, Date.now()));
    setTold(refusal?.sentence ?? '');
  };
  return (
    <section aria-label={say('In a meal')}>
      <h2 className="text-2xl">{say('In a meal')}</h2>
      <ul className="mt-1 border-t border-line">
        {meals.map((meal) => (
          <li key={meal.id} className="flex items-center justify-between gap-4 border-b border-line py-1">
            {meal.name}
            {meal.dishIds.includes(dish.id) ? (
              <Link
                href={`/meals/${encodeURIComponent(meal.id)}/score`}
                className="inline-flex min-h-10 items-center underline underline-offset-4"
              >
                {say('see it in the score')}
              </Link>
            ) : (
              <Button
                look="quiet"
                aria-label={say('Onto the menu of {meal}', { meal: meal.name })}
                onClick={() => void add(meal.id)}
              >
                {say('onto its menu')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {told && <p role="alert">{told}</p>}
    </section>
  );
}
