import type { Dish, Ingredient } from '@/core/dish/dish';
import { isHot, stepsFrom } from '@/core/dish/foods';
import { grainParts } from '@/core/dish/grain-of';
import { ruleFor } from '@/core/dish/rules';
import type { Food } from '@/core/food/food';
import { foodsOf } from '@/core/food/known';
import { stepKey } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import { say } from '@/core/say/say';
import { printAmount } from '@/core/units/amount';
import { printThing } from '@/core/units/thing';
import { capital } from '@/core/units/words';
import type { MendingStep, NewEvent } from './events';
import { quickFor } from './quick-dishes';
import type { LiveStep } from './session';
import { litresInPot } from './tasting';

const MINUTE = 60_000;

/** Something that went wrong with a dish, and what saves it. */
export interface Mishap {
  readonly id: string;
  /** As the cook says it: "too wet". */
  readonly says: string;
  readonly ways: readonly Rescue[];
}

/** One way of saving a dish: what the hands do, and what to tell so that the rest is planned with it. */
export interface Rescue {
  readonly id: string;
  readonly says: string;
  readonly how: string;
  /** Minutes that it takes. */
  readonly minutes: number;
  readonly does: readonly NewEvent[];
  readonly caution?: string;
}

/** What a mishap is asked about: a dish of the meal as it is, and its step under way on the heat, or that ended last. */
export interface Patient {
  readonly meal: Meal;
  readonly dish: Dish;
  readonly live: LiveStep;
  /** Milliseconds since 1970. */
  readonly at: number;
}

type Way = ReturnType<typeof wayOf>;

/** What can be said to be wrong with a dish now, each with its ways; common practice throughout, no source. */
export function mishapsOf(patient: Patient): readonly Mishap[] {
  const { dish, meal } = patient;
  const scaled = scaledFor(meal, dish);
  const grams = grainParts(scaled)?.grams ?? 0;
  const litres = litresInPot(scaled);
  const way = wayOf(patient);
  const list = [
    ...(!isCooking(patient) ? [] : grams > 0 ? grainMishaps(way, grams) : litres > 0 ? sauceMishaps(way, litres) : []),
    ...(isCooking(patient) && holdsPieces(dish) ? meatMishaps(way) : []),
    ...(patient.live.step.station.sort === 'burner' ? [boiledOver(way)] : []),
    { id: 'fallen', says: say('it fell, or cannot be eaten'), ways: fallenWays(patient) },
  ];
  return list.map((each) => ({
    ...each,
    ways: each.ways.map((one) => ({ ...one, id: `${each.id}, ${one.id}` })),
  }));
}

function grainMishaps(way: Way, grams: number): readonly Mishap[] {
  const spoonfuls = Math.max(30, Math.round((grams * 0.15) / 10) * 10);
  return [
    {
      id: 'wet',
      says: say('the grain is too wet'),
      ways: [
        way(
          'open',
          say('lid off, lowest flame, until it is dry'),
          say('Do not stir. Then a cloth under the lid.'),
          4,
          'lowest',
        ),
        way(
          'cloth',
          say('a cloth under the lid, off the heat'),
          say('The cloth drinks it; corners tied up, away from any flame.'),
          10,
          null,
        ),
      ],
    },
    {
      id: 'hard',
      says: say('dry, or hard at the heart'),
      ways: [
        way(
          'sprinkle',
          say('{water} of boiling water over it, lid on, lowest flame', { water: water(spoonfuls) }),
          say('Sprinkled, not poured, and not stirred.'),
          7,
          'lowest',
        ),
      ],
    },
    {
      id: 'caught',
      says: say('it caught at the bottom'),
      ways: [
        way(
          'wet cloth',
          say('off the heat, onto a wet cloth, lid on'),
          say(
            'Do not stir and do not scrape: what is above is lifted into another bowl. If that tastes burnt, bread on top for five minutes draws some of it.',
          ),
          5,
          null,
        ),
      ],
    },
  ];
}

