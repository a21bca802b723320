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
