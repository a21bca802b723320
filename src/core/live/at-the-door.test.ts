import { beforeAll, describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { portionsOf } from '@/core/meal/meal';
import { scaledFor } from '@/core/meal/scaled';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { barleyLeeks, mushroomStock } from '@/demo/harvest';
import { mealAsItIs } from './as-it-is';
import { doorIdeas, fixedAt } from './at-the-door';
import type { LiveEvent } from './events';
import { dishesOf } from './guests';
import { isTrouble } from './offer';
import { QUICK_DISHES } from './quick-dishes';
import { instantOf, liveSteps, type Session } from './session';
import { planRestIn, tellAndPlan } from './testing/simulate';
import { whatIf } from './what-if';

const shelf = (name: string) => SHELF.find((dish) => dish.name === name)!;
const first = shelf('Plain long grain rice');
const second = shelf('Bulgur pilaf with tomato');
const MEAL = mealOf([first, second], { people: 8, kitchen: largeKitchen });
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(MEAL);
});
const planRest = planRestIn(3);

/** An evening of which only the first dish has begun. */
function halfBegun(): { readonly session: Session; readonly at: number } {
  const own = plan.steps.filter(({ dishId }) => dishId === first.id);
  const start = Math.min(...plan.steps.map((step) => step.start));
  const key = own[0]!.key;
  const at = instantOf({ tableAt: TABLE }, start - 5);
  const events: LiveEvent[] = [{ id: '1', at, kind: 'begun', key }];
  return { session: { id: 's', meal: MEAL, tableAt: TABLE, plan, events, moved: '' }, at: at + 1000 };
}
const amountOf = (session: Session, at: number, dishId: string) => {
  const meal = mealAsItIs(session, at);
  const dish = scaledFor(meal, meal.dishes.find(({ id }) => id === dishId)!);
  return dish.ingredients.find(({ id }) => id === dish.grain?.dry)!.amount.quantity;
};

