import { written } from '@/core/say/retold';
import { type Amount, scaleAmount } from '@/core/units/amount';
import type { Dish, DishGrain, Gives, Link, Step, Takes, VesselUse } from './dish';
import { type From, idIn, MAIN, type Made, type MadePart, type Product, type Said, type SameVessel } from './made';
import { type BuiltPart, buildPart, type Handed, type Offer, type Slot, type Technique } from './technique';
import { TECHNIQUES, techniqueOf } from './techniques/all';
import { dish, follow } from './write';

// Parts into which a dish falls, and what they hand to one another.

/** What is taken from a part, as the dish knows it. */
function productIn(part: string, product: Product): string {
  return idIn(part, product.replaceAll(' ', '-'));
}

/** A part as it is said, the main one among them, with its technique. */
export interface KnownPart {
  readonly id: string;
  readonly said: Said;
  readonly technique: Technique;
}

/** All parts of what is said, the one that comes to the table last; each after those it takes from. */
export function partsOf(made: Made, technique = techniqueOf(made.technique)): readonly KnownPart[] {
  const all = new Map<string, MadePart>((made.parts ?? []).map((part) => [part.id, part]));
  const done = new Map<string, KnownPart>();
  const visit = (part: MadePart) => {
    if (done.has(part.id)) return;
    all.delete(part.id);
    for (const filling of Object.values(part.fillings)) {
      const giver = filling?.from?.part && all.get(filling.from.part);
      if (giver) visit(giver);
    }
    done.set(part.id, { id: part.id, said: part, technique: techniqueOf(part.technique) });
  };
  for (const part of made.parts ?? []) visit(part);
  return [...done.values(), { id: MAIN, said: made, technique }];
}

/** A dish by a technique, with the parts that are made for it. `said` may leave out all that is usual. */
export function makeDish(
  technique: Technique,
  head: Pick<Dish, 'id' | 'name' | 'servings'>,
  said: Partial<Omit<Made, 'technique'>> = {},
): Dish {
  const made: Made = { ...said, technique: technique.id, ways: said.ways ?? {}, fillings: said.fillings ?? {} };
  const joined = new Joined(partsOf(made, technique), head.servings);
  const whole = (made.same ?? []).reduce(sameVessel, joined.dish(head));
  return {
    ...whole,
    made: {
      technique: technique.id,
      ways: joined.main.ways,
      fillings: made.fillings,
      ...(made.more?.length ? { more: made.more } : {}),
      ...(made.parts?.length ? { parts: made.parts } : {}),
      ...(made.same?.length ? { same: made.same } : {}),
    },
  };
}

/** Minutes that what another dish gives waits at the most, kept hot. Common practice, no source. */
const FROM_ANOTHER = 120;

/** The parts of a dish, made one after the other. */
class Joined {
  private readonly built = new Map<string, BuiltPart>();

  constructor(
    private readonly parts: readonly KnownPart[],
    private readonly servings: number,
  ) {
    for (const { id, said, technique } of parts) {
      this.built.set(
        id,
        buildPart(technique, said, servings, (slot) => this.handed(said, slot)),
      );
    }
  }

  get main(): BuiltPart {
    return this.built.get(MAIN)!;
  }

  /** What is handed to a slot; null where it is bought, or the part that should give it does not. */
  private handed(said: Said, slot: Slot): Handed | null {
    const from = said.fillings[slot.id]?.from;
    if (!from || !slot.takes?.includes(from.product)) return null;
    if (from.part === null) return { product: productIn(MAIN, from.product), name: from.product, amount: null };
    const offer = this.offer(from);
    if (!offer) return null;
    return {
      product: productIn(from.part, from.product),
      name: offer.name,
      amount: scaleAmount(offer.amount, 1 / this.takersOf(from)),
    };
  }

  private offer({ part, product }: From): Offer | null {
    if (part === null || part === MAIN) return null;
    return this.built.get(part)?.offers?.find((each) => each.product === product) ?? null;
  }

