import { ALLERGENS, allergensOf, askedAbout, unknownOf } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { cooks, foodsIn, handlesRaw, isHeatedAfter, isHot, liesRaw } from '@/core/dish/foods';
import { neverHeated } from '@/core/dish/rules';
import { isKernel } from '@/core/food/food';
import { DEFER, HOT_AIR, LIMITS, type Limit } from '@/core/heat/safe-limits';
import { missesOf } from '@/core/kitchen/fits';
import { eatenIn, giverOf, type PartFault, partFaults } from '@/core/meal/hand-over';
import { bowlKey, holdOfVessel, readUnit, stepKey } from '@/core/meal/keys';
import { type Meal, roomOf } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import { clockAt } from '@/core/plain/wall-clock';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { say } from '@/core/say/say';
import { MASS_IN_GRAMS, type MassUnit, printAmount } from '@/core/units/amount';
import { listed } from '@/core/units/words';

/** Something a plan must heed. Hard: it breaks a limit as it stands. */
export interface Finding {
  /** The same for the same thing in every plan of the meal. */
  readonly id: string;
  readonly weight: 'hard' | 'caution';
  readonly dish: string;
  /** The step it bites on; null for the dish as a whole. */
  readonly step: string | null;
  readonly says: string;
  /** What makes it right. */
  readonly fix: string;
  readonly limit: Limit | null;
  /** Something that the cook is asked about: the dish and its ingredient. */
  readonly asks?: { readonly dishId: string; readonly ingredient: string };
}

/** Raw food laid ready waits so long without a word. */
const SHORT_WAIT = 30;
/** So long after raw food a board has long been washed, as its own step says. Common practice, no source. */
const WASHED_BY_THEN = 90;

/**
 * What a whole plan has to heed: names that nobody knows, raw food that waits or is never heated, one board for raw and ready, food below
 * holding heat, marinating in the warm, beans, what is cooled and heated again, parts that are missing, short or late, cooking in the open, pots that are a little too
 * small.
 * Hard ones first, then by the clock.
 */
export function findingsOf(meal: Meal, plan: Plan): readonly Finding[] {
  const dishes = new Map(meal.dishes.map((dish) => [dish.id, dish]));
  const clock = (minute: number) => clockAt(plan, minute);
  const list = [
    ...notKnown(meal.dishes),
    ...rawEaten(meal.dishes),
    ...rawWaiting(plan, dishes, clock, mostInDanger(meal)),
    ...sharedBoards(plan, dishes),
    ...tooCool(plan, mostInDanger(meal)),
    ...warmMarinades(meal.dishes, mostInDanger(meal)),
    ...beansUnboiled(meal.dishes),
    ...overnight(meal.dishes),
    ...grainKept(meal.dishes),
    ...handOvers(meal, plan),
    ...inTheOpen(meal),
    ...tightFits(meal, plan),
  ];
  return list.sort((a, b) => Number(b.weight === 'hard') - Number(a.weight === 'hard'));
}

/** The rule on food between hot and cold: two hours, one where the air is hot. */
function mostInDanger(meal: Meal): Limit & { readonly minutes: number } {
  return roomOf(meal) > HOT_AIR ? LIMITS.dangerZoneHot : LIMITS.dangerZone;
}

function stepOf(dishes: ReadonlyMap<string, Dish>, planned: PlannedStep) {
  const dish = dishes.get(planned.dishId);
  const step = planned.kind === 'step' ? dish?.steps.find((each) => each.id === planned.stepId) : undefined;
  return dish && step ? { dish, step } : null;
}

/** Names that nobody knows: nothing can be said of them until the cook has said what they are. */
function notKnown(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish) =>
    askedAbout(dish).map(
      (item): Finding => ({
        id: `not-known ${bowlKey(dish.id, item.id)}`,
        weight: 'caution',
        dish: dish.name,
        step: null,
        says: say('“{item}” ({dish}) is not known: what is it?', { item: item.name, dish: dish.name }),
        fix: say('Say it once, with the dish: until then no allergen, no diet and no temperature is sure.'),
        limit: null,
        asks: { dishId: dish.id, ingredient: item.id },
      }),
    ),
  );
}

