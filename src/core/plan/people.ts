import type { Dish } from '@/core/dish/dish';
import { litresOf } from '@/core/dish/grain-of';
import { holdOfVessel, nameOfUnit, readUnit } from '@/core/meal/keys';
import { type Meal, portionsOf } from '@/core/meal/meal';
import { clockAt } from '@/core/plain/wall-clock';
import { say } from '@/core/say/say';
import { printAmount } from '@/core/units/amount';
import { capital } from '@/core/units/words';
import { partsOf } from './lots';
import type { Plan } from './plan';

/** Liquid below this is seasoning. */
const LEAST_LITRES = 0.1;
/** A change of so many hands-on minutes is worth telling. */
const WORTH_TELLING = 3;

/** A meal and the plan that was made for it. */
export interface Planned {
  readonly meal: Meal;
  readonly plan: Plan;
}

/** What another number of portions changes of one dish, or of the evening (`dish` null), a sentence each. */
export interface PortionChange {
  readonly dish: string | null;
  readonly sentences: readonly string[];
}

/**
 * What cooking for more or fewer changes, dish by dish, and why: liquid, pots, batches, minutes to the boil and at the board; then the
 * evening. Dishes that are in one of the meals only are left out, and those that nothing but the amounts change for.
 */
export function whatPeopleChange(before: Planned, after: Planned): readonly PortionChange[] {
  const one = viewOf(before);
  const two = viewOf(after);
  const changes = two.dishes.flatMap((dish): PortionChange[] => {
    const was = one.dishes.find(({ id }) => id === dish.id);
    if (!was) return [];
    const sentences = [
      ...liquid(was, dish),
      ...vessels(one, two, was, dish),
      ...batches(one, two, dish),
      ...boils(one, two, dish),
      ...hands(one, two, dish),
    ];
    return sentences.length > 0 ? [{ dish: dish.name, sentences }] : [];
  });
  const evening = eveningOf(before.plan, after.plan);
  return [...changes, ...(evening.length > 0 ? [{ dish: null, sentences: evening }] : [])];
}

interface View extends Planned {
  readonly dishes: readonly Dish[];
  readonly parts: ReturnType<typeof partsOf>['parts'];
}

function viewOf({ meal, plan }: Planned): View {
  return { meal, plan, ...partsOf(meal, (key) => plan.known.places[key]?.units[0]) };
}

function litresIn(dish: Dish): number {
  const poured = [...dish.ingredients, ...dish.takes].filter(({ amount: { unit } }) => unit === 'l' || unit === 'ml');
  return poured.reduce((sum, { amount }) => sum + (litresOf(amount) ?? 0), 0);
}

const said = (litres: number) => printAmount({ quantity: litres, unit: 'l' });

function liquid(was: Dish, dish: Dish): readonly string[] {
  const [before, after] = [litresIn(was), litresIn(dish)];
  if (Math.max(before, after) < LEAST_LITRES || said(before) === said(after)) return [];
  const values = { after: said(after), before: said(before) };
  if (!dish.grain) return [say('Liquid: {after} instead of {before}.', values)];
  return [
    after > before
      ? say('Liquid: {after} instead of {before}; less than in proportion, for what boils off stays the same.', values)
      : say('Liquid: {after} instead of {before}; more than in proportion, for what boils off stays the same.', values),
  ];
}

function vessels(one: View, two: View, was: Dish, dish: Dish): readonly string[] {
  return dish.vessels.flatMap((use) => {
    const id = holdOfVessel(dish.id, use.id);
    const [before, after] = [one.plan.known.holds[id], two.plan.known.holds[id]];
    if (!before || !after) return [];
    const [old, now] = [nameOfUnit(one.meal.kitchen, before), nameOfUnit(two.meal.kitchen, after)];
    if (old === now) return [];
    const needed = was.vessels.find((each) => each.id === use.id)?.need.litres ?? 0;
    const larger = litresOfUnit(two.meal, after) - litresOfUnit(one.meal, before);
    // A larger pot for less food is another dish's doing.
    const own = larger * (use.need.litres - needed) > 0;
    const litres = (value: number) => `${Math.round(value * 10) / 10} l`;
    const why = own
      ? say('it must hold {litres}, not {before}', { litres: litres(use.need.litres), before: litres(needed) })
      : say('which of them stands free has changed');
    return [
      say('{use}: {now} instead of {old}; {why}.', {
        use: capital(use.name),
        now: withThe(now),
        old: withThe(old),
        why,
      }),
    ];
  });
}

