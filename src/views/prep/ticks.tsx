'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { pantry, type StoredErrand } from '@/store/db';

type State = StoredErrand['state'];

/** What of a meal's lists is ticked off, kept in the browser. */
export function useTicks(mealId: string) {
  const stored = useLiveQuery(() => pantry().errands.where('mealId').equals(mealId).toArray(), [mealId]) ?? [];
  const stateOf = (key: string): State | undefined => stored.find((each) => each.key === key)?.state;
  const put = (key: string, state: State | undefined) => {
    const id = `${mealId}/${key}`;
    void (state === undefined ? pantry().errands.delete(id) : pantry().errands.put({ id, mealId, key, state }));
  };
  return { stateOf, put };
}

interface TickProps {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  /** One of several, all of one name; drawn round, and never struck through. */
  readonly radio?: string;
  readonly children: React.ReactNode;
}

/** A line with a box to tick, large enough for a wet knuckle. */
export function Tick({ checked, onChange, radio, children }: TickProps) {
  return (
    <label className="flex min-h-11 flex-1 cursor-pointer items-start gap-3 py-1 print:min-h-0 print:gap-2 print:py-0 print:leading-tight">
      <input
        type={radio === undefined ? 'checkbox' : 'radio'}
        name={radio}
        checked={checked}
        className="mt-0.5 size-6 shrink-0 accent-ember print:size-4"
        onChange={(event) => onChange(event.target.checked)}
      />
      <span className={checked && radio === undefined ? 'text-faint line-through' : ''}>{children}</span>
    </label>
  );
}
