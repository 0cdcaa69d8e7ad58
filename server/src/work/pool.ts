import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { MessageChannel } from 'node:worker_threads';
import { HttpException, Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { DemandError } from '@rubbet/core/cut';
import { ViewError } from '@rubbet/core/draw';
import { SpecError } from '@rubbet/core/model';
import { WorkPlanError } from '@rubbet/core/order';
import { SurveyError } from '@rubbet/core/site';
import { Turns } from '../common/turns.ts';
import { TASKS } from './tasks.ts';
import type { Say, TaskInput, TaskName, TaskResult } from './tasks.ts';
import type { Failed } from './worker.ts';

/** For whom a task is done: customers' links wait for each other, never anybody of the shop for them. */
export type Caller = 'person' | 'link' | 'job';

/** Tasks of links, and of jobs, that are in the pool at once, and that wait. */
const LINKS_AT_ONCE = 1;
const JOBS_AT_ONCE = 1;
const WAITING = 200;
/** Tasks that wait in the pool at most. */
const QUEUE = 400;
/** How long a thread that has nothing to do is kept, ms. */
const IDLE_MS = 60_000;

/** Errors that people are told as they are, made again from what came over from the thread. */
const revive = (failed: Failed): Error => {
  const known = [SpecError, DemandError, WorkPlanError, SurveyError, ViewError].find((k) => k.name === failed.name);
  return Object.assign(Object.create((known ?? Error).prototype) as Error, failed);
};

const busy = (): HttpException =>
  new HttpException(
    { code: 'busy', message: 'Much is being computed just now. Nothing was changed; try again in a moment.' },
    503,
  );

/**
 * Threads beside the one that answers: whatever computes for more than a moment is done there, so that nobody's answer waits
 * for somebody else's PDF. `inline` does it in this thread, for loading and tests.
 */
@Injectable()
export class Pool implements OnApplicationShutdown {
  readonly #inline: boolean;
  readonly #links = new Turns(LINKS_AT_ONCE);
  readonly #jobs = new Turns(JOBS_AT_ONCE);
  #piscina: Piscina | undefined;

  constructor(inline = process.env.RUBBET_POOL === 'inline') {
    this.#inline = inline;
  }

  #threads(): Piscina {
    this.#piscina ??= new Piscina({
      // Threads run what was built; the sources' own place is a folder higher.
      filename: fileURLToPath(
        import.meta.url.endsWith('.ts')
          ? new URL('../../dist/work/worker.js', import.meta.url)
          : new URL('./worker.js', import.meta.url),
      ),
      minThreads: 1,
      // One core is left to answer with.
      maxThreads: Math.max(1, availableParallelism() - 1),
      maxQueue: QUEUE,
      idleTimeout: IDLE_MS,
    });
    return this.#piscina;
  }

  /**
   * Does a task.
   * @throws what the task throws; HttpException 503 when too much waits
   */
  async run<K extends TaskName>(
    name: K,
    input: TaskInput<K>,
    options: { readonly for?: Caller; readonly signal?: AbortSignal; readonly say?: Say } = {},
  ): Promise<TaskResult<K>> {
    const { say = () => undefined } = options;
    if (this.#inline) return (await (TASKS[name] as (i: unknown, say: Say) => unknown)(input, say)) as TaskResult<K>;
    const line = options.for === 'link' ? this.#links : options.for === 'job' ? this.#jobs : undefined;
    const turn = line?.take('pool', WAITING);
    if (line && !turn) throw busy();
    const end = await turn;
    try {
      const pool = this.#threads();
      if (pool.queueSize >= QUEUE) throw busy();
      const { port1: mine, port2: port } = new MessageChannel();
      mine.on('message', say);
      // It holds nobody up who wants to end.
      mine.unref();
      const answer = (await pool
        .run({ name, input, port }, { transferList: [port], ...(options.signal ? { signal: options.signal } : {}) })
        .finally(() => mine.close())) as { done: TaskResult<K> } | { failed: Failed };
      if ('failed' in answer) throw revive(answer.failed);
      return answer.done;
    } finally {
      end?.();
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.close();
  }

  async close(): Promise<void> {
    await this.#piscina?.destroy();
    this.#piscina = undefined;
  }
}
