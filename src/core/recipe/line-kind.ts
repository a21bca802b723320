/** What a line of a recipe is. */
export const LINE_KINDS = [
  'title',
  'servings',
  'time',
  'ingredients',
  'method',
  'part',
  'aside',
  'ingredient',
  'step',
  'note',
] as const;
/** What a line of a recipe is: the last four head or hold what it says, the others are about it. */
export type LineKind = (typeof LINE_KINDS)[number];
