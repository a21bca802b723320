/**
 * A stretch of time over which a resource is taken: from the start of one step to the end of another plus a tail. Held
 * under a condition: the choice of that resource.
 */
export interface Use {
  /** View of the start of the first step. */
  readonly from: number;
  /** View of the start of the last step. */
  readonly to: number;
  /** Minutes from the start of the last step until the resource is free again. */
  readonly tail: number;
  readonly amount: number;
  /** View of the choice that makes it real; a constant when it always is. */
  readonly choice: number;
}
