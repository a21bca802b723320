import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import type { SaidFood } from '@/core/food/food';
import { readBackup } from '@/core/formats/backup-file';
import { mealFile, readMealFile } from '@/core/formats/meal-file';
import type { Kitchen } from '@/core/kitchen/kitchen';
import { withoutBefore } from '@/core/live/evening';
import { lastTakenBack, standingEvents } from '@/core/live/events';
import { liveSteps } from '@/core/live/session';
import { sharedOf } from '@/core/live/two-screens';
import { mealOf, plainGrain, planned, smallKitchen } from '@/core/testing/meals';
import { SAMPLE_MEALS } from '@/demo/meals';
import { wantsBackup } from './backed-up';
import { Pantry } from './db';
import { backup, bringIn, clashesWith, fileOfMeal, fileToHandOver, restore } from './files';
import { sayFood } from './foods';
import {
  addToMeal,
  carryOut,
  changeKitchen,
  changeMeal,
  createMeal,
  printOf,
  setByHand,
  storeDish,
  storeKitchen,
  tableInstant,
} from './meals';
import { loadMeal, openMeal } from './opened';
import { loadSamples } from './samples';
import { adoptPlan, beginSession, endSession, meetSession, openSession, tell, wasPutAway } from './sessions';

const TODAY = new Date('2026-11-25T10:00:00');
let db: Pantry;
let count = 0;
beforeEach(() => {
  db = new Pantry(`test ${count++}`);
});

describe('the sample meals', () => {
  it('are loaded once, complete, on days to come', async () => {
    await Promise.all([loadSamples(db, TODAY), loadSamples(db, TODAY)]);
    expect(await db.meals.count()).toBe(SAMPLE_MEALS.length);
    for (const { setting, dishes, kitchen } of SAMPLE_MEALS) {
      const meal = await loadMeal(db, setting.id);
      expect(meal?.dishes).toEqual(dishes);
      expect(meal?.kitchen).toEqual(kitchen);
      expect(tableInstant(meal!)).toBeGreaterThan(TODAY.getTime());
    }
  });

  it('do not come back after they were changed or taken out', async () => {
    await loadSamples(db, TODAY);
    await db.meals.delete('boat');
    await changeMeal(db, 'harvest', { people: 11 }, 1);
    await loadSamples(db, TODAY);
    expect(await db.meals.get('boat')).toBeUndefined();
    expect((await db.meals.get('harvest'))?.people).toBe(11);
  });

  it('come back when the cook asks for them', async () => {
    await loadSamples(db, TODAY);
    const hall = SAMPLE_MEALS[0]!.kitchen;
    await db.kitchens.put({ ...hall, name: 'Mine now' });
    await db.meals.clear();
    await loadSamples(db, TODAY);
    expect(await db.meals.count()).toBe(0);
    await loadSamples(db, TODAY, { anew: true });
    expect(await db.meals.count()).toBe(SAMPLE_MEALS.length);
  });
});

