import type { Place } from '@/core/dish/dish';
import { applianceHolds, burnerCost, fittingVessels, type VesselNeed } from '@/core/kitchen/fits';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { Alternative } from '@/core/schedule/problem';
import { unitId, vesselUnit } from './keys';

/** What a rice cooker or another appliance costs where a burner would do: mildly preferred to a busy stove. */
const APPLIANCE_COST = 3;

/** Burners (and the appliance that may stand in) for a burner step, with their mild preference costs. */
export function burnersFor(kitchen: Kitchen, place: Extract<Place, { at: 'burner' }>): readonly Alternative[] {
  const list: Alternative[] = [];
  for (const burner of kitchen.burners) {
    const cost = burnerCost(burner, place.heat);
    if (cost !== null) list.push({ id: unitId('burner', burner.id), cost });
  }
  if (place.orIn) list.push(...appliancesOf(kitchen, place.orIn).map((item) => ({ ...item, cost: APPLIANCE_COST })));
  return list;
}

/** Appliances of a kind that hold so many litres; any of them where no size is asked for. */
export function appliancesOf(kitchen: Kitchen, kind: string, litres?: number): readonly Alternative[] {
  return kitchen.appliances
    .filter((item) => item.kind === kind && applianceHolds(item, litres))
    .map((item) => ({ id: unitId('appliance', item.id), cost: 0 }));
}

/** Burners and appliances a step at such a place may stand on; empty for all that needs none. */
export function stationsFor(kitchen: Kitchen, place: Place): readonly Alternative[] {
  if (place.at === 'burner') return burnersFor(kitchen, place);
  return place.at === 'appliance' ? appliancesOf(kitchen, place.appliance, place.litres) : [];
}

/** Vessels that fit a need, the snuggest for nothing, each larger one a little dearer. */
export function vesselsFor(kitchen: Kitchen, need: VesselNeed): readonly Alternative[] {
  return fittingVessels(kitchen, need).flatMap((vessel, rank) =>
    Array.from({ length: vessel.count }, (_, copy) => ({
      id: vesselUnit(vessel.id, copy + 1),
      cost: Math.min(rank, 4),
    })),
  );
}

/** Who may do a hands-on step: a helper where one may, else a cook. */
export function peopleFor(kitchen: Kitchen, by: 'cook' | 'anyone'): readonly Alternative[] {
  return kitchen.people
    .filter((person) => person.role === 'cook' || by === 'anyone')
    .map((person) => ({ id: unitId('person', person.id), cost: person.role === 'cook' && by === 'anyone' ? 1 : 0 }));
}
