import ICAL from 'ical.js';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { friedGreens } from '@/core/testing/meals';
import { isCue, planCalendar } from './calendar';
import { recipeJsonLd } from './dish-file';
import { planTable } from './plan-file';
import { table } from './table';

// What programs of others do with our files, at the edges: midnight, no minutes, formulas, signs.

const TABLE = Date.UTC(2026, 10, 28, 18);
const MINUTE = 60_000;
const step = (change: Partial<PlannedStep>): PlannedStep =>
  ({
    key: 'rice/soak',
    name: 'set to soak',
    dishName: 'Rice',
    says: 'Soak it.',
    start: -60,
    end: -40,
    longestEnd: -40,
    attention: 'hands',
    follows: null,
    amounts: [],
    station: { sort: 'board', id: 'board', name: 'the board' },
    doneWhen: '',
    cautions: [],
    ...change,
  }) as PlannedStep;
const plan = (...steps: PlannedStep[]) =>
  ({ day: '2026-11-28', hour: '19:00', steps, verdict: 'All well.' }) as unknown as Plan;
const options = {
  tableAt: TABLE,
  midnight: TABLE - 1140 * MINUTE,
  which: 'all',
  alarm: null,
  now: 0,
  changedAt: 0,
} as const;
const events = (of: Plan, change: Partial<Parameters<typeof planCalendar>[2]> = {}) =>
  new ICAL.Component(ICAL.parse(planCalendar({ id: 'm', name: 'Supper' }, of, { ...options, ...change })))
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));

describe('a calendar', () => {
  it('of the earlier days ends just before midnight, and has no table', () => {
    const at = (start: number) => step({ key: `rice/${start}`, name: `step ${start}`, start, end: start + 5 });
    const names = events(plan(at(-1141), at(-1140), at(-1139)), { which: 'earlier days' }).map(
      ({ summary }) => summary,
    );
    expect(names).toEqual(['Step -1141: Rice']);
    expect(events(plan(at(-1141)))).toHaveLength(2);
  });

  it('has an event of a minute at the least, and the table for an hour and a half', () => {
    const [none, table_] = events(plan(step({ start: -10, end: -10 })));
    const minutes = ({ startDate, endDate }: ICAL.Event) =>
      (endDate.toJSDate().getTime() - startDate.toJSDate().getTime()) / MINUTE;
    expect([minutes(none!), minutes(table_!)]).toEqual([1, 90]);
    expect(table_!.startDate.toJSDate().getTime()).toBe(TABLE);
  });

  it('calls for hands, and for what does not begin by itself', () => {
    expect(isCue(step({ attention: 'hands', follows: 'x' as never }))).toBe(true);
    expect(isCue(step({ attention: 'none', follows: null }))).toBe(true);
    expect(isCue(step({ attention: 'none', follows: 'x' as never }))).toBe(false);
  });

  it('says all that a step says, each on its line, and nothing that it does not', () => {
    const words = (change: Partial<PlannedStep>) => events(plan(step(change)))[0]!.description;
    expect(words({})).toBe('Soak it.');
    expect(
      words({
        longestEnd: -30,
        amounts: ['300 g rice', '1 l water'],
        station: { sort: 'burner', id: 'b', name: 'Big burner' } as PlannedStep['station'],
        doneWhen: 'it sinks',
        cautions: ['Hot.'],
      }),
    ).toBe(
      'Soak it.\nIt may take until 18:30.\nIn goes: 300 g rice; 1 l water.\nOn: Big burner.\nDone when it sinks.\nCareful: Hot.',
    );
    expect(words({ station: { sort: 'shelf', id: 's', name: 'the shelf' } as PlannedStep['station'] })).toBe(
      'Soak it.',
    );
  });

  it('rings so many minutes before, or not at all, and its events come back changed', () => {
    const text = (alarm: number | null, changedAt = 0) =>
      planCalendar({ id: 'm', name: 'Supper' }, plan(step({})), { ...options, alarm, changedAt });
    expect(text(null)).not.toContain('VALARM');
    expect(text(10)).toContain('TRIGGER:-PT10M');
    const sequence = (changedAt: number) => Number(text(null, changedAt).match(/SEQUENCE:(\d+)/)![1]);
    expect(sequence(0)).toBe(0);
    expect(sequence(Date.UTC(2024, 0, 1, 0, 0, 7))).toBe(7);
  });
});

