import { say } from '@/core/say/say';
import type { Amount } from '@/core/units/amount';
import { scaleAmount } from '@/core/units/amount';
import { checkDish } from './check';
import type { Dish } from './dish';
import { type DishDraft, dishOf } from './draft-dish';
import {
  type Between,
  type Filling,
  type From,
  idIn,
  MAIN,
  type Made,
  type MadePart,
  type Product,
  type Said,
} from './made';
import { makersOf, offersOf, partsOf } from './parts';
import type { Slot, Technique, WayChoice } from './technique';
import { techniqueOf } from './techniques/all';

/** Changes of a draft that is made of parts. `MAIN` is the part that comes to the table. */

/** What is said of a part; undefined where there is none of that id. */
export function saidOf(draft: DishDraft, part: string): Said | undefined {
  return part === MAIN ? draft : draft.parts?.find(({ id }) => id === part);
}

/** The draft with something else said of one of its parts. */
export function withSaid(draft: DishDraft, part: string, by: (now: Said) => Partial<Said>): DishDraft {
  if (part === MAIN) return { ...draft, ...by(draft) };
  const { parts = [] } = draft;
  return { ...draft, parts: parts.map((each) => (each.id === part ? { ...each, ...by(each) } : each)) };
}

/** The draft with something else in a slot of a part; null leaves it out, undefined puts the usual back. */
export function withFilling(
  draft: DishDraft,
  part: string,
  slot: string,
  change: Filling | null | undefined,
): DishDraft {
  return withSaid(draft, part, ({ fillings: { [slot]: before, ...others } }) => {
    if (change === undefined) return { fillings: others };
    return { fillings: { ...others, [slot]: change === null ? null : { ...before, ...change } } };
  });
}

/** Where what stands in a slot may come from. */
export interface Source {
  /** What it is chosen by. */
  readonly id: string;
  readonly says: string;
  /** From a part that there is, or from another dish. */
  readonly from?: From;
  /** By a part that is still to be made. */
  readonly make?: { readonly technique: string; readonly product: Product };
}

/** The source of what is bought. */
export const BOUGHT = 'bought';

/** Where a slot of a part may have its filling from: bought first, then parts that there are, then new ones; just bought where nothing else. */
export function sourcesOf(draft: DishDraft, part: string, slot: Slot): readonly Source[] {
  const takes = slot.takes ?? [];
  const there = (draft.parts ?? [])
    .filter(({ id }) => id !== part && !takesFrom(draft, id, part))
    .flatMap(({ id, technique }) =>
      offersOf(techniqueOf(technique))
        .filter(({ product }) => takes.includes(product))
        .map(
          ({ product }): Source => ({
            id: `${id} ${product}`,
            says: say('the {product} of “{part}”', { product, part: nameOfPart(draft, id) }),
            from: { part: id, product },
          }),
        ),
    );
  const fresh = takes.flatMap((product) =>
    makersOf(product).map(
      ({ id, name }): Source => ({
        id: `make ${id} ${product}`,
        says: say('made for it: {name}', { name }),
        make: { technique: id, product },
      }),
    ),
  );
  const elsewhere: readonly Source[] = takes.includes('broth')
    ? [{ id: 'meal', says: say('from another dish of the meal'), from: { part: null, product: 'broth' } }]
    : [];
  return [{ id: BOUGHT, says: say('as it is bought') }, ...there, ...uniqueSays(fresh), ...elsewhere];
}

/** Two ways to the same technique are told once: the first product that it makes for the slot. */
function uniqueSays(sources: readonly Source[]): readonly Source[] {
  return sources.filter(({ says }, k) => sources.findIndex((each) => each.says === says) === k);
}

/** The source that a slot has its filling from now. */
export function sourceOf(draft: DishDraft, part: string, slot: Slot): string {
  const from = saidOf(draft, part)?.fillings[slot.id]?.from;
  if (!from || !slot.takes?.includes(from.product)) return BOUGHT;
  return from.part === null ? 'meal' : `${from.part} ${from.product}`;
}

