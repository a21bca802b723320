'use client';

import { useEffect, useRef, useState } from 'react';
import { ANSWER_SCHEMA, MOST_ASKED, QUESTION, withAnswer } from '@/core/recipe/answer';
import type { RecipeReading } from '@/core/recipe/reading';
import { say } from '@/core/say/say';
import { Button } from '@/ui/button';
import { keep, kept } from '@/ui/kept';
import { TickBox } from '@/ui/tick-box';

/** A language model that a browser has of its own, where it has one. */
interface OwnModel {
  readonly availability: () => Promise<'unavailable' | 'downloadable' | 'downloading' | 'available'>;
  readonly create: (how: { readonly signal: AbortSignal }) => Promise<{
    readonly prompt: (
      text: string,
      how: { readonly responseConstraint: object; readonly signal: AbortSignal },
    ) => Promise<string>;
    readonly destroy?: () => void;
  }>;
}

const KEPT = 'own model';

const ownModel = (): OwnModel | null => (globalThis as { readonly LanguageModel?: OwnModel }).LanguageModel ?? null;

const isSwitchedOn = () => kept(KEPT) === 'on';

interface AskModelProps {
  readonly reading: RecipeReading;
  readonly onChange: (by: (now: RecipeReading) => RecipeReading) => void;
}

/** The browser's own model looks for what was missed, once it is switched on; there where the browser has one. */
export function AskModel({ reading, onChange }: AskModelProps) {
  const [there, setThere] = useState(false);
  const [on, setOn] = useState(isSwitchedOn);
  const [said, setSaid] = useState('');
  const under = useRef<AbortController | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    // What is not on this device yet would have to be fetched: that is the browser's to ask.
    ownModel()
      ?.availability()
      .then((state) => setThere(state === 'available'))
      .catch(() => setThere(false));
    return () => under.current?.abort();
  }, []);
  if (!there) return null;
  const turn = (value: boolean) => {
    setOn(value);
    keep(KEPT, value ? 'on' : 'off');
  };
  const ask = async () => {
    const model = ownModel();
    if (!model) return;
    const control = new AbortController();
    under.current = control;
    setBusy(true);
    setSaid('');
    try {
      const { signal } = control;
      const session = await model.create({ signal });
      const text = reading.source
        .map((line) => line.text)
        .join('\n')
        .slice(0, MOST_ASKED);
      const answer = await session.prompt(QUESTION + text, { responseConstraint: ANSWER_SCHEMA, signal });
      session.destroy?.();
      const answered = withAnswer(reading, answer);
      if (answered && answered.added > 0) onChange((now) => withAnswer(now, answer)?.reading ?? now);
      setSaid(answered ? wordsOf(answered) : say('Its answer was in no shape to be used; nothing was taken.'));
    } catch {
      setSaid(
        control.signal.aborted ? say('Stopped; nothing was taken.') : say('It gave no answer; nothing was taken.'),
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="border-b border-line pb-1">
      <TickBox value={on} onChange={turn}>
        <span>
          {say('Let this browser’s own language model look for what is missing')}
          <span className="block text-sm text-faint">
            {say('It runs on this device, nothing is sent. Only words of the text are taken.')}
          </span>
        </span>
      </TickBox>
      {on && (
        <p className="flex flex-wrap items-center gap-3 py-1">
          {busy ? (
            <Button onClick={() => under.current?.abort()}>{say('stop')}</Button>
          ) : (
            <Button onClick={() => void ask()}>{say('look for it')}</Button>
          )}
          <span role="status" className="text-sm">
            {busy ? say('It is reading…') : said}
          </span>
        </p>
      )}
    </div>
  );
}

function wordsOf({ added, refused }: { readonly added: number; readonly refused: number }): string {
  const more =
    added === 0
      ? say('Nothing more was found')
      : added === 1
        ? say('One thing more was found')
        : say('{added} things more were found', { added });
  return refused === 0
    ? `${more}.`
    : say('{more}; {refused, plural, one {# was} other {# were}} not taken: not in the text.', { more, refused });
}
