'use client';

import { useMemo, useRef, useState } from 'react';
import type { Dish } from '@/core/dish/dish';
import { cardOf, search } from '@/core/dish/search';
import { withShelf } from '@/core/dish/shelf';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { Link } from '@/ui/link';

interface AddDishProps {
  readonly dishes: readonly Dish[];
  readonly chosen: readonly string[];
  readonly mealId: string;
  readonly onAdd: (dish: Dish) => void;
}

const MOST_SHOWN = 12;

/** Dishes of one's own and of the shelf, found by a word of the name or of what goes in; and the way to a new one. */
export function AddDish({ dishes, chosen, mealId, onAdd }: AddDishProps) {
  const [wish, setWish] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const cards = useMemo(() => withShelf(dishes).map(cardOf), [dishes]);
  const found = search(cards, { words: wish }).filter(({ dish }) => !chosen.includes(dish.id));
  return (
    <div className="mt-5">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <Field
          label={say('Add a dish')}
          ref={field}
          type="search"
          placeholder={say('its name, or what is in it')}
          className="w-72 max-w-full"
          value={wish}
          onChange={(event) => setWish(event.target.value)}
        />
        <Link
          href={`/dishes/new?meal=${encodeURIComponent(mealId)}`}
          className="inline-flex min-h-10 items-center underline underline-offset-4"
        >
          {say('make a new one')}
        </Link>
        <Link
          href={`/dishes/read?meal=${encodeURIComponent(mealId)}`}
          className="inline-flex min-h-10 items-center underline underline-offset-4"
        >
          {say('read a recipe')}
        </Link>
      </div>
      <ul className="mt-2 flex flex-wrap gap-2">
        {found.slice(0, MOST_SHOWN).map(({ dish }) => (
          <li key={dish.id}>
            <Button
              onClick={() => {
                onAdd(dish);
                // This button goes: the next dish is looked for where this one was.
                field.current?.focus();
              }}
            >
              + {dish.name}
            </Button>
          </li>
        ))}
      </ul>
      {found.length > MOST_SHOWN && (
        <p className="mt-2 text-faint">
          {say('{found} more; write a word of it.', { found: found.length - MOST_SHOWN })}
        </p>
      )}
      {found.length === 0 && (
        <p className="mt-2 text-faint">
          {say('No dish is called so, and none has it in it. Make a new one, or read a recipe.')}
        </p>
      )}
    </div>
  );
}
