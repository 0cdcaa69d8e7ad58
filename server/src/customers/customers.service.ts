import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import type { User } from '../auth/auth.answers.ts';
import type { Customer } from './customers.answers.ts';
import type { CustomerChangeDto, CustomerDto } from './customers.dto.ts';

const COLUMNS = ['id', 'name', 'phone', 'email', 'address', 'miles', 'version'] as const;

/** The book of customers. */
@Injectable()
export class Customers {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(search = ''): Promise<Customer[]> {
    return (await this.db('customers')
      .whereILike('name', `%${search.replace(/[%_\\]/g, '')}%`)
      .orderBy('name')
      .limit(1000)
      .select(...COLUMNS)) as Customer[];
  }

  async find(id: number, db: Db = this.db): Promise<Customer> {
    const row = (await db('customers')
      .where({ id })
      .first(...COLUMNS)) as Customer | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no customer ${id} in the book.` });
    return row;
  }

  create(body: CustomerDto, me: User): Promise<Customer> {
    return transact(this.db, async (trx) => {
      const [id] = (await trx('customers').insert({ ...body })) as [number];
      await noteDeed(trx, me, { action: 'create', entity: 'customer', id, detail: body });
      return this.find(id, trx);
    });
  }

  change(id: number, { version, ...change }: CustomerChangeDto, me: User): Promise<Customer> {
    return transact(this.db, async (trx) => {
      await updateVersioned(trx, 'customers', id, version, change);
      await noteDeed(trx, me, { action: 'change', entity: 'customer', id, detail: change });
      return this.find(id, trx);
    });
  }
}
