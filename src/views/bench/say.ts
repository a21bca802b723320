import type { Range } from '@/core/heat/boil';
import { say } from '@/core/say/say';
import { printFraction } from '@/core/units/amount';

/** Beyond so many minutes nobody stands and waits for it. */
const FOREVER = 24 * 60;

/** "4 min", "1 h 25 min": short times to the half minute, long ones to five. */
export function sayMinutes(minutes: number): string {
  if (minutes > FOREVER) return say('more than a day');
  if (minutes < 10) {
    const halves = Math.max(1, Math.round(minutes * 2)) / 2;
    return halves % 1
      ? say('{halves}½ min', { halves: Math.floor(halves) || '' })
      : say('{halves} min', { halves: Math.floor(halves) || '' });
  }
  const whole = minutes < 60 ? Math.round(minutes) : Math.round(minutes / 5) * 5;
  if (whole < 60) return say('{whole} min', { whole });
  return whole % 60 === 0
    ? `${whole / 60} h`
    : say('{whole} h {rest} min', { whole: Math.floor(whole / 60), rest: whole % 60 });
}

/** "between 8 min and 13 min", or that it never comes. */
export function sayBand({ low, high }: Range): string {
  if (!Number.isFinite(low)) return say('the surface gives off all the heat there is');
  if (!Number.isFinite(high) || high > FOREVER) return say('{minutes} or more', { minutes: sayMinutes(low) });
  return sayMinutes(low) === sayMinutes(high)
    ? `${sayMinutes(low)}`
    : say('between {minutes} and {most}', { minutes: sayMinutes(low), most: sayMinutes(high) });
}

const QUARTERS = ['', '¼', '½', '¾'];

/** "2½ l": quarters of a litre. */
export function sayLitres(litres: number): string {
  const quarters = Math.round(litres * 4);
  return `${Math.floor(quarters / 4) || (quarters % 4 ? '' : '0')}${QUARTERS[quarters % 4]} l`;
}

/** "610 ml", "1.35 l": fine enough that what is added up still adds up. */
export function sayVolume(litres: number): string {
  const ml = litres * 1000;
  const step = ml < 100 ? 5 : ml < 2000 ? 10 : 50;
  const shown = Math.max(step, Math.round(ml / step) * step);
  return shown < 1000 ? say('{shown} ml', { shown }) : `${Number((shown / 1000).toFixed(2))} l`;
}

/** "6 min 15 s". */
export function sayClock(minutes: number): string {
  const seconds = Math.round(minutes * 60);
  return seconds % 60 === 0
    ? say('{seconds} min', { seconds: seconds / 60 })
    : say('{seconds} min {rest} s', { seconds: Math.floor(seconds / 60), rest: seconds % 60 });
}

/** A bare number as it can be measured: quarters and thirds below ten, fives beyond a hundred, never nothing. */
export function sayQuantity(value: number): string {
  if (value < 0.1) return say('a trace');
  if (value < 0.2) return '⅛';
  if (value < 10) return printFraction(value);
  return String(value < 100 ? Math.round(value) : Math.round(value / 5) * 5);
}
