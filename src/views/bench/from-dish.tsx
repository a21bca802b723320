'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useSearchParams } from 'next/navigation';
import { createContext, useContext, useState } from 'react';
import type { Dish, DishGrain } from '@/core/dish/dish';
import { grainParts, withLiquidFor } from '@/core/dish/grain-of';
import { fittingVessels } from '@/core/kitchen/fits';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { loadWritten, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { Link } from '@/ui/link';
import { Say } from '@/ui/say';

/** The dish whose numbers lie on the bench. */
export interface DishAtHand {
  readonly meal: Meal;
  /** As it is written, and scaled to the meal. */
  readonly written: Dish;
  readonly grain: DishGrain;
  readonly grams: number;
  readonly litres: number;
  /** Width in cm of the snuggest pot that it fits, if one does. */
  readonly widthCm: number | undefined;
}

const DishContext = createContext<DishAtHand | null>(null);

export function useDishAtHand(): DishAtHand | null {
  return useContext(DishContext);
}

/** Gives the questions inside the dish that the address names, once it is there. */
export function FromDish({ children }: { readonly children: React.ReactNode }) {
  const search = useSearchParams();
  const [mealId, dishId] = [search.get('meal'), search.get('dish')];
  const meal = useLiveQuery(
    async () => (mealId === null ? null : ((await loadWritten(pantry(), mealId)) ?? null)),
    [mealId],
  );
  if (mealId === null || dishId === null) return children;
  if (meal === undefined) return <p className="mt-6 text-faint">{say('Laying the dish on the bench…')}</p>;
  const written = meal?.dishes.find(({ id }) => id === dishId);
  const scaled = meal && written && scaledFor(meal, written);
  const parts = scaled && grainParts(scaled);
  if (!meal || !written?.grain || !parts) {
    return (
      <>
        <p role="alert" className="mt-4 border-s-4 border-warn ps-3">
          {say('That dish is not in this browser, or its grain is not cooked in measured liquid.')}
        </p>
        {children}
      </>
    );
  }
  const need = scaled?.vessels.find(({ id }) => id === potOf(scaled))?.need;
  const widthCm = need && fittingVessels(meal.kitchen, need)[0]?.widthCm;
  return <DishContext value={{ meal, written, grain: written.grain, widthCm, ...parts }}>{children}</DishContext>;
}

/** The vessel in which it meets its liquid: that of its last step on a burner. */
function potOf(dish: Dish): string | undefined {
  return dish.steps.findLast(({ place, vessel }) => place.at === 'burner' && vessel !== undefined)?.vessel;
}

interface UseThisProps {
  readonly litres: number;
  /** Null where the school speaks of another grain, or of grain that was soaked otherwise. */
  readonly school: number | null;
  readonly spell: (litres: number) => string;
  readonly way: Pick<DishGrain, 'kind' | 'method' | 'soaked'>;
}

/** Writes an answer back into the dish, and takes it out again. */
export function UseThis({ litres, school, spell, way }: UseThisProps) {
  const dish = useDishAtHand();
  const [before, setBefore] = useState<Dish | null>(null);
  const [told, setTold] = useState('');
  if (!dish) return null;
  const { meal, written } = dish;
  const put = async (wanted: number) => {
    const changed = withLiquidFor(written, portionsOf(meal), wanted, way);
    const fault = await storeDish(pantry(), changed);
    setTold(
      fault
        ? fault.sentence
        : say('{written} now takes {litres} for {portions}.', {
            written: written.name,
            litres: spell(wanted),
            portions: portionsOf(meal),
          }),
    );
    if (!fault) setBefore(before ?? written);
  };
  const back = async () => {
    if (before) await storeDish(pantry(), before);
    setBefore(null);
    setTold(say('As it was.'));
  };
  return (
    <section aria-label={say('The dish')} className="max-w-xl border-t border-line pt-3">
      <p>
        <Say
          words="On the bench: {written} for {portions}, which takes {litres} as it is written. <b>Back to {meal}</b>"
          values={{
            written: <strong className="font-semibold">{written.name}</strong>,
            portions: portionsOf(meal),
            litres: spell(dish.litres),
            meal: meal.name,
          }}
          marks={{
            b: <Link href={`/meals/${encodeURIComponent(meal.id)}`} className="underline underline-offset-4" />,
          }}
        />
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button look="strong" onClick={() => void put(litres)}>
          {say('Use this: {litres}', { litres: spell(litres) })}
        </Button>
        {school !== null && (
          <Button onClick={() => void put(school)}>
            {say('Use the school’s: {litres}', { litres: spell(school) })}
          </Button>
        )}
        {before && (
          <Button look="quiet" onClick={() => void back()}>
            {say('take it back')}
          </Button>
        )}
      </div>
      <p role="status" className="mt-1 text-faint">
        {told}
      </p>
    </section>
  );
}