function sauceMishaps(way: Way, litres: number): readonly Mishap[] {
  return [
    {
      id: 'split',
      says: say('the sauce split'),
      ways: [
        way(
          'cold spoon',
          say('off the heat, two spoons of cold water, whisk'),
          say('Or a spoon of it into fresh yogurt or cream, bit by bit, then back. It does not boil again.'),
          3,
          null,
          true,
        ),
        way(
          'starch',
          say('{amount} of starch in cold water, stirred in', {
            amount: printAmount({ quantity: Math.max(1, litres * 2), unit: 'tsp' }),
          }),
          say('One minute at a bare simmer binds it.'),
          3,
          'low',
          true,
        ),
      ],
    },
    {
      id: 'thin',
      says: say('too thin'),
      ways: [
        way(
          'boil down',
          say('lid off, full flame'),
          say('What is soft is lifted out first; stir the bottom.'),
          Math.max(5, Math.round(litres * 5)),
          'full',
        ),
        way(
          'crush',
          say('crush a ladleful in it, or starch in cold water'),
          say("{amount} of starch; two minutes' simmer.", {
            amount: printAmount({ quantity: Math.max(1, litres * 4), unit: 'tsp' }),
          }),
          4,
          'low',
          true,
        ),
      ],
    },
    {
      id: 'salty',
      says: say('too salty'),
      ways: [
        way(
          'longer',
          say('{water} of boiling water, no salt', { water: water(Math.max(50, Math.round(litres * 2) * 50)) }),
          say('Then something sour. What goes with it stays unsalted. A potato in it takes water up, not salt.'),
          4,
          'low',
        ),
      ],
    },
    {
      id: 'burnt below',
      says: say('it burnt below'),
      ways: [
        way(
          'another pot',
          say('off, and pour it into another pot without scraping'),
          say('Taste: what smokes or is bitter does not go away by cooking. Then on, on a lower flame.'),
          3,
          'low',
          true,
        ),
      ],
    },
  ];
}

function meatMishaps(way: Way): readonly Mishap[] {
  return [
    {
      id: 'tough',
      says: say('the meat is tough at the hour'),
      ways: [
        way('longer', say('lid on, it goes on'), say('Tender is a finding: the rest can be eaten first.'), 20, 'low'),
        way(
          'slice',
          say('cut it thin, across the grain, back into its liquid'),
          say('Thin slices are tender sooner.'),
          8,
          'low',
          true,
        ),
      ],
    },
    {
      id: 'dry',
      says: say('the meat is dry'),
      ways: [
        way('broth', say('sliced, hot broth over it, covered'), say('A spoon of fat in the broth.'), 5, null, true),
      ],
    },
  ];
}

function boiledOver(way: Way): Mishap {
  const ajar = way(
    'lid ajar',
    say('flame down, lid ajar'),
    say('Wipe round it when it is cool. What was lost is made good with boiling water.'),
    2,
    null,
  );
  const caution = say('Gas: if the flame went out, tap shut, window open, no spark until the smell is gone.');
  return { id: 'boiled over', says: say('it boiled over'), ways: [{ ...ajar, caution }] };
}

function water(ml: number): string {
  return printAmount({ quantity: ml, unit: 'ml' });
}

/** Makes ways for a patient: what is under way goes on for as long as that takes; what was ready has one more step. */
function wayOf({ dish, live, at }: Patient) {
  return (id: string, says: string, how: string, minutes: number, heat: MendingStep['heat'], hands?: true): Rescue => {
    const goesOn = live.status === 'running' && isOnHeat(live);
    const step: MendingStep = {
      name: says.split(/[,:]/)[0]!,
      says: `${capital(says)}. ${how}`,
      minutes,
      heat,
      ...(hands ? { hands } : {}),
    };
    const told: NewEvent = goesOn
      ? { kind: 'rescued', dish: dish.id, says, key: live.step.key, until: Math.max(live.endAt, at + minutes * MINUTE) }
      : { kind: 'rescued', dish: dish.id, says, step };
    return { id, says, how, minutes, does: [told] };
  };
}

