'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';

interface SheetProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: React.ReactNode;
}

/** A sheet over the stove's view, by night, with its way back at the head. */
export function Sheet({ title, onClose, children }: SheetProps) {
  return (
    <Dialog open onClose={onClose} className="relative z-20">
      <div data-dress="night" className="fixed inset-0 overflow-y-auto bg-black/60 p-2 text-ink sm:p-4">
        <DialogPanel className="mx-auto max-w-4xl rounded-xl bg-paper p-4 sm:p-6">
          <div className="flex items-center justify-between gap-4">
            <DialogTitle className="text-2xl sm:text-3xl">{title}</DialogTitle>
            <Button big onClick={onClose}>
              {say('back')}
            </Button>
          </div>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}

interface ChoiceProps {
  readonly says: string;
  readonly how?: string;
  /** What it would lead to; null while it is being planned, absent where nothing is planned. */
  readonly leadsTo?: string | null;
  readonly caution?: string | undefined;
  readonly strong?: boolean;
  readonly onPress: () => void;
}

/** One way to go on: what to press, how it is done, and what it leads to. */
export function Choice({ says, how, leadsTo, caution, strong = false, onPress }: ChoiceProps) {
  return (
    <li className="border-b border-line py-3">
      <Button
        className="min-h-16 w-full rounded-xl px-5 py-2 text-start text-xl first-letter:uppercase"
        look={strong ? 'strong' : 'plain'}
        onClick={onPress}
      >
        {says}
      </Button>
      {how && <p className="mt-1.5 text-lg">{how}</p>}
      {leadsTo !== undefined && (
        <p className="mt-0.5 text-lg text-faint">{leadsTo === null ? say('Planning what it leads to…') : leadsTo}</p>
      )}
      {caution && <p className="mt-1 border-s-4 border-ember ps-3 text-lg">{caution}</p>}
    </li>
  );
}
