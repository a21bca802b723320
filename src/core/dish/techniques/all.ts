import type { Technique } from '@/core/dish/technique';
import { HAND_TECHNIQUES } from './fry-fill-stir';
import { GRAIN_TECHNIQUES } from './grain';
import { LAYERED_TECHNIQUES } from './layered';
import { BROTH_TECHNIQUES } from './meat-and-broth';
import { POT_TECHNIQUES } from './pot-and-pan';
import { MEAT_TECHNIQUES } from './stock-and-meat';

/** All techniques there are. A new one is added to the list of its file. */
export const TECHNIQUES: readonly Technique[] = [
  ...GRAIN_TECHNIQUES,
  ...LAYERED_TECHNIQUES,
  ...BROTH_TECHNIQUES,
  ...MEAT_TECHNIQUES,
  ...POT_TECHNIQUES,
  ...HAND_TECHNIQUES,
];

/** The technique of an id; throws where there is none. */
export function techniqueOf(id: string): Technique {
  const found = TECHNIQUES.find((each) => each.id === id);
  if (!found) throw new Error(`There is no technique "${id}".`);
  return found;
}
