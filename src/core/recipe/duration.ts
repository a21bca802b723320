import type { Minutes } from '@/core/dish/dish';
import { own } from '@/core/plain/record';

/** A duration in a sentence, with the words that said so. */
export interface ReadDuration {
  readonly minutes: Minutes;
  readonly words: string;
  /** Said as a finding ("until tender, about an hour"): the time is only likely. */
  readonly finding: boolean;
}

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?(?:\s*[½¼¾]|\s+\d\s*[/⁄]\s*\d)?|[½¼¾]|\d\s*[/⁄]\s*\d|an?|one|two|three|half an?|a few|a couple of)`;
const SPAN = new RegExp(
  String.raw`(${NUMBER})(?:\s*(?:-|–|to|or)\s*(${NUMBER}))?\s*(hours?|hrs?|h|minutes?|mins?|min)\b(?:\s*(?:and\s*)?(${NUMBER})\s*(minutes?|mins?|min)\b)?`,
  'i',
);
/** Minutes a cook means by it. Common practice, no source. */
const OVERNIGHT: Minutes = { shortest: 480, likely: 600, longest: 840 };
/** Two weeks: what is told as longer is no time of cooking. */
const LONGEST = 14 * 1440;
/** How far a single number may be off, and one that is only a guide to a finding. */
const SPREAD = 0.15;
const FINDING_SPREAD = 0.3;

/** The first duration of a sentence; null when it says none. */
export function readDuration(sentence: string): ReadDuration | null {
  const finding = /\buntil\b|\bor (?:so|longer)\b/i.test(sentence);
  const night = sentence.match(/\bovernight\b/i);
  const match = sentence.match(SPAN);
  if (!match) return night ? { minutes: OVERNIGHT, words: night[0], finding: false } : null;
  const [words, from, to, unit, more] = match;
  const times = /^h/i.test(unit!) ? 60 : 1;
  const low = numberOf(from!) * times + (more ? numberOf(more) : 0);
  const high = to ? numberOf(to) * times + (more ? numberOf(more) : 0) : low;
  if (!(low > 0) || high < low || high > LONGEST) return null;
  const spread = finding ? FINDING_SPREAD : SPREAD;
  const whole = (value: number) => Math.max(1, Math.round(value));
  const minutes = to
    ? { shortest: whole(low), likely: whole((low + high) / 2), longest: whole(high) }
    : { shortest: whole(low * (1 - spread)), likely: whole(low), longest: whole(low * (1 + spread)) };
  return { minutes, words: words!, finding };
}

const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  'a few': 3,
  'a couple of': 2,
  'half a': 0.5,
  'half an': 0.5,
};
const SIGNS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };

function numberOf(text: string): number {
  const words = text.trim().toLowerCase();
  const named = own(WORDS, words);
  if (named !== undefined) return named;
  const [, whole, over, under, sign] = words.match(/^(\d+(?:[.,]\d+)?)?\s*(?:(\d)\s*[/⁄]\s*(\d))?([½¼¾])?$/) ?? [];
  // "3/4" alone: what looks like the whole is the upper half.
  const slash = words.match(/^(\d)\s*[/⁄]\s*(\d)$/);
  if (slash) return Number(slash[1]) / Number(slash[2]);
  return (
    (whole ? Number(whole.replace(',', '.')) : 0) +
    (over && under ? Number(over) / Number(under) : 0) +
    (sign ? SIGNS[sign]! : 0)
  );
}

/** Minutes of an ISO 8601 duration ("PT1H30M"); null when it is none. */
export function readIsoDuration(text: string): number | null {
  const match = text.trim().match(/^P(?:(\d+)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?(?:(\d+)S)?)?$/i);
  if (!match || text.trim().length < 3) return null;
  const [, days, hours, minutes, seconds] = match.map((part) => Number(part ?? 0));
  const all = Math.round(days! * 1440 + hours! * 60 + minutes! + seconds! / 60);
  return all <= LONGEST ? all : null;
}
