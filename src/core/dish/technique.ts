import { type Amount, scaleAmount } from '@/core/units/amount';
import { amountAs } from '@/core/units/amount-in';
import type { Dish, Ingredient } from './dish';
import type { Filling, Made, More } from './made';
import { dish } from './write';

/** One of several ways at a point where cooks differ. */
export interface Way {
  readonly id: string;
  /** A few words: "soaked". */
  readonly says: string;
  /** Why one would, and what it does to time and liquid, in a sentence. */
  readonly because: string;
}

/** A point where cooks differ; the first way is the usual one. */
export interface WayChoice {
  readonly id: string;
  readonly asks: string;
  readonly ways: readonly Way[];
}

/** A place for an ingredient. */
export interface Slot {
  readonly id: string;
  /** What the cook is asked for: "the meat". */
  readonly asks: string;
  readonly usual: string;
  /** For one portion; for the whole dish where it does not grow. */
  readonly amount: Amount;
  readonly cut?: string;
  readonly allergens?: readonly string[];
  /** False where the amount is the same for two and for twenty. */
  readonly grows?: boolean;
  /** The dish works without it. */
  readonly mayMiss?: boolean;
}

/** What a builder has to work with. */
export interface Brief {
  readonly servings: number;
  /** The way of a choice. */
  readonly way: (choice: string) => string;
  /** The ingredient in a slot, or null where it is left out. */
  readonly item: (slot: string) => Ingredient | null;
  readonly has: (slot: string) => boolean;
  /** Those of these slots that are filled, for a step's `uses`. */
  readonly uses: (...slots: string[]) => readonly string[];
  /** What is in the slot, in a sentence: "the leeks". */
  readonly named: (slot: string) => string;
}

/** What a builder gives: a dish but for what every dish has; `amounts` overrules the amounts of slots. */
export type Built = Pick<Dish, 'steps' | 'links' | 'lands'> &
  Partial<Pick<Dish, 'vessels' | 'gives' | 'takes' | 'grain' | 'note'>> & {
    readonly amounts?: Readonly<Record<string, Amount>>;
    /** Names of slots where the cook has said none. */
    readonly names?: Readonly<Record<string, string>>;
  };

/** What a technique is found under. */
export type Family = 'grain' | 'stock' | 'meat' | 'pot' | 'pulses' | 'pan' | 'fish' | 'oven' | 'bread' | 'side';

/** A way of cooking with all that is known of it: from a few words of a cook it makes a dish. */
export interface Technique {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  /** What it is, in a sentence. */
  readonly says: string;
  readonly choices: readonly WayChoice[];
  readonly slots: readonly Slot[];
  /** What stands in a slot instead of its usual, by the ways that are chosen; what the cook says goes before it. */
  readonly instead?: (way: (choice: string) => string) => Readonly<Record<string, Filling>>;
  /** What usually goes wrong. */
  readonly mistakes: readonly string[];
  readonly build: (brief: Brief) => Built;
}

/** A dish by a technique. `said` may leave out all that is usual; what it says of unknown choices and slots is passed over. */
export function makeDish(
  technique: Technique,
  { id, name, servings }: Pick<Dish, 'id' | 'name' | 'servings'>,
  said: Partial<Omit<Made, 'technique'>> = {},
): Dish {
  const ways = Object.fromEntries(
    technique.choices.map((choice) => {
      const wanted = said.ways?.[choice.id];
      return [choice.id, choice.ways.some((way) => way.id === wanted) ? wanted! : choice.ways[0]!.id];
    }),
  );
  const way = (choice: string) => ways[choice] ?? '';
  const instead = technique.instead?.(way) ?? {};
  const ingredients = technique.slots.flatMap((slot): Ingredient[] => {
    const filling = said.fillings?.[slot.id];
    if (filling === null && slot.mayMiss) return [];
    const usual = filling?.name === undefined ? instead[slot.id] : undefined;
    return [filled(slot, { ...usual, ...filling }, servings)];
  });
  // Builders reckon in the unit of the slot, whatever the cook measures in.
  const item = (slot: string) => {
    const found = ingredients.find((each) => each.id === slot);
    const unit = technique.slots.find(({ id }) => id === slot)?.amount.unit;
    return found && unit ? { ...found, amount: amountAs(found.amount, unit, found.name) } : null;
  };
  const {
    amounts = {},
    names = {},
    ...built
  } = technique.build({
    servings,
    way,
    item,
    has: (slot) => item(slot) !== null,
    uses: (...slots) => slots.filter((slot) => item(slot) !== null),
    named: (slot) => `the ${item(slot)?.name ?? 'rest'}`,
  });
  const more = moreOf(said.more ?? [], built.steps, servings);
  const used = new Set([...built.steps.flatMap(({ uses }) => uses), ...(built.grain?.liquid ?? [])]);
  return dish({
    id,
    name,
    servings,
    // A liquid that comes from another dish is no ingredient of this one.
    ingredients: [
      ...ingredients
        .filter((each) => used.has(each.id))
        .map((each) => ({
          ...each,
          name: said.fillings?.[each.id]?.name ?? names[each.id] ?? each.name,
          amount: amounts[each.id] ?? each.amount,
        })),
      ...more.ingredients,
    ],
    ...built,
    steps: built.steps.map((step) => ({ ...step, uses: [...step.uses, ...(more.uses.get(step.id) ?? [])] })),
    made: {
      technique: technique.id,
      ways,
      fillings: said.fillings ?? {},
      ...(said.more?.length ? { more: said.more } : {}),
    },
  });
}

