'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { copyOf } from '@/core/dish/by-hand';
import { cautionsAt } from '@/core/dish/cautions';
import { askedAbout } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { draftOf } from '@/core/dish/draft-dish';
import { withSaidFood } from '@/core/dish/said-foods';
import { SHELF } from '@/core/dish/shelf';
import { dishFile, recipeJsonLd } from '@/core/formats/dish-file';
import { printAmount } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { sayFood } from '@/store/foods';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { Download } from '@/ui/download';
import { ByHand } from './by-hand';
import { DishEditor } from './dish-editor';
import { Holds } from './holds';
import { Strip } from './strip';
import { WhatIsIt } from './what-is-it';

/** One dish: to be changed where it was made by a technique, to be read where it was written by hand. */
export function DishView({ id }: { readonly id: string }) {
  const router = useRouter();
  const [byHand, setByHand] = useState(false);
  const stored = useLiveQuery(async () => (await pantry().dishes.get(id)) ?? null, [id]);
  if (stored === undefined) return <p className="mt-10 text-faint">Opening the dish…</p>;
  const dish = stored ?? SHELF.find((each) => each.id === id);
  if (!dish) return <p className="mt-10">There is no such dish in this browser.</p>;
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
          <Button onClick={onAway}>Back</Button>
          <Button look="strong" onClick={onByHand}>
            Change it
          </Button>
        </span>
      </div>
      {dish.note && <p className="mt-1 text-lg text-faint">{dish.note}</p>}
      <div className="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <section aria-label="What goes in">
          <h2 className="text-2xl">What goes in, for {dish.servings}</h2>
          <ul className="mt-1 border-t border-line">
            {dish.ingredients.map((item) => (
              <li key={item.id} className="border-b border-line py-1.5">
                {printAmount(item.amount)} {item.name}
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

/** A copy to be changed without touching the first. */
function CopyIt({ dish }: { readonly dish: Dish }) {
  const router = useRouter();
  const copy = async () => {
    const other = copyOf(dish, `copy-${Date.now()}`);
    if (!(await storeDish(pantry(), other))) router.push(`/dishes/${encodeURIComponent(other.id)}`);
  };
  return (
    <button
      type="button"
      className="inline-flex min-h-10 items-center underline underline-offset-4"
      onClick={() => void copy()}
    >
      make a copy
    </button>
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
    <section aria-label="In a meal">
      <h2 className="text-2xl">In a meal</h2>
      <ul className="mt-1 border-t border-line">
        {meals.map((meal) => (
          <li key={meal.id} className="flex items-center justify-between gap-4 border-b border-line py-1">
            {meal.name}
            {meal.dishIds.includes(dish.id) ? (
              <Link
                href={`/meals/${encodeURIComponent(meal.id)}/score`}
                className="inline-flex min-h-10 items-center underline underline-offset-4"
              >
                see it in the score
              </Link>
            ) : (
              <Button look="quiet" aria-label={`Onto the menu of ${meal.name}`} onClick={() => void add(meal.id)}>
                onto its menu
              </Button>
            )}
          </li>
        ))}
      </ul>
      {told && <p role="alert">{told}</p>}
    </section>
  );
}

/** The steps in full, each with its sign of being done and its cautions. */
export function Steps({ dish }: { readonly dish: Dish }) {
  return (
    <section aria-label="The steps">
      <h2 className="text-2xl">The steps</h2>
      <p className="flex flex-wrap gap-x-5">
        <Download name={`${dish.id}.dish.json`} text={() => JSON.stringify(dishFile(dish), null, 2)}>
          save as a dish file
        </Download>
        <CopyIt dish={dish} />
        <Download name={`${dish.id}.jsonld`} text={() => JSON.stringify(recipeJsonLd(dish), null, 2)}>
          save as recipe data
        </Download>
      </p>
      <ol className="mt-1 border-t border-line">
        {dish.steps.map((step) => (
          <li key={step.id} className="border-b border-line py-2">
            <span className="font-semibold first-letter:uppercase">{step.name}</span>{' '}
            <span className="text-faint">
              {step.minutes.shortest === step.minutes.longest
                ? `${step.minutes.likely} min`
                : `${step.minutes.shortest} to ${step.minutes.longest} min`}
            </span>
            <span className="block">{step.says}</span>
            {step.doneWhen && <span className="block text-faint">Done when {step.doneWhen}.</span>}
            {cautionsAt(dish, step).map((caution) => (
              <span key={caution} className="mt-1 block border-l-3 border-warn pl-2 text-warn">
                {caution}
              </span>
            ))}
          </li>
        ))}
      </ol>
    </section>
  );
}
