'use client';

import { useState } from 'react';
import { Field } from '@/ui/field';

interface TypedProps {
  readonly label: string;
  readonly value: string;
  readonly className: string;
  readonly hint?: string;
  /** An empty text is passed on too. */
  readonly mayBeEmpty?: boolean;
  readonly onChange: (text: string) => void;
}

/** A field that passes its text on when one leaves it or presses Enter; an empty one goes back to what it was. */
export function Typed({ label, value, className, hint, mayBeEmpty = false, onChange }: TypedProps) {
  const [text, setText] = useState<string | null>(null);
  const done = () => {
    if (text !== null && (mayBeEmpty || text.trim() !== '') && text !== value) onChange(text.trim());
    setText(null);
  };
  return (
    <Field
      label={label}
      hideLabel
      type="text"
      value={text ?? value}
      maxLength={120}
      placeholder={hint}
      className={className}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => event.key === 'Enter' && done()}
    />
  );
}
