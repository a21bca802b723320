'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { format } from 'date-fns';
import { useState } from 'react';
import type { BackupFile } from '@/core/formats/backup-file';
import type { MealFile } from '@/core/formats/meal-file';
import { type Answer, type Clash, clashKey } from '@/core/formats/merge';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { Pills } from '@/ui/pills';
import { Say } from '@/ui/say';

/** A meal file, and what comes of it once it is here. */
export interface Brings {
  readonly file: MealFile;
  /** Its meal is opened. */
  readonly goesOn: boolean;
  /** Its evening is followed together with the screen that can be reached so. */
  readonly offer?: string;
}

/** A meal file whose clashes wait for answers. */
export interface Asked extends Brings {
  readonly name: string;
  readonly clashes: readonly Clash[];
}

interface ClashesProps {
  readonly asked: Asked;
  readonly onAnswer: (answers: Readonly<Record<string, Answer>> | null) => void;
}

const SHEET = 'fixed inset-0 z-10 grid place-items-center overflow-y-auto bg-black/50 p-4';
const PANEL = 'w-full max-w-2xl rounded-xl bg-paper p-6';

/** What is here and in a file under one name and not the same: nothing is overwritten without a word. */
export function Clashes({ asked, onAnswer }: ClashesProps) {
  const [answers, setAnswers] = useState<Record<string, Answer>>({});
  return (
    <Dialog open onClose={() => onAnswer(null)} className="relative z-10">
      <div className={SHEET}>
        <DialogPanel className={PANEL}>
          <DialogTitle className="text-2xl">{say('{asked} meets what is here', { asked: asked.name })}</DialogTitle>
          <ul className="mt-3 border-t border-line">
            {asked.clashes.map((clash) => (
              <li key={clashKey(clash)} className="border-b border-line py-3">
                <p>
                  <Say
                    words="The {kind} {mine} differs in {differs}."
                    values={{
                      kind: clash.kind,
                      mine: <strong className="font-semibold">{clash.mine}</strong>,
                      differs: clash.differs,
                    }}
                  />
                </p>
                <Pills
                  label={say('Which {kind} {mine}?', { kind: clash.kind, mine: clash.mine })}
                  value={answers[clashKey(clash)] ?? 'both'}
                  options={[
                    ['both', say('keep both')],
                    ['mine', say('keep mine')],
                    ['theirs', say('take the file’s')],
                  ]}
                  onChange={(answer) => setAnswers({ ...answers, [clashKey(clash)]: answer })}
                />
              </li>
            ))}
          </ul>
          <div className="mt-4 flex gap-3">
            <Button look="strong" onClick={() => onAnswer(answers)}>
              {say('Bring it in')}
            </Button>
            <Button onClick={() => onAnswer(null)}>{say('Leave it')}</Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

export function Restore({ file, onAnswer }: { readonly file: BackupFile; readonly onAnswer: (yes: boolean) => void }) {
  return (
    <Dialog open onClose={() => onAnswer(false)} className="relative z-10">
      <div className={SHEET}>
        <DialogPanel className={PANEL}>
          <DialogTitle className="text-2xl">{say('Put this backup in the place of everything here?')}</DialogTitle>
          <p className="mt-3">
            {say(
              'It was saved on {hour} and holds {meals} meals, {dishes} dishes, {kitchens} kitchens and {evenings} evenings. What is in this browser now goes; back that up first if you are not sure.',
              {
                hour: `${sayDay(file.savedAt, 'date')}, ${format(file.savedAt, 'HH:mm')}`,
                meals: file.meals.length,
                dishes: file.dishes.length,
                kitchens: file.kitchens.length,
                evenings: file.evenings.length,
              },
            )}
          </p>
          <div className="mt-4 flex gap-3">
            <Button look="strong" onClick={() => onAnswer(true)}>
              {say('Put it back')}
            </Button>
            <Button onClick={() => onAnswer(false)}>{say('Keep what is here')}</Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
