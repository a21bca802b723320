import { NotLoadedError } from './faults';

/** What checks that something may be stored. */
export type Soundness = typeof import('./soundness');

let fetched: Promise<Soundness> | undefined;

/** Fetched once, when something is stored or a page has nothing else to do: the schemas are larger than many a view. Rejects with `NotLoadedError`. */
export function soundness(): Promise<Soundness> {
  fetched ??= import('./soundness').catch(() => {
    fetched = undefined;
    throw new NotLoadedError();
  });
  return fetched;
}
