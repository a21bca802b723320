'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import isEqual from 'fast-deep-equal';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { type RefObject, useEffect, useRef, useState } from 'react';
import type { BackupFile } from '@/core/formats/backup-file';
import type { MealFile } from '@/core/formats/meal-file';
import type { Answer } from '@/core/formats/merge';
import { say } from '@/core/say/say';
import { join } from '@/link/screens';
import { REMIND_AFTER_DAYS, wantsBackup } from '@/store/backed-up';
import { pantry } from '@/store/db';
import { storeDish } from '@/store/meals';
import { openSession } from '@/store/sessions';
import { Button } from '@/ui/button';
import { saveFile } from '@/ui/download';
import { KeptHere } from '@/views/shell/installation';
import type { Asked, Brings } from './asked';

// What reads and writes files checks every field of them, and is fetched when there is a file.
const reader = () => import('@/core/formats/any-file');
const filer = () => import('@/store/files');
const Clashes = dynamic(() => import('./asked').then((asked) => asked.Clashes));
const CodeRead = dynamic(() => import('./code-read').then((code) => code.CodeRead), { ssr: false });
const Restore = dynamic(() => import('./asked').then((asked) => asked.Restore));
const notFetched = () =>
  say(
    'What reads and writes files could not be fetched from the server, and nothing was changed. Try again when there is a network.',
  );

type Waiting =
  | { readonly kind: 'clashes'; readonly asked: Asked }
  | { readonly kind: 'restore'; readonly file: BackupFile };

/** What was opened with the app by the device; not every browser has it. */
interface LaunchQueue {
  readonly setConsumer: (
    consumer: (launched: { readonly files: readonly { readonly getFile: () => Promise<File> }[] }) => void,
  ) => void;
}
const launchQueue = () => (window as { readonly launchQueue?: LaunchQueue }).launchQueue;

/** Files in and out: meals dropped anywhere on the page, everything backed up, and put back. */
export function Files() {
  const [told, setTold] = useState<readonly string[]>([]);
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [reads, setReads] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const report = (sentence: string) => setTold((before) => [...before, sentence]);

  const router = useRouter();
  const bringAndSay = async ({ file, goesOn, offer }: Brings, answers: Readonly<Record<string, Answer>>) => {
    const brought = await bring(file, answers);
    report(brought.sentence);
    if (!goesOn || brought.id === null) return;
    const runs = await openSession(pantry(), brought.id);
    if (runs && offer !== undefined) {
      try {
        await join(runs.id, offer);
      } catch (error) {
        console.error(error);
        report(say('The screens could not be joined: this one goes on by itself.'));
      }
    }
    router.push(`/meals/${encodeURIComponent(brought.id)}${runs ? '/cook' : ''}`);
  };
  /** `goesOn`: whoever took a meal over by its code goes on with it here. */
  const open = async (files: readonly File[], goesOn = false) => {
    setTold([]);
    const fetched = await Promise.all([reader(), filer()]).catch(() => null);
    if (!fetched) return report(notFetched());
    const [{ openAny }, { clashesWith }] = fetched;
    for (const file of files) {
      const read = openAny(await file.text());
      if (!read.ok) {
        report(`${file.name}: ${read.sentence}`);
        continue;
      }
      const opened = read.value;
      if (opened.kind === 'backup') {
        setWaiting((before) => [...before, { kind: 'restore', file: opened.file }]);
      } else if (opened.kind === 'dish') {
        report(await bringDish(opened.dish));
      } else {
        const clashes = await clashesWith(pantry(), opened.file);
        const brings = { file: opened.file, goesOn, ...(opened.offer === undefined ? {} : { offer: opened.offer }) };
        if (clashes.length === 0) await bringAndSay(brings, {});
        else setWaiting((before) => [...before, { kind: 'clashes', asked: { name: file.name, clashes, ...brings } }]);
      }
    }
  };
  const openRef = useRef(open);
  openRef.current = open;

  const over = useHandedIn(openRef);

  const save = async () => {
    const now = Date.now();
    const fetched = await filer().catch(() => null);
    if (!fetched) return setTold([notFetched()]);
    const file = await fetched.backup(pantry(), now);
    saveFile(
      `warm-cadence-${format(now, 'yyyy-MM-dd')}.json`,
      new Blob([JSON.stringify(file)], { type: 'application/json' }),
    );
    await pantry().settings.put({ name: 'backed up', value: now });
    setTold([say('Saved: everything is in that file. Keep it somewhere else than on this machine.')]);
  };
  const [first, ...rest] = waiting;
  return (
    <section aria-label={say('Files')} className="mt-10">
      <h2 className="text-2xl">{say('Files')}</h2>
      <Reminder onSave={() => void save()} />
      <div className={`mt-2 rounded-lg border-2 border-dashed p-4 ${over ? 'border-ember' : 'border-line'}`}>
        <p>{say('Drop meals, dishes or a backup anywhere on this page, several at once if you like.')}</p>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => input.current?.click()}>{say('Open files')}</Button>
          <Button onClick={() => void save()}>{say('Back up everything')}</Button>
          <Button onClick={() => setReads(true)}>{say('Take a meal over by its code')}</Button>
          <input
            ref={input}
            type="file"
            multiple
            accept=".json,.txt,application/json,text/plain"
            aria-label={say('Files to open')}
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void open([...(event.target.files ?? [])]);
              event.target.value = '';
            }}
          />
        </div>
        <div role="status" className="mt-2">
          {told.map((sentence) => (
            <p key={sentence}>{sentence}</p>
          ))}
        </div>
      </div>
      <Kept />
      <KeptHere />
      {reads && (
        <CodeRead
          title={say('A meal from another device')}
          where={say(
            'There: on the meal’s Paper, or in the evening at the stove, press “Show it as a code”. Hold the camera to it.',
          )}
          onClose={() => setReads(false)}
          onRead={(text) => {
            setReads(false);
            void open([new File([text], say('The code'))], true);
          }}
        />
      )}
      {first?.kind === 'clashes' && (
        <Clashes
          key={first.asked.name}
          asked={first.asked}
          onAnswer={async (answers) => {
            setWaiting(rest);
            if (answers) await bringAndSay(first.asked, answers);
            else report(say('{asked}: left where it is.', { asked: first.asked.name }));
          }}
        />
      )}
      {first?.kind === 'restore' && (
        <Restore
          file={first.file}
          onAnswer={async (yes) => {
            setWaiting(rest);
            if (!yes) return report(say('Everything stays as it is.'));
            try {
              await (await filer()).restore(pantry(), first.file);
              report(say('Put back: everything is as it was in that file.'));
            } catch (error) {
              console.error(error);
              report(
                say('The backup could not be put back, and nothing was changed. Try it in a browser with more room.'),
              );
            }
          }}
        />
      )}
    </section>
  );
}

