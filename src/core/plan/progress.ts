/** What has happened so far, as the planner needs it. Minutes are relative to the table: negative before it. */
export interface Progress {
  /** The present. */
  readonly now: number;
  /** Steps that are over, by plan key. */
  readonly done: ReadonlyMap<string, { readonly start: number; readonly end: number }>;
  /** Steps under way, with the minute at which they are now thought to end. */
  readonly running: ReadonlyMap<string, { readonly start: number; readonly end: number }>;
}

/** How a plan places a step, in minutes relative to the table: what re-planning tries to keep. */
export interface KnownPlace {
  readonly start: number;
  readonly end: number;
  /** The minute it was to begin before what was late pushed it on, where that is another one: it goes back towards that when there is time after all. */
  readonly wanted?: number;
  /** Chosen units in the order of the step's needs. */
  readonly units: readonly string[];
}

/** A plan the cook already knows: places by plan key, and the unit of each hold. */
export interface KnownPlan {
  readonly places: ReadonlyMap<string, KnownPlace>;
  readonly holds: ReadonlyMap<string, string>;
  /** Holds that the cook has given to a unit: no other will do. */
  readonly given?: ReadonlyMap<string, string>;
}
