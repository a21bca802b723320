import { describe, expect, it } from 'vitest';
import { TEST_CLOCK } from '@/core/testing/clock';
import { mealOf, plainGrain, smallKitchen } from '@/core/testing/meals';
import { LONGEST_PLAN } from './longest';
import { planMeal } from './plan-meal';
import { SURE_ENOUGH } from './well-landed';

/** A clock of which every look takes a second. */
function hasteClock() {
  let now = 0;
  return {
    now: () => {
      now += 1000;
      return now;
    },
    pause: () => Promise.resolve(),
  };
}

describe('a meal without a plan', () => {
  // Eight dishes, two pots, and nobody at the stove before the hour has come.
  const crowd = Array.from({ length: 8 }, (_, k) => plainGrain(`grain-${k}`));
  const late = { ...smallKitchen, people: [{ ...smallKitchen.people[0]!, from: '19:05' }] };
  const meal = mealOf(crowd, { kitchen: late });

  it('of which the time ended first is undecided, and says so', async () => {
    const result = await planMeal(meal, { solve: { seconds: 1, ...hasteClock() } });
    expect(result).toMatchObject({ ok: false, undecided: true });
    expect(!result.ok && result.refusals[0]?.sentence).toMatch(/No plan was found in the time there was/);
  });

  it('that cannot be cooked is decided: it names what collides, and more time is not asked for', async () => {
    const result = await planMeal(meal, { solve: { ...TEST_CLOCK, seconds: 20 } });
    expect(result).toMatchObject({ ok: false });
    expect(!result.ok && result.undecided).toBeUndefined();
    expect(!result.ok && result.refusals[0]?.sentence).toMatch(/cannot be cooked.*These collide/s);
  });
});

describe('a meal that is more than its kitchen can do', () => {
  it('is planned within a few times of the seconds that were given, however much is tried for it', async () => {
    // A fine clock that runs by itself: every look at it takes ten milliseconds.
    let looks = 0;
    const now = () => 10 * ++looks;
    const kitchen = { ...smallKitchen, burners: smallKitchen.burners.slice(0, 1) };
    const grains = Array.from({ length: 5 }, (_, k) => plainGrain(`grain-${k}`));
    const crowded = mealOf(grains, { kitchen, sureness: 'even' });
    const seconds = 0.5;
    const result = await planMeal(crowded, { solve: { seconds, now, pause: () => Promise.resolve() } });
    expect(result.ok && result.plan.odds?.good).toBeLessThan(SURE_ENOUGH);
    expect(now()).toBeLessThan(1000 * (LONGEST_PLAN * seconds + 2));
  });
});
