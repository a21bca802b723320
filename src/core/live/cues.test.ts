import { describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { dish, fry, item, leave, waits } from '@/core/dish/write';
import type { Kitchen } from '@/core/kitchen/kitchen';
import type { PlannedStep } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf } from '@/core/testing/meals';
import { cuesAt, dangerAt, ringsAt } from './cues';
import type { LiveStep, Session } from './session';

// Calls on steps written by hand: who is called, when, in which words, and in which order.

const MINUTE = 60_000;
const T = Date.UTC(2026, 10, 28, 17);
const at = (minutes: number) => T + minutes * MINUTE;
const oneCook: Kitchen = { ...largeKitchen, people: largeKitchen.people.slice(0, 1) };
const session = (dishes: readonly Dish[] = [], kitchen = oneCook): Session =>
  ({
    id: 's',
    meal: mealOf(dishes, { kitchen }),
    tableAt: at(60),
    plan: { steps: [] },
    events: [],
    moved: '',
  }) as unknown as Session;

const planned = (change: Partial<PlannedStep> = {}): PlannedStep =>
  ({
    key: 'rice/boil',
    kind: 'step',
    dishId: 'rice',
    dishName: 'Rice',
    stepId: 'boil',
    name: 'boil',
    says: 'Bring it to the boil.',
    attention: 'eyes',
    station: { sort: 'burner', id: 'b', name: 'Big burner' },
    amounts: [],
    cautions: [],
    doneWhen: 'it rolls; then lower',
    lookEvery: null,
    person: null,
    ...change,
  }) as PlannedStep;
const live = (change: Partial<LiveStep> = {}, step: Partial<PlannedStep> = {}): LiveStep => ({
  step: planned(step),
  status: 'running',
  startAt: T,
  endAt: at(10),
  told: { pauses: [], water: 0 },
  ...change,
});
const cues = (steps: readonly LiveStep[], minute: number, of = session()) => cuesAt(of, at(minute), steps);

describe('a step that is due', () => {
  it('calls for hands with all its words, from its hour on', () => {
    const due = live({ status: 'due' }, { amounts: ['1 l water', '300 g rice'], cautions: ['Hot.'] });
    expect(cues([due], 0)).toEqual([
      {
        id: 'begin rice/boil',
        kind: 'hands',
        at: T,
        says: 'Set going: boil, Rice. Bring it to the boil. In go: 1 l water; 300 g rice. Careful: Hot.',
        keys: ['rice/boil'],
      },
    ]);
    expect(cues([due], -1)).toEqual([]);
  });

  it('into the cold is in danger after three quarters of an hour, and only that', () => {
    const cold = live({ status: 'due' }, { duty: 'into the cold' });
    expect(cues([cold], 45).map(({ kind }) => kind)).toEqual(['hands']);
    const late = cues([cold], 45.1);
    expect(late.map(({ kind, at: when }) => [kind, when])).toEqual([
      ['danger', at(45)],
      ['hands', T],
    ]);
    expect(late[0]!.says).toBe('Careful: Rice, boil, has stood warm too long: into the cold with it.');
    expect(cues([live({ status: 'due' })], 60).map(({ kind }) => kind)).toEqual(['hands']);
  });

  it('heated through is in danger an hour and a half after it came off the heat, until it is on it again', () => {
    const simmer = live({ status: 'done', endAt: at(5) });
    const shelf = { sort: 'shelf', id: 's', name: 'Off the heat' } as const;
    const aside = live({ status: 'done', startAt: at(20), endAt: at(25) }, { key: 'rice/set-aside', station: shelf });
    const again = (change: Partial<LiveStep>) =>
      live({ startAt: at(100), endAt: at(108), ...change }, { key: 'rice/heated-again', stepId: 'heated-again' });
    const dangers = (steps: readonly LiveStep[], minute: number) =>
      cues(steps, minute).filter(({ kind }) => kind === 'danger');
    for (const status of ['waiting', 'due'] as const) {
      expect(dangers([simmer, aside, again({ status })], 94)).toEqual([]);
      expect(dangers([simmer, aside, again({ status })], 95)).toMatchObject([
        {
          at: at(95),
          says: 'Careful: Rice, boil, has stood off the heat for an hour and a half: heat it through now.',
        },
      ]);
    }
    expect(dangers([simmer, aside, again({ status: 'running' })], 101)).toEqual([]);
    // Not before it has come off the heat, and not by what another dish does.
    expect(dangers([live({ status: 'waiting' }), again({ status: 'waiting' })], 200)).toEqual([]);
    const other = live({ status: 'done' }, { key: 'stew/simmer', dishId: 'stew' });
    expect(dangers([other, again({ status: 'waiting' })], 200)).toEqual([]);
  });

  it('is quiet while it is put aside, waits or is over', () => {
    for (const change of [{ stands: true }, { status: 'waiting' }, { status: 'done' }] as const)
      expect(cues([live(change)], 30)).toEqual([]);
  });
});