describe('changing what is stored', () => {
  beforeEach(() => loadSamples(db, TODAY));

  it.each([
    [{ people: -3 }, /people/],
    [{ people: 2.5 }, /people/],
    [{ hour: '25:70' }, /hour/],
    [{ day: 'someday' }, /day/],
    [{ name: '' }, /name/],
  ])('refuses %j with the field, and keeps what was there', async (change, words) => {
    const before = await db.meals.get('harvest');
    const refusal = await changeMeal(db, 'harvest', change, 1);
    expect(refusal?.sentence).toMatch(words);
    expect(await db.meals.get('harvest')).toEqual(before);
  });

  it('refuses a kitchen without a cook or with a broken burner, and keeps the old one', async () => {
    await db.kitchens.put(smallKitchen);
    const noCook: Kitchen = { ...smallKitchen, people: [{ ...smallKitchen.people[0]!, role: 'helper' }] };
    expect((await storeKitchen(db, noCook))?.sentence).toMatch(/Someone must cook/);
    const broken = { ...smallKitchen, burners: [{ ...smallKitchen.burners[0]!, widestCm: -1 }] };
    expect((await storeKitchen(db, broken))?.sentence).toMatch(/burners.*widestCm/);
    expect(await db.kitchens.get('small')).toEqual(smallKitchen);
  });

  it('loses neither of two changes told at once, of a meal and of a kitchen', async () => {
    await loadSamples(db, TODAY);
    const made = { dish: 'cheeks', upTo: 'braise', days: 1 };
    await changeMeal(db, 'harvest', { ahead: [made] }, 1);
    const inTheFreezer = changeMeal(
      db,
      'harvest',
      ({ ahead = [] }) => ({ ahead: ahead.map((each) => ({ ...each, frozen: true })) }),
      2,
    );
    const aDayEarlier = changeMeal(
      db,
      'harvest',
      ({ ahead = [] }) => ({ ahead: ahead.map((each) => ({ ...each, days: 2 })) }),
      2,
    );
    expect(await Promise.all([inTheFreezer, aDayEarlier])).toEqual([null, null]);
    expect((await db.meals.get('harvest'))?.ahead).toEqual([{ ...made, days: 2, frozen: true }]);
    await db.kitchens.put(smallKitchen);
    await Promise.all([
      changeKitchen(db, 'small', (kitchen) => ({ ...kitchen, metres: 900 })),
      changeKitchen(db, 'small', (kitchen) => ({ ...kitchen, ovens: [] })),
    ]);
    expect(await db.kitchens.get('small')).toMatchObject({ metres: 900, ovens: [] });
    expect((await changeKitchen(db, 'nowhere', (kitchen) => kitchen))?.sentence).toMatch(/no longer there/);
  });

  it('makes a new meal for tomorrow, and changes the print of a plan only with what it hangs on', async () => {
    const made = await createMeal(db, TODAY);
    expect((await db.meals.get(made!))?.day).toBe('2026-11-26');
    const meal = mealOf([plainGrain()]);
    expect(printOf({ ...meal, name: 'Other' })).toBe(printOf(meal));
    expect(printOf({ ...meal, people: 5 })).not.toBe(printOf(meal));
  });
});

describe('what is set by hand', () => {
  it('is stored with its plan, and is part of what a plan hangs on', async () => {
    await loadSamples(db, TODAY);
    const meal = (await loadMeal(db, 'boat'))!;
    const plan = await planned(mealOf([plainGrain()]));
    const pins = [{ key: 'red-rice/boil', start: -70, unit: 'burner:left' }];
    await setByHand(db, meal, pins, plan, 5);
    const changed = (await loadMeal(db, 'boat'))!;
    expect(changed.pins).toEqual(pins);
    expect((await db.plans.get('boat'))?.print).toBe(printOf(changed));
    expect(printOf(changed)).not.toBe(printOf(meal));
  });

  it('is refused when it is not sound', async () => {
    await loadSamples(db, TODAY);
    const refusal = await changeMeal(db, 'boat', { pins: [{ key: 'red-rice/boil', start: 1.5 }] }, 1);
    expect(refusal?.sentence).toMatch(/pins.*start/);
    expect((await loadMeal(db, 'boat'))?.pins).toBeUndefined();
  });
});

describe('a dish made in another way', () => {
  it('takes the place of the old one in its meal only, and what was put by hand for the old one goes', async () => {
    await loadSamples(db, TODAY);
    await db.meals.put({ ...(await db.meals.get('harvest'))!, id: 'second', name: 'Second' });
    const pins = [
      { key: 'cheeks/braise', start: -200 },
      { key: 'rice/boil', start: -60 },
    ];
    await changeMeal(db, 'harvest', { pins }, 1);
    const meal = (await loadMeal(db, 'harvest'))!;
    const cheeks = meal.dishes.find(({ id }) => id === 'cheeks')!;
    const other = { ...cheeks, id: 'cheeks-eve', name: 'Cheeks of yesterday' };
    expect(await carryOut(db, meal.id, { kind: 'dish', dishId: 'cheeks', dish: other }, 2)).toBeNull();
    const changed = (await loadMeal(db, 'harvest'))!;
    expect(changed.dishes.map(({ id }) => id)).toEqual(
      meal.dishes.map(({ id }) => (id === 'cheeks' ? 'cheeks-eve' : id)),
    );
    expect(changed.pins).toEqual([pins[1]]);
    expect((await loadMeal(db, 'second'))!.dishes).toEqual(meal.dishes);
  });

  it('is refused when it is not sound, and nothing stored is lost', async () => {
    await loadSamples(db, TODAY);
    const meal = (await loadMeal(db, 'harvest'))!;
    const broken = { ...meal.dishes[0]!, id: 'broken', steps: [] };
    expect(
      (await carryOut(db, meal.id, { kind: 'dish', dishId: meal.dishes[0]!.id, dish: broken }, 2))?.sentence,
    ).toMatch(/this needs at least 1/);
    expect(await loadMeal(db, 'harvest')).toEqual(meal);
    expect(await db.dishes.get('broken')).toBeUndefined();
  });
});

