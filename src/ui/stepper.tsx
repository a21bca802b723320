'use client';

import { Minus, Plus } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { readNumber } from './number';

interface StepperProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step?: number;
  readonly unit?: string;
  readonly onChange: (value: number) => void;
  readonly hideLabel?: boolean;
}

/** A number with a knob on each side; typing works too, and what is out of bounds is refused in words and not passed on. */
export function Stepper({ label, value, least, most, step = 1, unit, onChange, hideLabel = false }: StepperProps) {
  const id = useId();
  const [text, setText] = useState(String(value));
  // What is being written stays as it is written: "7,5" is the number already.
  useEffect(() => setText((now) => (readNumber(now) === value ? now : String(value))), [value]);
  const isSound = (typed: number) => typed >= least && typed <= most && (step < 1 || Number.isInteger(typed));
  const sound = isSound(readNumber(text));
  const go = (next: number) => {
    const bounded = Math.min(most, Math.max(least, Math.round(next / step) * step));
    onChange(Number(bounded.toFixed(2)));
  };
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-sm text-faint'}>
        {label}
      </label>
      <div className="flex items-center gap-1">
        <button
          type="button"
          aria-label={`${label}: fewer`}
          className="grid size-10 place-items-center rounded-lg bg-soft disabled:opacity-40"
          disabled={value <= least}
          onClick={() => go(value - step)}
        >
          <Minus size={18} aria-hidden />
        </button>
        <input
          id={id}
          inputMode="decimal"
          className="h-10 w-16 rounded-lg border border-line bg-paper text-center"
          value={text}
          aria-invalid={!sound}
          aria-describedby={sound ? undefined : `${id}-fault`}
          onChange={(event) => {
            setText(event.target.value);
            const next = readNumber(event.target.value);
            if (isSound(next)) onChange(next);
          }}
          onBlur={() => {
            if (sound) setText(String(value));
          }}
        />
        <button
          type="button"
          aria-label={`${label}: more`}
          className="grid size-10 place-items-center rounded-lg bg-soft disabled:opacity-40"
          disabled={value >= most}
          onClick={() => go(value + step)}
        >
          <Plus size={18} aria-hidden />
        </button>
        {unit && <span className="text-faint">{unit}</span>}
      </div>
      {!sound && (
        <p id={`${id}-fault`} role="alert" className="mt-1 max-w-56 text-sm text-warn">
          {label}: a {step < 1 ? '' : 'whole '}number from {least} to {most}. Kept at {value}.
        </p>
      )}
    </div>
  );
}
