'use client';

import type { FromWorker, ToWorker } from './words';

// The app on this device, as a window sees it: whether it is kept here, whether a newer one waits, whether it can be installed.

export interface Installation {
  /**
   * `unknown` until it is looked at; `keeping` while it is being fetched; `kept`; `insecure` where the address is neither https nor this
   * machine, and `impossible` where the browser cannot.
   */
  readonly state: 'unknown' | 'keeping' | 'kept' | 'insecure' | 'impossible';
  /** A newer one is here, and waits to be shown. */
  readonly newer: boolean;
  /** Asks the browser to install the app; null where it does not offer that. */
  readonly install: (() => void) | null;
}

/** The browser's offer to install, which not every browser makes. */
interface InstallOffer extends Event {
  readonly prompt: () => Promise<void>;
}

/** Milliseconds between looks whether there is a newer one. */
const BETWEEN_LOOKS = 3_600_000;

export const AT_FIRST: Installation = { state: 'unknown', newer: false, install: null };

let now = AT_FIRST;
const listeners = new Set<() => void>();
let registration: ServiceWorkerRegistration | undefined;
let begun = false;

function become(change: Partial<Installation>): void {
  now = { ...now, ...change };
  for (const listener of listeners) listener();
}

export function installation(): Installation {
  return now;
}

export function onInstallation(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Keeps the app on this device, once in a window. `mayLook` says whether this is a time to look for a newer one. */
export function keepOnDevice(mayLook: () => Promise<boolean>): void {
  if (begun) return;
  begun = true;
  addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    const offer = event as InstallOffer;
    become({ install: () => void offer.prompt().then(() => become({ install: null })) });
  });
  addEventListener('appinstalled', () => become({ install: null }));
  if (!isSecureContext || !('serviceWorker' in navigator)) {
    become({ state: isSecureContext ? 'impossible' : 'insecure' });
    return;
  }
  navigator.serviceWorker.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => {
    if (data.kind === 'settled') location.reload();
    else become({ newer: now.newer || (data.used !== null && data.used !== data.newest) });
  });
  navigator.serviceWorker
    .register('/sw.js', { updateViaCache: 'none' })
    // A browser that is told to keep nothing may answer with nothing.
    .then((registered: ServiceWorkerRegistration | undefined) => {
      if (registered) watch(registered, mayLook);
      else become({ state: 'impossible' });
    })
    .catch((error: unknown) => {
      console.warn(error);
      become({ state: navigator.serviceWorker.controller ? 'kept' : 'impossible' });
    });
}

function watch(registered: ServiceWorkerRegistration, mayLook: () => Promise<boolean>): void {
  registration = registered;
  const look = () => {
    if (registered.active) become({ state: 'kept' });
    else if (registered.installing) become({ state: 'keeping' });
    if (registered.waiting && registered.active) become({ newer: true });
    registered.active?.postMessage({ kind: 'which' } satisfies ToWorker);
  };
  const follow = (worker: ServiceWorker | null) => worker?.addEventListener('statechange', look);
  follow(registered.installing);
  registered.addEventListener('updatefound', () => follow(registered.installing));
  look();
  setInterval(async () => {
    // Without a network there is nothing newer to be had.
    if (await mayLook()) await registered.update().catch(() => undefined);
  }, BETWEEN_LOOKS);
}

/** Shows the newer one: every window is loaded again with it. */
export function showTheNewest(): void {
  (registration?.waiting ?? registration?.active)?.postMessage({ kind: 'use the newest' } satisfies ToWorker);
}
