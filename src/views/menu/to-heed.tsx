'use client';

import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import { useSearchParams } from 'next/navigation';
import { allergensOfMeal, DEFER, type Finding, findingsOf, heeded, unknownOfMeal } from '@/core/safety/findings';
import { say, term } from '@/core/say/say';
import { pantry } from '@/store/db';
import { changeMeal } from '@/store/meals';
import { Button } from '@/ui/button';
import { Link } from '@/ui/link';
import { useMeal } from '@/views/shell/meal-frame';

/** What the plan as a whole has to heed, and which guest cannot eat what. */
export function ToHeed() {
  const { meal, planned } = useMeal();
  const { plan } = planned;
  const asked = useSearchParams().has('heed');
  if (!plan || plan.mealId !== meal.id) return null;
  const { open, passedOver } = heeded(meal, findingsOf(meal, plan));
  const allergens = allergensOfMeal(meal.dishes);
  const unknown = unknownOfMeal(meal.dishes);
  const pass = (id: string, on: boolean) => {
    const without = (ids: readonly string[]) => ids.filter((each) => each !== id);
    void changeMeal(
      pantry(),
      meal.id,
      ({ passedOver = [] }) => ({ passedOver: on ? [...without(passedOver), id] : without(passedOver) }),
      Date.now(),
    );
  };
  return (
    <Disclosure
      as="section"
      id="heed"
      key={asked ? 'asked' : 'by itself'}
      defaultOpen={asked}
      aria-label={say('To heed')}
      className="mt-5 scroll-mt-4"
    >
      <DisclosureButton className="group flex min-h-10 items-center gap-2 text-2xl">
        <ChevronRight size={20} aria-hidden className="transition-transform group-data-open:rotate-90" />
        <span className="font-title">{say('To heed')}</span>
        <span className="text-base text-faint">
          {passedOver.length > 0
            ? say('{open} for this plan, {passedOver} passed over', {
                open: open.length,
                passedOver: passedOver.length,
              })
            : say('{open} for this plan', { open: open.length })}
        </span>
      </DisclosureButton>
      <DisclosurePanel>
        <ul className="border-t border-line">
          {open.map((finding) => (
            <Row key={finding.id} finding={finding} action={say('pass over')} onAct={() => pass(finding.id, true)} />
          ))}
          {passedOver.map((finding) => (
            <Row
              key={finding.id}
              finding={finding}
              passed
              action={say('heed again')}
              onAct={() => pass(finding.id, false)}
            />
          ))}
        </ul>
        {allergens.length + unknown.length > 0 && (
          <>
            <h3 className="mt-4 text-xl">{say('Who cannot eat what')}</h3>
            <dl className="mt-1 grid gap-x-6 border-t border-line sm:grid-cols-[10rem_1fr]">
              {allergens.map(([allergen, dishes]) => (
                <div key={allergen} className="contents">
                  <dt className="py-1 font-semibold">{term(allergen)}</dt>
                  <dd className="py-1">{dishes.join(say(', '))}</dd>
                </div>
              ))}
              {unknown.map(([dish, names]) => (
                <div key={dish} className="contents">
                  <dt className="py-1 font-semibold text-warn">{say('not known')}</dt>
                  <dd className="py-1">
                    {say('{dish}: {names}. It is free of nothing until that is known.', {
                      dish,
                      names: names.join(say(', ')),
                    })}
                  </dd>
                </div>
              ))}
            </dl>
            <p className="mt-1 text-faint">{say('As marked, and by the names: labels come first.')}</p>
          </>
        )}
        <p className="mt-3 text-faint">{say(DEFER)}</p>
      </DisclosurePanel>
    </Disclosure>
  );
}

interface RowProps {
  readonly finding: Finding;
  readonly passed?: boolean;
  readonly action: string;
  readonly onAct: () => void;
}

function Row({ finding, passed = false, action, onAct }: RowProps) {
  const { weight, says, fix, limit } = finding;
  return (
    <li className="flex items-start justify-between gap-4 border-b border-line py-2">
      <div className={passed ? 'text-faint' : ''}>
        {passed && <strong className="font-semibold">{say('Passed over by you:')} </strong>}
        {!passed && weight === 'hard' && (
          <strong className="font-semibold text-warn">{say('Not safe as it stands:')} </strong>
        )}
        {says} <span className={passed ? '' : 'text-warn'}>{fix}</span>{' '}
        {finding.asks && (
          <Link href={`/dishes/${encodeURIComponent(finding.asks.dishId)}`} className="underline underline-offset-4">
            {say('Say what it is')}
          </Link>
        )}
        {limit && (
          <span className="block text-sm text-faint">{say('{source}, from memory', { source: limit.source })}</span>
        )}
      </div>
      <Button look="quiet" className="shrink-0" onClick={onAct}>
        {action}
      </Button>
    </li>
  );
}