/** Raw meat, fish and eggs that no heat reaches. */
function rawEaten(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish) => {
    // What is given raw is heated in the dish that takes it.
    if (!dish.lands) return [];
    return neverHeated(dish).map(({ step, food }): Finding => {
      const fishOrEgg = ['fish', 'crustacean', 'mollusc', 'egg'].includes(food.kind);
      return {
        id: `raw ${stepKey(dish.id, step.id)}`,
        weight: fishOrEgg ? 'caution' : 'hard',
        dish: dish.name,
        step: stepKey(dish.id, step.id),
        says: say('{dish}: {food} goes in raw at “{step}”, and no heat comes after it.', {
          dish: dish.name,
          food: food.name,
          step: step.name,
        }),
        fix: fishOrEgg
          ? say(
              'Raw only on purpose, as fresh as can be (fish: frozen first), and not for small children, the pregnant, the old and the frail.',
            )
          : say('Cook it through, or take it cooked.'),
        limit: null,
      };
    });
  });
}

/** Raw meat and fish laid ready long before its heat. */
function rawWaiting(
  plan: Plan,
  dishes: ReadonlyMap<string, Dish>,
  clock: (minute: number) => string,
  limit: Limit & { readonly minutes: number },
): Finding[] {
  return plan.waitings.flatMap((waiting): Finding[] => {
    const planned = plan.steps.find(({ key }) => key === waiting.after);
    const found = planned && stepOf(dishes, planned);
    const minutes = waiting.to - waiting.from;
    if (!planned || !found || !handlesRaw(found.dish, found.step) || isHot(found.step) || minutes <= SHORT_WAIT)
      return [];
    return [
      {
        id: `raw-waits ${planned.key}`,
        weight: 'caution',
        dish: found.dish.name,
        step: planned.key,
        says: say('{dish} lies ready from {hour} to {until}, raw.', {
          dish: found.dish.name,
          hour: clock(waiting.from),
          until: clock(waiting.to),
        }),
        fix: say('Put it in the fridge until {hour}.', { hour: clock(waiting.to) }),
        limit,
      },
    ];
  });
}

/** On one person's board, raw food before what is eaten as it is. */
function sharedBoards(plan: Plan, dishes: ReadonlyMap<string, Dish>): Finding[] {
  return plan.hands.flatMap(({ name, busy }) => {
    const list: Finding[] = [];
    let raw: { readonly dish: string; readonly end: number } | null = null;
    for (const { key, start, end } of [...busy].sort((a, b) => a.start - b.start)) {
      const planned = plan.steps.find((step) => step.key === key);
      const found = planned && stepOf(dishes, planned);
      if (!found || planned.station.sort !== 'board') continue;
      if (handlesRaw(found.dish, found.step)) raw = { dish: found.dish.name, end };
      else if (raw !== null && found.step.uses.length > 0 && isEatenAsItIs(found.dish, found.step.id)) {
        if (start - raw.end > WASHED_BY_THEN) continue;
        list.push({
          id: `board ${key}`,
          weight: 'caution',
          dish: found.dish.name,
          step: key,
          says: say('“{planned}” ({dish}) comes after the raw meat or fish of {other} in the same hands: {name}.', {
            planned: planned.name,
            dish: found.dish.name,
            other: raw.dish,
            name,
          }),
          fix: say('Wash hands, board and knife between, with soap, or take another board.'),
          limit: null,
        });
        raw = null;
      }
    }
    return list;
  });
}

/** Nothing heats it after this, here or in a dish that takes it. */
function isEatenAsItIs(dish: Dish, step: string): boolean {
  return !isHeatedAfter(dish, step) && !dish.gives.some((give) => give.step === step);
}

/** Hot food that will be below holding heat at the table, and food that waits too long in the danger zone. */
function tooCool(plan: Plan, most: Limit & { readonly minutes: number }): Finding[] {
  const held = LIMITS.hotHolding.celsius;
  return plan.landings.flatMap((landing): Finding[] => {
    const { dishId, dishName: dish, waits, celsius, served } = landing;
    if (served === 'cold') return [];
    if (waits > most.minutes && (celsius === undefined || celsius.low < held)) {
      return [
        {
          id: `danger ${dishId}`,
          weight: 'hard',
          dish,
          step: null,
          says:
            most === LIMITS.dangerZoneHot
              ? say(
                  '{dish} would stand {waits} min between hot and cold; {minutes} in all are the most in such heat.',
                  { dish, waits, minutes: most.minutes },
                )
              : say('{dish} would stand {waits} min between hot and cold; {minutes} in all are the most.', {
                  dish,
                  waits,
                  minutes: most.minutes,
                }),
          fix: say(
            'Make it later, keep it above {held} °C on the lowest heat or in a low oven, or cool it at once and heat it through.',
            { held },
          ),
          limit: most,
        },
      ];
    }
    if (served === 'hot' && celsius !== undefined && celsius.likely < held) {
      return [
        {
          id: `cool ${dishId}`,
          weight: 'caution',
          dish,
          step: null,
          says: say('{dish} will be at about {likely} °C when the table is laid.', {
            dish,
            likely: Math.round(celsius.likely),
          }),
          fix: say(
            'Keep it on the lowest heat or in a low oven, or heat it through to {celsius} °C before it goes out.',
            { celsius: LIMITS.poultry.celsius },
          ),
          limit: LIMITS.hotHolding,
        },
      ];
    }
    return [];
  });
}

