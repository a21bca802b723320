import { DIETS, type Diet, dietOf } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { foodsIn } from '@/core/dish/foods';
import { type StripStep, stripOf } from '@/core/dish/strip';
import { say } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { checkMeal } from './check';
import type { Meal } from './meal';
import { type Role, rolesOf, type Want } from './menu-words';
import { scaledFor } from './scaled';

/** A place on the menu: what was asked for, the dish that is proposed, and others that would do, the best first. */
export interface Place {
  readonly want: Want;
  /** Null where nothing that there is can be cooked here. */
  readonly dish: Dish | null;
  readonly others: readonly Dish[];
}

/** What is proposed for a menu, by how it goes together in this kitchen. */
export interface Proposal {
  readonly places: readonly Place[];
  /** What goes well or ill with one another, in sentences. */
  readonly notes: readonly string[];
}

/** What a menu is for: the meal as it stands, with the dishes that are on it already. */
export interface ForWhom {
  readonly meal: Meal;
  /** All guests can eat of every dish; null where that does not matter. */
  readonly diet: Diet | null;
}

/** Dishes that are weighed for each place, and those that are told as others. */
const WEIGHED = 12;
const TOLD = 8;
/** Minutes before the table in which hands and heat are scarce. */
const LAST_HOUR = 60;

/** A dish as a menu sees it. */
interface Course {
  readonly dish: Dish;
  readonly roles: readonly Role[];
  /** Minutes of hands, and of burners, within the last hour. */
  readonly hands: number;
  readonly burners: number;
  /** °C of the oven while it is in it, in the last hour and a half; null where it is in none. */
  readonly oven: number | null;
  readonly appliances: readonly string[];
  /** What it is mostly of. */
  readonly of: readonly string[];
  /** How it fits the month, from -1 to 1. */
  readonly season: number;
  readonly meat: boolean;
}

/**
 * What goes together for these wishes: each place filled so that hands, burners, the oven's temperature, appliances and what it is of collide
 * as little as may be; then each place tried with the others until nothing is better. `skip`: dishes that were refused. The same
 * question has the same answer. Nothing is planned here: the one who asks plans it for real.
 */
export function proposeMenu(
  wants: readonly Want[],
  pool: readonly Dish[],
  { meal, diet }: ForWhom,
  skip: ReadonlySet<string> = new Set(),
): Proposal {
  const there = new Set(meal.dishes.map(({ id }) => id));
  const free = pool.filter((dish) => !there.has(dish.id) && !skip.has(dish.id) && dish.lands !== null);
  const month = Number(meal.day.slice(5, 7));
  const cards = free
    .filter((dish) => suits(dish, diet) && checkMeal({ ...meal, dishes: [dish] }).length === 0)
    .map((dish) => courseOf(dish, meal, month));
  const fixed = meal.dishes.map((dish) => courseOf(dish, meal, month));
  const choices = wants.map((want) => ranked(want, cards, meal));
  const chosen = settled(choices, fixed, meal);
  return {
    places: wants.map((want, k) => {
      const dish = chosen[k]?.dish ?? null;
      const others = (choices[k] ?? []).filter(({ dish: { id } }) => !chosen.some((each) => each?.dish.id === id));
      return { want, dish, others: others.slice(0, TOLD).map((each) => each.dish) };
    }),
    notes: notesOf(
      chosen.flatMap((each) => each ?? []),
      meal,
    ),
  };
}

function suits(dish: Dish, diet: Diet | null): boolean {
  if (diet === null) return true;
  const own = dietOf(dish);
  return own !== 'not known' && DIETS.indexOf(own) <= DIETS.indexOf(diet);
}

