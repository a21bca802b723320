import { APPLIANCE_KINDS, type Kitchen, type VesselKind } from '@/core/kitchen/kitchen';

const vessel = (kind: VesselKind, litres: number, widthCm: number, count: number) => ({
  id: `${kind}-${litres}`,
  name: `${litres} l ${kind}`,
  kind,
  litres,
  widthCm,
  count,
  straight: true,
});

/** A kitchen in which forty can be cooked for: everything in every size. */
export const largeKitchen: Kitchen = {
  id: 'large',
  name: 'Large kitchen',
  burners: ['one', 'two', 'three', 'four'].map((id, k) => ({
    id,
    name: `Burner ${id}`,
    strength: (['strong', 'strong', 'middling', 'weak'] as const)[k]!,
    widestCm: 60,
    gentle: true,
    ...(k === 0 ? { watts: 4000 } : {}),
  })),
  ovens: [{ id: 'oven', name: 'Oven', shelves: 4, warmUpMinutes: 12 }],
  appliances: APPLIANCE_KINDS.map((kind) => ({ id: kind, name: kind, kind })),
  vessels: [
    vessel('pot', 3, 20, 4),
    vessel('pot', 8, 26, 3),
    vessel('pot', 60, 50, 3),
    vessel('pan', 4, 30, 3),
    vessel('pan', 30, 50, 2),
    vessel('casserole', 6, 28, 2),
    vessel('casserole', 40, 50, 2),
    vessel('tray', 5, 40, 4),
    vessel('tray', 30, 70, 4),
    vessel('bowl', 4, 28, 8),
    vessel('bowl', 30, 50, 8),
  ],
  people: [
    { id: 'first', name: 'first cook', role: 'cook', from: '06:00', until: '23:30' },
    { id: 'second', name: 'second cook', role: 'cook', from: '06:00', until: '23:30' },
  ],
};

/** The same with two burners and one cook: what wants more of either shows. */
export const twoBurners: Kitchen = {
  ...largeKitchen,
  id: 'two',
  name: 'Two burners',
  burners: largeKitchen.burners.filter(({ id }) => id === 'one' || id === 'three'),
  people: largeKitchen.people.slice(0, 1),
};
