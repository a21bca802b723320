'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import type { readDishFile } from '@/core/formats/dish-file';
import { changedFrom, NO_PAST, type Past, takenBack } from '@/core/plain/undo-stack';
import { dishesApart } from '@/core/recipe/apart';
import { dishFrom } from '@/core/recipe/dish-from';
import type { RecipeReading } from '@/core/recipe/reading';
import { sharedWords } from '@/core/recipe/shared';
import { say } from '@/core/say/say';
import type { Unit } from '@/core/units/amount';
import { pantry } from '@/store/db';
import { addToMeal, storeDish } from '@/store/meals';
import { Button } from '@/ui/button';
import { useTitle } from '@/ui/title';
import { manner } from '@/ui/told/manner';
import { useKeptDraft } from '@/ui/use-kept-draft';
import { Looked } from './read-looked';

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
  /** It holds more than one dish, and is kept so. */
  readonly apart?: boolean;
}

/** What reads is large, and loaded when it is wanted. */
const reader = () => import('@/core/recipe/reading');
/** Of a larger file not even the first megabyte is looked at. Bytes. */
const MOST_OPENED = 20_000_000;
/** The longest text of a file that stands in the field, in letters. */
const MOST_SHOWN = 200_000;
const NOTHING_READ: ReadDraft = { text: '', reading: null };

function sayNotLoaded(): string {
  return say('Recipe: what reads it could not be loaded. Its text is kept here: try again when there is a network.');
}

function sayTooLarge({ size }: File): string {
  const most = MOST_OPENED / 1_000_000;
  return say('Recipe: at most {most} MB; this file has {size}.', { most, size: (size / 1_000_000).toFixed(1) });
}

/** Somebody's recipe: pasted or dropped, read, looked at, and made a dish. */
export function ReadView() {
  useTitle(say('Read a recipe'));
  const router = useRouter();
  const asked = useSearchParams();
  const mealId = asked.get('meal');
  const [fault, setFault] = useState<string | null>(null);
  const kept = useKeptDraft<ReadDraft>('recipe', NOTHING_READ);
  const { text } = kept.value;
  // One that an older version read knows less than is shown here: its text is read anew.
  const reading = kept.value.reading?.source ? kept.value.reading : null;
  const [past, setPast] = useState<Past<RecipeReading>>(NO_PAST);
  const setText = (words: string) => void kept.change((now) => ({ ...now, text: words }));
  const setReading = (by: (now: RecipeReading | null) => RecipeReading | null) =>
    void kept.change((now) => ({ ...now, reading: by(now.reading) }));
  const [dishId] = useState(() => `read-${Date.now()}`);
  const [busy, setBusy] = useState(false);
  useEffect(() => void reader().catch(() => undefined), []);
  const read = async (words: string) => {
    setBusy(true);
    try {
      const { readRecipe } = await reader();
      const result = readRecipe(words);
      setFault(result.ok ? null : result.sentence);
      setReading(() => (result.ok ? inOwnCups(result.reading) : null));
    } catch (error) {
      console.error(error);
      setFault(sayNotLoaded());
    } finally {
      setBusy(false);
    }
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_OPENED) {
      setFault(sayTooLarge(file));
      return;
    }
    const words = await file.text();
    const formats = await import('@/core/formats/dish-file').catch(() => null);
    if (!formats) {
      setFault(say('Recipe: what reads files could not be fetched. Try again when there is a network.'));
      return;
    }
    if (formats.isDishFile(words)) {
      await openOwn(formats.readDishFile(words));
      return;
    }
    // A field that holds a megabyte makes the page slow; so long is no recipe that somebody would mend by hand.
    if (words.length <= MOST_SHOWN) setText(words);
    await read(words);
  };
  /** A dish file of our own needs no guessing. One that is here already is not overwritten: it comes in beside it. */
  const openOwn = async (result: ReturnType<typeof readDishFile>) => {
    if (!result.ok) {
      setFault(result.sentence);
      return;
    }
    const taken = (await pantry().dishes.get(result.value.id)) !== undefined;
    const dish = taken
      ? { ...result.value, id: dishId, name: say('{result} (opened)', { result: result.value.name }) }
      : result.value;
    const refusal = await storeDish(pantry(), dish);
    if (refusal) setFault(refusal.sentence);
    else router.push(`/dishes/${encodeURIComponent(dish.id)}`);
  };
  const takeShared = (words: string) => {
    setPast(NO_PAST);
    setReading(() => null);
    setText(words);
  };
  const undo = () => {
    const back = reading && takenBack(past, reading);
    if (!back) return;
    setPast(back.past);
    setReading(() => back.state);
  };
  const keep = async () => {
    if (!reading) return;
    const apart = (kept.value.apart ?? true) ? dishesApart(reading) : null;
    const dishes = (apart ?? [reading]).map((each, k) => dishFrom(each, k === 0 ? dishId : `${dishId}-${k + 1}`));
    for (const dish of dishes) {
      const refusal =
        (await storeDish(pantry(), dish)) ??
        (mealId === null ? null : await addToMeal(pantry(), mealId, dish.id, Date.now()));
      if (refusal) return setFault(refusal.sentence);
    }
    kept.settle();
    if (mealId !== null) router.push(`/meals/${encodeURIComponent(mealId)}`);
    else router.push(dishes.length > 1 ? '/dishes' : `/dishes/${encodeURIComponent(dishId)}`);
  };
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-4xl">{say('Read a recipe')}</h1>
        <span className="flex items-center gap-2">
          <Button onClick={() => router.back()}>{say('Back')}</Button>
          {reading && (
            <Button look="strong" onClick={() => void keep()}>
              {mealId === null ? say('Keep it') : say('Keep it, and onto the menu')}
            </Button>
          )}
        </span>
      </div>
      <SharedRecipe shared={asked} isFree={text.trim() === '' && reading === null} onTake={takeShared} />
      {fault && (
        <p role="alert" className="mt-3 border-s-4 border-warn ps-3 text-lg">
          {say('{fault} Nothing was stored.', { fault })}
        </p>
      )}
      {reading ? (
        <Looked
          reading={reading}
          onChange={(by) => {
            setPast((now) => changedFrom(now, reading));
            setReading((now) => now && by(now));
          }}
          apart={kept.value.apart ?? true}
          onApart={(apart) => void kept.change((now) => ({ ...now, apart }))}
          onAnew={() => {
            setPast(NO_PAST);
            setReading(() => null);
          }}
          onUndo={past.before.length === 0 ? null : undo}
        />
      ) : (
        <Paste
          text={text}
          busy={busy}
          onText={setText}
          onRead={() => void read(text)}
          onFile={(file) => void open(file)}
        />
      )}
    </>
  );
}

