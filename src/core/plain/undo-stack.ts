/** What can be taken back and done again: states before and after the present one, the nearest last. */
export interface Past<State> {
  readonly before: readonly State[];
  readonly after: readonly State[];
}

const MOST_KEPT = 60;

/** Nothing to take back yet. */
export const NO_PAST: Past<never> = { before: [], after: [] };

/** A change away from `present`: it can be taken back, and what was taken back earlier is forgotten. */
export function changedFrom<State>(past: Past<State>, present: State): Past<State> {
  return { before: [...past.before, present].slice(-MOST_KEPT), after: [] };
}

/** One step back from `present`; null when there is none. */
export function takenBack<State>(
  past: Past<State>,
  present: State,
): { readonly state: State; readonly past: Past<State> } | null {
  const state = past.before.at(-1);
  if (state === undefined) return null;
  return { state, past: { before: past.before.slice(0, -1), after: [...past.after, present] } };
}

/** One step that was taken back, done again; null when there is none. */
export function doneAgain<State>(
  past: Past<State>,
  present: State,
): { readonly state: State; readonly past: Past<State> } | null {
  const state = past.after.at(-1);
  if (state === undefined) return null;
  return { state, past: { before: [...past.before, present], after: past.after.slice(0, -1) } };
}
