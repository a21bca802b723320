import { describe, expect, it } from 'vitest';
import { smallKitchen } from '@/core/testing/meals';
import { burnerCost, fittingVessels, missesOf, nearestVessel } from './fits';
import { type Burner, clockMinutes, HEATS, type Kitchen, printClock, type Vessel } from './kitchen';

const burner = (change: Partial<Burner>): Burner => ({
  id: 'b',
  name: 'b',
  strength: 'strong',
  widestCm: 28,
  gentle: false,
  ...change,
});

describe('burners', () => {
  it('refuse what they cannot give: a hard boil on the weak one, the barest simmer on one that is not gentle', () => {
    expect(burnerCost(burner({ strength: 'weak' }), 'full')).toBeNull();
    expect(burnerCost(burner({ strength: 'strong', gentle: false }), 'lowest')).toBeNull();
  });

  it('prefer the strong one for a hard boil and the weak one for the lowest heat', () => {
    const strong = burner({ strength: 'strong', gentle: true });
    const weak = burner({ strength: 'weak', gentle: true });
    expect(burnerCost(strong, 'full')).toBe(0);
    expect(burnerCost(weak, 'lowest')).toBeLessThan(burnerCost(strong, 'lowest')!);
    for (const heat of HEATS) expect(burnerCost(strong, heat)).not.toBeNull();
  });
});

describe('vessels', () => {
  const kitchen: Kitchen = {
    id: 'k',
    name: 'k',
    burners: [],
    ovens: [],
    appliances: [],
    people: [],
    vessels: [
      { id: 'large', name: 'large', kind: 'pot', litres: 8, widthCm: 28, count: 1 },
      { id: 'snug', name: 'snug', kind: 'pot', litres: 3, widthCm: 20, count: 1, straight: true },
      { id: 'none', name: 'lent out', kind: 'pot', litres: 5, widthCm: 24, count: 0 },
      { id: 'pan', name: 'pan', kind: 'pan', litres: 9, widthCm: 32, count: 1 },
    ],
  };
  const ids = (need: Parameters<typeof fittingVessels>[1]) => fittingVessels(kitchen, need).map((each) => each.id);

  it('fit by kind, litres, width and straight sides, the snuggest first, and only those that are there', () => {
    expect(ids({ kinds: ['pot'], litres: 3, widthCm: 0 })).toEqual(['snug', 'large']);
    expect(ids({ kinds: ['pot'], litres: 3.01, widthCm: 0 })).toEqual(['large']);
    expect(ids({ kinds: ['pot'], litres: 1, widthCm: 24 })).toEqual(['large']);
    expect(ids({ kinds: ['pot'], litres: 1, widthCm: 0, straight: true })).toEqual(['snug']);
    expect(ids({ kinds: ['casserole'], litres: 1, widthCm: 0 })).toEqual([]);
  });

  it('name the largest of the wanted kind when none fits', () => {
    expect(nearestVessel(kitchen, { kinds: ['pot'], litres: 20, widthCm: 0 })?.id).toBe('large');
  });
});

describe('clock', () => {
  it('reads and prints hours, folding days both ways', () => {
    expect(clockMinutes('19:30')).toBe(1170);
    expect(printClock(1170)).toBe('19:30');
    expect(printClock(-30)).toBe('23:30');
    expect(printClock(1440 + 5)).toBe('00:05');
  });
});

describe('where no vessel is large enough', () => {
  const need = { kinds: ['pan'], litres: 2, widthCm: 26 } as const;
  const pan = (widthCm: number, litres = 2.5): Vessel => ({
    id: `pan-${widthCm}-${litres}`,
    name: 'Frying pan',
    kind: 'pan',
    litres,
    widthCm,
    count: 1,
  });
  const kitchenOf = (...vessels: readonly Vessel[]): Kitchen => ({ ...smallKitchen, vessels });

  it('one that is a little too narrow is taken, the widest first, and only then', () => {
    expect(fittingVessels(kitchenOf(pan(24), pan(23)), need).map(({ widthCm }) => widthCm)).toEqual([24, 23]);
    expect(fittingVessels(kitchenOf(pan(24), pan(28)), need).map(({ widthCm }) => widthCm)).toEqual([28]);
  });

  it('one far too narrow or too small is not', () => {
    expect(fittingVessels(kitchenOf(pan(22), pan(28, 1.7)), need)).toEqual([]);
  });

  it('what it misses is said by how much', () => {
    expect(missesOf(pan(24, 1.85), need)).toEqual(['0.2 l too small', '2 cm too narrow']);
    expect(missesOf(pan(26, 2), { ...need, straight: true })).toEqual(['not straight-sided']);
    expect(missesOf(pan(30, 3), need)).toEqual([]);
  });

  it('the nearest is the one that lacks least, not the one that holds most', () => {
    expect(nearestVessel(kitchenOf(pan(16, 6), pan(22, 1.7)), need)?.widthCm).toBe(22);
  });
});
