import type { Dish } from '@/core/dish/dish';
import { litresOf } from '@/core/dish/grain-of';
import type { Meal } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import { type Message, message, say } from '@/core/say/say';
import { type Amount, isMass, MASS_IN_GRAMS, scaleAmount } from '@/core/units/amount';
import { printThing } from '@/core/units/thing';
import { type Pinch, SENSES, type Sense, standingEvents } from './events';
import type { LiveStep, Session } from './session';

/** One small step after a taste: what goes in, or what else is done. */
export interface TasteStep {
  readonly sense: Sense;
  /** As the tongue says it: "flat". */
  readonly finds: string;
  /** What goes in, for this pot; absent where nothing does. */
  readonly give?: Pinch;
  readonly says: string;
}

/** What a tongue finds, what helps, and how much of it for a litre in the pot: common practice, no source. Half of what one would think, and taste again. */
const STEPS: Readonly<Record<Sense, { finds: Message; name?: string; perLitre?: Amount; says: Message }>> = {
  flat: {
    finds: message('flat: it wants salt'),
    name: 'fine salt',
    perLitre: { quantity: 0.25, unit: 'tsp' },
    says: message('Stir, wait half a minute, taste again.'),
  },
  sour: {
    finds: message('too sour'),
    name: 'sugar',
    perLitre: { quantity: 0.5, unit: 'tsp' },
    says: message('Stir until it is gone, taste again.'),
  },
  sweet: {
    finds: message('too sweet, or dull'),
    name: 'lemon juice or vinegar',
    perLitre: { quantity: 1, unit: 'tsp' },
    says: message('Stir, taste again.'),
  },
  mild: {
    finds: message('too mild'),
    name: 'ground chilli',
    perLitre: { quantity: 0.125, unit: 'tsp' },
    says: message('It grows for two minutes: taste again after that.'),
  },
  hot: {
    finds: message('too hot'),
    name: 'yogurt, cream or coconut milk',
    perLitre: { quantity: 2, unit: 'tbsp' },
    says: message('Off the boil, stirred in; a little sugar helps too. Put more of it on the table.'),
  },
  salty: {
    finds: message('too salty'),
    name: 'boiling water',
    perLitre: { quantity: 80, unit: 'ml' },
    says: message('Unsalted, then something sour; what it is eaten with stays without salt.'),
  },
  thin: {
    finds: message('too thin'),
    says: message('Lid off, flame up, five minutes; or crush a few pieces into it.'),
  },
  thick: {
    finds: message('too thick'),
    name: 'boiling water',
    perLitre: { quantity: 60, unit: 'ml' },
    says: message('Stir it in, back to the simmer, taste for salt.'),
  },
};

/** Litres of what a dish of its size has in its pot: what is poured, and four fifths of what is weighed. Common practice, no source. */
export function litresInPot(dish: Dish): number {
  return [...dish.ingredients, ...dish.takes].reduce((sum, { amount }) => {
    const { quantity, unit } = amount;
    return sum + (litresOf(amount) ?? (isMass(unit) ? (0.8 * quantity * MASS_IN_GRAMS[unit]) / 1000 : 0));
  }, 0);
}

/** The small steps of a tasting for what a dish of a meal has in its pot, in the order in which a tongue asks. */
export function tasteSteps(meal: Meal, dishId: string): readonly TasteStep[] {
  const dish = meal.dishes.find(({ id }) => id === dishId);
  if (!dish) return [];
  const litres = Math.max(0.3, litresInPot(scaledFor(meal, dish)));
  return SENSES.map((sense): TasteStep => {
    const { finds, name, perLitre, says } = STEPS[sense];
    const give = name && perLitre ? { name, amount: scaleAmount(perLitre, litres) } : null;
    return { sense, finds: say(finds), says: say(says), ...(give ? { give } : {}) };
  });
}

/** A dish is tasted where it has a sauce or is a broth, and not while anything in it may be raw: towards the end of its last simmer, and at the work after it. */
export function isToTaste(dish: Dish, live: LiveStep, steps: readonly LiveStep[], now: number): boolean {
  const { step, status } = live;
  if (status !== 'running' || step.kind !== 'step' || step.dishId !== dish.id || litresInPot(dish) === 0) return false;
  if (dish.gives.some((give) => give.step === step.stepId && litresOf(give.amount) !== null)) return true;
  if (dish.grain || !dish.lands) return false;
  const own = steps.filter((each) => each.step.dishId === dish.id);
  const simmers = own.filter(
    ({ step }) =>
      (step.station.sort === 'burner' || step.station.sort === 'oven') &&
      step.attention !== 'hands' &&
      step.minutes >= 5,
  );
  const last = simmers.at(-1);
  if (!last) return false;
  if (last.step.key === step.key) return now >= last.startAt + 0.8 * (last.endAt - last.startAt);
  return last.status === 'done' && step.attention === 'hands';
}

/** How often something was put into a dish after a taste, on evenings that are over, and how much of it in all for each portion then. */
export interface Remembered {
  readonly name: string;
  readonly times: number;
  readonly amount: Amount;
}

/** What was added to a dish after tasting, over several evenings: "you added 1 tsp of sugar on three evenings". Amounts are the mean of those evenings. */
export function rememberedOf(evenings: readonly Pick<Session, 'events'>[], dishId: string): readonly Remembered[] {
  const found = new Map<string, { times: number; quantity: number; unit: Amount['unit'] }>();
  for (const { events } of evenings) {
    const here = new Map<string, Amount>();
    for (const event of standingEvents(events)) {
      if (event.kind !== 'tasted' || event.dish !== dishId || !event.gave) continue;
      const { name, amount } = event.gave;
      const before = here.get(name);
      if (before && before.unit !== amount.unit) continue;
      here.set(name, { quantity: (before?.quantity ?? 0) + amount.quantity, unit: amount.unit });
    }
    for (const [name, { quantity, unit }] of here) {
      const before = found.get(name);
      if (before && before.unit !== unit) continue;
      found.set(name, { times: (before?.times ?? 0) + 1, quantity: (before?.quantity ?? 0) + quantity, unit });
    }
  }
  return [...found]
    .map(([name, { times, quantity, unit }]) => ({ name, times, amount: { quantity: quantity / times, unit } }))
    .sort((a, b) => b.times - a.times);
}

/** "1 tsp sugar on three evenings" for each, in a sentence; empty where nothing is remembered. */
export function sayRemembered(list: readonly Remembered[]): string {
  if (list.length === 0) return '';
  const each = list.map(
    ({ name, times, amount }) =>
      `${printThing(amount, name)} (${times === 1 ? say('once') : say('{times} times', { times })})`,
  );
  return say('Before, you added {each}.', { each: each.join(say(', ')) });
}
