import type { Dish, Growth, Ingredient, Link, Step, VesselUse } from '@/core/dish/dish';
import { written } from '@/core/say/retold';
import { scaleAmount } from '@/core/units/amount';

const SECOND = '~2';
/** Both pots come to the table within so many minutes of one another. */
const TOGETHER = 10;
/** Half the food takes more than half the hands: the board is got out twice. Common practice, no source. */
const HANDS_OF_HALF = 0.6;

/**
 * The dish with what happens in one of its vessels shared out between two, each with half; null where that cannot be, because another
 * dish wants what comes out of it or another vessel is tied to it. The dish gets an id of its own.
 */
export function sharedOut(dish: Dish, use: VesselUse): Dish | null {
  const inside = new Set(dish.steps.filter(({ vessel }) => vessel === use.id).map(({ id }) => id));
  const tied = dish.vessels.some((other) => other !== use && (inside.has(other.from) || inside.has(other.to)));
  if (tied || inside.size === 0 || dish.gives.some(({ step }) => inside.has(step))) return null;
  if (!inside.has(use.from) || !inside.has(use.to)) return null;

  const outside = new Set(dish.steps.filter(({ id }) => !inside.has(id)).flatMap(({ uses }) => uses));
  const split = new Set(
    dish.steps.filter(({ id }) => inside.has(id)).flatMap(({ uses }) => uses.filter((id) => !outside.has(id))),
  );
  const second = (id: string) => `${id}${SECOND}`;
  const steps = dish.steps.flatMap((step): Step[] => {
    if (!inside.has(step.id)) return [step];
    const half = halved(step);
    const uses = step.uses.map((id) => (split.has(id) ? second(id) : id));
    return [
      { ...half, name: written('{step}, first pot', { step: step.name }) },
      {
        ...half,
        id: second(step.id),
        name: written('{step}, second pot', { step: step.name }),
        vessel: second(use.id),
        uses,
      },
    ];
  });
  const ingredients = dish.ingredients.flatMap((item): Ingredient[] => {
    if (!split.has(item.id)) return [item];
    const half = item.grows ? { ...item, amount: scaleAmount(item.amount, 0.5) } : item;
    return [half, { ...half, id: second(item.id) }];
  });
  const links = dish.links.flatMap((link): Link[] => {
    const from = inside.has(link.from) ? second(link.from) : link.from;
    const to = inside.has(link.to) ? second(link.to) : link.to;
    return from === link.from && to === link.to ? [link] : [link, { ...link, from, to }];
  });
  const landing = dish.lands?.step;
  if (landing !== undefined && inside.has(landing)) {
    links.push({ from: second(landing), at: 'end', to: landing, of: 'end', min: -TOGETHER, max: TOGETHER });
  }
  const need = { ...use.need, litres: use.need.litres / 2 };
  const { grain: _, ...rest } = dish;
  return {
    ...rest,
    id: `${dish.id}-shared-${use.id}`,
    steps,
    ingredients,
    links,
    vessels: dish.vessels.flatMap((other) =>
      other === use
        ? [
            { ...use, need },
            { ...use, need, id: second(use.id), from: second(use.from), to: second(use.to) },
          ]
        : [other],
    ),
    takes: dish.takes.flatMap((take) => {
      if (!inside.has(take.step)) return [take];
      const half = { ...take, amount: scaleAmount(take.amount, 0.5) };
      return [half, { ...half, step: second(take.step) }];
    }),
  };
}

function halved(step: Step): Step {
  const { grows, minutes } = step;
  if (grows.by !== 'people') return { ...step, grows: halfGrowth(grows) };
  const less = (value: number) => (value === 0 ? 0 : Math.max(1, Math.round(value * HANDS_OF_HALF)));
  return {
    ...step,
    minutes: { shortest: less(minutes.shortest), likely: less(minutes.likely), longest: less(minutes.longest) },
  };
}

function halfGrowth(grows: Growth): Growth {
  switch (grows.by) {
    case 'boil':
      return { ...grows, litres: grows.litres / 2 };
    case 'batches':
      return {
        ...grows,
        servingsPerBatch: grows.servingsPerBatch * 2,
        ...(grows.floorCm2 === undefined ? {} : { floorCm2: grows.floorCm2 / 2 }),
      };
    default:
      return grows;
  }
}
