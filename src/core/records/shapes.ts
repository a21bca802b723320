import { isExists } from 'date-fns';
import Joi from 'joi';
import { MOST_DAYS_AHEAD } from '@/core/meal/meal';
import { UNFIT_IDS } from '@/core/plain/id';
import { say } from '@/core/say/say';

// Shapes that every file shares.

/** Signs that no line of words holds: they would end a line of a calendar, or a cell of a table. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is refused
const ONE_LINE = /^[^\u0000-\u001f\u007f\u2028\u2029]*$/;

/** A line of words, such as a name. */
export const lineShape = (most: number) => Joi.string().min(1).max(most).pattern(ONE_LINE, say('one line of text'));

const UNFIT = UNFIT_IDS.map((id) => id.replaceAll('.', '\\.')).join('|');
const FIT_ID = new RegExp(`^(?!(?:${UNFIT})$)${ONE_LINE.source.slice(1)}`);

/** What names a thing within its list, so many signs long at most. */
export const idShape = (most: number) => lineShape(most).pattern(FIT_ID, say('another id')).required();

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

/** "19:30" */
export const hourShape = Joi.string()
  .pattern(/^([01]\d|2[0-3]):[0-5]\d$/, 'an hour such as 19:30')
  .required();

/** Words of a cook, or none. */
export const wordsShape = Joi.string().allow('').max(2000);

/** Words that the app wrote, or none. */
export const textShape = Joi.string().allow('').max(4000);

/** Whole minutes that a step may take: up to what is kept from the longest way back. */
export const minutesShape = Joi.number()
  .integer()
  .min(0)
  .max(1440 * (MOST_DAYS_AHEAD + 1));

/** What a pot may hold. */
export const litresShape = Joi.number().min(0.05).max(200);

/** A schema for each field of a record of a type, and for nothing else: the compiler holds the two together. */
type Fields<T> = { readonly [Field in keyof Required<T>]: Joi.Schema };

/** The schema of a record. A field that the type has and the schema has not, or the other way round, does not compile. */
export function recordOf<T extends object>(fields: Fields<T>): Joi.ObjectSchema<T> {
  return Joi.object(fields) as Joi.ObjectSchema<T>;
}
