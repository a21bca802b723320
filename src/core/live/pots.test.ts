import { beforeAll, describe, expect, it } from 'vitest';
import { SHELF } from '@/core/dish/shelf';
import { asLearned, learnFrom, NOTHING_LEARNED, unlearned } from '@/core/log/lessons';
import { lookBack, proposalsFor } from '@/core/log/look-back';
import { measuresOf } from '@/core/log/records';
import type { Plan, PlannedStep } from '@/core/plan/plan';
import { largeKitchen } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import { mealAsItIs } from './as-it-is';
import { doorIdeas } from './at-the-door';
import type { Evening } from './evening';
import { type NewEvent, standingEvents } from './events';
import { dishesOf, withGuests } from './guests';
import { findWays } from './live-remedies';
import { toMeasure } from './measuring';
import { isTrouble, troubleOf } from './offer';
import { instantOf, isFinished, type LiveStep, liveSteps, type Session } from './session';
import { ladderOf, lookedAtStage } from './stages';
import { planRestIn, tellAndPlan } from './testing/simulate';

const shelf = (name: string) => SHELF.find((dish) => dish.name === name)!;
const beef = shelf('Beef and rice with dark onions');
const soup = shelf('Carrot soup');
const meal = mealOf([beef, soup], { people: 5, kitchen: largeKitchen });
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
const MINUTE = 60_000;
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal);
});
const planRest = planRestIn(4);

const isOnions = ({ dishId, name }: PlannedStep) => dishId === beef.id && name.startsWith('onions');
const isStrain = ({ step, status }: LiveStep) =>
  status === 'running' && step.dishId === beef.id && step.name.includes('strain');

/**
 * Cooks an evening minute by minute: the broth is a fifth short, the onions take twice as long, three more come half an hour before the
 * table. The cook says what is seen, and takes the first way that is offered.
 */
async function anEvening(): Promise<Session> {
  let session: Session = { id: 'evening', meal, tableAt: TABLE, plan, events: [], moved: '' };
  const tell = async (said: NewEvent, at: number) => {
    session = await tellAndPlan(session, said, at);
  };
  const done = new Set<string>();
  const once = (what: string) => !done.has(what) && Boolean(done.add(what));
  for (let minute = plan.steps[0]!.start - 1; minute < 180; minute++) {
    const at = instantOf({ tableAt: TABLE }, minute) + 1000;
    const steps = liveSteps(session, at);
    if (isFinished(steps)) return session;
    const onions = steps.find(({ step, status }) => status === 'running' && isOnions(step));
    const ladder = onions && ladderOf(onions.step);
    // Late in their planned time they are glassy still.
    if (onions && ladder && at > onions.startAt + 0.8 * onions.step.minutes * MINUTE && once('look'))
      await tell(lookedAtStage(onions, ladder, 1, at), at);
    const strain = steps.find(isStrain);
    const eating = withGuests(meal, standingEvents(session.events));
    const measure = strain && toMeasure(eating, beef.id, strain.step.stepId);
    if (strain && measure && once('jug')) {
      const ml = Math.round(measure.wantedMl * 0.8);
      await tell({ kind: 'measured', key: strain.step.key, product: measure.product, ml, does: 'topped up' }, at);
    }
    if (minute >= -30 && once('door')) {
      const bread = doorIdeas(session, 3, at).find(({ id }) => id === 'extra-bread')!;
      for (const said of bread.does) await tell(said, at);
    }
    if (isTrouble(troubleOf(session)) && minute % 4 === 0) {
      const [way] = await findWays(session, at, planRest);
      for (const said of way?.does ?? []) await tell(said, at);
    }
    for (let told = 0; told < 20; told++) {
      const press = liveSteps(session, at).find(({ step, status, startAt, endAt }) => {
        const real = isOnions(step) ? startAt + 2 * step.minutes * MINUTE : endAt;
        return (status === 'due' && step.attention !== 'hands') || (status === 'running' && real <= at);
      });
      if (!press) break;
      await tell({ kind: press.status === 'due' ? 'begun' : 'done', key: press.step.key }, at);
    }
  }
  throw new Error('The evening never ended.');
}

describe('an evening by what is really in the pots', () => {
  let session: Session;
  beforeAll(async () => {
    session = await anEvening();
  });

  it('ends with everything hot', () => {
    const end = Math.max(...liveSteps(session, TABLE + 300 * MINUTE).map(({ endAt }) => endAt));
    for (const dish of mealAsItIs(session, end).dishes) {
      if (dish.lands?.waits.served !== 'hot') continue;
      const own = liveSteps(session, end + MINUTE).filter(({ step }) => step.dishId === dish.id);
      const ready = Math.max(...own.map(({ endAt }) => endAt));
      expect((end - ready) / MINUTE, dish.name).toBeLessThanOrEqual(dish.lands.waits.mostMinutes + 1);
    }
    expect(dishesOf(session)).toHaveLength(3);
  });

  it('says in its log why', () => {
    const kinds = standingEvents(session.events).map(({ kind }) => kind);
    expect(kinds).toEqual(expect.arrayContaining(['measured', 'checked', 'guests', 'added']));
    const evening: Evening = { ...session, mealId: 'm', over: true };
    const onions = lookBack(evening).records.find(({ name }) => name.startsWith('onions'))!;
    expect(onions.real / onions.planned).toBeGreaterThan(1.7);
    const [broth] = measuresOf(evening);
    expect(broth!.real).toBeLessThan(broth!.thought);
    // It is told afterwards, and what went in after a taste is there from the beginning next time.
    const salted: Evening = {
      ...evening,
      events: [
        ...evening.events,
        {
          id: 'taste',
          at: TABLE,
          kind: 'tasted',
          dish: soup.id,
          sense: 'flat',
          gave: { name: 'fine salt', amount: { quantity: 0.5, unit: 'tsp' } },
        },
      ],
    };
    const proposals = proposalsFor(salted, NOTHING_LEARNED, [beef, soup]);
    expect(proposals.find(({ id }) => id.startsWith('measured'))!.says).toMatch(/^Count on about .* of .*broth/);
    const salt = proposals.find(({ id }) => id.startsWith('added fine salt'))!;
    const tsp = (of: typeof soup) => of.ingredients.find(({ name }) => name === 'fine salt')!.amount.quantity;
    expect(tsp(salt.dish!) - tsp(soup)).toBeCloseTo((0.5 * soup.servings) / 5, 5);
  });

  it('teaches how much broth there is: the next time it is known before', () => {
    const evening: Evening = { ...session, mealId: 'm', over: true };
    const [broth] = measuresOf(evening);
    const next = asLearned(meal, learnFrom([evening]));
    const giveOf = (of: typeof meal) => of.dishes[0]!.gives[0]!;
    const share = giveOf(next).amount.quantity / giveOf(meal).amount.quantity;
    // One measurement is believed nearly as it is, and no further.
    const seen = broth!.real / broth!.thought;
    expect(share).toBeGreaterThan(seen);
    expect(share).toBeLessThan(seen + 0.15 * (1 - seen));
    expect(giveOf(next).learned?.times).toBe(1);
    expect(unlearned(next.dishes[0]!).gives[0]!.amount.quantity).toBeCloseTo(giveOf(meal).amount.quantity, 9);
    // What was learned once is not learned again from the same jug.
    const again: Evening = { ...evening, meal: next };
    const [later] = measuresOf(again);
    expect(later!.thoughtPlain).toBeCloseTo(broth!.thought, 0);
  });
});