function litresOfUnit({ kitchen }: Meal, unit: string): number {
  return kitchen.vessels.find(({ id }) => id === readUnit(unit).id)?.litres ?? 0;
}

function batches(one: View, two: View, dish: Dish): readonly string[] {
  return dish.steps.flatMap(({ id, name }) => {
    const key = `${dish.id}/${id}`;
    const [before, after] = [one.parts.get(key), two.parts.get(key)];
    if (!before || !after || before.length === after.length) return [];
    const values = { name: capital(name), after: after.length, before: before.length };
    return [
      after[0]!.step.place.at === 'board'
        ? say('{name}: {after, plural, one {# sitting} other {# sittings}} instead of {before}.', values)
        : say('{name}: {after, plural, one {# batch} other {# batches}} instead of {before}.', values),
    ];
  });
}

function boils(one: View, two: View, dish: Dish): readonly string[] {
  return dish.steps.flatMap(({ id, name }) => {
    const key = `${dish.id}/${id}`;
    const [before, after] = [one, two].map(({ parts, plan, meal }) => {
      const [part] = parts.get(key) ?? [];
      const unit = plan.known.places[key]?.units[0];
      return part?.flames && { minutes: part.minutes.likely, on: unit ? nameOfUnit(meal.kitchen, unit) : '' };
    });
    if (!before || !after || (before.minutes === after.minutes && before.on === after.on)) return [];
    const on =
      after.on === before.on
        ? say('on {now}', { now: withThe(after.on) })
        : say('on {now}, not on {old}', { now: withThe(after.on), old: withThe(before.on) });
    return [
      say('{name}: {minutes} min {on} instead of {before}.', {
        name: capital(name),
        minutes: after.minutes,
        on,
        before: before.minutes,
      }),
    ];
  });
}

function hands(one: View, two: View, dish: Dish): readonly string[] {
  const [before, after] = [one, two].map(({ plan }) =>
    plan.steps
      .filter((step) => step.dishId === dish.id && step.attention === 'hands')
      .reduce((sum, { minutes }) => sum + minutes, 0),
  ) as [number, number];
  if (Math.abs(after - before) < WORTH_TELLING) return [];
  return [say('Hands: {after} min instead of {before}.', { after, before })];
}

function eveningOf(before: Plan, after: Plan): readonly string[] {
  const clock = (plan: Plan, minute: number) => clockAt(plan, minute);
  const late = ({ landings }: Plan) => Math.max(0, ...landings.map((landing) => landing.late));
  const sentences: string[] = [];
  if (Math.abs(after.firstHand - before.firstHand) >= WORTH_TELLING) {
    sentences.push(
      say('The first hand is wanted at {hour} instead of {before}.', {
        hour: clock(after, after.firstHand),
        before: clock(before, before.firstHand),
      }),
    );
  }
  const [was, is] = [late(before), late(after)];
  if (was !== is) {
    sentences.push(
      is === 0
        ? say('Everything is on time now.')
        : was === 0
          ? say('The table waits {is} min.', { is })
          : say('The table waits {is} min instead of {was}.', { is, was }),
    );
  }
  return sentences;
}

/** "10 portions instead of 4": what has been changed. */
export function portionWords(before: Meal, after: Meal): string {
  const [was, is] = [portionsOf(before), portionsOf(after)];
  return before.people !== after.people && is === after.people && was === before.people
    ? say('{is} people instead of {was}', { is, was })
    : say('{is} portions instead of {was}', { is, was });
}

/** "the 5 l pot"; a vessel that has its own article keeps it. */
function withThe(name: string): string {
  return /^the /i.test(name) ? name : say('the {name}', { name });
}