describe('a step under way', () => {
  it('by hand calls "now", or its person by name where there are several', () => {
    const hands = live({}, { attention: 'hands', station: { sort: 'board', id: 'x', name: 'x' } as never });
    expect(cues([hands], 0)[0]!.says).toBe('Now: boil, Rice. Bring it to the boil.');
    const named = live({}, { attention: 'hands', person: { id: 'a', name: 'Ama' } });
    expect(cues([named], 0)[0]!.says).toMatch(/^Now: /);
    expect(cues([named], 0, session([], largeKitchen))[0]!.says).toMatch(/^Ama: /);
    const nobody = live({}, { attention: 'hands', person: null });
    expect(cues([nobody], 0, session([], largeKitchen))[0]!.says).toMatch(/^Now: /);
  });

  it('that turned by itself is told, and asks at its end by its sign', () => {
    const turned = cues([live({ turns: true })], 0);
    expect(turned.map(({ id }) => id)).toEqual(['turn rice/boil']);
    const ended = cues([live()], 10);
    expect(ended).toEqual([
      {
        id: `end rice/boil ${at(10) / MINUTE}`,
        kind: 'look',
        at: at(10),
        says: 'Rice, boil: It rolls?',
        keys: ['rice/boil'],
      },
    ]);
    expect(cues([live()], 9.9)).toEqual([]);
  });

  it('on a shelf is over by itself, and only what wants an eye there asks', () => {
    const shelf = { sort: 'shelf', id: 's', name: 's' } as never;
    expect(cues([live({}, { station: shelf, attention: 'none' })], 20)).toEqual([]);
    expect(cues([live({}, { station: shelf })], 10).map(({ kind }) => kind)).toEqual(['look']);
    expect(cues([live({}, { attention: 'none' })], 10).map(({ kind }) => kind)).toEqual(['look']);
  });

  it('looks that come within two minutes are one trip, each question once', () => {
    const other = (endAt: number) => live({ endAt }, { key: 'peas/boil', dishName: 'Peas' });
    const trip = cues([live(), other(at(12))], 10);
    expect(trip).toHaveLength(1);
    expect(trip[0]).toMatchObject({
      says: 'One trip to the stove. Rice, boil: It rolls? Peas, boil: It rolls?',
      keys: ['rice/boil', 'peas/boil'],
      at: at(10),
    });
    expect(cues([live(), other(at(12.1))], 10)[0]!.says).toBe('Rice, boil: It rolls?');
    // A look and the end of the same pot ask once.
    const eyed = live({ told: { pauses: [], water: 0, looked: at(4) } }, { lookEvery: 4 });
    expect(cues([eyed], 8)[0]!.says).toBe('Rice, boil: It rolls?');
    // None is due: no trip is made for what comes.
    expect(cues([other(at(12))], 11)).toEqual([]);
  });

  it('danger comes first, then hands, then looks, each by the clock', () => {
    const list = cues(
      [
        live({ endAt: at(30) }, { key: 'a/a' }),
        live({ startAt: at(20) }, { key: 'b/b', attention: 'hands' }),
        live(
          { startAt: at(10) },
          { key: 'c/c', attention: 'hands', station: { sort: 'board', id: 'x', name: 'x' } as never },
        ),
        live({ endAt: at(5) }, { key: 'd/d' }),
      ],
      40,
    );
    expect(list.map(({ kind, keys }) => `${kind} ${keys[0]}`)).toEqual([
      'danger d/d',
      'danger b/b',
      'danger a/a',
      'hands c/c',
      'hands b/b',
      'look d/d',
    ]);
  });
});

