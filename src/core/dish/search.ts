import { allergensOf, DIETS, type Diet, dietOf, unknownOf } from './diet';
import type { Dish } from './dish';
import { minutesOf } from './strip';

/** What a dish needs of a kitchen. */
export type Needs = 'burner' | 'oven' | 'nothing hot';

/** A dish with what it is searched by; made once. */
export interface Card {
  readonly dish: Dish;
  readonly words: string;
  readonly minutes: number;
  /** Minutes of hands. */
  readonly hands: number;
  readonly needs: readonly Needs[];
  /** Whom it suits; not known where something in it is not. */
  readonly diet: Diet | 'not known';
  /** Names in it that nobody knows: it is free of nothing until they are. */
  readonly unknown: readonly string[];
  readonly allergens: readonly string[];
}

/** What is wished; all of it must be met. */
export interface Wish {
  readonly words?: string;
  readonly mostMinutes?: number;
  /** Minutes of hands at most. */
  readonly mostHands?: number;
  /** Needs no burner, no oven, or neither. */
  readonly without?: readonly Exclude<Needs, 'nothing hot'>[];
  /** Suits this diet or a stricter one. */
  readonly diet?: Diet;
  readonly free?: readonly string[];
}

/** What a search looks at, of one dish: made once, asked often. */
export function cardOf(dish: Dish): Card {
  const { all, hands } = minutesOf(dish);
  const places = new Set(dish.steps.map(({ place }) => place.at));
  const needs = (['burner', 'oven'] as const).filter((place) => places.has(place));
  return {
    dish,
    words: plain([dish.name, ...dish.ingredients.map(({ name }) => name), dish.note ?? ''].join(' ')),
    minutes: all,
    hands,
    needs: needs.length > 0 ? needs : ['nothing hot'],
    diet: dietOf(dish),
    unknown: unknownOf(dish),
    allergens: allergensOf(dish),
  };
}

/** The cards that meet a wish: those with the words in their name first, then by name. */
export function search(cards: readonly Card[], wish: Wish): readonly Card[] {
  const words = plain(wish.words ?? '')
    .split(' ')
    .filter(Boolean);
  const most = (value: number, limit?: number) => limit === undefined || value <= limit;
  const strict = wish.diet === undefined ? DIETS.length : DIETS.indexOf(wish.diet);
  const looseness = ({ diet }: Card) => (diet === 'not known' ? DIETS.length : DIETS.indexOf(diet));
  const found = cards.filter(
    (card) =>
      words.every((word) => card.words.includes(word)) &&
      most(card.minutes, wish.mostMinutes) &&
      most(card.hands, wish.mostHands) &&
      !wish.without?.some((need) => card.needs.includes(need)) &&
      looseness(card) <= strict &&
      !(wish.free?.length && card.unknown.length > 0) &&
      !wish.free?.some((allergen) => card.allergens.includes(allergen)),
  );
  const inName = ({ dish }: Card) => (words.every((word) => plain(dish.name).includes(word)) ? 0 : 1);
  return found.sort((a, b) => inName(a) - inName(b) || a.dish.name.localeCompare(b.dish.name));
}

/** Small letters without accents; words that a hyphen joins are words. */
function plain(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[-‐‑–]/g, ' ');
}
