'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import jsQR from 'jsqr';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { type Gathered, searchedAt, unpacked, wholeOf, withFrame } from '@/core/formats/frames';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';

interface CodeReadProps {
  /** The stove's; else that of the page. */
  readonly dress?: 'night';
  readonly title: string;
  /** Where the code is to be found. */
  readonly where: string;
  /** Called once, with the text that was read. */
  readonly onRead: (text: string) => void;
  readonly onClose: () => void;
  /** Another way, for whoever has no camera here. */
  readonly children?: ReactNode;
}

/** Milliseconds between two looks of the camera: more often than a code changes. */
const BETWEEN = 90;

/** Reads the codes that another device shows. */
export function CodeRead({ dress, title, where, onRead, onClose, children }: CodeReadProps) {
  const video = useRef<HTMLVideoElement>(null);
  const [seen, setSeen] = useState<Gathered | null>(null);
  const [told, setTold] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const read = useRef(onRead);
  read.current = onRead;
  useEffect(() => {
    let gone = false;
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setTimeout>;
    let gathered: Gathered | null = null;
    let turn = 0;
    const look = async () => {
      const code = video.current && codeIn(video.current, turn);
      const next = code && withFrame(gathered, code);
      // What read a code of ours goes first at the next.
      if (!next) turn++;
      if (code) {
        setTold(next ? '' : say('That is another code, not one of Warm Cadence.'));
        if (next && next !== gathered) {
          gathered = next;
          setSeen(next);
        }
        const whole = next && wholeOf(next);
        const text = whole && (await unpacked(whole));
        if (gone) return;
        if (text !== null) return read.current(text);
        if (whole) {
          // What was put together is not what was shown: from the beginning.
          gathered = null;
          setSeen(null);
          setTold(say('Something was read wrongly: hold the camera still, it begins anew.'));
        }
      }
      if (!gone) timer = setTimeout(() => void look(), BETWEEN);
    };
    const begin = async () => {
      const taken = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1280 }, height: { ideal: 720 } },
      });
      stream = taken;
      if (gone || !video.current) return stop(taken);
      video.current.srcObject = taken;
      await video.current.play();
      void look();
    };
    begin().catch((error: unknown) => {
      if (!gone) setFault(cameraFault(error));
    });
    return () => {
      gone = true;
      clearTimeout(timer);
      if (stream) stop(stream);
    };
  }, []);
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div
        data-dress={dress}
        className="fixed inset-0 grid place-items-center overflow-y-auto bg-black/50 p-4 text-ink"
      >
        <DialogPanel className="w-full max-w-2xl rounded-xl bg-paper p-5">
          <DialogTitle className="text-2xl">{title}</DialogTitle>
          {fault ? (
            <p role="alert" className="mt-3 border-s-4 border-warn ps-3">
              {fault}
            </p>
          ) : (
            <>
              <p className="mt-1">{where}</p>
              <video
                ref={video}
                muted
                playsInline
                aria-label={say('What the camera sees')}
                className="mt-3 max-h-[55vh] w-full rounded-lg bg-black"
              />
              <p role="status" className="mt-2 min-h-7" data-testid="code-seen">
                {told ||
                  (seen
                    ? say('{parts} of {count} read', { parts: seen.parts.size, count: seen.count })
                    : say('Looking for a code…'))}
              </p>
              {seen && (
                <progress
                  className="w-full accent-ember"
                  max={seen.count}
                  value={seen.parts.size}
                  aria-label={say('Codes read')}
                />
              )}
            </>
          )}
          {children}
          <Button className="mt-3" onClick={onClose}>
            {say('Give up')}
          </Button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function stop(stream: MediaStream): void {
  for (const track of stream.getTracks()) track.stop();
}

let canvas: HTMLCanvasElement | undefined;

/** The bytes of the code that a camera sees, if it sees one at the size whose turn it is. */
function codeIn(video: HTMLVideoElement, turn: number): Uint8Array | null {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) return null;
  const longer = Math.max(videoWidth, videoHeight);
  const sizes = searchedAt(longer);
  const scale = sizes[turn % sizes.length]! / longer;
  const [width, height] = [Math.round(videoWidth * scale), Math.round(videoHeight * scale)];
  canvas ??= document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) return null;
  pen.drawImage(video, 0, 0, width, height);
  const found = jsQR(pen.getImageData(0, 0, width, height).data, width, height, { inversionAttempts: 'dontInvert' });
  return found ? Uint8Array.from(found.binaryData) : null;
}

function cameraFault(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (!isSecureContext)
    return say(
      'Over a plain address of the network (http) a browser lets no page use the camera. Open Warm Cadence over https, or bring the meal as a file.',
    );
  if (name === 'NotAllowedError')
    return say(
      'The camera is not allowed for this site. Allow it in the browser’s settings, or bring the meal as a file.',
    );
  return say('No camera could be used here. Bring the meal as a file.');
}