/** Files that are dropped on the page, and those that the device opens with the installed app; whether some are held over it. */
function useHandedIn(open: RefObject<(files: readonly File[]) => Promise<void>>): boolean {
  const [over, setOver] = useState(false);
  useEffect(() => {
    // Files that the device opens with the installed app.
    launchQueue()?.setConsumer(({ files }) => {
      void Promise.all(files.map((handle) => handle.getFile())).then((opened) => open.current(opened));
    });
  }, [open]);

  useEffect(() => {
    const hold = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes('Files')) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent) => {
      setOver(false);
      if (!event.dataTransfer || event.dataTransfer.files.length === 0) return;
      event.preventDefault();
      void open.current([...event.dataTransfer.files]);
    };
    window.addEventListener('dragover', hold);
    window.addEventListener('dragleave', leave);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', hold);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('drop', drop);
    };
  }, [open]);
  return over;
}

interface Brought {
  readonly sentence: string;
  /** Of the meal; null where it could not be stored. */
  readonly id: string | null;
}

async function bring(file: MealFile, answers: Readonly<Record<string, Answer>>): Promise<Brought> {
  try {
    const { bringIn } = await filer();
    const { id, name } = await bringIn(pantry(), file, answers, Date.now());
    return { id, sentence: say('{name} is here.', { name }) };
  } catch (error) {
    console.error(error);
    const sentence = say(
      '{meal} could not be stored, and nothing was changed. There may be no room left in this browser.',
      { meal: file.meal.name },
    );
    return { id: null, sentence };
  }
}

/** A dish that is here already and differs comes in beside it. */
async function bringDish(dish: Parameters<typeof storeDish>[1]): Promise<string> {
  if (isEqual(await pantry().dishes.get(dish.id), dish))
    return say('{dish} is among the dishes already.', { dish: dish.name });
  let id = dish.id;
  for (let count = 2; await pantry().dishes.get(id); count++) id = `${dish.id}-${count}`;
  const fault = await storeDish(pantry(), { ...dish, id });
  return fault ? fault.sentence : say('{dish} is among the dishes.', { dish: dish.name });
}

function Reminder({ onSave }: { readonly onSave: () => void }) {
  const wants = useLiveQuery(() => wantsBackup(pantry(), Date.now()));
  if (!wants) return null;
  return (
    <p role="note" className="mt-2 flex flex-wrap items-center gap-4 border-s-4 border-warn ps-3">
      {say('For more than {days} days nothing was backed up, and meals have changed since.', {
        days: REMIND_AFTER_DAYS,
      })}
      <Button onClick={onSave}>{say('Back up now')}</Button>
    </p>
  );
}

/** Whether the browser promises to keep what is stored. */
function Kept() {
  const [kept, setKept] = useState<boolean | null>(null);
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    navigator.storage?.persisted?.().then(setKept, () => setKept(null));
  }, []);
  if (kept === null) return null;
  if (kept)
    return <p className="mt-2 text-faint">{say('This browser keeps what is stored here until you clear it.')}</p>;
  return (
    <p className="mt-2 text-faint">
      {say('This browser may clear what is stored here when it runs short of room.')}{' '}
      {asked ? (
        say('It was asked, and does not promise more: back up now and then.')
      ) : (
        <Button
          look="quiet"
          className="px-0"
          onClick={async () => {
            setKept(await navigator.storage.persist());
            setAsked(true);
          }}
        >
          {say('Ask it to keep it')}
        </Button>
      )}
    </p>
  );
}
