import { written } from '@/core/say/retold';
import type { Amount } from '@/core/units/amount';
import { checkDish, type Refusal } from './check';
import type { Dish, Gives, Ingredient, Link, Minutes, Step, Takes, VesselUse } from './dish';
import { stepsFrom } from './foods';

/** Changes of a dish step by step. Each gives a whole dish; `changed` says whether it holds together. */

/** A dish that holds together, or why it does not. */
export type Changed = { readonly ok: true; readonly dish: Dish } | { readonly ok: false; readonly refusal: Refusal };

/** The dish when it is sound, else what is wrong with it. A dish changed by hand is no technique's any more. */
export function changed({ made: _, ...dish }: Dish): Changed {
  const [refusal] = checkDish(dish);
  return refusal ? { ok: false, refusal } : { ok: true, dish };
}

/** The dish with some fields of a step changed; a step that is not there changes nothing. */
export function withStep(dish: Dish, id: string, change: Partial<Step>): Dish {
  const before = dish.steps.find((step) => step.id === id);
  const steps = dish.steps.map((step) => (step.id === id ? { ...step, ...change } : step));
  const moved = new Set(
    before && before.vessel !== change.vessel && 'vessel' in change ? [before.vessel, change.vessel] : [],
  );
  return { ...dish, steps, vessels: dish.vessels.map((use) => (moved.has(use.id) ? boundTo(steps, use) : use)) };
}

/** A vessel taken from the first of its steps to the last; it stays longer where it did before, such as for what waits in it. */
function boundTo(steps: readonly Step[], use: VesselUse): VesselUse {
  const at = (id: string) => steps.findIndex((step) => step.id === id);
  const own = steps.filter(({ vessel }) => vessel === use.id).map(({ id }) => id);
  if (own.length === 0) return use;
  const stays = steps[at(use.to)]?.vessel !== use.id && at(use.to) > at(own.at(-1)!);
  return { ...use, from: own[0]!, to: stays && own.length > 1 ? use.to : own.at(-1)! };
}

/** Minutes with another likely one: the band goes along in proportion. */
export function withLikely({ shortest, likely, longest }: Minutes, now: number): Minutes {
  const share = likely > 0 ? now / likely : 1;
  return {
    shortest: Math.min(now, Math.max(now > 0 ? 1 : 0, Math.round(shortest * share))),
    likely: now,
    longest: Math.max(now, Math.round(longest * share)),
  };
}

/** Minutes with one of the three set; the others give way where they must. */
export function withMinutes(minutes: Minutes, which: keyof Minutes, now: number): Minutes {
  switch (which) {
    case 'shortest':
      return { shortest: now, likely: Math.max(now, minutes.likely), longest: Math.max(now, minutes.longest) };
    case 'longest':
      return { shortest: Math.min(now, minutes.shortest), likely: Math.min(now, minutes.likely), longest: now };
    case 'likely':
      return { shortest: Math.min(now, minutes.shortest), likely: now, longest: Math.max(now, minutes.longest) };
  }
}

/** The dish with a new step after another; what came after that now comes after the new one. */
export function withNewStep(dish: Dish, after: string): { readonly dish: Dish; readonly id: string } {
  let number = dish.steps.length + 1;
  while (dish.steps.some(({ id }) => id === `own-${number}`)) number++;
  const id = `own-${number}`;
  const step: Step = {
    id,
    name: written('new step'),
    says: written('What is done here.'),
    minutes: { shortest: 4, likely: 5, longest: 8 },
    grows: { by: 'nothing' },
    attention: 'hands',
    by: 'cook',
    place: { at: 'board' },
    doneWhen: '',
    cautions: [],
    uses: [],
  };
  const at = dish.steps.findIndex((each) => each.id === after);
  const links = dish.links.map((link) => (link.from === after && link.at === 'end' ? { ...link, from: id } : link));
  return {
    id,
    dish: {
      ...dish,
      steps: [...dish.steps.slice(0, at + 1), step, ...dish.steps.slice(at + 1)],
      links: [...links, { from: after, at: 'end', to: id, of: 'start', min: 0, max: null }],
      lands: dish.lands?.step === after ? { ...dish.lands, step: id } : dish.lands,
    },
  };
}

/**
 * The dish without a step: what came before it is followed by what came after it; its vessel is taken by the others that use it, and what
 * went in there goes into the step before. The last step cannot go.
 */
