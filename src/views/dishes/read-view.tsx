'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useId, useState } from 'react';
import { isDishFile, readDishFile } from '@/core/formats/dish-file';
import { asSort, STEP_SORTS } from '@/core/recipe/classify';
import { dishFrom, type ReadStep, type RecipeReading, readRecipe, unnamed } from '@/core/recipe/reading';
import { MOST_BYTES } from '@/core/recipe/taken-apart';
import { UNITS } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { Field } from '@/ui/field';
import { ownWords, Select } from '@/ui/select';
import { Stepper } from '@/ui/stepper';
import { TickBox } from '@/ui/tick-box';
import { useTitle } from '@/ui/title';
import { Strip } from './strip';

/** Somebody's recipe: pasted or dropped, read, looked at, and made a dish. */
export function ReadView() {
  useTitle('Read a recipe');
  const router = useRouter();
  const mealId = useSearchParams().get('meal');
  const id = useId();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [reading, setReading] = useState<RecipeReading | null>(null);
  const [dishId] = useState(() => `read-${Date.now()}`);
  const read = (words: string) => {
    const result = readRecipe(words);
    setFault(result.ok ? null : result.sentence);
    setReading(result.ok ? result.reading : null);
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
    if (refusal) setFault(refusal.sentence);
    else
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
        <Looked reading={reading} onChange={setReading} onAnew={() => setReading(null)} />
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

interface LookedProps {
  readonly reading: RecipeReading;
  readonly onChange: (reading: RecipeReading) => void;
  readonly onAnew: () => void;
}

/** What was read, beside its words, to be put right; guesses say that they are. */
function Looked({ reading, onChange, onAnew }: LookedProps) {
  const _id = useId();
  const forgotten = unnamed(reading);
  const setStep = (step: ReadStep) =>
    onChange({ ...reading, steps: reading.steps.map((each) => (each.id === step.id ? step : each)) });
  const ingredient = (at: number, change: Partial<RecipeReading['ingredients'][number]>) =>
    onChange({
      ...reading,
      ingredients: reading.ingredients.map((each, k) => (k === at ? { ...each, ...change, sure: true } : each)),
    });
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
            onChange={(event) => onChange({ ...reading, name: event.target.value })}
          />
          <Stepper
            label={reading.servingsSaid ? 'Serves' : 'Serves, a guess'}
            value={reading.servings}
            least={1}
            most={200}
            onChange={(servings) => onChange({ ...reading, servings, servingsSaid: true })}
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
                  <Field
                    label={`How much ${each.name}`}
                    hideLabel
                    type="text"
                    inputMode="decimal"
                    defaultValue={String(each.amount.quantity)}
                    className="w-20 text-right"
                    onBlur={(event) => {
                      const quantity = Number(event.target.value.replace(',', '.'));
                      if (quantity > 0) ingredient(k, { amount: { ...each.amount, quantity } });
                      else event.target.value = String(each.amount.quantity);
                    }}
                  />
                  <Select
                    label={`Unit of ${each.name}`}
                    hideLabel
                    value={each.amount.unit}
                    options={ownWords(UNITS)}
                    onChange={(unit) => ingredient(k, { amount: { ...each.amount, unit } })}
                  />
                  <Field
                    label={`Ingredient ${k + 1}`}
                    hideLabel
                    type="text"
                    value={each.name}
                    maxLength={120}
                    className="flex-1"
                    onChange={(event) => ingredient(k, { name: event.target.value })}
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
              <StepRow key={step.id} step={step} onChange={setStep} />
            ))}
          </ol>
        </section>
      </div>
    </div>
  );
}

function StepRow({ step, onChange }: { readonly step: ReadStep; readonly onChange: (step: ReadStep) => void }) {
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
          onChange={(next) => onChange({ ...step, ...asSort(step, words, next) })}
        />
        <Stepper
          label={`Minutes: ${short}`}
          hideLabel
          unit="min"
          value={minutes.likely}
          least={1}
          most={2880}
          onChange={(likely) =>
            onChange({
              ...step,
              minutes: {
                shortest: Math.min(minutes.shortest, likely),
                likely,
                longest: Math.max(minutes.longest, likely),
              },
              minutesWords: minutesWords ?? 'by you',
            })
          }
        />
        <TickBox value={meanwhile} onChange={(on) => onChange({ ...step, meanwhile: on })}>
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
