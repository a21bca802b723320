'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useEffect, useEffectEvent, useState } from 'react';
import { say } from '@/core/say/say';
import { Say } from '@/ui/say';
import { Button } from './button';
import { setSingleKeys, singleKeysAreOn, useSingleKeys } from './single-keys';

export type KeyRow = readonly [keys: string, does: string];

interface KeysSheetProps {
  readonly rows: readonly KeyRow[];
  /** Its button is as large as others there. */
  readonly atTheStove?: boolean;
}

/** The sheet of keys that "?" opens. */
export function KeysSheet({ rows, atTheStove = false }: KeysSheetProps) {
  const [open, setOpen] = useState(false);
  const single = useSingleKeys();
  useKey('?', () => setOpen(true));
  return (
    <>
      <Button
        look="quiet"
        className={atTheStove ? 'min-h-16' : ''}
        onClick={() => setOpen(true)}
        aria-label={say('Keys')}
      >
        <Say words="{key} keys" values={{ key: <kbd className="rounded border border-line px-1.5 text-sm">?</kbd> }} />
      </Button>
      <Dialog open={open} onClose={setOpen} className="relative z-20">
        <div className="fixed inset-0 bg-black/40" aria-hidden />
        <div className="fixed inset-0 grid place-items-center p-4">
          <DialogPanel className="w-full max-w-md rounded-2xl bg-paper p-6 text-ink">
            <DialogTitle className="font-title text-2xl">{say('Keys')}</DialogTitle>
            <dl className="my-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
              {rows.map(([keys, does]) => (
                <div key={keys} className="contents">
                  <dt>
                    <kbd className="rounded border border-line px-1.5">{keys}</kbd>
                  </dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
            <label className="mb-4 flex min-h-10 items-center gap-3">
              <input type="checkbox" checked={single} onChange={(event) => setSingleKeys(event.target.checked)} />
              {say('Single keys work, without Ctrl')}
            </label>
            <Button onClick={() => setOpen(false)}>{say('Close')}</Button>
          </DialogPanel>
        </div>
      </Dialog>
    </>
  );
}

/**
 * Calls back on a key, unless the cook is typing in a field or choosing from a list. A key that is held counts once, but for arrows. "Ctrl+" before it asks for that key (or the one that stands for it
 * on this machine), "Shift+" before a named key asks for shift; a character says itself whether shift was held.
 */
export function useKey(chord: string, act: (event: KeyboardEvent) => void): void {
  // What is done changes at every rendering; who listens does not.
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement | null;
    const typing = target?.closest(TAKES_KEYS) || (isArrow(chord) && target?.closest(TAKES_ARROWS));
    const held = event.repeat && !isArrow(chord);
    const off = isSingle(chord) && !singleKeysAreOn();
    if (!typing && !held && !off && isChord(event, chord)) act(event);
  });
  useEffect(() => {
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
}

/** A letter or a sign by itself; "?" brings the sheet on which they are switched on again. */
function isSingle(chord: string): boolean {
  return chord.length === 1 && chord !== ' ' && chord !== '?';
}

function isArrow(chord: string): boolean {
  return /(?:^|\+)(?:Arrow|Home$|End$)/.test(chord);
}

/** What opens a list takes the arrows only. */
const TAKES_ARROWS = '[aria-haspopup="listbox"]';
/** Where a key has another meaning. */
const TAKES_KEYS =
  'input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"], [role="menu"], [role="radiogroup"]';

function isChord(event: KeyboardEvent, chord: string): boolean {
  const key = chord.replace(/^(Ctrl\+|Shift\+)+/, '');
  const ctrl = chord.startsWith('Ctrl+');
  const shift = /Shift\+./.test(chord);
  const named = key.length > 1 || ctrl;
  return (
    event.key.toLowerCase() === key.toLowerCase() &&
    !event.altKey &&
    (event.ctrlKey || event.metaKey) === ctrl &&
    (!named || event.shiftKey === shift)
  );
}
