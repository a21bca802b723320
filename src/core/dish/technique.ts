import { say } from '@/core/say/say';
import { type Amount, scaleAmount, type Unit } from '@/core/units/amount';
import { amountAs } from '@/core/units/amount-in';
import type { Dish, Ingredient } from './dish';
import type { Filling, Made, More, Product, Said } from './made';

/** One of several ways at a point where cooks differ. */
export interface Way {
  readonly id: string;
  /** A few words: "soaked". */
  readonly says: string;
  /** Why one would, and what it does to time and liquid, in a sentence. */
  readonly because: string;
  /** What is usually made for it: a part, and the slots that take from it. */
  readonly brings?: Brings;
}

/** A part that comes with a way, and what is taken from it into which slot. */
export interface Brings {
  readonly technique: string;
  readonly ways?: Readonly<Record<string, string>>;
  readonly into: Readonly<Record<string, Product>>;
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
  /** What may stand here that another part makes. */
  readonly takes?: readonly Product[];
  /** Longest minutes that it may wait here after it was made, where that is less than what it bears. */
  readonly within?: number;
}

/** What a builder has to work with. */
export interface Brief {
  readonly servings: number;
  /** The way of a choice. */
  readonly way: (choice: string) => string;
  /** The ingredient in a slot, or null where it is left out. */
  readonly item: (slot: string) => Ingredient | null;
  readonly has: (slot: string) => boolean;
  /** What stands in the slot that another part or dish makes; null where it is bought. */
  readonly handed: (slot: string) => Handed | null;
  /** Those of these slots that are filled, for a step's `uses`. */
  readonly uses: (...slots: string[]) => readonly string[];
  /** What is in the slot, in a sentence: "the leeks". */
  readonly named: (slot: string) => string;
}

/** What a part can hand to another. */
export interface Offer {
  readonly product: Product;
  /** "lamb broth, hot". */
  readonly name: string;
  /** The step at whose end it is there. */
  readonly step: string;
  readonly amount: Amount;
  /** Longest minutes that it waits; null: any. */
  readonly within: number | null;
  /** Waiting longer is allowed but a pity. */
  readonly rather?: number;
  /** It may stand a night in the cold. */
  readonly overnight?: boolean;
}

/** What a builder gives: a dish but for what every dish has; `amounts` overrules the amounts of slots. */
export type Built = Pick<Dish, 'steps' | 'links' | 'lands'> &
  Partial<Pick<Dish, 'vessels' | 'gives' | 'takes' | 'grain' | 'note'>> & {
    readonly amounts?: Readonly<Record<string, Amount>>;
    /** Names of slots where the cook has said none. */
    readonly names?: Readonly<Record<string, string>>;
    /** What it can hand to another part. */
    readonly offers?: readonly Offer[];
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
  /** It makes no dish by itself, only a part for others. */
  readonly partOnly?: boolean;
  /** What a dish of it begins with, where the cook has said nothing: parts that are usually made for it. */
  readonly begins?: Pick<Made, 'parts' | 'same'> & { readonly fillings?: Made['fillings'] };
  /** What usually goes wrong. */
  readonly mistakes: readonly string[];
  readonly build: (brief: Brief) => Built;
}

/** What stands in a slot that is not bought: made by another part, or by another dish of the meal. */
export interface Handed {
  /** Id of what is taken. */
  readonly product: string;
  readonly name: string;
  /** For all the servings; null where another dish gives it, and only the taker knows how much it wants. */
  readonly amount: Amount | null;
}

/** A part as its technique makes it, with ids of its own. */
export interface BuiltPart extends Omit<Built, 'amounts' | 'names'> {
  readonly ingredients: readonly Ingredient[];
  /** The way of each choice. */
  readonly ways: Readonly<Record<string, string>>;
  /** Ids of the slots that are used, those handed over among them, with the step that takes each. */
  readonly takenAt: ReadonlyMap<string, string>;
}

/**
 * A part by a technique. What is said of unknown choices and slots is passed over; what is handed over is no ingredient of it. All ids are its
 * own.
 */
