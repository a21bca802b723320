import Joi from 'joi';
import type { Shared } from '@/core/live/two-screens';
import { eveningShape } from '@/core/records/evening';
import { check, type Parsed, parseJson } from '@/core/records/refuse';
import { instantShape, recordOf } from '@/core/records/shapes';
import { say } from '@/core/say/say';
import { checkMealFile, type MealFile } from './meal-file';

// What goes from screen to screen when two follow one evening: an invitation and its answer by code, then messages over the line between them.

/** Two devices understand each other where theirs are the same. */
export const SCREENS_VERSION = 1;
const INVITATION = 'warm-cadence/screens';
const ANSWER = 'warm-cadence/answer';
/** The longest description of a connection that is taken, in characters; a browser's own has about 700. */
const MOST_SDP = 20_000;

/** A meal with its evening, and how the screen that shows it can be reached. */
export interface Invitation {
  readonly format: typeof INVITATION;
  readonly version: typeof SCREENS_VERSION;
  /** Session description (RFC 8866) of the screen that invites. */
  readonly offer: string;
  readonly file: MealFile;
}

/** How the screen that was invited can be reached. */
export interface Answer {
  readonly format: typeof ANSWER;
  readonly version: typeof SCREENS_VERSION;
  readonly answer: string;
}

/** What one screen says to the other. */
export type ScreenMessage =
  | ({ readonly kind: 'evening' } & Shared)
  /** What time it is there; both in milliseconds since 1970. */
  | { readonly kind: 'asked'; readonly asked: number }
  | { readonly kind: 'answered'; readonly asked: number; readonly answered: number };

const sdp = Joi.string().max(MOST_SDP).required();
const version = Joi.number().valid(SCREENS_VERSION).required();

/** How the invited screen can be reached. */
export const answerShape = recordOf<Answer>({
  format: Joi.string().valid(ANSWER).required(),
  version,
  answer: sdp,
});

const kind = (name: ScreenMessage['kind']) => Joi.string().valid(name).required();
const instant = instantShape.required();
const MESSAGES: Readonly<Record<ScreenMessage['kind'], Joi.ObjectSchema<ScreenMessage>>> = {
  evening: Joi.object({
    kind: kind('evening'),
    evening: eveningShape.required(),
    knows: Joi.number().integer().min(0).max(10_000).required(),
  }),
  asked: Joi.object({ kind: kind('asked'), asked: instant }),
  answered: Joi.object({ kind: kind('answered'), asked: instant, answered: instant }),
};
const envelope = Joi.object({
  format: Joi.string().valid(INVITATION).required(),
  version,
  offer: sdp,
  file: Joi.object().required(),
});

/** An invitation, as text for `checkInvitation`. */
export function writeInvitation(offer: string, file: MealFile): string {
  const invitation: Invitation = { format: INVITATION, version: SCREENS_VERSION, offer, file };
  return JSON.stringify(invitation);
}

/** Whether a file's format says that it is an invitation. */
export function isInvitation(value: unknown): boolean {
  return (value as { format?: unknown } | null)?.format === INVITATION;
}

/** Checks what an invitation held; its meal by the rules of meal files. */
export function checkInvitation(value: unknown): Parsed<Invitation> {
  if (isOfAnother(value, INVITATION)) return ofAnother();
  const read = check(envelope as Joi.ObjectSchema<Invitation>, value);
  if (!read.ok) return read;
  const file = checkMealFile(read.value.file);
  if (!file.ok) return file;
  if (file.value.log?.length !== 1)
    return { ok: false, sentence: say('file, log: this must be the one evening to follow.') };
  return { ok: true, value: { ...read.value, file: file.value } };
}

/** An answer, as text for `readAnswer`. */
export function writeAnswer(answer: string): string {
  const written: Answer = { format: ANSWER, version: SCREENS_VERSION, answer };
  return JSON.stringify(written);
}

/** Reads the answer to an invitation. */
export function readAnswer(text: string): Parsed<Answer> {
  const json = parseJson(text, 'answer');
  if (!json.ok) return json;
  return isOfAnother(json.value, ANSWER) ? ofAnother() : check(answerShape, json.value);
}

/** Reads what the other screen says about an evening; a message about any other is refused. */
export function readMessage(text: string, eveningId: string): Parsed<ScreenMessage> {
  const json = parseJson(text, 'message');
  if (!json.ok) return json;
  const named = (json.value as { kind?: unknown } | null)?.kind;
  const shape = Object.hasOwn(MESSAGES, String(named)) ? MESSAGES[named as ScreenMessage['kind']] : undefined;
  if (!shape) return { ok: false, sentence: say('kind: this must be "evening", "asked" or "answered".') };
  const read = check(shape, json.value);
  if (!read.ok || read.value.kind !== 'evening') return read;
  const { evening, knows } = read.value;
  if (evening.id !== eveningId)
    return {
      ok: false,
      sentence: say('evening, id: this must be "{eveningId}"; found "{id}".', { eveningId, id: evening.id }),
    };
  return knows <= evening.events.length
    ? read
    : { ok: false, sentence: say('knows: a plan cannot know more than the log of its evening holds.') };
}

/** Whether it is what it should be, and of a version that this one does not understand. */
function isOfAnother(value: unknown, format: string): boolean {
  const said = value as { format?: unknown; version?: unknown } | null;
  return said?.format === format && typeof said.version === 'number' && said.version !== SCREENS_VERSION;
}

const ofAnother = (): Parsed<never> => ({
  ok: false,
  sentence: say(
    'version: the other device has another Warm Cadence. Load it anew on both, with a network, and join them again.',
  ),
});