describe('a change of several dishes', () => {
  it('is stored whole or, where one of them is refused, not at all', async () => {
    const [sample] = SAMPLE_MEALS;
    await loadSamples(db, new Date('2026-11-25'), { samples: [sample!] });
    const [first, second] = sample!.dishes;
    const id = sample!.setting.id;
    const before = await db.meals.get(id);
    const other = { ...first!, id: 'other' };
    const broken = { ...second!, id: 'broken', steps: [] };
    const dishes = { [first!.id]: other, [second!.id]: broken };
    expect((await carryOut(db, id, { kind: 'dishes', dishes }, 5))?.sentence).toBeTruthy();
    expect(await db.meals.get(id)).toEqual(before);
    expect(await db.dishes.get('other')).toBeUndefined();
    expect(await carryOut(db, id, { kind: 'dishes', dishes: { [first!.id]: other } }, 6)).toBeNull();
    expect((await db.meals.get(id))?.dishIds[0]).toBe('other');
    expect((await carryOut(db, 'gone', { kind: 'hour', hour: '20:00' }, 7))?.sentence).toContain('no longer there');
  });
});

describe('an evening', () => {
  async function beginOther() {
    const meal = { ...mealOf([plainGrain()]), id: 'other' };
    await beginSession(db, meal, await planned(meal), 3);
    return (await openSession(db, 'other'))!;
  }

  it('keeps every event in order, one session a meal, and refuses a plan that is out of date', async () => {
    const meal = mealOf([plainGrain()]);
    const plan = await planned(meal);
    await Promise.all([beginSession(db, meal, plan, 1), beginSession(db, meal, plan, 2)]);
    expect(await db.sessions.count()).toBe(1);
    const { id } = (await openSession(db, meal.id))!;
    const { tableAt } = (await openSession(db, meal.id))!;
    // The clock of the device is put back between the second and the third: the log does not run backwards.
    const keys = ['grain/wash', 'grain/soak', 'grain/boil'];
    await Promise.all([5, 9, 2].map((now, index) => tell(db, id, { kind: 'done', key: keys[index]! }, now)));
    const { events } = (await db.sessions.get(id))!;
    expect(events.map(({ at }) => at)).toEqual([5, 9, 9]);
    expect(new Set(events.map((event) => event.id)).size).toBe(3);
    const both = ['a', 'b'].map((dish) => ({ kind: 'after', dish, minutes: 5 }) as const);
    const two = (await tell(db, (await beginOther()).id, both, 10))!;
    expect(two.events.map((event) => ('dish' in event ? event.dish : ''))).toEqual(['a', 'b']);
    expect(new Set(two.events.map((event) => event.id)).size).toBe(2);
    expect(await adoptPlan(db, id, 2, { plan, tableAt, moved: 'late' })).toBe(false);
    expect(await adoptPlan(db, id, 3, { plan, tableAt, moved: 'fresh' })).toBe(true);
    await endSession(db, id);
    expect(await openSession(db, meal.id)).toBeUndefined();
    expect((await db.sessions.get(id))?.events).toHaveLength(3);
  });

  it('takes over what another screen tells at once, and tells no more than that a plan is behind', async () => {
    const meal = mealOf([plainGrain()]);
    const plan = await planned(meal);
    await beginSession(db, meal, plan, 1);
    const { id, tableAt } = (await openSession(db, meal.id))!;
    const there = new Pantry(`${db.name} there`);
    await there.sessions.put((await db.sessions.get(id))!);
    const told = (await tell(there, id, { kind: 'done', key: 'grain/wash' }, 5))!;
    expect(await meetSession(db, id, sharedOf(told), true)).toMatchObject({ toldElsewhere: true, planKnows: 0 });
    await adoptPlan(there, id, 1, { plan, tableAt, moved: 'planned there' });
    await meetSession(db, id, sharedOf((await there.sessions.get(id))!), true);
    // Nothing that is of one browser only is left of it.
    expect(await db.sessions.get(id)).toEqual(withoutBefore((await there.sessions.get(id))!));
    expect(await meetSession(db, 'none', sharedOf(told), true)).toBeUndefined();
    // A plan of one's own that was adopted knows all that was told.
    await tell(db, id, { kind: 'done', key: 'grain/soak' }, 9);
    expect((await db.sessions.get(id))!.planKnows).toBe(1);
    await adoptPlan(db, id, 2, { plan, tableAt, moved: '' });
    expect((await db.sessions.get(id))!.planKnows).toBeUndefined();
  });

  it('takes a press that was counted twice for one, in one window or in two, and takes back and tells again', async () => {
    const meal = mealOf([plainGrain()]);
    await beginSession(db, meal, await planned(meal), 1);
    const { id } = (await openSession(db, meal.id))!;
    const done = { kind: 'done', key: 'grain/wash' } as const;
    await Promise.all([100, 101, 5000].map((now) => tell(db, id, done, now)));
    const first = (await openSession(db, meal.id))!.events;
    expect(first).toHaveLength(1);
    const undo = { kind: 'undo', of: first[0]!.id } as const;
    await Promise.all([6000, 6001].map((now) => tell(db, id, undo, now)));
    const undone = (await openSession(db, meal.id))!;
    expect(undone.events).toHaveLength(2);
    expect(standingEvents(undone.events)).toEqual([]);
    await tell(db, id, { kind: 'undo', of: lastTakenBack(undone.events)!.id }, 7000);
    const again = (await openSession(db, meal.id))!;
    expect(standingEvents(again.events)).toMatchObject([done]);
    expect(lastTakenBack(again.events)).toBeUndefined();
    // More time is more time, when it is asked for twice.
    const later = (until: number) => ({ kind: 'not-yet', key: 'grain/soak', until }) as const;
    await tell(db, id, later(60_000), 8000);
    await tell(db, id, later(60_004), 8004);
    await tell(db, id, later(120_000), 8200);
    await tell(db, id, later(120_000), 30_000);
    expect(standingEvents((await openSession(db, meal.id))!.events)).toHaveLength(4);
  });

  it('that was told more on another device knows so until it is planned anew', async () => {
    const meal = mealOf([plainGrain()]);
    await beginSession(db, meal, await planned(meal), 1);
    const here = (await openSession(db, meal.id))!;
    const { toldElsewhere: _, before: __, ...there } = (await tell(db, here.id, { kind: 'hour', minutes: 15 }, 10))!;
    await db.sessions.put(here);
    await bringIn(db, mealFile(meal, { log: [there] }), {}, 20);
    const both = (await openSession(db, meal.id))!;
    expect(both.events).toHaveLength(1);
    expect(both.toldElsewhere).toBe(true);
    const { plan, tableAt } = both;
    expect(await adoptPlan(db, here.id, 1, { plan, tableAt: tableAt + 15 * 60_000, moved: '' })).toBe(true);
    const after = (await openSession(db, meal.id))!;
    expect(after).not.toHaveProperty('toldElsewhere');
    expect(after.tableAt).toBe(tableAt + 15 * 60_000);
  });

  it('is known as put away at its own hour, and not when the meal is set for another day', async () => {
    const meal = mealOf([plainGrain()]);
    await beginSession(db, meal, await planned(meal), 1);
    expect(await wasPutAway(db, meal)).toBe(false);
    await endSession(db, (await openSession(db, meal.id))!.id);
    expect(await wasPutAway(db, meal)).toBe(true);
    expect(await wasPutAway(db, { ...meal, day: '2031-01-05' })).toBe(false);
  });

  it('is whole after the database is closed and opened again', async () => {
    const meal = mealOf([plainGrain()]);
    await beginSession(db, meal, await planned(meal), 1);
    const before = await openSession(db, meal.id);
    const { name } = db;
    db.close();
    const again = new Pantry(name);
    expect(await openSession(again, meal.id)).toEqual(before);
    expect(again.verno).toBe(6);
    expect(await Dexie.exists(name)).toBe(true);
  });

  it('of a database that version 5 really wrote is there with every record, and goes on', async () => {
    const text = readFileSync(new URL('../core/formats/fixtures/database-5.json', import.meta.url), 'utf8');
    const kept = JSON.parse(text) as { schema: Record<string, string>; tables: Record<string, object[]> };
    const old = new Dexie('really five');
    old.version(5).stores(kept.schema);
    await old.open();
    for (const [name, rows] of Object.entries(kept.tables)) await old.table(name).bulkPut(rows);
    old.close();
    const now = new Pantry('really five');
    for (const [name, rows] of Object.entries(kept.tables)) {
      if (name !== 'plans') expect([name, await now.table(name).count()]).toEqual([name, rows.length]);
    }
    const evening = (await openSession(now, 'boat'))!;
    const at = evening.events.at(-1)!.at;
    const running = liveSteps(evening, at).find(({ status }) => status === 'running')!;
    const told = await tell(now, evening.id, { kind: 'done', key: running.step.key }, at + 1);
    expect(told!.events).toHaveLength(evening.events.length + 1);
    const opened = (await openMeal(now, 'boat'))!;
    expect((await planned(opened.meal, 1)).landings.length).toBeGreaterThan(2);
    now.close();
  });

  it('and all else of version 5 has keys of today; what a cook says of a food is kept, and fills in every dish that has it', async () => {
    const grain = { ...plainGrain(), id: 'my/grain' };
    const meal = mealOf([grain]);
    const old = new Dexie('version five');
    const stores = {
      kitchens: 'id',
      dishes: 'id',
      meals: 'id, day',
      plans: 'mealId',
      sessions: 'id, mealId',
      marks: 'name',
    };
    const more = { measures: 'id', errands: 'id, mealId', larder: 'key', settings: 'name', photos: 'id' };
    old.version(5).stores({ ...stores, ...more });
    const { kitchen, dishes, ...setting } = meal;
    await old.table('kitchens').put(kitchen);
    await old.table('dishes').bulkPut([...dishes]);
    const pins = [{ key: 'my/grain/wash', start: -60 }];
    await old.table('meals').put({ ...setting, pins, kitchenId: kitchen.id, dishIds: [grain.id], changedAt: 1 });
    await old.table('plans').put({ mealId: meal.id, print: '', plan: {} });
    old.close();
    const now = new Pantry('version five');
    expect((await now.meals.get(meal.id))?.pins).toEqual([{ key: 'my%2fgrain/wash', start: -60 }]);
    expect(await now.plans.count()).toBe(0);
    const food: SaidFood = { kind: 'poultry', state: 'raw', diet: 'with meat', allergens: [] };
    const strange = {
      ...grain,
      id: 'other',
      ingredients: grain.ingredients.map((item) => (item.id === 'millet' ? { ...item, name: 'Blorps' } : item)),
    };
    await storeDish(now, strange);
    await sayFood(now, 'blorp', food);
    const blorp = async (id: string) =>
      (await now.dishes.get(id))?.ingredients.find((item) => item.name === 'Blorps')?.food;
    expect(await blorp('other')).toEqual(food);
    // The next time it is not asked again.
    await storeDish(now, { ...strange, id: 'third' });
    expect(await blorp('third')).toEqual(food);
    expect((await now.dishes.get('my/grain'))?.ingredients.some((item) => item.food)).toBe(false);
  });

  it('begun with an older version is still there, its steps with nothing to choose', async () => {
    const meal = mealOf([plainGrain()]);
    const plan = await planned(meal);
    const old = new Dexie('an older one');
    old.version(1).stores({ plans: 'mealId', sessions: 'id, mealId' });
    const steps = plan.steps.map(({ choices: _choices, chain: _chain, slackSooner: _sooner, ...step }) => step);
    await old.table('plans').put({ mealId: meal.id, print: '', plan: { ...plan, steps } });
    await old.table('sessions').put({ id: 's', mealId: meal.id, meal, events: [], plan: { ...plan, steps } });
    old.close();
    const now = new Pantry('an older one');
    const session = await openSession(now, meal.id);
    expect(session?.plan.steps.map(({ key }) => key)).toEqual(plan.steps.map(({ key }) => key));
    expect(session?.plan.steps.every(({ choices, chain }) => choices.length === 0 && chain.length === 0)).toBe(true);
    expect(await now.plans.count()).toBe(0);
  });
});

