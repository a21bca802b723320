'use client';

import { Radio, RadioGroup } from '@headlessui/react';

interface PillsProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, says: string])[];
  readonly onChange: (value: T) => void;
}

/** One of a few, all in sight. */
export function Pills<T extends string>({ label, value, options, onChange }: PillsProps<T>) {
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label}>
      <span className="block text-sm text-faint">{label}</span>
      <div className="mt-0.5 flex flex-wrap gap-1">
        {options.map(([each, says]) => (
          <Radio
            key={each}
            value={each}
            className="min-h-10 cursor-pointer rounded-lg bg-soft px-3 py-2 data-checked:bg-ink data-checked:text-ground"
          >
            {says}
          </Radio>
        ))}
      </div>
    </RadioGroup>
  );
}
