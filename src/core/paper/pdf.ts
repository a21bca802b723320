import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { AISLES, type Errand, sayErrand } from '@/core/prep/shopping';
import { say, spoken } from '@/core/say/say';
import { printThing } from '@/core/units/thing';
import { inFonts } from './fonts';
import type { PrepSheet, WallSheet } from './sheets';

/** A sheet that printers have. */
export type PaperSize = 'A4' | 'LETTER';
/** Sheets, for a choice. */
export const PAPER_SIZES: readonly PaperSize[] = ['A4', 'LETTER'];

/** Millimetres of each size, for print style sheets. Sources: ISO 216; ANSI/ASME Y14.1. */
export const MILLIMETRES: Readonly<Record<PaperSize, readonly [width: number, height: number]>> = {
  A4: [210, 297],
  LETTER: [215.9, 279.4],
};

const MARGIN = 28;
/**
 * Sizes of letters, in points: the largest with which a sheet stays on the fewest pages. It hangs on a wall and is read from a step away: below
 * the last it takes another page instead. Common practice, no source.
 */
export const SIZES = [11, 10.5, 10, 9.5, 9] as const;

/** A page with its letters, and what a reader of PDFs says of it: its title and its language. */
function paper(title: string, size: PaperSize, points: number, content: readonly Content[]): TDocumentDefinitions {
  return {
    info: { title, creator: 'Warm Cadence' },
    language: spoken(),
    displayTitle: true,
    pageSize: size,
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    defaultStyle: { font: 'Main', fontSize: points, lineHeight: 1.08 },
    content: [{ text: inFonts([title]), style: 'title' }, ...content],
    styles: {
      title: { fontSize: points * 1.9, bold: true },
      head: { fontSize: points * 1.2, bold: true, margin: [0, points * 0.6, 0, points * 0.15] },
    },
  };
}

/** The sheet for the kitchen wall, with its drawing (an SVG) and a line under the title. */
export function wallPdf(
  sheet: WallSheet,
  under: string,
  svg: string,
  size: PaperSize,
  points: number,
): TDocumentDefinitions {
  const rows = sheet.rows.map((row): Content => {
    const marks = row.marks.length > 0 ? ` (${row.marks.join(say(', '))})` : '';
    const goesIn = row.goesIn ? [{ text: `\n${row.goesIn}`, color: '#000' }] : [];
    return {
      unbreakable: true,
      margin: [0, 0, 0, points * 0.22],
      stack: [
        ...(row.day
          ? [{ text: row.day, bold: true, margin: [0, points * 0.4, 0, 0] as [number, number, number, number] }]
          : []),
        {
          columns: [
            { width: points * 3.1, text: row.time, bold: true },
            {
              width: '*',
              text: inFonts([
                { text: say('{step}, {dish}', { step: row.step, dish: row.dish }), bold: true },
                say('{marks} · {where} · to {until}', { marks, where: row.where, until: row.until }),
                ...goesIn,
              ]),
            },
          ],
        },
      ],
    };
  });
  const half = splitEvenly(sheet.rows.map(weightOf));
  return paper(sheet.title, size, points, [
    { text: inFonts([[under, sheet.odds, sheet.clocks].filter((line) => line !== '').join('\n')]) },
    { svg, width: (size === 'A4' ? 595.28 : 612) - 2 * MARGIN, margin: [0, points * 0.4, 0, points * 0.2] },
    {
      text: inFonts([
        sheet.dishes.map(({ number, name, lands }) => `${number} ${name}${lands ? ` (${lands})` : ''}`).join('   '),
      ]),
      margin: [0, 0, 0, points * 0.6],
    },
    {
      columns: [
        { width: '*', stack: rows.slice(0, half) },
        { width: '*', stack: rows.slice(half) },
      ],
      columnGap: points * 1.5,
    },
    {
      text: inFonts([
        { text: 'Careful. ', bold: true },
        sheet.cautions.map(({ mark, says }) => `${mark} ${says}`).join('  '),
        say(' Your local rules and the maker’s instructions come first.'),
      ]),
      margin: [0, points * 0.6, 0, 0],
    },
  ]);
}