describe('dishes of one’s own', () => {
  const own = { ...plainGrain('own'), name: 'Own grain' };

  it('are stored when they are sound, and refused by name when they are not', async () => {
    expect(await storeDish(db, own)).toBeNull();
    expect((await db.dishes.get('own'))?.name).toBe('Own grain');
    const broken = { ...own, steps: own.steps.map((step) => ({ ...step, vessel: 'nowhere' })) };
    expect((await storeDish(db, broken))?.sentence).toContain('nowhere');
    expect((await storeDish(db, { ...own, servings: 0 }))?.sentence).toContain('servings');
    expect(await db.dishes.get('own')).toEqual(own);
  });

  it('go onto a menu once, last, and a meal that is gone is said in words', async () => {
    await loadSamples(db, TODAY);
    await storeDish(db, own);
    expect(await addToMeal(db, 'boat', 'own', 1)).toBeNull();
    expect(await addToMeal(db, 'boat', 'own', 2)).toBeNull();
    const ids = (await db.meals.get('boat'))!.dishIds;
    expect(ids.filter((id) => id === 'own')).toHaveLength(1);
    expect(ids.at(-1)).toBe('own');
    expect((await loadMeal(db, 'boat'))?.dishes.at(-1)?.name).toBe('Own grain');
    expect((await addToMeal(db, 'nowhere', 'own', 3))?.sentence).toContain('kept under Dishes');
  });

  it('keep the way they were made, and the grain they measure', async () => {
    const made = SHELF.find(({ grain }) => grain !== undefined)!;
    expect(await storeDish(db, made)).toBeNull();
    expect(await db.dishes.get(made.id)).toEqual(made);
    expect((await storeDish(db, { ...made, grain: { ...made.grain!, kind: 'gravel' } }))?.sentence).toContain('kind');
  });
});

