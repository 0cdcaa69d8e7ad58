import { Inject, Injectable } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { newKey } from '../common/newKey.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import type { Supplier } from './items.answers.ts';
import type { SupplierChangeDto, SupplierDto } from './items.dto.ts';

/** Who is bought from. */
@Injectable()
export class Suppliers {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(db: Db = this.db): Promise<Supplier[]> {
    const rows = (await db('suppliers')
      .orderBy('active', 'desc')
      .orderBy('name')
      .select('id', 'name', 'phone', 'email', 'lead_days as leadDays', 'note', 'active', 'version')) as Supplier[];
    return rows.map((r) => ({ ...r, active: Boolean(r.active) }));
  }

  create(body: SupplierDto, me: User): Promise<Supplier[]> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      const id = await newKey(trx, 'suppliers', body.name);
      const { leadDays, ...rest } = body;
      await trx('suppliers').insert({ id, ...rest, ...(leadDays === undefined ? {} : { lead_days: leadDays }) });
      await noteDeed(trx, me, { action: 'create', entity: 'supplier', id, detail: body });
      return this.list(trx);
    });
  }

  change(id: string, body: SupplierChangeDto, me: User): Promise<Supplier[]> {
    const { version, leadDays, ...rest } = body;
    return transact(this.db, async (trx) => {
      await updateVersioned(trx, 'suppliers', id, version, {
        ...Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined)),
        ...(leadDays === undefined ? {} : { lead_days: leadDays }),
      });
      await noteDeed(trx, me, { action: 'change', entity: 'supplier', id, detail: body });
      return this.list(trx);
    });
  }
}
