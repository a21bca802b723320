'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useId, useState } from 'react';
import { isDishFile, readDishFile } from '@/core/formats/dish-file';
import { asSort, STEP_SORTS } from '@/core/recipe/classify';
import { dishFrom, type ReadStep, type RecipeReading, readRecipe, unnamed } from '@/core/recipe/reading';
import { MOST_BYTES } from '@/core/recipe/taken-apart';
import type { Unit } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { ownWords, Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { useTitle } from '@/ui/title';
import { manner } from '@/ui/told/manner';
import { useKeptDraft } from '@/ui/use-kept-draft';
import { AmountField } from './amount-field';
import { Strip } from './strip';

/** Cups and spoons of a recipe are those of its reader's country. */
function inOwnCups(reading: RecipeReading): RecipeReading {
  if (manner().amounts !== 'australian') return reading;
  const own: Partial<Record<Unit, Unit>> = { 'us-cup': 'cup', tbsp: 'au-tbsp' };
  return {
    ...reading,
    ingredients: reading.ingredients.map((each) => ({
      ...each,
      amount: { ...each.amount, unit: own[each.amount.unit] ?? each.amount.unit },
    })),
  };
}

/** A recipe under way: its words, and what was read and put right of them. */
interface ReadDraft {
  readonly text: string;
  readonly reading: RecipeReading | null;
}

const NOTHING_READ: ReadDraft = { text: '', reading: null };

/** Somebody's recipe: pasted or dropped, read, looked at, and made a dish. */
export function ReadView() {
  useTitle('Read a recipe');
  const router = useRouter();
  const mealId = useSearchParams().get('meal');
  const id = useId();
  const [fault, setFault] = useState<string | null>(null);
  const kept = useKeptDraft<ReadDraft>('recipe', NOTHING_READ);
  const { text, reading } = kept.value;
  const setText = (words: string) => void kept.change((now) => ({ ...now, text: words }));
  const setReading = (by: (now: RecipeReading | null) => RecipeReading | null) =>
    void kept.change((now) => ({ ...now, reading: by(now.reading) }));
  const [dishId] = useState(() => `read-${Date.now()}`);
  const read = (words: string) => {
    const result = readRecipe(words);
    setFault(result.ok ? null : result.sentence);
    setReading(() => (result.ok ? inOwnCups(result.reading) : null));
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) {
      setFault(`Recipe: at most ${MOST_BYTES / 1_000_000} MB; this file has ${(file.size / 1_000_000).toFixed(1)}.`);
      return;
    }
    const words = await file.text();
    if (isDishFile(words)) {
      await openOwn(words);
      return;
    }
    setText(words);
    read(words);
  };
  /** A dish file of our own needs no guessing. One that is here already is not overwritten: it comes in beside it. */
  const openOwn = async (words: string) => {
    const result = readDishFile(words);
    if (!result.ok) {
      setFault(result.sentence);
      return;
    }
    const taken = (await pantry().dishes.get(result.value.id)) !== undefined;
    const dish = taken ? { ...result.value, id: dishId, name: `${result.value.name} (opened)` } : result.value;
    const refusal = await storeDish(pantry(), dish);
    if (refusal) setFault(refusal.sentence);
    else router.push(`/dishes/${encodeURIComponent(dish.id)}`);
  };
  const keep = async () => {
    if (!reading) return;
    const dish = dishFrom(reading, dishId);
    const refusal =
      (await storeDish(pantry(), dish)) ??
      (mealId === null ? null : await addToMeal(pantry(), mealId, dish.id, Date.now()));
    if (refusal) return setFault(refusal.sentence);
    kept.settle();
    router.push(mealId === null ? `/dishes/${encodeURIComponent(dish.id)}` : `/meals/${encodeURIComponent(mealId)}`);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">Read a recipe</h1>
        <span className="flex items-center gap-2">
          <Button onClick={() => router.back()}>Back</Button>
          {reading && (
            <Button look="strong" onClick={() => void keep()}>
              {mealId === null ? 'Keep it' : 'Keep it, and onto the menu'}
            </Button>
          )}
        </span>
      </div>
      {fault && (
        <p role="alert" className="mt-3 border-l-4 border-warn pl-3 text-lg">
          {fault} Nothing was stored.
        </p>
      )}
      {reading ? (
        <Looked
          reading={reading}
          onChange={(by) => setReading((now) => now && by(now))}
          onAnew={() => setReading(() => null)}
        />
      ) : (
        // biome-ignore lint/a11y/noStaticElementInteractions: dropping is one more way; the field and the button do the same
        <div
          className="mt-4 max-w-3xl"
          onDragOver={(event) => event.preventDefault()}
          onDrop={(event) => {
            event.preventDefault();
            void open(event.dataTransfer.files[0]);
          }}
        >
          <label htmlFor={id} className="block text-lg text-faint">
            Paste it here, or drop its file: the words of a page, the page itself, or its recipe data.
          </label>
          <textarea
            id={id}
            rows={16}
            value={text}
            className="mt-2 w-full rounded-lg border border-line bg-paper p-3"
            onChange={(event) => setText(event.target.value)}
          />
          <div className="mt-2 flex flex-wrap items-center gap-4">
            <Button look="strong" onClick={() => read(text)}>
              Read it
            </Button>
            <label className="inline-flex min-h-10 cursor-pointer items-center underline underline-offset-4">
              open a file
              <input
                type="file"
                accept=".txt,.md,.html,.htm,.json,.jsonld,text/plain,text/html,application/json"
                className="sr-only"
                onChange={(event) => void open(event.target.files?.[0])}
              />
            </label>
          </div>
        </div>
      )}
    </>
  );
}

