'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Evening } from '@/core/live/evening';
import { sayClockAhead } from '@/core/live/two-screens';
import { say } from '@/core/say/say';
import { invite, part, takeAnswer } from '@/link/screens';
import { Button } from '@/ui/button';
import { useScreens } from './use-screens';

const Codes = dynamic(() => import('@/views/files/codes').then((codes) => codes.Codes), { ssr: false });
const CodeRead = dynamic(() => import('@/views/files/code-read').then((code) => code.CodeRead), { ssr: false });

const LINE = 'flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line px-5 py-1 text-lg sm:px-8';

/** How this screen is joined to another: its code, the other's answer, and what is to be said while they are together or apart. */
export function TwoScreens({ session }: { readonly session: Evening }) {
  const screens = useScreens(session.id);
  switch (screens.kind) {
    case 'alone':
      return null;
    case 'inviting':
      return <Inviting frames={screens.frames} />;
    case 'answering':
      return <Answering frames={screens.frames} text={screens.text} />;
    case 'together': {
      const clocks = sayClockAhead(screens.ahead);
      return (
        clocks && (
          <p role="status" className={LINE}>
            {clocks}
          </p>
        )
      );
    }
    case 'apart':
      return <Apart session={session} sentence={screens.sentence} />;
  }
}

function Apart({ session, sentence }: { readonly session: Evening; readonly sentence: string }) {
  const [fault, setFault] = useState(false);
  return (
    <div role="status" className={LINE} data-testid="apart">
      <p className="max-w-prose">{fault ? notMade() : sentence}</p>
      <Button
        className="min-h-16 text-lg"
        onClick={() => invite(session.mealId, session.id).then(() => setFault(false), failed(setFault))}
      >
        {say('join them again')}
      </Button>
      <Button look="quiet" className="min-h-16 text-lg" onClick={part}>
        {say('leave it so')}
      </Button>
    </div>
  );
}

const notMade = () => say('The code could not be made. Each screen goes on by itself.');
const failed = (tell: (fault: boolean) => void) => (error: unknown) => {
  console.error(error);
  tell(true);
};

function Inviting({ frames }: { readonly frames: readonly Uint8Array[] }) {
  const [reads, setReads] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const take = async (text: string) => {
    setReads(false);
    setFault(await takeAnswer(text));
  };
  if (reads)
    return (
      <CodeRead
        dress="night"
        title={say('The code of the other screen')}
        where={say('Hold the other screen before this camera. Both follow the evening as soon as it is read.')}
        onRead={(text) => void take(text)}
        onClose={() => setReads(false)}
      >
        <Pasted onText={(text) => void take(text)} />
      </CodeRead>
    );
  return (
    <Sheet title={say('Cook on two screens')} onClose={part}>
      <p className="mt-1">
        {say(
          'On the other device, in the same network: open Warm Cadence, press “Take a meal over by its code” among the files, and hold its camera here. Then it shows a code of its own.',
        )}
      </p>
      {fault && (
        <p role="alert" className="mt-3 border-s-4 border-warn ps-3">
          {fault}
        </p>
      )}
      <Codes frames={frames} of={say('The evening')}>
        <span className="ms-auto flex gap-3">
          <Button onClick={part}>{say('Give up')}</Button>
          <Button look="strong" onClick={() => setReads(true)}>
            {say('Read its code')}
          </Button>
        </span>
      </Codes>
    </Sheet>
  );
}

/** For a device without a camera: the other's answer as text. */
function Pasted({ onText }: { readonly onText: (text: string) => void }) {
  const [text, setText] = useState('');
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onText(text.trim());
      }}
    >
      <label className="grow">
        <span className="block text-faint">{say('Without a camera: copy it there as text, and paste it here')}</span>
        <input
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="w-full rounded-lg border border-line bg-ground px-3 py-2"
          autoComplete="off"
          spellCheck={false}
        />
      </label>
      <Button type="submit" disabled={!text.trim()}>
        {say('Take it')}
      </Button>
    </form>
  );
}

function Answering({ frames, text }: { readonly frames: readonly Uint8Array[]; readonly text: string }) {
  const [copied, setCopied] = useState('');
  const copy = () =>
    navigator.clipboard.writeText(text).then(
      () => setCopied(say('Copied.')),
      () => setCopied(say('This browser does not let it be copied.')),
    );
  return (
    <Sheet title={say('The evening is here')} onClose={part}>
      <p className="mt-1">
        {say(
          'To follow it on both screens, press “Read its code” on the other one and hold this before its camera. This screen can also go on by itself.',
        )}
      </p>
      <Codes frames={frames} of={say('The answer')}>
        <Button onClick={() => void copy()}>{say('Copy it as text')}</Button>
        <span role="status">{copied}</span>
        <Button look="strong" className="ms-auto" onClick={part}>
          {say('Go on by itself')}
        </Button>
      </Codes>
    </Sheet>
  );
}

interface SheetProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: React.ReactNode;
}

function Sheet({ title, onClose, children }: SheetProps) {
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div
        data-dress="night"
        className="fixed inset-0 grid place-items-center overflow-y-auto bg-black/50 p-4 text-ink"
      >
        <DialogPanel className="w-full max-w-2xl rounded-xl bg-paper p-5">
          <DialogTitle className="text-2xl">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}

/** Joining this evening to another screen, and ending that. */
export function JoinScreens({ session, onAsked }: { readonly session: Evening; readonly onAsked: () => void }) {
  const screens = useScreens(session.id);
  const [fault, setFault] = useState(false);
  if (screens.kind === 'together')
    return (
      <Button className="min-h-16 text-lg" onClick={part}>
        {say('part from the other screen')}
      </Button>
    );
  return (
    <>
      <Button
        className="min-h-16 text-lg"
        onClick={() => invite(session.mealId, session.id).then(onAsked, failed(setFault))}
      >
        {say('Cook on two screens')}
      </Button>
      {fault && <span role="alert">{notMade()}</span>}
    </>
  );
}
