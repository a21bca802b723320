import { beforeAll, describe, expect, it } from 'vitest';
import type { Dish } from '@/core/dish/dish';
import { SHELF } from '@/core/dish/shelf';
import { chop, dish, follow, fry, item, leave, waits } from '@/core/dish/write';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, plainGrain, planned } from '@/core/testing/meals';
import { mealAsItIs } from './as-it-is';
import type { LiveEvent } from './events';
import { forgottenOf, mishapsOf, type Patient, type Rescue } from './rescues';
import { instantOf, type LiveStep, liveSteps, type Session } from './session';
import { planRestIn, tellAndPlan } from './testing/simulate';
import { whatIf } from './what-if';

const shelf = (name: string) => SHELF.find((dish) => dish.name === name)!;
const rice = shelf('Plain long grain rice');
const braise = shelf('Beef braised in wine');
const beans = shelf('Coconut rice with yesterday’s beans');
const MEAL = mealOf([rice, braise], { kitchen: largeKitchen, people: 4 });
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});
const planRest = planRestIn(3);

/** All told as planned up to a minute. */
function upTo(minute: number, meal = MEAL, whole = plan): { readonly session: Session; readonly at: number } {
  const told = whole.steps
    .flatMap(({ key, start, end }): LiveEvent[] => [
      ...(start <= minute
        ? [{ id: `b ${key}`, at: instantOf({ tableAt: TABLE }, start), kind: 'begun', key } as const]
        : []),
      ...(end <= minute
        ? [{ id: `d ${key}`, at: instantOf({ tableAt: TABLE }, end), kind: 'done', key } as const]
        : []),
    ])
    .sort((a, b) => a.at - b.at);
  const at = instantOf({ tableAt: TABLE }, minute) + 1000;
  return { session: { id: 's', meal, tableAt: TABLE, plan: whole, events: told, moved: '' }, at };
}
function patientOf({ session, at }: ReturnType<typeof upTo>, dishId: string): Patient {
  const meal = mealAsItIs(session, at);
  const own = liveSteps(session, at).filter(({ step, status }) => step.dishId === dishId && status !== 'waiting');
  const live = own.find(({ status }) => status === 'running') ?? own.at(-1)!;
  return { meal, dish: meal.dishes.find(({ id }) => id === dishId)!, live, at };
}
const ways = (patient: Patient, id: string): readonly Rescue[] =>
  mishapsOf(patient).find((each) => each.id === id)?.ways ?? [];

