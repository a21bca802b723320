import type { Session } from './session';

/** An evening at the stove, as it is kept: put away when it is over. */
export interface Evening extends Session {
  readonly mealId: string;
  readonly over: boolean;
}