  /** How many slots take the same thing: each takes its share. */
  private takersOf(from: From): number {
    const takers = this.parts.flatMap(({ said, technique }) =>
      technique.slots.filter(({ id, takes }) => {
        const each = said.fillings[id]?.from;
        return each?.part === from.part && each.product === from.product && takes?.includes(from.product);
      }),
    );
    return Math.max(1, takers.length);
  }

  dish(head: Pick<Dish, 'id' | 'name' | 'servings'>): Dish {
    // Ingredients of the main part are told first, its steps last, as it is cooked.
    const first = [this.parts.at(-1)!, ...this.parts.slice(0, -1)];
    const names = this.namesOfSteps();
    const { lands, note } = this.main;
    const grain = first.map((part) => this.grainOf(part)).find((each) => each !== undefined);
    return dish({
      ...head,
      ingredients: first.flatMap(({ id }) =>
        this.built.get(id)!.ingredients.map((item) => ({ ...item, id: idIn(id, item.id) })),
      ),
      steps: this.parts.flatMap(({ id }) => this.built.get(id)!.steps.map((step) => stepIn(id, step, names(id, step)))),
      links: [...first.flatMap((part) => this.linksOf(part)), ...this.loose()],
      vessels: first.flatMap(({ id }) => this.vesselsOf(id)),
      gives: first.flatMap((part) => this.givesOf(part)),
      takes: first.flatMap((part) => this.takesOf(part)),
      lands,
      ...(note ? { note } : {}),
      ...(grain ? { grain } : {}),
    });
  }

  private linksOf(part: KnownPart): Link[] {
    const own = this.built.get(part.id)!.links;
    return [
      ...own.map((link) => ({ ...link, from: idIn(part.id, link.from), to: idIn(part.id, link.to) })),
      ...this.linksInto(part),
    ];
  }

  private vesselsOf(part: string): VesselUse[] {
    return (this.built.get(part)!.vessels ?? []).map((use) => ({
      ...use,
      id: idIn(part, use.id),
      from: idIn(part, use.from),
      to: idIn(part, use.to),
      name: part === MAIN ? use.name : this.named(use.name, part),
    }));
  }

  /** What a part takes: what its technique says, and what is handed to its slots. */
  private takesOf(part: KnownPart): Takes[] {
    const own = this.built.get(part.id)!.takes ?? [];
    const handed = this.handedIn(part).flatMap(({ product, step, slot, amount }): Takes[] => {
      const known = own.some((take) => take.product === product && take.step === step);
      if (known || step === null) return [];
      return [{ product, step, amount, withinMinutes: this.within(part, slot), otherwise: slot.usual }];
    });
    return [...own, ...handed].map((take) => ({ ...take, step: idIn(part.id, take.step) }));
  }

  private grainOf(part: KnownPart): DishGrain | undefined {
    const { grain } = this.built.get(part.id)!;
    if (!grain) return undefined;
    const taken = new Set(this.takesOf(part).map(({ product }) => product));
    const id = (own: string) => (taken.has(own) ? own : idIn(part.id, own));
    return { ...grain, dry: id(grain.dry), liquid: grain.liquid.map(id) };
  }

  /** What is handed to a part: into which slot, at which of its steps (null: none uses it), and how much. */
  private handedIn({ id, said, technique }: KnownPart) {
    const built = this.built.get(id)!;
    return technique.slots.flatMap((slot) => {
      const found = this.handed(said, slot);
      if (!found || said.fillings[slot.id] === null) return [];
      const taken = built.takes?.find(({ product }) => product === found.product);
      const step = taken?.step ?? built.takenAt.get(slot.id) ?? null;
      const amount: Amount = found.amount ?? scaleAmount(slot.amount, slot.grows === false ? 1 : this.servings);
      return [{ slot, product: found.product, step, amount: taken?.amount ?? amount }];
    });
  }

  /** Longest minutes between the giving and the taking. */
  private within({ said }: KnownPart, slot: Slot): number | null {
    const from = said.fillings[slot.id]?.from;
    if (from?.part === null) return slot.within ?? FROM_ANOTHER;
    const offer = from ? this.offer(from) : null;
    const limits = [offer?.within ?? null, slot.within ?? null].filter((each) => each !== null);
    return limits.length > 0 ? Math.min(...limits) : null;
  }

