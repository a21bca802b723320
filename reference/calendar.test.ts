import ICAL from 'ical.js';
import nodeIcal from 'node-ical';
import { beforeAll, describe, expect, it } from 'vitest';
import { isCue, planCalendar } from '@/core/formats/calendar';
import { stoveAt } from '@/core/live/stove';
import { wallSheet } from '@/core/paper/sheets';
import { clockAt, minuteAt } from '@/core/plain/wall-clock';
import type { Plan } from '@/core/plan/plan';
import { mealOf, planned } from '@/core/testing/meals';
import { spicedChickpeas } from '@/demo/boat';

/**
 * RFC 5545 as two libraries read it: ical.js 2 (in its strict mode, where anything odd is an error) and node-ical. Both come from the registry.
 */
describe('the calendar of a plan', () => {
  let plan: Plan;
  beforeAll(async () => {
    plan = await planned(mealOf([spicedChickpeas]), 3);
  });
  // 19:00 in Berlin on the day after summer time ended: at 3 in the morning of 25 October 2026 clocks went back to 2.
  const tableAt = Date.UTC(2026, 9, 25, 18, 0);
  const midnight = Date.UTC(2026, 9, 24, 22, 0);
  const options = {
    tableAt,
    midnight,
    which: 'all',
    alarm: 10,
    now: Date.UTC(2026, 9, 20),
    changedAt: Date.UTC(2026, 9, 20),
  } as const;
  const read = (text: string) => {
    ICAL.design.strict = true;
    const calendar = new ICAL.Component(ICAL.parse(text));
    return calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  };

  it('is read without complaint, every cue and the table at its instant, also across the end of summer time', () => {
    const events = read(planCalendar({ id: 'm/1', name: 'Supper; with, signs' }, plan, options));
    const cues = plan.steps.filter(isCue);
    expect(events).toHaveLength(cues.length + 1);
    for (const [index, step] of cues.entries()) {
      expect(events[index]!.startDate.toJSDate().getTime(), step.key).toBe(tableAt + step.start * 60_000);
      expect(events[index]!.endDate.toJSDate().getTime(), step.key).toBe(
        tableAt + Math.max(step.end, step.start + 1) * 60_000,
      );
      expect(events[index]!.summary).toContain(step.dishName);
    }
    expect(events.at(-1)!.startDate.toJSDate().getTime()).toBe(tableAt);
    expect(events.at(-1)!.summary).toBe('Supper; with, signs: to the table');
  });

  it('shows the same wall clock that a zone with its own rules gives', () => {
    const events = read(planCalendar({ id: 'm', name: 'Supper' }, plan, options));
    const wall = (at: number) =>
      new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/Berlin', dateStyle: 'short', timeStyle: 'short' }).format(
        at,
      );
    const soak = events.find(({ summary }) => summary.startsWith('Set to soak'))!;
    const step = plan.steps.find(({ name }) => name === 'set to soak')!;
    // So many minutes really go by, though the clock on the wall was put back an hour.
    expect(tableAt - soak.startDate.toJSDate().getTime()).toBe(-step.start * 60_000);
    expect(wall(tableAt)).toBe('25/10/2026, 19:00');
    expect(wall(soak.startDate.toJSDate().getTime())).toMatch(/^24\/10\/2026/);
  });

  it('gives each event the same UID whatever is planned, no two alike, and a higher sequence after a change', async () => {
    const uids = (text: string) => read(text).map(({ uid }) => uid);
    const first = uids(planCalendar({ id: 'm', name: 'A' }, plan, options));
    const other = await planned(mealOf([spicedChickpeas], { hour: '20:00' }), 3);
    expect(new Set(uids(planCalendar({ id: 'm', name: 'B' }, other, options)))).toEqual(new Set(first));
    expect(new Set(first).size).toBe(first.length);
    expect(uids(planCalendar({ id: 'n', name: 'A' }, plan, options)).some((uid) => first.includes(uid))).toBe(false);
    const [before, after] = [options.changedAt, options.changedAt + 5000].map(
      (changedAt) => read(planCalendar({ id: 'm', name: 'A' }, plan, { ...options, changedAt }))[0]!.sequence,
    );
    expect(after!).toBeGreaterThan(before!);
    expect(after!).toBeLessThan(2 ** 31);
  });

  it('holds only earlier days when asked, and an alarm before each cue', () => {
    const text = planCalendar({ id: 'm', name: 'A' }, plan, { ...options, which: 'earlier days' });
    const events = read(text);
    expect(events.length).toBeGreaterThan(0);
    expect(events.every(({ startDate }) => startDate.toJSDate().getTime() < midnight)).toBe(true);
    const alarms = events.map(({ component }) => component.getFirstSubcomponent('valarm')!);
    expect(alarms.map((each) => each.getFirstPropertyValue('trigger')!.toString())).toEqual(events.map(() => '-PT10M'));
    expect(planCalendar({ id: 'm', name: 'A' }, plan, { ...options, alarm: null })).not.toContain('VALARM');
  });

  it('is read by node-ical to the same instants', () => {
    const text = planCalendar({ id: 'm', name: 'A' }, plan, options);
    const theirs = Object.values(nodeIcal.sync.parseICS(text)).flatMap((each) =>
      each?.type === 'VEVENT' ? [each] : [],
    );
    const ours = read(text);
    expect(theirs.map(({ start }) => start.getTime()).sort()).toEqual(
      ours.map(({ startDate }) => startDate.toJSDate().getTime()).sort(),
    );
    expect(new Set(theirs.map(({ summary }) => String(summary)))).toEqual(new Set(ours.map(({ summary }) => summary)));
  });

  it('keeps lines within 75 octets and ends them as the standard says', () => {
    const text = planCalendar({ id: 'm', name: 'Süße Mühe' }, plan, options);
    expect(text.endsWith('END:VCALENDAR\r\n') || text.endsWith('END:VCALENDAR')).toBe(true);
    for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  });

  it('begins with the same thing as the verdict, the paper and the stove, though it lies on the day before', () => {
    const meal = mealOf([spicedChickpeas]);
    const [first] = plan.steps;
    const firstAt = tableAt + first!.start * 60_000;
    expect(firstAt).toBeLessThan(midnight);
    const starts = read(planCalendar(meal, plan, options)).map(({ startDate }) => startDate.toJSDate().getTime());
    expect(Math.min(...starts)).toBe(firstAt);
    const when = clockAt(plan, first!.start);
    expect(plan.verdict).toContain(`The day before: ${first!.name} (${first!.dishName})`);
    expect(plan.verdict).toContain(`from ${when}. On the day: `);
    const clock = (minute: number) => ({
      day: minute < minuteAt(plan, 0, 0) ? 'before' : 'day',
      time: clockAt(plan, minute),
    });
    const [row] = wallSheet(meal, plan, clock).rows;
    expect([row?.key, row?.time, row?.day]).toEqual([first!.key, when, 'before']);
    const session = { id: 'evening', meal, tableAt, plan, events: [], moved: '' };
    const stove = stoveAt(session, firstAt - 600_000);
    expect((stove.now[0] ?? stove.next[0])?.step.key).toBe(first!.key);
  });
});