/** Lines that a row takes, about. */
function weightOf({ goesIn, day, step, dish, where }: WallSheet['rows'][number]): number {
  const head = Math.ceil((step.length + dish.length + where.length + 16) / 52);
  return head + (goesIn ? Math.ceil(goesIn.length / 55) : 0) + (day ? 1 : 0);
}

function splitEvenly(weights: readonly number[]): number {
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  let sum = 0;
  const at = weights.findIndex((weight) => {
    sum += weight;
    return sum >= all / 2;
  });
  return at + 1;
}

/** What is laid out, cut and measured before the hot hour, as a PDF definition. */
export function prepPdf(sheet: PrepSheet, under: string, size: PaperSize, points: number): TDocumentDefinitions {
  const box = '[  ] ';
  const board = sheet.rounds.map((round): Content => {
    const lines = round.bowls.map(
      ({ amount, name, cut, dishName }) =>
        `${box}${amount ? printThing(amount, name) : ` ${name}`}${cut ? `, ${cut}` : ''} (${dishName})`,
    );
    return {
      stack: lines.map((each) => ({ text: inFonts([each]) })),
      margin: [0, 0, 0, points * 0.3],
      unbreakable: true,
    };
  });
  const measured = sheet.measured.map(({ name, lines }): Content => {
    const stack: Content[] = [
      { text: inFonts([name]), bold: true },
      ...lines.map((each) => ({ text: inFonts([`${box}${each}`]) })),
    ];
    return { stack, margin: [0, 0, 0, points * 0.3], unbreakable: true };
  });
  const taken = sheet.taken.vessels.map(({ name, uses }): Content => {
    return {
      text: inFonts([
        { text: `${box}${name}: `, bold: true },
        uses
          .map(
            ({ from, until, dish, washedBy }) =>
              `${from}–${until} ${dish}${washedBy ? say(', washed by {washedBy}', { washedBy }) : ''}`,
          )
          .join('; '),
      ]),
    };
  });
  return paper(say('Laid out: {title}', { title: sheet.title }), size, points, [
    { text: inFonts([under]) },
    {
      columns: [
        { width: '*', stack: [{ text: say('At the board'), style: 'head' }, ...board] },
        {
          width: '*',
          stack: [
            { text: say('Measured out'), style: 'head' },
            ...measured,
            ...(sheet.atHand.length > 0
              ? [{ text: say('At hand'), style: 'head' }, { text: inFonts([sheet.atHand.join(say(', '))]) }]
              : []),
            { text: say('Taken out'), style: 'head' },
            ...taken,
            {
              text: inFonts([
                say('{box}{small}; {serving} to serve in', {
                  box,
                  small: sheet.taken.small.map(({ name }) => name).join(say(', ')),
                  serving: sheet.taken.serving.length,
                }),
              ]),
            },
          ],
        },
      ],
      columnGap: points * 1.5,
    },
  ]);
}

/** The shopping list as a PDF definition. */
export function shoppingPdf(
  title: string,
  under: string,
  errands: readonly Errand[],
  size: PaperSize,
  points: number,
): TDocumentDefinitions {
  const aisles = AISLES.flatMap((aisle): { readonly lines: number; readonly content: Content }[] => {
    const own = errands.filter((errand) => errand.aisle === aisle);
    if (own.length === 0) return [];
    const stack: Content[] = [
      { text: `${aisle.charAt(0).toUpperCase()}${aisle.slice(1)}`, style: 'head' },
      ...own.map((errand) => ({ text: inFonts([`[  ] ${sayErrand(errand)}`]) })),
    ];
    return [{ lines: own.length + 2, content: { stack, unbreakable: own.length < 40 } }];
  });
  const half = splitEvenly(aisles.map(({ lines }) => lines));
  return paper(say('To buy: {title}', { title }), size, points, [
    { text: inFonts([under]) },
    {
      columns: [
        { width: '*', stack: aisles.slice(0, half).map(({ content }) => content) },
        { width: '*', stack: aisles.slice(half).map(({ content }) => content) },
      ],
      columnGap: points * 1.5,
    },
  ]);
}
