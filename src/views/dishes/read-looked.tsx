'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { dishesApart } from '@/core/recipe/apart';
import { unnamed } from '@/core/recipe/as-read';
import { dishFrom } from '@/core/recipe/dish-from';
import {
  addIngredient,
  addStep,
  type Doubt,
  doubtsOf,
  joinStep,
  moveStep,
  setStep,
  sortStep,
  splitStep,
  takeIngredientOut,
  takeStepOut,
  tieToStep,
} from '@/core/recipe/mend';
import type { RecipeReading } from '@/core/recipe/reading';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { IngredientRows } from './read-ingredient-rows';
import { Source } from './read-source';
import { StepRow, type StepTouches } from './read-step-row';
import { Strip } from './strip';

interface LookedProps {
  readonly reading: RecipeReading;
  readonly onChange: (by: (now: RecipeReading) => RecipeReading) => void;
  readonly onAnew: () => void;
  /** It is kept as the dishes that it holds. */
  readonly apart: boolean;
  readonly onApart: (apart: boolean) => void;
  /** Takes the last touch back; null where there is none. */
  readonly onUndo: (() => void) | null;
}

const MOST_NAMED = 4;

/** The text on one side, the dish that is read from it on the other: what is wrong is put right in a touch each. */
export function Looked({ reading, apart, onApart, onChange, onAnew, onUndo }: LookedProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const doubts = useMemo(() => doubtsOf(reading), [reading]);
  const dish = useMemo(() => dishFrom(reading, 'looked'), [reading]);
  const dishes = useMemo(() => dishesApart(reading), [reading]);
  const forgotten = unnamed(reading);
  const doubtedSteps = new Set(doubts.flatMap((each) => (each.of === 'step' ? [each.id] : [])));
  useUndoKey(onUndo);
  const choose = (id: string | null) => {
    setChosen(id);
    setShown(reading.steps.find((each) => each.id === id)?.words ?? null);
  };
  const touches: StepTouches = {
    choose,
    sort: (id, sort) => onChange((now) => sortStep(now, id, sort)),
    set: (id, by) => onChange((now) => setStep(now, id, by)),
    split: (id, at) => onChange((now) => splitStep(now, id, at)),
    join: (id) => onChange((now) => joinStep(now, id)),
    move: (id, by) => onChange((now) => moveStep(now, id, by)),
    takeOut: (id) => onChange((now) => takeStepOut(now, id)),
    tie: (id, ingredient) => onChange((now) => tieToStep(now, id, ingredient)),
  };
  const lookAt = (doubt: Doubt) => {
    setShown(doubt.words);
    if (doubt.of === 'line') return;
    if (doubt.of === 'step') setChosen(doubt.id);
    const row = document.getElementById(`read-${doubt.id}`);
    row?.scrollIntoView({ block: 'center' });
    row?.querySelector<HTMLElement>('button[aria-expanded], input, select')?.focus({ preventScroll: true });
  };
  return (
    <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
      <Source
        reading={reading}
        shown={shown}
        onIngredient={(words) => onChange((now) => addIngredient(now, words))}
        onStep={(words) => onChange((now) => addStep(now, words))}
        onChange={onChange}
      />
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-5">
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          <Field
            label={say('Name')}
            type="text"
            value={reading.name}
            maxLength={120}
            className="h-11 w-[min(17rem,80vw)] font-title text-xl"
            onChange={(event) => {
              const name = event.target.value;
              onChange((now) => ({ ...now, name }));
            }}
          />
          <Stepper
            label={reading.servingsSaid ? say('Serves') : say('Serves, a guess')}
            value={reading.servings}
            least={1}
            most={200}
            onChange={(servings) => onChange((now) => ({ ...now, servings, servingsSaid: true }))}
          />
          <Button disabled={onUndo === null} onClick={() => onUndo?.()}>
            {say('undo')}
          </Button>
          <Button look="quiet" onClick={onAnew}>
            {say('another recipe')}
          </Button>
        </div>
        <Doubts doubts={doubts} onLook={lookAt} />
        {dishes && (
          <TickBox value={apart} onChange={onApart}>
            {say('Keep it as {dishes} dishes: {names}', {
              dishes: dishes.length,
              names: listed(
                dishes.map(({ name }) => name),
                MOST_NAMED,
              ),
            })}
          </TickBox>
        )}
        {reading.steps.length > 0 && <Strip dish={dish} />}
        <section aria-label={say('The steps')}>
          <h2 className="text-2xl">{say('The steps')}</h2>
          {reading.steps.length === 0 && (
            <p className="text-faint">{say('None was read: mark the words of one in the text.')}</p>
          )}
          <ol className="mt-1 border-t border-line">
            {reading.steps.map((step, k) => (
              <StepRow
                key={step.id}
                step={step}
                at={k}
                last={k === reading.steps.length - 1}
                chosen={chosen === step.id}
                doubted={doubtedSteps.has(step.id)}
                ingredients={reading.ingredients}
                touches={touches}
              />
            ))}
          </ol>
        </section>
        <section aria-label={say('What goes in')}>
          <h2 className="text-2xl">{say('What goes in')}</h2>
          {forgotten.length > 0 && (
            <p className="mt-2 border-s-3 border-warn ps-2 text-warn" data-testid="forgotten">
              {say('No step names {forgotten}: it goes into the first one.', {
                forgotten: listed(
                  forgotten.map(({ name }) => name),
                  MOST_NAMED,
                ),
              })}
            </p>
          )}
          <IngredientRows
            reading={reading}
            onSet={(id, by) =>
              onChange((now) => ({
                ...now,
                ingredients: now.ingredients.map((each) =>
                  each.id === id ? { ...each, ...by(each), sure: true } : each,
                ),
              }))
            }
            onTie={(step, id) => onChange((now) => tieToStep(now, step, id))}
            onTakeOut={(id) => onChange((now) => takeIngredientOut(now, id))}
            onLook={setShown}
          />
        </section>
        {reading.notUnderstood.length > 0 && (
          <section aria-label={say('Not understood')}>
            <h2 className="text-2xl">{say('Not understood')}</h2>
            <ul className="list-disc ps-5">
              {reading.notUnderstood.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}

interface DoubtsProps {
  readonly doubts: readonly Doubt[];
  readonly onLook: (doubt: Doubt) => void;
}

/** What is least sure comes first, one after another. */
function Doubts({ doubts, onLook }: DoubtsProps) {
  const at = useRef(0);
  if (doubts.length === 0)
    return (
      <p role="status" className="text-faint">
        {say('Nothing here is in doubt.')}
      </p>
    );
  const next = () => {
    const doubt = doubts[at.current % doubts.length]!;
    at.current = (at.current % doubts.length) + 1;
    onLook(doubt);
  };
  return (
    <div className="flex flex-wrap items-center gap-3 rounded-lg border border-line px-3 py-1.5">
      <p role="status">
        {doubts.length === 1
          ? say('One thing is in doubt, the least sure first.')
          : say('{doubts} things are in doubt, the least sure first.', { doubts: doubts.length })}
      </p>
      <Button onClick={next}>{say('show the next')}</Button>
    </div>
  );
}

/** The usual keys take the last touch back, except in a field, where they take back what was typed. */
function useUndoKey(onUndo: (() => void) | null): void {
  const latest = useRef(onUndo);
  latest.current = onUndo;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (event.key !== 'z' || !(event.ctrlKey || event.metaKey) || event.shiftKey) return;
      if (target?.closest('input, textarea')) return;
      event.preventDefault();
      latest.current?.();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);
}
