import type { Db } from '../database/connect.ts';
import type { Trouble } from './bench.answers.ts';

/** What went wrong at a work order, the open ones first. */
export const readTroubles = async (db: Db, workId: number): Promise<Trouble[]> =>
  (await db('work_troubles')
    .where({ work_order_id: workId })
    .orderByRaw('solved_at IS NOT NULL, id')
    .select(
      'id',
      'step_id as stepId',
      'cause',
      'mark',
      'note',
      'by',
      'at',
      'solved_at as solvedAt',
      'solved_by as solvedBy',
      'answer',
      'version',
    )) as Trouble[];