/** Raw meat or fish that lies in its marinade at room temperature. */
function warmMarinades(dishes: readonly Dish[], most: Limit & { readonly minutes: number }): Finding[] {
  return dishes.flatMap((dish) =>
    dish.steps.flatMap((step): Finding[] => {
      const lies = step.place.at === 'rest' && step.minutes.likely > SHORT_WAIT && isHeatedAfter(dish, step.id);
      if (!lies || !liesRaw(dish, step)) return [];
      return [
        {
          id: `marinade ${stepKey(dish.id, step.id)}`,
          weight: step.minutes.likely > most.minutes ? 'hard' : 'caution',
          dish: dish.name,
          step: stepKey(dish.id, step.id),
          says: say('“{step}” leaves raw meat or fish {likely} min out of the cold.', {
            step: step.name,
            likely: step.minutes.likely,
          }),
          fix: say('Let it lie in the fridge; boil what it lay in, or throw it away.'),
          limit: most,
        },
      ];
    }),
  );
}

/** Dried beans of the kidney bean's family must boil hard: red and white kidney beans longest. */
function beansUnboiled(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish): Finding[] => {
    const beans = foodsIn(dish).filter(({ beans, state }) => beans !== undefined && state === 'raw');
    const worst = beans.find((food) => food.beans === 'kidney') ?? beans[0];
    if (!worst) return [];
    const limit = worst.beans === 'kidney' ? LIMITS.kidneyBoil : LIMITS.beanBoil;
    if (boilsHard(dish, limit.minutes)) return [];
    const kidney = worst.beans === 'kidney';
    const values = {
      dish: dish.name,
      beans: `${worst.name}${/s$/.test(worst.name) ? '' : 's'}`,
      minutes: limit.minutes,
    };
    return [
      {
        id: `kidney ${dish.id}`,
        weight: kidney ? 'hard' : 'caution',
        dish: dish.name,
        step: null,
        says: kidney
          ? say(
              '{dish} has {beans} and no hard boil of {minutes} min: raw or only simmered they are poisonous. Out of a tin they are safe: say “tinned”.',
              values,
            )
          : say(
              '{dish} has {beans} and no hard boil of {minutes} min: raw or only simmered they may be poisonous. Out of a tin they are safe: say “tinned”.',
              values,
            ),
        fix: say(
          'Soak them, throw the water away, and boil them hard for {minutes} minutes before all else. Never raw into a slow cooker.',
          { minutes: limit.minutes },
        ),
        limit,
      },
    ];
  });
}

function boilsHard({ steps }: Dish, minutes: number): boolean {
  return steps.some(
    ({ place, minutes: { shortest }, safeMinutes = 0 }) =>
      (place.at === 'burner' && place.heat === 'full' && Math.max(shortest, safeMinutes) >= minutes) ||
      (place.at === 'appliance' && place.appliance === 'pressure-cooker'),
  );
}

/** What is cooked on another day is cooled fast and heated through. */
function overnight(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish): Finding[] => {
    const early = dish.steps.find((step) => step.daysBefore !== undefined && cooks(step));
    if (!early) return [];
    return [
      {
        id: `overnight ${dish.id}`,
        weight: 'caution',
        dish: dish.name,
        step: stepKey(dish.id, early.id),
        says:
          early.daysBefore === 1
            ? say('{dish} is cooked the day before and kept.', { dish: dish.name })
            : say('{dish} is cooked {daysBefore} days before and kept.', {
                dish: dish.name,
                daysBefore: early.daysBefore ?? 0,
              }),
        fix: say(
          'From 57 to 21 °C within two hours and cold within four more: shallow boxes, a cold bath, then the fridge. On the day it goes to {celsius} °C in the middle.',
          { celsius: LIMITS.poultry.celsius },
        ),
        limit: LIMITS.coolFirst,
      },
    ];
  });
}

