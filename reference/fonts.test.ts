import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';
import { describe, expect, it } from 'vitest';
import { FONTS, type FontName } from '@/core/paper/fonts';

// Held against the font files themselves, read with fontkit: what a sheet sets in a font that font must have.
const FILES: Readonly<Record<FontName, string>> = {
  Main: 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin',
  Extended: 'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext',
  Vietnamese: 'noto-sans/files/noto-sans-vietnamese',
  Greek: 'noto-sans/files/noto-sans-greek',
  Cyrillic: 'noto-sans/files/noto-sans-cyrillic',
};
const require = createRequire(import.meta.url);

function fontOf(name: FontName, weight: number): Font {
  const file = require.resolve(`@fontsource/${FILES[name]}-${weight}-normal.woff`);
  return create(readFileSync(file)) as Font;
}

describe('the fonts of the sheets', () => {
  it.each(FONTS)('$name has every sign that is set in it, plain and bold', ({ name, signs }) => {
    for (const weight of [400, 700]) {
      const font = fontOf(name, weight);
      const claimed = Array.from({ length: 0xffff }, (_, code) => code).filter(
        (code) => code !== 10 && signs.test(String.fromCharCode(code)),
      );
      expect(claimed.length).toBeGreaterThan(80);
      const missing = claimed.filter((code) => !font.hasGlyphForCodePoint(code));
      expect(missing.map((code) => code.toString(16))).toEqual([]);
      // A blank between two words of an alphabet is set in its font.
      expect(font.hasGlyphForCodePoint(32)).toBe(true);
    }
  });
});
