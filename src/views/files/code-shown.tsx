'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useEffect, useState } from 'react';
import { say } from '@/core/say/say';
import { framesOfText } from '@/link/frames-of-text';
import { pantry } from '@/store/db';
import { fileToHandOver } from '@/store/files';
import { Button } from '@/ui/button';
import { Codes } from './codes';

/** A meal, and its evening where one is under way, as codes that the camera of another device reads. */
export function CodeShown({ mealId, onClose }: { readonly mealId: string; readonly onClose: () => void }) {
  const [frames, setFrames] = useState<readonly Uint8Array[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    framesOfMeal(mealId).then(
      (made) =>
        made ? setFrames(made) : setFault(say('This meal is too large for codes. Save it as a file, and open that.')),
      (error: unknown) => {
        console.error(error);
        setFault(say('The codes could not be made. Save the meal as a file, and open that on the other device.'));
      },
    );
  }, [mealId]);
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div className="fixed inset-0 grid place-items-center overflow-y-auto bg-black/50 p-4">
        <DialogPanel className="w-full max-w-2xl rounded-xl bg-paper p-5">
          <DialogTitle className="text-2xl">{say('To another device, by its camera')}</DialogTitle>
          <p className="mt-1">
            {say(
              'There: open Warm Cadence, press “Take a meal over by its code” among the files, and hold the camera here until it has them all.',
            )}
          </p>
          {fault && (
            <p role="alert" className="mt-3 border-s-4 border-warn ps-3">
              {fault}
            </p>
          )}
          <Codes frames={fault ? [] : frames} of={say('The meal')}>
            <Button look="strong" className="ms-auto" onClick={onClose}>
              {say('Done')}
            </Button>
          </Codes>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

async function framesOfMeal(mealId: string): Promise<readonly Uint8Array[] | null> {
  const file = await fileToHandOver(pantry(), mealId);
  if (!file) throw new Error('The meal is gone.');
  return framesOfText(JSON.stringify(file));
}