  /** What a part takes from others begins after they have given it. */
  private linksInto(part: KnownPart): Link[] {
    return this.handedIn(part).flatMap(({ slot, step }): Link[] => {
      const from = part.said.fillings[slot.id]?.from;
      const offer = from ? this.offer(from) : null;
      if (!from || from.part === null || !offer || step === null) return [];
      const most = this.within(part, slot);
      const rather = offer.rather !== undefined && (most === null || offer.rather < most) ? offer.rather : undefined;
      // What must be hot and fresh where it is taken stands no night.
      const keeps = offer.overnight === true && slot.within === undefined;
      return [
        {
          ...follow(idIn(from.part, offer.step), idIn(part.id, step), 0, most, rather),
          ...(keeps ? { overnight: true } : {}),
        },
      ];
    });
  }

  /** Parts that nobody takes come to the table beside the dish. */
  private loose(): Link[] {
    const { lands } = this.main;
    return this.untaken().flatMap((part): Link[] => {
      const built = this.built.get(part.id)!;
      const last = built.lands?.step ?? built.steps.at(-1)!.id;
      if (!lands) return [];
      return [follow(idIn(part.id, last), lands.step, 0, built.lands?.waits.mostMinutes ?? null)];
    });
  }

  /** Parts of which nothing is taken. */
  untaken(): readonly KnownPart[] {
    const taken = new Set(
      this.parts.flatMap((part) =>
        this.handedIn(part).flatMap(({ slot, step }) =>
          step === null ? [] : (part.said.fillings[slot.id]?.from?.part ?? []),
        ),
      ),
    );
    return this.parts.filter(({ id }) => id !== MAIN && !taken.has(id));
  }

  /** What the dish gives: each thing that one part takes from another, and what the main part has for other dishes. */
  private givesOf({ id }: KnownPart): Gives[] {
    const built = this.built.get(id)!;
    const offers = (built.offers ?? []).filter(
      ({ product }) =>
        // What broth the dish does not take itself is there for another.
        (id !== MAIN && product === 'broth') ||
        this.parts.some(({ said }) =>
          Object.values(said.fillings).some((each) => each?.from?.part === id && each.from.product === product),
        ),
    );
    return [
      ...(id === MAIN ? (built.gives ?? []) : []),
      ...offers.map(({ product, name, step, amount, overnight }) => ({
        product: productIn(id, product),
        name,
        step: idIn(id, step),
        amount,
        ...(overnight ? { overnight: true } : {}),
      })),
    ];
  }

  /** A name that says of which part it is: "pan (chicken broth)". */
  private named(name: string, part: string): string {
    return written('{name} ({part})', { name, part: this.noun(part) });
  }

  /** One or two words for a part: what it hands over, else how it is made. */
  private noun(part: string): string {
    const offers = this.built.get(part)?.offers ?? [];
    const taken = offers.find(({ product }) =>
      this.parts.some(({ said }) =>
        Object.values(said.fillings).some((each) => each?.from?.part === part && each.from.product === product),
      ),
    );
    const technique = this.parts.find(({ id }) => id === part)!.technique;
    return (taken ?? offers[0])?.name.split(',')[0] ?? technique.name.toLowerCase();
  }

  /** Names of steps: where two parts have one of the same name, those of the parts say whose they are. */
  private namesOfSteps(): (part: string, step: Step) => string {
    const count = new Map<string, number>();
    for (const { steps } of this.built.values()) {
      for (const { name } of steps) count.set(name, (count.get(name) ?? 0) + 1);
    }
    return (part, { name }) => (part !== MAIN && count.get(name)! > 1 ? this.named(name, part) : name);
  }
}

function stepIn(part: string, step: Step, name: string): Step {
  const id = (own: string) => idIn(part, own);
  return {
    ...step,
    id: id(step.id),
    name,
    uses: step.uses.map(id),
    ...(step.vessel === undefined ? {} : { vessel: id(step.vessel) }),
  };
}

/** What wiping or rinsing a vessel between two parts takes. Common practice, no source. */
const WIPING = 1;
const RINSING = { shortest: 2, likely: 3, longest: 5 };