export function buildPart(
  technique: Technique,
  said: Partial<Said>,
  servings: number,
  handed: (slot: Slot) => Handed | null,
): BuiltPart {
  const ways = Object.fromEntries(
    technique.choices.map((choice) => {
      const wanted = said.ways?.[choice.id];
      return [choice.id, choice.ways.some((way) => way.id === wanted) ? wanted! : choice.ways[0]!.id];
    }),
  );
  const way = (choice: string) => ways[choice] ?? '';
  const instead = technique.instead?.(way) ?? {};
  const given = new Map(
    technique.slots.flatMap((slot) => {
      const found = handed(slot);
      return found ? [[slot.id, found] as const] : [];
    }),
  );
  const ingredients = technique.slots.flatMap((slot): Ingredient[] => {
    const filling = said.fillings?.[slot.id];
    const hand = given.get(slot.id);
    if (filling === null && slot.mayMiss) return [];
    const usual = filling?.name === undefined ? instead[slot.id] : undefined;
    const own = filled(slot, { ...usual, ...filling }, servings);
    return [hand ? { ...own, name: hand.name, amount: hand.amount ?? own.amount } : own];
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
    handed: (slot) => given.get(slot) ?? null,
    uses: (...slots) => slots.filter((slot) => item(slot) !== null),
    named: (slot) => `the ${shortly(item(slot)?.name ?? 'rest')}`,
  });
  const more = moreOf(said.more ?? [], built.steps, servings);
  const takenAt = new Map<string, string>();
  for (const step of built.steps) for (const id of step.uses) if (!takenAt.has(id)) takenAt.set(id, step.id);
  const used = new Set([...takenAt.keys(), ...(built.grain?.liquid ?? [])]);
  // The cook's own amount stands, but for the liquid, which follows the grain.
  const isSet = (id: string) => said.fillings?.[id]?.amount !== undefined && !built.grain?.liquid.includes(id);
  return {
    ...built,
    ways,
    takenAt,
    // A liquid that comes from another part or dish is no ingredient of this one.
    ingredients: [
      ...ingredients
        .filter((each) => used.has(each.id) && !given.has(each.id))
        .map((each) => ({
          ...each,
          name: said.fillings?.[each.id]?.name ?? names[each.id] ?? each.name,
          amount: isSet(each.id) ? each.amount : (amounts[each.id] ?? each.amount),
        })),
      ...more.ingredients,
    ],
    steps: built.steps.map((step) => ({
      ...step,
      uses: [...step.uses.filter((id) => !given.has(id)), ...(more.uses.get(step.id) ?? [])],
    })),
  };
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
  const cut = filling.cut ?? (isCutAlready(filling.name) ? undefined : slot.cut);
  const amount = filling.amount ?? { ...slot.amount, unit: countedAs(filling.name, slot.amount.unit) };
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

/** A name without how it comes: "chicken thighs, boned, in pieces" are the chicken thighs. What is a list stays whole. */
function shortly(name: string): string {
  return / and /.test(name) ? name : (name.split(',')[0] ?? name);
}

/** A name that says how it comes: "chicken wings", "lamb, in pieces" are not cut as the usual is. */
function isCutAlready(name: string | undefined): boolean {
  return (
    name !== undefined &&
    /,|\b(?:minced|wings?|legs?|thighs?|drumsticks?|fillets?|prawns|shrimps|eggs?|florets)\b/i.test(name)
  );
}

/** What is not told in leaves, though the usual of its slot is. */
const COUNTED: readonly (readonly [name: RegExp, unit: Unit])[] = [
  [/\b(?:thyme|rosemary|oregano|marjoram|tarragon|dill|parsley|mint)\b/i, 'sprig'],
  [/\bcinnamon\b/i, 'stick'],
  [/\b(?:berries|pods?|cloves|peppercorns|star anise|chill?ies|seeds?|juniper|allspice)\b/i, 'piece'],
];

function countedAs(name: string | undefined, unit: Unit): Unit {
  if (unit !== 'leaf' || name === undefined) return unit;
  return COUNTED.find(([words]) => words.test(name))?.[1] ?? unit;
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
    told.push(
      count > 0
        ? say('{count} min more {what}', { count: Math.abs(count), what })
        : say('{count} min less {what}', { count: Math.abs(count), what }),
    );
  const hands = sum(after, true) - sum(before, true);
  const all = sum(after, false) - sum(before, false);
  if (hands !== 0) more(hands, say('of hands'));
  if (all !== 0) more(all, say('in all'));
  const fresh = after.steps.filter(({ id }) => !was.has(id)).map(({ name }) => `“${name}”`);
  const gone = before.steps.filter(({ id }) => !is.has(id)).map(({ name }) => `“${name}”`);
  if (fresh.length > 0) told.push(say('also {fresh}', { fresh: fresh.join(say(', ')) }));
  if (gone.length > 0) told.push(say('no {gone}', { gone: gone.join(say(', ')) }));
  for (const item of after.ingredients) {
    const old = before.ingredients.find(({ id }) => id === item.id);
    if (!old || old.amount.unit !== item.amount.unit) continue;
    const share = item.amount.quantity / old.amount.quantity - 1;
    if (Math.abs(share) < 0.02) continue;
    told.push(`${Math.round(Math.abs(share) * 100)} % ${share > 0 ? 'more' : 'less'} ${item.name}`);
  }
  return told;
}
