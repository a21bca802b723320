import type { Dish, Step } from '@/core/dish/dish';
import type { MendingStep } from './events';

/** Minutes within which what was found wrong is put right: the hands are at it already. */
const AT_ONCE = 10;

/** The dish with one more step after the one by which it was ready; it lands, and waits, from there. `id` tells it from others. */
export function mended(dish: Dish, { name, says, minutes, heat, hands }: MendingStep, id: string): Dish {
  const { lands, vessels } = dish;
  if (!lands) return dish;
  const pot = vessels.find(({ to }) => to === lands.step);
  const step: Step = {
    id: `mend-${id}`,
    name,
    says,
    minutes: { shortest: minutes, likely: minutes, longest: Math.ceil(minutes * 1.5) },
    grows: { by: 'nothing' },
    attention: hands ? 'hands' : heat ? 'eyes' : 'none',
    by: 'cook',
    ...(heat && !hands ? { lookEvery: 5 } : {}),
    place: heat ? { at: 'burner', heat } : hands ? { at: 'board' } : { at: 'rest' },
    ...(pot ? { vessel: pot.id } : {}),
    doneWhen: '',
    cautions: [],
    uses: [],
  };
  return {
    ...dish,
    steps: [...dish.steps, step],
    links: [...dish.links, { from: lands.step, at: 'end', to: step.id, of: 'start', min: 0, max: AT_ONCE }],
    vessels: vessels.map((use) => (use === pot ? { ...use, to: step.id } : use)),
    lands: { ...lands, step: step.id },
  };
}