function courseOf(written: Dish, meal: Meal, month: number): Course {
  const dish = scaledFor(meal, written);
  const late = stripOf(dish).filter(({ step, end }) => !step.ahead && end > -LAST_HOUR);
  const within = (each: StripStep) => each.end - Math.max(each.start, -LAST_HOUR);
  const sum = (of: (each: StripStep) => boolean) => late.filter(of).reduce((total, each) => total + within(each), 0);
  const oven = late.flatMap(({ step: { place } }) => (place.at === 'oven' ? [place.celsius] : [])).at(-1) ?? null;
  const foods = foodsIn(dish);
  return {
    dish: written,
    roles: rolesOf(written),
    hands: sum(({ step }) => step.attention === 'hands'),
    burners: sum(({ step }) => step.place.at === 'burner'),
    oven,
    appliances: late.flatMap(({ step: { place } }) => (place.at === 'appliance' ? [place.appliance] : [])),
    of: mainWords(written),
    season: seasonOf(written, month),
    meat: foods.some(({ kind }) => kind === 'red meat' || kind === 'poultry' || kind === 'minced meat'),
  };
}

/** The heaviest things in a dish, by the last word of their names. */
function mainWords({ ingredients, name }: Dish): readonly string[] {
  const heavy = ingredients
    .filter(({ amount: { unit, quantity } }) => (unit === 'g' && quantity >= 150) || unit === 'kg')
    .map(({ name: each }) => each);
  return [...new Set([...heavy, name].flatMap((each) => each.toLowerCase().match(/[a-z]{4,}/g) ?? []))].map((word) =>
    word.replace(/s$/, ''),
  );
}

/** Months in which a thing is at its best in the north; half a year later in the south. Common practice, no source. */
const SEASONS: readonly (readonly [name: RegExp, from: number, to: number])[] = [
  [/aubergine|pepper|tomato/, 7, 10],
  [/courgette|cucumber|green bean/, 6, 9],
  [/squash|pumpkin/, 9, 2],
  [/parsnip|celeriac|kale|chestnut|sprout/, 10, 3],
  [/beetroot|carrot|cabbage/, 8, 3],
  [/leek|cauliflower/, 9, 4],
  [/fennel/, 6, 11],
  [/asparagus|rhubarb/, 4, 6],
  [/orange/, 11, 4],
  [/radish|pea\b|broad bean/, 5, 8],
];

function seasonOf({ ingredients }: Dish, month: number): number {
  const names = ingredients
    .filter(({ amount: { unit } }) => unit === 'g' || unit === 'kg' || unit === 'piece')
    .map(({ name }) => name.toLowerCase());
  const judged = SEASONS.flatMap(([words, from, to]) => {
    if (!names.some((name) => words.test(name) && !/tin|chopped tomato|paste|dried/.test(name))) return [];
    const inSeason = from <= to ? month >= from && month <= to : month >= from || month <= to;
    return [inSeason ? 1 : -1];
  });
  return judged.length === 0 ? 0 : judged.reduce<number>((sum, each) => sum + each, 0) / judged.length;
}

/** Those that answer a want, the best by themselves first. */
function ranked(want: Want, cards: readonly Course[], meal: Meal): readonly Course[] {
  const meets = (card: Course) => {
    const text = [card.dish.name, ...card.dish.ingredients.map(({ name }) => name)].join(' ').toLowerCase();
    return want.words.every((word) => text.includes(word)) && (want.role === null || card.roles.includes(want.role));
  };
  const inName = (card: Course) => want.words.filter((word) => card.dish.name.toLowerCase().includes(word)).length;
  const alone = (card: Course) =>
    30 * inName(card) +
    // The role that a dish plays first of all goes before one that it can play too.
    (want.role !== null && card.roles[0] === want.role ? 12 : 0) +
    8 * card.season -
    card.hands / 3 -
    card.burners / (6 * Math.max(1, meal.kitchen.burners.length));
  return cards
    .filter(meets)
    .sort((a, b) => alone(b) - alone(a) || a.dish.name.localeCompare(b.dish.name))
    .slice(0, WEIGHED);
}