/** What another app shared: it goes into the field, where nothing of the cook's own is; else it is asked for. */
function SharedRecipe({ shared, isFree, onTake }: SharedRecipeProps) {
  const router = useRouter();
  const told = useMemo(
    () => sharedWords({ title: shared.get('title'), text: shared.get('text'), url: shared.get('url') }),
    [shared],
  );
  // What is taken or left is not offered again when the page is loaded anew.
  const settle = () => router.replace('/dishes/read');
  const take = (words: string) => {
    onTake(words);
    settle();
  };
  const latest = useRef(take);
  latest.current = take;
  const words = told && 'words' in told ? told.words : null;
  useEffect(() => {
    if (words !== null && isFree) latest.current(words);
  }, [words, isFree]);
  if (!told) return null;
  if ('only' in told) {
    return (
      <p role="status" className="mt-3 border-s-4 border-ember ps-3">
        {say(
          'Only an address was shared: {only}. A page elsewhere cannot be fetched from here: open it, mark the words of the recipe, and share or paste those.',
          { only: told.only },
        )}
      </p>
    );
  }
  if (isFree) return null;
  return (
    <div role="status" className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-s-4 border-ember ps-3">
      <p className="max-w-prose">
        {say('A recipe was shared (“{beginning}”), and another one is under way here.', {
          beginning: beginningOf(told.words),
        })}
      </p>
      <Button onClick={() => take(told.words)}>{say('Take the shared one')}</Button>
      <Button look="quiet" onClick={settle}>
        {say('Keep this one')}
      </Button>
    </div>
  );
}

const LETTERS_SHOWN = 60;
const beginningOf = (words: string) =>
  words.length > LETTERS_SHOWN ? `${words.slice(0, LETTERS_SHOWN).trim()}…` : words;

interface SharedRecipeProps {
  /** The fields of the address. */
  readonly shared: Pick<URLSearchParams, 'get'>;
  /** Nothing is under way that it would take the place of. */
  readonly isFree: boolean;
  readonly onTake: (words: string) => void;
}

interface PasteProps {
  readonly text: string;
  /** It is being read. */
  readonly busy: boolean;
  readonly onText: (text: string) => void;
  readonly onRead: () => void;
  readonly onFile: (file: File | undefined) => void;
}

/** Where a recipe is pasted, dropped or opened. */
function Paste({ text, busy, onText, onRead, onFile }: PasteProps) {
  const id = useId();
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping is one more way; the field and the button do the same
    <div
      className="mt-4 max-w-3xl"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        onFile(event.dataTransfer.files[0]);
      }}
    >
      <label htmlFor={id} className="block text-lg text-faint">
        {say('Paste it here, or drop its file: the words of a page, the page itself, or its recipe data.')}
      </label>
      <textarea
        id={id}
        rows={16}
        value={text}
        className="mt-2 w-full rounded-lg border border-line bg-paper p-3"
        onChange={(event) => onText(event.target.value)}
      />
      <div className="mt-2 flex flex-wrap items-center gap-4">
        <Button look="strong" disabled={busy} onClick={onRead}>
          {busy ? say('Reading…') : say('Read it')}
        </Button>
        <label className="inline-flex min-h-10 cursor-pointer items-center underline underline-offset-4">
          {say('open a file')}
          <input
            type="file"
            accept=".txt,.md,.html,.htm,.json,.jsonld,text/plain,text/html,application/json"
            className="sr-only"
            onChange={(event) => onFile(event.target.files?.[0])}
          />
        </label>
      </div>
    </div>
  );
}
