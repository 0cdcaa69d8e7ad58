import { randomUUID } from 'node:crypto';
import { ConflictException, ForbiddenException, Inject, Injectable, Logger, NotFoundException } from '@nestjs/common';
import type { OnApplicationBootstrap, OnModuleDestroy } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { ExportJob } from '../export/exportJob.ts';
import type { Job } from './jobs.answers.ts';
import { MAY_ASK } from './kinds.ts';
import type { JobDone, JobKind, JobRun } from './kinds.ts';
import { PapersJob } from './papersJob.ts';
import { BatchJob } from './batchJob.ts';

/** How often an instance looks for work, and writes how far its own is, ms. */
const LOOK_MS = 400;
const WRITE_MS = 300;
/** Seconds without a sign of life after which another instance takes a job over. */
const SILENT_S = 12;
/** Jobs that one person may have waiting or running. */
const MOST = 4;

const COLUMNS = ['id', 'kind', 'state', 'progress', 'note', 'file', 'created_at', 'user_id', 'batch_id'] as const;

interface JobRow {
  readonly id: number;
  readonly kind: JobKind;
  readonly state: Job['state'];
  readonly progress: number;
  readonly note: string;
  readonly file: string | null;
  readonly created_at: string;
  readonly user_id: number | null;
  readonly batch_id: number | null;
}

/** A row as it is answered. */
export const jobOf = (row: JobRow): Job => ({
  id: row.id,
  kind: row.kind,
  state: row.state,
  progress: row.progress,
  note: row.note,
  file: row.file,
  createdAt: row.created_at,
});

/**
 * Work that takes a while. It stands in the database: any instance does it, one at a time; whoever asked sees from any
 * instance how far it is; one whose instance died is taken over by another.
 */