function isOnHeat({ step: { station } }: LiveStep): boolean {
  return station.sort === 'burner' || station.sort === 'oven' || station.sort === 'appliance';
}

/** Whether the last heat of a dish has begun: before that nothing of it can be too wet, thin or tough. */
function isCooking({ dish, live }: Patient): boolean {
  const last = dish.steps.findLast((step) => isHot(step) && step.attention !== 'hands') ?? dish.steps.findLast(isHot);
  return last !== undefined && stepsFrom(dish, last.id).some(({ id }) => id === live.step.stepId);
}

/** Meat or fish in the piece: it can be tough or dry. */
function holdsPieces(dish: Dish): boolean {
  return dish.ingredients.some((item) =>
    foodsOf(item).some(
      (food) => food.state !== 'ready' && ['poultry', 'red meat', 'game', 'offal'].includes(food.kind),
    ),
  );
}

/** Without it, or with something quick in its place. */
function fallenWays({ meal, dish }: Patient): readonly Rescue[] {
  const dropped: NewEvent = { kind: 'dropped', dish: dish.id };
  const caution = say(
    'Hot fat or broken glass on the floor: flame off first, then shoes, then the floor. A burn goes under cool running water for twenty minutes.',
  );
  const without: Rescue = {
    id: 'without',
    says: say('leave it out'),
    how: say('The rest is planned without it.'),
    minutes: 0,
    does: [dropped],
    caution,
  };
  const instead = quickFor(meal, meal.people).map(
    ({ made, name, takes }): Rescue => ({
      id: made.id,
      says: say('{name} in its place', { name }),
      how: takes,
      minutes: made.steps.reduce((sum, { minutes }) => sum + minutes.likely, 0),
      does: [dropped, { kind: 'added', dish: made.id, made }],
      caution,
    }),
  );
  return [without, ...instead];
}

/** Something that should have gone in, and what can still be done about it. */
export interface Forgotten {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** Null where it does not go in any more. */
  readonly way: Rescue | null;
}

/** Minutes of simmering that something raw must still have ahead of it, to go into a pot late. Common practice, no source. */
const ENOUGH_FOR_RAW = 25;

/** What a dish should have had in it by now, and what can still take it, until when. `steps`: what every step is doing. */
export function forgottenOf(patient: Patient, steps: readonly LiveStep[]): readonly Forgotten[] {
  const { meal, dish, at } = patient;
  const own = new Map(steps.map((live) => [live.step.key, live]));
  const begun = (id: string) => {
    const live = [...own.values()].find(({ step }) => step.dishId === dish.id && step.stepId === id);
    return live !== undefined && (live.status === 'done' || live.status === 'running');
  };
  const scaled = scaledFor(meal, dish);
  return dish.steps
    .filter((step) => begun(step.id))
    .flatMap((step) => step.uses.flatMap((id) => scaled.ingredients.find((item) => item.id === id) ?? []))
    .filter((item, index, all) => all.findIndex(({ id }) => id === item.id) === index)
    .map((item) => forgotten(patient, item, heatLeft(dish, steps, at)));
}

/** Minutes that a dish still has on the heat. */
function heatLeft(dish: Dish, steps: readonly LiveStep[], at: number): number {
  const ends = dish.steps
    .filter(isHot)
    .flatMap(({ id }) =>
      steps.filter(({ step }) => step.key.startsWith(stepKey(dish.id, id)) && step.dishId === dish.id),
    )
    .filter(({ status }) => status !== 'done')
    .map(({ endAt }) => endAt);
  return Math.max(0, (Math.max(at, ...ends) - at) / MINUTE);
}

