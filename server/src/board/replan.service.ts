import { ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { createHash } from 'node:crypto';
import { AS_TOLD, blockOf, DAY, operationsOf } from '@rubbet/core/crews';
import type { Fixed, Proposal, Promised, Shop } from '@rubbet/core/crews';
import { addDays } from '@rubbet/core/days';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { readTrailers } from '../fleet/fleet.service.ts';
import { Orders } from '../orders/orders.service.ts';
import { readKeptBusinessRules } from '../settings/readKeptBusinessRules.ts';
import { Pool } from '../work/pool.ts';
import { applyCause } from './applyCause.ts';
import type { BoardAnswer, BoardFault, PromiseAnswer, ProposalAnswer, ReplanAnswer } from './board.answers.ts';
import type { CauseDto, ChooseDto } from './board.dto.ts';
import { Board } from './board.service.ts';
import { readBoard } from './readBoard.ts';
import { readMaterials } from './readMaterials.ts';
import { takersOfOrder } from './takersOf.ts';
import type { BoardState } from './readBoard.ts';
import { hopsOf, readTrips, withTrip } from './readTrips.ts';
import { savePlan } from './savePlan.ts';
import { blockRulesOf } from './toShop.ts';
import { sayFault } from './showBoard.ts';
import { readSpreads } from './readSpreads.ts';
import { tellPeople } from './tellPeople.ts';

/** How long each plan of a morning is looked for, seconds; a machine that is slower or quicker may be given another time. */
const SECONDS = Number(process.env.RUBBET_PLAN_SECONDS) || 1.2;
/** Next days on which people would stay longer, where that is what a plan is made with. */
const LONGER_DAYS = 5;
/** A proposal is good for so long, minutes. */
const GOOD_FOR = 60;

/** The board as a stamp: another one as soon as a block, a day, somebody's absence or what is agreed on is another. */
const stampOf = (s: BoardState): string =>
  createHash('sha256')
    .update(
      JSON.stringify([
        s.today,
        s.blocks.map((b) => [b.id, b.version, b.done]),
        s.days,
        s.shop.people,
        s.shop.places,
        s.out,
        [...s.deliveries],
        [...s.materials],
      ]),
    )
    .digest('hex');

class Undone extends Error {}

/** Plans the morning anew: what could be done about what it brought, and doing what was chosen of it; and promises days. */
@Injectable()
export class Replan {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Board) private readonly board: Board,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** The board as it would be with a cause written down; nothing of it stays written. */
  private async with(
    body: CauseDto,
  ): Promise<{ readonly before: BoardState; readonly after: BoardState; readonly words: string }> {
    let out: { before: BoardState; after: BoardState; words: string } | undefined;
    try {
      await transact(this.db, async (trx) => {
        const before = await readBoard(trx);
        const cause = applyCause(before, body);
        await cause.write(trx, '');
        out = { before, after: await readBoard(trx), words: cause.words };
        throw new Undone();
      });
    } catch (error) {
      if (!(error instanceof Undone) || !out) throw error;
    }
    return out as NonNullable<typeof out>;
  }

  /** Plans that mend what a morning brought. Nothing moves by it. */
  async propose(body: CauseDto, me: User): Promise<ReplanAnswer> {
    const { before, after, words } = await this.with(body);
    const { shop } = after;
    const next = this.nextDays(after);
    const [plans, asItIs] = await Promise.all([
      this.pool.run('proposePlans', {
        shop,
        search: { seconds: SECONDS },
        overtime: { minutes: after.rules.overtime, days: next },
      }),
      this.pool.run('planCrews', { shop, search: { rounds: 0, rule: AS_TOLD, bound: false } }),
    ]);
    const [id] = (await this.db('proposals').insert({
      cause: JSON.stringify({ ...body, words }),
      stamp: stampOf(before),
      plans: JSON.stringify(plans),
      by: me.name,
    })) as [number];
    return {
      id,
      cause: words,
      asItIs: {
        lateDays: asItIs.late.reduce((n, l) => n + l.days, 0),
        lateOrders: asItIs.late.length,
        faults: this.faults(after, asItIs.faults),
      },
      plans: plans.map((p) => this.tell(after, p)),
    };
  }

  /** The next days that are worked, on which people would stay longer. */
  private nextDays(s: BoardState): string[] {
    const out = new Set(s.shop.overtime?.days);
    let day = s.today;
    for (let n = 0; n < LONGER_DAYS; n++) {
      day = s.open.from(day);
      out.add(day);
      day = addDays(day, 1);
    }
    return [...out];
  }

  private faults(s: BoardState, list: Proposal['plan']['faults']): BoardFault[] {
    return list.map((f) => ({
      kind: f.kind,
      task: blockOf(f.operation),
      orderId: Number(f.operation.split('/')[0]),
      text: sayFault(s, f.text),
    }));
  }

  private tell(s: BoardState, p: Proposal): ProposalAnswer {
    const at = (f: Fixed | Proposal['shifts'][0]['after']) => ({
      day: addDays(s.today, Math.floor(f.start / DAY)),
      minute: ((f.start % DAY) + DAY) % DAY,
      at: [f.place, f.people?.join(', ')].filter(Boolean).join(': '),
    });
    const titles = new Map(s.blocks.map((b) => [b.order_id, b.title]));
    return {
      kind: p.kind,
      cost: p.plan.cost,
      bound: p.plan.bound,
      lateDays: p.lateDays,
      lateOrders: p.lateOrders,
      overtimeMinutes: p.overtimeMinutes,
      shifts: p.shifts.map((x) => ({
        task: blockOf(x.operation),
        orderId: Number(x.order),
        title: titles.get(Number(x.order)) ?? '',
        name: sayFault(s, blockOf(x.operation)).replace(`${x.order} `, ''),
        before: x.before ? at(x.before) : null,
        after: at(x.after),
      })),
      orders: p.orders.map(({ order, ...o }) => ({
        ...o,
        orderId: Number(order),
        title: titles.get(Number(order)) ?? '',
      })),
      faults: this.faults(s, p.plan.faults),
    };
  }

  /** Does what was chosen, if the board is still the one that it was made for; whom it concerns is told. */
  choose(id: number, body: ChooseDto, me: User): Promise<BoardAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const row = (await trx('proposals')
        .where({ id })
        .first('*', trx.raw('at < DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? MINUTE) AS old', [GOOD_FOR]))) as
        { cause: unknown; stamp: string; plans: unknown; chosen: string | null; old: number } | undefined;
      if (!row) throw new NotFoundException({ code: 'not-found', message: 'These plans are not there any more.' });
      const before = await readBoard(trx);
      if (row.chosen !== null || row.old || row.stamp !== stampOf(before))
        throw new ConflictException({
          code: 'stale',
          message: 'The board changed since these plans were made. Nothing was moved: look for plans again.',
        });
      const plan = readJson<Proposal[]>(row.plans).find((p) => p.kind === body.plan);
      if (!plan)
        throw new ConflictException({
          code: 'gone',
          message: 'That plan was not among them. Choose one that is shown.',
        });
      const cause = readJson<CauseDto & { words: string }>(row.cause);
      await applyCause(before, cause).write(trx, me.name);
      // Days on which people stay longer are agreed on with the plan.
      for (const day of this.overtimeDays(before, plan))
        await trx.raw(
          'INSERT INTO calendar_days (day, overtime) VALUES (?, 1) ON DUPLICATE KEY UPDATE overtime = 1, version = version + 1',
          [day],
        );
      const after = await readBoard(trx);
      await savePlan(trx, after, plan.plan.plan);
      const told = await tellPeople(trx, after, plan, cause.words, me.name);
      await trx('proposals').where({ id }).update({ chosen: body.plan });
      await noteDeed(trx, me, {
        action: 'plan anew',
        entity: 'board',
        id: String(id),
        detail: { cause: cause.words, plan: body.plan, moved: plan.shifts.length, told },
      });
      return this.board.show(trx);
    });
  }

  /** Days on which a plan has people at work after the shop has closed. */
  private overtimeDays(s: BoardState, p: Proposal): string[] {
    const [, closes] = s.shop.hours;
    const days = new Set<string>();
    for (const x of p.plan.plan)
      for (const [, to] of x.pieces) {
        const day = Math.floor((to - 1) / DAY);
        if (to - day * DAY > closes) days.add(addDays(s.today, day));
      }
    return [...days];
  }

  /** An order that is planned: what is left of it, none of it before the day that people were told; undefined where it is not. */
  private onBoard(s: BoardState, id: string) {
    const order = s.shop.orders.find((o) => o.id === id);
    const told = s.shop.published.filter((p) => p.operation.startsWith(`${id}/`));
    if (!order || told.length === 0) return undefined;
    const days = new Map(
      [...told, ...s.shop.pins].map((p) => [p.operation, addDays(s.today, Math.floor(p.start / DAY))]),
    );
    const operations = s.shop.operations
      .filter((o) => o.order === id)
      .map((o) => {
        const day = days.get(o.id);
        return day !== undefined && day > (o.from ?? '') ? { ...o, from: day } : o;
      });
    return { order, operations, begins: Math.min(...told.map((p) => p.start)) };
  }

  /** The days that an order can be promised for, as it is drawn now; one that is planned keeps its turn. */
  async promise(orderId: number): Promise<PromiseAnswer> {
    const order = await this.orders.find(orderId);
    const [s, spreads, rules] = await Promise.all([
      readBoard(this.db),
      readSpreads(this.db),
      readKeptBusinessRules(this.db),
    ]);
    const trip = (await readTrips(this.db, [orderId], await readTrailers(this.db), rules)).get(orderId);
    const window = trip?.window ?? undefined;
    // Its load goes with others whose sites lie on its way.
    const hops = trip ? hopsOf(new Map([...s.trips, [orderId, trip]]), rules) : s.hops;
    const size = order.revision?.summary.room ?? order.revision?.summary.size;
    // What it has on the board already is not waited for by itself.
    const mine = String(orderId);
    const shop: Shop = {
      ...s.shop,
      ...(hops.length === 0 ? {} : { hops }),
      orders: s.shop.orders.filter((o) => o.id !== mine),
      operations: s.shop.operations.filter((o) => o.order !== mine),
      pins: s.shop.pins.filter((p) => !p.operation.startsWith(`${mine}/`)),
      published: s.shop.published.filter((p) => !p.operation.startsWith(`${mine}/`)),
    };
    const there = this.onBoard(s, mine);
    const drawn = async () => {
      const { operations } = await this.orders.figures(order, order.accepted?.revisionId);
      const alike = order.model === null ? undefined : `model ${order.model.id}`;
      // What is on the board takes first.
      const takers = [...s.takers.filter((t) => t.order !== orderId), ...takersOfOrder(orderId, operations)];
      const materials = await readMaterials(this.db, takers, s.today, s.rules.lead, s.open);
      return {
        order: {
          id: mine,
          due: order.wantedBy,
          weight: s.rules.lateDay,
          ...(size ? { size } : {}),
          ...(window ? { window } : {}),
        },
        operations: operationsOf(mine, operations, blockRulesOf(s, operations, window, alike)).map((o) => {
          const from = materials.get(o.id)?.day;
          return withTrip(from !== undefined && from > s.today ? { ...o, from } : o, trip);
        }),
      };
    };
    const asked = there ?? (await drawn());
    const found: Promised = await this.pool.run('promiseDay', {
      shop,
      order: asked.order,
      operations: asked.operations,
      rules: {
        spread: spreads.bySkill,
        longer: { minutes: s.rules.overtime, days: LONGER_DAYS },
        ...(there ? { begins: there.begins } : {}),
      },
    });
    return {
      planned: found.planned,
      half: found.days['50'],
      likely: found.days['80'],
      sure: found.days['95'],
      samples: found.samples,
      logged: spreads.logged,
      inTheWay: found.inTheWay.map((w) => ({ ...w, cents: w.cents ?? null, on: w.on ?? [] })),
    };
  }
}
