'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { beginDraft } from '@/core/dish/draft-dish';
import type { Family } from '@/core/dish/technique';
import { TECHNIQUES } from '@/core/dish/techniques/all';
import { say } from '@/core/say/say';
import { Link } from '@/ui/link';
import { useTitle } from '@/ui/title';
import { DishEditor } from './dish-editor';

const families = (): readonly (readonly [Family, string])[] => [
  ['grain', say('Grain')],
  ['stock', say('Stock')],
  ['meat', say('Meat')],
  ['pot', say('From the pot')],
  ['pulses', say('Pulses')],
  ['pan', say('From the pan')],
  ['fish', say('Fish')],
  ['oven', say('From the oven')],
  ['bread', say('Bread')],
  ['side', say('Beside')],
];

const SERVINGS = 4;

/** A dish of one's own: first how it is cooked, then what it is of. */
export function NewDishView() {
  useTitle(say('New dish'));
  const router = useRouter();
  const search = useSearchParams();
  const mealId = search.get('meal');
  const technique = TECHNIQUES.find(({ id, partOnly }) => id === search.get('technique') && !partOnly);
  const [dishId] = useState(() => `dish-${Date.now()}`);
  if (technique) {
    return (
      <DishEditor
        key={technique.id}
        initial={beginDraft(technique, dishId, SERVINGS)}
        mealId={mealId}
        onAway={() => router.back()}
      />
    );
  }
  const meal = mealId === null ? '' : `&meal=${encodeURIComponent(mealId)}`;
  return (
    <>
      <h1 className="mt-2 text-4xl">{say('Make a dish')}</h1>
      <p className="mt-1 text-lg text-faint">{say('How is it cooked? All else follows, and can be changed.')}</p>
      <div className="mt-5 gap-x-12 lg:columns-2">
        {families().map(([family, name]) => (
          <section key={family} aria-label={name} className="mb-6 break-inside-avoid-column">
            <h2 className="text-2xl">{name}</h2>
            <ul className="mt-1 border-t border-line">
              {TECHNIQUES.filter((each) => each.family === family && !each.partOnly).map((each) => (
                <li key={each.id} className="border-b border-line">
                  <Link href={`/dishes/new?technique=${each.id}${meal}`} className="block py-2 hover:bg-soft">
                    <span className="font-semibold">{each.name}</span>
                    <span className="block text-faint">{each.says}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </>
  );
}
