import { checkDish, type Refusal } from '@/core/dish/check';
import type { Dish } from '@/core/dish/dish';
import { fittingVessels, lotsIn, missesOf, nearestVessel } from '@/core/kitchen/fits';
import { type Kitchen, printClock } from '@/core/kitchen/kitchen';
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
      sentence: `People at the table must be a whole number from 1 to ${MOST_PEOPLE}.`,
    });
    return refusals;
  }
  if (meal.dishes.length === 0) {
    return [{ where: 'dishes', sentence: 'Choose at least one dish; then there is something to plan.' }];
  }
  if (meal.dishes.length > MOST_DISHES) {
    return [
      { where: 'dishes', sentence: `A meal holds up to ${MOST_DISHES} dishes; this one has ${meal.dishes.length}.` },
    ];
  }
  refusals.push(...checkKitchen(meal.kitchen));
  const { asleep } = meal.kitchen;
  if (asleep && isBetween(meal.hour, asleep.from, asleep.until)) {
    refusals.push({
      where: 'hour',
      sentence: `The table is laid at ${meal.hour}, when the household sleeps (${asleep.from} to ${asleep.until}). Choose another hour, or change the hours of sleep in the kitchen.`,
    });
  }
  const ids = new Set<string>();
  for (const dish of meal.dishes) {
    if (ids.has(dish.id)) {
      refusals.push({ where: dish.name, sentence: `Two dishes share the id "${dish.id}"; each needs its own.` });
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
    refusals.push({ where: 'people in the kitchen', sentence: 'Someone must cook: make at least one person a cook.' });
  }
  if (kitchen.asleep && kitchen.asleep.from === kitchen.asleep.until) {
    refusals.push({
      where: 'hours of sleep',
      sentence: `Asleep from ${kitchen.asleep.from} until ${kitchen.asleep.until} is all day; the two hours must differ.`,
    });
  }
  for (const person of kitchen.people) {
    if (person.from === person.until) {
      refusals.push({
        where: `${person.name}, hours`,
        sentence: `The hours of ${person.name}, from ${person.from} until ${person.until}, must differ. An hour before the first is one past midnight.`,
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
    const wish = `${use.need.kinds.join(' or ')} of ${litres} l${use.need.widthCm > 0 ? ` and ${use.need.widthCm} cm across` : ''}`;
    // So many it holds enough for, where it is wide and straight enough.
    const enough = nearest ? Math.floor((dish.servings * nearest.litres) / use.need.litres) : 0;
    const fewer = nearest && nearest.litres < use.need.litres && enough >= 1 ? `cook for ${enough}` : 'cook for fewer';
    refusals.push({
      where: `${dish.name}, ${use.name}`,
      sentence: `${dish.name} for ${Math.round(dish.servings)} needs a ${wish}; ${
        nearest
          ? `the nearest here, ${/^the /i.test(nearest.name) ? nearest.name : `the ${nearest.name}`} with ${nearest.litres} l and ${nearest.widthCm} cm, is ${listed(missesOf(nearest, use.need))}`
          : 'there is none in this kitchen'
      }. Borrow a larger one, ${fewer}, or take the dish out.`,
    });
  }
  for (const step of dish.steps) {
    const { place } = step;
    const where = `${dish.name}, ${step.name}`;
    if (place.at === 'burner' && burnersFor(kitchen, place).length === 0) {
      refusals.push({
        where,
        sentence: `"${step.name}" wants ${place.heat} heat, and no burner here gives it. Add a burner in the kitchen, or leave the dish out.`,
      });
    } else refusals.push(...boilFaults(kitchen, dish, step));
    if (place.at === 'oven' && !kitchen.ovens.some((oven) => oven.shelves >= place.shelves)) {
      refusals.push({
        where,
        sentence: `"${step.name}" wants an oven with ${place.shelves} free ${place.shelves === 1 ? 'shelf' : 'shelves'}, and this kitchen has none.`,
      });
    }
    if (place.at === 'appliance' && lotsIn(kitchen, place.appliance, place.litres) === null) {
      const what = place.appliance.replace('-', ' ');
      const own = kitchen.appliances.filter((item) => item.kind === place.appliance);
      const largest = own.sort((a, b) => (b.litres ?? 0) - (a.litres ?? 0))[0];
      refusals.push({
        where,
        sentence: largest
          ? `${dish.name} for ${Math.round(dish.servings)} needs a ${what} of ${Math.ceil((place.litres ?? 0) * 10) / 10} l; the largest here holds ${largest.litres} l. Borrow a larger one, cook for fewer, or cook it in a pot.`
          : `"${step.name}" wants a ${what}, and this kitchen has none.`,
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
    sentence: `The table at ${meal.hour} on ${meal.day} has gone by (it is ${now} by that clock). Choose a later hour or another day.`,
  };
}