export function withoutStep(dish: Dish, id: string): Dish {
  if (dish.steps.length < 2) return dish;
  const gone = dish.steps.find((step) => step.id === id);
  const into = dish.links.filter(({ to }) => to === id);
  const out = dish.links.filter(({ from }) => from === id);
  const bridges = into.flatMap(({ from }) =>
    out.map(
      ({ to, max, rather }): Link => ({
        from,
        at: 'end',
        to,
        of: 'start',
        min: 0,
        max,
        ...(rather === undefined ? {} : { rather }),
      }),
    ),
  );
  const left = dish.steps.filter((step) => step.id !== id);
  const before = into[0]?.from ?? left[0]!.id;
  return {
    ...dish,
    steps: left.map((step) => (step.id === before ? { ...step, uses: [...step.uses, ...(gone?.uses ?? [])] } : step)),
    links: [...dish.links.filter(({ from, to }) => from !== id && to !== id), ...bridges],
    vessels: dish.vessels.flatMap((use) => {
      const own = left.filter(({ vessel }) => vessel === use.id);
      if (own.length === 0) return use.from === id || use.to === id ? [] : [use];
      return [{ ...use, from: use.from === id ? own[0]!.id : use.from, to: use.to === id ? own.at(-1)!.id : use.to }];
    }),
    gives: dish.gives.map((give) => (give.step === id ? { ...give, step: before } : give)),
    takes: dish.takes.map((take) => (take.step === id ? { ...take, step: out[0]?.to ?? before } : take)),
    lands: dish.lands?.step === id ? { ...dish.lands, step: before } : dish.lands,
  };
}

/** That a step comes after another, and how many minutes lie between. */
export interface After {
  readonly step: string;
  /** At the most; null for any. */
  readonly within: number | null;
  /** At the least. */
  readonly least: number;
  /** Longer is allowed but a pity; null where that is not said. */
  readonly rather: number | null;
  /** It may stand a night in the cold instead. */
  readonly overnight: boolean;
}

/** What a step comes after, as far as that is said by its beginning and the other's end. */
export function aftersOf(dish: Dish, id: string): readonly After[] {
  return dish.links
    .filter((link) => isAfter(link, id))
    .map(({ from, min, max, rather, overnight }) => ({
      step: from,
      within: max,
      least: min,
      rather: rather ?? null,
      overnight: overnight === true,
    }));
}

/** A step comes after another, whenever there is time. */
export function afterAt(step: string): After {
  return { step, within: null, least: 0, rather: null, overnight: false };
}

/** The dish with all that a step comes after said anew. What cannot be gives way: the longest wait to the shortest. */
export function withAfters(dish: Dish, id: string, afters: readonly After[]): Dish {
  const links = afters.map(({ step, within, least, rather, overnight }): Link => {
    const max = within === null ? null : Math.max(within, least);
    const keeps = rather !== null && rather >= least && (max === null || rather <= max);
    return {
      from: step,
      at: 'end',
      to: id,
      of: 'start',
      min: least,
      max,
      ...(keeps ? { rather } : {}),
      ...(overnight ? { overnight: true } : {}),
    };
  });
  return { ...dish, links: [...dish.links.filter((link) => !isAfter(link, id)), ...links] };
}

function isAfter(link: Link, id: string): boolean {
  return link.to === id && link.at === 'end' && link.of === 'start';
}

/** The dish with some fields of an ingredient changed. */
export function withIngredient(dish: Dish, id: string, change: Partial<Ingredient>): Dish {
  return { ...dish, ingredients: dish.ingredients.map((item) => (item.id === id ? { ...item, ...change } : item)) };
}

/** The dish with another amount of an ingredient. */
export function withAmount(dish: Dish, id: string, by: (now: Amount) => Amount): Dish {
  const item = dish.ingredients.find((each) => each.id === id);
  return item ? withIngredient(dish, id, { amount: by(item.amount) }) : dish;
}

/** The dish with another name for an ingredient: it is another thing, of which nothing was said yet. */
export function withName(dish: Dish, id: string, name: string): Dish {
  return {
    ...dish,
    ingredients: dish.ingredients.map((item) => {
      if (item.id !== id) return item;
      const { food: _, ...rest } = item;
      return { ...rest, name };
    }),
  };
}

/** The step that an ingredient goes into first; undefined when none uses it: it will be forgotten. */
export function goesInto(dish: Dish, id: string): string | undefined {
  return dish.steps.find(({ uses }) => uses.includes(id))?.id;
}

/** The dish with an ingredient in one step and no other; null: in none. */
export function withUse(dish: Dish, id: string, step: string | null): Dish {
  return {
    ...dish,
    steps: dish.steps.map((each) => {
      const uses = each.uses.filter((used) => used !== id);
      return { ...each, uses: each.id === step ? [...uses, id] : uses };
    }),
  };
}

/** The dish with an ingredient in another place of the list. */
export function withOrder(dish: Dish, id: string, place: number): Dish {
  const item = dish.ingredients.find((each) => each.id === id);
  if (!item) return dish;
  const others = dish.ingredients.filter((each) => each !== item);
  const at = Math.max(0, Math.min(others.length, place));
  return { ...dish, ingredients: [...others.slice(0, at), item, ...others.slice(at)] };
}

/** The dish with some fields of a pot or pan changed. */
export function withVessel(dish: Dish, id: string, change: Partial<VesselUse>): Dish {
  return { ...dish, vessels: dish.vessels.map((use) => (use.id === id ? { ...use, ...change } : use)) };
}

