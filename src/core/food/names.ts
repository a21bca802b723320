import { own } from '@/core/plain/record';

/** Names of foods as text: parts, words, the singular. */

/** Stands for an "and" that does not part: in "salt and pepper" sauce or "half and half". */
const KEPT = ' \u2227 ';

/** Parts of a name that stand beside each other: "carrots and leeks", "tuna in oil"; `whole`: phrases with an "and" of their own. */
export function partsOf(name: string, whole: readonly string[] = []): string[] {
  return whole
    .reduce((text, phrase) => text.replaceAll(phrase, phrase.replaceAll(' and ', KEPT)), plain(name))
    .split(/[,;/&+()[\]:]|\b(?:and|or|with|in|plus|as well as)\b/)
    .map((part) => part.trim())
    .filter(Boolean);
}

/** Small letters without accents, without the apostrophe of belonging. */
export function plain(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[’'`]s\b/g, '')
    .replace(/[’'`]/g, '')
    .replace(/[-–—]/g, ' ');
}

/** Its words in the singular. */
export function wordsOf(text: string): string[] {
  return plain(text)
    .replaceAll(KEPT, ' and ')
    .split(/[\s.!?*]+/)
    .filter(Boolean)
    .map(singular);
}

const IRREGULAR: Readonly<Record<string, string>> = {
  leaves: 'leaf',
  halves: 'half',
  calves: 'calf',
  loaves: 'loaf',
  knives: 'knife',
  geese: 'goose',
  bries: 'brie',
  feet: 'foot',
  chillies: 'chilli',
  chilies: 'chili',
  chiles: 'chile',
  octopi: 'octopus',
  molasses: 'molasses',
};

/** A word in the singular, as near as a rule can tell: the same for the table and for what is looked up in it. */
export function singular(word: string): string {
  const known = own(IRREGULAR, word);
  if (known) return known;
  if (word.length < 4 || /(?:ss|us|is)$/.test(word)) return word;
  if (/ies?$/.test(word) && word.length > 4) return word.replace(/ies?$/, 'y');
  if (/(?:tomato|potato|mango|ho)es$/.test(word)) return word.slice(0, -2);
  // Quiches and peaches end alike: the e goes from the singular too.
  if (/(?:ch|sh|x)es?$/.test(word)) return word.replace(/es?$/, '');
  return word.replace(/s$/, '');
}