describe('what a meal is for', () => {
  it('keeps appetite, leftovers and what was passed over, and each makes the plan anew but the last', async () => {
    await loadSamples(db, TODAY);
    const before = printOf((await loadMeal(db, 'boat'))!);
    await changeMeal(db, 'boat', { passedOver: ['grain red-rice'] }, 1);
    expect(printOf((await loadMeal(db, 'boat'))!)).toBe(before);
    await changeMeal(db, 'boat', { appetite: 'hearty', leftovers: 2 }, 2);
    const meal = (await loadMeal(db, 'boat'))!;
    expect(meal).toMatchObject({ appetite: 'hearty', leftovers: 2, passedOver: ['grain red-rice'] });
    expect(printOf(meal)).not.toBe(before);
    expect((await changeMeal(db, 'boat', { leftovers: -3 }, 3))?.sentence).toContain('leftovers');
    expect((await db.meals.get('boat'))?.leftovers).toBe(2);
  });

  it('a cook’s own measures outlive a reload', async () => {
    await db.measures.put({ id: '1', name: 'blue mug', millilitres: 310 });
    const name = db.name;
    db.close();
    db = new Pantry(name);
    expect(await db.measures.toArray()).toEqual([{ id: '1', name: 'blue mug', millilitres: 310 }]);
  });
});

