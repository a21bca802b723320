import { readFileSync } from 'node:fs';
import { linesOfText, lookAt } from '@/core/recipe/kinds';
import { kindsOf } from '@/core/recipe/lines';
import { type Stranger, strangersIn } from '@/core/recipe/testing/strangers';
import type { MadeUp, Taught } from './made-up';
import type { TaughtAttention, TaughtPlace } from './words';

const FILES = new URL('../../src/core/recipe/testing/', import.meta.url);

/** The hand-written recipes of a set that are plain text, with what their truth says of each line. */
export function handWritten(name: string): readonly MadeUp[] {
  return strangersIn(readFileSync(new URL(`strangers-${name}.txt`, FILES), 'utf8'))
    .filter(({ text }) => !/^[<{#]/.test(text))
    .map(asTaught);
}

const plain = (words: string) =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, ' ')
    .trim();

/** A line that holds a step's words is a step, one that holds an ingredient's name before the first step is one; of the rest the rules are believed. */
function asTaught({ text, steps, ingredients }: Stranger): MadeUp {
  const lines = linesOfText(text);
  const kinds = kindsOf(lines.map(lookAt));
  let begun = false;
  const taught = lines.map((line, k): Taught => {
    const said = plain(line.text);
    const holds = steps.some(({ words }) => said.includes(plain(words)));
    begun ||= holds;
    if (holds) return { line, kind: 'step' };
    const named =
      !begun &&
      kinds[k] !== 'title' &&
      ingredients.some(({ name }) => said.includes(plain(name))) &&
      said.split(' ').length < 12;
    return { line, kind: named ? 'ingredient' : kinds[k]! };
  });
  return {
    lines: taught,
    steps: steps.map(({ words, places, attentions }) => [
      words,
      places[0] as TaughtPlace,
      attentions[0] as TaughtAttention,
    ]),
  };
}
