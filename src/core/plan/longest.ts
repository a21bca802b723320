/** Each search for a plan has the seconds that were given; all that a meal is tried in takes no more than so many times of them. */
export const LONGEST_PLAN = 6;
