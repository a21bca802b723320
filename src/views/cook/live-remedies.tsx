'use client';

import { format } from 'date-fns';
import { useEffect, useRef, useState } from 'react';
import type { Evening } from '@/core/live/evening';
import type { FoundRemedy } from '@/core/live/live-remedies';
import { isTrouble, lateOffer, type Trouble, troubleOf } from '@/core/live/offer';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { Button } from '@/ui/button';
import { printSpan } from '@/ui/clock';
import { speak } from './calls';
import { useWays } from './use-live-remedies';
import type { Telling } from './use-session';

const MINUTE = 60_000;

interface WaysProps {
  readonly session: Evening;
  readonly told: Telling;
  readonly quiet: boolean;
}

/** When the hour cannot be kept, or something would stand too long: what can be done, and what each would lead to. */
export function Ways({ session, told, quiet }: WaysProps) {
  const trouble = troubleOf(session);
  const ways = useWays(session);
  const [open, setOpen] = useState(false);
  const words = wordsOf(session, trouble);
  const whose = [...trouble.late, ...trouble.spoilt].map(({ dishId }) => dishId).join(' ');
  const latest = useRef(words);
  latest.current = words;
  // Spoken when it is news: not again for every minute more or less.
  useEffect(() => {
    if (whose !== '' && !quiet) speak(latest.current);
  }, [whose, quiet]);
  if (!isTrouble(trouble)) return null;
  const offer = lateOffer(session);
  const atOnce = offer && `later ${offer.minutes}`;
  const others = ways?.filter(({ id }) => id !== atOnce) ?? [];
  const first = offer
    ? {
        says: say('agree on {hour}', { hour: format(offer.newTable, 'HH:mm') }),
        onPress: () => told.later(offer.minutes),
        leadsTo:
          ways?.find(({ id }) => id === atOnce)?.leadsTo ??
          say('the table waits {minutes} min', { minutes: offer.minutes }),
      }
    : null;
  const isClean = !ways?.find(({ id }) => id === atOnce)?.trouble.spoilt.length;
  // An offer that lets something stand too long is no equal of one that does not.
  const loud = first && (isClean || others.every(({ trouble: { spoilt } }) => spoilt.length > 0));
  const firstOther = others[0];
  return (
    <section aria-label={say('The hour')} className="border-t border-line px-5 py-2 sm:px-8">
      <div className="flex items-center gap-x-5">
        <p aria-live="polite" className="line-clamp-2 min-w-0 flex-1 text-lg leading-tight md:text-xl">
          {words}
        </p>
        <span className="flex gap-2">
          {!open && first && loud && (
            <Button className="hidden min-h-16 px-5 text-xl sm:block" onClick={first.onPress}>
              {first.says}
            </Button>
          )}
          {!open && !(first && loud) && firstOther && (
            <Button className="hidden min-h-16 px-5 text-xl sm:block" onClick={() => told.take(firstOther)}>
              {saysOf(session, firstOther)}
            </Button>
          )}
          <Button className="min-h-16 px-4 text-xl" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? say('less') : say('what now?')}
          </Button>
        </span>
      </div>
      {open && (
        <ul className="mt-2 flex flex-wrap items-start gap-x-6 gap-y-3">
          {first && <Option says={first.says} leadsTo={first.leadsTo} onPress={first.onPress} />}
          {others.map((way) => (
            <Option
              key={way.id}
              says={saysOf(session, way)}
              leadsTo={[way.how, way.leadsTo].filter(Boolean).join(' · ')}
              onPress={() => told.take(way)}
            />
          ))}
          <Option
            says={offer ? say('the hour stays') : say('leave it so')}
            leadsTo={offer ? say('{span} late', { span: printSpan(offer.late) }) : ''}
            onPress={told.keepHour}
          />
        </ul>
      )}
      {open && ways === null && (
        <p role="status" className="mt-1 text-lg text-faint">
          {say('Looking what else can be done…')}
        </p>
      )}
    </section>
  );
}

interface OptionProps {
  readonly says: string;
  readonly leadsTo: string;
  readonly onPress: () => void;
}

function Option({ says, leadsTo, onPress }: OptionProps) {
  return (
    <li className="max-w-sm">
      <Button className="min-h-16 rounded-xl px-5 text-xl" onClick={onPress}>
        {says}
      </Button>
      {leadsTo && <p className="mt-1 leading-snug text-faint">{leadsTo}</p>}
    </li>
  );
}

/** Another hour is said as the clock says it. */
function saysOf({ tableAt }: Evening, { says, does }: FoundRemedy): string {
  const [only] = does;
  return only?.kind === 'hour'
    ? say('agree on {hour}', { hour: format(tableAt + only.minutes * MINUTE, 'HH:mm') })
    : says;
}

function wordsOf({ tableAt }: Evening, { late, spoilt }: Trouble): string {
  const last = late.at(-1);
  const clock = (minute: number) => format(tableAt + minute * MINUTE, 'HH:mm');
  return [
    ...(last
      ? [
          say('{late} will be there at {hour}.', {
            late: listed(late.map(({ dishName }) => dishName)),
            hour: clock(last.ready),
          }),
        ]
      : []),
    ...(spoilt.length > 1
      ? [say('{spoilt} would stand longer than they bear.', { spoilt: listed(spoilt.map(({ dishName }) => dishName)) })]
      : spoilt.map(({ dishName, waits, mostMinutes }) =>
          say('{dish} would stand {waits} min; it bears {mostMinutes}.', { dish: dishName, waits, mostMinutes }),
        )),
  ].join(' ');
}
