import Joi from 'joi';
import { check, type Parsed } from '@/core/formats/refuse';
import { BoundedQueue } from './queue';

export const MOST_BYTES = 1_000_000;
export const MOST_SECONDS = 20;

/** One search at a time on the server, and a few that wait. */
const queue = new BoundedQueue(1, 3);

/** Options of the address that every job takes. */
export const optionsShape = Joi.object<Options>({
  seconds: Joi.number().min(0).max(MOST_SECONDS).default(5),
  seed: Joi.number()
    .integer()
    .min(0)
    .max(2 ** 31)
    .default(1),
});

export interface Options {
  readonly seconds: number;
  readonly seed: number;
}

/** What a job may use: a clock, turns of the event loop, and a signal that the caller has gone. */
export interface JobTools<O extends Options = Options> {
  readonly options: O;
  readonly now: () => number;
  readonly pause: () => Promise<void>;
  readonly signal: AbortSignal;
}

/**
 * Answers a POST with JSON: at most 1 MB in, options in the address (`?seconds=2&seed=1`), checked before anything runs. 400 for what
 * is not sound, 413 for too much, 429 when too many are waiting. Nothing is stored.
 */
export async function answer<T, O extends Options>(
  request: Request,
  shape: Joi.ObjectSchema<O>,
  read: (text: string) => Parsed<T>,
  job: (value: T, tools: JobTools<O>) => Promise<{ readonly status: number; readonly body: unknown }>,
): Promise<Response> {
  const text = await readBody(request);
  if (text === null) return refuse(413, `The body must be at most ${MOST_BYTES} bytes.`);
  const parameters = Object.fromEntries(
    [...new URL(request.url).searchParams].map(([name, text]) => [name, numberOf(text)]),
  );
  const options = check(shape, parameters);
  if (!options.ok) return refuse(400, options.sentence);
  const value = read(text);
  if (!value.ok) return refuse(400, value.sentence);
  const result = await queue.run(() =>
    job(value.value, {
      options: options.value,
      now: () => performance.now(),
      pause: () => new Promise((resolve) => setImmediate(resolve)),
      signal: request.signal,
    }),
  );
  if (result === null) return refuse(429, 'Too many searches are waiting already: try again in a little while.');
  return Response.json(result.body, { status: result.status });
}

/** A number where the text is one; else the text, which the check then refuses by name. */
function numberOf(text: string): number | string {
  return text.trim() === '' || Number.isNaN(Number(text)) ? text : Number(text);
}

function refuse(status: number, sentence: string): Response {
  return Response.json({ sentence }, { status });
}

/** The body as text, or null when it is too large; never reads much more than is allowed. */
async function readBody(request: Request): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return null;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > MOST_BYTES) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}
