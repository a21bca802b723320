import { PANTRY } from '@/store/name';

/** What is stored of an evening, as far as it matters here; `tableAt` in milliseconds since 1970. */
export interface RunningEvening {
  readonly over: boolean;
  readonly tableAt: number;
}

/** Hours after its table by which an evening that nobody ended is taken for forgotten. */
const FORGOTTEN_AFTER = 12;
const HOUR = 3_600_000;

/** Whether one of these is being cooked at an instant, in milliseconds since 1970. */
export function isAnyRunning(evenings: readonly RunningEvening[], now: number): boolean {
  return evenings.some(({ over, tableAt }) => !over && now < tableAt + FORGOTTEN_AFTER * HOUR);
}

/** Reads it from the store as it is, whichever version that has: to open it in a newer one would shut out the pages that have it open. */
export async function eveningRuns(now: number): Promise<boolean> {
  const opening = indexedDB.open(PANTRY);
  // Where there is none yet, none is made.
  opening.onupgradeneeded = () => opening.transaction?.abort();
  const db = await answer(opening).catch(() => null);
  if (!db) return false;
  try {
    if (!db.objectStoreNames.contains('sessions')) return false;
    return isAnyRunning(await answer(db.transaction('sessions').objectStore('sessions').getAll()), now);
  } finally {
    db.close();
  }
}

function answer<T>(request: IDBRequest<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error);
  });
}
