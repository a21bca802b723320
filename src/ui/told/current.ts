import { CANONICAL, type Manner } from '@/core/units/manner';

let current: Manner = CANONICAL;
const listeners = new Set<() => void>();

/** The manner in which this page is told now; `CANONICAL` on the server and until the page is dressed. */
export function manner(): Manner {
  return current;
}

/** From now on the page is told so. */
export function setManner(next: Manner): void {
  if (JSON.stringify(next) === JSON.stringify(current)) return;
  current = next;
  for (const listener of listeners) listener();
}

/** For `useSyncExternalStore`. */
export function onManner(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
