'use client';

import { type ComponentProps, useEffect, useId, useRef, useState } from 'react';
import { say } from '@/core/say/say';
import { Field } from './field';

interface KeptFieldProps
  extends Pick<ComponentProps<'input'>, 'inputMode' | 'maxLength' | 'min' | 'max' | 'placeholder' | 'className'> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly type?: 'text' | 'date' | 'time' | 'number';
  /** More than one line, of so many rows. */
  readonly rows?: number;
  /** What is stored. */
  readonly value: string;
  /** An empty text is passed on too; otherwise it is told, and what was stored stays. */
  readonly mayBeEmpty?: boolean;
  /** What is wrong with a text, in words; it is then not passed on. Null when nothing is. */
  readonly fault?: (text: string) => string | null;
  readonly onChange: (text: string) => void;
}

/** After so long without a key what is typed is passed on: soon enough to outlive a closed tab, late enough for whole words. */
const PAUSE_MS = 200;
/** A text that was passed on and not taken gives way to what is stored. */
const REFUSED_MS = 1500;

/**
 * A field whose text is never lost: it is passed on while one types, when one leaves the field, presses Enter or goes to another page, and
 * what is stored meanwhile by others does not disturb the typing.
 */
export function KeptField(props: KeptFieldProps) {
  const { label, value, rows, mayBeEmpty = false, fault, onChange, className = '', ...rest } = props;
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const faultOf = (typed: string) =>
    typed === ''
      ? mayBeEmpty
        ? null
        : say('{label} cannot be empty; kept as it was.', { label })
      : (fault?.(typed) ?? null);
  const typed = useTypedText({ value, faultOf, onChange, show: setText });
  const said = text === null ? null : faultOf(text.trim());
  const handlers = {
    value: text ?? value,
    'aria-invalid': said !== null || undefined,
    'aria-describedby': said !== null ? `${id}-fault` : undefined,
    onFocus: typed.enter,
    onChange: (event: { readonly target: { readonly value: string } }) => typed.write(event.target.value),
    onBlur: typed.leave,
  };
  return (
    <>
      {rows === undefined ? (
        <Field
          label={label}
          maxLength={120}
          className={className}
          type="text"
          {...rest}
          {...handlers}
          onKeyDown={(event) => event.key === 'Enter' && typed.passOn()}
        />
      ) : (
        <div>
          <label htmlFor={id} className={rest.hideLabel ? 'sr-only' : 'block text-sm text-faint'}>
            {label}
          </label>
          <textarea
            id={id}
            rows={rows}
            maxLength={rest.maxLength ?? 2000}
            className={`w-full rounded-lg border border-line bg-paper p-2 ${className}`}
            {...handlers}
          />
        </div>
      )}
      {said !== null && (
        <p id={`${id}-fault`} role="alert" className="text-sm text-warn">
          {said}
        </p>
      )}
    </>
  );
}

interface TypedText extends Pick<KeptFieldProps, 'value' | 'onChange'> {
  readonly faultOf: (text: string) => string | null;
  readonly show: (text: string | null) => void;
}

/** What is being typed, and when it is passed on. */
function useTypedText(now: TypedText) {
  const latest = useRef(now);
  latest.current = now;
  const typing = useRef<{ text: string; passed: string | null }>(null);
  const focused = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const passOn = useRef(() => {
    clearTimeout(timer.current);
    const { value, faultOf, onChange } = latest.current;
    const { text, passed } = typing.current ?? { text: value, passed: null };
    const bare = text.trim();
    if (!typing.current || bare === (passed ?? value) || faultOf(bare) !== null) return false;
    typing.current.passed = bare;
    onChange(bare);
    return true;
  }).current;
  const rest = useRef(() => {
    clearTimeout(timer.current);
    typing.current = null;
    latest.current.show(null);
  }).current;
  useEffect(() => {
    addEventListener('pagehide', passOn);
    return () => {
      removeEventListener('pagehide', passOn);
      passOn();
      clearTimeout(timer.current);
    };
  }, [passOn]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: whatever is stored anew is shown, unless someone is typing.
  useEffect(() => {
    if (!focused.current) rest();
  }, [now.value, rest]);
  return {
    passOn,
    enter: () => {
      focused.current = true;
    },
    write: (text: string) => {
      typing.current = { text, passed: typing.current?.passed ?? null };
      latest.current.show(text);
      clearTimeout(timer.current);
      timer.current = setTimeout(passOn, PAUSE_MS);
    },
    leave: () => {
      focused.current = false;
      passOn();
      // What was passed on stays in sight until it is stored.
      if (typing.current && typing.current.passed !== null && typing.current.passed !== latest.current.value)
        timer.current = setTimeout(rest, REFUSED_MS);
      else rest();
    },
  };
}
