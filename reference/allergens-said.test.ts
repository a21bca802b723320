import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ALLERGENS } from '../src/core/food/food';
import { LANGUAGES } from '../src/words/languages';

// The words of the law for what must be named on a label: Regulation (EU) No 1169/2011, Annex II, in its own versions; from memory.

/** What each begins with in the law, in the order of `ALLERGENS`: numbers and cases differ. */
const IN_LAW: Readonly<Record<string, readonly string[]>> = {
  de: [
    'gluten',
    'krebstier',
    'ei',
    'fisch',
    'erdn',
    'soja',
    'milch',
    'schalenfr',
    'sellerie',
    'senf',
    'sesam',
    'sulfit',
    'lupine',
    'weichtier',
  ],
  fr: [
    'gluten',
    'crustac',
    'œuf',
    'poisson',
    'arachide',
    'soja',
    'lait',
    'fruits à coque',
    'céleri',
    'moutarde',
    'sésame',
    'sulfite',
    'lupin',
    'mollusque',
  ],
  es: [
    'gluten',
    'crustáceo',
    'huevo',
    'pescado',
    'cacahuete',
    'soja',
    'leche',
    'frutos de cáscara',
    'apio',
    'mostaza',
    'sésamo',
    'sulfito',
    'altramu',
    'molusco',
  ],
  pt: [
    'glúten',
    'crustáceo',
    'ovo',
    'peixe',
    'amendoi',
    'soja',
    'leite',
    'frutos de casca rija',
    'aipo',
    'mostarda',
    'sésamo',
    'sulfito',
    'tremoço',
    'molusco',
  ],
};

const catalogOf = (tag: string): Readonly<Record<string, string>> =>
  JSON.parse(readFileSync(`src/words/${tag}.json`, 'utf8'));

describe('allergens in other languages', () => {
  it.each(Object.keys(IN_LAW))('are named in %s as the law names them', (tag) => {
    const catalog = catalogOf(tag);
    const other = ALLERGENS.filter((each, at) => !catalog[each]?.toLowerCase().startsWith(IN_LAW[tag]![at]!));
    expect(other).toEqual([]);
  });

  it.each(LANGUAGES.filter(({ tag }) => tag !== 'en'))('are told apart in $name', ({ tag }) => {
    const catalog = catalogOf(tag);
    expect(new Set(ALLERGENS.map((each) => catalog[each])).size).toBe(ALLERGENS.length);
    expect(catalog['nut']).not.toBe(catalog['peanuts']);
  });
});
