import type { Dish } from '@/core/dish/dish';
import { makeDish } from '@/core/dish/parts';
import { techniqueOf } from '@/core/dish/techniques/all';

/** For how many the dishes are written. */
const TEN = 10;

/** Mutton gives the broth of the soup and lies under the rice: fried onions, drained grain and meat meet in one pot, sealed until the table. */
export const muttonUnderRice: Dish = makeDish(
  techniqueOf('layered'),
  { id: 'mutton-under-rice', name: 'Mutton under rice, sealed', servings: TEN },
  {
    ways: { seal: 'dough', heat: 'medium' },
    parts: [
      {
        id: 'mutton',
        technique: 'boiled-meat',
        ways: { cut: 'pieces', broth: 'topped' },
        fillings: {
          meat: { name: 'mutton, in pieces on the bone', amount: { quantity: 220, unit: 'g' } },
          spice: { name: 'bay', amount: { quantity: 3, unit: 'leaf' } },
        },
      },
      {
        id: 'onions',
        technique: 'crisp-onions',
        ways: {},
        fillings: { onions: { amount: { quantity: 0.5, unit: 'piece' } } },
      },
    ],
    fillings: {
      meat: { from: { part: 'mutton', product: 'boiled meat' } },
      crisp: { from: { part: 'onions', product: 'crisp onions' } },
      fat: { from: { part: 'onions', product: 'kept oil' } },
      grain: { amount: { quantity: 65, unit: 'g' } },
      herbs: { name: 'chopped dill', amount: { quantity: 4, unit: 'g' } },
      nuts: null,
    },
  },
);

/** Takes the broth that the rice does not. */
export const leekBroth: Dish = makeDish(
  techniqueOf('soup'),
  { id: 'leek-broth', name: 'Leek and potato broth', servings: TEN },
  {
    ways: { blend: 'no' },
    fillings: {
      vegetables: { name: 'leeks and potatoes', amount: { quantity: 120, unit: 'g' }, cut: 'in small dice' },
      water: { from: { part: null, product: 'broth' } },
      salt: { amount: { quantity: 0.1, unit: 'tsp' } },
      cream: null,
    },
  },
);

/** For those who eat no meat: it needs a burner for seven minutes only. */
export const goldenGrain: Dish = makeDish(
  techniqueOf('rice-cooker'),
  { id: 'golden-grain', name: 'Golden bulgur from the cooker', servings: TEN },
  {
    ways: { kind: 'bulgur-coarse', base: 'spiced', wash: 'no' },
    fillings: {
      grain: { amount: { quantity: 40, unit: 'g' } },
      spice: { name: 'ground turmeric and cumin', amount: { quantity: 0.15, unit: 'tsp' } },
      fat: { amount: { quantity: 0.4, unit: 'tbsp' } },
      finish: { name: 'toasted pumpkin seeds', amount: { quantity: 6, unit: 'g' } },
    },
  },
);

const roots: Dish = makeDish(
  techniqueOf('roast-vegetables'),
  { id: 'shearing-roots', name: 'Roast beetroots and carrots', servings: TEN },
  { fillings: { vegetables: { name: 'beetroots and carrots', amount: { quantity: 140, unit: 'g' } } } },
);

const cucumbers: Dish = makeDish(
  techniqueOf('salt-drained'),
  { id: 'shearing-cucumbers', name: 'Sour cucumbers', servings: TEN },
  { fillings: { main: { amount: { quantity: 90, unit: 'g' } }, seeds: null } },
);

const mintYogurt: Dish = makeDish(
  techniqueOf('yogurt-side'),
  { id: 'shearing-yogurt', name: 'Mint yogurt', servings: TEN },
  { fillings: { herbs: { name: 'mint' } } },
);

/** The dishes of the sample meal in which parts meet, in the order of the menu. */
export const shearingDishes: readonly Dish[] = [muttonUnderRice, leekBroth, goldenGrain, roots, cucumbers, mintYogurt];
