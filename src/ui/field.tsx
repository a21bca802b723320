'use client';

import { type ComponentProps, useId } from 'react';

interface FieldProps extends Omit<ComponentProps<'input'>, 'id'> {
  readonly label: string;
  /** The label is heard only: what the field is for can be seen from where it stands. */
  readonly hideLabel?: boolean;
}

/** A line to type into, with its label above it. Sizes other than the usual go into `className`. */
export function Field({ label, hideLabel = false, className = '', ...input }: FieldProps) {
  const id = useId();
  const height = /\b(?:min-)?h-\d/.test(className) ? '' : 'h-10';
  const field = (
    <input
      id={id}
      className={`${height} min-w-0 rounded-lg border border-line bg-paper px-2.5 text-ink ${className}`}
      {...input}
    />
  );
  if (hideLabel) {
    return (
      <>
        <label htmlFor={id} className="sr-only">
          {label}
        </label>
        {field}
      </>
    );
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-sm text-faint">
        {label}
      </label>
      {field}
    </div>
  );
}
