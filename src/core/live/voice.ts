import { printSpan } from '@/core/plain/span';
import { say } from '@/core/say/say';
import { type LiveStep, minutesToTable, type Session } from './session';
import type { Stove } from './stove';

/** What can be said to the stove. */
export type SpokenCommand = 'done' | 'not yet' | 'what next' | 'how long';

/** What a cook says for each; what denies comes first, so that "not quite done" is no "done". */
const PHRASES: readonly (readonly [RegExp, SpokenCommand])[] = [
  [
    /\b(?:not|isn't|aren't|ain't|never|hardly|almost|nearly)\b.*\b(?:yet|done|ready|finished|there)\b|\bneeds? (?:more time|longer)\b|\bmore time\b/,
    'not yet',
  ],
  [/\bwhat(?:'s| is| comes)? next\b|\bwhat now\b|\bwhat (?:do|should|shall) i do\b|^next$/, 'what next'],
  [/\bhow (?:long|much time|much longer)\b|\bhow many minutes\b/, 'how long'],
  [/\b(?:done|ready|finished)\b|^(?:it is |it's )?there$/, 'done'],
];

/** A question, or what is said of another time: "is it done", "when it is ready". It tells nothing. */
const ASKS =
  /^(?:is|are|was|were|will|would|should|shall|can|could|do|does|did|has|have|isn't|aren't|why|who|which)\b|\b(?:when|if|until|till|before|once|after)\b/;
/** A wish: "get ready", "it will be done". */
const WISHES = /\b(?:soon|get|getting|make|be|will|want)\b/;

/** More words than this are talk, not a command. */
const MOST_WORDS = 7;

/** The command in what was heard; null where there is none, or where it is one side of a conversation. */
export function commandIn(heard: string): SpokenCommand | null {
  const words = heard
    .toLowerCase()
    .replaceAll(/[’`]/g, "'")
    .replaceAll(/[.,!?]/g, '')
    .trim();
  if (words === '' || words.split(/\s+/).length > MOST_WORDS) return null;
  const said = PHRASES.find(([pattern]) => pattern.test(words))?.[1] ?? null;
  if (said === 'done') return ASKS.test(words) || WISHES.test(words) ? null : said;
  return said === 'not yet' && ASKS.test(words) ? null : said;
}

/** "Next: drain, Barley, in 4 min." */
export function sayNext({ now, next }: Stove, at: number): string {
  const [first] = now;
  const then = next[0];
  const is = first
    ? say('Now: {step}, {dish}.', { step: first.step.name, dish: first.step.dishName })
    : say('Nothing for the hands.');
  const comes = then
    ? say(' Next: {step}, {dish}, in {span}.', {
        step: then.step.name,
        dish: then.step.dishName,
        span: printSpan(Math.max(0, (then.startAt - at) / 60_000)),
      })
    : '';
  return `${is}${comes}`;
}

/** "Onions, 4 min. Simmer, 12 min. 40 min to the table." */
export function sayHowLong(session: Pick<Session, 'tableAt' | 'plan'>, { now, watching }: Stove, at: number): string {
  const left = ({ step, endAt }: LiveStep) =>
    `${step.name}, ${step.dishName}: ${endAt > at ? printSpan((endAt - at) / 60_000) : say('its time is over')}.`;
  const running = [...now, ...watching].filter(({ status }) => status === 'running').slice(0, 3);
  const away = -minutesToTable(session, at);
  const table = away > 0 ? say('{span} to the table.', { span: printSpan(away) }) : say('The hour has come.');
  return [...running.map(left), table].join(' ');
}