/** What goes in besides, and into which steps. */
function moreOf(more: readonly More[], steps: Built['steps'], servings: number) {
  const usual = steps.find(({ place }) => place.at === 'burner' || place.at === 'oven') ?? steps[0];
  const uses = new Map<string, readonly string[]>();
  for (const { id, step } of more) {
    const into = steps.find((each) => each.id === step)?.id ?? usual?.id;
    if (into !== undefined) uses.set(into, [...(uses.get(into) ?? []), id]);
  }
  const ingredients = more.map(
    ({ id, name, amount, food }): Ingredient => ({
      id,
      name,
      amount: scaleAmount(amount, servings),
      grows: true,
      allergens: [],
      ...(food ? { food } : {}),
    }),
  );
  return { ingredients, uses };
}

function filled(slot: Slot, filling: Filling, servings: number): Ingredient {
  const grows = slot.grows !== false;
  const cut = filling.cut ?? slot.cut;
  const amount = filling.amount ?? slot.amount;
  return {
    id: slot.id,
    name: filling.name ?? slot.usual,
    amount: grows ? scaleAmount(amount, servings) : amount,
    ...(cut ? { cut } : {}),
    grows,
    allergens: filling.allergens ?? (filling.name === undefined ? (slot.allergens ?? []) : []),
    ...(filling.food ? { food: filling.food } : {}),
  };
}

/** What one dish has otherwise than another, in words: minutes, hands, liquid, steps; empty when nothing. */
export function differences(before: Dish, after: Dish): readonly string[] {
  const steps = (dish: Dish) => new Map(dish.steps.map((step) => [step.id, step]));
  const [was, is] = [steps(before), steps(after)];
  const sum = (dish: Dish, hands: boolean) =>
    dish.steps
      .filter(({ attention }) => !hands || attention === 'hands')
      .reduce((total, { minutes }) => total + minutes.likely, 0);
  const told: string[] = [];
  const more = (count: number, what: string) =>
    told.push(`${Math.abs(count)} min ${count > 0 ? 'more' : 'less'} ${what}`);
  const hands = sum(after, true) - sum(before, true);
  const all = sum(after, false) - sum(before, false);
  if (hands !== 0) more(hands, 'of hands');
  if (all !== 0) more(all, 'in all');
  const fresh = after.steps.filter(({ id }) => !was.has(id)).map(({ name }) => `“${name}”`);
  const gone = before.steps.filter(({ id }) => !is.has(id)).map(({ name }) => `“${name}”`);
  if (fresh.length > 0) told.push(`also ${fresh.join(', ')}`);
  if (gone.length > 0) told.push(`no ${gone.join(', ')}`);
  for (const item of after.ingredients) {
    const old = before.ingredients.find(({ id }) => id === item.id);
    if (!old || old.amount.unit !== item.amount.unit) continue;
    const share = item.amount.quantity / old.amount.quantity - 1;
    if (Math.abs(share) < 0.02) continue;
    told.push(`${Math.round(Math.abs(share) * 100)} % ${share > 0 ? 'more' : 'less'} ${item.name}`);
  }
  return told;
}
