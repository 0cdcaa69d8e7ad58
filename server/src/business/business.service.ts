import { Inject, Injectable } from '@nestjs/common';
import { dayIn, readBusiness as over } from '@rubbet/core/order';
import { DemoPasswords } from '../auth/demoPasswords.ts';
import { noteDeed } from '../database/audit.ts';
import type { Actor } from '../database/audit.ts';
import { changesOf } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf } from '../database/updateVersioned.ts';
import type { BusinessAnswer } from './business.answers.ts';
import type { BusinessDto } from './business.dto.ts';
import { keepBusiness, readBusiness } from './readBusiness.ts';

/** The business itself: its name on every paper, its day, its week. */
@Injectable()
export class BusinessService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(DemoPasswords) private readonly demoPasswords: DemoPasswords,
  ) {}

  async show(db: Db = this.db): Promise<BusinessAnswer> {
    const { business, version, demo } = await readBusiness(db);
    return {
      ...business,
      version,
      demo,
      demoPasswords: await this.demoPasswords.stand(db),
      today: dayIn(business.timeZone, new Date()),
    };
  }

  change({ version, ...change }: BusinessDto, me: Actor): Promise<BusinessAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      const before = await readBusiness(trx);
      if (before.version !== version) throw staleOf(version, { ...before.business, version: before.version });
      const business = over({ ...change }, before.business);
      await keepBusiness(trx, business, before.demo);
      await noteDeed(trx, me, {
        action: 'change',
        entity: 'business',
        id: 'business',
        detail: changesOf(before.business, business),
      });
      return this.show(trx);
    });
  }
}
