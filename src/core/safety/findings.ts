import { allergensOf } from '@/core/dish/diet';
import type { Dish } from '@/core/dish/dish';
import { handlesRaw, isHeatedAfter, isHot, sortsOf } from '@/core/dish/foods';
import { DEFER, LIMITS, type Limit } from '@/core/heat/safe-limits';
import { clockMinutes, printClock } from '@/core/kitchen/kitchen';
import type { Meal } from '@/core/meal/meal';
import type { Plan, PlannedStep } from '@/core/meal/plan';

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
}

/** Raw food laid ready waits so long without a word. */
const SHORT_WAIT = 30;

/**
 * What a whole plan has to heed: raw food that waits, one board for raw and ready, food below holding heat, marinating in the warm, kidney
 * beans, what is cooled and heated again. Hard ones first, then by the clock.
 */
export function findingsOf(meal: Meal, plan: Plan): readonly Finding[] {
  const dishes = new Map(meal.dishes.map((dish) => [dish.id, dish]));
  const table = clockMinutes(plan.hour);
  const clock = (minute: number) => printClock(table + minute);
  const list = [
    ...rawWaiting(plan, dishes, clock),
    ...sharedBoards(plan, dishes),
    ...tooCool(plan),
    ...warmMarinades(meal.dishes),
    ...kidneyBeans(meal.dishes),
    ...overnight(meal.dishes),
    ...grainKept(meal.dishes),
  ];
  return list.sort((a, b) => Number(b.weight === 'hard') - Number(a.weight === 'hard'));
}

function stepOf(dishes: ReadonlyMap<string, Dish>, planned: PlannedStep) {
  const dish = dishes.get(planned.dishId);
  const id = planned.key.slice(planned.dishId.length + 1).replace(/\.\d+$/, '');
  const step = dish?.steps.find((each) => each.id === id);
  return dish && step ? { dish, step } : null;
}

/** Raw meat and fish laid ready long before its heat. */
function rawWaiting(plan: Plan, dishes: ReadonlyMap<string, Dish>, clock: (minute: number) => string): Finding[] {
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
        says: `${found.dish.name} lies ready from ${clock(waiting.from)} to ${clock(waiting.to)}, raw.`,
        fix: `Put it in the fridge until ${clock(waiting.to)}.`,
        limit: LIMITS.dangerZone,
      },
    ];
  });
}

