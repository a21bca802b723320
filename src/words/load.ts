import type { Catalog } from '@/core/say/say';
import type { Tag } from './languages';

/** Each a file of its own, fetched when somebody reads that language. */
const CATALOGS: Readonly<Record<Exclude<Tag, 'en'>, () => Promise<{ readonly default: Catalog }>>> = {
  ar: () => import('./ar.json'),
  de: () => import('./de.json'),
  es: () => import('./es.json'),
  fa: () => import('./fa.json'),
  fr: () => import('./fr.json'),
  pt: () => import('./pt.json'),
  sw: () => import('./sw.json'),
  tr: () => import('./tr.json'),
};

/** The catalog of a language; empty for English, which needs none. */
export async function catalogOf(tag: Tag): Promise<Catalog> {
  return tag === 'en' ? {} : (await CATALOGS[tag]()).default;
}