function forgotten(patient: Patient, item: Ingredient, left: number): Forgotten {
  const way = wayOf(patient);
  const foods = foodsOf(item);
  const thing = printThing(item.amount, item.name);
  const told = (
    says: string,
    how: string,
    minutes: number,
    heat: MendingStep['heat'] = null,
    hands: true | undefined = true,
  ) => ({
    id: item.id,
    name: item.name,
    says: `${capital(says)}. ${how}`,
    way: way(`${item.id} forgotten`, `${thing}: ${says}`, how, minutes, heat, hands),
  });
  const never = (says: string): Forgotten => ({ id: item.id, name: item.name, says, way: null });
  if (foods.some(isDangerousRaw)) {
    return left >= ENOUGH_FOR_RAW && !foods.some(({ beans }) => beans)
      ? told(
          say('in now, under the liquid, back to a full simmer'),
          say('It needs the {left} min that are left; cut it smaller, and check its middle.', {
            left: Math.round(left),
          }),
          ENOUGH_FOR_RAW,
          null,
          undefined,
        )
      : never(
          say(
            'Not into this dish any more: it would not be safe by the table. Cook it by itself, all the way, or leave it out.',
          ),
        );
  }
  if (/\bsalt\b/i.test(item.name))
    return told(
      say('half of it, dissolved in two spoons of hot water'),
      say('Stirred in, tasted, then the rest. Until the table.'),
      1,
    );
  if (/\byeast\b|\b(?:baking|bread) (?:powder|soda)\b|\bbicarbonate\b|\bsourdough starter\b/i.test(item.name))
    return never(say('It cannot be put in now: it will be flat, and good all the same.'));
  const kinds = new Set(foods.map(({ kind }) => kind));
  if (foods.some(({ whole }) => whole))
    return told(
      say('a minute in a spoon of hot fat, fat and all into the pot'),
      say('It gives less now; leave it in for as long as there is.'),
      2,
      'medium',
    );
  // Green ones; dried and ground they are spices.
  if (
    /\b(?:parsley|coriander|mint|dill|basil|chives|lemon|lime|herbs?)\b/i.test(item.name) &&
    !/\b(?:dried|ground|seeds?|powder|lemon ?grass|lime leaves)\b/i.test(item.name)
  )
    return told(say('over it at the table'), say('It is best then in any case.'), 1);
  if (kinds.has('spice'))
    return told(
      say('half of it, half a minute in a spoon of warm fat, then in'),
      say('Five minutes at a simmer take the raw taste away: not in the last three minutes.'),
      5,
      'low',
    );
  if (kinds.has('fat') || kinds.has('dairy'))
    return told(say('stirred in off the heat'), say('Just before the table.'), 1);
  if (kinds.has('sweet') || kinds.has('sauce') || /vinegar|sugar|honey/i.test(item.name))
    return told(say('half of it in, stirred, tasted'), say('Until the table.'), 1);
  if (/onion|garlic|ginger|shallot|leek/i.test(item.name))
    return told(say('fried apart until golden, then in'), say('In a pan of its own, in fat.'), 8, 'medium');
  if (kinds.has('water') || kinds.has('stock') || kinds.has('drink'))
    return told(say('in, boiling'), say('Round the edge; back to the simmer before the clock goes on.'), 3, 'full');
  if (kinds.has('nut') || kinds.has('seed') || kinds.has('fruit'))
    return told(say('over it at the table'), say('Nuts a minute in a dry pan first.'), 2, 'medium');
  if (kinds.has('pulse') || kinds.has('grain'))
    return foods.every(({ state }) => state === 'cooked')
      ? told(say('in, drained'), say('Back to the simmer: hot all through in five minutes.'), 5, 'medium')
      : never(say('It needs its own pot and its own time: cook it beside, or leave it out.'));
  return told(
    say('cut small, boiled or fried apart, folded in'),
    say('About ten minutes; until ten minutes before the table.'),
    10,
    'medium',
  );
}

/** Flesh, eggs and beans that are poisonous until they boil hard. */
function isDangerousRaw(food: Food): boolean {
  return (food.state === 'raw' && ruleFor(food) !== null) || food.beans !== undefined;
}
