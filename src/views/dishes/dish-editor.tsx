'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { askedAbout } from '@/core/dish/diet';
import type { Ingredient } from '@/core/dish/dish';
import { type DishDraft, dishOf, draftFault, withMore, withMoreChanged } from '@/core/dish/draft-dish';
import { ingredientOf, nameOfPart, withFilling } from '@/core/dish/draft-parts';
import { MAIN } from '@/core/dish/made';
import { differences } from '@/core/dish/technique';
import { techniqueOf } from '@/core/dish/techniques/all';
import type { SaidFood } from '@/core/food/food';
import { say } from '@/core/say/say';
import { pantry } from '@/store/db';
import { sayFood } from '@/store/foods';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { KeptField } from '@/ui/kept-field';
import { Stepper } from '@/ui/stepper';
import { useKeptDraft } from '@/ui/use-kept-draft';
import { Holds } from './holds';
import { AddPart, Joints } from './joints';
import { MadePart, PartChoices } from './part-choices';
import { Slots } from './slot-rows';
import { Steps } from './steps';
import { Strip } from './strip';
import { WhatIsIt } from './what-is-it';

interface DishEditorProps {
  readonly initial: DishDraft;
  /** The meal it goes to when it is kept; null for none. */
  readonly mealId: string | null;
  readonly onAway: () => void;
  /** Leaves the technique and goes on step by step; absent while the dish is not kept yet. */
  readonly onByHand?: () => void;
}

/** A dish made by a technique: its ways, what goes in, and at once what comes of it. */
export function DishEditor({ initial, mealId, onAway, onByHand }: DishEditorProps) {
  const router = useRouter();
  const [past, setPast] = useState<readonly DishDraft[]>([]);
  // A new dish has another id each time its page is opened: what was begun of it is known by its technique.
  const kept = useKeptDraft(onByHand ? `dish ${initial.id}` : `new ${initial.technique}`, initial);
  const draft = kept.value;
  const [told, setTold] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const technique = techniqueOf(draft.technique);
  const dish = dishOf(named(draft));
  const change = (by: (now: DishDraft) => DishDraft) => {
    kept.change((now) => {
      const next = by(now);
      const changes = differences(dishOf(named(now)), dishOf(named(next)));
      setPast((known) => [...known, now]);
      setTold(changes.length > 0 ? say('That makes it: {changes}.', { changes: changes.join(say(', ')) }) : '');
      return next;
    });
    setFault(null);
  };
  const said = (item: Ingredient, food: SaidFood) => {
    change((now) =>
      now.more?.some(({ id }) => id === item.id)
        ? withMoreChanged(now, item.id, (more) => ({ ...more, food }))
        : saidAt(now, item, food),
    );
    void sayFood(pantry(), item.name, food);
  };
  const undo = () => {
    const before = past.at(-1);
    if (!before) return;
    kept.change(() => before);
    setPast(past.slice(0, -1));
    setTold(say('Taken back.'));
  };
  const keep = async () => {
    const wrong = draftFault(draft);
    if (wrong) return setFault(wrong);
    const made = dishOf(draft);
    const refusal =
      (await storeDish(pantry(), made)) ??
      (mealId === null ? null : await addToMeal(pantry(), mealId, made.id, Date.now()));
    if (refusal) return setFault(refusal.sentence);
    kept.settle();
    if (mealId === null) setTold(say('{made} is kept.', { made: made.name }));
    else router.push(`/meals/${encodeURIComponent(mealId)}`);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-faint">{technique.name}</p>
          <KeptField
            label={say('Name of the dish')}
            hideLabel
            value={draft.name}
            maxLength={140}
            // A dish without a name is refused when it is kept.
            mayBeEmpty
            className="h-12 w-[min(30rem,86vw)] font-title text-2xl"
            onChange={(name) => change((now) => ({ ...now, name }))}
          />
        </div>
        <div className="flex flex-wrap items-center gap-2">
          <Button look="quiet" disabled={past.length === 0} onClick={undo}>
            {say('take back')}
          </Button>
          {onByHand && (
            <Button look="quiet" onClick={onByHand}>
              {say('change its steps by hand')}
            </Button>
          )}
          <Button onClick={onAway}>{say('Back')}</Button>
          <Button look="strong" onClick={() => void keep()}>
            {mealId === null ? say('Keep it') : say('Keep it, and onto the menu')}
          </Button>
        </div>
      </div>
      {fault && (
        <p role="alert" className="mt-2 border-s-4 border-warn ps-3 text-lg">
          {say('{fault} Nothing was stored.', { fault })}
        </p>
      )}
      <p role="status" className="mt-1 min-h-6 text-lg">
        {told}
        {kept.isFromBefore && past.length === 0 && (
          <>
            {say('This is as you left it; it is not kept yet.')}{' '}
            <Button look="quiet" onClick={kept.forget}>
              {say('begin anew')}
            </Button>
          </>
        )}
      </p>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-6 lg:grid-cols-[26rem_minmax(0,1fr)]">
        <div className="grid content-start gap-5">
          <Stepper
            label={say('Written for')}
            unit="people"
            value={draft.servings}
            least={1}
            most={40}
            onChange={(servings) => change((now) => ({ ...now, servings }))}
          />
          <PartChoices draft={draft} part={MAIN} change={change} />
          {(draft.parts ?? []).map(({ id }) => (
            <MadePart key={id} draft={draft} part={id} change={change} />
          ))}
          <AddPart change={change} />
        </div>
        <div className="grid min-w-0 content-start gap-6">
          <section aria-label={say('What goes in')}>
            <h2 className="text-2xl">{say('What goes in')}</h2>
            <Slots draft={draft} part={MAIN} dish={dish} change={change} />
            <Button look="quiet" className="mt-1" onClick={() => change(withMore)}>
              {say('+ add something')}
            </Button>
            {(draft.parts ?? []).map(({ id }) => (
              <div key={id} className="mt-3">
                <h3 className="text-lg text-faint">{nameOfPart(draft, id)}</h3>
                <Slots draft={draft} part={id} dish={dish} change={change} />
              </div>
            ))}
            <Holds dish={dish} />
          </section>
          <Joints draft={draft} dish={dish} change={change} />
          <WhatIsIt asked={askedAbout(dish)} onSay={said} />
          <Strip dish={dish} />
          <section aria-label={say('What goes wrong')}>
            <h2 className="text-2xl">{say('What goes wrong')}</h2>
            <ul className="list-disc ps-5">
              {technique.mistakes.map((mistake) => (
                <li key={mistake}>{mistake}</li>
              ))}
            </ul>
          </section>
          <Steps dish={dish} />
        </div>
      </div>
    </>
  );
}

/** While the field of the name is empty the dish is called after its technique. */
function named(draft: DishDraft): DishDraft {
  return { ...draft, name: draft.name.trim() || techniqueOf(draft.technique).name };
}

/** What the cook has said that an ingredient is, kept in the part that it belongs to. */
function saidAt(draft: DishDraft, item: Ingredient, food: SaidFood): DishDraft {
  const { part, slot } = ingredientOf(draft, item.id);
  return withFilling(draft, part, slot, { name: item.name, food });
}
