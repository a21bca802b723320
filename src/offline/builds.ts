// Which build of the app a device shows. A newer one is fetched in the background; it is shown when the cook says so, or when the app is
// begun anew and nothing is being cooked.

/** What a browser's caches offer of it. */
export interface Caches {
  readonly keys: () => Promise<readonly string[]>;
  readonly open: (name: string) => Promise<Pick<Cache, 'match' | 'put'>>;
  readonly delete: (name: string) => Promise<boolean>;
}

const PREFIX = 'warm-cadence-';
const STATE = `${PREFIX}state`;
const IN_USE = '/build-in-use';

/** The name that all caches of a build begin with. */
export const cachesOf = (build: string) => `${PREFIX}${build}-`;
/** The cache of a build's pages. */
export const pagesOf = (build: string) => `${cachesOf(build)}pages`;

/** The build that is shown, or null before any was. */
export async function buildInUse(caches: Caches): Promise<string | null> {
  const told = await (await caches.open(STATE)).match(IN_USE);
  const build = told ? await told.text() : null;
  // A browser that is short of room may have thrown its pages away.
  return build !== null && (await caches.keys()).includes(pagesOf(build)) ? build : null;
}

/** Shows a build from now on, and throws all others away. */
export async function settle(caches: Caches, build: string): Promise<void> {
  await (await caches.open(STATE)).put(IN_USE, new Response(build));
  const others = (await caches.keys()).filter(
    (name) => name.startsWith(PREFIX) && name !== STATE && !name.startsWith(cachesOf(build)),
  );
  await Promise.all(others.map((name) => caches.delete(name)));
}

/**
 * What happens when a newer build has taken over from an older one: it is shown, unless the cook has not asked for it and an evening is under
 * way. Then the older one stays until that is over.
 */
export async function takeOver(
  caches: Caches,
  build: string,
  asked: boolean,
  eveningRuns: () => Promise<boolean>,
): Promise<'shown' | 'held'> {
  const used = await buildInUse(caches);
  if (used !== null && used !== build && !asked && (await eveningRuns())) return 'held';
  await settle(caches, build);
  return 'shown';
}
