import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { takeForAct } from '../orders/life.ts';
import type { WorkOrder } from './bench.answers.ts';
import type { SolveDto, TroubleDto } from './bench.dto.ts';
import { Bench } from './bench.service.ts';
import { takeForStep } from './takeForStep.ts';
import { readWork } from './workPlans.ts';

/** What stops somebody at the bench and is not theirs to mend: told to the office, which says what is to be done. */
@Injectable()
export class Troubles {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Bench) private readonly bench: Bench,
  ) {}

  tell(orderId: number, body: TroubleDto, me: User): Promise<WorkOrder> {
    return transact(this.db, async (trx) => {
      const { work, row } = await takeForStep(trx, orderId, { id: body.step }, me);
      const stepId = row.step_id;
      const { cause, mark = '', note = '' } = body;
      const [id] = (await trx('work_troubles').insert({
        work_order_id: work.id,
        step_id: stepId,
        cause,
        mark,
        note,
        by: me.name,
      })) as [number];
      await noteDeed(trx, me, {
        action: 'tell of trouble',
        entity: 'step',
        id: `${orderId}/${body.step}`,
        detail: { trouble: id, step: stepId, cause, mark, note },
      });
      return this.bench.show(orderId, trx);
    });
  }

  /** Says what is to be done, once: whoever answers the same on an old version is refused with both. */
  solve(orderId: number, id: number, body: SolveDto, me: User): Promise<WorkOrder> {
    return transact(this.db, async (trx) => {
      await takeForAct(trx, orderId, 'work there');
      const work = await readWork(trx, orderId);
      if (!(await trx('work_troubles').where({ id, work_order_id: work.id }).first('id')))
        throw new NotFoundException({ code: 'not-found', message: 'There is no such trouble at this work order.' });
      await updateVersioned(trx, 'work_troubles', id, body.version, {
        answer: body.answer,
        solved_by: me.name,
        solved_at: trx.raw('UTC_TIMESTAMP()'),
      });
      await noteDeed(trx, me, {
        action: 'answer trouble',
        entity: 'step',
        id: `${orderId}/trouble-${id}`,
        detail: { trouble: id, answer: body.answer },
      });
      return this.bench.show(orderId, trx);
    });
  }
}
