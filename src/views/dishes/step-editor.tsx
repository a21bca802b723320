'use client';

import { useEffect, useRef, useState } from 'react';
import { askedAbout } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { changed } from '@/core/dish/edit-steps';
import { withSaidFood } from '@/core/dish/said-foods';
import { textChanged } from '@/core/plain/text-changed';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { sayFood } from '@/store/foods';
import { storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Stepper } from '@/ui/stepper';
import { HandOversForm } from './hand-overs-form';
import { IngredientsForm } from './ingredients-form';
import { LandingForm } from './landing-form';
import { StepForm } from './step-form';
import { Strip } from './strip';
import { VesselsForm } from './vessels-form';
import { WhatIsIt } from './what-is-it';

/** A dish changed step by step: each change is checked, stored and shown at once, and can be taken back. */
export function ByHand({ dish, onDone }: { readonly dish: Dish; readonly onDone: () => void }) {
  const [canTakeBack, setCanTakeBack] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  // What was changed last, and what it was before, stored or on its way there: a second press before the page is drawn anew builds on it.
  const latest = useRef(dish);
  const past = useRef<readonly Dish[]>([]);
  const waiting = useRef<Promise<void>>(Promise.resolve());
  const open = useRef(0);
  const typedInto = useRef<string | null>(null);
  useEffect(() => {
    if (open.current === 0) latest.current = dish;
  }, [dish]);
  const store = (wanted: Dish, pastOfIt: readonly Dish[]) => {
    const result = changed(wanted);
    // What one change could not do is told above every view; the next is made all the same.
    const next = (work: () => void | Promise<void>) => {
      waiting.current = waiting.current.catch(() => undefined).then(work);
    };
    if (!result.ok) {
      // After the changes before it, which take away what is said of others.
      next(() => setFault(result.refusal.sentence));
      return;
    }
    const before = [latest.current, past.current] as const;
    [latest.current, past.current] = [result.dish, pastOfIt];
    open.current++;
    const keep = async () => {
      try {
        const refusal = await storeDish(pantry(), result.dish);
        if (refusal && latest.current === result.dish) [latest.current, past.current] = before;
        setFault(refusal?.sentence ?? null);
        setCanTakeBack(past.current.length > 0);
      } finally {
        open.current--;
      }
    };
    next(keep);
  };
  const change = (to: (now: Dish) => Dish) => {
    const before = latest.current;
    const next = to(before);
    // What is typed into one field, with pauses, is taken back at once.
    const text = textChanged(before, next);
    const goesOn = text !== null && text === typedInto.current;
    typedInto.current = text;
    store(next, goesOn && past.current.length > 0 ? past.current : [...past.current, before]);
  };
  const undo = () => {
    typedInto.current = null;
    const before = past.current.at(-1);
    if (before) store(before, past.current.slice(0, -1));
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end justify-between gap-3">
        <KeptField
          hideLabel
          label={say('Name of the dish')}
          value={dish.name}
          className="h-12 w-[min(30rem,86vw)] px-3 font-title text-2xl"
          onChange={(name) => change((now) => ({ ...now, name }))}
        />
        <div className="flex items-center gap-2">
          <Button look="quiet" disabled={!canTakeBack} onClick={undo}>
            {say('take back')}
          </Button>
          <Button look="strong" onClick={onDone}>
            {say('Done')}
          </Button>
        </div>
      </div>
      {fault && (
        <p role="alert" className="mt-2 border-s-4 border-warn ps-3 text-lg">
          {say('{fault} Kept as it was.', { fault })}
        </p>
      )}
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-6 lg:grid-cols-2">
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-6">
          <Stepper
            label={say('Written for')}
            unit="people"
            value={dish.servings}
            least={1}
            most={200}
            onChange={(servings) => change((now) => ({ ...now, servings }))}
          />
          <IngredientsForm dish={dish} onChange={change} />
          <WhatIsIt
            asked={askedAbout(dish)}
            onSay={(item, food) => {
              change((now) => withSaidFood(now, item.id, food));
              void sayFood(pantry(), item.name, food);
            }}
          />
          <VesselsForm dish={dish} onChange={change} />
          <HandOversForm dish={dish} onChange={change} />
          <LandingForm dish={dish} onChange={change} />
        </div>
        <div className="grid min-w-0 content-start gap-6">
          <Strip dish={dish} />
          <section aria-label={say('The steps')}>
            <h2 className="text-2xl">{say('The steps')}</h2>
            <ol className="mt-1 border-t border-line">
              {dish.steps.map((step) => (
                <StepForm key={step.id} dish={dish} step={step} onChange={change} />
              ))}
            </ol>
          </section>
        </div>
      </div>
    </>
  );
}