describe('more people at the door', () => {
  it('lets grow what has not begun, and leaves as large as it is what has', async () => {
    const { session, at } = halfBegun();
    expect(fixedAt(session, 3, at)).toEqual([first.id]);
    const before = [first, second].map(({ id }) => amountOf(session, at, id));
    const told = await tellAndPlan(session, { kind: 'guests', more: 3, fixed: fixedAt(session, 3, at) }, at);
    const [fixed, grown] = [first, second].map(({ id }) => amountOf(told, at, id));
    expect(fixed).toBeCloseTo(before[0]!, 5);
    expect(grown! / before[1]!).toBeCloseTo(11 / 8, 2);
    expect(mealAsItIs(told, at).people).toBe(11);
    // What goes in says so on the cards that are still to come.
    const said = (from: Session) =>
      from.plan.steps.filter(({ dishId }) => dishId === second.id).flatMap(({ amounts }) => amounts);
    expect(said(told)).not.toEqual(said(session));
    // Three more, and three fewer: as it was.
    const again = await tellAndPlan(told, { kind: 'guests', more: -3, fixed: [first.id] }, at);
    expect(amountOf(again, at, second.id)).toBeCloseTo(before[1]!, 2);
  });

  it('leaves as it is what would not fit its pot', () => {
    const { session, at } = halfBegun();
    const pots = largeKitchen.vessels.map((vessel) => ({ ...vessel, litres: Math.min(vessel.litres, 5) }));
    const small = { ...session, meal: { ...MEAL, kitchen: { ...largeKitchen, vessels: pots } } };
    expect(fixedAt(small, 12, at)).toEqual([first.id, second.id]);
  });

  it('says what a portion becomes, and offers what is quick, each planned', async () => {
    const { session, at } = halfBegun();
    const ideas = doorIdeas(session, 3, at);
    const share = ideas.find(({ id }) => id === 'share')!;
    expect(share.how).toContain(`a portion is ${Math.round(800 / 11)} % of what it was`);
    expect(share.how).toContain(`${second.name} is cooked for 11`);
    expect(ideas.map(({ id }) => id)).toEqual(expect.arrayContaining(QUICK_DISHES.map(({ id }) => id)));
    for (const { id, does } of ideas) {
      const { trouble, leadsTo } = await whatIf(session, does, at, planRest);
      expect(leadsTo, id).toMatch(/lands in time/);
      expect(isTrouble(trouble), id).toBe(false);
    }
  });

  it('brings the quick dish to the table with the rest', async () => {
    const { session, at } = halfBegun();
    const bread = doorIdeas(session, 3, at).find(({ id }) => id === 'extra-bread')!;
    let told = session;
    for (const said of bread.does) told = await tellAndPlan(told, said, at);
    const cut = told.plan.steps.find(({ dishId }) => dishId === 'extra-bread')!;
    // For the three, and some for all: 3 + 0.4 x 8 = 7 portions of 70 g.
    expect(cut.amounts.join()).toMatch(/490|500/);
    expect(told.plan.landings.find(({ dishId }) => dishId === 'extra-bread')).toMatchObject({ late: 0 });
    expect(liveSteps(told, at).some(({ step }) => step.key === cut.key)).toBe(true);
    // It is not offered twice, and can be left out again.
    expect(doorIdeas(told, 1, at).some(({ id }) => id === 'extra-bread')).toBe(false);
    // What is taken back is no dish of the evening any more.
    const back = {
      ...told,
      events: [...told.events, { id: 'u', at, kind: 'undo', of: told.events.at(-1)!.id } as const],
    };
    expect(dishesOf(told).map(({ id }) => id)).toContain('extra-bread');
    expect(dishesOf(back).map(({ id }) => id)).not.toContain('extra-bread');
    const without = await tellAndPlan(told, { kind: 'dropped', dish: 'extra-bread' }, at);
    expect(without.plan.steps.some(({ dishId }) => dishId === 'extra-bread')).toBe(false);
  });

  it('makes a soup on the heat longer by about an eighth', async () => {
    const meal = mealOf([mushroomStock, barleyLeeks], { people: 8, kitchen: largeKitchen });
    const whole = await planned(meal);
    const simmer = whole.steps.find(({ key }) => key === `${mushroomStock.id}/simmer`)!;
    const at = instantOf({ tableAt: TABLE }, simmer.start) + 60_000;
    const events = whole.steps
      .filter(({ start }) => start <= simmer.start)
      .flatMap(({ key, start, end }): LiveEvent[] => [
        { id: `b ${key}`, at: instantOf({ tableAt: TABLE }, start), kind: 'begun', key },
        ...(end <= simmer.start
          ? [{ id: `d ${key}`, at: instantOf({ tableAt: TABLE }, end), kind: 'done', key } as const]
          : []),
      ]);
    const session: Session = { id: 's', meal, tableAt: TABLE, plan: whole, events, moved: '' };
    const longer = doorIdeas(session, 3, at).find(({ id }) => id === 'loosen')!;
    expect(longer.says).toContain(mushroomStock.name);
    const water = longer.does.find(({ kind }) => kind === 'water');
    const litres = scaledFor(meal, mushroomStock).ingredients.find(({ id }) => id === 'water')!.amount;
    const ml = litres.unit === 'l' ? litres.quantity * 1000 : litres.quantity;
    expect(water?.kind === 'water' ? water.ml / ml : 0).toBeCloseTo(0.12, 1);
  });

  it('counts appetites as the meal does', () => {
    const { session, at } = halfBegun();
    const told: Session = {
      ...session,
      meal: { ...MEAL, appetite: 'hearty' },
      events: [...session.events, { id: '2', at, kind: 'guests', more: 2, fixed: [] }],
    };
    const meal = mealAsItIs(told, at);
    expect(portionsOf(meal)).toBe(12.5);
    expect(meal.dishes.map(({ servings }) => servings)).toEqual(MEAL.dishes.map(({ servings }) => servings));
  });
});