@Injectable()
export class Jobs implements OnApplicationBootstrap, OnModuleDestroy {
  readonly #log = new Logger('jobs');
  readonly #worker = randomUUID();
  #timer: NodeJS.Timeout | undefined;
  #running: AbortController | undefined;
  #ended: Promise<void> = Promise.resolve();

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(ExportJob) private readonly exporting: ExportJob,
    @Inject(PapersJob) private readonly papers: PapersJob,
    @Inject(BatchJob) private readonly batches: BatchJob,
  ) {}

  onApplicationBootstrap(): void {
    this.#timer = setInterval(() => void this.look(), LOOK_MS);
    this.#timer.unref();
  }

  /** First of all: what it is at is left to another instance. */
  async onModuleDestroy(): Promise<void> {
    clearInterval(this.#timer);
    this.#running?.abort(new Error('shut down'));
    await this.#ended;
  }

  private async row(id: number): Promise<JobRow> {
    const row = (await this.db('jobs')
      .where({ id })
      .first(...COLUMNS)) as JobRow | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: 'There is no such job any more.' });
    return row;
  }

  /** A job of one's own; the office sees everybody's. */
  private mine(row: JobRow, me: User): void {
    if (row.user_id !== me.id && !me.roles.includes('office')) throw new ForbiddenException();
  }

  async list(me: User): Promise<Job[]> {
    const rows = (await this.db('jobs')
      .where({ user_id: me.id })
      .orderBy('id', 'desc')
      .limit(20)
      .select(...COLUMNS)) as JobRow[];
    return rows.map(jobOf);
  }

  async find(id: number, me: User): Promise<Job> {
    const row = await this.row(id);
    this.mine(row, me);
    return jobOf(row);
  }

  async ask(kind: JobKind, me: User, batch?: number): Promise<Job> {
    if (!MAY_ASK[kind].some((r) => me.roles.includes(r))) throw new ForbiddenException();
    const waiting = await this.db('jobs')
      .where({ user_id: me.id })
      .whereIn('state', ['waiting', 'running'])
      .count<{ n: number }[]>({ n: '*' });
    if (Number(waiting[0]?.n ?? 0) >= MOST)
      throw new ConflictException({
        code: 'too-many',
        message: 'Enough is being done for you already: wait for it, or stop one.',
      });
    const id = await transact(this.db, async (trx) => {
      const [made] = (await trx('jobs').insert({ kind, user_id: me.id, batch_id: batch ?? null })) as [number];
      await noteDeed(trx, me, { action: 'ask for', entity: 'job', id: made, detail: { kind } });
      return made;
    });
    return this.find(id, me);
  }

  /** Stops a job; what it has found so far stays. */
  async stop(id: number, me: User): Promise<Job> {
    const row = await this.row(id);
    this.mine(row, me);
    await this.db('jobs')
      .where({ id, state: 'waiting' })
      .update({ state: 'stopped', note: 'Stopped before it began.' });
    await this.db('jobs').where({ id, state: 'running' }).update({ stop: true });
    return this.find(id, me);
  }

  /** The file that a job has left, chunk by chunk. */
  async file(id: number, me: User): Promise<{ readonly name: string; readonly bytes: AsyncGenerator<Buffer> }> {
    const row = await this.row(id);
    this.mine(row, me);
    if (row.file === null) throw new NotFoundException({ code: 'no-file', message: 'This job has left no file yet.' });
    return { name: row.file, bytes: this.chunks(id) };
  }

  private async *chunks(id: number): AsyncGenerator<Buffer> {
    for (let seq = 0; ; seq++) {
      const row = (await this.db('job_chunks').where({ job_id: id, seq }).first('bytes')) as
        { bytes: Buffer } | undefined;
      if (!row) return;
      yield row.bytes;
    }
  }

  /** Takes the oldest job that waits, or whose instance has gone silent, unless this one is at work already. */
  async look(): Promise<void> {
    if (this.#running) return;
    const running = new AbortController();
    this.#running = running;
    let ended = (): void => undefined;
    this.#ended = new Promise((resolve) => (ended = resolve));
    try {
      const silent = this.db.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? SECOND)', [SILENT_S]);
      const next = (await this.db('jobs')
        .where({ state: 'waiting' })
        .orWhere((q) => void q.where({ state: 'running' }).where('beat_at', '<', silent))
        .orderBy('id')
        .first(...COLUMNS)) as JobRow | undefined;
      if (!next) return;
      const got = await this.db('jobs')
        .where({ id: next.id })
        .where(
          (q) =>
            void q
              .where({ state: 'waiting' })
              .orWhere((o) => void o.where({ state: 'running' }).where('beat_at', '<', silent)),
        )
        .update({ state: 'running', worker: this.#worker, beat_at: this.db.raw('UTC_TIMESTAMP()') });
      if (got === 1) await this.work(next, running);
    } catch (error) {
      if (!running.signal.aborted) this.#log.warn(error instanceof Error ? error.message : String(error));
    } finally {
      this.#running = undefined;
      ended();
    }
  }

  private start({ kind, batch_id }: JobRow, run: JobRun): Promise<JobDone> {
    switch (kind) {
      case 'export':
        return this.exporting.run(run);
      case 'papers':
        return this.papers.run(run);
      case 'batch':
        return this.batches.run(run, batch_id ?? 0);
    }
  }

  private async work(job: JobRow, running: AbortController): Promise<void> {
    const mine = () => this.db('jobs').where({ id: job.id, worker: this.#worker, state: 'running' });
    let latest: { progress: number; note: string } = { progress: 0, note: 'Begun' };
    const write = async (): Promise<void> => {
      const { progress, note } = latest;
      const kept = await mine().update({
        progress,
        note: note.slice(0, 240),
        beat_at: this.db.raw('UTC_TIMESTAMP()'),
      });
      const row = (await mine().first('stop')) as { stop: number } | undefined;
      // Somebody else has taken it over, or it was asked to stop.
      if (kept === 0 || !row || row.stop) running.abort(new Error('stopped'));
    };
    // Whoever had it before may have left half a file.
    await this.db('job_chunks').where({ job_id: job.id }).delete();
    let seq = 0;
    let writing = Promise.resolve();
    const timer = setInterval(() => {
      writing = writing.then(write).catch(() => undefined);
    }, WRITE_MS);
    const shut = (): boolean => (running.signal.reason as Error | undefined)?.message === 'shut down';
    try {
      const done = await this.start(job, {
        signal: running.signal,
        write: async (bytes) => {
          running.signal.throwIfAborted();
          await this.db('job_chunks').insert({ job_id: job.id, seq: seq++, bytes });
        },
        say: (progress, note) => {
          latest = { progress, note };
        },
      });
      clearInterval(timer);
      await writing;
      await mine().update({
        state: 'done',
        progress: 1,
        note: done.note,
        ...(done.file === undefined ? {} : { file: done.file }),
      });
    } catch (error) {
      clearInterval(timer);
      await writing;
      // Another instance goes on with what this one had to leave.
      if (shut()) await mine().update({ state: 'waiting', worker: '' });
      else if (running.signal.aborted)
        await mine().update({ state: 'stopped', note: 'Stopped; what was found so far is kept.' });
      else {
        this.#log.error(error instanceof Error ? error.stack : String(error));
        await mine().update({
          state: 'failed',
          note: 'It could not be done. Try again; if it fails again, tell whoever keeps Rubbet running.',
        });
      }
    }
  }
}