/** The draft with a slot filled from a source. A part of which nothing is taken any more is let go. */
export function withSource(draft: DishDraft, part: string, slot: Slot, { from, make }: Source): DishDraft {
  const before = saidOf(draft, part)?.fillings[slot.id]?.from?.part;
  const made = make ? withNewPart(draft, techniqueOf(make.technique)) : null;
  const now: From | undefined = made && make ? { part: made.id, product: make.product } : from;
  const joined = withSaid(made?.draft ?? draft, part, ({ fillings }) => {
    const { from: _, ...rest } = fillings[slot.id] ?? {};
    const filling: Filling = now ? { ...rest, from: now } : rest;
    return { fillings: { ...fillings, [slot.id]: filling } };
  });
  return before && !isTaken(joined, before) ? withoutPart(joined, before) : joined;
}

/**
 * The draft with another way at a point where cooks differ, in one of its parts. A part that the way usually brings comes with it, and what
 * the way before had brought goes.
 */
export function withWay(draft: DishDraft, part: string, choice: WayChoice, way: string): DishDraft {
  const before = saidOf(draft, part)?.ways[choice.id] ?? choice.ways[0]!.id;
  const brings = (id: string) => choice.ways.find((each) => each.id === id)?.brings;
  const slots = techniqueOf(saidOf(draft, part)!.technique).slots;
  const chosen = withSaid(draft, part, ({ ways }) => ({ ways: { ...ways, [choice.id]: way } }));
  if (before === way) return chosen;
  const bought = Object.keys(brings(before)?.into ?? {}).reduce((now, id) => {
    const slot = slots.find((each) => each.id === id);
    return slot ? withSource(now, part, slot, { id: BOUGHT, says: '' }) : now;
  }, chosen);
  const brought = brings(way);
  if (!brought) return bought;
  const made = withNewPart(bought, techniqueOf(brought.technique));
  const readied = withSaid(made.draft, made.id, () => ({ ways: brought.ways ?? {} }));
  return Object.entries(brought.into).reduce((now, [id, product]) => {
    const slot = slots.find((each) => each.id === id);
    return slot ? withSource(now, part, slot, { id: '', says: '', from: { part: made.id, product } }) : now;
  }, readied);
}

/** The draft with one more part, which nobody takes from yet. It begins as a dish of its technique would. */
export function withNewPart(
  draft: DishDraft,
  technique: Technique,
): { readonly draft: DishDraft; readonly id: string } {
  const taken = new Set((draft.parts ?? []).map(({ id }) => id));
  let id = technique.id.slice(0, 30);
  for (let number = 2; taken.has(id); number++) id = `${technique.id.slice(0, 30)}-${number}`;
  const part: MadePart = { id, technique: technique.id, ways: {}, fillings: {} };
  return { id, draft: { ...draft, parts: [...(draft.parts ?? []), part] } };
}

/** The draft without a part, and without those that were made for it alone; what took from it buys instead. */
export function withoutPart(draft: DishDraft, part: string): DishDraft {
  const bought = (said: Said): Said['fillings'] =>
    Object.fromEntries(
      Object.entries(said.fillings).map(([slot, filling]) => {
        if (filling?.from?.part !== part) return [slot, filling];
        const { from: _, ...rest } = filling;
        return [slot, rest];
      }),
    );
  const gone = draft.parts?.find(({ id }) => id === part);
  const parts = (draft.parts ?? [])
    .filter(({ id }) => id !== part)
    .map((each) => ({ ...each, fillings: bought(each) }));
  const same = (draft.same ?? []).filter(({ from, to }) => !isOf(from, part) && !isOf(to, part));
  const left: DishDraft = { ...draft, fillings: bought(draft), parts, same };
  const orphans = Object.values(gone?.fillings ?? {}).flatMap((each) => each?.from?.part ?? []);
  return orphans.reduce((now, id) => (isTaken(now, id) ? now : withoutPart(now, id)), left);
}

function isOf(vessel: string, part: string): boolean {
  return vessel.startsWith(`${part}_`);
}

/** Whether anything is taken from a part. */
export function isTaken(draft: DishDraft, part: string): boolean {
  return [draft, ...(draft.parts ?? [])].some(({ fillings }) =>
    Object.values(fillings).some((each) => each?.from?.part === part),
  );
}

/** Whether a part takes from another, straight or by others. */
function takesFrom(draft: DishDraft, part: string, other: string, seen: ReadonlySet<string> = new Set()): boolean {
  if (seen.has(part)) return false;
  const givers = Object.values(saidOf(draft, part)?.fillings ?? {}).flatMap((each) => each?.from?.part ?? []);
  return givers.some((id) => id === other || takesFrom(draft, id, other, new Set([...seen, part])));
}

