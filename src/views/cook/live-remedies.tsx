'use client';

import { format } from 'date-fns';
import { useEffect, useRef, useState } from 'react';
import type { Evening } from '@/core/live/evening';
import type { FoundRemedy } from '@/core/live/live-remedies';
import { isTrouble, lateOffer, type Trouble, troubleOf } from '@/core/live/offer';
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
  const [more, setMore] = useState(false);
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
  // On a phone the first answer stands alone, so that the pots stay in sight.
  const aside = more ? '' : 'hidden md:list-item';
  return (
    <section aria-label="The hour" className="border-t border-line px-5 py-3 sm:px-8">
      <p aria-live="polite" className="text-lg md:text-xl">
        {words}
      </p>
      <ul className="mt-2 flex flex-wrap items-start gap-x-6 gap-y-3">
        {offer && (
          <Option
            says={`agree on ${format(offer.newTable, 'HH:mm')}`}
            leadsTo={ways?.find(({ id }) => id === atOnce)?.leadsTo ?? `the table waits ${offer.minutes} min`}
            strong
            onPress={() => told.later(offer.minutes)}
          />
        )}
        {others.map((way, index) => (
          <Option
            key={way.id}
            className={offer || index > 0 ? aside : ''}
            says={saysOf(session, way)}
            leadsTo={[way.how, way.leadsTo].filter(Boolean).join(' · ')}
            strong={!offer && index === 0}
            onPress={() => told.take(way)}
          />
        ))}
        <Option
          says={offer ? 'the hour stays' : 'leave it so'}
          leadsTo={offer ? `${printSpan(offer.late)} late` : ''}
          className={aside}
          onPress={told.keepHour}
        />
        {!more && (
          <li className="md:hidden">
            <Button className="min-h-14 px-4 text-lg" onClick={() => setMore(true)}>
              {others.length + (offer ? 1 : 0)} more…
            </Button>
          </li>
        )}
      </ul>
      {ways === null && (
        <p role="status" className="mt-1 text-lg text-faint">
          Looking what else can be done…
        </p>
      )}
    </section>
  );
}

interface OptionProps {
  readonly says: string;
  readonly leadsTo: string;
  readonly strong?: boolean;
  readonly className?: string;
  readonly onPress: () => void;
}

function Option({ says, leadsTo, strong = false, className = '', onPress }: OptionProps) {
  return (
    <li className={`max-w-sm ${className}`}>
      <Button
        className="min-h-14 rounded-xl px-5 text-xl"
        {...(strong ? { look: 'strong' as const } : {})}
        onClick={onPress}
      >
        {says}
      </Button>
      {leadsTo && <p className="mt-1 leading-snug text-faint">{leadsTo}</p>}
    </li>
  );
}

/** Another hour is said as the clock says it. */
function saysOf({ tableAt }: Evening, { says, does }: FoundRemedy): string {
  const [only] = does;
  return only?.kind === 'hour' ? `agree on ${format(tableAt + only.minutes * MINUTE, 'HH:mm')}` : says;
}

function wordsOf({ tableAt }: Evening, { late, spoilt }: Trouble): string {
  const last = late.at(-1);
  const clock = (minute: number) => format(tableAt + minute * MINUTE, 'HH:mm');
  return [
    ...(last ? [`${listed(late.map(({ dishName }) => dishName))} will be there at ${clock(last.ready)}.`] : []),
    ...(spoilt.length > 1
      ? [`${listed(spoilt.map(({ dishName }) => dishName))} would stand longer than they bear.`]
      : spoilt.map(
          ({ dishName, waits, mostMinutes }) => `${dishName} would stand ${waits} min; it bears ${mostMinutes}.`,
        )),
  ].join(' ');
}
