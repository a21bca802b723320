import { describe, expect, it } from 'vitest';
import type { LiveEvent } from './events';
import { instantOf, liveSteps, safeMinutesLeft } from './session';
import { earlierThan, restThatWouldBegin, settling } from './settle';
import {
  aside,
  at,
  BURNER,
  cook,
  hands,
  helper,
  OVEN,
  planned,
  RIGHT,
  sessionOf,
  told,
  underWay,
} from './testing/by-hand';
import { standingOn, toCarry, transitionOf } from './transition';

/** What each step does at a minute, in the order of the plan: "wash running -30 to -20". */
const fold = (steps: Parameters<typeof sessionOf>[0], events: readonly LiveEvent[], minute: number) =>
  liveSteps(sessionOf(steps, events), at(minute)).map(
    ({ step, status, startAt, endAt }) =>
      `${step.stepId} ${status} ${(startAt - at(0)) / 60_000} to ${(endAt - at(0)) / 60_000}`,
  );

describe('hands', () => {
  const wash = hands('a/wash', -30, -20);
  const chop = hands('b/chop', -20, -10);

  it('are at work as soon as the hour has come, and not before', () => {
    expect(fold([wash], [], -31)).toEqual(['wash waiting -30 to -20']);
    expect(fold([wash], [], -30)).toEqual(['wash running -30 to -20']);
  });

  it('begin what is next only when what they are at is done, and then at once', () => {
    expect(fold([wash, chop], [], -15)).toEqual(['wash running -30 to -20', 'chop due -20 to -10']);
    expect(fold([wash, chop], [told('done', 'a/wash', -16)], -15)).toEqual([
      'wash done -30 to -16',
      'chop running -16 to -6',
    ]);
    // Done before its hour: what is next keeps its own.
    expect(fold([wash, chop], [told('done', 'a/wash', -25)], -21)[1]).toBe('chop waiting -20 to -10');
    // The latest of all that they did counts, in whatever order it was told.
    const third = hands('c/stir', -9, -5);
    const both = [told('done', 'b/chop', -5), told('done', 'a/wash', -4)];
    expect(fold([wash, chop, third], both, -3)[2]).toBe('stir running -4 to 0');
  });

  it('of another wait for nobody, and what they put aside keeps none waiting', () => {
    const hers = hands('b/chop', -20, -10, { person: helper });
    expect(fold([wash, hers], [], -15)[1]).toBe('chop running -20 to -10');
    const paused = [told('paused', 'a/wash', -25)];
    expect(fold([wash, chop], paused, -15)).toEqual(['wash running -30 to -10', 'chop running -20 to -10']);
    // What nobody's hands are named for holds up nobody.
    const nobodys = hands('a/wash', -30, -20, { person: null });
    expect(fold([nobodys, chop], [], -15)[1]).toBe('chop running -20 to -10');
  });

  it('do not wait for what the plan has for them later', () => {
    expect(fold([wash, chop], [told('begun', 'b/chop', -40)], -29)).toEqual([
      'wash running -30 to -20',
      'chop running -40 to -30',
    ]);
    // Two that begin at one minute: the one that is over first is done first.
    const short = hands('c/peel', -30, -28);
    expect(fold([wash, short], [], -29).map((words) => words.split(' ').slice(0, 2).join(' '))).toEqual([
      'peel running',
      'wash due',
    ]);
  });

  it('that were spoken of are at work, from the first word or from their hour', () => {
    const more = (minute: number): LiveEvent =>
      ({ id: `n${minute}`, at: at(minute), kind: 'not-yet', key: 'b/chop', until: at(-2) }) as LiveEvent;
    // Though the washing goes on.
    expect(fold([wash, chop], [more(-12)], -11)[1]).toBe('chop running -20 to -2');
    // Spoken of before its hour, and before what it waits for was over.
    const after = hands('a/chop', -20, -10, { after: [wash.key] });
    const early: LiveEvent = { id: 'p', at: at(-22), kind: 'paused', key: after.key } as LiveEvent;
    expect(fold([wash, after], [told('done', 'a/wash', -24), early], -21)[1]).toMatch(/^chop running -22 to/);
  });

  it('that are given to another are theirs, whatever the plan says', () => {
    const given = { id: 'g', at: at(-40), kind: 'handed', key: 'b/chop', person: helper.id } as LiveEvent;
    const [, second] = liveSteps(sessionOf([wash, chop], [given]), at(-15));
    expect(second).toMatchObject({ status: 'running', step: { person: helper } });
    const nobody = { ...given, person: 'nobody' } as LiveEvent;
    expect(liveSteps(sessionOf([wash, chop], [nobody]), at(-15))[1]!.step.person).toEqual(cook);
    // What needs no hands is given to none.
    const pot = planned('b/chop', -20, -10);
    expect(liveSteps(sessionOf([pot], [given]), at(-15))[0]!.step.person).toBeNull();
  });
});

