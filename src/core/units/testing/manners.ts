import type { Manner } from '../manner';

/** For tests: as most cooks of the United States measure. */
export const AMERICAN: Manner = {
  amounts: 'american',
  heat: 'fahrenheit',
  clock: 'am and pm',
  decimal: 'point',
  figures: 'western',
};
