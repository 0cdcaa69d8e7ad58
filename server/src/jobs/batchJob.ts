import { Inject, Injectable } from '@nestjs/common';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { BatchPlanner } from '../batches/planBatch.ts';
import type { BatchFigures } from '../batches/batches.answers.ts';
import type { JobDone, JobRun } from './kinds.ts';

/** Share of the time that the first plan takes. */
const FIRST = 0.15;

/** Plans a batch: quickly first, so that there is one to saw by, then as well as it can be. Stopped, the last one that was kept stays. */
@Injectable()
export class BatchJob {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(BatchPlanner) private readonly planner: BatchPlanner,
  ) {}

  async run({ signal, say }: JobRun, batch: number): Promise<JobDone> {
    const round = (effort: 'quick' | 'full', from: number, to: number) =>
      this.planner.plan(batch, {
        effort,
        signal,
        say: (part, note) => say(from + (to - from) * part, note),
      });
    await round('quick', 0, FIRST);
    await round('full', FIRST, 1);
    const row = (await this.db('batches').where({ id: batch }).first('figures')) as { figures: unknown } | undefined;
    const figures = row?.figures ? readJson<BatchFigures>(row.figures) : undefined;
    return {
      note: figures
        ? `${figures.sticks} sticks and ${figures.sheets} sheets for ${figures.pieces} pieces${figures.proved ? '; no plan costs less' : ''}.`
        : 'There is nothing to cut.',
    };
  }
}
