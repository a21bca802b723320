import type { Meal } from './meal';

/**
 * What a proof of a plan leaves open, to stand behind "the best plan": steps stay where they were put by hand, and each boil stands on a
 * burner as quick as the one it has, for its minutes are those of that burner. Empty where the proof leaves nothing open.
 */
export function provenGiven({ pins, dishes, kitchen }: Meal): string {
  const boils = dishes.some(({ steps }) => steps.some(({ grows }) => grows.by === 'boil'));
  return [
    ...((pins ?? []).length > 0 ? [' with what you put by hand'] : []),
    ...(boils && kitchen.burners.length > 1 ? [' on these burners'] : []),
  ].join(',');
}
