import { type RouteHandlerCallback, Serwist } from 'serwist';
import { buildInUse, cachesOf, pagesOf, settle, takeOver } from './builds';
import { eveningRuns } from './evening-runs';
import { addressOf, filled, pageOf } from './pages';
import type { FromWorker, ToWorker } from './words';

// Keeps the whole app on the device: every file of the build and one page of each kind, fetched once. From then on pages come from there, with
// or without a network. Made into one file by tools/service-worker.mjs, which knows the three names below.

declare const self: ServiceWorkerGlobalScope;
/** Which build this is. */
declare const BUILD: string;
/** Addresses of what is served as files; those of the first list never change what they hold. */
declare const FILES: { readonly fixed: readonly string[]; readonly ofBuild: readonly string[] };
/** Routes of the views. */
declare const ROUTES: readonly string[];

/** Kept for an address that no view has. */
const NOWHERE = '/nowhere';
const KINDS = ['page', 'flight'] as const;
type Kind = (typeof KINDS)[number];
/** What the framework asks for between views is the data of a page, told by a header of its own. */
const FLIGHT = { RSC: '1' };

const isFlight = (request: Request) =>
  request.headers.has('RSC') &&
  !request.headers.has('Next-Router-Prefetch') &&
  !request.headers.has('Next-Router-Segment-Prefetch');

/** Under which address a page is kept. */
const keyOf = (route: string, kind: Kind) => `/${kind}${route}`;

async function keepPages(): Promise<void> {
  const cache = await caches.open(pagesOf(BUILD));
  // One after the other: the cook's own first page has the server before.
  for (const route of [...ROUTES, NOWHERE]) {
    for (const kind of route === NOWHERE ? (['page'] as const) : KINDS) {
      const address = addressOf(route);
      const answer = await fetch(kind === 'flight' ? `${address}?_rsc` : address, {
        cache: 'no-store',
        headers: kind === 'flight' ? FLIGHT : {},
      });
      if (!answer.ok && route !== NOWHERE) throw new Error(`${route} could not be kept: ${answer.status}`);
      await cache.put(keyOf(route, kind), answer);
    }
  }
}

/** A page as it is kept, told whose it is; null where none is. */
async function kept(pathname: string, kind: Kind): Promise<Response | null> {
  const build = await buildInUse(caches);
  if (build === null) return null;
  const page = pageOf(pathname, ROUTES);
  const cache = await caches.open(pagesOf(build));
  const found = await cache.match(keyOf(page?.route ?? NOWHERE, kind));
  if (!found) return null;
  const headers = new Headers(found.headers);
  // Of the answer as it came; this one is not packed.
  for (const name of ['content-encoding', 'content-length', 'transfer-encoding']) headers.delete(name);
  return new Response(filled(await found.text(), kind, page?.id ?? null), { status: found.status, headers });
}

const page: RouteHandlerCallback = async ({ request, url }) => {
  if (await isBegunAnew()) await settle(caches, BUILD);
  return (await kept(url.pathname, 'page')) ?? fetch(request);
};

const flight: RouteHandlerCallback = async ({ request, url }) => (await kept(url.pathname, 'flight')) ?? fetch(request);

/** What answers for the script of a worker, without an address of its own: it takes that for its own, and would miss what was told it behind the `#`. */
const asAsked = (request: Request, found: Response) =>
  request.destination === 'worker' ? new Response(found.body, found) : found;

/** Files of an older build that is still shown are in its own cache. */
const file: RouteHandlerCallback = async ({ request }) =>
  asAsked(request, (await caches.match(request)) ?? (await fetch(request)));

/** An older build is still shown, no window has it open any more, and nothing is being cooked. */
async function isBegunAnew(): Promise<boolean> {
  const used = await buildInUse(caches);
  if (used === null || used === BUILD) return false;
  const windows = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
  return windows.length === 0 && !(await eveningRuns(Date.now()));
}

let asked = false;

async function answer(said: ToWorker, source: ExtendableMessageEvent['source']): Promise<void> {
  const say = (words: FromWorker) => source?.postMessage(words);
  if (said.kind === 'which') return say({ kind: 'builds', used: await buildInUse(caches), newest: BUILD });
  asked = true;
  // While it waits, this is said to the one that waits; what follows is done when it takes over.
  if (self.registration.waiting) return self.skipWaiting();
  await settle(caches, BUILD);
  await tellAll({ kind: 'settled' });
}

async function tellAll(words: FromWorker): Promise<void> {
  for (const client of await self.clients.matchAll({ type: 'window', includeUncontrolled: true })) {
    client.postMessage(words);
  }
}

async function beShown(): Promise<void> {
  const wasAsked = asked;
  const now = await takeOver(caches, BUILD, wasAsked, () => eveningRuns(Date.now()));
  await self.clients.claim();
  if (now === 'shown' && wasAsked) await tellAll({ kind: 'settled' });
}

const serwist = new Serwist({
  cacheId: cachesOf(BUILD).slice(0, -1),
  precacheEntries: [
    ...FILES.fixed.map((url) => ({ url, revision: null })),
    ...FILES.ofBuild.map((url) => ({ url, revision: BUILD })),
  ],
  // Icons are asked for with the print of their file.
  precacheOptions: {
    ignoreURLParametersMatching: [/icon/],
    plugins: [{ handlerWillRespond: async ({ request, response }) => asAsked(request, response) }],
  },
  disableDevLogs: true,
  runtimeCaching: [
    { matcher: ({ request, sameOrigin }) => sameOrigin && request.mode === 'navigate', handler: page },
    { matcher: ({ request, sameOrigin }) => sameOrigin && isFlight(request), handler: flight },
    { matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'), handler: file },
  ],
});
serwist.addEventListeners();
self.addEventListener('install', (event) => event.waitUntil(keepPages()));
self.addEventListener('activate', (event) => event.waitUntil(beShown()));
self.addEventListener('message', (event) => event.waitUntil(answer(event.data as ToWorker, event.source)));
