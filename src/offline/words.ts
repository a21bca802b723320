// What a window and what keeps the app on the device say to each other.

export type ToWorker = { readonly kind: 'which' } | { readonly kind: 'use the newest' };

export type FromWorker =
  /** The build that is shown and the newest that is kept. */
  | { readonly kind: 'builds'; readonly used: string | null; readonly newest: string }
  /** Another build is shown from now on: a window shows it when it is loaded again. */
  | { readonly kind: 'settled' };
