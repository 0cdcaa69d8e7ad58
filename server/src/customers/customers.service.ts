import { BadRequestException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { changesOf, noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import type { User } from '../auth/auth.answers.ts';
import type { Customer, CustomerDetail, Site } from './customers.answers.ts';
import type { CustomerChangeDto, CustomerDto, SiteChangeDto, SiteDto } from './customers.dto.ts';

/** Most customers that a search lists, and orders or sites of one. */
const MOST = 200;
const COLUMNS = ['id', 'name', 'phone', 'email', 'address', 'miles', 'bearing', 'opens', 'closes', 'version'] as const;

/** The hours of a site are both or none, the earlier first. */
const checkHours = ({ opens = null, closes = null }: Pick<CustomerDto, 'opens' | 'closes'>): void => {
  if ((opens === null) !== (closes === null) || (opens !== null && closes !== null && opens >= closes))
    throw new BadRequestException({
      code: 'invalid',
      message: 'Say from when until when work may be done there, the earlier hour first, or neither.',
    });
};

/** The book of customers. */
@Injectable()
export class Customers {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Customers whose name, telephone, mail or address has what is searched for; as many as a page shows. */
  async list(search = ''): Promise<Customer[]> {
    const like = `%${search.replace(/[%_\\]/g, '')}%`;
    const digits = search.replace(/\D/g, '');
    return (await this.db('customers')
      .where((q) => {
        if (search === '') return;
        for (const column of ['name', 'phone', 'email', 'address']) q.orWhereILike(column, like);
        if (digits.length >= 3) q.orWhere('digits', 'like', `%${digits}%`);
      })
      .orderBy('name')
      .orderBy('id')
      .limit(MOST)
      .select(...COLUMNS)) as Customer[];
  }

  /** A customer with sites, notes and all orders. */
  async show(id: number, db: Db = this.db): Promise<CustomerDetail> {
    const [customer, more, sites, orders] = await Promise.all([
      this.find(id, db),
      db('customers').where({ id }).first('notes') as unknown as Promise<{ notes: string } | undefined>,
      db('sites')
        .where({ customer_id: id })
        .orderBy('name')
        .limit(MOST)
        .select(
          'id',
          'name',
          'address',
          'miles',
          'bearing',
          'opens',
          'closes',
          'notes',
          'version',
        ) as unknown as Promise<Site[]>,
      db('orders')
        .leftJoin('sites', 'sites.id', 'orders.site_id')
        .where({ 'orders.customer_id': id })
        .orderBy('orders.id', 'desc')
        .limit(MOST)
        .select(
          'orders.id',
          'orders.title',
          'orders.station',
          'orders.quantity',
          'orders.wanted_by as wantedBy',
          'sites.name as site',
        ) as unknown as Promise<CustomerDetail['orders']>,
    ]);
    return { ...customer, notes: more?.notes ?? '', sites, orders };
  }

  addSite(id: number, body: SiteDto, me: User): Promise<CustomerDetail> {
    checkHours(body);
    return transact(this.db, async (trx) => {
      await this.find(id, trx);
      const [site] = (await trx('sites').insert({ ...body, customer_id: id, notes: body.notes ?? '' })) as [number];
      await noteDeed(trx, me, { action: 'create', entity: 'site', id: site, detail: { ...body, customer: id } });
      return this.show(id, trx);
    });
  }

  /** Changes a site. Its way is part of the price of what is not accepted yet; what is accepted keeps its own. */
  changeSite(id: number, siteId: number, { version, ...change }: SiteChangeDto, me: User): Promise<CustomerDetail> {
    return transact(this.db, async (trx) => {
      const before = (await trx('sites').where({ id: siteId, customer_id: id }).first()) as Site | undefined;
      if (!before) throw new NotFoundException({ code: 'not-found', message: 'This customer has no such site.' });
      checkHours({ ...before, ...change });
      await updateVersioned(trx, 'sites', siteId, version, change);
      const after = (await trx('sites').where({ id: siteId }).first()) as Site;
      await noteDeed(trx, me, { action: 'change', entity: 'site', id: siteId, detail: changesOf(before, after) });
      return this.show(id, trx);
    });
  }

  async find(id: number, db: Db = this.db): Promise<Customer> {
    const row = (await db('customers')
      .where({ id })
      .first(...COLUMNS)) as Customer | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no customer ${id} in the book.` });
    return row;
  }

  create(body: CustomerDto, me: User): Promise<Customer> {
    checkHours(body);
    return transact(this.db, async (trx) => {
      const [id] = (await trx('customers').insert({ ...body })) as [number];
      await noteDeed(trx, me, { action: 'create', entity: 'customer', id, detail: body });
      return this.find(id, trx);
    });
  }

  change(id: number, { version, ...change }: CustomerChangeDto, me: User): Promise<Customer> {
    return transact(this.db, async (trx) => {
      const before = await this.show(id, trx);
      checkHours({ ...before, ...change });
      await updateVersioned(trx, 'customers', id, version, change);
      await noteDeed(trx, me, {
        action: 'change',
        entity: 'customer',
        id,
        detail: changesOf(before, { ...before, ...change }),
      });
      return this.find(id, trx);
    });
  }
}
