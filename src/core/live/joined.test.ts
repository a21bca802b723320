import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { type HeldEvening, joined } from './evening';
import { type LiveEvent, standingEvents } from './events';

const evening = (events: readonly LiveEvent[], more: Partial<HeldEvening> = {}): HeldEvening =>
  ({
    id: 'e',
    mealId: 'meal',
    over: false,
    tableAt: 1000,
    moved: '',
    plan: { cost: 0 } as unknown as Plan,
    events,
    ...more,
  }) as HeldEvening;
const done = (id: string, at: number, key: string) => ({ id, at, kind: 'done', key }) as unknown as LiveEvent;
const undo = (id: string, at: number, of: string): LiveEvent => ({ id, at, kind: 'undo', of });

describe('an evening that was told things on two devices', () => {
  it('has been told all of it, by its instant, and what was taken back on one is taken back', () => {
    const mine = evening([done('1-0', 1, 'a/wash'), done('5-1', 5, 'a/boil')]);
    const theirs = evening([done('1-0', 1, 'a/wash'), done('3-1', 3, 'b/chop'), undo('7-2', 7, '3-1')]);
    const both = joined(mine, theirs);
    expect(both.events.map(({ id }) => id)).toEqual(['1-0', '3-1', '5-1', '7-2']);
    expect(standingEvents(both.events).map(({ id }) => id)).toEqual(['1-0', '5-1']);
  });

  it('keeps two things of one name apart, and takes back the one that was meant', () => {
    const mine = evening([done('4-0', 4, 'a/wash')]);
    const theirs = evening([done('4-0', 4, 'b/chop'), undo('6-1', 6, '4-0')]);
    const both = joined(mine, theirs);
    expect(both.events).toHaveLength(3);
    expect(standingEvents(both.events)).toMatchObject([{ kind: 'done', key: 'a/wash' }]);
    expect(joined(both, theirs)).toBe(both);
  });

  it('has the plan and the hour of the device that was told last, and is over where it is over on one', () => {
    const mine = evening([done('1-0', 1, 'a/wash')], { tableAt: 1000, before: [] });
    const theirs = evening([done('2-0', 2, 'b/chop')], { tableAt: 2000, mealId: 'its own', over: true });
    expect(joined(mine, theirs)).toMatchObject({ tableAt: 2000, mealId: 'meal', over: true });
    expect(joined(mine, theirs)).not.toHaveProperty('before');
    expect(joined(theirs, mine)).toMatchObject({ tableAt: 2000, mealId: 'its own', over: true });
    expect(joined(mine, evening([], { over: true }))).toMatchObject({ tableAt: 1000, over: true, before: [] });
    // What came in is not in the plan yet; where nothing came in, all of it is.
    expect(joined(mine, theirs).toldElsewhere).toBe(true);
    expect(joined(mine, evening([]))).not.toHaveProperty('toldElsewhere');
  });

  it('loses nothing, doubles nothing and ends alike on both, however often it goes to and fro', () => {
    // What both know, and what each was told after it, named as a device names it.
    const instants = fc.array(fc.integer({ min: 1, max: 4 }), { maxLength: 6 });
    const toldAfter = (before: readonly LiveEvent[], device: string, ats: readonly number[]) => {
      const events = [...before];
      for (const at of [...ats].sort((a, b) => a - b))
        events.push(done(`${10 + at}-${events.length}`, 10 + at, `${device} ${events.length}`));
      return events;
    };
    const known = [done('1-0', 1, 'a/wash'), done('2-1', 2, 'a/soak')];
    const said = ({ events }: HeldEvening) => events.map(({ id: _, ...rest }) => JSON.stringify(rest)).sort();
    fc.assert(
      fc.property(instants, instants, (one, other) => {
        const [mine, theirs] = [evening(toldAfter(known, 'mine', one)), evening(toldAfter(known, 'theirs', other))];
        const here = joined(mine, theirs);
        const there = joined(theirs, here);
        expect(said(here)).toEqual([...new Set([...said(mine), ...said(theirs)])].sort());
        expect(said(there)).toEqual(said(here));
        expect(joined(here, there)).toEqual(here);
        expect(here.events.map(({ at }) => at)).toEqual(here.events.map(({ at }) => at).toSorted((a, b) => a - b));
        expect(new Set(here.events.map(({ id }) => id)).size).toBe(here.events.length);
      }),
    );
  });
});
