import { say } from '@/core/say/say';
import type { Appliance, ApplianceKind, Burner, Heat, Kitchen, Vessel, VesselKind } from './kitchen';

/**
 * What a burner costs for a heat, as a mild preference in the planner's cost (0 fits best), or null when it cannot
 * give that heat. Common practice, no source: hard boils want the strong burner, the barest simmer a small one.
 */
export function burnerCost(burner: Burner, heat: Heat): number | null {
  switch (heat) {
    case 'full':
      return burner.strength === 'strong' ? 0 : burner.strength === 'middling' ? 4 : null;
    case 'medium':
      return burner.strength === 'weak' ? 6 : burner.strength === 'middling' ? 0 : 1;
    case 'low':
      return burner.strength === 'strong' ? 3 : burner.strength === 'middling' ? 1 : 0;
    case 'lowest':
      if (!burner.gentle) return null;
      return burner.strength === 'strong' ? 6 : burner.strength === 'middling' ? 2 : 0;
  }
}

/** Whether an appliance holds so many litres; one of which nothing is told holds any. */
export function applianceHolds({ litres }: Pick<Appliance, 'litres'>, wanted: number | undefined): boolean {
  return litres === undefined || wanted === undefined || litres >= wanted - 1e-9;
}

/** In how many lots an appliance may be filled one after another. A kettle as often as it takes; grain and slow food cannot wait for a second. */
const MOST_LOTS: Readonly<Record<ApplianceKind, number>> = {
  kettle: 20,
  blender: 20,
  'pressure-cooker': 3,
  'rice-cooker': 1,
  'slow-cooker': 1,
};

/**
 * Lots in which the largest appliance of a kind takes so many litres: 1 where it all goes in; null where there is none, or where that would be
 * more lots than what is in it can bear.
 */
export function lotsIn(
  { appliances }: Pick<Kitchen, 'appliances'>,
  kind: ApplianceKind,
  litres?: number,
): number | null {
  const own = appliances.filter((item) => item.kind === kind);
  if (own.length === 0) return null;
  if (own.some((item) => applianceHolds(item, litres))) return 1;
  const largest = Math.max(...own.map((item) => item.litres ?? 0));
  const lots = Math.ceil((litres ?? 0) / largest - 1e-9);
  return lots <= MOST_LOTS[kind] ? lots : null;
}

/** What a pot must be: of one of these kinds, at least so many litres and centimetres across. */
export interface VesselNeed {
  readonly kinds: readonly VesselKind[];
  /** What must fit, in litres, food and liquid together, with room to bubble. */
  readonly litres: number;
  /** Least width of the floor in centimetres, for browning and turning out; 0 for no wish. */
  readonly widthCm: number;
  readonly straight?: boolean;
}

/** Whether a vessel is of the kind, large and wide enough. */
export function vesselFits(vessel: Vessel, need: VesselNeed): boolean {
  return (
    need.kinds.includes(vessel.kind) &&
    vessel.litres >= need.litres - 1e-9 &&
    vessel.widthCm >= need.widthCm &&
    (!need.straight || vessel.straight === true)
  );
}

/** So much of the wanted litres and width a vessel has at least that is taken where none is large enough. Common practice, no source. */
const TIGHT = { litres: 0.9, width: 0.85 };

/** Whether a vessel would do with care where none is large enough: a little too narrow, or to be watched for boiling over. */
export function fitsTightly(vessel: Vessel, need: VesselNeed): boolean {
  return vesselFits(vessel, { ...need, litres: need.litres * TIGHT.litres, widthCm: need.widthCm * TIGHT.width });
}

/** Vessels that fit, the snuggest first; where none does those that fit tightly, the largest first. */
export function fittingVessels(kitchen: Kitchen, need: VesselNeed): readonly Vessel[] {
  const there = kitchen.vessels.filter((vessel) => vessel.count > 0);
  const bySize = (a: Vessel, b: Vessel) => a.litres - b.litres || a.widthCm - b.widthCm || a.id.localeCompare(b.id);
  const fit = there.filter((vessel) => vesselFits(vessel, need)).sort(bySize);
  if (fit.length > 0) return fit;
  return there.filter((vessel) => fitsTightly(vessel, need)).sort((a, b) => bySize(b, a));
}

/** The vessel of a wanted kind that comes nearest when none fits: for the sentence that says so. */
export function nearestVessel(kitchen: Kitchen, need: VesselNeed): Vessel | undefined {
  const lacks = ({ litres, widthCm }: Vessel) => Math.max(need.litres / litres, need.widthCm / widthCm);
  return kitchen.vessels
    .filter((vessel) => vessel.count > 0 && need.kinds.includes(vessel.kind))
    .sort((a, b) => lacks(a) - lacks(b))[0];
}

/** What a vessel misses of what is wanted, in words: "1.5 l too small", "2 cm too narrow"; empty where it misses nothing. */
export function missesOf(vessel: Vessel, need: VesselNeed): readonly string[] {
  const litres = Math.ceil((need.litres - vessel.litres) * 10 - 1e-6) / 10;
  const width = Math.ceil(need.widthCm - vessel.widthCm - 1e-6);
  return [
    ...(litres > 0 ? [say('{litres} l too small', { litres })] : []),
    ...(width > 0 ? [say('{width} cm too narrow', { width })] : []),
    ...(need.straight && !vessel.straight ? [say('not straight-sided')] : []),
  ];
}
