import { isExists } from 'date-fns';
import Joi from 'joi';
import { UNFIT_IDS } from '@/core/plain/id';

// Shapes that every file shares.

/** Signs that no line of words holds: they would end a line of a calendar, or a cell of a table. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is refused
const ONE_LINE = /^[^\u0000-\u001f\u007f\u2028\u2029]*$/;

/** A line of words, such as a name. */
export const lineShape = (most: number) => Joi.string().min(1).max(most).pattern(ONE_LINE, 'one line of text');

const UNFIT = UNFIT_IDS.map((id) => id.replaceAll('.', '\\.')).join('|');
const FIT_ID = new RegExp(`^(?!(?:${UNFIT})$)${ONE_LINE.source.slice(1)}`);

/** What names a thing within its list, so many signs long at most. */
export const idShape = (most: number) => lineShape(most).pattern(FIT_ID, 'another id').required();

/** The last instant that a calendar of four figures knows: 31 December 9999. */
const LAST_INSTANT = 253_402_300_799_999;

/** Milliseconds since 1970. */
export const instantShape = Joi.number().integer().min(0).max(LAST_INSTANT);

/** "2026-11-28": a day that there is. */
export const dayShape = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/, 'a day such as 2026-11-28')
  .custom((day: string, helpers) => {
    const [year, month, date] = day.split('-').map(Number) as [number, number, number];
    return isExists(year, month - 1, date) ? day : helpers.error('day.none');
  })
  .required();
