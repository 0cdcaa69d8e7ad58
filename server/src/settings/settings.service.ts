import { Inject, Injectable } from '@nestjs/common';
import { BUSINESS_RULES, readKeptRules, readRules, RuleError } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';
import { noteDeed } from '../database/audit.ts';
import type { Actor } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf, updateVersioned } from '../database/updateVersioned.ts';
import { readItems, withoutPrices } from '../items/readItems.ts';
import type { SettingsAnswer } from './settings.answers.ts';
import type { SettingsDto } from './settings.dto.ts';

const RULES = { id: 'rules' } as const;

/** The rules of this business: defaults of the trade, with its own values in their place. */
@Injectable()
export class Settings {
  constructor(@Inject(DB) private readonly db: Db) {}

  async rules(db: Db = this.db): Promise<BusinessRules> {
    const row = await db('settings').where(RULES).first();
    return { ...readKeptRules(row ? readJson(row.value) : {}), items: await readItems(db) };
  }

  /** The settings as somebody sees them: what is charged is the office's to see, others have the trade's usual values there. */
  async show(db: Db = this.db, all = true): Promise<SettingsAnswer> {
    const row = await db('settings').where(RULES).first();
    const { price, ...others } = row ? readJson<Record<string, unknown>>(row.value) : {};
    const items = await readItems(db);
    const value = all && price !== undefined ? { ...others, price } : others;
    return {
      version: (row?.version as number | undefined) ?? 0,
      value,
      rules: { ...readKeptRules(value), items: all ? items : withoutPrices(items) },
      defaults: BUSINESS_RULES,
    };
  }

  change(body: SettingsDto, me: Actor): Promise<SettingsAnswer> {
    if ('items' in (body.value as object))
      throw new RuleError('Items are no setting: change them in the list of items, at the rack.');
    readRules(body.value);
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      const value = JSON.stringify(body.value);
      const before = await trx('settings').where(RULES).first();
      if (before) await updateVersioned(trx, 'settings', RULES.id, body.version, { value });
      else if (body.version === 0) await trx('settings').insert({ ...RULES, value });
      else throw staleOf(body.version, { ...RULES, value: {}, version: 0 });
      await noteDeed(trx, me, {
        action: 'change',
        entity: 'settings',
        id: RULES.id,
        detail: { before: before ? readJson(before.value) : {}, after: body.value },
      });
      return this.show(trx);
    });
  }
}
