'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import isEqual from 'fast-deep-equal';
import { useEffect, useRef, useState } from 'react';
import { openAny } from '@/core/formats/any-file';
import type { BackupFile } from '@/core/formats/backup-file';
import type { MealFile } from '@/core/formats/meal-file';
import { type Answer, type Clash, clashKey } from '@/core/formats/merge';
import { pantry } from '@/store/db';
import { backup, bringIn, clashesWith, REMIND_AFTER_DAYS, restore, wantsBackup } from '@/store/files';
import { storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { saveFile } from '@/ui/download';
import { Pills } from '@/ui/pills';

/** A meal file whose clashes wait for answers. */
interface Asked {
  readonly name: string;
  readonly file: MealFile;
  readonly clashes: readonly Clash[];
}

type Waiting =
  | { readonly kind: 'clashes'; readonly asked: Asked }
  | { readonly kind: 'restore'; readonly file: BackupFile };

/** Files in and out: meals dropped anywhere on the page, everything backed up, and put back. */
export function Files() {
  const [told, setTold] = useState<readonly string[]>([]);
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const say = (sentence: string) => setTold((before) => [...before, sentence]);

  const open = async (files: readonly File[]) => {
    setTold([]);
    for (const file of files) {
      const read = openAny(await file.text());
      if (!read.ok) {
        say(`${file.name}: ${read.sentence}`);
        continue;
      }
      const opened = read.value;
      if (opened.kind === 'backup') {
        setWaiting((before) => [...before, { kind: 'restore', file: opened.file }]);
      } else if (opened.kind === 'dish') {
        say(await bringDish(opened.dish));
      } else {
        const clashes = await clashesWith(pantry(), opened.file);
        if (clashes.length === 0) say(await bring(opened.file, {}));
        else
          setWaiting((before) => [
            ...before,
            { kind: 'clashes', asked: { name: file.name, file: opened.file, clashes } },
          ]);
      }
    }
  };
  const openRef = useRef(open);
  openRef.current = open;

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
      void openRef.current([...event.dataTransfer.files]);
    };
    window.addEventListener('dragover', hold);
    window.addEventListener('dragleave', leave);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', hold);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('drop', drop);
    };
  }, []);

  const save = async () => {
    const now = Date.now();
    const file = await backup(pantry(), now);
    saveFile(
      `warm-cadence-${format(now, 'yyyy-MM-dd')}.json`,
      new Blob([JSON.stringify(file)], { type: 'application/json' }),
    );
    await pantry().settings.put({ name: 'backed up', value: now });
    setTold(['Saved: everything is in that file. Keep it somewhere else than on this machine.']);
  };
  const [first, ...rest] = waiting;
  return (
    <section aria-label="Files" className="mt-10">
      <h2 className="text-2xl">Files</h2>
      <Reminder onSave={() => void save()} />
      <div className={`mt-2 rounded-lg border-2 border-dashed p-4 ${over ? 'border-ember' : 'border-line'}`}>
        <p>Drop meals, dishes or a backup anywhere on this page, several at once if you like.</p>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => input.current?.click()}>Open files</Button>
          <Button onClick={() => void save()}>Back up everything</Button>
          <input
            ref={input}
            type="file"
            multiple
            accept=".json,application/json"
            aria-label="Files to open"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void open([...(event.target.files ?? [])]);
              event.target.value = '';
            }}
          />
        </div>
        <ul role="status" className="mt-2">
          {told.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      </div>
      <Kept />
      {first?.kind === 'clashes' && (
        <Clashes
          key={first.asked.name}
          asked={first.asked}
          onAnswer={async (answers) => {
            setWaiting(rest);
            say(answers ? await bring(first.asked.file, answers) : `${first.asked.name}: left where it is.`);
          }}
        />
      )}
      {first?.kind === 'restore' && (
        <Restore
          file={first.file}
          onAnswer={async (yes) => {
            setWaiting(rest);
            if (!yes) return say('Everything stays as it is.');
            try {
              await restore(pantry(), first.file);
              say('Put back: everything is as it was in that file.');
            } catch (error) {
              console.error(error);
              say('The backup could not be put back, and nothing was changed. Try it in a browser with more room.');
            }
          }}
        />
      )}
    </section>
  );
}

async function bring(file: MealFile, answers: Readonly<Record<string, Answer>>): Promise<string> {
  try {
    const { name } = await bringIn(pantry(), file, answers, Date.now());
    return `${name} is here.`;
  } catch (error) {
    console.error(error);
    return `${file.meal.name} could not be stored, and nothing was changed. There may be no room left in this browser.`;
  }
}