type ReadIngredient = RecipeReading['ingredients'][number];

interface LookedProps {
  readonly reading: RecipeReading;
  readonly onChange: (by: (now: RecipeReading) => RecipeReading) => void;
  readonly onAnew: () => void;
}

/** What was read, beside its words, to be put right; guesses say that they are. */
function Looked({ reading, onChange, onAnew }: LookedProps) {
  const forgotten = unnamed(reading);
  const setStep = (id: string, by: (step: ReadStep) => ReadStep) =>
    onChange((now) => ({ ...now, steps: now.steps.map((each) => (each.id === id ? by(each) : each)) }));
  const ingredient = (at: number, by: (now: ReadIngredient) => Partial<ReadIngredient>) =>
    onChange((now) => ({
      ...now,
      ingredients: now.ingredients.map((each, k) => (k === at ? { ...each, ...by(each), sure: true } : each)),
    }));
  return (
    <div className="mt-3 grid gap-x-12 gap-y-6 lg:grid-cols-2">
      <div className="grid content-start gap-4">
        <div className="flex flex-wrap items-end gap-4">
          <Field
            label="Name"
            type="text"
            value={reading.name}
            maxLength={120}
            className="h-11 w-[min(24rem,80vw)] font-title text-xl"
            onChange={(event) => {
              const name = event.target.value;
              onChange((now) => ({ ...now, name }));
            }}
          />
          <Stepper
            label={reading.servingsSaid ? 'Serves' : 'Serves, a guess'}
            value={reading.servings}
            least={1}
            most={200}
            onChange={(servings) => onChange((now) => ({ ...now, servings, servingsSaid: true }))}
          />
          <Button look="quiet" onClick={onAnew}>
            another recipe
          </Button>
        </div>
        <section aria-label="What goes in">
          <h2 className="text-2xl">What goes in</h2>
          <ul className="mt-1 border-t border-line">
            {reading.ingredients.map((each, k) => (
              <li key={each.id} className="border-b border-line py-1.5">
                <span className="flex gap-2">
                  <AmountField
                    name={each.name}
                    amount={each.amount}
                    onChange={(by) => ingredient(k, ({ amount }) => ({ amount: by(amount) }))}
                  />
                  <Field
                    label={`Ingredient ${k + 1}`}
                    hideLabel
                    type="text"
                    value={each.name}
                    maxLength={120}
                    className="flex-1"
                    onChange={(event) => {
                      const name = event.target.value;
                      ingredient(k, () => ({ name }));
                    }}
                  />
                </span>
                <span className={`block text-sm ${each.sure ? 'text-faint' : 'text-warn'}`}>
                  {each.sure ? 'from' : 'a guess, from'} “{each.words}”
                </span>
              </li>
            ))}
          </ul>
          {forgotten.length > 0 && (
            <p className="mt-2 border-l-3 border-warn pl-2 text-warn" data-testid="forgotten">
              No step names {forgotten.map(({ name }) => name).join(', ')}: it goes into the first one.
            </p>
          )}
        </section>
        {reading.notes.length > 0 && (
          <section aria-label="Said besides">
            <h2 className="text-2xl">Said besides</h2>
            <ul className="list-disc pl-5 text-faint">
              {reading.notes.map((words, k) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: they never move
                <li key={k}>{words}</li>
              ))}
            </ul>
          </section>
        )}
        {reading.notUnderstood.length > 0 && (
          <section aria-label="Not understood">
            <h2 className="text-2xl">Not understood</h2>
            <ul className="list-disc pl-5">
              {reading.notUnderstood.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <div className="grid min-w-0 content-start gap-6">
        {reading.steps.length > 0 && <Strip dish={dishFrom(reading, 'looked')} />}
        <section aria-label="The steps">
          <h2 className="text-2xl">The steps</h2>
          <ol className="mt-1 border-t border-line">
            {reading.steps.map((step) => (
              <StepRow key={step.id} step={step} onChange={(by) => setStep(step.id, by)} />
            ))}
          </ol>
        </section>
      </div>
    </div>
  );
}

interface StepRowProps {
  readonly step: ReadStep;
  readonly onChange: (by: (now: ReadStep) => ReadStep) => void;
}

function StepRow({ step, onChange }: StepRowProps) {
  const { words, sort, sortWords, minutes, minutesWords, meanwhile } = step;
  const short = words.length > 40 ? `${words.slice(0, 40)}…` : words;
  return (
    <li className="border-b border-line py-2">
      <p>{words}</p>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        <Select
          label={`What it is: ${short}`}
          hideLabel
          value={sort}
          options={ownWords(STEP_SORTS)}
          onChange={(next) => onChange((now) => ({ ...now, ...asSort(now, words, next) }))}
        />
        <Stepper
          label={`Minutes: ${short}`}
          hideLabel
          unit="min"
          value={minutes.likely}
          least={1}
          most={2880}
          onChange={(likely) =>
            onChange((now) => ({
              ...now,
              minutes: {
                shortest: Math.min(now.minutes.shortest, likely),
                likely,
                longest: Math.max(now.minutes.longest, likely),
              },
              minutesWords: now.minutesWords ?? 'by you',
            }))
          }
        />
        <TickBox value={meanwhile} onChange={(on) => onChange((now) => ({ ...now, meanwhile: on }))}>
          beside the step before
        </TickBox>
      </div>
      <p className="text-sm text-faint">
        {sortWords ? `by “${sortWords}”` : 'as you say'}
        {minutesWords ? `; minutes by “${minutesWords}”` : '; minutes a guess, none were said'}
      </p>
    </li>
  );
}
