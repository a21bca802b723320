import { parentPort } from 'node:worker_threads';
import { doJob, type Job } from './job';

// A thread of the server that does one job and ends.
parentPort!.once('message', async (job: Job) => parentPort!.postMessage(await doJob(job)));
