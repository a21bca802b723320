/** Names of foods as text: parts, words, the singular. */

/** Parts of a name that stand beside each other: "carrots and leeks", "tuna in oil". */
export function partsOf(name: string): string[] {
  return plain(name)
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
    .replace(/[’'`]/g, '');
}

/** Its words in the singular. */
export function wordsOf(text: string): string[] {
  return plain(text)
    .replace(/[-–—]/g, ' ')
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
  feet: 'foot',
  chillies: 'chilli',
  chilies: 'chili',
  chiles: 'chile',
  rabbits: 'rabbit',
  octopi: 'octopus',
  cookies: 'cookie',
  smoothies: 'smoothie',
  brownies: 'brownie',
  queenies: 'queenie',
  smokies: 'smokie',
  molasses: 'molasses',
};

/** A word in the singular, as near as a rule can tell: the same for the table and for what is looked up in it. */
export function singular(word: string): string {
  const known = IRREGULAR[word];
  if (known) return known;
  if (word.length < 4 || /(?:ss|us|is)$/.test(word)) return word;
  if (/ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/(?:ch|sh|x|tomato|potato|mango|ho)es$/.test(word)) return word.slice(0, -2);
  return word.replace(/s$/, '');
}
