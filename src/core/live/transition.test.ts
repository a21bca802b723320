import { beforeAll, describe, expect, it } from 'vitest';
import { checkDish } from '@/core/dish/check';
import { SHELF } from '@/core/dish/shelf';
import type { Plan } from '@/core/plan/plan';
import { largeKitchen, twoBurners } from '@/core/testing/large-kitchen';
import { mealOf, planned } from '@/core/testing/meals';
import type { LiveEvent } from './events';
import { QUICK_DISHES } from './quick-dishes';
import { instantOf, type LiveStep, liveSteps, type Session } from './session';
import { tellAndPlan } from './testing/simulate';
import { standingOn, toCarry, transitionOf } from './transition';

const rice = SHELF.find(({ name }) => name === 'Plain long grain rice')!;
const meal = mealOf([rice], { kitchen: largeKitchen });
const TABLE = Date.UTC(2026, 10, 28, 18, 0);
let plan: Plan;
beforeAll(async () => {
  plan = await planned(meal);
});
const at = (minute: number) => instantOf({ tableAt: TABLE }, minute);
/** All told as planned up to the middle of a step. */
function during(name: string): { readonly session: Session; readonly now: number; readonly live: LiveStep } {
  const step = plan.steps.find((each) => each.name === name)!;
  const now = at((step.start + step.end) / 2);
  const events = plan.steps.flatMap(({ key, start, end }): LiveEvent[] => [
    ...(at(start) <= now ? [{ id: `b ${key}`, at: at(start), kind: 'begun', key } as const] : []),
    ...(at(end) <= now ? [{ id: `d ${key}`, at: at(end), kind: 'done', key } as const] : []),
  ]);
  const session: Session = {
    id: 's',
    meal,
    tableAt: TABLE,
    plan,
    events: events.sort((a, b) => a.at - b.at),
    moved: '',
  };
  return { session, now, live: liveSteps(session, now).find(({ step: { key } }) => key === step.key)! };
}

describe('what the hand does to pot and flame', () => {
  it('is said where the heat changes, and where the pot moves', () => {
    const { session, now, live } = during('covered');
    const steps = liveSteps(session, now);
    expect(transitionOf(live, steps)).toMatch(/^(?:Move .+ from .+ to .+\. )?Turn it down: full to (?:low|lowest)\.$/);
    const moved = {
      ...live,
      step: { ...live.step, station: { ...live.step.station, id: 'burner:other', name: 'Burner nine' } },
    };
    expect(transitionOf(moved, steps)).toMatch(/^Move .+ from .+ to Burner nine\. Turn it down/);
    const oven = {
      ...live,
      step: {
        ...live.step,
        station: { id: 'oven:o', sort: 'oven' as const, name: 'the oven' },
        heat: null,
        celsius: 160,
      },
    };
    expect(transitionOf(oven, steps)).toBe('Into the oven, 160 °C.');
    // Left where it is, in the oven that is switched off.
    const off = { ...oven, step: { ...oven.step, key: 'off', after: [oven.step.key], celsius: null } };
    expect(transitionOf(off, [oven])).toBe('');
    expect(transitionOf({ ...off, step: { ...off.step, celsius: 90 } }, [oven])).toBe('Into the oven, 90 °C.');
    // What stood nowhere before, and what stays as it is, asks nothing.
    expect(transitionOf(during('boil').live, steps)).toBe('');
    const boil = plan.steps.find(({ name }) => name === 'boil')!;
    const same = { ...live, step: { ...live.step, heat: boil.heat, station: boil.station } };
    expect(transitionOf(same, steps)).toBe('');
  });

  it('names the pots of a burner that failed, and where each goes, until it stands there', async () => {
    const { session, now, live } = during('covered');
    const unit = live.step.station.id;
    const stood = standingOn(liveSteps(session, now), unit);
    expect(stood).toEqual([live.step.key]);
    const told = await tellAndPlan(session, { kind: 'failed', unit, stood }, now);
    const [carry, ...others] = toCarry(told, liveSteps(told, now));
    expect(others).toEqual([]);
    expect(carry!.from).toBe(live.step.station.name);
    expect(carry!.live.step.station.id).not.toBe(unit);
    const stands = await tellAndPlan(
      told,
      { kind: 'moved', key: live.step.key, unit: carry!.live.step.station.id },
      now + 1000,
    );
    expect(toCarry(stands, liveSteps(stands, now + 1000))).toEqual([]);
  });
});

describe('what is quick', () => {
  it.each(QUICK_DISHES.map((dish) => [dish.name, dish] as const))(
    '%s is sound, and ready within a quarter of an hour on two burners',
    async (_, dish) => {
      expect(checkDish(dish)).toEqual([]);
      const quick = await planned(mealOf([dish], { kitchen: twoBurners, people: 6 }), 2, 1);
      expect(Math.max(...quick.steps.map(({ end }) => end)) - quick.steps[0]!.start).toBeLessThanOrEqual(20);
    },
  );
});
