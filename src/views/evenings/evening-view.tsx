'use client';

import { addDays, format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { firstTableAt } from '@/core/live/at-hour';
import type { Evening } from '@/core/live/evening';
import type { NewEvent, Rating } from '@/core/live/events';
import { learnFrom } from '@/core/log/lessons';
import { type Landed, type LookBack, leftOvers, lookBack, proposalsFor, type Ratings } from '@/core/log/look-back';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { cookAgain } from '@/store/cook-again';
import { pantry } from '@/store/db';
import { storeDish } from '@/store/meals';
import { tell } from '@/store/sessions';
import { Button } from '@/ui/button';
import { printSpan } from '@/ui/clock';
import { Field } from '@/ui/field';
import { Link } from '@/ui/link';
import { Pills } from '@/ui/pills';
import { Say } from '@/ui/say';
import { useTitle } from '@/ui/title';
import { DriftChart, PlannedAndReal, SettlingChart } from './charts';

/** One evening looked back on: how it went, what to do otherwise, what is left. */
export function EveningView({ id }: { readonly id: string }) {
  const evening = useLiveQuery(async () => (await pantry().sessions.get(id)) ?? null, [id]);
  const all = useLiveQuery(() =>
    pantry()
      .sessions.filter(({ over }) => over)
      .toArray(),
  );
  useTitle('Evening', evening?.meal.name);
  if (evening === undefined || all === undefined) return <p className="mt-10 text-faint">{say('Opening…')}</p>;
  if (evening === null) {
    return (
      <p className="mt-10">
        <Say
          words="There is no such evening in this browser. <b>Go to the evenings</b>."
          marks={{ b: <Link href="/evenings" className="underline" /> }}
        />
      </p>
    );
  }
  const back = lookBack(evening);
  const report = (said: NewEvent) => void tell(pantry(), evening.id, said, Date.now());
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-4xl">{evening.meal.name}</h1>
          <p className="text-faint">
            {firstTableAt(evening) !== evening.tableAt
              ? say('{hour}, table at {table}, first set for {first}', {
                  hour: sayDay(evening.tableAt, 'date'),
                  table: format(evening.tableAt, 'HH:mm'),
                  first: format(firstTableAt(evening), 'HH:mm'),
                })
              : say('{hour}, table at {table}', {
                  hour: sayDay(evening.tableAt, 'date'),
                  table: format(evening.tableAt, 'HH:mm'),
                })}
          </p>
        </div>
        <CookAgain evening={evening} />
      </div>
      <div className="mt-6 grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
        <div className="grid min-w-0 gap-y-8">
          <OnTheTable back={back} report={report} />
          <section aria-label={say('Each step')} className="min-w-0">
            <h2 className="text-2xl">{say('Each step')}</h2>
            <Steps back={back} evening={evening} />
          </section>
        </div>
        <div className="grid min-w-0 gap-y-8">
          <NextTime evening={evening} all={all} />
          <section aria-label={say('Planned and real')} className="min-w-0">
            <h2 className="text-2xl">{say('Planned and real')}</h2>
            <PlannedAndReal records={back.records} />
          </section>
          <section aria-label={say('Over the evening')} className="min-w-0">
            <h2 className="text-2xl">{say('Over the evening')}</h2>
            <DriftChart drift={back.drift} />
            <h3 className="mt-4 text-xl">{say('How the estimates settle')}</h3>
            <SettlingChart evenings={[...all].sort((a, b) => a.tableAt - b.tableAt)} />
            <Notes back={back} />
          </section>
        </div>
      </div>
    </>
  );
}

const ratingWords = (): readonly (readonly [keyof Ratings, string, readonly [string, string, string]])[] => [
  ['salt', say('Salt'), [say('too little'), say('right'), say('too much')]],
  ['wetness', say('Wetness'), [say('too dry'), say('right'), say('too wet')]],
  ['doneness', say('Done'), [say('not enough'), say('right'), say('too much')]],
];

interface OnTheTableProps {
  readonly back: LookBack;
  readonly report: (said: NewEvent) => void;
}

