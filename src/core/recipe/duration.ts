import type { Minutes } from '@/core/dish/dish';
import { own } from '@/core/plain/record';
import { NUMBER_WORDS, westernDigits } from './digits';

/** A duration in a sentence, with the words that said so. */
export interface ReadDuration {
  readonly minutes: Minutes;
  readonly words: string;
  /** Said as a finding ("until tender, about an hour"): the time is only likely. */
  readonly finding: boolean;
}

const COUNTS = [
  'forty[- ]five',
  'fifteen',
  'twenty',
  'thirty',
  'forty',
  'sixty',
  'ninety',
  'twelve',
  'eleven',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'one',
  'two',
  'three',
].join('|');
const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?(?:\s*[½¼¾⅓⅔]|\s+\d\s*[/⁄]\s*\d)?|[½¼¾⅓⅔]|\d\s*[/⁄]\s*\d|${COUNTS}|half an?|a few|a couple of|another|an?)`;
/** Units of time as recipes in several languages put them, in minutes. */
const TIME_WORDS: readonly (readonly [words: string, minutes: number])[] = [
  ['seconds?|secs?|Sekunden?|secondes?|segundos?|saniye|ثانیه|ثانية|सेकंड', 1 / 60],
  ['minutes?|mins?|Minuten?|minutos?|minuti|dakika|dk|دقیقه|دقيقة|دقائق|मिनट', 1],
  ['hours?|hrs?|h|Stunden?|Std|heures?|horas?|ore|saat|ساعت|ساعة|ساعات|घंटे|घंटा|घण्टे', 60],
  ['days?|Tagen?|Tage|jours?|d[ií]as?|gün|روز|يوم|أيام|दिन', 1440],
];
const UNIT = TIME_WORDS.map(([words]) => words).join('|');
/** A unit ends where its word ends, in any script. */
const END = String.raw`(?![\p{L}\p{M}])\.?`;
const SPAN = new RegExp(
  String.raw`(?<![\p{L}\d])(${NUMBER})(?:\s*(?:-|–|—|to|or|bis|à|a|ila|تا|إلى|से)\s*(${NUMBER}))?\s*(${UNIT})${END}(?:\s*(?:and|und|et|y|ve|و)?\s*(?:(${NUMBER})\s*(?:minutes?|mins?|Minuten|minutos|dakika)${END}|(a half|a quarter|\d{1,2}(?![\d°]|\s*(?:°|(?:g|kg|ml|l|cl|dl|oz|lb|c|f|%|people|portions)(?![\p{L}])))|demie)))?`,
  'giu',
);
/** "A quarter of an hour", "three quarters of an hour". */
const QUARTERS = /\b(?:(three)[- ]quarters?|(?:a |one )?quarter)(?: of)? an hour\b/i;
/** How often something is done, or for how long at the end: not how long the step takes. */
const NO_LENGTH = /\b(?:every|each|alle|toutes? les|cada|after|within|last|final|first|by|her|हर)\s*$/iu;
/** Minutes a cook means by it. Common practice, no source. */
const OVERNIGHT: Minutes = { shortest: 480, likely: 600, longest: 840 };
/** Two weeks: what is told as longer is no time of cooking. */
const LONGEST = 14 * 1440;
/** Longer than that no sentence is. */
const LOOKED_AT = 4000;
/** How far a single number may be off, and one that is only a guide to a finding. */
const SPREAD = 0.15;
const FINDING_SPREAD = 0.3;

/** The duration of what a sentence asks for, the longest where it says several; null when it says none. */
export function readDuration(written: string): ReadDuration | null {
  const sentence = westernDigits(written.slice(0, LOOKED_AT));
  const finding = /\buntil\b|\bor (?:so|longer)\b|\bbis\b|jusqu|\bhasta\b/i.test(sentence);
  const night = sentence.match(/\bovernight\b|\büber Nacht\b|\btoute la nuit\b|\btoda la noche\b|\bbir gece\b/iu);
  const found = [...quartersIn(sentence), ...spansIn(sentence)]
    .filter(({ at, high }) => high > 0 && high <= LONGEST && !NO_LENGTH.test(sentence.slice(Math.max(0, at - 24), at)))
    .filter(({ low, high }) => low > 0 && high >= low);
  const best = found.reduce<Span | null>((most, each) => (most && most.high >= each.high ? most : each), null);
  if (!best) return night ? { minutes: OVERNIGHT, words: night[0], finding: false } : null;
  // "Overnight, or four hours at least": the night is meant.
  if (night && best.high >= 60) return { minutes: OVERNIGHT, words: night[0], finding: false };
  const { low, high, words } = best;
  const spread = finding ? FINDING_SPREAD : SPREAD;
  const whole = (value: number) => Math.max(1, Math.round(value));
  const minutes =
    high > low
      ? { shortest: whole(low), likely: whole((low + high) / 2), longest: whole(high) }
      : { shortest: whole(low * (1 - spread)), likely: whole(low), longest: whole(low * (1 + spread)) };
  return { minutes, words, finding };
}

/** A length of time in a sentence, in minutes. */
interface Span {
  readonly at: number;
  readonly low: number;
  readonly high: number;
  readonly words: string;
}

function quartersIn(sentence: string): readonly Span[] {
  const match = sentence.match(QUARTERS);
  if (!match) return [];
  const minutes = match[1] ? 45 : 15;
  return [{ at: match.index!, low: minutes, high: minutes, words: match[0] }];
}

function spansIn(sentence: string): readonly Span[] {
  // What says "a quarter of an hour" says no hour.
  const rest = sentence.replace(QUARTERS, (words) => ' '.repeat(words.length));
  return [...rest.matchAll(SPAN)].map((match): Span => {
    const [words, from, to, unit, more, tail] = match;
    const times = timesOf(unit!);
    const extra = more ? numberOf(more) : tail ? tailOf(tail, times) : 0;
    const low = numberOf(from!) * times + extra;
    const high = to ? numberOf(to) * times + extra : low;
    return { at: match.index, low, high, words: words.trim().replace(/\.$/, '') };
  });
}

function timesOf(unit: string): number {
  return TIME_WORDS.find(([words]) => new RegExp(`^(?:${words})$`, 'iu').test(unit))![1];
}

/** "1 h 30", "an hour and a half": what stands after the hours. */
function tailOf(tail: string, times: number): number {
  if (times !== 60) return 0;
  if (/half|demie/i.test(tail)) return 30;
  return /quarter/i.test(tail) ? 15 : Number(tail);
}

const WORDS: Readonly<Record<string, number>> = {
  ...NUMBER_WORDS,
  a: 1,
  another: 1,
  an: 1,
  'a few': 3,
  'a couple of': 2,
  'half a': 0.5,
  'half an': 0.5,
  'forty five': 45,
};
const SIGNS: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3 };

function numberOf(text: string): number {
  const words = text.trim().toLowerCase().replace('-', ' ');
  const named = own(WORDS, words);
  if (named !== undefined) return named;
  const [, whole, over, under, sign] = words.match(/^(\d+(?:[.,]\d+)?)?\s*(?:(\d)\s*[/⁄]\s*(\d))?([½¼¾⅓⅔])?$/) ?? [];
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
