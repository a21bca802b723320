import { beforeEach, describe, expect, it } from 'vitest';
import { USUAL_ANSWERS } from '@/core/kitchen/usual';
import { Pantry } from './db';
import {
  copyKitchen,
  createKitchen,
  kitchenForNewMeal,
  putBackKitchen,
  rememberKitchen,
  removeKitchen,
} from './kitchens';
import { changeKitchen, createMeal } from './meals';
import { loadSamples } from './samples';

const TODAY = new Date(2026, 10, 25, 15, 0);
let db: Pantry;
let count = 0;
beforeEach(() => {
  db = new Pantry(`kitchens-${count++}`);
});

describe('kitchens', () => {
  it('are made one after another, each with a name and an id of its own', async () => {
    const ids = await Promise.all([1, 1, 1].map((now) => createKitchen(db, USUAL_ANSWERS, now)));
    expect(new Set(ids).size).toBe(3);
    const names = (await db.kitchens.toArray()).map(({ name }) => name);
    expect(names.toSorted()).toEqual(['My kitchen', 'My kitchen 2', 'My kitchen 3']);
  });

  it('are copied: what is changed in the copy leaves the first as it was', async () => {
    await loadSamples(db, TODAY);
    const hall = await db.kitchens.get('hall');
    const id = await copyKitchen(db, 'hall', 7);
    await changeKitchen(db, id!, (kitchen) => ({ ...kitchen, ovens: [] }));
    expect(await db.kitchens.get('hall')).toEqual(hall);
    expect(await db.kitchens.get(id!)).toEqual({ ...hall, id, name: `${hall!.name}, copy`, ovens: [] });
    expect(await copyKitchen(db, 'nowhere', 7)).toBeNull();
  });

  it('are removed and put back, but not while a meal is cooked in them', async () => {
    await loadSamples(db, TODAY);
    const kept = await removeKitchen(db, 'hall');
    expect(kept.ok ? '' : kept.refusal.sentence).toMatch(/stays: Harvest supper is cooked in it/);
    expect(await db.kitchens.get('hall')).toBeDefined();
    const id = await createKitchen(db, USUAL_ANSWERS, 5);
    const mine = await db.kitchens.get(id);
    const gone = await removeKitchen(db, id);
    expect(gone).toEqual({ ok: true, kitchen: mine });
    expect(await db.kitchens.get(id)).toBeUndefined();
    await putBackKitchen(db, mine!);
    expect(await db.kitchens.get(id)).toEqual(mine);
    expect((await removeKitchen(db, 'nowhere')).ok).toBe(false);
  });

  it('a new meal is cooked in the one made or chosen last, and where that is gone in that of the last meal', async () => {
    expect(await kitchenForNewMeal(db)).toBeUndefined();
    expect(await createMeal(db, TODAY)).toBeNull();
    await loadSamples(db, TODAY);
    const id = await createKitchen(db, USUAL_ANSWERS, 5);
    expect((await db.meals.get((await createMeal(db, TODAY))!))?.kitchenId).toBe(id);
    await rememberKitchen(db, 'boat');
    await rememberKitchen(db, 'no longer there');
    expect((await kitchenForNewMeal(db))?.id).toBeDefined();
  });
});
