'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { type QRCodeMaskPattern, toCanvas } from 'qrcode';
import { useEffect, useRef, useState } from 'react';
import { framesOf, packed } from '@/core/formats/frames';
import { pantry } from '@/store/db';
import { fileToHandOver } from '@/store/files';
import { Button } from '@/ui/button';

/** Milliseconds that each picture stands: under three changes in a second, which is safe for whoever is upset by flashes (WCAG 2.3.1). */
const EACH = 350;
/** Ways in which one content may be drawn (ISO/IEC 18004, 7.8.2). */
const MASKS = 8;
/** Pixels across, where the window has them. */
const SIZE = 560;

/** A meal, and its evening where one is under way, as codes that the camera of another device reads. */
export function CodeShown({ mealId, onClose }: { readonly mealId: string; readonly onClose: () => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [frames, setFrames] = useState<readonly Uint8Array[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  /** How many were shown before this one, in all rounds. */
  const [shown, setShown] = useState(0);
  const [runs, setRuns] = useState(true);
  useEffect(() => {
    framesOfMeal(mealId).then(
      (made) =>
        made ? setFrames(made) : setFault('This meal is too large for codes. Save it as a file, and open that.'),
      (error: unknown) => {
        console.error(error);
        setFault('The codes could not be made. Save the meal as a file, and open that on the other device.');
      },
    );
  }, [mealId]);
  useEffect(() => {
    if (!frames || !runs) return;
    const timer = setInterval(() => setShown((now) => now + 1), EACH);
    return () => clearInterval(timer);
  }, [frames, runs]);
  useEffect(() => {
    if (!frames || !canvas.current) return;
    const round = Math.floor(shown / frames.length);
    // Always dark on light, whatever the dress: cameras look for that.
    void toCanvas(canvas.current, [{ data: frames[shown % frames.length]!, mode: 'byte' }], {
      // A picture that a camera cannot make out looks otherwise in the next round.
      ...(round === 0 ? {} : { maskPattern: ((round - 1) % MASKS) as QRCodeMaskPattern }),
      errorCorrectionLevel: 'L',
      margin: 4,
      width: SIZE,
    });
  }, [frames, shown]);
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div className="fixed inset-0 grid place-items-center overflow-y-auto bg-black/50 p-4">
        <DialogPanel className="w-full max-w-2xl rounded-xl bg-paper p-5">
          <DialogTitle className="text-2xl">To another device, by its camera</DialogTitle>
          <p className="mt-1">
            There: open Warm Cadence, press “Take a meal over by its code” among the files, and hold the camera here
            until it has them all.
          </p>
          {fault ? (
            <p role="alert" className="mt-3 border-s-4 border-warn ps-3">
              {fault}
            </p>
          ) : (
            <canvas
              ref={canvas}
              role="img"
              aria-label="The meal as a code"
              data-testid="code"
              className="mx-auto mt-3 block h-auto! w-full! max-w-[min(560px,62vh)]"
            />
          )}
          <div className="mt-3 flex flex-wrap items-center gap-3">
            {frames && frames.length > 1 && (
              <>
                <p className="min-w-28" data-testid="code-at">
                  {(shown % frames.length) + 1} of {frames.length}
                </p>
                <Button onClick={() => setRuns(!runs)}>{runs ? 'Hold it' : 'Let it run'}</Button>
                <Button
                  onClick={() => {
                    setRuns(false);
                    setShown(shown + 1);
                  }}
                >
                  Next
                </Button>
              </>
            )}
            <Button look="strong" className="ms-auto" onClick={onClose}>
              Done
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

async function framesOfMeal(mealId: string): Promise<readonly Uint8Array[] | null> {
  const file = await fileToHandOver(pantry(), mealId);
  if (!file) throw new Error('The meal is gone.');
  const [transfer] = crypto.getRandomValues(new Uint32Array(1));
  return framesOf(await packed(JSON.stringify(file)), transfer!);
}
