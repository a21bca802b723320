import { useCallback, useRef, useState } from 'react';
import { keep, kept } from './kept';

/** Raised when drafts are written otherwise: those of before are then let go. */
const GENERATION = 1;
const PLACE = 'draft ';

function keptDraft<T>(name: string): T | null {
  try {
    const draft: unknown = JSON.parse(kept(PLACE + name) ?? 'null');
    if (typeof draft !== 'object' || draft === null || !('generation' in draft) || !('value' in draft)) return null;
    return draft.generation === GENERATION ? (draft.value as T) : null;
  } catch {
    return null;
  }
}

function keepDraft(name: string, value: unknown): void {
  keep(PLACE + name, value === null ? null : JSON.stringify({ generation: GENERATION, value }));
}

/** What is being made and not stored yet. */
export interface KeptDraft<T> {
  readonly value: T;
  /** It comes from an earlier visit. */
  readonly isFromBefore: boolean;
  /** Changes it as it stands, not as it was last drawn; what comes of it. */
  readonly change: (by: (now: T) => T) => T;
  /** Begins anew, and forgets what was begun before. */
  readonly forget: () => void;
  /** It is stored where it belongs: the draft is done with. */
  readonly settle: () => void;
}

/**
 * Something that is made in several presses and kept by a last one. It outlives a closed tab and the way back: localStorage is written before
 * the press is over, which a database is not. For a page that is drawn in the browser only.
 */
export function useKeptDraft<T>(name: string, fresh: T): KeptDraft<T> {
  const [found] = useState(() => keptDraft<T>(name));
  const [value, setValue] = useState<T>(found ?? fresh);
  const [isFromBefore, setFromBefore] = useState(found !== null);
  const latest = useRef(value);
  const change = useCallback(
    (by: (now: T) => T) => {
      latest.current = by(latest.current);
      keepDraft(name, latest.current);
      setValue(latest.current);
      return latest.current;
    },
    [name],
  );
  const forget = () => {
    latest.current = fresh;
    keepDraft(name, null);
    setValue(fresh);
    setFromBefore(false);
  };
  const settle = () => {
    keepDraft(name, null);
    setFromBefore(false);
  };
  return { value, isFromBefore, change, forget, settle };
}
