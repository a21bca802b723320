import type { LineKind } from '@/core/recipe/line-kind';
import type { SourceLine } from '@/core/recipe/taken-apart';
import { type Random, seededRandom } from '@/core/schedule/random';
import { type Sentence, TONGUES, type Tongue } from './words';

/** A line with what it is. */
export interface Taught {
  readonly line: SourceLine;
  readonly kind: LineKind;
}

/** A recipe made up: its lines, and the sentences of its method. */
export interface MadeUp {
  readonly lines: readonly Taught[];
  readonly steps: readonly Sentence[];
}

/** Chance that is the same each time. */
export class Dice {
  private readonly chance: Random;

  constructor(seed: number) {
    this.chance = seededRandom(seed);
  }

  next(): number {
    return this.chance.next();
  }

  whole(from: number, to: number): number {
    return from + this.chance.below(to - from + 1);
  }

  one<T>(list: readonly T[]): T {
    return list[this.chance.below(list.length)]!;
  }

  is(chance: number): boolean {
    return this.next() < chance;
  }
}

const filled = (words: string, tongue: Tongue, dice: Dice) =>
  words
    .replace(/\{i\}/g, () => dice.one(tongue.things))
    .replace(/\{j\}/g, () => dice.one(tongue.things))
    .replace(/\{n\}/g, () => String(dice.whole(2, 8)))
    .replace(/\{t\}/g, () => String(dice.whole(2, 45)))
    .replace(/,? ?\{u\}/g, () => {
      const until = dice.one(tongue.until);
      return until === '' ? '' : `, ${until}`;
    });

/** Every fifth of what can be said, or the others: what is held out is in words that were never taught. */
export function shareOf(tongue: Tongue, held: boolean): Tongue {
  const share = <T>(list: readonly T[]) => {
    const own = list.filter((_, k) => (k % 5 === 4) === held);
    return own.length > 0 ? own : list;
  };
  const { sentences, notes, asides, talk, amounts, loose, titles, parts, serves, times } = tongue;
  return {
    ...tongue,
    sentences: share(sentences),
    notes: share(notes),
    asides: share(asides),
    talk: share(talk),
    amounts: share(amounts),
    loose: share(loose),
    titles: share(titles),
    parts: share(parts),
    serves: share(serves),
    times: share(times),
  };
}

const SHARES = [false, true].map((held) => TONGUES.map((tongue) => shareOf(tongue, held)));

/** A recipe in some manner, as lines that are known; `held` is made of what no other is. */
export function madeUp(seed: number, held = false): MadeUp {
  const dice = new Dice(seed * 7919 + 17);
  const tongue = dice.one(SHARES[held ? 1 : 0]!);
  const fill = (words: string) => filled(words, tongue, dice);
  const page = dice.is(0.35);
  const headed = dice.is(0.75);
  const bullets = dice.is(0.3);
  const numbered = dice.is(0.45);
  const stops = dice.is(0.85);
  const paragraphs = dice.is(0.3);
  const lines: Taught[] = [];
  const steps: Sentence[] = [];
  let gap = false;
  const add = (kind: LineKind, text: string, role: SourceLine['role'] = 'line') => {
    lines.push({
      line: {
        text,
        role,
        ...(gap && !page ? { gap } : {}),
        ...(page && kind !== 'note' && dice.is(0.8) ? { main: true } : {}),
      },
      kind,
    });
    gap = false;
  };
  const talk = (chance: number) => {
    while (dice.is(chance)) add('note', fill(dice.one(tongue.talk)), page ? 'paragraph' : 'line');
  };
  const ingredient = () => {
    const words = dice.is(0.86)
      ? fill(dice.one(tongue.amounts)) + fill(dice.one(tongue.cuts))
      : fill(dice.one(tongue.loose));
    add('ingredient', bullets && !page ? `- ${words}` : words, page ? 'item' : bullets ? 'item' : 'line');
  };
  const partHead = () => {
    gap = true;
    add('part', fill(dice.one(tongue.parts)), page && dice.is(0.7) ? 'heading' : 'line');
  };
  const sentence = () => {
    const [words, place, attention] = dice.one(tongue.sentences);
    const own = fill(words);
    const text = stops ? own : own.replace(/\.$/, '');
    steps.push([text, place, attention]);
    return text;
  };
  const method = (count: number) => {
    for (let k = 0; k < count; k++) {
      const words = Array.from({ length: paragraphs ? dice.whole(2, 4) : dice.is(0.3) ? 2 : 1 }, sentence).join(
        stops ? ' ' : '. ',
      );
      const number = numbered && !page ? dice.one([`${k + 1}. `, `${k + 1}) `, `Step ${k + 1}: `]) : '';
      if (paragraphs) gap = dice.is(0.6);
      add('step', number + words, page ? (numbered ? 'numbered' : dice.one(['paragraph', 'item'])) : 'line');
    }
  };
  if (page) talk(0.5);
  add('title', fill(dice.one(tongue.titles)), page ? 'heading' : 'line');
  talk(0.45);
  for (const kind of dice.is(0.5) ? (['servings', 'time'] as const) : (['time', 'servings'] as const)) {
    if (dice.is(0.6)) add(kind, fill(dice.one(kind === 'time' ? tongue.times : tongue.serves)));
  }
  gap = true;
  if (headed) add('ingredients', fill(dice.one(tongue.ingredients)), page ? 'heading' : 'line');
  const parts = dice.is(0.25) ? 2 : 1;
  for (let p = 0; p < parts; p++) {
    if (parts > 1 && (p > 0 || dice.is(0.6))) partHead();
    for (let k = dice.whole(3, 8); k > 0; k--) ingredient();
  }
  gap = true;
  if (headed && dice.is(0.9)) add('method', fill(dice.one(tongue.method)), page ? 'heading' : 'line');
  for (let p = 0; p < parts; p++) {
    if (parts > 1 && dice.is(0.4)) partHead();
    method(dice.whole(2, 6));
    if (dice.is(0.08)) talk(0.4);
  }
  gap = true;
  if (dice.is(0.3)) add('note', fill(dice.one(tongue.notes)), page ? 'paragraph' : 'line');
  if (dice.is(0.35)) {
    add('aside', fill(dice.one(tongue.asides)), page ? 'heading' : 'line');
    for (let k = dice.whole(1, 4); k > 0; k--)
      add('note', fill(dice.one(dice.is(0.5) ? tongue.notes : tongue.talk)), page ? 'paragraph' : 'line');
  }
  return { lines, steps };
}