describe('pots', () => {
  const boil = planned('a/boil', -30, -20);
  const simmer = planned('a/simmer', -20, -5, { after: [boil.key], follows: boil.key });

  it('are put on by somebody: until then they are due', () => {
    expect(fold([boil], [], -31)).toEqual(['boil waiting -30 to -20']);
    expect(fold([boil], [], -30)).toEqual(['boil due -30 to -20']);
    expect(fold([boil], [told('begun', 'a/boil', -28)], -25)).toEqual(['boil running -28 to -18']);
    // Said to begin a moment later than now, it waits for that moment.
    const soon = fold([boil], [told('begun', 'a/boil', -28)], -29);
    expect(soon).toEqual(['boil running -28 to -18']);
  });

  it('go on by themselves where one follows at once, and are turned for ten minutes or until it is said', () => {
    const events = [told('begun', 'a/boil', -30), told('done', 'a/boil', -18)];
    expect(fold([boil, simmer], events, -17)[1]).toBe('simmer running -18 to -3');
    const turns = (minute: number, more: readonly LiveEvent[] = [], which = simmer) =>
      liveSteps(sessionOf([boil, which], [...events, ...more]), at(minute))[1]!.turns ?? false;
    expect([turns(-17), turns(-8 - 1 / 60), turns(-8)]).toEqual([true, true, false]);
    expect(turns(-12, [told('begun', 'a/simmer', -15)])).toBe(false);
    // What is begun by hand, and what only waits for another, is not turned.
    expect(turns(-17, [], { ...simmer, follows: null })).toBe(false);
    expect(turns(-17, [], { ...simmer, attention: 'hands', person: cook })).toBe(false);
    expect(fold([boil, { ...simmer, follows: null }], events, -17)[1]).toBe('simmer due -20 to -5');
  });

  it('a word about one is a word that it stands on the heat', () => {
    const word = { id: 'w', at: at(-25), kind: 'not-yet', key: 'a/boil', until: at(-10) } as LiveEvent;
    expect(fold([boil], [word], -24)).toEqual(['boil running -30 to -10']);
  });

  it('take as much longer as they were put aside', () => {
    const events = [told('begun', 'a/boil', -30), told('paused', 'a/boil', -28), told('resumed', 'a/boil', -25)];
    expect(fold([boil], events, -24)).toEqual(['boil running -30 to -17']);
  });

  it('said to be done before they began were done at that instant', () => {
    expect(fold([boil], [told('done', 'a/boil', -40)], -39)).toEqual(['boil done -40 to -40']);
    expect(fold([boil], [told('done', 'a/boil', -22)], -20)).toEqual(['boil done -30 to -22']);
  });
});

describe('what stands aside', () => {
  const soak = aside('a/soak', -30, -20);
  const events = [told('begun', 'a/soak', -30)];

  it('is over by itself when its time is, unless it was put aside or somebody has to look', () => {
    expect(fold([soak], events, -20 - 1 / 60)).toEqual(['soak running -30 to -20']);
    expect(fold([soak], events, -20)).toEqual(['soak done -30 to -20']);
    expect(fold([{ ...soak, attention: 'eyes' }], events, -20)).toEqual(['soak running -30 to -20']);
    expect(fold([{ ...soak, station: BURNER }], events, -20)).toEqual(['soak running -30 to -20']);
    expect(fold([soak], [...events, told('paused', 'a/soak', -21)], -5)).toEqual(['soak running -30 to -4']);
  });

  it('lets begin what waits for it, though the plan has that first', () => {
    // An outdated plan: what follows stands before what it waits for.
    const fry = planned('a/fry', -40, -30, { after: [soak.key], follows: soak.key });
    expect(fold([fry, soak], events, -15)).toEqual(['fry running -20 to -10', 'soak done -30 to -20']);
  });
});

