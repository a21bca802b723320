import { beforeAll, describe, expect, it } from 'vitest';
import { drainedGrain, mealOf, plainGrain, planned } from '@/core/testing/meals';
import type { Landing, Plan } from './plan';
import { whatCameOf, whatLands, whatMoved } from './plan-diff';

let plan: Plan;
beforeAll(async () => {
  plan = await planned(mealOf([plainGrain(), drainedGrain()]));
});

const shifted = (by: number, key: string): Plan => ({
  ...plan,
  steps: plan.steps.map((each) => (each.key === key ? { ...each, start: each.start + by, end: each.end + by } : each)),
});

const landed = (ready: number, dishId: string): Plan => ({
  ...plan,
  landings: plan.landings.map(
    (landing): Landing =>
      landing.dishId === dishId
        ? { ...landing, ready, waits: Math.max(0, -ready), late: Math.max(0, ready), fine: ready > 0 ? 'late' : 'well' }
        : landing,
  ),
});

describe('what moved', () => {
  it('is told by dish, without what is fixed and without single minutes', () => {
    expect(whatMoved(plan, shifted(1, 'grain/boil'), new Set(), 'So')).toBe('So; nothing else moved.');
    expect(whatMoved(plan, shifted(9, 'grain/boil'), new Set(), 'So')).toBe(
      'So; only this moved: Grain grain 9 min later.',
    );
    expect(whatMoved(plan, shifted(9, 'grain/boil'), new Set(['grain/boil']), 'So')).toBe('So; nothing else moved.');
  });

  it('says when the table must wait', () => {
    const late: Plan = { ...plan, landings: plan.landings.map((landing) => ({ ...landing, late: 12 })) };
    expect(whatMoved(plan, late, new Set(), 'So')).toBe('So; nothing else moved. The table waits until 19:12.');
    expect(whatMoved(late, plan, new Set(), 'So')).toMatch(/Back on time for 19:00/);
  });
});

describe('what lands', () => {
  it('says when nothing changes at the table', () => {
    expect(whatLands(plan, shifted(9, 'grain/boil'))).toBe('At the table nothing changes.');
  });

  it('tells of each dish how it lands now and how it did', () => {
    const before = landed(-4, 'grain');
    expect(whatLands(before, landed(-14, 'grain'))).toContain(
      'Grain grain: a wait of 14 min instead of a wait of 4 min',
    );
    expect(whatLands(before, landed(0, 'grain'))).toContain(
      'Grain grain: straight to the table instead of a wait of 4 min',
    );
    expect(whatLands(before, landed(7, 'grain'))).toContain('Grain grain: 7 min late instead of a wait of 4 min');
    expect(whatLands(landed(7, 'grain'), before)).toContain('Grain grain: a wait of 4 min instead of 7 min late');
  });

  it('tells when the first hand is wanted at another hour', () => {
    const sooner = { ...plan, firstHand: plan.firstHand - 30 };
    expect(whatLands(plan, sooner)).toMatch(/First hand on a knife at \d\d:\d\d instead of \d\d:\d\d/);
  });
});

describe('what came of a move by hand', () => {
  const at = (key: string) => plan.steps.find((step) => step.key === key)!;
  const key = 'grain/boil';

  it('tells where the step stands and what else moved, not the step again', () => {
    const told = whatCameOf(plan, shifted(5, key), { key, start: at(key).start + 5 });
    expect(told).toMatch(/^Boil stands at \d\d:\d\d; nothing else moved\. At the table nothing changes\.$/);
  });

  it('names the nearest minute when the wished one cannot be', () => {
    const told = whatCameOf(plan, shifted(5, key), { key, start: at(key).start + 12 });
    expect(told).toMatch(/^Boil cannot stand at \d\d:\d\d; \d\d:\d\d is the nearest;/);
  });

  it('names the burner when it is another, and when it could not be', () => {
    const here = at(key);
    const other = plan.stations.find(({ id, sort }) => sort === 'burner' && id !== here.station.id)!;
    const after: Plan = {
      ...plan,
      steps: plan.steps.map((step) => (step.key === key ? { ...step, station: other } : step)),
    };
    expect(whatCameOf(plan, after, { key, unit: other.id })).toContain(`stands on ${other.name} at`);
    const asked = { key, unit: other.id };
    const allowed: Plan = {
      ...plan,
      steps: plan.steps.map((step) => (step.key === key ? { ...step, choices: [here.station.id, other.id] } : step)),
    };
    expect(whatCameOf(plan, allowed, asked)).toContain(`cannot stand on ${other.name} then`);
    expect(whatCameOf(plan, plan, { key: 'gone/step' })).toContain('does not hold this step');
  });
});
