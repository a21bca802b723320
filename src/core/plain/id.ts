/**
 * Ids that a file may not bring: those of what every object inherits, which a careless reader takes for something else, and the two that a
 * path in an address takes for a way up.
 */
export const UNFIT_IDS: readonly string[] = [...Object.getOwnPropertyNames(Object.prototype), 'prototype', '.', '..'];
