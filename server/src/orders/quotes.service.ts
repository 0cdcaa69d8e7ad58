import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import { makeShow } from '@rubbet/core/order';
import { keptQuote, quoteOf } from '@rubbet/core/price';
import type { QuoteTerms } from '@rubbet/core/price';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { readPaper } from '../documents/readPaper.ts';
import { Settings } from '../settings/settings.service.ts';
import { takeForAct } from './life.ts';
import { Orders } from './orders.service.ts';
import { quoteLetter, quotePdf } from './quotePaper.ts';
import type { QuotePaper } from './quotePaper.ts';
import type { Order } from './orders.answers.ts';
import type { TermsDto } from './orders.dto.ts';

/** What an order is quoted at: its terms, and the quote on paper and in the outbox. */
@Injectable()
export class Quotes {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  setTerms(id: number, body: TermsDto, me: User): Promise<Order> {
    const { version, margin, discount, ...rest } = body;
    return transact(this.db, async (trx) => {
      await takeForAct(trx, id, 'terms', { version });
      const { terms: before } = await this.orders.find(id, trx);
      // Whoever said it first stays with it as long as it is not changed.
      const by = (was: { readonly by: string } | undefined, is: object): string =>
        was && JSON.stringify({ ...was, by: undefined }) === JSON.stringify({ ...is, by: undefined })
          ? was.by
          : me.name;
      const terms: QuoteTerms = {
        ...rest,
        ...(margin ? { margin: { ...margin, by: by(before.margin, margin) } } : {}),
        ...(discount ? { discount: { ...discount, by: by(before.discount, discount) } } : {}),
      };
      await updateVersioned(trx, 'orders', id, version, { terms: JSON.stringify(terms) });
      await noteDeed(trx, me, { action: 'terms', entity: 'order', id, detail: { before, after: terms } });
      return this.orders.find(id, trx);
    });
  }

  private async paper(order: Order): Promise<QuotePaper> {
    if (!order.revision)
      throw new BadRequestException({ code: 'no-spec', message: 'There is nothing to quote: build it first.' });
    const [rules, { units, business }, { price, summary }] = await Promise.all([
      this.settings.rules(),
      readPaper(this.db, this.settings),
      this.orders.figures(order),
    ]);
    return {
      order,
      business,
      show: makeShow(units, business.currency),
      quote: order.accepted?.price
        ? keptQuote(order.accepted.price, order.terms)
        : quoteOf(price, order.terms, rules.price.tax),
      weight: summary.weight,
      size: summary.size,
    };
  }

  async pdf(id: number): Promise<Buffer> {
    return quotePdf(await this.paper(await this.orders.find(id)));
  }

  /** Puts the quote into the outbox, to the customer's mail address. */
  async send(id: number, version: number, me: User): Promise<Order> {
    const order = await this.orders.find(id);
    if (order.customer.email === '')
      throw new BadRequestException({
        code: 'no-mail',
        message: 'The customer has no mail address in the book: write one down there, or print the quote.',
      });
    const letter = quoteLetter(await this.paper(order));
    return transact(this.db, async (trx) => {
      await takeForAct(trx, id, 'terms', { version });
      await updateVersioned(trx, 'orders', id, version, { quoted_at: trx.raw('UTC_TIMESTAMP()') });
      await trx('outbox').insert({
        to: order.customer.email,
        subject: `Quote for ${order.title}, order ${id}`.slice(0, 160),
        body: letter,
        about: `quote ${id}`,
        by: me.name,
      });
      await noteDeed(trx, me, { action: 'send quote', entity: 'order', id, detail: { to: order.customer.email } });
      return this.orders.find(id, trx);
    });
  }
}
