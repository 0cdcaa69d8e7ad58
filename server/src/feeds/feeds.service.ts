import {
  BadRequestException,
  ForbiddenException,
  Inject,
  Injectable,
  NotFoundException,
  StreamableFile,
} from '@nestjs/common';
import { randomBytes } from 'node:crypto';
import { writeCsv } from '@rubbet/core/formats';
import type { User } from '../auth/auth.answers.ts';
import { readBoard } from '../board/readBoard.ts';
import type { Block, BoardState } from '../board/readBoard.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import type { Feed } from './feeds.answers.ts';
import type { FeedDto } from './feeds.dto.ts';
import { momentIn, writeCalendar } from './writeCalendar.ts';
import type { Happening } from './writeCalendar.ts';

/** How long a visit is told to take where nobody knows. */
const HOUR = 60;

/** Most calendars of one person. */
const MOST = 40;

interface FeedRecord {
  readonly id: number;
  readonly token: string;
  readonly kind: Feed['kind'];
  readonly ref: string;
  readonly user_id: number;
  readonly created_at: string;
}

const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

/** A calendar as it is answered; a refusal instead of it is a problem like any other. */
export const asCalendar = (text: string): StreamableFile =>
  new StreamableFile(Buffer.from(text), { type: 'text/calendar; charset=utf-8' });

/** Calendars of the plan that other programs read, and the plan as a table. */
@Injectable()
export class Feeds {
  constructor(@Inject(DB) private readonly db: Db) {}

  private nameOf(s: BoardState, kind: Feed['kind'], ref: string): string | undefined {
    if (kind === 'shop') return s.business.name || 'The shop';
    if (kind === 'crew') return s.crews.find((c) => c.id === ref)?.name;
    if (kind === 'person') return s.people.find((p) => p.key === ref)?.id;
    return s.trailers.find((t) => t.id === ref)?.name;
  }

  async list(me: User, db: Db = this.db): Promise<Feed[]> {
    const [s, rows] = await Promise.all([
      readBoard(db),
      db('feeds').where({ user_id: me.id }).orderBy('id').limit(MOST) as Promise<FeedRecord[]>,
    ]);
    return rows.map((r) => ({
      id: r.id,
      kind: r.kind,
      name: this.nameOf(s, r.kind, r.ref) ?? 'gone from the board',
      path: `/api/feeds/${r.token}.ics`,
      createdAt: r.created_at,
    }));
  }

  /** A calendar to subscribe to; who is not of the office has their own. */
  add(body: FeedDto, me: User): Promise<Feed[]> {
    return transact(this.db, async (trx) => {
      if (!me.roles.includes('office') && !(body.kind === 'person' && body.ref === String(me.id)))
        throw new ForbiddenException({ code: 'forbidden', message: 'You may subscribe to your own days only.' });
      const ref = body.kind === 'shop' ? 'shop' : body.ref;
      if (this.nameOf(await readBoard(trx), body.kind, ref) === undefined)
        throw new BadRequestException({ code: 'invalid', message: `There is no such ${body.kind} on the board.` });
      const of = { kind: body.kind, ref, user_id: me.id };
      const had = await trx('feeds').where(of).first('id');
      if (!had) {
        if (((await trx('feeds').where({ user_id: me.id }).pluck('id')) as number[]).length >= MOST)
          throw new BadRequestException({ code: 'invalid', message: `At most ${MOST} calendars: end one first.` });
        await trx('feeds').insert({ ...of, token: randomBytes(24).toString('base64url') });
        await noteDeed(trx, me, { action: 'subscribe', entity: 'feed', id: `${body.kind} ${ref}`, detail: {} });
      }
      return this.list(me, trx);
    });
  }

  /** Ends a calendar: its link leads nowhere from then on. */
  end(id: number, me: User): Promise<Feed[]> {
    return transact(this.db, async (trx) => {
      const gone = await trx('feeds').where({ id, user_id: me.id }).delete();
      if (gone === 0) throw new NotFoundException({ code: 'not-found', message: 'That calendar is ended already.' });
      await noteDeed(trx, me, { action: 'end', entity: 'feed', id, detail: {} });
      return this.list(me, trx);
    });
  }

  private happenings(
    s: BoardState,
    wanted: (b: Block, v: Block['visits'][0]) => boolean,
    places: ReadonlyMap<number, string>,
  ): Happening[] {
    const zone = s.business.timeZone;
    const nameOf = new Map(s.people.map((p) => [p.key, p.id]));
    const rowOf = new Map(s.places.map((p) => [p.row, p.id]));
    return s.blocks.flatMap((b) =>
      b.visits.flatMap((v, k) =>
        !wanted(b, v)
          ? []
          : v.pieces.map((p, n): Happening => ({
              uid: `${b.id.replace('/', '-')}-${k + 1}-${n + 1}@rubbet`,
              title: `${b.order_id} ${b.title}: ${b.name}${b.done ? ' (done)' : ''}`,
              text: [
                v.people.flatMap((key) => nameOf.get(key) ?? []).join(', '),
                v.trailer === null ? '' : `Trailer: ${s.trailers.find((t) => t.id === v.trailer)?.name ?? v.trailer}`,
              ]
                .filter(Boolean)
                .join('\n'),
              place:
                b.place === 'site' || b.place === 'road'
                  ? (places.get(b.order_id) ?? '')
                  : (rowOf.get(b.row ?? '') ?? ''),
              start: momentIn(zone, p.day, p.from),
              end: momentIn(zone, p.day, p.to),
              sequence: b.version,
            })),
      ),
    );
  }

