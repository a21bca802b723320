'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { AISLES, type Errand, listAsCsv, listAsText, sayErrand, shoppingList } from '@/core/prep/shopping';
import { printAmount } from '@/core/units/amount';
import { pantry, type StoredErrand } from '@/store/db';
import { Button } from '@/ui/button';
import { Download } from '@/ui/download';
import { useMeal } from '@/views/shell/meal-frame';

/** What is done before the evening: for now the shopping. */
export function PrepView() {
  const { meal } = useMeal();
  const [told, setTold] = useState('');
  const stored = useLiveQuery(() => pantry().errands.where('mealId').equals(meal.id).toArray(), [meal.id]) ?? [];
  const stateOf = (key: string) => stored.find((each) => each.key === key)?.state;
  const errands = shoppingList(meal);
  const open = errands.filter(({ key }) => stateOf(key) === undefined);
  const put = (key: string, state: StoredErrand['state'] | undefined) => {
    const id = `${meal.id}/${key}`;
    void (state === undefined
      ? pantry().errands.delete(id)
      : pantry().errands.put({ id, mealId: meal.id, key, state }));
  };
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(listAsText(open));
      setTold('Copied.');
    } catch {
      setTold('This browser does not let a page copy; save the list as text instead.');
    }
  };
  if (errands.length === 0)
    return <p className="mt-4 text-lg">Nothing to buy yet: choose the first dish on the menu.</p>;
  return (
    <section aria-label="Shopping" className="mt-4">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <div>
          <h2 className="text-2xl">Shopping</h2>
          <p role="status" className="text-faint">
            {open.length === 0 ? 'Everything is there.' : `${open.length} of ${errands.length} still to get`}
          </p>
        </div>
        <p className="flex flex-wrap items-center gap-x-5 print:hidden">
          <Button look="quiet" onClick={() => void copy()}>
            copy
          </Button>
          <Download name={`${meal.id}-shopping.txt`} text={() => listAsText(open)}>
            save as text
          </Download>
          <Download name={`${meal.id}-shopping.csv`} text={() => listAsCsv(open)}>
            save as a table
          </Download>
          <Button look="quiet" onClick={() => window.print()}>
            print
          </Button>
          <span role="status" className="text-faint">
            {told}
          </span>
        </p>
      </div>
      <div className="mt-3 gap-x-12 md:columns-2">
        {AISLES.filter((aisle) => errands.some((errand) => errand.aisle === aisle)).map((aisle) => (
          <section key={aisle} aria-label={aisle} className="mb-5 break-inside-avoid-column">
            <h3 className="text-xl first-letter:uppercase">{aisle}</h3>
            <ul className="mt-1 border-t border-line">
              {errands
                .filter((errand) => errand.aisle === aisle)
                .map((errand) => (
                  <Row
                    key={errand.key}
                    errand={errand}
                    state={stateOf(errand.key)}
                    onPut={(state) => put(errand.key, state)}
                  />
                ))}
            </ul>
          </section>
        ))}
      </div>
    </section>
  );
}

interface RowProps {
  readonly errand: Errand;
  readonly state: StoredErrand['state'] | undefined;
  readonly onPut: (state: StoredErrand['state'] | undefined) => void;
}

function Row({ errand, state, onPut }: RowProps) {
  const said = sayErrand(errand);
  return (
    <li className="flex items-start justify-between gap-3 border-b border-line py-1.5">
      <label className="flex min-h-11 flex-1 cursor-pointer items-start gap-3 py-1">
        <input
          type="checkbox"
          checked={state === 'in the basket'}
          className="mt-1 size-6 shrink-0 accent-ember"
          onChange={(event) => onPut(event.target.checked ? 'in the basket' : undefined)}
        />
        <span className={state === undefined ? '' : 'text-faint line-through'}>
          <span className="text-lg">{said}</span>
          <span className="block text-sm text-faint">
            {errand.wants
              .map(({ dish, amount, cut }) => `${printAmount(amount)} for ${dish}${cut ? ` (${cut})` : ''}`)
              .join('; ')}
          </span>
        </span>
      </label>
      <Button
        look="quiet"
        className="shrink-0 print:hidden"
        aria-pressed={state === 'at home'}
        aria-label={`${errand.name} is at home`}
        onClick={() => onPut(state === 'at home' ? undefined : 'at home')}
      >
        {state === 'at home' ? 'at home ✓' : 'at home'}
      </Button>
    </li>
  );
}
