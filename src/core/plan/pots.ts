import { holdOfVessel, nameOfUnit, readUnit } from '@/core/meal/keys';
import type { Meal } from '@/core/meal/meal';
import { pinOf } from '@/core/meal/pin';
import { vesselsFor } from '@/core/meal/stations';
import { clockAt } from '@/core/plain/wall-clock';
import { leastWidthOf, partsOf } from './lots';
import type { Plan } from './plan';

/** A vessel taken for one use of one dish. */
export interface PotTaken {
  /** The key that a pin of it has. */
  readonly key: string;
  readonly dish: string;
  /** "rice pot". */
  readonly use: string;
  readonly vessel: { readonly id: string; readonly name: string };
  /** Litres it must hold, and width in cm where that is asked. */
  readonly litres: number;
  readonly widthCm: number;
  /** Minutes relative to the table between which it is taken, washing up included. */
  readonly start: number;
  readonly end: number;
  /** The same as clock hours. */
  readonly from: string;
  readonly until: string;
  /** Vessels of the kitchen that fit, the snuggest first, with the unit that pins each. */
  readonly choices: readonly { readonly id: string; readonly unit: string; readonly name: string }[];
  /** The vessel was chosen by the cook. */
  readonly byHand: boolean;
}

/** Which vessel is taken for what and when, over the whole meal, in the order they are taken. */
export function potsOf(meal: Meal, plan: Plan): readonly PotTaken[] {
  const { dishes, parts } = partsOf(meal, (key) => plan.known.places[key]?.units[0]);
  const clock = (minute: number) => clockAt(plan, minute);
  const taken = dishes.flatMap((dish) =>
    dish.vessels.flatMap((use): PotTaken[] => {
      const key = holdOfVessel(dish.id, use.id);
      const unit = plan.known.holds[key];
      const first = plan.known.places[parts.get(`${dish.id}/${use.from}`)?.[0]?.key ?? ''];
      const last = plan.known.places[parts.get(`${dish.id}/${use.to}`)?.at(-1)?.key ?? ''];
      if (unit === undefined || !first || !last) return [];
      const widthCm = Math.max(use.need.widthCm, leastWidthOf(dish, use.id, parts));
      const fitting = vesselsFor(meal.kitchen, { ...use.need, widthCm });
      const ids = [...new Set(fitting.map((each) => readUnit(each.id).id))];
      return [
        {
          key,
          dish: dish.name,
          use: use.name,
          vessel: { id: readUnit(unit).id, name: nameOfUnit(meal.kitchen, unit) },
          litres: use.need.litres,
          widthCm,
          start: first.start,
          end: last.end + use.washMinutes,
          from: clock(first.start),
          until: clock(last.end + use.washMinutes),
          choices: ids.map((id) => {
            const own = fitting.find((each) => readUnit(each.id).id === id)!.id;
            return { id, unit: own, name: nameOfUnit(meal.kitchen, own) };
          }),
          byHand: pinOf(meal.pins ?? [], key)?.unit !== undefined,
        },
      ];
    }),
  );
  return taken.sort((a, b) => a.start - b.start);
}