/** The dish with one more vessel, taken for one step. */
export function withNewVessel(dish: Dish, step: string): Dish {
  let number = dish.vessels.length + 1;
  while (dish.vessels.some(({ id }) => id === `own-${number}`)) number++;
  const use: VesselUse = {
    id: `own-${number}`,
    name: 'pot',
    need: { kinds: ['pot'], litres: 2, widthCm: 0 },
    grows: true,
    from: step,
    to: step,
    washMinutes: 5,
  };
  return withStep({ ...dish, vessels: [...dish.vessels, use] }, step, { vessel: use.id });
}

/** The dish without a vessel; what happened in it happens in none. */
export function withoutVessel(dish: Dish, id: string): Dish {
  return {
    ...dish,
    vessels: dish.vessels.filter((use) => use.id !== id),
    steps: dish.steps.map((step) => {
      if (step.vessel !== id) return step;
      const { vessel: _, ...rest } = step;
      return rest;
    }),
  };
}

/** A copy with a name and an id of its own. */
export function copyOf(dish: Dish, id: string): Dish {
  return { ...dish, id, name: written('{dish} (copy)', { dish: dish.name }).slice(0, 120) };
}

/** The dish with one more ingredient, to be named. */
export function withNewIngredient(dish: Dish): Dish {
  let number = dish.ingredients.length + 1;
  while (dish.ingredients.some(({ id }) => id === `own-${number}`)) number++;
  const item: Ingredient = {
    id: `own-${number}`,
    name: written('something more'),
    amount: { quantity: 1, unit: 'piece' },
    grows: true,
    allergens: [],
  };
  return { ...dish, ingredients: [...dish.ingredients, item] };
}

/** The dish without an ingredient; no step uses it any more. */
export function withoutIngredient(dish: Dish, id: string): Dish {
  const { grain, ...rest } = withUse(dish, id, null);
  const keepsGrain = grain && grain.dry !== id && !grain.liquid.includes(id);
  return { ...rest, ...(keepsGrain ? { grain } : {}), ingredients: rest.ingredients.filter((item) => item.id !== id) };
}

/** Whether a step begins after another: by links of any number. */
function comesAfter(dish: Dish, id: string, other: string): boolean {
  return stepsFrom(dish, other).some((step) => step.id === id && id !== other);
}

/** What a dish may begin to give at a step: a liquid, for other dishes of the meal. */
export function withNewGive(dish: Dish, step: string): Dish {
  let number = dish.gives.length + 1;
  const taken = new Set([...dish.gives, ...dish.takes].map(({ product }) => product));
  while (taken.has(`own-${number}`)) number++;
  const give: Gives = {
    product: `own-${number}`,
    name: written('broth, hot'),
    step,
    amount: { quantity: 1, unit: 'l' },
  };
  return { ...dish, gives: [...dish.gives, give] };
}

/** The dish with some fields of what it gives changed; null takes it out, and with it what its own steps take of it. */
export function withGive(dish: Dish, product: string, change: Partial<Gives> | null): Dish {
  if (change === null) {
    return {
      ...withoutGrainOf(dish, product),
      gives: dish.gives.filter((give) => give.product !== product),
      takes: dish.takes.filter((take) => take.product !== product),
    };
  }
  return { ...dish, gives: dish.gives.map((give) => (give.product === product ? { ...give, ...change } : give)) };
}

/** What a dish may take: of its own where it gives something, else just any stock of the meal. */
export function withNewTake(dish: Dish, product: string, step: string): Dish {
  const give = dish.gives.find((each) => each.product === product);
  const take: Takes = {
    product,
    step,
    amount: give?.amount ?? { quantity: 0.5, unit: 'l' },
    withinMinutes: 120,
    otherwise: give?.name ?? written('hot stock'),
  };
  // What is its own is tied at once: it is there only after the step that gives it.
  const links =
    give && give.step !== step && !comesAfter(dish, step, give.step)
      ? [...dish.links, { from: give.step, at: 'end', to: step, of: 'start', min: 0, max: 120 } as const]
      : dish.links;
  return { ...dish, takes: [...dish.takes, take], links };
}

/** The dish with some fields changed of the take in a place of the list; null takes it out. */
export function withTake(dish: Dish, index: number, change: Partial<Takes> | null): Dish {
  const gone = dish.takes[index];
  if (!gone) return dish;
  if (change !== null) {
    return { ...dish, takes: dish.takes.map((take, k) => (k === index ? { ...take, ...change } : take)) };
  }
  const takes = dish.takes.filter((_, k) => k !== index);
  const stays = takes.some(({ product }) => product === gone.product);
  return { ...(stays ? dish : withoutGrainOf(dish, gone.product)), takes };
}

/** A dish whose grain has lost its liquid has no measured grain any more. */
function withoutGrainOf(dish: Dish, product: string): Dish {
  const { grain, ...rest } = dish;
  return grain?.liquid.includes(product) ? rest : dish;
}
