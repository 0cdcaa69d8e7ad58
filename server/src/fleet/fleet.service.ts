import { ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { Trailer, Vehicle } from '@rubbet/core/haul';
import type { User } from '../auth/auth.answers.ts';
import { newKey } from '../common/newKey.ts';
import { changesOf, noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import type { FleetAnswer, TrailerRecord, VehicleRecord } from './fleet.answers.ts';
import type { TrailerChangeDto, TrailerDto, VehicleChangeDto, VehicleDto } from './fleet.dto.ts';

/** The two kinds of record: the table, and the column that holds what it says of itself. */
const KINDS = { trailer: 'trailers', vehicle: 'vehicles' } as const;
type Kind = keyof typeof KINDS;
type Row = TrailerRecord | VehicleRecord;

/** What still goes out, for choosing. */
export const readTrailers = async (db: Db): Promise<Trailer[]> =>
  (await db('trailers').where({ active: true }).orderBy('id').limit(100)).map((t) => readJson<Trailer>(t.trailer));
export const readVehicles = async (db: Db): Promise<Vehicle[]> =>
  (await db('vehicles').where({ active: true }).orderBy('id').limit(100)).map((v) => readJson<Vehicle>(v.vehicle));

/** Trailers with their beds and limits, and the vehicles that pull them. */
@Injectable()
export class Fleet {
  constructor(@Inject(DB) private readonly db: Db) {}

  private async rows(db: Db, kind: Kind): Promise<Row[]> {
    const rows = await db(KINDS[kind]).orderBy('active', 'desc').orderBy('id').limit(100);
    return rows.map((r) => ({
      ...readJson<Trailer & Vehicle>(r[kind]),
      active: Boolean(r.active),
      version: r.version as number,
    }));
  }

  async show(): Promise<FleetAnswer> {
    const [trailers, vehicles] = await Promise.all([this.rows(this.db, 'trailer'), this.rows(this.db, 'vehicle')]);
    return { trailers: trailers as TrailerRecord[], vehicles: vehicles as VehicleRecord[] };
  }

  create(kind: Kind, body: TrailerDto | VehicleDto, me: User): Promise<FleetAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'road');
      const id = await newKey(trx, KINDS[kind], body.name);
      await trx(KINDS[kind]).insert({ id, [kind]: JSON.stringify({ id, ...body }) });
      await noteDeed(trx, me, { action: 'create', entity: kind, id, detail: body });
    }).then(() => this.show());
  }

  /** Changes a trailer or vehicle. One that a delivery still waits for stays. */
  change(kind: Kind, id: string, body: TrailerChangeDto | VehicleChangeDto, me: User): Promise<FleetAnswer> {
    const { version, active, ...change } = body as TrailerChangeDto;
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'road');
      const before = (await this.rows(trx, kind)).find((r) => r.id === id);
      if (!before) throw new NotFoundException({ code: 'not-found', message: `There is no such ${kind}.` });
      if (kind === 'trailer' && active === false) {
        const waits = await trx('deliveries')
          .join('orders', 'orders.id', 'deliveries.order_id')
          .where({ trailer_id: id })
          .whereNull('orders.delivered_at')
          .whereNull('orders.cancelled_at')
          .first('orders.id', 'orders.title');
        if (waits)
          throw new ConflictException({
            code: 'in-use',
            message: `Order ${waits.id}, ${waits.title}, is to go out on it: choose another trailer for that first.`,
          });
      }
      const { active: was, version: _v, ...kept } = before;
      const next = { ...kept, ...Object.fromEntries(Object.entries(change).filter(([, v]) => v !== undefined)) };
      await updateVersioned(trx, KINDS[kind], id, version, {
        [kind]: JSON.stringify(next),
        active: active ?? was,
      });
      await noteDeed(trx, me, {
        action: 'change',
        entity: kind,
        id,
        detail: changesOf({ ...kept, active: was }, { ...next, active: active ?? was }),
      });
    }).then(() => this.show());
  }
}
