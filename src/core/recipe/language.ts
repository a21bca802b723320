import { own } from '@/core/plain/record';

/** Languages whose words for headings, measures, times, heat and common work are known. */
export const LANGUAGES = ['English', 'German', 'French', 'Spanish', 'Turkish', 'Persian', 'Arabic', 'Hindi'] as const;
/** A language that is known, or `null` for one that is not. */
export type Language = (typeof LANGUAGES)[number] | null;

/** Small words that stand in every recipe of a language, and in few of another. */
const SMALL: readonly (readonly [Exclude<Language, null>, string])[] = [
  [
    'English',
    'the and with until for of in then to into over add cook heat stir cup cups minutes tbsp tsp chopped salt about each it them',
  ],
  [
    'German',
    'und die der das mit in den zu bis bei im auf lassen geben ein eine etwa minuten esslöffel el tl salz zwiebeln dann anschließend',
  ],
  [
    'French',
    'et le la les de du des dans une un à avec pendant puis laissez faites au jusqu pour sel minutes ajoutez cuillère',
  ],
  [
    'Spanish',
    'y el la los las de en con una un hasta por al durante minutos agregar añadir sal cucharada para que cocer',
  ],
  ['Turkish', 've ile bir bardağı kaşığı dakika adet için üzerine ekleyin pişirin kadar tuz su bu sonra'],
];
const SCRIPTS: readonly (readonly [Exclude<Language, null>, RegExp])[] = [
  ['Hindi', /\p{Script=Devanagari}/gu],
  // Letters that Persian has and Arabic has not.
  ['Persian', /[پچژگکی]/gu],
  ['Arabic', /\p{Script=Arabic}/gu],
];
const WORDS: Readonly<Record<string, readonly Exclude<Language, null>[]>> = SMALL.reduce<
  Record<string, Exclude<Language, null>[]>
>((all, [language, words]) => {
  for (const word of words.split(' ')) all[word] = [...(own(all, word) ?? []), language];
  return all;
}, Object.create(null));

/** Letters of a text in which its language is looked for. */
const LOOKED_AT = 6000;
/** Shares of all words that must be small words of a language. */
const SURE = 0.06;

/** The language of a text, by its script and its small words; null where none of those that are known fits. */
export function languageOf(text: string): Language {
  const head = text.slice(0, LOOKED_AT).toLowerCase();
  const letters = head.match(/\p{L}/gu)?.length ?? 0;
  const count = (pattern: RegExp) => head.match(pattern)?.length ?? 0;
  if (letters === 0) return null;
  if (count(SCRIPTS[0]![1]) > letters * 0.4) return 'Hindi';
  if (count(SCRIPTS[2]![1]) > letters * 0.4) return count(SCRIPTS[1]![1]) > letters * 0.04 ? 'Persian' : 'Arabic';
  if (count(/\p{Script=Latin}/gu) < letters * 0.6) return null;
  const words = head.match(/[\p{L}\p{M}]+/gu) ?? [];
  const found = new Map<Exclude<Language, null>, number>();
  for (const word of words)
    for (const language of own(WORDS, word) ?? []) found.set(language, (found.get(language) ?? 0) + 1);
  const [best] = [...found].sort(([, a], [, b]) => b - a);
  if (!best || best[1] < words.length * SURE) return letters < 60 ? 'English' : null;
  return best[0];
}
