'use client';

import { useEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { storeFault } from '@/store/faults';
import { Button } from '@/ui/button';

/** An opening that takes longer than this is waiting for something. */
const SLOW_OPENING = 10_000;

/**
 * What the browser's store would not keep, or why it does not open. Every write of the app ends here when it fails and nobody else
 * says so: a press is never lost in silence.
 */
export function StoreFault() {
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    const onFailure = (event: PromiseRejectionEvent) => {
      const sentence = storeFault(event.reason);
      if (sentence) setFault(sentence);
    };
    addEventListener('unhandledrejection', onFailure);
    const db = pantry();
    const onBlocked = () => setFault(blocked());
    db.on('blocked', onBlocked);
    const timer = setTimeout(onBlocked, SLOW_OPENING);
    db.open()
      .then(() => setFault((now) => (now === blocked() ? null : now)))
      .catch((error: unknown) => setFault(storeFault(error) ?? say('The browser’s store could not be opened.')))
      .finally(() => clearTimeout(timer));
    return () => {
      removeEventListener('unhandledrejection', onFailure);
      db.on('blocked').unsubscribe(onBlocked);
      clearTimeout(timer);
    };
  }, []);
  if (fault === null) return null;
  return (
    <div
      role="alert"
      data-testid="store-fault"
      className="sticky top-0 z-40 -mx-4 flex sm:-mx-7 flex-wrap items-center justify-between gap-4 bg-warn px-5 py-3 text-lg text-ground"
    >
      <p className="max-w-prose">{fault}</p>
      <Button onClick={() => setFault(null)}>{say('I have read it')}</Button>
    </div>
  );
}

const blocked = () =>
  say(
    'The store takes long to open. If another window of Warm Cadence is open, close it: this one then goes on by itself.',
  );
