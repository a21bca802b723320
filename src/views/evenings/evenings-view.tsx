'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Evening } from '@/core/live/evening';
import { type Lesson, learnFrom } from '@/core/log/lessons';
import { leftOvers, lookBack } from '@/core/log/look-back';
import { isPartOf, nameOfUnit, readJoined } from '@/core/meal/keys';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { useNow } from '@/ui/clock';
import { Link } from '@/ui/link';
import { TickBox } from '@/ui/tick-box';
import { useTitle } from '@/ui/title';

/** The evenings that were, what is still left of them, and what they have taught. */
export function EveningsView() {
  useTitle('Evenings');
  const now = useNow(30_000);
  const evenings = useLiveQuery(() =>
    pantry()
      .sessions.filter(({ over }) => over)
      .toArray(),
  );
  if (!evenings || now === null) return <p className="mt-10 text-faint">{say('Opening…')}</p>;
  const sorted = [...evenings].sort((a, b) => b.tableAt - a.tableAt);
  return (
    <>
      <h1 className="mt-2 text-4xl">{say('Evenings')}</h1>
      {sorted.length === 0 && (
        <p className="mt-6 max-w-prose text-lg">
          {say(
            'Nothing was cooked and put away yet. Cook a meal: what you press at the stove is kept, and makes the next plan better.',
          )}
        </p>
      )}
      <InTheCold evenings={sorted} now={now} />
      <ul className="mt-4 border-t border-line">
        {sorted.map((evening) => {
          const { landed, records } = lookBack(evening);
          const late = landed.filter(({ minutes }) => minutes > 2).length;
          return (
            <li key={evening.id} className="border-b border-line py-3">
              <Link
                href={`/evenings/${encodeURIComponent(evening.id)}`}
                className="text-2xl underline decoration-line underline-offset-4"
              >
                {evening.meal.name}
              </Link>
              <p className="text-faint">
                {late === 0
                  ? say('{hour} · {landed} dishes · all in time · {records} steps timed', {
                      hour: `${sayDay(evening.tableAt, 'date')}, ${format(evening.tableAt, 'HH:mm')}`,
                      landed: landed.length,
                      records: records.length,
                    })
                  : say('{hour} · {landed} dishes · {late} late · {records} steps timed', {
                      hour: `${sayDay(evening.tableAt, 'date')}, ${format(evening.tableAt, 'HH:mm')}`,
                      landed: landed.length,
                      late,
                      records: records.length,
                    })}
              </p>
            </li>
          );
        })}
      </ul>
      {sorted.length > 0 && <Taught evenings={sorted} />}
    </>
  );
}

function InTheCold({ evenings, now }: { readonly evenings: readonly Evening[]; readonly now: number }) {
  const left = evenings.flatMap(leftOvers).filter(({ eatBy }) => eatBy > now - 86_400_000);
  if (left.length === 0) return null;
  return (
    <section aria-label={say('Left over')} className="mt-4">
      <h2 className="text-2xl">{say('Left over')}</h2>
      <ul>
        {left.map(({ dishId, dishName, portions, coldBy, eatBy, keeps }) => (
          <li key={`${dishId} ${eatBy}`} className={eatBy < now ? 'text-warn' : ''}>
            {say(
              '{portions, plural, one {# portion} other {# portions}} of {dish}: {keeping}. Local rules come first.',
              {
                portions,
                dish: dishName,
                keeping: [
                  now < coldBy ? say('in the fridge by {hour}', { hour: format(coldBy, 'HH:mm') }) : '',
                  eatBy < now
                    ? say('past its day ({keeps}), throw it away', { keeps })
                    : say('eat it by {hour} ({keeps})', {
                        hour: `${sayDay(eatBy, 'weekday')} ${format(eatBy, 'HH:mm')}`,
                        keeps,
                      }),
                ]
                  .filter(Boolean)
                  .join(say(', ')),
              },
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Taught({ evenings }: { readonly evenings: readonly Evening[] }) {
  const off = useLiveQuery(() => pantry().settings.get('learning'))?.value === 'off';
  const kitchens = useLiveQuery(() => pantry().kitchens.toArray()) ?? [];
  const lessons = learnFrom(evenings);
  const nameOf = (key: string, named: (kitchen: Kitchen, id: string) => string | undefined) => {
    const [kitchenId, id = ''] = readJoined(key);
    const kitchen = kitchens.find((each) => each.id === kitchenId);
    return kitchen ? `${named(kitchen, id) ?? id}, ${kitchen.name}` : id;
  };
  const personOf = ({ people }: Kitchen, id: string) => people.find((each) => each.id === id)?.name;
  const stepName = (key: string) => {
    for (const { plan } of evenings) {
      const step = plan.steps.find((each) => isPartOf(each.key, key));
      if (step) return say('{step}, {dish}', { step: step.name.replace(/ \d+\/\d+$/, ''), dish: step.dishName });
    }
    return key;
  };
  const rows = [
    ...[...lessons.burners].map(
      ([key, lesson]) => [say('{dish}: coming to the boil', { dish: nameOf(key, nameOfUnit) }), lesson] as const,
    ),
    ...[...lessons.hands].map(
      ([key, lesson]) => [say('{dish}: work of the hands', { dish: nameOf(key, personOf) }), lesson] as const,
    ),
    ...[...lessons.steps]
      .filter(([, { factor }]) => Math.abs(factor - 1) > 0.05)
      .map(([key, lesson]) => [stepName(key), lesson] as const),
  ];
  return (
    <section aria-label={say('What they have taught')} className="mt-8">
      <h2 className="text-2xl">{say('What they have taught')}</h2>
      <TickBox
        value={!off}
        onChange={(on) => void pantry().settings.put({ name: 'learning', value: on ? 'on' : 'off' })}
      >
        {say('Plan with the minutes that these evenings took')}
      </TickBox>
      <table className="mt-2 w-full max-w-3xl text-start">
        <thead>
          <tr className="text-faint">
            <th className="py-1 font-normal">{say('What')}</th>
            <th className="py-1 text-end font-normal">{say('Takes')}</th>
            <th className="py-1 text-end font-normal">{say('Nine in ten between')}</th>
            <th className="py-1 text-end font-normal">{say('Seen')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, lesson]) => (
            <tr key={name} className="border-t border-line">
              <td className="py-1.5">{name}</td>
              <td className="py-1.5 text-end">{times(lesson)}</td>
              <td className="py-1.5 text-end text-faint">
                {say('{low} and {high}', { low: percent(lesson.low), high: percent(lesson.high) })}
              </td>
              <td className="py-1.5 text-end">{say('{times} times', { times: lesson.times })}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function percent(factor: number): string {
  return `${Math.round(factor * 100)} %`;
}

function times({ factor }: Lesson): string {
  const off = Math.round((factor - 1) * 100);
  return off === 0
    ? say('as written')
    : off > 0
      ? say('{off} % longer', { off })
      : say('{off} % shorter', { off: -off });
}
