import type { Attention, Duty } from '@/core/dish/dish';
import type { Range } from '@/core/heat/boil';
import type { Heat } from '@/core/kitchen/kitchen';
import type { StepKey } from '@/core/meal/keys';
import type { KnownPlace, KnownPlan } from './progress';

/** Where something stands in a plan: a stave of the score. */
export interface Station {
  readonly id: string;
  readonly sort: 'board' | 'burner' | 'oven' | 'appliance' | 'shelf';
  readonly name: string;
}

/** A step with its hour, place and reason. Minutes are relative to the table: negative before it. */
export interface PlannedStep {
  /** Made and read by `keys.ts` alone: the same for the same step in every plan of the meal. */
  readonly key: StepKey;
  /** The step of its dish that this is, or that this warms the oven for. */
  readonly stepId: string;
  readonly kind: 'step' | 'warm-up';
  /** What the app itself has added it for. */
  readonly duty?: Duty;
  /** Minutes that safety asks for: said done sooner, it asks back. */
  readonly safeMinutes?: number;
  readonly dishId: string;
  readonly dishName: string;
  readonly name: string;
  readonly says: string;
  /** 1 of 1, or which batch or sitting of how many. */
  readonly part: number;
  readonly parts: number;
  readonly start: number;
  readonly end: number;
  /** Its likely length, padded for the pace; what is left of it once it runs is `end`. */
  readonly minutes: number;
  /** Minutes kept free after it, should it take longer: its burner, its hands and what waits for it count on them. None when absent. */
  readonly room?: number;
  /** How much sooner or later it may well be over. */
  readonly shortestEnd: number;
  readonly longestEnd: number;
  readonly attention: Attention;
  readonly lookEvery: number | null;
  readonly station: Station;
  /** Burners and appliances it could stand on, its own among them; empty where there is nothing to choose. */
  readonly choices: readonly string[];
  readonly heat: Heat | null;
  readonly celsius: number | null;
  readonly vessel: string | null;
  readonly person: { readonly id: string; readonly name: string } | null;
  readonly doneWhen: string;
  readonly cautions: readonly string[];
  /** What goes in, measured: "450 g pearl barley". */
  readonly amounts: readonly string[];
  /** Why it stands here, in a sentence or two. */
  readonly why: string;
  /** Minutes it could slip before the table is late, all else staying in its order. */
  readonly slack: number;
  /** Minutes it could begin sooner, all before it staying where it is. */
  readonly slackSooner: number;
  /** Keys of the steps through which it reaches the table without a minute to spare beyond its own. */
  readonly chain: readonly StepKey[];
  /** Keys of the steps that must be over before it can begin. */
  readonly after: readonly StepKey[];
  /** Key of the step it follows at once, if any: it begins by itself when that one is done. */
  readonly follows: StepKey | null;
  readonly ahead: boolean;
  /** Its minutes are from so many evenings; absent where they are as written. */
  readonly learned?: number;
}

/** When a dish comes to the table. */
export interface Landing {
  readonly dishId: string;
  readonly dishName: string;
  /** Minute at which it is ready, relative to the table. */
  readonly ready: number;
  /** Minutes it waits for the table, 0 when it is late. */
  readonly waits: number;
  readonly late: number;
  /** It is to come so many minutes after the rest, on purpose; with the rest when absent. */
  readonly after?: number;
  readonly wellMinutes: number;
  readonly mostMinutes: number;
  readonly how: string;
  readonly served: 'hot' | 'warm' | 'cold';
  readonly fine: 'well' | 'long' | 'too long' | 'late';
  /** °C it will still have at the table, when it is served hot and waits in a pot off the heat. */
  readonly celsius?: Range;
}

/** A landing at another minute: how long it waits then, how late it is, and how well that is. */
export function landingAt(landing: Landing, ready: number): Landing {
  const by = landing.after ?? 0;
  const waits = Math.max(0, by - ready);
  const late = Math.max(0, ready - by);
  const fine =
    late > 0 ? 'late' : waits <= landing.wellMinutes ? 'well' : waits <= landing.mostMinutes ? 'long' : 'too long';
  return { ...landing, ready, waits, late, fine };
}

