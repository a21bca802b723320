import { beforeAll, describe, expect, it } from 'vitest';
import { clockMinutes, printClock } from '@/core/kitchen/kitchen';
import type { Meal } from '@/core/meal/meal';
import type { Plan } from '@/core/plan/plan';
import { shoppingList } from '@/core/prep/shopping';
import { planned } from '@/core/testing/meals';
import { type Amount, printAmount } from '@/core/units/amount';
import { mannerOf } from '@/core/units/manner';
import { toldAll } from '@/core/units/told';
import { SAMPLE_MEALS } from '@/demo/meals';
import { drawing, escaped } from './drawing';
import { prepPdf, SIZES, shoppingPdf, wallPdf } from './pdf';
import { prepSheet, wallSheet } from './sheets';

const sample = SAMPLE_MEALS.find(({ setting }) => setting.id === 'harvest')!;
const kitchen = {
  ...sample.kitchen,
  burners: sample.kitchen.burners.map((burner, k) => (k > 0 ? burner : { ...burner, name: 'Große Ľavá & <1>' })),
};
const meal: Meal = {
  ...sample.setting,
  day: '2026-11-28',
  kitchen,
  dishes: sample.dishes,
};
const clock = (minute: number) => {
  const at = clockMinutes(meal.hour) + minute;
  return { day: at < 0 ? 'Friday' : 'Saturday', time: printClock(((at % 1440) + 1440) % 1440) };
};

