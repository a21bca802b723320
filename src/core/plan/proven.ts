import type { Meal } from '@/core/meal/meal';
import { say } from '@/core/say/say';
import type { Plan } from './plan';

/**
 * What a proof of a plan leaves open, each to stand behind "the best plan": steps stay where they were put by hand, room is kept for what takes longer, each boil stands on a
 * burner as quick as the one it has, for its minutes are those of that burner, and what keeps is prepared before the last hour. Empty where
 * the proof leaves nothing open.
 */
export function provenGiven(
  { pins, dishes, kitchen, layOutFirst, sureness }: Meal,
  { lastHourOpen }: Pick<Plan, 'lastHourOpen'>,
): readonly string[] {
  const boils = dishes.some(({ steps }) => steps.some(({ grows }) => grows.by === 'boil'));
  return [
    ...((pins ?? []).length > 0 ? [say('with what you put by hand')] : []),
    ...(sureness === 'short' ? [] : [say('with room for what takes longer')]),
    ...(boils && kitchen.burners.length > 1 ? [say('on these burners')] : []),
    ...(layOutFirst === false || lastHourOpen ? [] : [say('with the last hour kept for cooking')]),
  ];
}
