'use client';

import { X } from 'lucide-react';
import { useEffect, useState } from 'react';

const GONE = 'warm-cadence legend gone';

/** How the score is read, until it is known. */
export function Legend() {
  const [isShown, setShown] = useState(false);
  useEffect(() => {
    try {
      setShown(localStorage.getItem(GONE) === null);
    } catch {
      setShown(true);
    }
  }, []);
  if (!isShown) return null;
  const close = () => {
    setShown(false);
    try {
      localStorage.setItem(GONE, 'yes');
    } catch {
      // It is gone for as long as the page is open.
    }
  };
  return (
    <p className="flex items-center gap-2 text-sm text-faint max-sm:hidden" data-testid="legend">
      <span>
        A bar is one thing done: thick on a strong flame, thin on a gentle one, pale where it may run on. Dots wait.
        Black below: your hands are busy.
      </span>
      <button
        type="button"
        aria-label="Enough of how it is read"
        className="grid size-8 shrink-0 place-items-center rounded-lg hover:bg-soft"
        onClick={close}
      >
        <X size={15} aria-hidden />
      </button>
    </p>
  );
}