describe('rescues', () => {
  it('are those of grain for grain, of a sauce for a sauce, of meat for meat', () => {
    const evening = upTo(-2);
    const ofRice = mishapsOf(patientOf(evening, rice.id)).map(({ id }) => id);
    expect(ofRice).toEqual(expect.arrayContaining(['wet', 'hard', 'caught', 'fallen']));
    expect(ofRice).not.toContain('tough');
    const ofBraise = mishapsOf(patientOf(evening, braise.id)).map(({ id }) => id);
    expect(ofBraise).toEqual(
      expect.arrayContaining(['split', 'thin', 'salty', 'burnt below', 'tough', 'dry', 'fallen']),
    );
    expect(ofBraise).not.toContain('wet');
  });

  it('prolong what is under way, and add a step to what was ready', async () => {
    const covered = plan.steps.findLast(({ dishId, station }) => dishId === rice.id && station.sort === 'burner')!;
    const evening = upTo(covered.end - 2);
    const [sprinkle] = ways(patientOf(evening, rice.id), 'hard');
    const told = await tellAndPlan(evening.session, sprinkle!.does[0]!, evening.at);
    const after = liveSteps(told, evening.at).find(({ step }) => step.key === covered.key)!;
    expect(after.endAt).toBe(evening.at + 7 * 60_000);
    expect(sprinkle!.says).toMatch(/\d+ ml of boiling water/);

    const ready = upTo(-1);
    const [again] = ways(patientOf(ready, rice.id), 'hard');
    const mended = await tellAndPlan(ready.session, again!.does[0]!, ready.at);
    const extra = mended.plan.steps.findLast(({ dishId }) => dishId === rice.id)!;
    expect(extra.says).toContain('boiling water over it');
    expect(extra.minutes).toBeGreaterThanOrEqual(7);
    expect(extra.start).toBeGreaterThanOrEqual(-1);
    expect(mended.plan.landings.find(({ dishId }) => dishId === rice.id)!.late).toBeGreaterThan(0);
    // Taken back, the step is gone.
    const back = await tellAndPlan(mended, { kind: 'undo', of: mended.events.at(-1)!.id }, ready.at + 1000);
    expect(back.plan.steps.some(({ key }) => key === extra.key)).toBe(false);
  });

  it('say what each leads to, with something quick in the place of what fell', async () => {
    const { session, at } = upTo(-20);
    const patient = patientOf({ session, at }, rice.id);
    const instead = ways(patient, 'fallen').find(({ id }) => id.includes('bread'))!;
    expect(instead.caution).toMatch(/burn goes under cool running water/);
    const { plan: then, leadsTo } = await whatIf(session, instead.does, at, planRest);
    expect(leadsTo).toMatch(/lands in time/);
    expect(then.steps.some(({ dishId }) => dishId === 'extra-bread')).toBe(true);
    expect(then.landings.some(({ dishId }) => dishId === rice.id)).toBe(false);
  });

  it('never put raw meat, egg or poisonous beans into a pot that has not the time for it', async () => {
    const late = upTo(-3);
    const patient = patientOf(late, braise.id);
    const list = forgottenOf(patient, liveSteps(late.session, late.at));
    const meat = list.find(({ name }) => /beef|cheek|shin/i.test(name))!;
    expect(meat.way).toBeNull();
    expect(meat.says).toMatch(/would not be safe/);
    const meal = mealOf([beans], { kitchen: largeKitchen });
    const evening = upTo(-3, meal, await planned(meal));
    for (const each of forgottenOf(patientOf(evening, beans.id), liveSteps(evening.session, evening.at)))
      if (/kidney/i.test(each.name)) expect(each.way).toBeNull();
    // Salt and spice can still go in, and say until when.
    const onions = list.find(({ name }) => /onion/i.test(name));
    expect(onions?.says).toMatch(/[Ff]ried apart/);
  });

  it('know only of what should have gone in already', () => {
    const first = plan.steps.find(({ dishId }) => dishId === braise.id)!;
    const early = upTo(first.start);
    const list = forgottenOf(patientOf(early, braise.id), liveSteps(early.session, early.at));
    expect(list.length).toBeLessThan(braise.ingredients.length);
  });

  it('are there, with a way each, for every dish of the shelf at the table', async () => {
    for (const dish of SHELF.filter((_, index) => index % 9 === 4)) {
      const meal = mealOf([dish], { kitchen: largeKitchen });
      const evening = upTo(0, meal, await planned(meal, 2, 1));
      for (const mishap of mishapsOf(patientOf(evening, dish.id))) {
        expect(mishap.ways.length, `${dish.name}: ${mishap.id}`).toBeGreaterThan(0);
        for (const way of mishap.ways) expect(JSON.stringify(way)).not.toMatch(/NaN|Infinity|undefined/);
      }
    }
  });
});

