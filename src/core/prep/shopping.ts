import type { Dish } from '@/core/dish/dish';
import { giverOf } from '@/core/meal/hand-over';
import type { Meal } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import {
  type Amount,
  MASS_IN_GRAMS,
  type MassUnit,
  printAmount,
  VOLUME_IN_ML,
  type VolumeUnit,
} from '@/core/units/amount';
import { densityOf } from '@/core/units/densities';
import { listed } from '@/core/units/words';

/** Where in a shop a thing stands. */
export type Aisle =
  | 'vegetables and fruit'
  | 'meat and fish'
  | 'dairy and eggs'
  | 'bread'
  | 'dry goods'
  | 'spices and oils'
  | 'tins and jars'
  | 'drinks'
  | 'else';
/** In the order of a walk through a shop: what is cold comes last. */
export const AISLES: readonly Aisle[] = [
  'vegetables and fruit',
  'bread',
  'dry goods',
  'tins and jars',
  'spices and oils',
  'drinks',
  'else',
  'dairy and eggs',
  'meat and fish',
];

/** What one dish wants of one thing. */
interface Want {
  readonly dish: string;
  readonly name: string;
  readonly amount: Amount;
  readonly cut?: string;
}

/** One thing to be bought, for all the dishes that want it. */
export interface Errand {
  /** The same for the same thing in every list of the meal. */
  readonly key: string;
  readonly name: string;
  readonly aisle: Aisle;
  /** Amounts of different kinds stay apart: 400 g and 2 pieces. Rounded up to what can be bought. */
  readonly amounts: readonly Amount[];
  /** The same to the gram, as the dishes want it. */
  readonly exact: readonly Amount[];
  /** Which dish wants how much. */
  readonly wants: readonly Omit<Want, 'name'>[];
}

const FROM_THE_TAP = /^(?:cold |hot |warm |lukewarm |boiling |iced )?water$/;

/** What a meal wants from the shop: all dishes for their people, the same things added up, by aisle and by name. */
export function shoppingList(meal: Meal): readonly Errand[] {
  const wanted = meal.dishes.flatMap((written): Want[] => {
    const dish = scaledFor(meal, written);
    const own = dish.ingredients.map(({ name, amount, cut }) => ({ name, amount, ...(cut ? { cut } : {}) }));
    return [...own, ...bought(meal, dish)].map((want) => ({ ...want, dish: dish.name }));
  });
  const errands = new Map<string, { readonly name: string; readonly wants: Want[] }>();
  for (const want of wanted) {
    if (FROM_THE_TAP.test(want.name.toLowerCase())) continue;
    const key = keyOf(want.name);
    const known = errands.get(key);
    if (known) known.wants.push(want);
    else errands.set(key, { name: want.name, wants: [want] });
  }
  return [...errands]
    .map(([key, { name, wants }]): Errand => {
      const exact = joinedKinds(name, added(wants.map(({ amount }) => amount)));
      return {
        key,
        name,
        aisle: aisleOf(name),
        amounts: exact.map(buyable),
        exact,
        wants: wants.map(({ name: _, ...want }) => want),
      };
    })
    .sort((a, b) => AISLES.indexOf(a.aisle) - AISLES.indexOf(b.aisle) || a.name.localeCompare(b.name));
}

/** What a dish takes from another that this meal does not have. */
function bought(meal: Meal, dish: Dish): readonly { readonly name: string; readonly amount: Amount }[] {
  return dish.takes
    .filter((take) => giverOf(meal.dishes, dish, take) === null)
    .map(({ otherwise, amount }) => ({ name: otherwise, amount }));
}

/** One word for "onions", "Onion" and "red onion"s that are the same: small letters, one of them. */
export function keyOf(name: string): string {
  return name
    .toLowerCase()
    .replace(/\s*\([^)]*\)/g, '')
    .split(/\s+/)
    .map(single)
    .join(' ')
    .trim();
}

function single(word: string): string {
  if (/(?:ss|us|is)$/.test(word) || word.length < 4) return word;
  if (/(?:tom|pot)atoes$/.test(word)) return word.slice(0, -2);
  if (/ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/leaves$/.test(word)) return word.replace(/leaves$/, 'leaf');
  if (/(?:sh|ch|x)es$/.test(word)) return word.slice(0, -2);
  return word.replace(/s$/, '');
}

