import { beforeAll, describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import type { Evening } from '@/core/live/evening';
import type { LiveEvent } from '@/core/live/events';
import { cookThrough } from '@/core/live/testing/simulate';
import type { Meal } from '@/core/meal/meal';
import { planned } from '@/core/testing/meals';
import { redRice } from '@/demo/boat';
import { SAMPLE_MEALS } from '@/demo/meals';
import { NOTHING_LEARNED } from './lessons';
import { leftOvers, lookBack, proposalsFor } from './look-back';
import { recordsOf } from './records';
import { settling } from './settling';

const kitchen = SAMPLE_MEALS.find(({ setting }) => setting.id === 'boat')!.kitchen;
const meal: Meal = {
  id: 'm',
  name: 'Rice',
  people: 4,
  day: '2026-11-28',
  hour: '19:00',
  pace: 'steady',
  sureness: 'short',
  kitchen,
  dishes: [redRice],
};
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let cooked: Evening;
beforeAll(async () => {
  const plan = await planned(meal, 2);
  // Everything takes its time, but the covered rice needs ten minutes more.
  const truth = ({ key, minutes }: { key: string; minutes: number }) => minutes + (key.endsWith('covered') ? 10 : 0);
  const { session } = await cookThrough({ meal, plan, tableAt: TABLE, glance: () => 0.25, truth });
  cooked = { ...session, mealId: 'm', over: true };
});
const saying = (...said: object[]): Evening => ({
  ...cooked,
  events: [
    ...cooked.events,
    ...said.map((each, index) => ({ id: `said ${index}`, at: cooked.events.at(-1)!.at + index, ...each }) as LiveEvent),
  ],
});

describe('an evening looked back on', () => {
  it('has each step as planned and as it was, and when each dish landed', () => {
    const { records, landed, drift } = lookBack(cooked);
    const covered = records.find(({ key }) => key === 'red-rice/covered')!;
    expect(covered.real - covered.planned).toBeGreaterThan(9);
    expect(covered.real - covered.planned).toBeLessThan(11.5);
    for (const { key, real, planned: was } of records)
      if (key !== 'red-rice/covered') expect(Math.abs(real - was), key).toBeLessThan(1.5);
    expect(records.some(({ key }) => key === 'red-rice/soak')).toBe(false);
    expect(landed[0]!.minutes).toBeGreaterThan(5);
    expect(drift.at(-1)!.minutes).toBeGreaterThan(7);
  });

  it('counts neither what was skipped or turned down, nor what the clock called done, nor a pause', () => {
    const at = cooked.events.find((event) => event.kind === 'done')!;
    const key = 'key' in at ? at.key! : '';
    const said = (kind: 'skipped' | 'clock'): Evening => ({
      ...cooked,
      events: cooked.events.map((event) => (event.id === at.id ? ({ ...event, kind } as LiveEvent) : event)),
    });
    expect(recordsOf(cooked).some((record) => record.key === key)).toBe(true);
    expect(recordsOf(said('skipped')).some((record) => record.key === key)).toBe(false);
    expect(recordsOf(said('clock')).some((record) => record.key === key)).toBe(false);
    const pause = (kind: 'paused' | 'resumed', before: number) =>
      ({ id: kind, at: at.at - before, kind, key }) as LiveEvent;
    const index = cooked.events.indexOf(at);
    const events = [
      ...cooked.events.slice(0, index),
      pause('paused', 90_000),
      pause('resumed', 30_000),
      ...cooked.events.slice(index),
    ];
    const minutes = (evening: Evening) => recordsOf(evening).find((record) => record.key === key)!;
    expect(minutes({ ...cooked, events }).real).toBeCloseTo(minutes(cooked).real - 1, 5);
    const turned: LiveEvent = { id: 'down', at: at.at - 60_000, kind: 'turned-down', key, until: at.at };
    const gentle = { ...cooked, events: [...cooked.events.slice(0, index), turned, ...cooked.events.slice(index)] };
    expect(recordsOf(gentle).some((record) => record.key === key)).toBe(false);
  });

  it('proposes an earlier beginning, less liquid and less salt, each with its numbers', () => {
    const evening = saying(
      { kind: 'rated', dish: 'red-rice', wetness: 1, salt: 1 },
      { kind: 'rated', dish: 'red-rice', salt: -1 },
    );
    const proposals = proposalsFor(evening, NOTHING_LEARNED, [redRice]);
    const find = (id: string) => proposals.find((each) => each.id.startsWith(id))!;
    expect(find('time red-rice/covered').says).toBe('Begin “covered” 10 min earlier.');
    expect(find('liquid').because).toBe('Red rice was too wet: 1 : 2.21 by weight, soaked.');
    const water = (dish: typeof redRice) => dish.ingredients.find(({ id }) => id === 'water')!.amount.quantity;
    expect(water(find('liquid').dish!)).toBeCloseTo(0.95 * water(redRice), 6);
    // The last word counts.
    expect(find('salt').says).toBe('A tenth more salt.');
    for (const { dish } of proposals) if (dish) expect(checkDish(dish)).toEqual([]);
  });

  it('says when what is left over must be cold and eaten: grain sooner than all else', () => {
    expect(leftOvers(cooked)).toEqual([]);
    const [left] = leftOvers(saying({ kind: 'left-over', dish: 'red-rice', portions: 2 }));
    const { readyAt } = lookBack(cooked).landed[0]!;
    expect(left!.portions).toBe(2);
    expect(left!.coldBy - Math.max(readyAt!, TABLE)).toBe(3_600_000);
    expect(left!.eatBy - readyAt!).toBe(86_400_000);
  });

  it('shows estimates that settle as evenings are added', () => {
    const settled = settling([cooked, { ...cooked, id: 'second' }, { ...cooked, id: 'third' }]);
    expect(settled).toHaveLength(3);
    const width = ({ low, high }: { low: number; high: number }) => high / low;
    expect(width(settled[2]!)).toBeLessThan(width(settled[0]!));
  });
});
