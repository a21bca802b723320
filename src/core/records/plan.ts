import Joi from 'joi';
import { DUTIES } from '@/core/dish/dish';
import { HEATS } from '@/core/kitchen/kitchen';
import { MOST_DISHES, MOST_PEOPLE } from '@/core/meal/check';
import type {
  Assured,
  Cause,
  DishOdds,
  HandsBand,
  Landing,
  Odds,
  Plan,
  PlannedStep,
  Station,
  Waiting,
} from '@/core/plan/plan';
import { TABLE_SHARES } from '@/core/plan/well-landed';
import { dayShape as day, hourShape as hour, idShape, recordOf, textShape as text } from './shapes';

const id = idShape(100);
const minute = Joi.number().min(-100_000).max(100_000);
const range = Joi.object({
  low: Joi.number().required(),
  likely: Joi.number().required(),
  high: Joi.number().required(),
});
const station = recordOf<Station>({
  id: text.required(),
  sort: Joi.string().valid('board', 'burner', 'oven', 'appliance', 'shelf').required(),
  name: text.required(),
});

const share = Joi.number().min(0).max(1).required();
const three = Joi.array().items(minute).length(3).required();
/** How an evening may go by a plan. */
export const oddsShape = recordOf<Odds>({
  evenings: Joi.number().integer().min(1).required(),
  within5: share,
  within10: share,
  good: share,
  table: Joi.array().items(minute).length(TABLE_SHARES.length).required(),
  dishes: Joi.array()
    .items(
      recordOf<DishOdds>({
        dishId: text.required(),
        dishName: text.required(),
        ready: three,
        waits: three,
        late: share,
        good: share,
      }),
    )
    .required(),
  causes: Joi.array()
    .items(recordOf<Cause>({ key: text.required(), odds: Joi.number().min(0).max(1).required() }))
    .required(),
  assured: recordOf<Assured>({
    onTime: share,
    good: share,
    breaks: Joi.array().items(text).required(),
    mends: Joi.array()
      .items(
        Joi.alternatives(
          Joi.object({ by: Joi.string().valid('sooner').required(), minutes: minute.required() }),
          Joi.object({
            by: Joi.string().valid('waits').required(),
            dishId: text.required(),
            minutes: minute.required(),
          }),
        ),
      )
      .required(),
  }),
});

/** A plan in a file. What it was made from stands beside it; a reader that does not trust it plans anew. */
export const planShape = recordOf<Plan>({
  mealId: id,
  day,
  hour,
  people: Joi.number().integer().min(1).max(MOST_PEOPLE).required(),
  steps: Joi.array()
    .items(
      recordOf<PlannedStep>({
        key: text.required(),
        stepId: text.required(),
        kind: Joi.string().valid('step', 'warm-up').required(),
        duty: Joi.string().valid(...DUTIES),
        safeMinutes: minute,
        dishId: text.required(),
        dishName: text.required(),
        name: text.required(),
        says: text.required(),
        part: Joi.number().integer().required(),
        parts: Joi.number().integer().required(),
        start: minute.required(),
        end: minute.required(),
        minutes: minute.required(),
        room: minute,
        shortestEnd: minute.required(),
        longestEnd: minute.required(),
        attention: Joi.string().valid('hands', 'eyes', 'none').required(),
        lookEvery: Joi.number().allow(null).required(),
        station: station.required(),
        choices: Joi.array().items(text).required(),
        heat: Joi.string()
          .valid(...HEATS)
          .allow(null)
          .required(),
        celsius: Joi.number().allow(null).required(),
        vessel: text.allow(null).required(),
        person: Joi.object({ id: text.required(), name: text.required() }).allow(null).required(),
        doneWhen: text.required(),
        cautions: Joi.array().items(text).required(),
        amounts: Joi.array().items(text).required(),
        why: text.required(),
        slack: minute.required(),
        slackSooner: minute.required(),
        chain: Joi.array().items(text).required(),
        after: Joi.array().items(text).required(),
        follows: text.allow(null).required(),
        ahead: Joi.boolean().required(),
        learned: Joi.number().integer().min(0),
      }),
    )
    .max(MOST_DISHES * 200)
    .required(),
  landings: Joi.array()
    .items(
      recordOf<Landing>({
        dishId: text.required(),
        dishName: text.required(),
        ready: minute.required(),
        waits: minute.required(),
        late: minute.required(),
        after: minute,
        wellMinutes: minute.required(),
        mostMinutes: minute.required(),
        how: text.required(),
        served: Joi.string().valid('hot', 'warm', 'cold').required(),
        fine: Joi.string().valid('well', 'long', 'too long', 'late').required(),
        celsius: range,
      }),
    )
    .required(),
  waitings: Joi.array()
    .items(
      recordOf<Waiting>({
        dishId: text.required(),
        from: minute.required(),
        to: minute.required(),
        after: text.required(),
        before: text.allow(null).required(),
        cold: Joi.boolean().required(),
      }),
    )
    .required(),
  stations: Joi.array().items(station).required(),
  hands: Joi.array()
    .items(
      recordOf<HandsBand>({
        personId: text.required(),
        name: text.required(),
        busy: Joi.array()
          .items(Joi.object({ start: minute.required(), end: minute.required(), key: text.required() }))
          .required(),
      }),
    )
    .required(),
  firstHand: minute.required(),
  quietStretch: minute.required(),
  proven: Joi.boolean().required(),
  lastHourOpen: Joi.boolean().valid(true),
  cost: Joi.number().required(),
  verdict: text.required(),
  odds: oddsShape,
  known: Joi.object({
    places: Joi.object()
      .pattern(
        Joi.string(),
        Joi.object({
          start: minute.required(),
          end: minute.required(),
          wanted: minute,
          units: Joi.array().items(text).required(),
        }),
      )
      .required(),
    holds: Joi.object().pattern(Joi.string(), text).required(),
  }).required(),
});