describe('files', () => {
  beforeEach(() => loadSamples(db, TODAY));

  it('a meal goes out with its plan and its evenings, and comes into another browser as it was', async () => {
    await changeMeal(db, 'boat', { ahead: [{ dish: 'chickpeas', upTo: 'tender', days: 1 }], layOutFirst: true }, 1);
    const meal = (await loadMeal(db, 'boat'))!;
    const plan = await planned(meal, 1);
    await setByHand(db, meal, [], plan, 2);
    await beginSession(db, meal, plan, 3);
    const file = (await fileOfMeal(db, 'boat'))!;
    expect(file.plan).toEqual(plan);
    expect(file.log).toHaveLength(1);
    // Dishes go out as they are written, not as they are made ahead.
    expect(file.dishes[0]!.steps.some(({ id }) => id.endsWith('-again'))).toBe(false);
    const read = readMealFile(JSON.stringify(file));
    if (!read.ok) throw new Error(read.sentence);
    const other = new Pantry(`other ${count++}`);
    expect(await clashesWith(other, read.value)).toEqual([]);
    await bringIn(other, read.value, {}, 4);
    expect(await loadMeal(other, 'boat')).toEqual((await loadMeal(db, 'boat'))!);
    expect(await other.sessions.count()).toBe(1);
    // The same hours there: nothing is planned anew.
    const there = (await loadMeal(other, 'boat'))!;
    expect(await other.plans.get('boat')).toEqual({ mealId: 'boat', print: printOf(there), plan });
  });

  it('a meal that is handed over takes its evening along, else its plan; a plan that is of another meal is left', async () => {
    const meal = (await loadMeal(db, 'boat'))!;
    const plan = await planned(meal, 1);
    await setByHand(db, meal, [], plan, 1);
    const before = (await fileToHandOver(db, 'boat'))!;
    expect(before.plan).toEqual(plan);
    const other = new Pantry(`other ${count++}`);
    const [first, ...rest] = plan.steps;
    for (const wrong of [
      { ...plan, hour: '19:59' },
      { ...plan, steps: rest },
      { ...plan, steps: [{ ...first!, key: 'nothing/here' }, ...rest] },
    ]) {
      await bringIn(other, { ...before, plan: wrong }, {}, 2);
      expect(await other.plans.count()).toBe(0);
    }
    await bringIn(other, before, {}, 3);
    expect((await other.plans.get('boat'))?.plan).toEqual(plan);
    await beginSession(db, meal, plan, 4);
    const during = (await fileToHandOver(db, 'boat'))!;
    expect(during).not.toHaveProperty('plan');
    expect(during.log).toHaveLength(1);
    expect(await fileToHandOver(db, 'nowhere')).toBeUndefined();
  });

  it('where something differs nothing is overwritten, and both stand beside each other', async () => {
    const file = (await fileOfMeal(db, 'boat'))!;
    await changeMeal(db, 'boat', { people: 6 }, 1);
    const before = await db.meals.get('boat');
    expect((await clashesWith(db, file)).map(({ kind }) => kind)).toEqual(['meal']);
    const { id, name } = await bringIn(db, file, {}, 2);
    expect([id, name]).toEqual(['boat-2', 'Two burners on the boat (2)']);
    expect(await db.meals.get('boat')).toEqual(before);
    expect(await db.dishes.count()).toBe(new Set(SAMPLE_MEALS.flatMap((meal) => meal.dishes)).size);
  });

  it('a backup restores everything, and a broken one nothing', async () => {
    await db.larder.put({ key: 'flour', name: 'flour', have: { quantity: 1, unit: 'kg' }, price: null });
    await db.measures.put({ id: 'mug', name: 'the mug', millilitres: 300 });
    await db.errands.put({ id: 'boat/flour', mealId: 'boat', key: 'flour', state: 'at home' });
    await db.settings.bulkPut([
      { name: 'paper', value: 'Letter' },
      { name: 'backed up', value: 4 },
    ]);
    const bytes = Uint8Array.from({ length: 70_000 }, (_, index) => (index * 31) % 256);
    await db.photos.put({ id: 'photo-1', blob: new Blob([bytes], { type: 'image/jpeg' }) });
    const saved = await backup(db, 9);
    expect(saved.settings).toEqual([{ name: 'paper', value: 'Letter' }]);
    const read = readBackup(JSON.stringify(saved));
    expect(read).toEqual({ ok: true, value: saved });
    const other = new Pantry(`other ${count++}`);
    await loadSamples(other, TODAY);
    await changeMeal(other, 'harvest', { people: 3 }, 1);
    await other.settings.put({ name: 'backed up', value: 7 });
    await restore(other, saved);
    const photo = (await other.photos.get('photo-1'))!.blob;
    expect([photo.type, new Uint8Array(await photo.arrayBuffer())]).toEqual(['image/jpeg', bytes]);
    expect((await other.settings.get('backed up'))?.value).toBe(7);
    expect({ ...(await backup(other, 9)) }).toEqual(saved);
    // Twice the same meal cannot be stored: the whole restore is taken back.
    const broken = { ...saved, meals: [...saved.meals, saved.meals[0]!] };
    await expect(restore(other, broken)).rejects.toThrow();
    expect({ ...(await backup(other, 9)) }).toEqual(saved);
    const homeless = JSON.stringify({ ...saved, kitchens: saved.kitchens.slice(1) });
    const refused = readBackup(homeless);
    expect(refused.ok ? '' : refused.sentence).toMatch(/meals, ".*", kitchenId: there is no kitchen/);
  });

  it('a backup is asked for when the last one is long ago and something changed since', async () => {
    const day = 86_400_000;
    const now = TODAY.getTime() + 20 * day;
    await changeMeal(db, 'boat', { people: 5 }, now - 1);
    expect(await wantsBackup(db, TODAY.getTime() + day)).toBe(false);
    expect(await wantsBackup(db, now)).toBe(true);
    await db.settings.put({ name: 'backed up', value: now });
    expect(await wantsBackup(db, now + 30 * day)).toBe(false);
  });
});
