import { say } from '@/core/say/say';

/** Why the browser's store did not take or give something, for a cook. `kept` says what became of it. */
export function storeFault(error: unknown): string | null {
  const names = namesOf(error);
  const has = (...wanted: readonly string[]) => wanted.some((name) => names.has(name));
  if (has('NewerStoreError', 'NotLoadedError')) return (error as Error).message;
  if (has('QuotaExceededError')) {
    return say(
      'That was not kept: the browser has no more room for this site. Save a backup, then free some space; what was kept before is still there.',
    );
  }
  if (has('MissingAPIError', 'MissingApiError', 'SecurityError')) {
    return say(
      'This browser lets no site keep anything (a private window, or storage switched off), so nothing can be opened or kept here. Allow storage for this site, or use another window.',
    );
  }
  if (has('DatabaseClosedError', 'OpenFailedError', 'InvalidStateError', 'VersionError', 'UpgradeError')) {
    return say(
      'The browser’s store could not be opened, so that was not kept. Close other windows of Warm Cadence, then load this page anew; what was kept before is still there.',
    );
  }
  if (has('AbortError', 'TimeoutError', 'TransactionInactiveError', 'UnknownError', 'DataError', 'ReadOnlyError')) {
    return say('That was not kept: the browser’s store gave up on it. Try again; what was kept before is still there.');
  }
  return null;
}

/** The names of an error and of what caused it. */
function namesOf(error: unknown): ReadonlySet<string> {
  const names = new Set<string>();
  let at = error as { name?: unknown; inner?: unknown } | null | undefined;
  for (let depth = 0; at && depth < 5; depth++) {
    if (typeof at.name === 'string') names.add(at.name);
    at = at.inner as typeof at;
  }
  return names;
}

/** The store was written by a newer version of the app: this one would lose what it does not know. */
export class NewerStoreError extends Error {
  override readonly name = 'NewerStoreError';

  constructor() {
    super(
      say(
        'What this browser keeps was written by a newer Warm Cadence. Load the page anew to get that version; nothing was changed.',
      ),
    );
  }
}

/** A part of the app that is fetched when it is wanted did not come. */
export class NotLoadedError extends Error {
  override readonly name = 'NotLoadedError';

  constructor() {
    super(
      say(
        'That was not kept: what checks it could not be fetched from the server. Try again when there is a network; what was kept before is still there.',
      ),
    );
  }
}
