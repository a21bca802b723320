'use client';

import { X } from 'lucide-react';
import type { RecipeReading } from '@/core/recipe/reading';
import { say } from '@/core/say/say';
import { Field } from '@/ui/field';
import { Select } from '@/ui/select';
import { AmountField } from './amount-field';

type ReadIngredient = RecipeReading['ingredients'][number];

interface IngredientRowsProps {
  readonly reading: RecipeReading;
  readonly onSet: (id: string, by: (now: ReadIngredient) => Partial<ReadIngredient>) => void;
  readonly onTie: (step: string, id: string) => void;
  readonly onTakeOut: (id: string) => void;
  readonly onLook: (words: string | null) => void;
}

/** What goes in, as it was read; a guess says that it is, and what no step names asks where it goes. */
export function IngredientRows({ reading, onSet, onTie, onTakeOut, onLook }: IngredientRowsProps) {
  const used = new Set(reading.steps.flatMap(({ uses }) => uses));
  const steps = reading.steps.map(
    ({ id, words }, k) => [id as string | null, `${k + 1} ${words.slice(0, 40)}`] as const,
  );
  return (
    <ul className="mt-1 border-t border-line">
      {reading.ingredients.map((each, k) => (
        <li
          key={each.id}
          id={`read-${each.id}`}
          className="border-b border-line py-1"
          onFocus={() => onLook(each.words)}
        >
          <span className="flex flex-wrap items-center gap-1.5 sm:flex-nowrap sm:gap-2">
            <AmountField
              name={each.name}
              amount={each.amount}
              onChange={(by) => onSet(each.id, ({ amount }) => ({ amount: by(amount) }))}
            />
            <Field
              label={say('Ingredient {k}', { k: k + 1 })}
              hideLabel
              type="text"
              value={each.name}
              maxLength={120}
              className="order-first w-full sm:order-none sm:w-auto sm:flex-1"
              onChange={(event) => {
                const name = event.target.value;
                onSet(each.id, () => ({ name }));
              }}
            />
            <button
              type="button"
              aria-label={say('{each} does not go in', { each: each.name })}
              className="grid size-10 shrink-0 place-items-center text-faint hover:text-ink"
              onClick={() => onTakeOut(each.id)}
            >
              <X aria-hidden size={18} />
            </button>
          </span>
          {!each.sure && (
            <span className="block text-sm text-warn">{say('a guess, from “{each}”', { each: each.words })}</span>
          )}
          {!used.has(each.id) && steps.length > 0 && (
            <span className="flex flex-wrap items-center gap-2 text-sm text-warn">
              {say('no step names it:')}
              <Select
                label={say('Where {each} goes in', { each: each.name })}
                hideLabel
                value={null}
                options={[[null, say('into the first step')], ...steps]}
                onChange={(step) => step && onTie(step, each.id)}
              />
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}
