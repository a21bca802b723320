/** What a kitchen has: heat, an oven, appliances, vessels and people. Plain data, edited by the cook. */

/** How hard a burner works, from a rolling boil down to the barest movement. */
export type Heat = 'full' | 'medium' | 'low' | 'lowest';
/** Heats from most to least, for a choice. */
export const HEATS: readonly Heat[] = ['full', 'medium', 'low', 'lowest'];

/** How strong a burner is beside the others of its stove. */
export type BurnerStrength = 'strong' | 'middling' | 'weak';
/** Strengths from most to least, for a choice. */
export const BURNER_STRENGTHS: readonly BurnerStrength[] = ['strong', 'middling', 'weak'];

/** One burner. Centimetres, watts. */
export interface Burner {
  readonly id: string;
  readonly name: string;
  readonly strength: BurnerStrength;
  /** Width of the widest pan that sits safely on it, in centimetres. */
  readonly widestCm: number;
  /** Whether it holds the barest simmer by itself (or with a diffuser). */
  readonly gentle: boolean;
  /** Watts it puts into a pan at full heat, measured by a boil; by its strength when absent. */
  readonly watts?: number;
  /** Coming to the boil takes so many times longer than that, as evenings have shown; absent in a kitchen as it is told. */
  readonly learned?: number;
}

/** One oven. Minutes. */
export interface Oven {
  readonly id: string;
  readonly name: string;
  readonly shelves: number;
  /** Minutes from cold to 180 °C; other temperatures follow from it. */
  readonly warmUpMinutes: number;
}

/** What stands beside the stove and has its own heat or blade. */
export type ApplianceKind = 'kettle' | 'rice-cooker' | 'pressure-cooker' | 'blender' | 'slow-cooker';
/** Kinds of appliances, for a choice. */
export const APPLIANCE_KINDS: readonly ApplianceKind[] = [
  'kettle',
  'rice-cooker',
  'pressure-cooker',
  'blender',
  'slow-cooker',
];

/** One appliance. Litres. */
export interface Appliance {
  readonly id: string;
  readonly name: string;
  readonly kind: ApplianceKind;
  readonly litres?: number;
}

/** What a vessel is good for. */
export type VesselKind = 'pot' | 'pan' | 'casserole' | 'tray' | 'bowl';
/** Kinds of vessels, for a choice. */
export const VESSEL_KINDS: readonly VesselKind[] = ['pot', 'pan', 'casserole', 'tray', 'bowl'];

/** Vessels of one sort: so many alike. Litres, centimetres. */
export interface Vessel {
  readonly id: string;
  readonly name: string;
  readonly kind: VesselKind;
  readonly litres: number;
  readonly widthCm: number;
  /** How many alike there are. */
  readonly count: number;
  /** Straight sides turn out clean; a flared pot does not. */
  readonly straight?: boolean;
}

/** Someone in the kitchen. Hours of the clock; an `until` before `from` is past midnight. */
export interface Person {
  readonly id: string;
  readonly name: string;
  /** A cook minds the stove; a helper works at the board only. */
  readonly role: 'cook' | 'helper';
  /** Clock hours of every day when this person is there, "HH:MM". */
  readonly from: string;
  readonly until: string;
}

/** A tent, an awning or a van closes in what a flame gives off. */
export const KITCHEN_PLACES = ['indoors', 'outdoors', 'tent'] as const;
/** Where a kitchen is, as far as it brings dangers of its own. */
export type KitchenPlace = (typeof KITCHEN_PLACES)[number];

/** What a kitchen has, and who is in it. */
export interface Kitchen {
  readonly id: string;
  readonly name: string;
  readonly burners: readonly Burner[];
  readonly ovens: readonly Oven[];
  readonly appliances: readonly Appliance[];
  readonly vessels: readonly Vessel[];
  readonly people: readonly Person[];
  /** Under a roof unless something else is said. */
  readonly where?: KitchenPlace;
  /** Height above the sea in metres, where water boils cooler; 0 when absent. */
  readonly metres?: number;
  /** Nobody works, looks at a pot or leaves one on the heat in these hours, "HH:MM"; none when absent. */
  readonly asleep?: { readonly from: string; readonly until: string };
}

/** Minutes after midnight of "HH:MM". */
export function clockMinutes(hour: string): number {
  const [h, m] = hour.split(':');
  return Number(h) * 60 + Number(m);
}

/** "HH:MM" of minutes after midnight; days are folded. */
export function printClock(minutes: number): string {
  const folded = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${String(Math.floor(folded / 60)).padStart(2, '0')}:${String(folded % 60).padStart(2, '0')}`;
}
