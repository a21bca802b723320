import { checkDish, type Refusal } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import { fittingVessels, lotsIn, missesOf, nearestVessel } from '@/core/kitchen/fits';
import { type Kitchen, printClock } from '@/core/kitchen/kitchen';
import { say, term } from '@/core/say/say';
import { listed } from '@/core/units/words';
import { boilFaults } from './boils';
import type { Meal } from './meal';
import { scaledFor } from './scaled';
import { burnersFor } from './stations';

/** The largest table that is planned. */
export const MOST_PEOPLE = 200;
/** The longest menu that is planned. */
export const MOST_DISHES = 60;

/** Everything that makes a meal impossible to plan at all, in a cook's words; empty when it can be tried. */
export function checkMeal(meal: Meal): readonly Refusal[] {
  const refusals: Refusal[] = [];
  if (!Number.isInteger(meal.people) || meal.people < 1 || meal.people > MOST_PEOPLE) {
    refusals.push({
      where: 'people',
      sentence: say('People at the table must be a whole number from 1 to {most}.', { most: MOST_PEOPLE }),
    });
    return refusals;
  }
  if (meal.dishes.length === 0) {
    return [{ where: 'dishes', sentence: say('Choose at least one dish; then there is something to plan.') }];
  }
  if (meal.dishes.length > MOST_DISHES) {
    return [
      {
        where: 'dishes',
        sentence: say('A meal holds up to {most} dishes; this one has {dishes}.', {
          most: MOST_DISHES,
          dishes: meal.dishes.length,
        }),
      },
    ];
  }
  refusals.push(...checkKitchen(meal.kitchen));
  const { asleep } = meal.kitchen;
  if (asleep && isBetween(meal.hour, asleep.from, asleep.until)) {
    refusals.push({
      where: 'hour',
      sentence: say(
        'The table is laid at {hour}, when the household sleeps ({from} to {until}). Choose another hour, or change the hours of sleep in the kitchen.',
        { hour: meal.hour, from: asleep.from, until: asleep.until },
      ),
    });
  }
  const ids = new Set<string>();
  for (const dish of meal.dishes) {
    if (ids.has(dish.id)) {
      refusals.push({
        where: dish.name,
        sentence: say('Two dishes share the id "{id}"; each needs its own.', { id: dish.id }),
      });
    }
    ids.add(dish.id);
    const faults = checkDish(dish);
    refusals.push(...faults);
    if (faults.length === 0) refusals.push(...checkDishInKitchen(scaledFor(meal, dish), meal.kitchen));
  }
  return refusals;
}

/** Whether an hour lies after one and not after another, midnight perhaps between them. */
function isBetween(hour: string, from: string, until: string): boolean {
  return from < until ? hour > from && hour <= until : hour > from || hour <= until;
}

/** What is wrong with a kitchen by itself. */
export function checkKitchen(kitchen: Kitchen): readonly Refusal[] {
  const refusals: Refusal[] = [];
  if (!kitchen.people.some((person) => person.role === 'cook')) {
    refusals.push({
      where: say('people in the kitchen'),
      sentence: say('Someone must cook: make at least one person a cook.'),
    });
  }
  if (kitchen.asleep && kitchen.asleep.from === kitchen.asleep.until) {
    refusals.push({
      where: say('hours of sleep'),
      sentence: say('Asleep from {from} until {until} is all day; the two hours must differ.', {
        from: kitchen.asleep.from,
        until: kitchen.asleep.until,
      }),
    });
  }
  for (const person of kitchen.people) {
    if (person.from === person.until) {
      refusals.push({
        where: say('{person}, hours', { person: person.name }),
        sentence: say(
          'The hours of {person}, from {from} until {until}, must differ. An hour before the first is one past midnight.',
          { person: person.name, from: person.from, until: person.until },
        ),
      });
    }
  }
  return refusals;
}

