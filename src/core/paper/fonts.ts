/** The fonts that sheets are set in, each with the signs it has; what several have goes to the first. See reference/fonts.test.ts. */
export const FONTS = [
  {
    name: 'Main',
    signs:
      /[\n -~\u00a0-\u00ac\u00ae-\u00b4\u00b6-\u00ff\u0131\u0152\u0153\u2013\u2014\u2018-\u201a\u201c-\u201e\u2022\u2026\u2044\u20ac\u2122\u2212]/,
  },
  {
    name: 'Extended',
    signs:
      /[\u0100-\u0107\u010a-\u0113\u0116-\u011b\u011e-\u0123\u0126\u0127\u012a\u012b\u012e-\u0130\u0132\u0133\u0136\u0137\u0139-\u013e\u0141-\u0148\u0150\u0151\u0154\u0155\u0158-\u015b\u015e-\u0165\u016a\u016b\u016e-\u017e\u0218-\u021b\u1e80-\u1e85\u1e9e\u1ef2\u1ef3]/,
  },
  { name: 'Vietnamese', signs: /[\u0128\u0129\u0168\u0169\u01a0\u01a1\u01af\u01b0\u1ea0-\u1ef9\u20ab]/ },
  { name: 'Greek', signs: /[\u0370-\u0377\u037a-\u037f\u0384-\u038a\u038c\u038e-\u03a1\u03a3-\u03e1\u03f0-\u03ff]/ },
  { name: 'Cyrillic', signs: /[\u0400-\u045f\u0490\u0491\u04b0\u04b1\u2116]/ },
] as const;

/** A font that a sheet may be set in. */
export type FontName = (typeof FONTS)[number]['name'];

/** Signs that no font has, and what stands for them. */
const INSTEAD: Readonly<Record<string, string>> = {
  '⅓': '1/3',
  '⅔': '2/3',
  '→': '>',
  '✓': 'x',
  '\u00b5': 'u',
  '\u00ad': '',
};

/** A piece of text in the font that has all its letters. */
export type Run = string | { readonly text: string; readonly bold?: boolean; readonly color?: string };

/** A piece of text with the name of its font, as pdfmake takes it. */
export interface FontRun {
  readonly text: string;
  /** The main one when absent. */
  readonly font?: Exclude<FontName, 'Main'>;
  readonly bold?: boolean;
  readonly color?: string;
}

/** Marks a difference of heat, and measures that are not converted again, until what a sheet says is told in the cook's manner; never printed. */
const MARK = '\u2060';

/** The same text as it is printed: without the marks for who tells it. */
export const withoutMarks = (text: string): string => text.replaceAll(MARK, '');

/** Whether sheets can be set in the letters of a text. */
export const hasLetters = (text: string): boolean =>
  [...text.normalize('NFC')].every((sign) => FONTS.some(({ signs }) => signs.test(sign)));

/** Text in runs of one font each; a sign that none of them has becomes “?”. */
export function inFonts(runs: readonly Run[]): FontRun[] {
  return runs.flatMap((run): FontRun[] => {
    const { text, ...style } = typeof run === 'string' ? { text: run } : run;
    const pieces: FontRun[] = [];
    // Letters with their marks put together: fonts have most of them as one sign.
    for (const sign of text.normalize('NFC')) {
      const own = FONTS.find(({ signs }) => signs.test(sign));
      const shown = own || sign === MARK ? sign : (INSTEAD[sign] ?? '?');
      const font = own === undefined || own.name === 'Main' ? {} : { font: own.name };
      const last = pieces.at(-1);
      // A blank or a mark needs no font of its own.
      if (last && (last.font === font.font || sign === MARK || (sign === ' ' && last.font !== undefined)))
        pieces[pieces.length - 1] = { ...last, text: last.text + shown };
      else pieces.push({ ...style, text: shown, ...font });
    }
    return pieces;
  });
}
