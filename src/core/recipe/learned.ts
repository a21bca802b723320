import type { Attention, Place } from '@/core/dish/dish';
import weights from './learned.json' with { type: 'json' };
import { LINE_KINDS, type LineKind } from './line-kind';
import { Judge, type Weights } from './perceptron';

type Learned = {
  readonly lines: Weights<LineKind>;
  readonly places: Weights<Place['at']>;
  readonly attentions: Weights<Attention>;
};

// Trained by tools/reader/train.ts, which says on what and how well.
const { lines, places, attentions } = weights as unknown as Learned;

/** What a line is, as learned. */
export const lineJudge = new Judge(lines);
/** Where a step is done, as learned. */
export const placeJudge = new Judge(places);
/** How much attention a step takes, as learned. */
export const attentionJudge = new Judge(attentions);

/** Kinds that a line may be that heads nothing by its words. */
export const OPEN_KINDS: ReadonlySet<LineKind> = new Set(
  LINE_KINDS.filter((kind) => kind !== 'ingredients' && kind !== 'method' && kind !== 'aside'),
);
