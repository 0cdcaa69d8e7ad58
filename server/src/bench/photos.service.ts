import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockOrder } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import type { WorkOrder } from './bench.answers.ts';
import type { PhotoDto } from './bench.dto.ts';
import { Bench } from './bench.service.ts';
import { takeForStep } from './takeForStep.ts';
import { readWork } from './workPlans.ts';

/** Largest photo, bytes, and most of one work order. */
const MOST_BYTES = 370_000;
const MOST = 400;

/** What a picture is by its first bytes, whatever its name says; undefined for what is none. */
export const typeOfPicture = (bytes: Buffer): string | undefined => {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg';
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return 'image/png';
  if (bytes.subarray(0, 4).toString('latin1') === 'RIFF' && bytes.subarray(8, 12).toString('latin1') === 'WEBP')
    return 'image/webp';
  return undefined;
};

/** Photos of steps. They are kept in the database: saved with the rest, on every node, and never among files that are served. */
@Injectable()
export class Photos {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Bench) private readonly bench: Bench,
  ) {}

  add(orderId: number, body: PhotoDto, me: User): Promise<WorkOrder> {
    const bytes = Buffer.from(body.data, 'base64');
    const type = typeOfPicture(bytes);
    if (!type)
      throw new BadRequestException({
        code: 'invalid',
        message: 'This is no photo: send a JPEG, PNG or WebP picture.',
      });
    if (bytes.length > MOST_BYTES)
      throw new BadRequestException({ code: 'invalid', message: 'The photo must be under 370 KB: take it smaller.' });
    return transact(this.db, async (trx) => {
      const { work, row } = await takeForStep(trx, orderId, { id: body.step }, me);
      const stepId = row.step_id;
      const { n } = (await trx('work_photos').where({ work_order_id: work.id }).count('* as n').first()) as unknown as {
        n: number;
      };
      if (Number(n) >= MOST)
        throw new ConflictException({
          code: 'too-many',
          message: `A work order keeps up to ${MOST} photos: take one out first.`,
        });
      const [id] = (await trx('work_photos').insert({
        work_order_id: work.id,
        step_id: stepId,
        type,
        size: bytes.length,
        bytes,
        by: me.name,
      })) as [number];
      await noteDeed(trx, me, {
        action: 'add photo',
        entity: 'step',
        id: `${orderId}/${body.step}`,
        detail: { photo: id, step: stepId, size: bytes.length },
      });
      return this.bench.show(orderId, trx);
    });
  }

  async show(orderId: number, id: number): Promise<{ readonly type: string; readonly bytes: Buffer }> {
    const work = await readWork(this.db, orderId);
    const row = (await this.db('work_photos').where({ id, work_order_id: work.id }).first('type', 'bytes')) as
      { type: string; bytes: Buffer } | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: 'This photo is not there any more.' });
    return row;
  }

  remove(orderId: number, id: number, me: User): Promise<WorkOrder> {
    return transact(this.db, async (trx) => {
      await lockOrder(trx, orderId);
      const { id: workId } = await readWork(trx, orderId);
      const photo = (await trx('work_photos').where({ id, work_order_id: workId }).first('step_id')) as
        { step_id: string } | undefined;
      if (!photo) throw new NotFoundException({ code: 'not-found', message: 'This photo is not there any more.' });
      await takeForStep(trx, orderId, photo, me);
      await trx('work_photos').where({ id }).delete();
      await noteDeed(trx, me, {
        action: 'take out photo',
        entity: 'step',
        id: `${orderId}/photo-${id}`,
        detail: { photo: id },
      });
      return this.bench.show(orderId, trx);
    });
  }
}
