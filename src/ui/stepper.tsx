'use client';

import { Minus, Plus } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { say, term } from '@/core/say/say';
import { scaleFor } from '@/core/units/manner';
import { readNumber } from '@/core/units/number';
import { manner, toldHere } from './told/manner';

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

/**
 * A number with a knob on each side; typing works too, and what is out of bounds is refused in words and not passed on. It is told and typed on the
 * scale of the cook's manner, and passed on in `unit`.
 */
export function Stepper(props: StepperProps) {
  const { label, hideLabel = false } = props;
  const id = useId();
  const { shown, least, most, step, unit, pass } = onScale(props);
  const [text, setText] = useState(print(shown));
  // What is being written stays as it is written: "7,5" is the number already.
  useEffect(() => setText((now) => (readNumber(now) === shown ? now : print(shown))), [shown]);
  const isSound = (typed: number) => typed >= least && typed <= most && (step < 1 || Number.isInteger(typed));
  const sound = isSound(readNumber(text));
  const go = (next: number) => {
    const bounded = Math.min(most, Math.max(least, Math.round(next / step) * step));
    pass(Number(bounded.toFixed(2)));
  };
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-sm text-faint'}>
        {label}
      </label>
      <div className="flex items-center gap-1">
        <button
          type="button"
          aria-label={say('{label}: fewer', { label })}
          className="grid size-10 place-items-center rounded-lg bg-soft disabled:opacity-40"
          disabled={shown <= least}
          onClick={() => go(shown - step)}
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
            if (isSound(next)) pass(next);
          }}
          onBlur={() => {
            if (sound) setText(print(shown));
          }}
        />
        <button
          type="button"
          aria-label={say('{label}: more', { label })}
          className="grid size-10 place-items-center rounded-lg bg-soft disabled:opacity-40"
          disabled={shown >= most}
          onClick={() => go(shown + step)}
        >
          <Plus size={18} aria-hidden />
        </button>
        {unit && <span className="text-faint">{term(unit)}</span>}
      </div>
      {!sound && (
        <p id={`${id}-fault`} role="alert" className="mt-1 max-w-56 text-sm text-warn">
          {step < 1
            ? say('{label}: a number from {least} to {most}. Kept at {shown}.', { label, least, most, shown })
            : say('{label}: a whole number from {least} to {most}. Kept at {shown}.', { label, least, most, shown })}
        </p>
      )}
    </div>
  );
}

const print = (number: number) => toldHere(String(number));

/** What is shown of a number, its bounds and its step, and the way back. */
function onScale({ value, least, most, step = 1, unit, onChange }: StepperProps) {
  const scale = scaleFor(unit, step, manner());
  if (!scale) return { shown: value, least, most, step, unit, pass: onChange };
  return {
    shown: scale.there(value),
    least: scale.there(least),
    most: scale.there(most),
    step: scale.step,
    unit: scale.unit,
    // Rounded on its own scale, the bound may lie a little beyond.
    pass: (typed: number) => onChange(Math.min(most, Math.max(least, Number(scale.back(typed).toFixed(3))))),
  };
}