describe('danger on the heat', () => {
  it.each(['burner', 'oven', 'appliance'] as const)('is on the %s', (sort) => {
    expect(dangerAt(live({}, { station: { sort, id: 'x', name: 'x' } as never }))).toBe(at(13));
  });

  it('is told in words, and rings louder each half minute until it is answered', () => {
    const [danger] = cues([live()], 13);
    expect(danger).toMatchObject({
      kind: 'danger',
      at: at(13),
      says: 'Careful: Rice, boil, is long past its time on the heat.',
    });
    expect([0, 29.9, 30, 60].map((seconds) => ringsAt(danger!, at(13) + seconds * 1000))).toEqual([1, 1, 2, 3]);
    expect(ringsAt(danger!, at(12))).toBe(1);
    expect(ringsAt({ ...danger!, kind: 'look', at: T }, at(60))).toBe(1);
  });
});

describe('what has to be fished out', () => {
  const curry = dish({
    id: 'curry',
    name: 'Curry',
    servings: 4,
    ingredients: [item('bay', 2, 'piece', 'bay leaves'), item('onion', 2, 'piece', 'onions')],
    steps: [
      fry('fry', 'fry', 'medium', 10, 'Fry.', { uses: ['onion', 'bay'] }),
      leave('simmer', 'simmer', 'low', 30, 'Simmer.'),
    ],
    links: [],
    lands: { step: 'simmer', waits: waits('hot', 10, 20, 'covered') },
  });
  const step = (id: string, change: Partial<LiveStep> = {}) =>
    live({ endAt: at(30), ...change }, { key: `curry/${id}`, dishId: 'curry', dishName: 'Curry', stepId: id });
  const fished = (steps: readonly LiveStep[], minute: number) =>
    cues(steps, minute, session([curry])).filter(({ says }) => says.includes('fish out'));

  it('rings three minutes before the last heat is over, until somebody looked', () => {
    const [cue] = fished([step('fry', { status: 'done' }), step('simmer')], 27);
    expect(cue).toMatchObject({ at: at(27), keys: ['curry/simmer'] });
    expect(cue!.says).toBe('Curry: fish out the bay leaves.');
    // Named once, though two parts of the dish bring it.
    const twice = { ...curry, ingredients: [...curry.ingredients, { ...curry.ingredients[0]!, id: 'bay 2' }] };
    const both = { ...twice, steps: twice.steps.map((each) => ({ ...each, uses: [...each.uses, 'bay 2'] })) };
    expect(cues([step('simmer')], 27, session([both])).map(({ says }) => says)).toContain(
      'Curry: fish out the bay leaves.',
    );
    expect(fished([step('simmer')], 26.9)).toEqual([]);
    const looked = (minute: number) => step('simmer', { told: { pauses: [], water: 0, looked: at(minute) } });
    expect(fished([looked(27)], 28)).toEqual([]);
    expect(fished([looked(26)], 28)).toHaveLength(1);
  });

  it('is quiet while the last heat is not on, or where nothing is whole', () => {
    expect(fished([step('fry'), step('simmer', { status: 'waiting' })], 28)).toEqual([]);
    expect(cues([live({ endAt: at(30) })], 28, session())).toEqual([]);
  });
});