/** Cooked grain does not keep: said once for the whole meal, however its dishes were written. */
function grainKept(dishes: readonly Dish[]): Finding[] {
  const names = dishes
    .filter((dish) => dish.lands && dish.steps.some(cooks) && foodsIn(dish).some(isKernel))
    .map(({ name }) => name);
  if (names.length === 0) return [];
  return [
    {
      id: 'grain',
      weight: 'caution',
      dish: listed(names, 4),
      step: null,
      says: say('What is left of {names} does not keep warm.', { names: listed(names, 4) }),
      fix: say('Cool it within the hour, and eat it within a day or as your local rules say.'),
      limit: LIMITS.grain,
    },
  ];
}

/** Parts that are missing, short, never taken, or ready too late. */
function handOvers(meal: Meal, plan: Plan): Finding[] {
  const scaled = meal.dishes.map((dish) => scaledFor(meal, dish));
  return [...partFaults(scaled).map(partFinding), ...tooLate(scaled, plan)];
}

function partFinding(fault: PartFault): Finding {
  const common = { step: null, limit: null } as const;
  switch (fault.kind) {
    case 'missing': {
      const { taker, take } = fault;
      return {
        ...common,
        id: `missing ${bowlKey(taker.id, take.product)}`,
        weight: 'caution',
        dish: taker.name,
        says: say('{taker} takes {amount} {otherwise}, and no dish of this meal makes it.', {
          taker: taker.name,
          amount: printAmount(take.amount),
          otherwise: take.otherwise,
        }),
        fix: say(
          'Put a dish that makes it on the menu, or have it ready from a packet or an earlier day: it is on the shopping list.',
        ),
      };
    }
    case 'short': {
      const { giver, takers, taken, lacks } = fault;
      const share = lacks.quantity / taken.quantity;
      const more = Math.ceil((100 * lacks.quantity) / giver.give.amount.quantity);
      const grams = takers.reduce((sum, dish) => sum + dryGrams(dish), 0);
      const less =
        grams > 0
          ? say(', or take {amount} less grain', { amount: printAmount({ quantity: grams * share, unit: 'g' }) })
          : '';
      return {
        ...common,
        id: `short ${bowlKey(giver.dish.id, giver.give.product)}`,
        weight: 'caution',
        dish: giver.dish.name,
        says: say('{dish} gives about {amount}, and {taken} is taken for {takers}.', {
          dish: giver.dish.name,
          amount: printAmount(giver.give.amount),
          taken: printAmount(taken),
          takers: listed(takers.map(({ name }) => name)),
        }),
        fix: say('Make {more} % more of it, top it up with {amount} of boiling water and taste for salt{less}.', {
          more,
          amount: printAmount(lacks),
          less,
        }),
      };
    }
    case 'unused': {
      const { dish, give } = fault.giver;
      return {
        ...common,
        id: `unused ${bowlKey(dish.id, give.product)}`,
        weight: 'caution',
        dish: dish.name,
        says: say('Nothing in this meal takes the {give} of {dish}.', { give: give.name, dish: dish.name }),
        fix: say('Let a dish take it, leave it out, or cool it fast and freeze it in small boxes.'),
      };
    }
  }
}

function dryGrams({ grain, ingredients }: Dish): number {
  const dry = ingredients.find(({ id }) => id === grain?.dry)?.amount;
  return dry && dry.unit in MASS_IN_GRAMS ? dry.quantity * MASS_IN_GRAMS[dry.unit as MassUnit] : 0;
}

/** What is handed over after it is needed. */
function tooLate(dishes: readonly Dish[], plan: Plan): Finding[] {
  const stepsOf = (dish: string, step: string) =>
    plan.steps.filter((each) => each.kind === 'step' && each.dishId === dish && each.stepId === step);
  return dishes.flatMap((taker) =>
    taker.takes.flatMap((take): Finding[] => {
      const giver = giverOf(dishes, taker, take);
      const given = giver ? stepsOf(giver.dish.id, giver.give.step).at(-1) : undefined;
      const needed = stepsOf(taker.id, take.step)[0];
      if (!giver || !given || !needed || given.end <= needed.start) return [];
      return [
        {
          id: `late-part ${bowlKey(taker.id, take.product)}`,
          weight: 'hard',
          dish: taker.name,
          step: needed.key,
          says: say('{taker} wants {give} {minutes} min before {dish} has it.', {
            taker: taker.name,
            give: giver.give.name,
            minutes: given.end - needed.start,
            dish: giver.dish.name,
          }),
          fix: say('Begin the one later or the other sooner, or take it from a packet.'),
          limit: null,
        },
      ];
    }),
  );
}

