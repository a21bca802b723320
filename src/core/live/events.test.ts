import { describe, expect, it } from 'vitest';
import {
  changesThePlan,
  isToldAlready,
  type LiveEvent,
  lastTakenBack,
  type NewEvent,
  pausedFor,
  type StandingEvent,
  standingEvents,
  takenBack,
  toldOf,
} from './events';

// The log folded: what counts, what it says of a step, what was told already. Instants in seconds here.

let next = 0;
const told = (said: NewEvent, at = 0, id = `e${next++}`) => ({ ...said, id, at: at * 1000 }) as LiveEvent;
const key = 'rice/boil';
const of = (...events: LiveEvent[]) => toldOf(events as StandingEvent[]).get(key);
const s = (seconds: number) => seconds * 1000;

describe('what is told of a step', () => {
  it('is when it was begun, first touched, done, by whoever', () => {
    expect(of(told({ kind: 'begun', key }, 5))).toEqual({ pauses: [], water: 0, touched: s(5), begun: s(5) });
    expect(of(told({ kind: 'begun', key }, 5), told({ kind: 'done', key }, 9))).toMatchObject({
      touched: s(5),
      begun: s(5),
      done: s(9),
    });
    expect(of(told({ kind: 'clock', key }, 9))).toMatchObject({ done: s(9) });
    const skipped = of(told({ kind: 'skipped', key }, 9));
    expect(skipped).toMatchObject({ done: s(9), skipped: true });
    expect(of(told({ kind: 'done', key }, 9))).not.toHaveProperty('skipped');
  });

  it('settled before counts from then, or from the word where that comes first', () => {
    expect(of(told({ kind: 'settled', key, when: s(4) }, 9))).toMatchObject({ done: s(4), settled: true });
    expect(of(told({ kind: 'settled', key, when: s(40) }, 9))).toMatchObject({ done: s(9) });
  });

  it('given to other hands is not begun by that', () => {
    const handed = of(told({ kind: 'handed', key, person: 'ama' }, 3));
    expect(handed).toEqual({ pauses: [], water: 0, person: 'ama' });
    expect(
      of(told({ kind: 'handed', key, person: 'ama' }, 3), told({ kind: 'moved', key, unit: 'burner small' }, 6)),
    ).toMatchObject({
      touched: s(6),
      unit: 'burner small',
      person: 'ama',
    });
  });

  it('"not yet" outdoes an instrument, and an instrument goes on from there', () => {
    const forecast = told({ kind: 'forecast', key, until: s(50) }, 1);
    const notYet = told({ kind: 'not-yet', key, until: s(60) }, 2);
    expect(of(forecast)).toMatchObject({ forecast: s(50) });
    expect(of(forecast, notYet)).toMatchObject({ until: s(60) });
    expect(of(forecast, notYet)).not.toHaveProperty('forecast');
    expect(of(notYet, forecast)).toMatchObject({ until: s(60), forecast: s(50) });
  });

  it('turned down lasts till then and teaches nothing; rescued does so only where it takes time', () => {
    expect(of(told({ kind: 'turned-down', key, until: s(30) }, 2))).toMatchObject({ until: s(30), altered: true });
    const rescued = (until?: number) =>
      of(
        told(
          { kind: 'rescued', dish: 'rice', key, ...(until === undefined ? {} : { until }) } as unknown as NewEvent,
          2,
        ),
      );
    expect(rescued(s(30))).toMatchObject({ until: s(30), altered: true });
    expect(rescued()).toEqual({ pauses: [], water: 0, touched: s(2) });
  });

  it('a look says how far it is; "there" ends it, a stage may bring it nearer', () => {
    const look = (look_: 'there' | 'nearly' | 'not there', stage?: string) =>
      told({ kind: 'checked', key, look: look_, until: s(40), ...(stage === undefined ? {} : { stage }) }, 10);
    expect(of(look('there'))).toMatchObject({ looked: s(10), done: s(10) });
    expect(of(look('nearly'))).toMatchObject({ looked: s(10), until: s(40) });
    expect(of(look('nearly'))).not.toHaveProperty('done');
    const staged = of(told({ kind: 'not-yet', key, until: s(90) }, 1), look('nearly', 'golden'));
    expect(staged).toMatchObject({ looked: s(10), stage: 'golden', forecast: s(40) });
    expect(staged).not.toHaveProperty('until');
  });

  it('cut off for the oven it ends there, and goes on by what is said later', () => {
    const cut = told({ kind: 'to-oven', key, under: { until: s(30), rest: 20 } }, 5);
    expect(of(cut)).toMatchObject({ over: s(30), altered: true });
    expect(of(told({ kind: 'to-oven', key }, 5))).not.toHaveProperty('over');
    expect(of(cut, told({ kind: 'not-yet', key, until: s(45) }, 9))).toMatchObject({ over: s(45), until: s(45) });
    expect(of(told({ kind: 'not-yet', key, until: s(45) }, 9))).not.toHaveProperty('over');
  });

  it('water adds up, and is a look', () => {
    const water = (ml: number, at: number) => told({ kind: 'water', key, ml, until: s(at + 3) }, at);
    expect(of(water(100, 4), water(50, 8))).toMatchObject({ water: 150, looked: s(8), until: s(11) });
  });

  it('notes of a step are no word about it, nor what is about a dish', () => {
    expect(of(told({ kind: 'note', text: 'x', key } as NewEvent, 4))).toBeUndefined();
    expect(of(told({ kind: 'dropped', dish: 'rice' }, 4))).toBeUndefined();
  });
});