describe('a table', () => {
  it.each(['=1+1', '+1', '-1+2', '@cmd', '\tx', '\rx', '\nx', '=cmd\nmore'])(
    'tells the cell %j to be words',
    (cell) => {
      const [row] = Papa.parse<[string]>(table(['a'], [{ a: cell }])).data.slice(1);
      expect(row![0]).toBe(`'${cell}`);
    },
  );

  it('leaves other cells as they are, an absent one empty, in the order of its columns', () => {
    const text = table(
      ['b', 'a'],
      [
        { a: '1=2', b: 'x, "y"' },
        { a: undefined, b: 0 },
      ],
    );
    expect(text).toBe('b,a\r\n"x, ""y""",1=2\r\n0,');
  });
});

describe('a plan as a table', () => {
  const rowsOf = (...steps: PlannedStep[]) =>
    Papa.parse<Record<string, string>>(planTable(plan(...steps), TABLE), { header: true }).data;
  const whole = step({
    minutes: 20,
    amounts: ['300 g rice', '1 tsp salt'],
    celsius: null,
    heat: 'medium',
    vessel: 'wide pot',
    person: { id: 'you', name: 'you' } as PlannedStep['person'],
    doneWhen: 'the water is gone',
    cautions: ['Hot oil.', 'Steam burns.'],
  } as Partial<PlannedStep>);

  it('has each step by the clock, earliest first, with all that is known of it', () => {
    const [first, second] = rowsOf(step({ ...whole, start: -30, end: -10, name: 'later' }), whole);
    // 18:00 UTC is 19:00 in Berlin in November.
    expect(first).toEqual({
      day: '2026-11-28',
      from: '18:00',
      to: '18:20',
      minutes: '20',
      dish: 'Rice',
      step: 'set to soak',
      'what to do': 'Soak it.',
      'what goes in': '300 g rice; 1 tsp salt',
      where: 'the board',
      heat: 'medium',
      vessel: 'wide pot',
      who: 'you',
      'done when': 'the water is gone',
      careful: 'Hot oil. Steam burns.',
    });
    expect([second!['step'], second!['from'], second!['to']]).toEqual(['later', '18:30', '18:50']);
  });

  it('says degrees before words of heat, and leaves empty what there is none of', () => {
    const oven = rowsOf(step({ ...whole, celsius: 180 } as Partial<PlannedStep>))[0]!;
    expect(oven['heat']).toBe('180 °C');
    const bare = rowsOf(
      step({ ...whole, heat: null, vessel: null, person: null } as unknown as Partial<PlannedStep>),
    )[0]!;
    expect([bare['heat'], bare['vessel'], bare['who']]).toEqual(['', '', '']);
  });
});

describe('a dish for other programs', () => {
  const steps = (minutes: number, more: object = {}) =>
    recipeJsonLd({
      ...friedGreens(10),
      steps: friedGreens(10).steps.map((each) => ({
        ...each,
        minutes: { shortest: minutes, likely: minutes, longest: minutes },
        ...more,
      })),
    })['recipeInstructions'] as readonly { readonly position: number; readonly text: string }[];

  it('has its steps numbered from one, each with its minutes, its sign and its cautions', () => {
    const [cut, fry] = steps(7, { doneWhen: 'they are soft', cautions: ['Hot oil.'] });
    expect([cut!.position, fry!.position]).toEqual([1, 2]);
    expect(fry!.text).toMatch(/^Fry them\. About 7 min\. Done when they are soft\. .*Hot oil\./);
    // No gaps where there is nothing to say.
    expect(steps(0, { doneWhen: '', cautions: [] })[0]!.text).toBe('Cut them.');
  });

  it.each([
    [0, 'PT0M'],
    [1, 'PT1M'],
    [59, 'PT59M'],
    [60, 'PT1H'],
    [61, 'PT1H1M'],
    [150, 'PT2H30M'],
  ])('tells %d minutes of hands as ISO 8601 does', (minutes, iso) => {
    const [cut] = friedGreens(10).steps;
    const one = {
      ...friedGreens(10),
      steps: [{ ...cut!, minutes: { shortest: minutes, likely: minutes, longest: minutes } }],
      links: [],
    };
    expect(recipeJsonLd(one)['prepTime']).toBe(iso);
  });

  it('keeps its note and its cuts, and says nothing of a note that is not there', () => {
    const dish = friedGreens(10);
    const cut = { ...dish, note: 'From the garden.', ingredients: [{ ...dish.ingredients[0]!, cut: 'in ribbons' }] };
    expect(recipeJsonLd(cut)).toMatchObject({
      description: 'From the garden.',
      recipeIngredient: ['400 g chard, in ribbons'],
    });
    expect(recipeJsonLd(dish)).not.toHaveProperty('description');
    expect(recipeJsonLd(dish)['recipeIngredient']).toEqual(['400 g chard']);
  });
});
