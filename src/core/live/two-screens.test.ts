import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Plan } from '@/core/plan/plan';
import { eventsKnown, type HeldEvening, joined, knowingAll, remembering, restored } from './evening';
import { type LiveEvent, standingEvents } from './events';
import { clockAhead, clockWasSet, isNewsTo, met, type Shared, sayClockAhead, sharedOf } from './two-screens';

const planOf = (cost: number) => ({ cost }) as unknown as Plan;
const START: HeldEvening = {
  id: 'e',
  mealId: 'meal',
  over: false,
  tableAt: 1000,
  moved: '',
  plan: planOf(0),
  events: [],
} as unknown as HeldEvening;
const done = (id: string, at: number, key = `step ${id}`) => ({ id, at, kind: 'done', key }) as LiveEvent;
const begun = (id: string, at: number) => ({ id, at, kind: 'begun', key: `step ${id}` }) as LiveEvent;
const note = (id: string, at: number) => ({ id, at, kind: 'note', text: id }) as LiveEvent;

/** The evening with what was told, and planned anew where a plan is named. */
const told = (evening: HeldEvening, event: LiveEvent, cost?: number): HeldEvening => {
  const next = remembering(evening, [event]);
  return cost === undefined ? next : planned(next, cost);
};
const planned = (evening: HeldEvening, cost: number): HeldEvening => ({
  ...knowingAll(evening),
  plan: planOf(cost),
  moved: `moved ${cost}`,
});

describe('how much of its log a plan knows', () => {
  it('is all of it, but for what was told and not planned with yet', () => {
    expect(eventsKnown(START)).toBe(0);
    const one = told(START, done('1-0', 1));
    expect(eventsKnown(one)).toBe(0);
    expect(eventsKnown(told(one, done('2-1', 2)))).toBe(0);
    expect(eventsKnown(planned(one, 1))).toBe(1);
    // What changes no plan is known as soon as it is told; so is a beginning, which is in the plan.
    expect(eventsKnown(told(planned(one, 1), note('3-1', 3)))).toBe(2);
    expect(eventsKnown(told(planned(one, 1), begun('3-1', 3)))).toBe(2);
    expect(eventsKnown(told(one, note('3-1', 3)))).toBe(0);
  });

  it('is not all of it where a file brought what was told on another device', () => {
    const here = told(START, done('1-0', 1), 7);
    const brought = joined(here, { ...START, events: [done('2-0', 2)] });
    expect(eventsKnown(brought)).toBe(1);
    // Its plan is not taken for one that knows more than that of the screen it is joined to.
    const leading = met(here, sharedOf(brought), true);
    expect(leading).toMatchObject({ plan: { cost: 7 }, toldElsewhere: true });
    expect(met(brought, sharedOf(planned(leading, 8)), false)).not.toHaveProperty('toldElsewhere');
  });

  it('is all of it again when what was told is taken back, and the plan of before stands', () => {
    const one = told(START, done('1-0', 1));
    const back = restored(told(one, { id: '2-1', at: 2, kind: 'undo', of: '1-0' }))!;
    expect(back.plan).toEqual(START.plan);
    expect(eventsKnown(back)).toBe(2);
    expect(sharedOf(back).evening).not.toHaveProperty('planKnows');
  });
});