describe('minutes that safety asks for', () => {
  it('are counted while the step is under way, without its pauses', () => {
    const pot = planned('a/boil', -30, -10, { safeMinutes: 10 });
    expect(safeMinutesLeft(underWay(pot), at(-25))).toBe(5);
    expect(
      safeMinutesLeft(underWay(pot, { told: { pauses: [{ from: at(-28), to: at(-26) }], water: 0 } }), at(-25)),
    ).toBe(7);
    expect(safeMinutesLeft(underWay(pot), at(-15))).toBe(0);
    expect(safeMinutesLeft(underWay(pot, { status: 'done' }), at(-25))).toBe(0);
    expect(safeMinutesLeft(underWay({ ...pot, safeMinutes: 0 }), at(-25))).toBe(0);
  });
});

describe('what the hand does', () => {
  const boil = planned('a/boil', -30, -20, { heat: 'full', vessel: 'the rice pot' });
  const low = planned('a/simmer', -20, -5, { heat: 'low', vessel: 'the rice pot', after: [boil.key] });
  const words = (step: typeof low, ...before: readonly (typeof low)[]) =>
    transitionOf(
      { step },
      [...before, step].map((each) => underWay(each)),
    );

  it('turns the flame down or up, and moves the pot that the steps share', () => {
    expect(words(low, boil)).toBe('Turn it down: full to low.');
    expect(words({ ...boil, after: [low.key] }, { ...low, after: [] })).toBe('Turn it up: low to full.');
    expect(words({ ...low, heat: 'full' }, boil)).toBe('');
    expect(words({ ...low, heat: null }, boil)).toBe('');
    expect(words(low, { ...boil, heat: null })).toBe('');
    expect(words({ ...low, station: RIGHT }, boil)).toBe(
      'Move the rice pot from the left burner to the right burner. Turn it down: full to low.',
    );
    expect(words({ ...low, vessel: null, station: RIGHT, heat: 'full' }, boil)).toBe(
      'Move it from the left burner to the right burner.',
    );
    // Another pot, another dish, or one that it does not wait for stood somewhere else.
    expect(words({ ...low, vessel: 'the pan', station: RIGHT }, boil)).toBe('');
    expect(words({ ...low, dishId: 'b', station: RIGHT }, boil)).toBe('');
    expect(words({ ...low, after: [], station: RIGHT }, boil)).toBe('');
    // The last of several counts; what stood aside before does not.
    const medium = { ...boil, key: low.key, stepId: 'medium', heat: 'medium' as const };
    const next = planned('a/last', -5, 0, { heat: 'low', vessel: 'the rice pot', after: [boil.key, medium.key] });
    expect(words(next, boil, medium)).toBe('Turn it down: medium to low.');
    expect(words(low, { ...boil, station: { id: 's', sort: 'shelf', name: 'aside' } })).toBe('');
    const cooker = { id: 'appliance:c', sort: 'appliance', name: 'the cooker' } as const;
    expect(words({ ...low, heat: null }, { ...boil, station: cooker })).toBe(
      'Move the rice pot from the cooker to the left burner.',
    );
  });

  it('takes it off the heat, or puts it into the oven', () => {
    const rest = aside('a/rest', -5, 0, { vessel: 'the rice pot', after: [low.key] });
    expect(words(rest, low)).toBe('Off the heat.');
    expect(words(rest)).toBe('');
    expect(words({ ...rest, station: { id: 'board', sort: 'board', name: 'the board' } }, low)).toBe('');
    const bake = planned('a/bake', -20, 0, { station: OVEN, heat: null, celsius: 180, after: [boil.key] });
    expect(words(bake, boil)).toBe('Into the oven, 180 °C.');
    expect(words({ ...bake, celsius: null }, boil)).toBe('Into the oven.');
    expect(words(bake)).toBe('Into the oven, 180 °C.');
    const before = { ...bake, key: boil.key };
    expect(words(bake, before)).toBe('');
    expect(words(bake, { ...before, celsius: 200 })).toBe('Into the oven, 180 °C.');
    expect(words(bake, { ...before, station: { ...OVEN, id: 'oven:small' } })).toBe('Into the oven, 180 °C.');
  });

  it('carries what stood on a burner that failed, as long as it is under way and nobody said where it stands', () => {
    const session = (stood: readonly string[] | undefined) =>
      sessionOf(
        [low],
        [{ id: 'f', at: at(-10), kind: 'failed', unit: BURNER.id, ...(stood ? { stood } : {}) } as LiveEvent],
      );
    const there = underWay({ ...low, station: RIGHT });
    const carried = (live: typeof there, stood: readonly string[] | undefined = [low.key]) =>
      toCarry(session(stood), [live]).map(({ live: { step } }) => step.stepId);
    expect(carried(there)).toEqual(['simmer']);
    expect(carried(underWay(low))).toEqual([]);
    expect(carried({ ...there, status: 'done' })).toEqual([]);
    expect(carried({ ...there, told: { ...there.told, unit: RIGHT.id } })).toEqual([]);
    expect(carried(underWay({ ...low, station: OVEN }))).toEqual([]);
    expect(carried(there, ['a/other'])).toEqual([]);
    expect(toCarry(session(undefined), [there])).toEqual([]);
    expect(standingOn([underWay(low), underWay(boil, { status: 'done' }), there], BURNER.id)).toEqual([low.key]);
  });
});

