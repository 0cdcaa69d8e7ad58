import { Inject, Injectable } from '@nestjs/common';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Documents } from '../documents/documents.service.ts';
import { Archive } from './archive.ts';
import type { JobDone, JobRun } from './kinds.ts';

/** Most work orders that are printed into one archive. */
const MOST = 60;

/** The work orders of everything on the bench, as PDFs in one archive. */
@Injectable()
export class PapersJob {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Documents) private readonly documents: Documents,
  ) {}

  async run({ signal, say, write }: JobRun): Promise<JobDone> {
    const ids = (await this.db('work_orders')
      .join('orders', 'orders.id', 'work_orders.order_id')
      .whereNull('work_orders.done_at')
      .whereNull('orders.cancelled_at')
      .orderBy('orders.wanted_by')
      .limit(MOST)
      .pluck('orders.id')) as number[];
    if (ids.length === 0) return { note: 'Nothing is on the bench.' };
    const archive = new Archive(write);
    for (const [i, id] of ids.entries()) {
      signal.throwIfAborted();
      say(i / ids.length, `Printing work order ${id}`);
      // What is packed already is not packed again.
      await archive.add(`work-order-${id}.pdf`, [await this.documents.workOrder(id, null, 'job', signal)], true);
    }
    await archive.end();
    return { note: `${ids.length} work orders.`, file: 'work-orders.zip' };
  }
}
