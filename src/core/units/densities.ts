/** Grams of a millilitre, as it lies in a cup or a spoon. Source: USDA FoodData Central (grams of a US cup), from memory. */
export const DENSITIES: readonly { readonly id: string; readonly name: string; readonly density: number }[] = [
  { id: 'water', name: 'water', density: 1 },
  { id: 'milk', name: 'milk', density: 1.03 },
  { id: 'oil', name: 'oil', density: 0.92 },
  { id: 'butter', name: 'butter', density: 0.96 },
  { id: 'flour', name: 'plain flour', density: 0.53 },
  { id: 'sugar', name: 'sugar', density: 0.85 },
  { id: 'honey', name: 'honey', density: 1.43 },
  { id: 'salt', name: 'fine salt', density: 1.22 },
  { id: 'lentils', name: 'dry lentils', density: 0.81 },
  { id: 'chickpeas', name: 'dry chickpeas', density: 0.85 },
];

/** The same of dry grains and pulses, which each kind of grain tells more closely (`grain/grains.ts`). Same source. */
const DRY: typeof DENSITIES = [
  { id: 'split-peas', name: 'split peas', density: 0.83 },
  { id: 'beans', name: 'dry beans', density: 0.78 },
  { id: 'rice', name: 'rice', density: 0.79 },
  { id: 'wild-rice', name: 'wild rice', density: 0.68 },
  { id: 'barley', name: 'pearl barley', density: 0.85 },
  { id: 'bulgur', name: 'bulgur', density: 0.59 },
  { id: 'couscous', name: 'couscous', density: 0.73 },
  { id: 'quinoa', name: 'quinoa', density: 0.72 },
  { id: 'millet', name: 'millet', density: 0.85 },
  { id: 'buckwheat', name: 'buckwheat', density: 0.72 },
  { id: 'oats', name: 'rolled oats', density: 0.34 },
  { id: 'polenta', name: 'polenta', density: 0.66 },
  { id: 'semolina', name: 'semolina', density: 0.71 },
  { id: 'breadcrumbs', name: 'dry breadcrumbs', density: 0.46 },
];

/** Words by which a thing of the list is known; the first that fits counts. */
const KNOWN_BY: readonly (readonly [RegExp, string])[] = [
  [/\b(noodles?|pasta|paper|tortillas?|cubes?|bouillon)\b/, 'none'],
  [/\b(oil|ghee)\b/, 'oil'],
  [/\bbutter\b(?! bean)/, 'butter'],
  [/\bflour\b/, 'flour'],
  [/\bsugar\b(?! snap)/, 'sugar'],
  [/\bhoney\b/, 'honey'],
  [/\bfine salt\b|^salt$/, 'salt'],
  [/\b(milk|cream|yogh?urt|buttermilk)\b/, 'milk'],
  [/\blentils\b/, 'lentils'],
  [/\bchickpeas\b/, 'chickpeas'],
  [/\bsplit peas\b/, 'split-peas'],
  [/\b(dry|dried) .*beans\b/, 'beans'],
  [/\bwild rice\b/, 'wild-rice'],
  [/\brice\b(?! vinegar| wine)/, 'rice'],
  [/\bbarley\b/, 'barley'],
  [/\bbulgh?ur\b/, 'bulgur'],
  [/\bcouscous\b/, 'couscous'],
  [/\bquinoa\b/, 'quinoa'],
  [/\bmillet\b/, 'millet'],
  [/\bbuckwheat\b/, 'buckwheat'],
  [/\boats\b/, 'oats'],
  [/\bpolenta\b|\bcornmeal\b/, 'polenta'],
  [/\bsemolina\b/, 'semolina'],
  [/\bbreadcrumbs\b/, 'breadcrumbs'],
  [/\b(water|stock|broth|vinegar|wine|juice)\b/, 'water'],
];

/** Grams of a millilitre of a thing by its name; null where it is not known. */
export function densityOf(name: string): number | null {
  const id = KNOWN_BY.find(([pattern]) => pattern.test(name.toLowerCase()))?.[1];
  return [...DENSITIES, ...DRY].find((each) => each.id === id)?.density ?? null;
}
