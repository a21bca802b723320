'use client';

import { type QRCodeMaskPattern, toCanvas } from 'qrcode';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';

/** Milliseconds that each picture stands: under three changes in a second, which is safe for whoever is upset by flashes (WCAG 2.3.1). */
const EACH = 350;
/** Ways in which one content may be drawn (ISO/IEC 18004, 7.8.2). */
const MASKS = 8;
/** Pixels across, where the window has them. */
const SIZE = 560;

interface CodesProps {
  /** One picture each; null while they are made, and none where they cannot be. */
  readonly frames: readonly Uint8Array[] | null;
  /** What they are of, such as "The meal". */
  readonly of: string;
  /** What can be pressed beside. */
  readonly children: ReactNode;
}

/** Codes that a camera reads one after another, round and round. */
export function Codes({ frames, of, children }: CodesProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  /** How many were shown before this one, in all rounds. */
  const [shown, setShown] = useState(0);
  const [runs, setRuns] = useState(true);
  const count = frames?.length ?? 0;
  useEffect(() => {
    if (count < 2 || !runs) return;
    const timer = setInterval(() => setShown((now) => now + 1), EACH);
    return () => clearInterval(timer);
  }, [count, runs]);
  useEffect(() => {
    const frame = frames?.[shown % frames.length];
    if (!frames || !frame || !canvas.current) return;
    const round = Math.floor(shown / frames.length);
    // Always dark on light, whatever the dress: cameras look for that.
    void toCanvas(canvas.current, [{ data: frame, mode: 'byte' }], {
      // A picture that a camera cannot make out looks otherwise in the next round.
      ...(round === 0 ? {} : { maskPattern: ((round - 1) % MASKS) as QRCodeMaskPattern }),
      errorCorrectionLevel: 'L',
      margin: 4,
      width: SIZE,
    });
  }, [frames, shown]);
  return (
    <>
      {frames?.length !== 0 && (
        <canvas
          ref={canvas}
          role="img"
          aria-label={say('{of} as a code', { of })}
          data-testid="code"
          className="mx-auto mt-3 block h-auto! w-full! max-w-[min(560px,62vh)]"
        />
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {count > 1 && (
          <>
            <p className="min-w-28" data-testid="code-at">
              {say('{shown} of {count}', { shown: (shown % count) + 1, count })}
            </p>
            <Button onClick={() => setRuns(!runs)}>{runs ? say('Hold it') : say('Let it run')}</Button>
            <Button
              onClick={() => {
                setRuns(false);
                setShown(shown + 1);
              }}
            >
              {say('Next')}
            </Button>
          </>
        )}
        {children}
      </div>
    </>
  );
}