describe('what one screen tells the other', () => {
  it('brings what was told there, with the plan made of it', () => {
    const there = told(START, done('1-0', 1), 7);
    for (const leads of [true, false]) {
      const here = met(START, sharedOf(there), leads);
      expect(here).toMatchObject({ plan: { cost: 7 }, moved: 'moved 7', events: [{ id: '1-0' }] });
      expect(here).not.toHaveProperty('toldElsewhere');
      expect(met(here, sharedOf(there), leads)).toBe(here);
      expect(isNewsTo(sharedOf(there), here)).toBe(false);
    }
  });

  it('is behind as long as no plan knows what was told', () => {
    const here = met(START, sharedOf(told(START, done('1-0', 1))), true);
    expect(here).toMatchObject({ plan: { cost: 0 }, toldElsewhere: true, planKnows: 0 });
    // Then the plan comes that was made there.
    const next = met(here, sharedOf(told(START, done('1-0', 1), 7)), true);
    expect(next).toMatchObject({ plan: { cost: 7 } });
    expect(next).not.toHaveProperty('toldElsewhere');
    expect(next).not.toHaveProperty('planKnows');
  });

  it('pressed on both at one moment: both know both, and the screen that leads has to plan anew', () => {
    const [one, two] = [told(START, done('1-0', 1), 7), told(START, done('2-0', 2), 8)];
    const [leading, other] = [met(one, sharedOf(two), true), met(two, sharedOf(one), false)];
    expect(leading.events).toEqual(other.events);
    expect(leading).toMatchObject({ plan: { cost: 7 }, toldElsewhere: true, planKnows: 1 });
    expect(other).toMatchObject({ plan: { cost: 7 }, toldElsewhere: true });
    const anew = planned(leading, 9);
    expect(isNewsTo(sharedOf(other), anew)).toBe(true);
    expect(met(other, sharedOf(anew), false)).toMatchObject({ plan: { cost: 9 } });
  });

  it('of two plans that know as much the leading screen’s counts, on both', () => {
    const [one, two] = [planned(START, 7), planned(START, 8)];
    expect(met(one, sharedOf(two), true)).toBe(one);
    expect(met(two, sharedOf(one), false)).toMatchObject({ plan: { cost: 7 } });
    // What counts is told to the screen whose plan does not.
    expect([isNewsTo(sharedOf(two), one), isNewsTo(sharedOf(one), one)]).toEqual([true, false]);
  });

  it('that knows more counts on both, whoever leads', () => {
    // The same log on both, and the follower has planned with it already.
    const behind = told(START, done('1-0', 1));
    const ahead = planned(behind, 8);
    expect(met(ahead, sharedOf(behind), false)).toBe(ahead);
    expect(met(behind, sharedOf(ahead), true)).toMatchObject({ plan: { cost: 8 } });
    expect([isNewsTo(sharedOf(ahead), behind), isNewsTo(sharedOf(behind), ahead)]).toEqual([false, true]);
  });

  it('differs also by its hour alone, and by its words alone', () => {
    for (const change of [{ tableAt: 2000 }, { moved: 'else' }]) {
      const other = { ...START, ...change };
      expect(isNewsTo(sharedOf(START), other)).toBe(true);
      expect(met(START, sharedOf(other), false)).toMatchObject(change);
    }
    expect(isNewsTo(sharedOf(START), { ...START })).toBe(false);
  });

  it('keeps the way back while only a plan came in, and forgets it with what else was told', () => {
    const here = told(START, done('1-0', 1), 7);
    expect(here.before).toHaveLength(1);
    expect(met(here, sharedOf(planned(here, 8)), false)).toMatchObject({ plan: { cost: 8 }, before: here.before });
    expect(met(here, sharedOf(told(here, note('2-1', 2))), false)).not.toHaveProperty('before');
  });

  it('an hour agreed there is agreed here, one taken back there is not, and what is over there is over', () => {
    const later = { ...told(START, done('1-0', 1), 7), tableAt: 2000, firstTable: 1000 };
    const here = met(START, sharedOf(later), false);
    expect(here).toMatchObject({ tableAt: 2000, firstTable: 1000 });
    const { firstTable: _, ...back } = { ...told(later, done('2-1', 2), 8), tableAt: 1000 };
    expect(met(here, sharedOf(back), false)).not.toHaveProperty('firstTable');
    const over = { ...START, over: true };
    expect(met(START, sharedOf(over), true)).toMatchObject({ over: true });
    expect([isNewsTo(sharedOf(START), over), isNewsTo(sharedOf(over), START)]).toEqual([true, false]);
  });

  it('ends alike on both with nothing lost or doubled, whatever is pressed on which and however late it comes over', () => {
    const act = fc.constantFrom('press', 'plan', 'note', 'undo', 'send', 'hear') satisfies fc.Arbitrary<string>;
    const acts = fc.array(fc.record({ on: fc.boolean(), act, at: fc.nat(2) }), { maxLength: 60 });
    fc.assert(
      fc.property(acts, (script) => {
        const screens = [START, START];
        const heard: Shared[] = [sharedOf(START), sharedOf(START)];
        const ways: Shared[][] = [[], []];
        let clock = 0;
        let cost = 0;
        let pressed = 0;
        const leads = (screen: number) => screen === 0;
        const send = (screen: number) => {
          if (!isNewsTo(heard[screen]!, screens[screen]!)) return false;
          heard[screen] = sharedOf(screens[screen]!);
          ways[1 - screen]!.push(heard[screen]!);
          return true;
        };
        const hear = (screen: number) => {
          const theirs = ways[screen]!.shift();
          if (!theirs) return false;
          heard[screen] = theirs;
          screens[screen] = met(screens[screen]!, theirs, leads(screen));
          return true;
        };
        for (const { on, act, at } of script) {
          const screen = Number(on);
          const evening = screens[screen]!;
          clock += at;
          const id = `${clock}-${evening.events.length}`;
          if (act === 'send') send(screen);
          else if (act === 'hear') hear(screen);
          // Often the same plan once more: then it knows more than before, and that is all.
          else if (act === 'plan') screens[screen] = planned(evening, at === 0 ? cost : ++cost);
          else if (act === 'undo') {
            const last = standingEvents(evening.events).at(-1);
            if (last) screens[screen] = told(evening, { id, at: clock, kind: 'undo', of: last.id });
          } else {
            const event = act === 'note' ? note(id, clock) : done(id, clock, `step ${pressed}`);
            if (act === 'press') pressed++;
            screens[screen] = told(evening, event);
          }
        }
        // Until nothing is on its way any more, and the leading screen has planned what no plan knew.
        let rounds = 0;
        for (let goesOn = true; goesOn; ) {
          if (++rounds > 20) throw new Error('They never end.');
          const sent = [send(0), send(1)].includes(true);
          let came = false;
          for (const screen of [0, 1]) while (hear(screen)) came = true;
          const behind = screens[0]!.toldElsewhere === true || screens[0]!.planKnows !== undefined;
          if (behind) screens[0] = planned(screens[0]!, cost);
          goesOn = sent || came || behind;
        }
        const [one, two] = screens as [HeldEvening, HeldEvening];
        expect(one.plan).toEqual(two.plan);
        expect([one, two].map(eventsKnown)).toEqual([one.events.length, two.events.length]);
        const said = ({ events }: HeldEvening) =>
          standingEvents(events)
            .map(({ id: _, ...event }) => JSON.stringify(event))
            .sort();
        expect(said(one)).toEqual(said(two));
        const steps = one.events.flatMap((event) => (event.kind === 'done' ? [event.key] : []));
        expect(new Set(steps).size).toBe(steps.length);
        expect(steps).toHaveLength(pressed);
      }),
      { numRuns: 500 },
    );
  });
});

describe('two clocks', () => {
  it('are compared half-way between asking and hearing', () => {
    expect(clockAhead(1000, 1100, 1200)).toBe(0);
    expect(clockAhead(1000, 4100, 1200)).toBe(3000);
    expect(clockAhead(1000, 100, 1200)).toBe(-1000);
  });

  it('are spoken of when a call would come more than five seconds too soon', () => {
    expect([sayClockAhead(5000), sayClockAhead(-5000)]).toEqual([null, null]);
    expect(sayClockAhead(5001)).toContain('5 seconds ahead');
    expect(sayClockAhead(-119_000)).toContain('119 seconds behind');
    expect(sayClockAhead(-120_000)).toContain('2 minutes behind');
  });

  it('of which one was set tell their instants apart', () => {
    const set = { ...START, events: [{ id: '1-0', at: 1, kind: 'clock-set', by: 60_000 } as LiveEvent] };
    expect([clockWasSet(START, START), clockWasSet(set, set)]).toEqual([false, false]);
    expect([clockWasSet(set, START), clockWasSet(START, set)]).toEqual([true, true]);
    expect(clockWasSet({ ...START, events: [note('2-0', 2)] }, START)).toBe(false);
  });
});
