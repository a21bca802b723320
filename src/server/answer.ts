import Joi from 'joi';
import { check } from '@/core/records/refuse';
import { strangerAt } from './guard';
import type { Done, Job } from './job';
import { BoundedQueue } from './queue';
import { onThread } from './thread';

export const MOST_BYTES = 1_000_000;
export const MOST_SECONDS = 20;
/** Seconds after which whoever was turned away may come again. */
const RETRY_AFTER = 5;

/** One search at a time on the server, and a few that wait. */
const queue = new BoundedQueue(1, 3);

/** Options of the address that every job takes. */
const shapes: Readonly<Record<Job['kind'], Joi.ObjectSchema<Omit<Job, 'kind' | 'text'>>>> = {
  solve: Joi.object(usual()),
  plan: Joi.object({ ...usual(), notBefore: Joi.number().integer().min(-20_160).max(1440) }),
};

function usual() {
  return {
    seconds: Joi.number().min(0).max(MOST_SECONDS).default(5),
    seed: Joi.number()
      .integer()
      .min(0)
      .max(2 ** 31)
      .default(1),
  };
}

/** How a job is done; null when its caller went away. */
export type DoJob = (job: Job, signal: AbortSignal) => Promise<Done | null>;

/**
 * Answers a POST with JSON: at most 1 MB in, options in the address (`?seconds=2&seed=1`). 400 for what is not sound, 403 for another site,
 * 413 for too much, 415 for what is not JSON, 429 when too many are waiting, 503 for what takes too long. Nothing is stored, and nothing is
 * read before its turn has come.
 */
export async function answer(request: Request, kind: Job['kind'], doJob: DoJob = onThread): Promise<Response> {
  const stranger = strangerAt(request);
  if (stranger) return refuse(stranger.status, stranger.sentence);
  const parameters = Object.fromEntries(
    [...new URL(request.url).searchParams].map(([name, text]) => [name, numberOf(text)]),
  );
  const options = check(shapes[kind], parameters);
  if (!options.ok) return refuse(400, options.sentence);
  const { signal } = request;
  const result = await queue.run(async () => {
    const text = await readBody(request);
    return text === null ? TOO_LARGE : doJob({ kind, text, ...options.value }, signal);
  }, signal);
  if (result) return Response.json(result.body, { status: result.status });
  const busy = refuse(429, 'Too many searches are waiting already: try again in a little while.');
  busy.headers.set('retry-after', String(RETRY_AFTER));
  return busy;
}

const TOO_LARGE: Done = { status: 413, body: { sentence: `The body must be at most ${MOST_BYTES} bytes.` } };

/** A number where the text is one; else the text, which the check then refuses by name. */
function numberOf(text: string): number | string {
  return text.trim() === '' || Number.isNaN(Number(text)) ? text : Number(text);
}

function refuse(status: number, sentence: string): Response {
  return Response.json({ sentence }, { status });
}

/** Milliseconds in which a body must have come: whoever sends it drop by drop does not keep the others waiting. */
const BODY_WITHIN = 10_000;

/** The body as text, or null when it is too large or too slow; never reads much more than is allowed. */
async function readBody(request: Request): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return null;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const timer = setTimeout(() => void reader.cancel(), BODY_WITHIN);
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
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
  } finally {
    clearTimeout(timer);
  }
  return Buffer.concat(chunks).toString('utf8');
}
