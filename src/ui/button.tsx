import type { ButtonHTMLAttributes } from 'react';

type Look = 'strong' | 'plain' | 'quiet';

const LOOKS: Readonly<Record<Look, string>> = {
  strong: 'bg-ember text-on-ember font-semibold',
  plain: 'bg-soft text-ink',
  quiet: 'text-ink underline decoration-line underline-offset-4 hover:decoration-ink',
};

/** A button at least 40 px high; `big` for the stove, 72 px. */
export function Button({
  look = 'plain',
  big = false,
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { readonly look?: Look; readonly big?: boolean }) {
  const size = big ? 'min-h-18 rounded-xl px-7 text-2xl' : 'min-h-10 rounded-lg px-3.5';
  return <button type="button" className={`${size} ${LOOKS[look]} disabled:opacity-50 ${className}`} {...rest} />;
}
