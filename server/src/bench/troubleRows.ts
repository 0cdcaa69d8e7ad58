import { NotFoundException } from '@nestjs/common';
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

/** The name of a step's row. @throws NotFoundException where the work order has no such row */
export const stepOfRow = async (db: Db, workId: number, row: number): Promise<string> => {
  const step = (await db('work_steps').where({ id: row, work_order_id: workId }).first('step_id')) as
    { step_id: string } | undefined;
  if (!step) throw new NotFoundException({ code: 'not-found', message: 'This step is not in the work order.' });
  return step.step_id;
};
