'use client';

import { Listbox, ListboxButton, ListboxOption, ListboxOptions, Radio, RadioGroup } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useId } from 'react';
import { say } from '@/core/say/say';
import { sayLitres } from './say';

interface DialProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** The value as it is said: "2½ l". */
  readonly says: string;
  /** Said as it is written, in whatever measure the dial is for. */
  readonly verbatim?: boolean;
  readonly onChange: (value: number) => void;
}

/** A number moved with a wet finger: no typing, and nothing out of bounds. */
export function Dial({ label, value, least, most, step, says, verbatim = false, onChange }: DialProps) {
  const id = useId();
  const asWritten = verbatim ? { 'data-verbatim': true } : {};
  return (
    <div>
      <label htmlFor={id} className="flex items-baseline justify-between gap-4">
        <span className="text-faint">{label}</span>
        <output htmlFor={id} className="text-2xl font-semibold" {...asWritten}>
          {says}
        </output>
      </label>
      <input
        id={id}
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={says}
        {...asWritten}
        className="mt-1 h-10 w-full cursor-pointer accent-ember"
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </div>
  );
}

type SizedProps = Pick<DialProps, 'label' | 'value' | 'onChange'> & Partial<Pick<DialProps, 'least' | 'most' | 'step'>>;

/** Litres, in quarters. */
export function LitresDial({ least = 0.25, most = 12, step = 0.25, ...rest }: SizedProps) {
  return <Dial least={least} most={most} step={step} says={sayLitres(rest.value)} {...rest} />;
}

/** How wide a pot or a pan is. */
export function WidthDial({ least = 14, most = 40, step = 1, ...rest }: SizedProps) {
  return <Dial least={least} most={most} step={step} says={say('{rest} cm', { rest: rest.value })} {...rest} />;
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, says: string])[];
  readonly onChange: (value: T) => void;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label}>
      <span className="block text-faint">{label}</span>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {options.map(([each, says]) => (
          <Radio
            key={each}
            value={each}
            className="min-h-12 cursor-pointer rounded-lg bg-soft px-4 py-3 data-checked:bg-ink data-checked:text-ground"
          >
            {says}
          </Radio>
        ))}
      </div>
    </RadioGroup>
  );
}

/** One of many, in a list that opens. */
export function Pick<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <div>
      <span className="block text-faint">{label}</span>
      <Listbox value={value} onChange={onChange}>
        <ListboxButton
          aria-label={label}
          className="mt-1 inline-flex min-h-12 items-center gap-2 rounded-lg bg-soft px-4 text-lg"
        >
          <span className="inline-block first-letter:uppercase">{options.find(([each]) => each === value)?.[1]}</span>
          <ChevronDown size={18} aria-hidden />
        </ListboxButton>
        <ListboxOptions
          anchor="bottom start"
          className="z-20 max-h-96 overflow-auto rounded-lg border border-line bg-paper p-1 shadow-lg"
        >
          {options.map(([each, says]) => (
            <ListboxOption
              key={each}
              value={each}
              className="min-h-11 cursor-pointer rounded px-3 py-2.5 data-focus:bg-soft data-selected:font-semibold"
            >
              <span className="inline-block first-letter:uppercase">{says}</span>
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
    </div>
  );
}

/**
 * A question: what is turned, and the answer beside it, or above it where there is one column; `more` follows on both.
 */
export function Question({
  controls,
  children,
  more,
}: {
  readonly controls: React.ReactNode;
  readonly children: React.ReactNode;
  readonly more?: React.ReactNode;
}) {
  return (
    <div className="grid grid-cols-1 gap-x-12 gap-y-6 md:grid-cols-[minmax(18rem,26rem)_minmax(0,1fr)] md:grid-rows-[auto_1fr] md:gap-y-3">
      <div className="grid content-start gap-2 md:col-start-1 md:row-span-2 md:row-start-1">{controls}</div>
      <div
        aria-live="polite"
        className="order-first grid min-w-0 content-start gap-3 md:col-start-2 md:row-start-1 md:order-none"
      >
        {children}
      </div>
      {more && <div className="grid min-w-0 content-start gap-3 md:col-start-2 md:row-start-2">{more}</div>}
    </div>
  );
}