/** What a part is called: by what it is of where that was named, else by its technique. */
export function nameOfPart(draft: DishDraft, part: string): string {
  const said = saidOf(draft, part);
  if (!said) return part;
  const technique = techniqueOf(said.technique);
  const named = technique.slots.map(({ id }) => said.fillings[id]?.name).find((name) => name !== undefined);
  return named ? `${technique.name}: ${named}` : technique.name;
}

/** What one part hands to another: how much there is, and how much is taken. */
export interface HandOver {
  readonly product: string;
  readonly name: string;
  readonly gives: Amount;
  readonly takes: Amount;
  /** Names of the steps. */
  readonly after: string;
  readonly into: string;
  readonly withinMinutes: number | null;
}

/** What is handed from part to part within a dish, in the order in which it is taken. */
export function handOversOf(dish: Dish): readonly HandOver[] {
  const step = (id: string) => dish.steps.find((each) => each.id === id)?.name ?? id;
  return dish.takes.flatMap((take): HandOver[] => {
    const give = dish.gives.find(({ product }) => product === take.product);
    if (!give) return [];
    return [
      {
        product: take.product,
        name: give.name,
        gives: give.amount,
        takes: take.amount,
        after: step(give.step),
        into: step(take.step),
        withinMinutes: take.withinMinutes,
      },
    ];
  });
}

/** Other vessels of the dish that one may be, before it: its own, or that of an earlier part. */
export interface SharedVessel {
  readonly id: string;
  readonly name: string;
  /** What it may be besides itself. */
  readonly others: readonly { readonly id: string; readonly name: string }[];
  /** What it is now; null: a vessel of its own. */
  readonly is: { readonly from: string; readonly between: Between } | null;
}

/** Vessels that may go from part to part; those for which there is no other are left out. */
export function sharedVessels(draft: DishDraft): readonly SharedVessel[] {
  const own: DishDraft = { ...draft, same: [] };
  const { vessels } = dishOf(own);
  const order = partsOf(draft).map(({ id }) => id);
  const partOf = (vessel: string) => order.findLast((part) => part !== MAIN && isOf(vessel, part)) ?? MAIN;
  return vessels.flatMap((use): SharedVessel[] => {
    const same = draft.same ?? [];
    const others = vessels.filter(
      (other) =>
        partOf(other.id) !== partOf(use.id) &&
        other.need.kinds.some((kind) => use.need.kinds.includes(kind)) &&
        !same.some(({ from, to }) => from === other.id && to !== use.id) &&
        isSound({ ...own, same: [{ from: other.id, to: use.id, between: 'as it is' }] }),
    );
    if (others.length === 0) return [];
    const is = same.find(({ to }) => to === use.id) ?? null;
    return [{ id: use.id, name: use.name, others: others.map(({ id, name }) => ({ id, name })), is }];
  });
}

function isSound(draft: DishDraft): boolean {
  return checkDish(dishOf({ ...draft, name: draft.name.trim() || 'dish' })).length === 0;
}

/** The draft with a vessel that is another part's before it; null gives it one of its own. */
export function withSameVessel(
  draft: DishDraft,
  to: string,
  is: { readonly from: string; readonly between: Between } | null,
): DishDraft {
  const others = (draft.same ?? []).filter((each) => each.to !== to);
  return { ...draft, same: is ? [...others, { ...is, to }] : others };
}

/** The amount of a slot of a part for one portion, from the amount for all of them. */
export function portionIn(draft: DishDraft, part: string, slot: string, amount: Amount): Amount {
  const said = saidOf(draft, part);
  const grows = said && techniqueOf(said.technique).slots.find(({ id }) => id === slot)?.grows !== false;
  return grows ? scaleAmount(amount, 1 / draft.servings) : amount;
}

/** Where an ingredient of the whole dish belongs. */
export function ingredientOf(draft: Made, id: string): { readonly part: string; readonly slot: string } {
  const part = (draft.parts ?? []).find((each) => id.startsWith(`${each.id}_`))?.id ?? MAIN;
  return { part, slot: part === MAIN ? id : id.slice(idIn(part, '').length) };
}
