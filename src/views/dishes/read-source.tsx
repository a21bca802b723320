'use client';

import { useEffect, useRef, useState } from 'react';
import type { RecipeReading } from '@/core/recipe/reading';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { AskModel } from './read-model';

interface SourceProps {
  readonly reading: RecipeReading;
  /** Words that are looked at on the other side. */
  readonly shown: string | null;
  readonly onIngredient: (words: string) => void;
  readonly onStep: (words: string) => void;
  readonly onChange: (by: (now: RecipeReading) => RecipeReading) => void;
}

/** What was pasted, line by line, with what each was taken for; what is missing is added by marking its words. */
export function Source({ reading, shown, onIngredient, onStep, onChange }: SourceProps) {
  const panel = useRef<HTMLDivElement>(null);
  const [marked, setMarked] = useState('');
  useEffect(() => {
    const look = () => {
      const selection = document.getSelection();
      const inside =
        selection && panel.current?.contains(selection.anchorNode) && panel.current.contains(selection.focusNode);
      setMarked(inside ? selection.toString().replace(/\s+/g, ' ').trim() : '');
    };
    document.addEventListener('selectionchange', look);
    return () => document.removeEventListener('selectionchange', look);
  }, []);
  // Only what the panel hides is brought into it: the page itself stays where it is.
  useEffect(() => {
    const mark = shown === null ? null : panel.current?.querySelector('mark');
    if (mark && panel.current) panel.current.scrollTop = Math.max(0, mark.offsetTop - panel.current.clientHeight / 3);
  }, [shown]);
  const add = (by: (words: string) => void) => {
    by(marked);
    document.getSelection()?.removeAllRanges();
  };
  return (
    <section aria-label={say('The text')} className="order-last min-w-0 lg:sticky lg:order-none lg:top-4 lg:self-start">
      <h2 className="text-2xl">{say('The text')}</h2>
      <div className="flex min-h-12 flex-wrap items-center gap-2 border-b border-line pb-1">
        {marked === '' ? (
          <p className="text-sm text-faint">
            {reading.language === null
              ? say(
                  'Its language is not one that can be read here: words and amounts stand as they are. Mark words to add what is missing.',
                )
              : say('Read as {language}. Mark words to add what is missing.', { language: reading.language })}
          </p>
        ) : (
          <>
            <span className="max-w-40 truncate text-sm">“{marked}”</span>
            {/* A press on them must not take the marks away before it is heard. */}
            <Button onMouseDown={(event) => event.preventDefault()} onClick={() => add(onIngredient)}>
              {say('goes in')}
            </Button>
            <Button onMouseDown={(event) => event.preventDefault()} onClick={() => add(onStep)}>
              {say('is a step')}
            </Button>
          </>
        )}
      </div>
      <AskModel reading={reading} onChange={onChange} />
      <div ref={panel} className="relative mt-1 lg:max-h-[calc(100vh-10rem)] lg:overflow-y-auto">
        {reading.source.map((line, k) => {
          const label = labelOf(line, reading);
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: lines never move
            <div key={k} className="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
              <span className={`text-end text-sm leading-6 ${label === 'not understood' ? 'text-warn' : 'text-faint'}`}>
                {label}
              </span>
              <p className={label === 'said besides' ? 'text-faint' : ''}>
                {withMark(line.text, shown)}
                {(label === 'said besides' || label === 'not understood') && (
                  <span className="ms-2 inline-flex gap-3 text-sm whitespace-nowrap select-none">
                    <LineButton says={say('goes in')} line={line.text} onClick={onIngredient} />
                    <LineButton says={say('is a step')} line={line.text} onClick={onStep} />
                  </span>
                )}
              </p>
            </div>
          );
        })}
      </div>
    </section>
  );
}

interface LineButtonProps {
  readonly says: string;
  readonly line: string;
  readonly onClick: (words: string) => void;
}

function LineButton({ says, line, onClick }: LineButtonProps) {
  return (
    <button
      type="button"
      aria-label={`${says}: ${line.slice(0, 60)}`}
      className="min-h-6 text-faint underline decoration-line underline-offset-4 hover:text-ink"
      onClick={() => onClick(line)}
    >
      {says}
    </button>
  );
}

/** Letters of a step by which its line is found. */
const HEAD = 24;

function labelOf(
  { text, kind }: RecipeReading['source'][number],
  { ingredients, steps, notUnderstood, name }: RecipeReading,
): string {
  const holds = (words: string) => words !== '' && (text.includes(words) || words.includes(text));
  if (notUnderstood.some(holds)) return say('not understood');
  const heads = kind === 'part' || kind === 'ingredients' || kind === 'method' || kind === 'aside';
  const step = steps.some(({ words }) => text.includes(words.slice(0, HEAD)) || (!heads && words.includes(text)));
  const goesIn = ingredients.some(({ words }) => text === words || (!step && !heads && holds(words)));
  if (goesIn) return say('goes in');
  if (step) return 'step';
  switch (kind) {
    case 'title':
      return text.includes(name) ? 'name' : 'title';
    case 'servings':
      return 'serves';
    case 'ingredients':
    case 'method':
    case 'part':
    case 'aside':
      return 'heading';
    case 'time':
      return 'time';
    default:
      return say('said besides');
  }
}

function withMark(text: string, shown: string | null) {
  const at = shown ? text.indexOf(shown) : -1;
  // What was joined stands in two lines: its beginning is shown.
  const head = shown && at < 0 ? shown.slice(0, HEAD) : null;
  const from = head ? text.indexOf(head) : at;
  if (!shown || from < 0 || shown.length < 3) return text;
  const to = from + (head ?? shown).length;
  return (
    <>
      {text.slice(0, from)}
      <mark className="bg-soft text-ink underline decoration-ember decoration-2 underline-offset-4">
        {text.slice(from, to)}
      </mark>
      {text.slice(to)}
    </>
  );
}