describe('what stands still', () => {
  it('is put aside once, and goes on once', () => {
    const pause = (at: number) => told({ kind: 'paused', key }, at);
    const on = (at: number) => told({ kind: 'resumed', key }, at);
    expect(of(pause(2), pause(4))!.pauses).toEqual([{ from: s(2), to: null }]);
    expect(of(pause(2), on(4), pause(8), on(9), on(10))!.pauses).toEqual([
      { from: s(2), to: s(4) },
      { from: s(8), to: s(9) },
    ]);
  });

  it('is counted up to an instant', () => {
    const pauses = [
      { from: 10, to: 20 },
      { from: 30, to: null },
    ];
    expect([5, 10, 15, 20, 30, 42].map((until) => pausedFor({ pauses }, until))).toEqual([0, 0, 5, 10, 10, 22]);
  });
});

describe('what is taken back', () => {
  const begun = told({ kind: 'begun', key }, 1, 'begun');
  const undo = (of_: string, at: number, id: string) => told({ kind: 'undo', of: of_ }, at, id);

  it('does not count, until that is taken back itself', () => {
    const log = [begun, undo('begun', 2, 'u1')];
    expect([...takenBack(log)]).toEqual(['begun']);
    expect(standingEvents(log)).toEqual([]);
    const again = [...log, undo('u1', 3, 'u2')];
    expect(standingEvents(again).map(({ id }) => id)).toEqual(['begun']);
    expect(standingEvents([...again, undo('u2', 4, 'u3')])).toEqual([]);
  });

  it('comes back last first, as long as nothing else was told since', () => {
    const done = told({ kind: 'done', key }, 2, 'done');
    const log = [begun, done, undo('done', 3, 'u1'), undo('begun', 4, 'u2')];
    expect(lastTakenBack(log)?.id).toBe('u2');
    expect(lastTakenBack([...log, undo('u2', 5, 'u3')])?.id).toBe('u1');
    expect(lastTakenBack([...log, told({ kind: 'note', text: 'x' }, 5, 'n')])).toBeUndefined();
    expect(lastTakenBack([...log, told({ kind: 'note', text: 'x' }, 5, 'n'), undo('n', 6, 'u4')])?.id).toBe('u4');
    expect(lastTakenBack([begun])).toBeUndefined();
    expect(lastTakenBack([])).toBeUndefined();
  });

  it('changes the plan where what it takes back did', () => {
    const note = told({ kind: 'note', text: 'x' }, 1, 'note');
    for (const kind of ['note', 'kept', 'rated', 'left-over', 'tasted'] as const)
      expect(changesThePlan({ ...note, kind } as LiveEvent, [])).toBe(false);
    expect(changesThePlan(begun, [])).toBe(true);
    expect(changesThePlan(undo('begun', 2, 'u'), [begun])).toBe(true);
    expect(changesThePlan(undo('note', 2, 'u'), [note])).toBe(false);
    expect(changesThePlan(undo('gone', 2, 'u'), [note])).toBe(false);
  });
});

describe('what is told already', () => {
  const at = (seconds: number) => s(seconds);

  it.each([
    { kind: 'begun', key },
    { kind: 'done', key },
    { kind: 'clock', key },
    { kind: 'skipped', key },
    { kind: 'failed', unit: 'burner big' },
    { kind: 'dropped', dish: 'rice' },
    { kind: 'settled', key, when: 5 },
    { kind: 'undo', of: 'x' },
  ] as NewEvent[])('$kind is so or not so, however long ago, unless it was taken back', (said) => {
    const log = [told(said, 1, 'first')];
    expect(isToldAlready(log, said, at(5000))).toBe(true);
    if (said.kind !== 'undo')
      expect(isToldAlready([...log, told({ kind: 'undo', of: 'first' }, 2)], said, at(3))).toBe(false);
    expect(isToldAlready([], said, at(3))).toBe(false);
  });

  it('of another step, or of another kind, is news', () => {
    const log = [told({ kind: 'done', key }, 1)];
    expect(isToldAlready(log, { kind: 'done', key: 'rice/rest' }, at(1))).toBe(false);
    expect(isToldAlready(log, { kind: 'begun', key }, at(1))).toBe(false);
  });

  it('"not yet" within a second is one press, later it is another', () => {
    const log = [told({ kind: 'not-yet', key, until: s(100) }, 10)];
    const press = (until: number): NewEvent => ({ kind: 'not-yet', key, until });
    expect(isToldAlready(log, press(s(100.9)), s(10.9))).toBe(true);
    expect(isToldAlready(log, press(s(101)), s(10.9))).toBe(false);
    expect(isToldAlready(log, press(s(99.1)), s(10.9))).toBe(true);
    expect(isToldAlready(log, press(s(99)), s(10.9))).toBe(false);
    expect(isToldAlready(log, press(s(100)), s(11))).toBe(false);
  });

  it('a note may be kept twice, and a table be laid later twice', () => {
    for (const said of [
      { kind: 'note', text: 'x' },
      { kind: 'hour', minutes: 5 },
    ] as NewEvent[])
      expect(isToldAlready([told(said, 1)], said, at(1))).toBe(false);
  });
});