describe('of a pot, to the word', () => {
  const AT = Date.UTC(2026, 10, 28, 17, 0);
  const stew = dish({
    id: 'stew',
    name: 'Stew',
    servings: 4,
    ingredients: [item('meat', 800, 'g', 'lamb shoulder'), item('water', 1, 'l', 'water')],
    steps: [
      chop('cut', 'cut', 5, 'Cut it.', { uses: ['meat'] }),
      fry('brown', 'brown', 'full', 8, 'Brown it.', { uses: ['meat'] }),
      leave('simmer', 'simmer', 'low', 60, 'Simmer.', { uses: ['water'] }),
      chop('finish', 'finish', 3, 'Off the heat, taste.', {}),
    ],
    links: [follow('cut', 'brown', 0, 60), follow('brown', 'simmer', 0, 5), follow('simmer', 'finish', 0, 20)],
    lands: { step: 'finish', waits: waits('hot', 10, 20, 'covered') },
  });
  const liveOf = (made: Dish, id: string, over: Partial<LiveStep> = {}): LiveStep => {
    const { place } = made.steps.find((step) => step.id === id)!;
    const station = { sort: place.at === 'burner' ? 'burner' : place.at };
    return {
      step: { key: `${made.id}/${id}`, dishId: made.id, stepId: id, station },
      status: 'running',
      startAt: AT - 60_000,
      endAt: AT + 120_000,
      told: { pauses: [], water: 0 },
      ...over,
    } as unknown as LiveStep;
  };
  const patient = (made: Dish, id: string, over: Partial<LiveStep> = {}): Patient => ({
    meal: mealOf([made], { kitchen: largeKitchen, people: made.servings }),
    dish: made,
    live: liveOf(made, id, over),
    at: AT,
  });
  const rows = (of: Patient) =>
    mishapsOf(of).flatMap(({ ways: list }) =>
      list.map(({ id, says, minutes, does }) => {
        const [told] = does;
        const how =
          told?.kind !== 'rescued'
            ? told?.kind
            : told.step
              ? `one more step, ${told.step.heat ?? 'off the heat'}${told.step.hands ? ', by hand' : ''}`
              : `goes on for ${(told.until! - AT) / 60_000}`;
        return `${id}: ${says}; ${minutes} min; ${how}`;
      }),
    );
  const withoutFallen = (of: Patient) => rows(of).filter((row) => !row.startsWith('fallen'));

  it('of a sauce with meat that simmers: what is under way goes on for as long, and no shorter than it would', () => {
    expect(withoutFallen(patient(stew, 'simmer'))).toEqual([
      'split, cold spoon: off the heat, two spoons of cold water, whisk; 3 min; goes on for 3',
      'split, starch: 3¼ tsp of starch in cold water, stirred in; 3 min; goes on for 3',
      'thin, boil down: lid off, full flame; 8 min; goes on for 8',
      'thin, crush: crush a ladleful in it, or starch in cold water; 4 min; goes on for 4',
      'salty, longer: 150 ml of boiling water, no salt; 4 min; goes on for 4',
      'burnt below, another pot: off, and pour it into another pot without scraping; 3 min; goes on for 3',
      'tough, longer: lid on, it goes on; 20 min; goes on for 20',
      'tough, slice: cut it thin, across the grain, back into its liquid; 8 min; goes on for 8',
      'dry, broth: sliced, hot broth over it, covered; 5 min; goes on for 5',
      'boiled over, lid ajar: flame down, lid ajar; 2 min; goes on for 2',
    ]);
    const long = patient(stew, 'simmer', { endAt: AT + 30 * 60_000 });
    expect(new Set(rows(long).flatMap((row) => row.match(/goes on for \d+/) ?? []))).toEqual(
      new Set(['goes on for 30']),
    );
  });

  it('what was ready has one step more, hot or off the heat, by hand or by itself', () => {
    const ready = patient(stew, 'simmer', { status: 'done' });
    expect(withoutFallen(ready).map((row) => row.split('; ').at(-1))).toEqual([
      'one more step, off the heat, by hand',
      'one more step, low, by hand',
      'one more step, full',
      'one more step, low, by hand',
      'one more step, low',
      'one more step, low, by hand',
      'one more step, low',
      'one more step, low, by hand',
      'one more step, off the heat, by hand',
      'one more step, off the heat',
    ]);
    // Under way, and not on the heat: that does not go on either.
    expect(withoutFallen(patient(stew, 'finish'))[0]).toContain('one more step');
    const [first] = ways(ready, 'split');
    const told = first!.does[0]!;
    expect(told).toMatchObject({
      dish: 'stew',
      says: 'off the heat, two spoons of cold water, whisk',
      step: { name: 'off the heat', minutes: 3, heat: null, hands: true },
    });
    expect(JSON.stringify(told)).toContain('Off the heat, two spoons of cold water, whisk. Or a spoon of it');
    for (const sort of ['oven', 'appliance'] as const) {
      const step = { ...liveOf(stew, 'simmer').step, station: { sort } } as never;
      expect(rows(patient(stew, 'simmer', { step }))[0], sort).toContain('goes on');
      // Only from a burner does it boil over.
      expect(rows(patient(stew, 'simmer', { step })).join()).not.toContain('boiled over');
    }
  });

  it('asks of what simmers last and after, not before; of what has pieces, liquid or grain', () => {
    const ids = (of: Patient) => mishapsOf(of).map(({ id }) => id);
    expect(ids(patient(stew, 'cut'))).toEqual(['fallen']);
    expect(ids(patient(stew, 'brown'))).toEqual(['boiled over', 'fallen']);
    expect(ids(patient(stew, 'finish'))).toEqual(['split', 'thin', 'salty', 'burnt below', 'tough', 'dry', 'fallen']);
    const without = (...gone: readonly string[]) => ({
      ...stew,
      ingredients: stew.ingredients.filter(({ id }) => !gone.includes(id)),
    });
    // Meat counts for four fifths of its weight as what is in the pot: it makes a sauce.
    expect(ids(patient(without('meat'), 'simmer'))).toEqual([
      'split',
      'thin',
      'salty',
      'burnt below',
      'boiled over',
      'fallen',
    ]);
    expect(ids(patient(without('meat', 'water'), 'simmer'))).toEqual(['boiled over', 'fallen']);
    const ready = { ...stew, ingredients: [item('meat', 300, 'g', 'cured ham'), stew.ingredients[1]!] };
    expect(ids(patient(ready, 'simmer'))).not.toContain('tough');
    // All by hand: the last that is hot counts.
    const fried = {
      ...stew,
      steps: stew.steps.filter(({ id }) => id !== 'simmer'),
      links: [follow('brown', 'finish', 0, 5)],
    };
    expect(ids(patient(fried, 'brown'))).toContain('tough');
    expect(ids(patient({ ...stew, steps: [stew.steps[0]!] }, 'cut'))).toEqual(['fallen']);
  });

  it('of grain: sprinkled by its weight, at least two spoons', () => {
    const grainOf = (grams: number) => {
      const made = plainGrain();
      const ingredients = made.ingredients.map((each) =>
        each.id === 'millet' ? { ...each, amount: { quantity: grams, unit: 'g' as const } } : each,
      );
      const grain = { kind: 'millet', method: 'covered', dry: 'millet', liquid: ['water'], set: true } as never;
      return { ...made, ingredients, grain } as Dish;
    };
    expect(withoutFallen(patient(grainOf(300), 'cover'))).toEqual([
      'wet, open: lid off, lowest flame, until it is dry; 4 min; goes on for 4',
      'wet, cloth: a cloth under the lid, off the heat; 10 min; goes on for 10',
      'hard, sprinkle: 50 ml of boiling water over it, lid on, lowest flame; 7 min; goes on for 7',
      'caught, wet cloth: off the heat, onto a wet cloth, lid on; 5 min; goes on for 5',
      'boiled over, lid ajar: flame down, lid ajar; 2 min; goes on for 2',
    ]);
    expect(rows(patient(grainOf(100), 'cover')).join()).toContain('30 ml of boiling water');
    expect(rows(patient(grainOf(1000), 'cover')).join()).toContain('150 ml of boiling water');
  });

  it('what fell is left out, or something quick stands in its place, with the caution of the floor', () => {
    const fallen = ways(patient(stew, 'simmer'), 'fallen');
    expect(fallen[0]).toMatchObject({ id: 'fallen, without', minutes: 0, does: [{ kind: 'dropped', dish: 'stew' }] });
    const couscous = fallen.find(({ id }) => id.includes('couscous'))!;
    expect(couscous.does.map(({ kind }) => kind)).toEqual(['dropped', 'added']);
    // To the boil 5, stirred 1, swollen 7, loosened 1.
    expect(couscous.minutes).toBe(14);
    for (const { caution } of fallen) expect(caution).toMatch(/flame off first/);
  });

  describe('forgotten', () => {
    const pot = (...names: readonly string[]): Dish => ({
      ...stew,
      ingredients: names.map((name, index) => item(`${index}`, 100, 'g', name)),
      steps: stew.steps.map((step) => ({
        ...step,
        uses: step.id === 'simmer' ? names.map((_, index) => `${index}`) : [],
      })),
    });
    const saidOf = (name: string, left = 60) => {
      const made = pot(name);
      const live = liveOf(made, 'simmer', { endAt: AT + left * 60_000 });
      const [found] = forgottenOf({ ...patient(made, 'simmer'), live }, [live]);
      return found!;
    };

    it.each([
      ['fine salt', 'half of it, dissolved', 1],
      ['dried yeast', null, 0],
      ['baking powder', null, 0],
      ['cinnamon sticks', 'a minute in a spoon of hot fat', 2],
      ['ground cumin', 'half of it, half a minute in a spoon of warm fat', 5],
      ['fresh parsley', 'over it at the table', 1],
      ['mint leaves', 'over it at the table', 1],
      ['dried mint', 'half of it, half a minute in a spoon of warm fat', 5],
      ['ground coriander', 'half of it, half a minute in a spoon of warm fat', 5],
      ['butter', 'stirred in off the heat', 1],
      ['cream', 'stirred in off the heat', 1],
      ['honey', 'half of it in, stirred, tasted', 1],
      ['red wine vinegar', 'half of it in, stirred, tasted', 1],
      ['onions', 'fried apart until golden', 8],
      ['garlic', 'fried apart until golden', 8],
      ['water', 'in, boiling', 3],
      ['vegetable stock', 'in, boiling', 3],
      ['almonds', 'over it at the table', 2],
      ['raisins', 'over it at the table', 2],
      ['red lentils', null, 0],
      ['pearl barley', null, 0],
      ['cooked chickpeas', 'in, drained', 5],
      ['tinned white beans', 'in, drained', 5],
      ['baking potatoes', 'cut small, boiled or fried apart', 10],
      ['carrots', 'cut small, boiled or fried apart', 10],
    ] as const)('%s', (name, way, minutes) => {
      const found = saidOf(name);
      if (way === null) return expect(found).toMatchObject({ name, way: null });
      expect(found.way, found.says).not.toBeNull();
      expect(found.says.toLowerCase()).toContain(way);
      expect(found.way!.says).toContain(way);
      expect(found.way!.minutes).toBe(minutes);
    });

    it('raw meat goes in while 25 minutes are left, and beans that are poisonous until they boil hard never', () => {
      expect(saidOf('lamb shoulder', 25).way).not.toBeNull();
      expect(saidOf('lamb shoulder', 26).says).toContain('the 26 min that are left');
      expect(saidOf('lamb shoulder', 24)).toMatchObject({
        way: null,
        says: expect.stringContaining('would not be safe'),
      });
      expect(saidOf('dried kidney beans', 90).way).toBeNull();
      // What is cured is eaten as it comes.
      expect(saidOf('cured ham', 5).way).not.toBeNull();
    });

    it('is what began or is done should have had, each once, and not what is still to come', () => {
      const made: Dish = {
        ...pot('carrots', 'fine salt'),
        steps: stew.steps.map((step) => ({
          ...step,
          uses: step.id === 'simmer' ? ['0', '1'] : step.id === 'finish' ? ['1'] : [],
        })),
      };
      const names = (...live: readonly LiveStep[]) =>
        forgottenOf({ ...patient(made, 'simmer'), live: live[0]! }, live).map(({ name }) => name);
      expect(names(liveOf(made, 'simmer'))).toEqual(['carrots', 'fine salt']);
      expect(names(liveOf(made, 'simmer', { status: 'done' }), liveOf(made, 'finish'))).toEqual([
        'carrots',
        'fine salt',
      ]);
      for (const status of ['waiting', 'due'] as const) expect(names(liveOf(made, 'simmer', { status }))).toEqual([]);
      expect(names(liveOf(made, 'finish'))).toEqual(['fine salt']);
      const other = liveOf({ ...made, id: 'other' }, 'simmer');
      expect(names(liveOf(made, 'cut'), other)).toEqual([]);
    });

    it('what is left on the heat is that of all hot steps of the dish that are not done', () => {
      const made = pot('lamb shoulder');
      const left = (...live: readonly LiveStep[]) =>
        forgottenOf({ ...patient(made, 'simmer'), live: live[0]! }, live)[0]!.way !== null;
      const done = liveOf(made, 'simmer', { status: 'done', endAt: AT + 90 * 60_000 });
      expect(left(done)).toBe(false);
      const later = (id: string, of = made) => liveOf(of, id, { status: 'waiting', endAt: AT + 40 * 60_000 });
      expect(left(done, later('brown'))).toBe(true);
      // Neither work on a board nor the heat of another dish counts.
      expect(left(done, later('finish'))).toBe(false);
      expect(left(done, later('brown', { ...made, id: 'stewed' }))).toBe(false);
    });
  });
});