/**
 * The dish with one vessel in the place of two: what uses the one comes first, what uses the other after it. As it was where one of them is
 * not there, or no vessel could be both.
 */
function sameVessel(whole: Dish, { from, to, between }: SameVessel): Dish {
  const first = whole.vessels.find(({ id }) => id === from);
  const second = whole.vessels.find(({ id }) => id === to);
  const one = first && second && first !== second ? oneVessel(first, second) : null;
  if (!first || !second || !one) return whole;
  const ends = stepsOfVessel(whole, first).filter((id, _, own) => !whole.links.some(isBetween(id, 'from', own)));
  const begins = stepsOfVessel(whole, second).filter((id, _, own) => !whole.links.some(isBetween(id, 'to', own)));
  const steps = whole.steps.map((step) => (step.vessel === from ? { ...step, vessel: to } : step));
  const vessels = whole.vessels.flatMap((use) => (use === first ? [] : use === second ? [one] : [use]));
  if (between !== 'rinsed') {
    const least = between === 'wiped' ? WIPING : 0;
    const links = ends.flatMap((end) => begins.map((begin) => follow(end, begin, least)));
    return { ...whole, steps, vessels, links: [...whole.links, ...links] };
  }
  const rinse = rinsing(first, to);
  const before = steps.findIndex(({ id }) => id === begins[0]);
  return {
    ...whole,
    steps: [...steps.slice(0, before), rinse, ...steps.slice(before)],
    vessels,
    links: [
      ...whole.links,
      ...ends.map((end) => follow(end, rinse.id)),
      ...begins.map((begin) => follow(rinse.id, begin)),
    ],
  };
}

/** A vessel that can be both; null where there is no such thing. */
function oneVessel(first: VesselUse, second: VesselUse): VesselUse | null {
  const kinds = first.need.kinds.filter((kind) => second.need.kinds.includes(kind));
  if (kinds.length === 0) return null;
  const straight = first.need.straight || second.need.straight;
  return {
    ...second,
    need: {
      kinds,
      litres: Math.max(first.need.litres, second.need.litres),
      widthCm: Math.max(first.need.widthCm, second.need.widthCm),
      ...(straight ? { straight: true } : {}),
    },
    grows: first.grows || second.grows,
    from: first.from,
  };
}

function rinsing({ id, name }: VesselUse, vessel: string): Step {
  return {
    id: `${id}-rinse`,
    name: written('rinse the {name}', { name }).slice(0, 120),
    says: written('Rinse the {name} and dry it: it is wanted again at once.', { name }),
    minutes: RINSING,
    grows: { by: 'nothing' },
    attention: 'hands',
    by: 'anyone',
    place: { at: 'board' },
    vessel,
    doneWhen: written('clean and dry'),
    cautions: [written('It is still hot: let it stand a moment, and never cold water into hot fat.')],
    uses: [],
  };
}

function stepsOfVessel(whole: Dish, { id, from, to }: VesselUse): readonly string[] {
  return whole.steps.filter((step) => step.vessel === id || step.id === from || step.id === to).map((step) => step.id);
}

/** Whether a link ties a step, at one of its ends, to another of these. */
function isBetween(step: string, end: 'from' | 'to', steps: readonly string[]) {
  const other = end === 'from' ? 'to' : 'from';
  return (link: Link) => link[end] === step && link[other] !== step && steps.includes(link[other]);
}

const offers = new Map<string, readonly Offer[]>();

/** What a technique can hand over, made in its usual way for four; reckoned once. */
export function offersOf(technique: Technique): readonly Offer[] {
  const known = offers.get(technique.id) ?? buildPart(technique, {}, 4, () => null).offers ?? [];
  offers.set(technique.id, known);
  return known;
}

/** Techniques that make something for another part. */
export function makersOf(product: Product): readonly Technique[] {
  return TECHNIQUES.filter((technique) => offersOf(technique).some((offer) => offer.product === product));
}

/** Ids of the parts that nothing takes from: they come to the table beside the dish. */
export function untakenParts(made: Made, servings: number): readonly string[] {
  return new Joined(partsOf(made), servings).untaken().map(({ id }) => id);
}