/** On one person's board, raw food before what is eaten as it is. */
function sharedBoards(plan: Plan, dishes: ReadonlyMap<string, Dish>): Finding[] {
  return plan.hands.flatMap(({ name, busy }) => {
    const list: Finding[] = [];
    let raw: string | null = null;
    for (const { key } of [...busy].sort((a, b) => a.start - b.start)) {
      const planned = plan.steps.find((step) => step.key === key);
      const found = planned && stepOf(dishes, planned);
      if (!found || planned.station.sort !== 'board') continue;
      if (handlesRaw(found.dish, found.step)) raw = found.dish.name;
      else if (raw !== null && found.step.uses.length > 0 && isEatenAsItIs(found.dish, found.step.id)) {
        list.push({
          id: `board ${key}`,
          weight: 'caution',
          dish: found.dish.name,
          step: key,
          says: `“${planned.name}” (${found.dish.name}) comes after the raw meat or fish of ${raw} in the same hands: ${name}.`,
          fix: 'Wash hands, board and knife between, with soap, or take another board.',
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
function tooCool(plan: Plan): Finding[] {
  return plan.landings.flatMap((landing): Finding[] => {
    const { dishId, dishName: dish, waits, celsius, served } = landing;
    if (served === 'cold') return [];
    if (waits > LIMITS.dangerZone.minutes && (celsius === undefined || celsius.low < LIMITS.hotHolding.celsius)) {
      return [
        {
          id: `danger ${dishId}`,
          weight: 'hard',
          dish,
          step: null,
          says: `${dish} would stand ${waits} min between hot and cold; ${LIMITS.dangerZone.minutes} in all are the most.`,
          fix: 'Make it later, keep it above 57 °C on the lowest heat or in a low oven, or cool it at once and heat it through.',
          limit: LIMITS.dangerZone,
        },
      ];
    }
    if (served === 'hot' && celsius !== undefined && celsius.likely < LIMITS.hotHolding.celsius) {
      return [
        {
          id: `cool ${dishId}`,
          weight: 'caution',
          dish,
          step: null,
          says: `${dish} will be at about ${Math.round(celsius.likely)} °C when the table is laid.`,
          fix: 'Keep it on the lowest heat or in a low oven, or heat it through to 74 °C before it goes out.',
          limit: LIMITS.hotHolding,
        },
      ];
    }
    return [];
  });
}

/** Raw meat or fish that lies in its marinade at room temperature. */
function warmMarinades(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish) =>
    dish.steps.flatMap((step): Finding[] => {
      const raw = dish.links.some((link) => {
        const before = dish.steps.find(({ id }) => id === link.from);
        return link.to === step.id && before !== undefined && handlesRaw(dish, before);
      });
      const lies = step.place.at === 'rest' && step.minutes.likely > SHORT_WAIT && isHeatedAfter(dish, step.id);
      if (!raw || !lies) return [];
      return [
        {
          id: `marinade ${dish.id}/${step.id}`,
          weight: step.minutes.likely > LIMITS.dangerZone.minutes ? 'hard' : 'caution',
          dish: dish.name,
          step: `${dish.id}/${step.id}`,
          says: `“${step.name}” leaves raw meat or fish ${step.minutes.likely} min out of the cold.`,
          fix: 'Let it lie in the fridge; boil what it lay in, or throw it away.',
          limit: LIMITS.dangerZone,
        },
      ];
    }),
  );
}

/** Dried kidney beans must boil hard. */
function kidneyBeans(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish): Finding[] => {
    if (!dish.ingredients.some((item) => sortsOf(item).includes('kidney'))) return [];
    const boils = dish.steps.some(
      ({ place, minutes }) =>
        (place.at === 'burner' && place.heat === 'full' && minutes.shortest >= LIMITS.kidneyBoil.minutes) ||
        (place.at === 'appliance' && place.appliance === 'pressure-cooker'),
    );
    if (boils) return [];
    return [
      {
        id: `kidney ${dish.id}`,
        weight: 'hard',
        dish: dish.name,
        step: null,
        says: `${dish.name} has kidney beans and no hard boil: raw or simmered they are poisonous.`,
        fix: 'Soak them, throw the water away, and boil them hard for 30 minutes before all else. Never raw into a slow cooker.',
        limit: LIMITS.kidneyBoil,
      },
    ];
  });
}

/** What is cooked on another day is cooled fast and heated through. */
function overnight(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish): Finding[] => {
    const early = dish.steps.find((step) => step.daysBefore !== undefined && isHot(step));
    if (!early) return [];
    return [
      {
        id: `overnight ${dish.id}`,
        weight: 'caution',
        dish: dish.name,
        step: `${dish.id}/${early.id}`,
        says: `${dish.name} is cooked a day before.`,
        fix: `From 57 to 21 °C within 2 hours, to 5 °C within 4 more: shallow boxes, a cold bath, then the fridge. Heat it through to ${LIMITS.poultry.celsius} °C on the day.`,
        limit: LIMITS.coolFirst,
      },
    ];
  });
}

/** What is left of cooked grain. */
function grainKept(dishes: readonly Dish[]): Finding[] {
  return dishes.flatMap((dish): Finding[] =>
    dish.grain
      ? [
          {
            id: `grain ${dish.id}`,
            weight: 'caution',
            dish: dish.name,
            step: null,
            says: `What is left of ${dish.name} does not keep warm-ish: its spores survive the boil.`,
            fix: 'Cold within the hour, eaten within a day.',
            limit: LIMITS.grain,
          },
        ]
      : [],
  );
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

/** Which dishes hold which allergen, in the order of the lists. */
export function allergensOfMeal(
  dishes: readonly Dish[],
): readonly (readonly [allergen: string, dishes: readonly string[]])[] {
  const by = new Map<string, string[]>();
  for (const dish of dishes) {
    for (const allergen of allergensOf(dish)) by.set(allergen, [...(by.get(allergen) ?? []), dish.name]);
  }
  return [...by];
}

export { DEFER };
