/** The weights of a plan, in cost a minute. Common practice, no source: late is far worse than waiting. */
export const COST = {
  late: 50,
  early: 2,
  spoiling: 20,
  stale: 1,
  /** A hot dish that waits longer than it does well, where an evening is planned for what may happen. */
  beyondWell: 25,
  longWait: 1,
  awake: 1,
  /** Work after the table is laid, on what the meal has no use for. */
  afterTable: 3,
  /** Work of an earlier day late in its evening. */
  lateEvening: 1,
  /** Board work that is to be done together, and is not. */
  apart: 3,
  missedLag: 20,
  moved: 2,
  otherUnit: 4,
  /** A pin that cannot be kept: as near to it as can be, whatever is late for it. */
  pinned: 400,
} as const;

/** Waiting between steps that nobody minds: prepared food on the board, what is laid out for the evening, food between two heats. */
export const RATHER_WITHIN = { prepared: 45, laidOut: 150, cooking: 10 } as const;

/** Minutes a hot dish may wait before a fresher one is worth something. Common practice, no source. */
export const FRESH_MINUTES = 15;

/** The hour before the table is for cooking: what keeps as long as this and more is prepared before it. Common practice, no source. */
export const HOT_HOUR_MINUTES = 60;
/** What keeps so many minutes once it is cut may be laid out before the hot hour. Common practice, no source. */
export const KEEPS_LAID_OUT = 90;
