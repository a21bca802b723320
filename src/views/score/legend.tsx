'use client';

import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { keep, kept } from '@/ui/kept';

const GONE = 'legend gone';

/** How the score is read, until it is known. */
export function Legend() {
  const [isShown, setShown] = useState(false);
  useEffect(() => {
    setShown(kept(GONE) === null);
  }, []);
  if (!isShown) return null;
  const close = () => {
    setShown(false);
    keep(GONE, 'yes');
  };
  return (
    <p className="flex items-center gap-2 text-sm text-faint max-sm:hidden" data-testid="legend">
      <span>
        {say(
          'A bar is one thing done: thick on a strong flame, thin on a gentle one, pale where it may run on. Dots wait. Black below: your hands are busy.',
        )}
      </span>
      <button
        type="button"
        aria-label={say('Enough of how it is read')}
        className="grid size-8 shrink-0 place-items-center rounded-lg hover:bg-soft"
        onClick={close}
      >
        <X size={15} aria-hidden />
      </button>
    </p>
  );
}
