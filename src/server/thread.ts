import { Worker } from 'node:worker_threads';
import { LONGEST_PLAN } from '@/core/plan/longest';
import type { Done, Job } from './job';

/** A job is ended by force when it takes so much longer than it was given, or more memory than this. */
const GRACE_SECONDS = 10;
const MOST_MEGABYTES = 600;

/**
 * Does a job on a thread of its own, so that pages are served meanwhile and whatever a body does to the thread ends with it. 503 when the job
 * had to be ended by force. Null when the caller went away.
 */
export function onThread(job: Job, signal: AbortSignal): Promise<Done | null> {
  return new Promise((resolve) => {
    if (signal.aborted) return resolve(null);
    const worker = new Worker(new URL('./job.thread.ts', import.meta.url), {
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    });
    const timer = setTimeout(() => end(tooMuch), (allowance(job) + GRACE_SECONDS) * 1000);
    const leave = () => end(null);
    signal.addEventListener('abort', leave, { once: true });
    worker.once('message', (done: Done) => end(done));
    worker.once('error', (error) => {
      console.error('A planning thread failed.', error);
      end(tooMuch);
    });
    worker.once('exit', () => end(tooMuch));
    worker.postMessage(job);

    function end(done: Done | null): void {
      clearTimeout(timer);
      signal.removeEventListener('abort', leave);
      resolve(done);
      void worker.terminate();
    }
  });
}

/** A meal is tried in several ways, each within the limit. */
function allowance({ kind, seconds }: Job): number {
  return kind === 'plan' ? LONGEST_PLAN * seconds : seconds;
}

const tooMuch: Done = {
  status: 503,
  body: {
    sentence: 'This is more than the server can plan at once: take dishes or steps out, or ask for fewer seconds.',
  },
};
