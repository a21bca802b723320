/** The name of the app's database in the browser. */
export const PANTRY = 'warm-cadence';