  private async addresses(): Promise<Map<number, string>> {
    const rows = (await this.db('orders')
      .join('customers', 'customers.id', 'orders.customer_id')
      .leftJoin('sites', 'sites.id', 'orders.site_id')
      .where('orders.ended', false)
      .limit(5000)
      .select('orders.id', this.db.raw('COALESCE(sites.address, customers.address) AS address'))) as {
      id: number;
      address: string;
    }[];
    return new Map(rows.map((r) => [r.id, r.address]));
  }

  /** What a link leads to: a calendar for whoever has it. */
  async read(token: string): Promise<string> {
    const row = (/^[\w-]{20,60}$/.test(token) ? await this.db('feeds').where({ token }).first() : undefined) as
      FeedRecord | undefined;
    if (!row) throw new NotFoundException({ code: 'no-feed', message: 'This calendar is ended. Ask for a new link.' });
    const [s, places] = await Promise.all([readBoard(this.db), this.addresses()]);
    const of = (key: string): string | undefined => s.people.find((p) => p.key === key)?.crew;
    const wanted = (_: Block, v: Block['visits'][0]): boolean =>
      row.kind === 'shop' ||
      (row.kind === 'person' && v.people.includes(row.ref)) ||
      (row.kind === 'crew' && v.people.some((key) => of(key) === row.ref)) ||
      (row.kind === 'trailer' && v.trailer === row.ref);
    return writeCalendar(this.nameOf(s, row.kind, row.ref) ?? '', this.happenings(s, wanted, places), new Date());
  }

  /** The customer's own day: when we come. */
  async customerDay(order: {
    readonly id: number;
    readonly title: string;
    readonly customer: { readonly address: string };
  }): Promise<string> {
    const s = await readBoard(this.db);
    const agreed = s.deliveries.get(order.id);
    const zone = s.business.timeZone;
    const site = s.blocks.filter(
      (b) => b.order_id === order.id && (b.place === 'site' || b.place === 'road') && !b.done,
    );
    const event = (key: string, day: string, from: number, to: number, sequence: number): Happening => ({
      uid: `visit-${order.id}-${key}@rubbet`,
      title: `${s.business.name}: ${order.title}`,
      text: `Order ${order.id}. Call ${s.business.phone} if it does not suit you.`,
      place: order.customer.address,
      start: momentIn(zone, day, from),
      end: momentIn(zone, day, Math.max(from + 15, to)),
      sequence,
    });
    const arrives = agreed ? Number(agreed.arrives.slice(0, 2)) * 60 + Number(agreed.arrives.slice(3)) : 0;
    const trip = site.find((b) => b.op === 'deliver');
    // The day that was agreed on is theirs, whatever the board says; how long it takes, as far as that is planned.
    const there = trip?.visits[0];
    const visit = there?.pieces.find((p) => p.day === agreed?.day);
    const list = [
      ...(agreed
        ? [
            event(
              'deliver',
              agreed.day,
              arrives,
              visit ? visit.to - (there?.ways?.[1] ?? trip?.way ?? 0) : arrives + HOUR,
              trip?.version ?? 1,
            ),
          ]
        : []),
      // What is not agreed on yet is no day for a customer's calendar; what is built there afterwards is.
      ...(agreed ? site : [])
        .filter((b) => b.op !== 'deliver')
        .flatMap((b) =>
          b.visits.flatMap((v, k) =>
            v.pieces.map((p, n) => event(`${b.op}-${k + 1}-${n + 1}`, p.day, p.from + b.way, p.to - b.way, b.version)),
          ),
        ),
    ];
    return writeCalendar(`${s.business.name}: order ${order.id}`, list, new Date());
  }

  /** The plan as a table: a line for each stretch of work. */
  async csv(): Promise<string> {
    const s = await readBoard(this.db);
    const nameOf = new Map(s.people.map((p) => [p.key, p.id]));
    const rowOf = new Map(s.places.map((p) => [p.row, p.id]));
    const lines = s.blocks.flatMap((b) =>
      b.visits.flatMap((v) =>
        v.pieces.map((p) => ({
          order: b.order_id,
          title: b.title,
          work: b.name,
          day: p.day,
          from: clock(p.from),
          to: clock(p.to),
          place: rowOf.get(b.row ?? '') ?? (b.place === 'site' || b.place === 'road' ? 'site' : ''),
          people: v.people.flatMap((key) => nameOf.get(key) ?? []).join('; '),
          trailer: v.trailer ?? '',
          due: b.wanted_by,
          done: b.done ? 'yes' : '',
          pinned: b.pinned ? 'yes' : '',
        })),
      ),
    );
    lines.sort((a, b) => a.day.localeCompare(b.day) || a.from.localeCompare(b.from) || a.order - b.order);
    return writeCsv(lines);
  }
}