describe('what should have been done before', () => {
  const soak = aside('beans/soak', -600, -60);
  const wash = hands('beans/wash', -610, -600);
  const cut = hands('stew/cut', -90, -80);
  const oven = planned('stew/warm', -90, -80, { kind: 'warm-up' });
  const asked = (minute: number) =>
    earlierThan(sessionOf([soak, wash, cut, oven]).plan, at(0), at(minute)).map(({ dishId, steps, at: first }) => [
      dishId,
      steps.map(({ stepId }) => stepId).join(' '),
      (first - at(0)) / 60_000,
    ]);

  it('is asked by dish, the first of all at the head, from ten minutes after its hour', () => {
    expect(asked(-50)).toEqual([
      ['beans', 'wash soak', -610],
      ['stew', 'cut', -90],
    ]);
    expect(asked(-80)).toEqual([['beans', 'wash soak', -610]]);
    expect(asked(-600)).toEqual([]);
    expect(asked(-599)).toEqual([['beans', 'wash', -610]]);
  });

  it('is told as done when it was planned to be over, up to this instant; as left out where it is not needed', () => {
    const [beans] = earlierThan(sessionOf([soak, wash]).plan, at(0), at(-50));
    const said = (answer: 'done' | 'not done' | 'not needed', minute: number) =>
      settling(beans!, answer, at(0), at(minute)).map((event) =>
        'when' in event ? [event.key, event.when] : event.kind,
      );
    expect(said('done', -50)).toEqual([
      [wash.key, at(-600)],
      [soak.key, at(-60)],
    ]);
    expect(said('done', -60)).toHaveLength(2);
    expect(said('done', -61)).toEqual([[wash.key, at(-600)]]);
    expect(said('not needed', -50)).toEqual(['skipped', 'skipped']);
    expect(said('not done', -50)).toEqual([]);
  });

  it('a long rest that would begin only now is asked about when it would be over half an hour too late', () => {
    const cover = hands('beans/cover', -200, -190);
    const rest = aside('beans/rest', -190, -130, { after: [cover.key], follows: cover.key });
    const asks = (minute: number, of = rest) =>
      restThatWouldBegin(sessionOf([cover, of]), underWay(cover), at(minute))?.step.stepId ?? null;
    // It lasts sixty minutes and was to be over at -130: begun at -160 it is over at -100, just half an hour late.
    expect([asks(-160), asks(-159)]).toEqual([null, 'rest']);
    expect(asks(-100, { ...rest, minutes: 59 })).toBeNull();
    expect(asks(-100, { ...rest, attention: 'eyes' })).toBeNull();
    expect(asks(-100, { ...rest, station: BURNER })).toBeNull();
    expect(asks(-100, { ...rest, after: [] })).toBeNull();
    const done = sessionOf([cover, rest], [told('done', 'beans/rest', -120)]);
    expect(restThatWouldBegin(done, underWay(cover), at(-100))).toBeNull();
    expect(instantOf(done, -100)).toBe(at(-100));
  });
});
