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

/** Words by which a thing of the list is known; the first that fits counts. */
const KNOWN_BY: readonly (readonly [RegExp, string])[] = [
  [/\b(oil|ghee)\b/, 'oil'],
  [/\bbutter\b(?! bean)/, 'butter'],
  [/\bflour\b/, 'flour'],
  [/\bsugar\b/, 'sugar'],
  [/\bhoney\b/, 'honey'],
  [/\bfine salt\b|^salt$/, 'salt'],
  [/\b(milk|cream|yogh?urt|buttermilk)\b/, 'milk'],
  [/\blentils\b/, 'lentils'],
  [/\bchickpeas\b/, 'chickpeas'],
  [/\b(water|stock|broth|vinegar|wine|juice)\b/, 'water'],
];

/** Grams of a millilitre of a thing by its name; null where it is not known. */
export function densityOf(name: string): number | null {
  const id = KNOWN_BY.find(([pattern]) => pattern.test(name.toLowerCase()))?.[1];
  return DENSITIES.find((each) => each.id === id)?.density ?? null;
}