/** Something waiting between two steps of a dish, from one minute relative to the table to another. */
export interface Waiting {
  readonly dishId: string;
  readonly from: number;
  readonly to: number;
  /** The step it comes from; null while a finished dish waits for the table. */
  readonly after: string;
  readonly before: string | null;
  readonly cold: boolean;
}

/** The hands of one person: stretches of work. */
export interface HandsBand {
  readonly personId: string;
  readonly name: string;
  readonly busy: readonly { readonly start: number; readonly end: number; readonly key: StepKey }[];
}

/** Where a dish lands over many evenings. Minutes are relative to the table's hour; shares are from 0 to 1. */
export interface DishOdds {
  readonly dishId: string;
  readonly dishName: string;
  /** Minutes in which it is ready: in one of twenty evenings sooner, in half of them, in one of twenty later. */
  readonly ready: readonly [soon: number, middle: number, late: number];
  /** Minutes it waits for the table, the same way. */
  readonly waits: readonly [short: number, middle: number, long: number];
  /** Evenings in which it is what comes later than five minutes after the hour. */
  readonly late: number;
  /** Evenings in which it is hot and good, or cold and good, when the table is laid. */
  readonly good: number;
}

/** What makes evenings late. */
export interface Cause {
  readonly key: StepKey;
  /** Evenings in a hundred that would be on time if it took its likely minutes. */
  readonly odds: number;
}

/** What would make sure of an evening that is not. */
export type Mend =
  | { readonly by: 'sooner'; readonly minutes: number }
  | { readonly by: 'waits'; readonly dishId: string; readonly minutes: number };

/** What holds whatever happens within the minutes that steps may take. */
export interface Assured {
  /** Share of the way from the likely minutes to the shortest and longest within which all is sure to be on time; 1: whatever happens. */
  readonly onTime: number;
  /** The same for everything at its best as well. */
  readonly good: number;
  /** Keys of the steps whose minutes stand against it; none where all is sure. */
  readonly breaks: readonly StepKey[];
  readonly mends: readonly Mend[];
}

/** How an evening may go: what many rehearsed evenings came to. Shares are from 0 to 1. */
export interface Odds {
  readonly evenings: number;
  /** On the table within five and ten minutes of its hour. */
  readonly within5: number;
  readonly within10: number;
  /** On the table within five minutes, and every hot dish within its good wait and three minutes. */
  readonly good: number;
  /** Minutes after its hour at which all is on the table, in 5, 25, 50, 75, 90 and 95 of a hundred evenings at the latest. */
  readonly table: readonly number[];
  readonly dishes: readonly DishOdds[];
  /** The steps that decide, the worst first. */
  readonly causes: readonly Cause[];
  /** Absent where it was not looked into: with guests waiting. */
  readonly assured?: Assured;
}

/** A meal planned. Minutes are relative to the table: negative before it. */
export interface Plan {
  readonly mealId: string;
  readonly day: string;
  readonly hour: string;
  readonly people: number;
  readonly steps: readonly PlannedStep[];
  readonly landings: readonly Landing[];
  readonly waitings: readonly Waiting[];
  readonly stations: readonly Station[];
  readonly hands: readonly HandsBand[];
  /** First minute that wants a hand on the day of the table. */
  readonly firstHand: number;
  /** The longest stretch without hands between the first hand and the table, for the first cook. */
  readonly quietStretch: number;
  readonly proven: boolean;
  /** What keeps is prepared in the last hour too: laid out before it, something would be late. */
  readonly lastHourOpen?: true;
  readonly cost: number;
  /** The plan in a sentence. */
  readonly verdict: string;
  /** How the evening may go by it; absent where it was not rehearsed. */
  readonly odds?: Odds;
  /** What the planner needs to plan again from here. */
  readonly known: {
    readonly places: Readonly<Record<string, KnownPlace>>;
    readonly holds: Readonly<Record<string, string>>;
  };
}

/** The part of a plan that planning again needs. */
export function knownPlan(plan: Plan): KnownPlan {
  return { places: new Map(Object.entries(plan.known.places)), holds: new Map(Object.entries(plan.known.holds)) };
}