/** Cooking in the open or in a tent has dangers of its own, and no dish has them written at a step. */
function inTheOpen({ kitchen }: Meal): Finding[] {
  const { where } = kitchen;
  if (where !== 'outdoors' && where !== 'tent') return [];
  const common = { dish: kitchen.name, step: null, limit: null } as const;
  return [
    {
      ...common,
      id: 'carbon-monoxide',
      weight: where === 'tent' ? 'hard' : 'caution',
      says: say('A stove or charcoal gives off carbon monoxide, which nobody smells and which kills.'),
      fix: say(
        'Never in a tent, an awning, a van or a cabin, not for warmth either and not when it has gone out: in the open air, away from any opening. Headache or dizziness: out into the air at once.',
      ),
    },
    {
      ...common,
      id: 'wind-and-ground',
      weight: 'caution',
      says: say('Wind and soft ground tip stoves and blow flames.'),
      fix: say(
        'Level firm ground, a wind break that does not close in the gas bottle, nothing dry around, water or sand at hand, children and dogs away. Boils take longer than planned here.',
      ),
    },
  ];
}

/** Findings as they are to be told: what the cook passes over stays in sight, marked. */
export function heeded(
  meal: Pick<Meal, 'passedOver'>,
  findings: readonly Finding[],
): { readonly open: readonly Finding[]; readonly passedOver: readonly Finding[] } {
  const passed = new Set(meal.passedOver ?? []);
  return {
    open: findings.filter(({ id }) => !passed.has(id)),
    passedOver: findings.filter(({ id }) => passed.has(id)),
  };
}

/** Which dishes hold which allergen, in the order of the lists; what a dish takes from another counts with it. */
export function allergensOfMeal(
  dishes: readonly Dish[],
): readonly (readonly [allergen: string, dishes: readonly string[]])[] {
  const by = new Map<string, string[]>();
  for (const dish of dishes) {
    for (const allergen of allergensOf(eatenIn(dishes, dish)))
      by.set(allergen, [...(by.get(allergen) ?? []), dish.name]);
  }
  const order: readonly string[] = ALLERGENS;
  const place = (allergen: string) => (order.includes(allergen) ? order.indexOf(allergen) : order.length);
  return [...by].sort(([a], [b]) => place(a) - place(b));
}

/** Dishes of which nobody can say what they are free of, each with the names that are not known. */
export function unknownOfMeal(dishes: readonly Dish[]): readonly (readonly [dish: string, names: readonly string[]])[] {
  return dishes.flatMap((dish) => {
    const names = unknownOf(eatenIn(dishes, dish));
    return names.length > 0 ? [[dish.name, names] as const] : [];
  });
}

export { DEFER };

/** Pots and pans that are taken because none is large enough: what that means. */
function tightFits(meal: Meal, plan: Plan): Finding[] {
  return meal.dishes.flatMap((written) => {
    const dish = scaledFor(meal, written);
    return dish.vessels.flatMap((use): Finding[] => {
      const unit = plan.known.holds[holdOfVessel(dish.id, use.id)];
      const vessel = unit && meal.kitchen.vessels.find(({ id }) => id === readUnit(unit).id);
      if (!vessel) return [];
      const misses = missesOf(vessel, use.need);
      if (misses.length === 0) return [];
      const small = vessel.litres < use.need.litres;
      return [
        {
          id: `tight ${holdOfVessel(dish.id, use.id)}`,
          weight: 'caution',
          dish: dish.name,
          step: null,
          says: say('{dish}: the {vessel} is {misses} for the {use}, and none here is larger.', {
            dish: dish.name,
            vessel: vessel.name.replace(/^the /i, ''),
            misses: listed(misses),
            use: use.name,
          }),
          fix: small
            ? say(
                'It is fuller than it should be: a gentler flame, the lid ajar, and an eye on it until it simmers; or cook a little less.',
              )
            : say('What lies closer browns more slowly: in two lots, or in a thicker layer for longer.'),
          limit: null,
        },
      ];
    });
  });
}
