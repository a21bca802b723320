import { format } from 'date-fns';
import { spoken } from './say';

/** How a day is said: by its weekday, with its date, with the year. */
export type DayForm = 'weekday' | 'short weekday' | 'day' | 'short day' | 'date' | 'short date';

/** As English writes them here, and as all other languages are asked for them. */
const FORMS: Readonly<Record<DayForm, readonly [english: string, asked: Intl.DateTimeFormatOptions]>> = {
  weekday: ['EEEE', { weekday: 'long' }],
  'short weekday': ['EEE', { weekday: 'short' }],
  day: ['EEEE d MMMM', { weekday: 'long', day: 'numeric', month: 'long' }],
  'short day': ['EEEE d MMM', { weekday: 'long', day: 'numeric', month: 'short' }],
  date: ['EEEE d MMMM yyyy', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }],
  'short date': ['d MMM', { day: 'numeric', month: 'short' }],
};

let formats = new Map<DayForm, Intl.DateTimeFormat>();
let formatsOf = '';

/** The day of an instant (milliseconds since 1970, or a date) in the language of this thread: "Wednesday 2 December". */
export function sayDay(instant: number | Date, form: DayForm): string {
  const language = spoken();
  const [english, asked] = FORMS[form];
  if (language === 'en') return format(instant, english);
  if (formatsOf !== language) [formats, formatsOf] = [new Map(), language];
  // Figures stay western here: every text is told in the reader's own where it is shown.
  const made = formats.get(form) ?? new Intl.DateTimeFormat(`${language}-u-nu-latn-ca-gregory`, asked);
  formats.set(form, made);
  return made.format(instant);
}
