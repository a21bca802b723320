'use client';
import { X } from 'lucide-react';
import { allergensOf } from '@/core/dish/diet';
import {
  goesInto,
  withAmount,
  withIngredient,
  withName,
  withNewIngredient,
  withOrder,
  withoutIngredient,
  withUse,
} from '@/core/dish/edit-steps';
import { say, term } from '@/core/say/say';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Select } from '@/ui/select';
import { SortableList, SortableRow } from '@/ui/sortable';
import { AmountField } from './amount-field';
import { type FormProps, stepsOf } from './form';

/** What goes in: amounts, names, the step that uses it, in an order of one's own. */
export function IngredientsForm({ dish, onChange }: FormProps) {
  return (
    <section aria-label={say('What goes in')}>
      <h2 className="text-2xl">{say('What goes in')}</h2>
      <SortableList
        ids={dish.ingredients.map(({ id }) => id)}
        onMove={(id, place) => onChange((now) => withOrder(now, id, place))}
        className="mt-1 border-t border-line"
      >
        {dish.ingredients.map((item, place) => {
          const step = goesInto(dish, item.id);
          return (
            <SortableRow
              key={item.id}
              id={item.id}
              name={item.name}
              className="grid grid-cols-[minmax(0,1fr)] gap-1 border-b border-line py-1.5"
              onStep={(by) => onChange((now) => withOrder(now, item.id, place + by))}
            >
              {(handle) => (
                <>
                  <span className="flex flex-wrap gap-2">
                    {handle}
                    <AmountField
                      name={item.name}
                      amount={item.amount}
                      onChange={(by) => onChange((now) => withAmount(now, item.id, by))}
                    />
                    <KeptField
                      hideLabel
                      label={say('Instead of {item}', { item: item.name })}
                      value={item.name}
                      className="min-w-32 flex-1"
                      onChange={(name) => onChange((now) => withName(now, item.id, name))}
                    />
                    <button
                      type="button"
                      aria-label={say('Take out {item}', { item: item.name })}
                      className="grid size-10 shrink-0 place-items-center rounded-lg hover:bg-soft"
                      onClick={() => onChange((now) => withoutIngredient(now, item.id))}
                    >
                      <X size={18} aria-hidden />
                    </button>
                  </span>
                  <span
                    className={`flex flex-wrap items-center gap-2 text-sm ${step === undefined ? 'text-warn' : 'text-faint'}`}
                  >
                    {say('goes into')}
                    <Select
                      label={say('Step for {item}', { item: item.name })}
                      hideLabel
                      value={step ?? null}
                      options={[[null, say('no step: it will be forgotten')], ...stepsOf(dish)]}
                      onChange={(next) => onChange((now) => withUse(now, item.id, next))}
                    />
                    <KeptField
                      hideLabel
                      label={say('Allergens of {item}', { item: item.name })}
                      value={allergensOf({ ingredients: [item] })
                        .map(term)
                        .join(say(', '))}
                      placeholder={say('no allergens')}
                      mayBeEmpty
                      className="h-9 w-44 text-sm text-ink"
                      onChange={(text) =>
                        onChange((now) =>
                          withIngredient(now, item.id, {
                            allergens: text
                              .split(',')
                              .map((each) => each.trim().toLowerCase())
                              .filter(Boolean),
                          }),
                        )
                      }
                    />
                  </span>
                </>
              )}
            </SortableRow>
          );
        })}
      </SortableList>
      <Button look="quiet" className="mt-1 px-0" onClick={() => onChange(withNewIngredient)}>
        {say('add something')}
      </Button>
    </section>
  );
}
