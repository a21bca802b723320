'use client';

import { useMemo, useState } from 'react';
import { mealAsItIs } from '@/core/live/as-it-is';
import type { Evening } from '@/core/live/evening';
import { type Forgotten, forgottenOf, type Mishap, mishapsOf, type Rescue } from '@/core/live/rescues';
import { type LiveStep, liveSteps } from '@/core/live/session';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { Choice, Sheet } from './sheet';
import { useOutcomes } from './use-outcomes';
import type { Telling } from './use-session';

interface TroubleProps {
  readonly session: Evening;
  readonly dishId: string;
  /** The step that it is seen at; that of the dish which runs, or ended last, where none is told. */
  readonly live?: LiveStep;
  readonly told: Pick<Telling, 'take'>;
  readonly onClose: () => void;
}

/** What is wrong with a dish, then what saves it: each way with its minutes and what it leads to. */
export function Trouble({ session, dishId, live: shown, told, onClose }: TroubleProps) {
  const [at] = useState(() => Date.now());
  const [mishap, setMishap] = useState<Mishap | null>(null);
  const [forgets, setForgets] = useState(false);
  const patient = useMemo(() => {
    const steps = liveSteps(session, at);
    const meal = mealAsItIs(session, at);
    const dish = meal.dishes.find(({ id }) => id === dishId);
    const own = steps.filter(({ step, status }) => step.dishId === dishId && status !== 'waiting');
    const live = shown ?? own.find(({ status }) => status === 'running') ?? own.at(-1);
    return dish && live ? { meal, dish, live, at, steps } : null;
  }, [session, dishId, shown, at]);
  if (!patient) return null;
  const { dish, steps } = patient;
  const take = (way: Rescue) => {
    told.take({ says: say('{name}: {words}', { name: dish.name, words: way.says }), does: way.does });
    onClose();
  };
  if (mishap)
    return (
      <Sheet title={say('{name}: {words}', { name: dish.name, words: mishap.says })} onClose={() => setMishap(null)}>
        <Ways session={session} ways={mishap.ways} onTake={take} />
      </Sheet>
    );
  if (forgets)
    return (
      <Sheet title={say('Forgotten in {dish}', { dish: dish.name })} onClose={() => setForgets(false)}>
        <ForgottenList list={forgottenOf(patient, steps)} onTake={take} />
      </Sheet>
    );
  return (
    <Sheet title={say('What is wrong with {dish}?', { dish: dish.name })} onClose={onClose}>
      <ul className="mt-4 grid gap-2 sm:grid-cols-2">
        {mishapsOf(patient).map((each) => (
          <li key={each.id}>
            <Button
              className="min-h-16 w-full text-start text-xl first-letter:uppercase"
              onClick={() => setMishap(each)}
            >
              {each.says}
            </Button>
          </li>
        ))}
        <li>
          <Button className="min-h-16 w-full text-start text-xl" onClick={() => setForgets(true)}>
            {say('Something was forgotten')}
          </Button>
        </li>
      </ul>
    </Sheet>
  );
}

function Ways({
  session,
  ways,
  onTake,
}: {
  readonly session: Evening;
  readonly ways: readonly Rescue[];
  readonly onTake: (way: Rescue) => void;
}) {
  const leadsTo = useOutcomes(session, ways);
  return (
    <ul aria-label={say('What saves it')} className="mt-3">
      {ways.map((way, index) => {
        const outcome = leadsTo(way.id);
        const minutes = way.minutes > 0 ? say('{minutes} min', { minutes: way.minutes }) : '';
        return (
          <Choice
            key={way.id}
            says={way.says}
            how={way.how}
            leadsTo={outcome && [minutes, outcome].filter(Boolean).join(' · ')}
            caution={way.caution}
            strong={index === 0}
            onPress={() => onTake(way)}
          />
        );
      })}
    </ul>
  );
}

function ForgottenList({
  list,
  onTake,
}: {
  readonly list: readonly Forgotten[];
  readonly onTake: (way: Rescue) => void;
}) {
  const [id, setId] = useState<string | null>(null);
  const chosen = list.find((each) => each.id === id);
  if (list.length === 0) return <p className="mt-4 text-xl">{say('Nothing should be in it yet.')}</p>;
  return (
    <>
      <ul className="mt-4 grid gap-2 sm:grid-cols-3">
        {list.map((each) => (
          <li key={each.id}>
            <Button
              className={`min-h-16 w-full text-start text-lg ${each.id === id ? 'outline-3 outline-ember' : ''}`}
              aria-pressed={each.id === id}
              onClick={() => setId(each.id)}
            >
              {each.name}
            </Button>
          </li>
        ))}
      </ul>
      {chosen && (
        <div role="status" className="mt-4 border-s-4 border-ember ps-4">
          <p className="text-xl">{chosen.says}</p>
          {chosen.way && (
            <Button look="strong" big className="mt-3" onClick={() => onTake(chosen.way!)}>
              {say('do that')}
            </Button>
          )}
        </div>
      )}
    </>
  );
}