function OnTheTable({ back, report }: OnTheTableProps) {
  return (
    <section aria-label={say('On the table')} className="min-w-0">
      <h2 className="text-2xl">{say('On the table')}</h2>
      <ul className="mt-2 border-t border-line">
        {back.landed.map((landed) => (
          <li key={landed.dishId} className="border-b border-line py-3" aria-label={landed.dishName}>
            <p className="text-lg font-semibold">{landed.dishName}</p>
            <p className="text-faint">{landedWords(landed)}</p>
            <div className="mt-1 flex flex-wrap gap-x-6 gap-y-2">
              {ratingWords().map(([side, label, words]) => (
                <Pills
                  key={side}
                  label={label}
                  value={landed.ratings[side] === undefined ? '' : String(landed.ratings[side])}
                  options={words.map((word, index) => [String(index - 1), word] as const)}
                  onChange={(value) => report({ kind: 'rated', dish: landed.dishId, [side]: Number(value) as Rating })}
                />
              ))}
              <Field
                label={say('Portions left')}
                type="number"
                min={0}
                max={200}
                className="w-20"
                defaultValue={landed.leftOver || ''}
                onBlur={(event) => {
                  const portions = Number(event.target.value);
                  if (Number.isFinite(portions) && portions >= 0 && portions <= 200 && portions !== landed.leftOver)
                    report({ kind: 'left-over', dish: landed.dishId, portions });
                }}
              />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function landedWords({ readyAt, minutes }: Landed): string {
  if (readyAt === null) return say('never came to the table');
  const when = say('ready at {hour}', { hour: format(readyAt, 'HH:mm') });
  return minutes > 0
    ? say('{when}, {span} late', { when, span: printSpan(minutes) })
    : minutes < 0
      ? say('{when}, waited {minutes} min', { when, minutes: -minutes })
      : say('{when}, to the minute', { when });
}

function NextTime({ evening, all }: { readonly evening: Evening; readonly all: readonly Evening[] }) {
  const dishes = useLiveQuery(() => pantry().dishes.bulkGet(evening.meal.dishes.map(({ id }) => id)), [evening.id]);
  const [told, setTold] = useState('');
  const proposals = proposalsFor(
    evening,
    learnFrom(all),
    (dishes ?? []).filter((dish) => dish !== undefined),
  );
  const left = leftOvers(evening);
  return (
    <section aria-label={say('Next time')} className="min-w-0">
      <h2 className="text-2xl">{say('Next time')}</h2>
      {proposals.length === 0 && (
        <p className="text-faint">
          {say('Everything took about as long as planned. Say how the dishes were, and more may follow.')}
        </p>
      )}
      <ul className="mt-2 border-t border-line">
        {proposals.map(({ id, says, because, dish }) => (
          <li key={id} className="flex items-center justify-between gap-4 border-b border-line py-2">
            <span>
              {says}
              <span className="block text-sm text-faint">
                {because}
                {dish === null && say(' Plans learn it by themselves.')}
              </span>
            </span>
            {dish && (
              <Button
                aria-label={say('Do this next time: {says}', { says })}
                onClick={async () => {
                  const fault = await storeDish(pantry(), dish);
                  setTold(fault ? fault.sentence : say('{dish} is changed: {says}', { dish: dish.name, says }));
                }}
              >
                {say('do this next time')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <p role="status">{told}</p>
      {left.length > 0 && (
        <ul aria-label={say('Left over')} className="mt-3">
          {left.map(({ dishId, dishName, portions, coldBy, eatBy }) => (
            <li key={dishId}>
              {say('{portions} of {dish} left: in the fridge by {hour}, eaten by {table}. Local rules come first.', {
                portions,
                dish: dishName,
                hour: format(coldBy, 'HH:mm'),
                table: `${sayDay(eatBy, 'weekday')} ${format(eatBy, 'HH:mm')}`,
              })}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Steps({ back, evening }: { readonly back: LookBack; readonly evening: Evening }) {
  const nameOf = (id: string | null) => evening.meal.kitchen.people.find((person) => person.id === id)?.name ?? '';
  return (
    <table className="mt-3 w-full text-start">
      <thead>
        <tr className="text-faint">
          <th className="py-1 font-normal">{say('Step')}</th>
          <th className="py-1 font-normal">{say('Who')}</th>
          <th className="py-1 text-end font-normal">{say('Planned')}</th>
          <th className="py-1 text-end font-normal">{say('Real')}</th>
        </tr>
      </thead>
      <tbody>
        {back.records.map((record) => (
          <tr key={record.key} className="border-t border-line">
            <td className="py-1">
              {record.name}, {record.dishName}
            </td>
            <td className="py-1 text-faint">{nameOf(record.person)}</td>
            <td className="py-1 text-end">{Math.round(record.planned)}</td>
            <td className="py-1 text-end">{Math.round(record.real)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Notes({ back }: { readonly back: LookBack }) {
  if (back.notes.length === 0) return null;
  return (
    <>
      <h3 className="mt-4 text-xl">{say('Notes')}</h3>
      <ul>
        {back.notes.map(({ at, text, photo }) => (
          <li key={at}>
            {format(at, 'HH:mm')} {text}
            {photo && <Photo id={photo} />}
          </li>
        ))}
      </ul>
    </>
  );
}

function Photo({ id }: { readonly id: string }) {
  const kept = useLiveQuery(() => pantry().photos.get(id), [id]);
  if (!kept) return null;
  // biome-ignore lint/performance/noImgElement: a picture of this browser's own, from no server
  return <img alt={say('Kept with the note')} src={URL.createObjectURL(kept.blob)} className="mt-1 max-h-60" />;
}

function CookAgain({ evening }: { readonly evening: Evening }) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  return (
    <span className="flex items-center gap-4">
      {fault && <span className="text-warn">{fault}</span>}
      <Button
        look="strong"
        onClick={async () => {
          const made = await cookAgain(pantry(), evening, addDays(new Date(), 1));
          if (made.ok) router.push(`/meals/${encodeURIComponent(made.id)}`);
          else setFault(made.sentence);
        }}
      >
        {say('Cook it again')}
      </Button>
    </span>
  );
}
