import fs from 'node:fs';
import path from 'node:path';
import { isMainThread } from 'node:worker_threads';
import type { Tinypool } from 'tinypool';
import { currentSpeech, type Speech } from '@/messages/say';

/**
 * Node answers everybody on one thread: what takes long there makes all others wait. Such work runs in worker threads, of the
 * bundle that the build makes of src/workers/server. Where there is no build (unit tests, the development server) it runs in place.
 */
export type WorkerJob = 'planJob' | 'recordJob' | 'labelsJob' | 'importJob';
/** What a thread is given: its texts are in the language and the units of whoever waits for them. */
export type ThreadInput<In> = { readonly speech: Speech; readonly input: In };

const BUNDLE = path.join(process.cwd(), 'server-worker.mjs');
const MOST_THREADS = 2;
const IDLE_MS = 60_000;

async function startThreads(): Promise<Tinypool> {
  // Brought in here alone: it is not needed where there is no build.
  const { Tinypool: Threads } = await import('tinypool');
  return new Threads({
    filename: BUNDLE,
    minThreads: 0,
    maxThreads: MOST_THREADS,
    idleTimeout: IDLE_MS,
    runtime: 'worker_threads',
  });
}

let started: Promise<Tinypool> | null = null;
/** The threads, started with the first work for them; null: there is no build, or this is one of them. */
const threadsOf = (): Promise<Tinypool> | null =>
  isMainThread && fs.existsSync(BUNDLE) ? (started ??= startThreads()) : null;

/**
 * A function that does the same in a worker thread, where there are some.
 * @param job its name among the exports of the bundle
 * @param here the function itself; what it takes and gives can be cloned from thread to thread
 */
export const inWorkerThread =
  <In, Out>(job: WorkerJob, here: (input: In) => Promise<Out>): ((input: In) => Promise<Out>) =>
  async (input) => {
    const threads = await threadsOf();
    if (!threads) return here(input);
    const given: ThreadInput<In> = { speech: currentSpeech(), input };
    return (await threads.run(given, { name: job })) as Out;
  };