/** All words of a sheet, those of its drawing too. */
function textsOf(value: unknown): readonly string[] {
  if (typeof value === 'string')
    return value.startsWith('<svg') ? [...value.matchAll(/>([^<>]+)</g)].map(([, words]) => words!) : [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(textsOf);
}

describe('the sheet for the wall', () => {
  let plan: Plan;
  beforeAll(async () => {
    const made = await planned(meal, 10, 2);
    // One step on the evening before, as where something is made ahead.
    const steps = made.steps.map((step, k) =>
      k > 0 ? step : { ...step, start: step.start - 1440, end: step.end - 1440 },
    );
    plan = { ...made, steps };
  });

  it('says that the clocks are changed before the table, on paper too, and says nothing of it on other nights', () => {
    const night = { ...plan, day: '2027-03-28', hour: '03:30' };
    const sheet = wallSheet(meal, night, clock);
    expect(sheet.clocks).toMatch(/^The clocks go forward an hour at 02:00 that night/);
    const pdf = wallPdf(sheet, 'for 8', drawing(meal, night, clock), 'A4', 8);
    expect(textsOf(pdf).join(' ').replaceAll(/\s+/g, ' ')).toContain('The clocks go forward an hour at 02:00');
    expect(wallSheet(meal, plan, clock).clocks).toBe('');
  });

  it('has each step once, by the clock, and says the day where it is another', () => {
    const { rows } = wallSheet(meal, plan, clock);
    expect(rows.map(({ key }) => key).sort()).toEqual(plan.steps.map(({ key }) => key).sort());
    expect(rows.map(({ day }) => day).filter(Boolean)).toEqual(['Friday', 'Saturday']);
    const table = rows.slice(1).map(({ time }) => time);
    expect(table).toEqual([...table].sort());
  });

  it('is told in the manner of whoever prints it, on every sheet', () => {
    const say = ({ amount, name }: { amount: Amount | null; name: string }) =>
      `${amount ? printAmount(amount) : ''} ${name}`;
    const sheets = [
      wallPdf(wallSheet(meal, plan, clock), 'for 8 at 19:30', drawing(meal, plan, clock), 'LETTER', 8),
      prepPdf(prepSheet(meal, plan, say), 'for 8 at 19:30', 'LETTER', 8),
      shoppingPdf(meal.name, 'for 8 at 19:30', shoppingList(meal), 'LETTER', 8),
    ];
    const metric = /\d\s?(?:g|kg|ml|l|cm|mm)\b|°C|(?<![\d:])(?:[01]\d|2[0-3]):[0-5]\d(?! [AP]M)/;
    for (const sheet of sheets) {
      const words = (of: object) => textsOf(of).filter((text) => metric.test(text.replaceAll('5 l pot', '')));
      expect(words(sheet).length).toBeGreaterThan(0);
      expect(words(toldAll(sheet, mannerOf('en-US')))).toEqual([]);
      const german = toldAll(sheet, mannerOf('de'));
      expect(textsOf(german).filter((text) => /\d\.\d/.test(text))).toEqual([]);
      // Numbers of the drawing are no words.
      const svg = (of: object) => JSON.stringify(of).match(/<svg[^>]*>/)?.[0];
      expect(svg(german)).toBe(svg(sheet));
    }
  });

  it('tells no hour more surely than it is: until when a step may take, between what a dish is ready, how often all lands', () => {
    const { rows, dishes, odds } = wallSheet(meal, plan, clock);
    expect(odds).toMatch(/^In \d+ of 20 rehearsed evenings/);
    const wide = plan.steps.find(({ end, longestEnd }) => longestEnd > end)!;
    const sure = plan.steps.find(({ end, longestEnd }) => longestEnd === end)!;
    const until = (key: string) => rows.find((row) => row.key === key)!.until;
    expect(until(wide.key)).toBe(`${clock(wide.end).time}, at the latest ${clock(wide.longestEnd).time}`);
    expect(until(sure.key)).toBe(clock(sure.end).time);
    const spread = plan.odds!.dishes.find(({ ready: [soon, , late] }) => late > soon)!;
    const [soon, , late] = spread.ready;
    expect(dishes.find(({ name }) => name === spread.dishName)!.lands).toBe(
      `${clock(soon).time} to ${clock(late).time}`,
    );
    const unrehearsed = wallSheet(meal, { ...plan, odds: undefined } as never, clock);
    expect(unrehearsed.odds).toBe('');
    expect(unrehearsed.dishes.every(({ lands }) => /^(\d\d:\d\d)?$/.test(lands))).toBe(true);
  });

  it('has each caution once, with a letter that stands at its steps', () => {
    const { rows, cautions } = wallSheet(meal, plan, clock);
    expect(new Set(cautions.map(({ says }) => says)).size).toBe(cautions.length);
    expect(new Set(rows.flatMap(({ marks }) => marks))).toEqual(new Set(cautions.map(({ mark }) => mark)));
    expect(cautions.map(({ says }) => says).sort()).toEqual(
      [...new Set(plan.steps.flatMap((step) => step.cautions))].sort(),
    );
  });

  it('is drawn with a row for each station and a bar for each step of the day, all names in their letters and none as markup', () => {
    const svg = drawing(meal, plan, clock);
    expect(svg).toContain('Große <tspan font-family="Extended, sans-serif">Ľ</tspan>avá &amp; &lt;1');
    const bars = svg.match(/<rect [^>]*stroke="#000"/g) ?? [];
    expect(bars).toHaveLength(plan.steps.filter(({ ahead }) => !ahead).length);
    const plain = plan.stations.map(({ name }) => name).filter((name) => !name.includes('&'));
    expect(plain.filter((name) => !svg.includes(name.slice(0, 10)))).toEqual([]);
  });

  it('keeps all letters where a browser draws it', () => {
    const stations = plan.stations.map((station) => ({ ...station, name: 'فرن <' }));
    const steps = plan.steps.map((step) => ({ ...step, station: { ...step.station, name: 'فرن <' } }));
    expect(drawing(meal, { ...plan, stations, steps }, clock, escaped)).toContain('>فرن &lt;<');
  });

  it('puts every step, amount and caution into the PDF', () => {
    const sheet = wallSheet(meal, plan, clock);
    const text = JSON.stringify(wallPdf(sheet, 'under', drawing(meal, plan, clock), 'A4', SIZES[0]));
    for (const { step, goesIn } of sheet.rows) {
      expect(text).toContain(step);
      if (goesIn && !/[⅓⅔]/.test(goesIn)) expect(text).toContain(goesIn);
    }
    for (const { says } of sheet.cautions) expect(text).toContain(says.slice(0, 30));
  });

  it('has beside it what is cut, measured and taken out, nothing twice', () => {
    const sheet = prepSheet(meal, plan, ({ name }) => name);
    const board = new Set(sheet.rounds.flatMap(({ bowls }) => bowls.map(({ key }) => key)));
    expect(board.size).toBeGreaterThan(5);
    const text = JSON.stringify(prepPdf(sheet, 'under', 'LETTER', SIZES[0]));
    for (const { name } of sheet.taken.vessels) expect(text).toContain(name);
    expect(text).toContain('At the board');
    expect(new Set(sheet.atHand).size).toBe(sheet.atHand.length);
  });
});