/** What collides among dishes, in one number: the less the better. */
function collisions(courses: readonly Course[], meal: Meal): number {
  const cooks = Math.max(1, meal.kitchen.people.length);
  const burners = Math.max(1, meal.kitchen.burners.length);
  const total = (of: (course: Course) => number) => courses.reduce((sum, each) => sum + of(each), 0);
  const hands = Math.max(0, total(({ hands: own }) => own) - 0.75 * LAST_HOUR * cooks);
  const heat = Math.max(0, total(({ burners: own }) => own) - 0.8 * LAST_HOUR * burners);
  const ovens = new Set(courses.flatMap(({ oven }) => (oven === null ? [] : [oven])));
  const spread = ovens.size > 1 ? Math.max(...ovens) - Math.min(...ovens) : 0;
  const twice = courses.flatMap(({ appliances }) => [...new Set(appliances)]);
  const same = pairs(courses).filter(([a, b]) => a.of.some((word) => b.of.includes(word))).length;
  const meats = Math.max(0, courses.filter(({ meat }) => meat).length - 2);
  return (
    3 * hands +
    1.5 * heat +
    (spread > 10 ? 20 + spread / 4 : 0) +
    40 * (twice.length - new Set(twice).size) +
    15 * same +
    10 * meats -
    8 * total(({ season }) => season) +
    // Of what goes together equally well, what wants fewer hands.
    0.3 * total(({ hands: own }) => own)
  );
}

function pairs<T>(list: readonly T[]): readonly (readonly [T, T])[] {
  return list.flatMap((a, k) => list.slice(k + 1).map((b) => [a, b] as const));
}

/** One course for each place, none twice, changed one at a time until no change is better. */
function settled(
  choices: readonly (readonly Course[])[],
  fixed: readonly Course[],
  meal: Meal,
): readonly (Course | null)[] {
  const chosen: (Course | null)[] = [];
  for (const choice of choices) chosen.push(choice.find((each) => !chosen.includes(each)) ?? null);
  const badness = (list: readonly (Course | null)[]) =>
    collisions([...fixed, ...list.flatMap((each) => each ?? [])], meal) +
    // What was asked for by its name, or comes first by itself, stays first where nothing collides.
    list.reduce((sum, each, k) => sum + (each ? 2 * choices[k]!.indexOf(each) : 0), 0);
  for (let better = true; better; ) {
    better = false;
    for (const [k, choice] of choices.entries()) {
      const now = badness(chosen);
      const best = choice
        .filter((each) => each === chosen[k] || !chosen.includes(each))
        .map((each) => ({ each, bad: badness(chosen.map((other, j) => (j === k ? each : other))) }))
        .sort((a, b) => a.bad - b.bad)[0];
      if (best && best.bad < now - 1e-9) {
        chosen[k] = best.each;
        better = true;
      }
    }
  }
  return chosen;
}

/** What a cook should know of a menu before it is planned. */
function notesOf(courses: readonly Course[], meal: Meal): readonly string[] {
  if (courses.length === 0) return [];
  const hands = Math.round(courses.reduce((sum, each) => sum + each.hands, 0));
  const ovens = [...new Set(courses.flatMap(({ oven }) => (oven === null ? [] : [oven])))].sort((a, b) => a - b);
  const season = courses.filter(({ season: own }) => own > 0).map(({ dish }) => dish.name);
  const heat = courses.reduce((sum, each) => sum + each.burners, 0);
  return [
    meal.kitchen.people.length > 1
      ? say('About {hands} min of hands in the last hour, for {people} people.', {
          hands,
          people: meal.kitchen.people.length,
        })
      : say('About {hands} min of hands in the last hour, for one cook.', { hands }),
    heat > LAST_HOUR * meal.kitchen.burners.length
      ? say(
          'More stands on burners in the last hour than there are burners for: some of it will be cooked sooner and kept.',
        )
      : say('Room on the {burners} burners in the last hour.', { burners: meal.kitchen.burners.length }),
    ...(ovens.length > 1
      ? [say('The oven is wanted at {ovens} °C: one after the other.', { ovens: listed(ovens.map(String)) })]
      : []),
    ...(season.length > 0 ? [say('In season in the north now: {season}.', { season: season.join(say(', ')) })] : []),
  ];
}
