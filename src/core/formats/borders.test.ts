import ICAL from 'ical.js';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { UNFIT_IDS } from '@/core/plain/id';
import { clockAt } from '@/core/plain/wall-clock';
import { friedGreens, plainGrain, planned, mealOf as testMeal } from '@/core/testing/meals';
import { planCalendar } from './calendar';
import { mealFile, readMealFile } from './meal-file';
import { table } from './table';

const file = () => JSON.parse(JSON.stringify(mealFile(testMeal([plainGrain()]))));
const read = (value: unknown) => readMealFile(JSON.stringify(value));
const sentence = (value: unknown) => {
  const answer = read(value);
  return answer.ok ? null : answer.sentence;
};

describe('at the border of a meal file', () => {
  it.each(UNFIT_IDS)('the id "%s" is refused for a meal, a kitchen, a dish and a step', (id) => {
    for (const place of ['meal', 'kitchen', 'dish', 'step'] as const) {
      const bad = file();
      if (place === 'meal') bad.meal.id = id;
      if (place === 'kitchen') bad.kitchen.id = id;
      if (place === 'dish') bad.dishes[0].id = id;
      if (place === 'step') bad.dishes[0].steps[0].id = id;
      expect(sentence(bad)).toContain(`found "${id}"`);
    }
  });

  it('two dishes of one id are refused: one of them would be lost', () => {
    const bad = file();
    bad.dishes.push({ ...bad.dishes[0], name: 'Another' });
    expect(sentence(bad)).toMatch(/dishes, "grain": this stands twice/);
  });

  it.each(['2026-02-30', '2025-02-29', '2026-13-01', '2026-00-10', '2026-04-31', '2026-1-1', 'tomorrow'])(
    'the day %s is refused',
    (day) => {
      expect(sentence({ ...file(), meal: { ...file().meal, day } })).toMatch(/meal, day/);
    },
  );

  it.each(['2028-02-29', '2026-12-31'])('the day %s is taken', (day) => {
    expect(sentence({ ...file(), meal: { ...file().meal, day } })).toBeNull();
  });

  it('a name is one line', () => {
    for (const name of ['Supper\r\nBEGIN:VEVENT', 'Supper\u2028more', 'Supper\u0000'])
      expect(sentence({ ...file(), meal: { ...file().meal, name } })).toMatch(/meal, name: this must be one line/);
  });

  it('an evening of another meal, and instants that no calendar knows, are refused', async () => {
    const meal = testMeal([plainGrain()]);
    const plan = await planned(meal, 1);
    const evening = {
      id: 'e',
      mealId: meal.id,
      meal,
      tableAt: 1_780_000_000_000,
      plan,
      events: [],
      moved: '',
      over: true,
    };
    expect(sentence({ ...file(), log: [evening] })).toBeNull();
    expect(sentence({ ...file(), log: [{ ...evening, mealId: 'other' }] })).toMatch(/evening is of the meal "other"/);
    for (const instant of [8.7e15, 9e15, -1, 1.5])
      expect(sentence({ ...file(), log: [{ ...evening, tableAt: instant }] })).toMatch(/tableAt/);
    const event = { id: 'x', kind: 'dropped', dish: 'grain', at: 8.7e15 };
    expect(sentence({ ...file(), log: [{ ...evening, events: [event] }] })).not.toBeNull();
  });
});

describe('what goes out', () => {
  const options = { tableAt: 1_780_000_000_000, midnight: 0, which: 'all', alarm: 5, now: 0, changedAt: 0 } as const;

  it('has no line of the calendar that the meal’s own name began', async () => {
    const meal = testMeal([plainGrain()]);
    const plan = await planned(meal, 1);
    const name = 'Supper\r\nEND:VCALENDAR\r\nX-EVIL:1';
    const text = planCalendar({ id: 'm', name }, plan, options);
    expect(text.split(/\r?\n/).filter((line) => /^(END:VCALENDAR|X-EVIL)/.test(line))).toEqual(['END:VCALENDAR']);
    expect(new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').length).toBeGreaterThan(2);
  });

  it('has in the calendar until when a step may take', async () => {
    const plan = await planned(testMeal([friedGreens(5)]), 1);
    const step = plan.steps.find(({ end, longestEnd }) => longestEnd > end)!;
    const events = new ICAL.Component(ICAL.parse(planCalendar({ id: 'm', name: 'M' }, plan, options)))
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each));
    const event = events.find(({ description }) => description.startsWith(step.says))!;
    expect(event.description).toContain(`It may take until ${clockAt(plan, step.longestEnd)}.`);
  });

  it.each(['=1+1', '+1', '-1', '@x', '=1\r\n2', '\n=1', '\r=1', '\t=1'])('tells a table that %j is words', (cell) => {
    const [, [shown]] = Papa.parse<string[]>(table(['name'], [{ name: cell }])).data as [string[], string[]];
    expect(shown![0]).toBe("'");
  });
});
