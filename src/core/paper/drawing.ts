import type { Meal } from '@/core/meal/meal';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { inFonts } from './fonts';
import type { Clock } from './sheets';

/** As wide as the sheet in points nearly, so that what is written here is so large there. */
const WIDTH = 560;
const LEFT = 104;
const ROW = 17;
const TOP = 14;
const BOTTOM = 14;

/** Bar heights by heat, and of what is worked at or rests. */
const THICK: Readonly<Record<string, number>> = { full: 13, medium: 10, low: 7, lowest: 4 };

interface Bar {
  readonly step: PlannedStep;
  readonly number: number;
  readonly lane: number;
}

/**
 * The day of the table drawn in black and white, as an SVG: a row or more a station, a bar a step, as thick as it is hot, with the number of its
 * dish; the hot hour lies on grey. Units are those of the view box; it scales to any width.
 */
export function drawing(meal: Meal, plan: Plan, clock: Clock, set: (words: string) => string = lettered): string {
  const today = plan.steps.filter(({ ahead }) => !ahead);
  const from = Math.floor(Math.min(-60, ...today.map(({ start }) => start)) / 30) * 30;
  const to = Math.max(0, ...today.map(({ end }) => end));
  const x = (minute: number) => LEFT + ((Math.max(from, minute) - from) / (to - from)) * (WIDTH - LEFT - 8);
  const numbers = new Map(meal.dishes.map(({ id }, index) => [id, index + 1]));
  let row = 0;
  const parts: string[] = [];
  for (const station of plan.stations) {
    const own = today.filter((step) => step.station.id === station.id && step.end > from);
    if (own.length === 0) continue;
    const bars = inLanes(own, numbers);
    const lanes = Math.max(...bars.map(({ lane }) => lane)) + 1;
    const y = TOP + row * ROW;
    parts.push(`<text x="0" y="${y + 12}" font-size="9.5">${set(short(station.name))}</text>`);
    parts.push(line(0, y + lanes * ROW - 1, WIDTH, y + lanes * ROW - 1, '#bbb'));
    for (const { step, number, lane } of bars) parts.push(barOf(step, number, x, y + lane * ROW));
    row += lanes;
  }
  const height = TOP + row * ROW + BOTTOM;
  const hours: string[] = [];
  const every = to - from > 600 ? 120 : to - from > 300 ? 60 : 30;
  for (let minute = -Math.floor(-from / every) * every; minute <= to; minute += every) {
    hours.push(line(x(minute), TOP - 4, x(minute), height - BOTTOM, minute === 0 ? '#000' : '#ddd'));
    hours.push(
      `<text x="${x(minute)}" y="${height - 3}" font-size="9.5" text-anchor="${minute === 0 ? 'end' : 'middle'}">${clock(minute).time}</text>`,
    );
  }
  const hot = `<rect x="${x(-60)}" y="${TOP - 4}" width="${x(0) - x(-60)}" height="${height - TOP - BOTTOM + 4}" fill="#f0f0f0"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}" font-family="Main, sans-serif">${hot}${hours.join('')}${parts.join('')}</svg>`;
}

/** Words in the fonts of the sheet: what the main one lacks in spans of their own. */
function lettered(words: string): string {
  return inFonts([words])
    .map(({ text, font }) =>
      font ? `<tspan font-family="${font}, sans-serif">${escaped(text)}</tspan>` : escaped(text),
    )
    .join('');
}

/** Steps that overlap at one station lie in lanes of their own. */
function inLanes(steps: readonly PlannedStep[], numbers: ReadonlyMap<string, number>): readonly Bar[] {
  const free: number[] = [];
  return [...steps]
    .sort((a, b) => a.start - b.start)
    .map((step) => {
      const found = free.findIndex((until) => until <= step.start);
      const lane = found < 0 ? free.length : found;
      free[lane] = step.end;
      return { step, number: numbers.get(step.dishId) ?? 0, lane };
    });
}

function barOf(step: PlannedStep, number: number, x: (minute: number) => number, y: number): string {
  const hands = step.attention === 'hands';
  const thick = step.heat ? THICK[step.heat]! : step.celsius !== null ? 10 : hands ? 10 : 3;
  const width = Math.max(1.5, x(step.end) - x(step.start) - 0.8);
  const middle = y + ROW / 2;
  const fill = hands ? '#fff' : step.station.sort === 'shelf' ? '#fff' : '#555';
  const dash = step.station.sort === 'shelf' ? ' stroke-dasharray="2 2"' : '';
  const rect = `<rect x="${x(step.start)}" y="${middle - thick / 2}" width="${width}" height="${thick}" fill="${fill}" stroke="#000" stroke-width="0.8"${dash}/>`;
  const fits = width > 10 && thick >= 7;
  const label = fits
    ? `<text x="${x(step.start) + width / 2}" y="${middle + 3}" font-size="9" text-anchor="middle" fill="${fill === '#fff' ? '#000' : '#fff'}">${number}</text>`
    : `<text x="${x(step.start)}" y="${middle - thick / 2 - 0.5}" font-size="7.5">${number}</text>`;
  return rect + label;
}

function line(x1: number, y1: number, x2: number, y2: number, colour: string): string {
  return `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}" stroke="${colour}" stroke-width="0.7"/>`;
}

function short(name: string): string {
  return name.length > 19 ? `${name.slice(0, 18)}…` : name;
}

/** Words in whatever letters they have, for a browser that draws them. */
export function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
}
