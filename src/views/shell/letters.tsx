'use client';

import { AArrowUp, ALargeSmall } from 'lucide-react';
import { useLayoutEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { keep, kept } from '@/ui/kept';

/** Sizes of letters, of what the browser is set to; all else on a page grows with them. */
const SIZES = [
  { name: 'usual', percent: 100 },
  { name: 'larger', percent: 118.75 },
  { name: 'largest', percent: 137.5 },
] as const;
const KEPT = 'letters';

function keptSize(): number {
  const name = kept(KEPT);
  return Math.max(
    0,
    SIZES.findIndex((size) => size.name === name),
  );
}

/** Makes all letters larger, and after the largest the usual ones again. */
export function Letters() {
  const [at, setAt] = useState(0);
  // Before anything is painted: nothing jumps.
  useLayoutEffect(() => setAt(keptSize()), []);
  useLayoutEffect(() => {
    const { percent } = SIZES[at]!;
    document.documentElement.style.setProperty('--letters', `${percent}%`);
  }, [at]);
  const next = (at + 1) % SIZES.length;
  const press = () => {
    setAt(next);
    keep(KEPT, SIZES[next]!.name);
  };
  const Icon = next === 0 ? ALargeSmall : AArrowUp;
  return (
    <button
      type="button"
      className="grid size-10 place-items-center text-faint hover:text-ink"
      aria-label={[say('Usual letters'), say('Make letters larger'), say('Make letters largest')][next]}
      title={[say('usual letters'), say('letters larger'), say('letters largest')][next]}
      onClick={press}
    >
      <Icon size={18} aria-hidden />
    </button>
  );
}
