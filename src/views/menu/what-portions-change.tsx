'use client';

import { X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { type Planned, portionWords, whatPeopleChange } from '@/core/plan/people';
import { say } from '@/core/say/say';
import { useMeal } from '@/views/shell/meal-frame';

/** After a change of people, appetite or leftovers: what that changes, dish by dish, with the reason. */
export function WhatPortionsChange() {
  const { meal, planned } = useMeal();
  const { plan, settling } = planned;
  /** The meal as it was last planned to the end. */
  const settled = useRef<Planned | null>(null);
  const [before, setBefore] = useState<Planned | null>(null);
  useEffect(() => {
    const last = settled.current;
    if (last && last.meal.id === meal.id && portionsOf(last.meal) !== portionsOf(meal)) {
      // Several steps of the stepper are one change: told from where it began.
      setBefore((known) => known ?? last);
    }
    // Another hour, day or kitchen is another evening: what comes of it is not the doing of the portions.
    if (last && !isSameEvening(last.meal, meal)) setBefore(null);
    if (plan && !settling && plan.people === meal.people && plan !== last?.plan) settled.current = { meal, plan };
  }, [meal, plan, settling]);

  if (
    !before ||
    before.meal.id !== meal.id ||
    !isSameEvening(before.meal, meal) ||
    portionsOf(before.meal) === portionsOf(meal)
  )
    return null;
  if (!plan || plan === before.plan) return null;
  const changes = whatPeopleChange(before, { meal, plan });
  return (
    <section
      aria-label={say('What that changes')}
      className="mt-3 mb-4 rounded-lg bg-soft px-4 py-3"
      data-testid="portions"
    >
      <div className="flex items-start justify-between gap-4">
        <h3 className="text-xl">{portionWords(before.meal, meal)}</h3>
        <button
          type="button"
          aria-label={say('Enough of what changes')}
          className="-mt-1 -me-2 grid size-10 place-items-center rounded-lg hover:bg-ground"
          onClick={() => setBefore(null)}
        >
          <X size={18} aria-hidden />
        </button>
      </div>
      {changes.length === 0 ? (
        <p>{say('Only amounts: pots, minutes and hours stay as they are.')}</p>
      ) : (
        <dl className="mt-1 grid gap-x-6 gap-y-1.5 md:grid-cols-[minmax(9rem,13rem)_1fr]">
          {changes.map(({ dish, sentences }) => (
            <div key={dish ?? 'evening'} className="contents">
              <dt className="font-semibold">{dish ?? say('The evening')}</dt>
              <dd>{sentences.join(' ')}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

/** Whether two meals differ in nothing that moves hours but the portions. */
function isSameEvening(one: Meal, other: Meal): boolean {
  return (
    one.hour === other.hour &&
    one.day === other.day &&
    one.pace === other.pace &&
    one.kitchen.id === other.kitchen.id &&
    one.sureness === other.sureness &&
    one.dishes.length === other.dishes.length
  );
}