function checkDishInKitchen(dish: Dish, kitchen: Kitchen): readonly Refusal[] {
  const refusals: Refusal[] = [];
  for (const use of dish.vessels) {
    if (fittingVessels(kitchen, use.need).length > 0) continue;
    const nearest = nearestVessel(kitchen, use.need);
    const litres = Math.ceil(use.need.litres * 10) / 10;
    const wish =
      use.need.widthCm > 0
        ? say('{kinds} of {litres} l and {widthCm} cm across', {
            kinds: use.need.kinds.map(term).join(` ${say('or')} `),
            litres,
            widthCm: use.need.widthCm,
          })
        : say('{kinds} of {litres} l', { kinds: use.need.kinds.map(term).join(` ${say('or')} `), litres });
    // So many it holds enough for, where it is wide and straight enough.
    const enough = nearest ? Math.floor((dish.servings * nearest.litres) / use.need.litres) : 0;
    const fewer =
      nearest && nearest.litres < use.need.litres && enough >= 1
        ? say('cook for {enough}', { enough })
        : say('cook for fewer');
    refusals.push({
      where: `${dish.name}, ${use.name}`,
      sentence: nearest
        ? say(
            '{dish} for {servings} needs a {wish}; the nearest here, {nearest} with {litres} l and {widthCm} cm, is {missesOf}. Borrow a larger one, {fewer}, or take the dish out.',
            {
              dish: dish.name,
              servings: Math.round(dish.servings),
              wish,
              nearest: /^the /i.test(nearest.name) ? nearest.name : say('the {nearest}', { nearest: nearest.name }),
              litres: nearest.litres,
              widthCm: nearest.widthCm,
              missesOf: listed(missesOf(nearest, use.need)),
              fewer,
            },
          )
        : say(
            '{dish} for {servings} needs a {wish}; there is none in this kitchen. Borrow a larger one, {fewer}, or take the dish out.',
            { dish: dish.name, servings: Math.round(dish.servings), wish, fewer },
          ),
    });
  }
  for (const step of dish.steps) {
    const { place } = step;
    const where = `${dish.name}, ${step.name}`;
    if (place.at === 'burner' && burnersFor(kitchen, place).length === 0) {
      refusals.push({
        where,
        sentence: say(
          '"{step}" wants {heat} heat, and no burner here gives it. Add a burner in the kitchen, or leave the dish out.',
          { step: step.name, heat: term(place.heat) },
        ),
      });
    } else refusals.push(...boilFaults(kitchen, dish, step));
    if (place.at === 'oven' && !kitchen.ovens.some((oven) => oven.shelves >= place.shelves)) {
      refusals.push({
        where,
        sentence: say(
          '"{step}" wants an oven with {shelves, plural, one {# free shelf} other {# free shelves}}, and this kitchen has none.',
          { step: step.name, shelves: place.shelves },
        ),
      });
    }
    if (place.at === 'appliance' && lotsIn(kitchen, place.appliance, place.litres) === null) {
      const what = term(place.appliance.replace('-', ' '));
      const own = kitchen.appliances.filter((item) => item.kind === place.appliance);
      const largest = own.sort((a, b) => (b.litres ?? 0) - (a.litres ?? 0))[0];
      refusals.push({
        where,
        sentence: largest
          ? say(
              '{dish} for {servings} needs a {what} of {litres} l; the largest here holds {most} l. Borrow a larger one, cook for fewer, or cook it in a pot.',
              {
                dish: dish.name,
                servings: Math.round(dish.servings),
                what,
                litres: Math.ceil((place.litres ?? 0) * 10) / 10,
                most: largest.litres ?? 0,
              },
            )
          : say('"{step}" wants a {what}, and this kitchen has none.', { step: step.name, what }),
      });
    }
  }
  return refusals;
}

/** A sentence when the hour of the table has gone by already, or null. `minutesToTable` may be negative. */
export function hourPast(meal: Meal, minutesToTable: number): Refusal | null {
  if (minutesToTable > 0) return null;
  const now = printClock(Number(meal.hour.slice(0, 2)) * 60 + Number(meal.hour.slice(3)) - minutesToTable);
  return {
    where: 'hour',
    sentence: say(
      'The table at {hour} on {day} has gone by (it is {now} by that clock). Choose a later hour or another day.',
      { hour: meal.hour, day: meal.day, now },
    ),
  };
}
