import type { ApplianceKind, Vessel, VesselKind } from '@/core/kitchen/kitchen';
import type { Meal } from '@/core/meal/meal';
import { missingVessels } from '@/core/meal/missing-vessels';
import { scaledFor } from '@/core/meal/scaled';
import { say, term } from '@/core/say/say';
import { capital, listed } from '@/core/units/words';
import type { Change } from './change';

/** Appliances by their names. */
export const applianceNames = (): Readonly<Record<ApplianceKind, string>> => ({
  kettle: say('kettle'),
  'rice-cooker': say('rice cooker'),
  'pressure-cooker': say('pressure cooker'),
  blender: say('blender'),
  'slow-cooker': say('slow cooker'),
});

/** Vessels that a meal lacks: of each kind as many as are wanted, each large and wide enough for any of the uses. */
export function lackedVessels(meal: Meal): readonly Vessel[] {
  const wanted = new Map<VesselKind, Vessel>();
  for (const { use } of missingVessels(meal)) {
    const kind = use.need.kinds[0]!;
    const known = wanted.get(kind);
    const litres = Math.max(known?.litres ?? 0, Math.ceil(use.need.litres * 2 - 1e-9) / 2);
    const straight = known?.straight === true || use.need.straight === true;
    wanted.set(kind, {
      id: `borrowed ${kind} ${litres}`,
      name: say('borrowed {kind} of {litres} l', { kind, litres }),
      kind,
      litres,
      widthCm: Math.max(known?.widthCm ?? 0, use.need.widthCm, usualWidth(litres)),
      count: (known?.count ?? 0) + 1,
      ...(straight ? { straight } : {}),
    });
  }
  return [...wanted.values()];
}

/** A vessel in words: "a pot of 3 l, 20 cm across". */
export const sayVessel = ({ kind, litres, widthCm, count }: Vessel) =>
  count > 1
    ? say('{count} {kind}s of {litres} l, {widthCm} cm across', { count, kind: term(kind), litres, widthCm })
    : say('a {kind} of {litres} l, {widthCm} cm across', { kind: term(kind), litres, widthCm });

/** What a meal lacks of vessels and appliances, put into its kitchen: for a cook who has them and has not said so. Null where it lacks nothing. */
export function missingAdded(meal: Meal): { readonly says: string; readonly change: Change } | null {
  const { kitchen, dishes } = meal;
  const vessels = lackedVessels(meal).map((vessel) => ({
    ...vessel,
    id: vessel.id.replace('borrowed', 'own'),
    name: capital(vessel.name.replace('borrowed ', '')),
  }));
  const places = dishes.flatMap((dish) => scaledFor(meal, dish).steps.map(({ place }) => place));
  const kinds = new Map<ApplianceKind, number>();
  for (const place of places) {
    if (place.at !== 'appliance' || kitchen.appliances.some(({ kind }) => kind === place.appliance)) continue;
    kinds.set(place.appliance, Math.max(kinds.get(place.appliance) ?? 0, place.litres ?? 0));
  }
  const appliances = [...kinds].map(([kind, litres]) => ({
    id: `own ${kind}`,
    kind,
    name: capital(applianceNames()[kind]),
    ...(litres > 0 ? { litres: Math.max(1.5, Math.ceil(litres * 2) / 2) } : {}),
  }));
  if (vessels.length + appliances.length === 0) return null;
  const others = kitchen.vessels.filter(({ id }) => !vessels.some((vessel) => vessel.id === id));
  return {
    says: listed([
      ...vessels.map(sayVessel),
      ...appliances.map(({ kind }) => say('a {what}', { what: applianceNames()[kind] })),
    ]),
    change: {
      kind: 'kitchen',
      kitchen: { ...kitchen, vessels: [...others, ...vessels], appliances: [...kitchen.appliances, ...appliances] },
    },
  };
}

/** Width in cm of an ordinary vessel of so many litres. */
function usualWidth(litres: number): number {
  return Math.round(10 * (litres / 0.4) ** (1 / 3));
}
