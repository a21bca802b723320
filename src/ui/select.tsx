'use client';

import { Field, Select as HeadlessSelect, Label } from '@headlessui/react';
import { term } from '@/core/say/say';

interface SelectProps<T> {
  /** What is chosen. Of several alike on one page it names which. */
  readonly label: string;
  /** The label is there for whoever hears the page only. */
  readonly hideLabel?: boolean;
  readonly value: T;
  readonly options: readonly (readonly [value: T, says: string])[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
}

/** One of several, by its words. What is chosen may be of any type: it is known by its place in the list. */
export function Select<T>({ label, hideLabel = false, value, options, onChange, className = '' }: SelectProps<T>) {
  return (
    <Field className={hideLabel ? 'inline-block max-w-full min-w-0' : 'min-w-0'}>
      <Label className={hideLabel ? 'sr-only' : 'block text-sm text-faint'}>{label}</Label>
      <HeadlessSelect
        className={`min-h-10 max-w-full rounded-lg border border-line bg-paper px-2 text-base text-ink ${className}`}
        value={options.findIndex(([each]) => each === value)}
        onChange={(event) => {
          const chosen = options[Number(event.target.value)];
          if (chosen) onChange(chosen[0]);
        }}
      >
        {options.map(([, says], index) => (
          <option key={says} value={index}>
            {says}
          </option>
        ))}
      </HeadlessSelect>
    </Field>
  );
}

/** Options that are words of a closed list. */
export function ownWords<T extends string>(values: readonly T[]): readonly (readonly [T, string])[] {
  return values.map((each) => [each, term(each)] as const);
}