/** A dish that is here already and differs comes in beside it. */
async function bringDish(dish: Parameters<typeof storeDish>[1]): Promise<string> {
  if (isEqual(await pantry().dishes.get(dish.id), dish)) return `${dish.name} is among the dishes already.`;
  let id = dish.id;
  for (let count = 2; await pantry().dishes.get(id); count++) id = `${dish.id}-${count}`;
  const fault = await storeDish(pantry(), { ...dish, id });
  return fault ? fault.sentence : `${dish.name} is among the dishes.`;
}

function Reminder({ onSave }: { readonly onSave: () => void }) {
  const wants = useLiveQuery(() => wantsBackup(pantry(), Date.now()));
  if (!wants) return null;
  return (
    <p role="note" className="mt-2 flex flex-wrap items-center gap-4 border-l-4 border-warn pl-3">
      For more than {REMIND_AFTER_DAYS} days nothing was backed up, and meals have changed since.
      <Button onClick={onSave}>Back up now</Button>
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
  if (kept) return <p className="mt-2 text-faint">This browser keeps what is stored here until you clear it.</p>;
  return (
    <p className="mt-2 text-faint">
      This browser may clear what is stored here when it runs short of room.{' '}
      {asked ? (
        'It was asked, and does not promise more: back up now and then.'
      ) : (
        <Button
          look="quiet"
          className="px-0"
          onClick={async () => {
            setKept(await navigator.storage.persist());
            setAsked(true);
          }}
        >
          Ask it to keep it
        </Button>
      )}
    </p>
  );
}

interface ClashesProps {
  readonly asked: Asked;
  readonly onAnswer: (answers: Readonly<Record<string, Answer>> | null) => void;
}

const SHEET = 'fixed inset-0 z-10 grid place-items-center overflow-y-auto bg-black/50 p-4';
const PANEL = 'w-full max-w-2xl rounded-xl bg-paper p-6';

/** What is here and in a file under one name and not the same: nothing is overwritten without a word. */
function Clashes({ asked, onAnswer }: ClashesProps) {
  const [answers, setAnswers] = useState<Record<string, Answer>>({});
  return (
    <Dialog open onClose={() => onAnswer(null)} className="relative z-10">
      <div className={SHEET}>
        <DialogPanel className={PANEL}>
          <DialogTitle className="text-2xl">{asked.name} meets what is here</DialogTitle>
          <ul className="mt-3 border-t border-line">
            {asked.clashes.map((clash) => (
              <li key={clashKey(clash)} className="border-b border-line py-3">
                <p>
                  The {clash.kind} <strong className="font-semibold">{clash.mine}</strong> differs in {clash.differs}.
                </p>
                <Pills
                  label={`Which ${clash.kind} ${clash.mine}?`}
                  value={answers[clashKey(clash)] ?? 'both'}
                  options={[
                    ['both', 'keep both'],
                    ['mine', 'keep mine'],
                    ['theirs', 'take the file’s'],
                  ]}
                  onChange={(answer) => setAnswers({ ...answers, [clashKey(clash)]: answer })}
                />
              </li>
            ))}
          </ul>
          <div className="mt-4 flex gap-3">
            <Button look="strong" onClick={() => onAnswer(answers)}>
              Bring it in
            </Button>
            <Button onClick={() => onAnswer(null)}>Leave it</Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

function Restore({ file, onAnswer }: { readonly file: BackupFile; readonly onAnswer: (yes: boolean) => void }) {
  return (
    <Dialog open onClose={() => onAnswer(false)} className="relative z-10">
      <div className={SHEET}>
        <DialogPanel className={PANEL}>
          <DialogTitle className="text-2xl">Put this backup in the place of everything here?</DialogTitle>
          <p className="mt-3">
            It was saved on {format(file.savedAt, 'EEEE d MMMM yyyy, HH:mm')} and holds {file.meals.length} meals,{' '}
            {file.dishes.length} dishes, {file.kitchens.length} kitchens and {file.evenings.length} evenings. What is in
            this browser now goes; back that up first if you are not sure.
          </p>
          <div className="mt-4 flex gap-3">
            <Button look="strong" onClick={() => onAnswer(true)}>
              Put it back
            </Button>
            <Button onClick={() => onAnswer(false)}>Keep what is here</Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
