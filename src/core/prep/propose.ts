import { asMadeAhead } from '@/core/meal/ahead';
import type { MadeAhead, Meal } from '@/core/meal/meal';
import { minuteAt } from '@/core/plain/wall-clock';
import type { PlanResult } from '@/core/plan/made';
import type { Plan } from '@/core/plan/plan';
import { ofTwenty } from '@/core/plan/say-odds';
import { applied } from '@/core/remedies/change';
import { type Tryable, type TryOutOptions, tryOut } from '@/core/remedies/try-out';
import { handsBetween, hotHourOf } from './hot-hour';
import { type Offer, offersOf } from './offers';

/** A dish that could be made ahead. */
interface AheadIdea extends Tryable {
  readonly offer: Offer;
  readonly made: MadeAhead;
}

/** A dish made ahead, planned for real: what the day of the table then asks. */
export interface AheadProposal extends AheadIdea {
  /** Minutes of cooks' hands on the day, and in its last hour, and how much less that is than now. */
  readonly hands: number;
  readonly hotHour: number;
  readonly spares: number;
  /** Minutes that the last hour is spared. */
  readonly sparesHotHour: number;
  /** Minutes by which the last dish is late. */
  readonly late: number;
  /** Share of rehearsed evenings that land well; null where they were not rehearsed. */
  readonly good: number | null;
}

/**
 * Plans each dish that can be made ahead and is not, on the evening before, and returns those that spare hands on the day without asking more of its last hour, or
 * bring something late into time, the best first: less late, then more evenings that land well, then what the last hour and the day are spared.
 */
export async function proposeAhead(
  written: Meal,
  before: Plan,
  plan: (meal: Meal) => Promise<PlanResult>,
  options: TryOutOptions<AheadProposal> = {},
): Promise<readonly AheadProposal[]> {
  const chosen = written.ahead ?? [];
  const firsts = offersOf(written).filter(
    ({ dishId }, index, all) =>
      !chosen.some(({ dish }) => dish === dishId) && all.findIndex((each) => each.dishId === dishId) === index,
  );
  const ideas = firsts.map((offer): AheadIdea => {
    const made: MadeAhead = { dish: offer.dishId, upTo: offer.upTo, days: 1 };
    return { id: `ahead ${offer.dishId}`, effort: 0, offer, made };
  });
  const now = dayOf(written, before);
  return tryOut<AheadIdea, AheadProposal>(
    ideas,
    async (idea) => {
      const meal = asMadeAhead(applied(written, { kind: 'ahead', made: idea.made }));
      const result = await plan(meal);
      if (!result.ok) return null;
      const then = dayOf(meal, result.plan);
      const spares = now.hands - then.hands;
      const sparesHotHour = now.hotHour - then.hotHour;
      // Hands spared in the afternoon are no help where the last hour pays for them.
      const helps = (spares > 0 && sparesHotHour >= 0) || then.late < now.late || lands(then) > lands(now);
      return helps ? { ...idea, ...then, spares, sparesHotHour } : null;
    },
    (a, b) =>
      a.late - b.late || lands(b) - lands(a) || b.spares + 2 * b.sparesHotHour - (a.spares + 2 * a.sparesHotHour),
    () => undefined,
    options,
  );
}

/** Evenings that land well, as finely as anybody can tell: of twenty. */
function lands({ good }: Pick<AheadProposal, 'good'>): number {
  return good === null ? 0 : ofTwenty(good);
}

function dayOf(meal: Meal, plan: Plan): Pick<AheadProposal, 'hands' | 'hotHour' | 'late' | 'good'> {
  return {
    hands: Math.round(handsBetween(meal, plan, minuteAt(meal, 0, 0), 0)),
    hotHour: Math.round(hotHourOf(meal, plan).minutes),
    late: Math.max(0, ...plan.landings.map(({ late }) => late)),
    good: plan.odds?.good ?? null,
  };
}
