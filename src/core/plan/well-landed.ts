/** Minutes after its hour within which a table is on time. Common practice, no source. */
export const ON_TIME = 5;
/** Minutes beyond its good wait that nobody tastes. Common practice, no source. */
export const NOT_TASTED = 3;

/** Shares for which the hour of the table is told. */
export const TABLE_SHARES = [0.05, 0.25, 0.5, 0.75, 0.9, 0.95] as const;
