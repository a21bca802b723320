import type { Catalog } from '@/core/say/say';
import type { Tag } from './languages';

type Fetched = () => Promise<{ readonly default: Catalog }>;
type ByTag = Readonly<Record<Exclude<Tag, 'en'>, Fetched>>;

/** Each a file of its own, fetched when somebody reads that language. */
const CATALOGS: ByTag = {
  ar: () => import('./ar.json'),
  de: () => import('./de.json'),
  es: () => import('./es.json'),
  fa: () => import('./fa.json'),
  fr: () => import('./fr.json'),
  hi: () => import('./hi.json'),
  pt: () => import('./pt.json'),
  sw: () => import('./sw.json'),
  tr: () => import('./tr.json'),
};
const DISHES: ByTag = {
  ar: () => import('./dishes/ar.json'),
  de: () => import('./dishes/de.json'),
  es: () => import('./dishes/es.json'),
  fa: () => import('./dishes/fa.json'),
  fr: () => import('./dishes/fr.json'),
  hi: () => import('./dishes/hi.json'),
  pt: () => import('./dishes/pt.json'),
  sw: () => import('./dishes/sw.json'),
  tr: () => import('./dishes/tr.json'),
};

/** The messages of the product in a language; empty for English, which needs none. */
export async function catalogOf(tag: Tag): Promise<Catalog> {
  return tag === 'en' ? {} : (await CATALOGS[tag]()).default;
}

/** What the product's own dishes keep, in a language. */
export async function dishesIn(tag: Tag): Promise<Catalog> {
  return tag === 'en' ? {} : (await DISHES[tag]()).default;
}
