import { describe, expect, it } from 'vitest';
import { pigmentAt } from './pigments';

/** Relative luminance and contrast as WCAG 2.2 defines them (W3C 2023, success criterion 1.4.3). */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

const GROUND = { day: '#efede6', night: '#1b1715' } as const;
const PLACES = Array.from({ length: 14 }, (_, place) => place);

describe('dish pigments', () => {
  it('know black from white', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
  });

  it.each(['day', 'night'] as const)('can be read as text on the ground by %s', (dress) => {
    for (const place of PLACES) {
      expect(contrast(pigmentAt(place)[dress], GROUND[dress]), `place ${place}`).toBeGreaterThanOrEqual(4.5);
    }
  });

  it('are told apart by colour and pattern together for fourteen dishes', () => {
    const looks = PLACES.map((place) => `${pigmentAt(place).day} ${pigmentAt(place).pattern}`);
    expect(new Set(looks).size).toBe(PLACES.length);
  });
});
