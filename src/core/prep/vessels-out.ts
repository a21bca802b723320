import type { Dish } from '@/core/dish/dish';
import type { Meal } from '@/core/meal/meal';
import { missingVessels } from '@/core/meal/missing-vessels';
import type { Plan } from '@/core/plan/plan';
import { type PotTaken, potsOf } from '@/core/plan/pots';
import { written } from '@/core/say/retold';

/** A vessel of the kitchen with all that it is taken for, in order. */
export interface VesselOut {
  readonly id: string;
  readonly name: string;
  /** How many alike are in use at once, at the most. */
  readonly atOnce: number;
  readonly borrowed: boolean;
  readonly uses: readonly (PotTaken & {
    /** When it is next wanted, washed; null when it is not. */
    readonly washedBy: string | null;
  })[];
}

/** Lids, sieves, cloths: what stands beside the pots, and for which dishes. */
export interface SmallThing {
  readonly name: string;
  readonly dishes: readonly string[];
}

/** All that is taken out before the first flame. */
export interface TakenOut {
  readonly vessels: readonly VesselOut[];
  readonly small: readonly SmallThing[];
  /** Dishes that want something to be served in. */
  readonly serving: readonly { readonly dish: string; readonly served: 'hot' | 'warm' | 'cold' }[];
  /** How many vessels are not the kitchen's own, or not there at all. */
  readonly toBorrow: number;
}

/** Which vessels are taken out of the cupboard, each with how many and for what. */
export function takenOut(meal: Meal, plan: Plan): TakenOut {
  const byVessel = new Map<string, PotTaken[]>();
  for (const pot of potsOf(meal, plan)) byVessel.set(pot.vessel.id, [...(byVessel.get(pot.vessel.id) ?? []), pot]);
  const vessels = [...byVessel].map(([id, pots]): VesselOut => {
    const own = meal.kitchen.vessels.find((vessel) => vessel.id === id);
    return {
      id,
      name: own?.name ?? id,
      atOnce: atOnce(pots),
      borrowed: id.startsWith('borrowed'),
      uses: pots.map((pot, index) => ({ ...pot, washedBy: pots.slice(index + 1).find(isAfter(pot))?.from ?? null })),
    };
  });
  const missing = missingVessels(meal).length;
  const borrowed = vessels.filter((vessel) => vessel.borrowed).reduce((sum, vessel) => sum + vessel.atOnce, 0);
  return {
    vessels,
    small: smallThings(meal.dishes),
    serving: meal.dishes.flatMap(({ name, lands }) => (lands ? [{ dish: name, served: lands.waits.served }] : [])),
    toBorrow: missing + borrowed,
  };
}

function isAfter(pot: PotTaken) {
  return (other: PotTaken) => other.start >= pot.end;
}

/** The most uses that overlap, washing up included. */
function atOnce(pots: readonly PotTaken[]): number {
  return Math.max(...pots.map((pot) => pots.filter((other) => overlap(pot, other)).length));
}

/** The begin of `pot` lies within `other`. */
function overlap(pot: PotTaken, other: PotTaken): boolean {
  return other.start <= pot.start && pot.start < other.end;
}

const SMALL: readonly (readonly [name: string, sign: RegExp])[] = [
  [written('lid'), /\b(lid|cover(ed)?)\b/],
  [written('clean cloth'), /\bcloths?\b/],
  [written('foil'), /\bfoil\b/],
  [written('baking paper'), /\bpaper\b/],
  [written('sieve or colander'), /\b(strain|strained|drain|sieve|sift|colander)\b/],
  [written('measuring jug'), /\bmeasure(d)?\b/],
  [written('thermometer'), /\b\d\d °C\b.*\b(middle|measure)|\b(middle|measure)\b.*\b\d\d °C/],
  [written('grater'), /\bgrate(d)?\b/],
  [written('whisk'), /\bwhisk(ed)?\b/],
  [written('ladle'), /\bladle\b/],
  [written('masher'), /\bmash(ed)?\b/],
  [written('rack'), /\brack\b/],
  [written('dough, to seal'), /\bseal(ed)? .*dough|rope of dough\b/],
  [written('flat plate, wider than the pot'), /\bturn(ed)? (it )?out\b/],
];

function smallThings(dishes: readonly Dish[]): readonly SmallThing[] {
  return SMALL.flatMap(([name, sign]): SmallThing[] => {
    const own = dishes.filter((dish) =>
      dish.steps.some(({ name: step, says, cautions, vessel }) => {
        const words = `${step} ${says} ${cautions.join(' ')}`.toLowerCase();
        return name === 'lid'
          ? vessel !== undefined && sign.test(`${step} ${says}`.toLowerCase())
          : sign.test(words.replace('°c', '°C'));
      }),
    );
    return own.length > 0 ? [{ name, dishes: own.map((dish) => dish.name) }] : [];
  });
}
