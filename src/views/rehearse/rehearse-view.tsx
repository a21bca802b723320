'use client';

import { useMemo, useState } from 'react';
import { eveningsOf } from '@/core/plan/odds';
import { sayAssured, sayCauses, sayOdds, saySpread } from '@/core/plan/say-odds';
import { wantsWayOut } from '@/core/plan/well-landed';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { useMeal } from '@/views/shell/meal-frame';
import { WaysOut } from '@/views/shell/ways-out';
import { Hundred } from './hundred';
import { OneEvening } from './one-evening';

const EVENINGS = 100;

/** The evening rehearsed a hundred times: where everything lands, what decides it, and one of them to watch. */
export function RehearseView() {
  const { meal, planned } = useMeal();
  const { plan, settling } = planned;
  const [round, setRound] = useState(1);
  const evenings = useMemo(
    () => (plan ? eveningsOf(meal, plan, { evenings: EVENINGS, seed: round }) : []),
    [meal, plan, round],
  );
  const [chosen, setChosen] = useState<'ordinary' | 'unlucky'>('unlucky');
  if (!plan || evenings.length === 0)
    return <p className="mt-6 text-faint">{say('There is no plan to rehearse yet.')}</p>;
  const byTable = [...evenings].sort((a, b) => Number(b.good) - Number(a.good) || a.table - b.table);
  const evening = byTable[chosen === 'ordinary' ? Math.floor(EVENINGS / 2) : Math.floor(EVENINGS * 0.95)]!;
  const good = evenings.filter((each) => each.good).length;
  const causes = plan.odds ? sayCauses(plan.odds, plan.steps) : [];
  return (
    <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label={say('A hundred evenings')}>
        <div className="flex flex-wrap items-baseline justify-between gap-4">
          <h2 className="text-2xl">{say('A hundred evenings')}</h2>
          <Button look="quiet" onClick={() => setRound(round + 1)}>
            {say('another hundred')}
          </Button>
        </div>
        <p className="text-lg" data-testid="rehearsed">
          {say(
            '{good} of them were on time with everything at its best. Each dot is an evening; the shade is where a dish is good, the line is the table.',
            { good },
          )}
        </p>
        <Hundred plan={plan} dishIds={meal.dishes.map(({ id }) => id)} evenings={evenings} />
        <details className="mt-2">
          <summary className="cursor-pointer text-faint">{say('In words')}</summary>
          {plan.odds && (
            <ul className="mt-2">
              {plan.odds.dishes.map((dish) => (
                <li key={dish.dishId}>
                  <strong className="font-semibold">{dish.dishName}.</strong>{' '}
                  {saySpread(dish, plan.landings.find(({ dishId }) => dishId === dish.dishId) ?? {})}
                </li>
              ))}
            </ul>
          )}
        </details>
      </section>
      <div>
        {plan.odds?.assured && (
          <section aria-label={say('What is sure')} className="mb-8" data-testid="assured">
            <h2 className="text-2xl">{say('What is sure')}</h2>
            {sayAssured(plan.odds.assured, plan, meal).map((sentence) => (
              <p key={sentence} className="mt-1">
                {sentence}
              </p>
            ))}
          </section>
        )}
        <section aria-label={say('What decides')}>
          <h2 className="text-2xl">{say('What decides')}</h2>
          {causes.length === 0 ? (
            <p className="mt-1">{say('No single step makes this evening late.')}</p>
          ) : (
            <ul className="mt-1">
              {causes.map((cause) => (
                <li key={cause}>{cause}</li>
              ))}
            </ul>
          )}
          {!settling && !wantsWayOut(plan) && (
            <div className="mt-3">
              <WaysOut meal={meal} plan={plan} />
            </div>
          )}
        </section>
        <section aria-label={say('One evening')} className="mt-8">
          <div className="flex flex-wrap items-baseline gap-4">
            <h2 className="text-2xl">{say('One evening')}</h2>
            {(['unlucky', 'ordinary'] as const).map((sort) => (
              <Button
                key={sort}
                look={chosen === sort ? 'strong' : 'quiet'}
                aria-pressed={chosen === sort}
                onClick={() => setChosen(sort)}
              >
                {sort === 'unlucky' ? say('an unlucky one') : say('an ordinary one')}
              </Button>
            ))}
          </div>
          <OneEvening key={`${round} ${chosen} ${plan.cost}`} plan={plan} evening={evening} />
        </section>
        {plan.odds && <p className="sr-only">{sayOdds(plan.odds, meal)}</p>}
      </div>
    </div>
  );
}
