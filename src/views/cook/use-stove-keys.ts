'use client';

import type { Cue } from '@/core/live/cues';
import type { Stove } from '@/core/live/stove';
import { useKey } from '@/ui/keys-sheet';
import { isStart } from './pieces';
import type { SessionAtHand } from './use-session';

interface StoveKeys {
  readonly stove: Stove | null;
  readonly cues: readonly Cue[];
  readonly told: SessionAtHand;
  /** This window tells: it leads, or is one person's. */
  readonly acts: boolean;
  /** The evening's panel lies over the pots. */
  readonly panel: boolean;
  readonly onPanel: () => void;
}

/** What keys tell at the stove. Nothing is told in a window that only follows, under the panel, or while a question of safety stands. */
export function useStoveKeys({ stove, cues, told, acts, panel, onPanel }: StoveKeys): void {
  const focal = stove?.now[0];
  const press = () => focal && (isStart(focal) ? told.begun(focal) : told.done(focal));
  const open = acts && !panel && told.early === null && told.stood === null;
  useKey('d', () => open && press());
  useKey(' ', (event) => {
    // On a button the space bar presses that button.
    if (!open || (event.target as HTMLElement | null)?.closest('button')) return;
    event.preventDefault();
    press();
  });
  useKey('n', () => open && focal && !isStart(focal) && told.notYet(focal));
  const beside = stove?.now[1];
  useKey('b', () => open && beside && (isStart(beside) ? told.begun(beside) : told.done(beside)));
  useKey('u', () => open && told.undo());
  useKey('r', () => open && told.redo());
  useKey('e', onPanel);
  // The pot that calls first is answered by number.
  const called = stove?.watching.find(({ step }) => cues.some(({ keys }) => keys.includes(step.key)));
  useKey('1', () => open && called && told.looked(called, 'not there'));
  useKey('2', () => open && called && told.looked(called, 'nearly'));
  useKey('3', () => open && called && told.done(called));
}
