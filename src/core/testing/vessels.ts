import { holdOfVessel } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import type { Plan, PlannedStep } from '@/core/plan/plan';

/** Pots and pans that a plan has in two places at once, in words; none in a plan that can be cooked. */
export function vesselsInTwoPlaces({ dishes }: Pick<Meal, 'dishes'>, plan: Plan): readonly string[] {
  const stands = new Map<string, PlannedStep[]>();
  for (const step of plan.steps) {
    const dish = dishes.find(({ id }) => id === step.dishId);
    const use = dish?.steps.find(({ id }) => id === step.stepId)?.vessel;
    const vessel = use === undefined || !dish ? undefined : plan.known.holds[holdOfVessel(dish.id, use)];
    if (vessel === undefined || step.kind !== 'step') continue;
    stands.set(vessel, [...(stands.get(vessel) ?? []), step]);
  }
  const found: string[] = [];
  for (const [vessel, steps] of stands) {
    const hot = steps.filter(({ station }) => station.sort !== 'board' && station.sort !== 'shelf');
    for (const [k, one] of hot.entries())
      for (const other of hot.slice(k + 1)) {
        const overlap = one.start < other.end && other.start < one.end;
        if (overlap && one.station.id !== other.station.id)
          found.push(`${vessel}: ${one.key} on ${one.station.name}, ${other.key} on ${other.station.name}`);
      }
  }
  return found;
}
