'use client';

import { format } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { EARLIER_ANSWERS, type Earlier, type EarlierAnswer, earlierThan, settling } from '@/core/live/settle';
import type { Meal } from '@/core/meal/meal';
import { tableInstant } from '@/core/plain/wall-clock';
import { sayDay } from '@/core/say/days';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { beginSession, openSession, tell, wasPutAway } from '@/store/sessions';
import { Button } from '@/ui/button';
import { useNow } from '@/ui/clock';
import { Say } from '@/ui/say';
import type { PlanState } from '@/views/shell/use-plan';

/** What was planned so long ago is likely done, ms. */
const LONG_AGO = 3 * 3_600_000;

/** Before an evening begins: what is first, and the press that begins. */
export function Before({
  meal,
  planned,
}: {
  readonly meal: Meal;
  readonly planned: Pick<PlanState, 'plan' | 'refusals' | 'earlier'>;
}) {
  const { refusals, earlier: before } = planned;
  const plan = before ?? planned.plan;
  const [busy, setBusy] = useState(false);
  const [answers, setAnswers] = useState<Readonly<Record<string, EarlierAnswer>>>({});
  const now = useNow(30_000);
  const putAway = useLiveQuery(() => wasPutAway(pantry(), meal), [meal]);
  const first = planned.plan?.steps[0] ?? plan?.steps[0];
  const canBegin = plan && first && (before !== null || refusals.length === 0);
  const stored = putAway && (
    <p className="mb-6 max-w-prose text-lg" data-testid="put-away">
      {canBegin
        ? say('This evening is put away. It can be begun again.')
        : say('This evening is put away. To cook the meal again, choose another day on the menu.')}
    </p>
  );
  if (!canBegin) {
    return (
      <div className="mt-8">
        {stored || (
          <p className="max-w-prose text-lg">
            {say('There is no plan to cook from yet. {sentence}', {
              sentence: refusals[0]?.sentence ?? say('Look at the menu: it says what is in the way.'),
            })}
          </p>
        )}
      </div>
    );
  }
  const tableAt = tableInstant(meal);
  const at = tableAt + first.start * 60_000;
  const earlier = now === null ? [] : earlierThan(plan, tableAt, now);
  // What was planned for another day or long before is likely done; what was planned a while ago likely waits for this cook.
  const answerOf = ({ dishId, at }: Earlier, instant: number) =>
    answers[dishId] ?? (at < instant - LONG_AGO ? 'done' : 'not done');
  const begin = async () => {
    setBusy(true);
    const instant = Date.now();
    const said = earlierThan(plan, tableAt, instant).flatMap((each) =>
      settling(each, answerOf(each, instant), tableAt, instant),
    );
    await beginSession(pantry(), meal, said.length > 0 ? plan : (planned.plan ?? plan), instant)
      .then(async () => {
        const session = said.length > 0 ? await openSession(pantry(), meal.id) : undefined;
        if (session) await tell(pantry(), session.id, said, instant);
      })
      .finally(() => setBusy(false));
  };
  return (
    <div className="mt-8 max-w-prose">
      {stored}
      <p className="text-2xl">
        <Say
          words="The first thing to do is {first} ({dish}), {day} at {hour}."
          values={{
            first: <strong>{first.name}</strong>,
            dish: first.dishName,
            day: sayDay(at, 'weekday'),
            hour: format(at, 'HH:mm'),
          }}
        />
      </p>
      {earlier.length > 0 && (
        <section aria-label={say('Before now')} className="mt-5">
          <h2 className="text-2xl">{say('By the plan this is behind you. Is it?')}</h2>
          <ul className="mt-2">
            {earlier.map((each) => (
              <li key={each.dishId} className="border-b border-line py-3">
                <p className="text-lg">
                  <strong className="font-semibold">{each.dishName}</strong>,{' '}
                  {`${sayDay(each.at, 'short weekday')} ${format(each.at, 'HH:mm')}`}:{' '}
                  {each.steps.map(({ name }) => name).join(say(', '))}
                </p>
                <div className="mt-2 flex flex-wrap gap-2">
                  {EARLIER_ANSWERS.map((answer) => (
                    <Button
                      key={answer}
                      className={`min-h-16 px-5 text-lg ${answerOf(each, now ?? 0) === answer ? 'outline-3 outline-ember' : ''}`}
                      aria-label={say('{name}: {words}', { name: each.dishName, words: answer })}
                      aria-pressed={answerOf(each, now ?? 0) === answer}
                      onClick={() => setAnswers((before) => ({ ...before, [each.dishId]: answer }))}
                    >
                      {answer}
                    </Button>
                  ))}
                </div>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="mt-3 text-lg text-faint">
        {say(
          'Begin any time: the view waits with you. What you press is kept at once, also when the tab is closed or the battery dies.',
        )}
      </p>
      <Button look="strong" big className="mt-6" disabled={busy} onClick={() => void begin()}>
        {say('Begin at the stove')}
      </Button>
    </div>
  );
}