/** Amounts of one kind added up: weights in g, volumes in ml, counts by their unit. */
export function added(amounts: readonly Amount[]): readonly Amount[] {
  const sums = new Map<string, Amount>();
  for (const { quantity, unit } of amounts) {
    const base: Amount =
      unit in MASS_IN_GRAMS
        ? { quantity: quantity * MASS_IN_GRAMS[unit as MassUnit], unit: 'g' }
        : unit in VOLUME_IN_ML
          ? { quantity: quantity * VOLUME_IN_ML[unit as VolumeUnit], unit: 'ml' }
          : { quantity, unit };
    sums.set(base.unit, { unit: base.unit, quantity: (sums.get(base.unit)?.quantity ?? 0) + base.quantity });
  }
  return [...sums.values()];
}

/** Spoons and cups join the weight of what is weighed too, where its density is known. */
function joinedKinds(name: string, amounts: readonly Amount[]): readonly Amount[] {
  const grams = amounts.find(({ unit }) => unit === 'g');
  const ml = amounts.find(({ unit }) => unit === 'ml');
  const density = densityOf(name);
  if (!grams || !ml || density === null) return amounts;
  const all = { quantity: grams.quantity + ml.quantity * density, unit: 'g' } as const;
  return amounts.flatMap((each) => (each === grams ? [all] : each === ml ? [] : [each]));
}

/** Never less than is wanted: whole pieces, weights and volumes to the next step that a shop sells. */
export function buyable({ quantity, unit }: Amount): Amount {
  const up = (step: number) => Math.ceil(quantity / step - 1e-9) * step;
  if (unit === 'g' || unit === 'ml') {
    return { unit, quantity: quantity <= 20 ? up(5) : quantity <= 200 ? up(10) : quantity <= 1000 ? up(50) : up(100) };
  }
  return { unit, quantity: Math.max(1, Math.ceil(quantity - 1e-9)) };
}

const SIGNS: readonly (readonly [Aisle, RegExp])[] = [
  ['vegetables and fruit', /\bfresh (horseradish|ginger|chilli|peas|beans|herbs)\b/],
  [
    'meat and fish',
    /\b(beef|pork|lamb|mutton|goat|veal|chicken|turkey|duck|mince|minced|meat|bacon|ham|sausages?|fish|cod|mackerel|salmon|trout|prawns?|shanks?|fillets?)\b/,
  ],
  [
    'tins and jars',
    /\b(tins?|tinned|canned|coconut milk|tomato paste|chopped tomatoes|mustard|horseradish|olives|stock|soy sauce|damson jam)\b/,
  ],
  [
    'spices and oils',
    /\b(salt|pepper|peppercorns|caraway|nutmeg|oil|vinegar|cumin|coriander and|ground|turmeric|paprika|bay|cinnamon|cloves? in|allspice|cardamom|spice|dripping|juniper|seeds?)\b/,
  ],
  ['dairy and eggs', /\b(milk|butter|cream|yogh?urt|cheese|eggs?|ghee|buttermilk)\b/],
  ['bread', /\b(bread|rolls|flatbread|breadcrumbs)\b/],
  ['drinks', /\b(wine|cider|beer)\b/],
  [
    'dry goods',
    /\b(rice|barley|millet|bulgur|couscous|quinoa|freekeh|farro|oats?|flour|sugar|honey|lentils?|beans?|peas|chickpeas|raisins|almonds?|walnuts?|hazelnuts?|chestnuts?|nuts|yeast|grain|polenta|dried)\b/,
  ],
  [
    'vegetables and fruit',
    /\b(onions?|leeks?|carrots?|celery|celeriac|garlic|ginger|squash|potatoes|parsnips?|roots|beetroot|cabbage|kale|greens|spinach|fennel|lemons?|limes?|oranges?|apples?|quinces?|damsons|mushrooms?|tomatoes|peppers?|chilli|cucumber|herbs|parsley|dill|thyme|sage|mint|rosemary|salad|leaves|cauliflower|aubergines?|chard|sprouts|vegetables)\b/,
  ],
];

/** Where in a shop a thing is looked for. */
export function aisleOf(name: string): Aisle {
  const words = name.toLowerCase();
  return SIGNS.find(([, pattern]) => pattern.test(words))?.[0] ?? 'else';
}

/** "900 g carrots" and "2 onions", as one says it in a shop. */
export function sayErrand({ name, amounts }: Errand): string {
  return `${listed(amounts.map(printAmount))} ${name}`;
}

/** The list as plain text, an aisle a paragraph; what is had already is left out. */
export function listAsText(errands: readonly Errand[]): string {
  return AISLES.flatMap((aisle) => {
    const own = errands.filter((errand) => errand.aisle === aisle);
    return own.length > 0
      ? [`${aisle.toUpperCase()}\n${own.map((errand) => `- ${sayErrand(errand)}`).join('\n')}`]
      : [];
  }).join('\n\n');
}
