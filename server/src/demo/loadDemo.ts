import { randomBytes } from 'node:crypto';
import { CREWS, DEMO_PASSWORD, flockFor, MODELS, ORDERS, RACK, TRAILERS, USERS, weatherFor } from '@rubbet/demo';
import type { DemoOrder } from '@rubbet/demo';
import { findFamily, parseSpec } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import { BUSINESS_RULES, computeOrder, stationOf } from '@rubbet/core/order';
import { addDays, makeCalendar, planSchedule, startOf, weekday } from '@rubbet/core/schedule';
import type { Row, Task } from '@rubbet/core/schedule';
import type { Flock } from '@rubbet/core/flock';
import { hashPassword } from '../auth/sessions.ts';
import type { Db } from '../database/connect.ts';

const STAGES = [
  'new',
  'flock',
  'build',
  'ground',
  'accepted',
  'bench',
  'benched',
  'planned',
  'road',
  'delivered',
  'done',
] as const;
const reached = (o: DemoOrder, stage: (typeof STAGES)[number]): boolean =>
  STAGES.indexOf(o.upTo) >= STAGES.indexOf(stage);
const json = (v: unknown): string => JSON.stringify(v);

const TABLES = [
  'audit',
  'settings',
  'visit_items',
  'deliveries',
  'trailers',
  'operations',
  'calendar_days',
  'members',
  'crews',
  'stock_ledger',
  'stock',
  'work_steps',
  'work_parts',
  'work_orders',
  'surveys',
  'spec_revisions',
  'orders',
  'model_revisions',
  'models',
  'customers',
  'login_attempts',
  'sessions',
  'users',
];

const flockOf = (o: DemoOrder, spec: Spec): Flock | null =>
  o.flock
    ? {
        kind: o.flock.kind,
        now: o.flock.now / (o.quantity ?? 1),
        later: o.flock.later / (o.quantity ?? 1),
        breed: 'standard',
        ranging: !findFamily(spec.family)?.movable,
        mover: o.flock.mover ?? 'two adults',
        moves: findFamily(spec.family)?.movable ? 'daily' : 'never',
      }
    : null;

/** Loads the demo business into an empty database; with `reset` whatever was there is taken out first. */
export const loadDemo = async (db: Db, reset = false): Promise<void> => {
  if (!reset && (await db('users').first())) return;
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  if (reset) await db('orders').delete();
  await db.raw('ALTER TABLE orders AUTO_INCREMENT = 1036');
  await db.transaction(async (trx) => {
    for (const table of TABLES) await trx(table).delete();
    await trx('users').insert(
      USERS.map((u) => ({ name: u.name, login: u.login, role: u.role, password_hash: passwordHash })),
    );
    for (const [seq, c] of CREWS.entries()) {
      await trx('crews').insert({ id: c.id, name: c.name, stations: json(c.stations), people: c.people, seq });
      for (const [i, name] of c.members.entries()) await trx('members').insert({ crew_id: c.id, name, leads: i === 0 });
    }
    for (const t of TRAILERS) await trx('trailers').insert({ id: t.id, trailer: json(t) });
    for (const r of RACK) {
      const [id] = await trx('stock').insert({ item: r.item, length: r.length, place: r.place, mark: r.mark });
      await trx('stock_ledger').insert({ stock_id: id, change: r.quantity, why: 'counted', by: 'Tobin Askew' });
    }
    const today = new Date().toISOString().slice(0, 10);
    const monday = addDays(today, -((weekday(today) + 6) % 7));
    for (let i = 0; i < 60; i++) {
      const day = addDays(monday, i);
      await trx('calendar_days').insert({ day, closed: false, weather: weatherFor(day) });
    }
    const models = new Map<string, { id: number; spec: Spec }>();
    for (const m of MODELS) {
      const spec = parseSpec({ family: m.family, params: m.params });
      const { summary } = computeOrder({ spec, flock: flockFor(m) }, BUSINESS_RULES);
      const [id] = await trx('models').insert({
        name: m.name,
        family: m.family,
        purpose: m.purpose,
        ranges: json(m.ranges ?? {}),
      });
      const first = m.before ? parseSpec({ family: m.family, params: m.before.params }) : spec;
      const revisions = [
        {
          spec: first,
          summary: m.before ? computeOrder({ spec: first, flock: flockFor(m) }, BUSINESS_RULES).summary : summary,
          note: 'first',
        },
        ...(m.before ? [{ spec, summary, note: m.before.note }] : []),
      ];
      await trx('model_revisions').insert(
        revisions.map((r, i) => ({
          model_id: id,
          number: i + 1,
          spec: json(r.spec),
          summary: json(r.summary),
          note: r.note,
          made_by: USERS[0]?.name ?? '',
        })),
      );
      models.set(m.name, { id: id as number, spec });
    }
    const tasks: Task[] = [];
    const operations: Record<string, unknown>[] = [];
    for (const o of ORDERS) await loadOrder(trx as unknown as Db, o, models, today, tasks, operations);
    const calendar = makeCalendar(monday, 60);
    const rows: Row[] = CREWS.map((c) => ({ id: c.id, name: c.name, stations: c.stations, people: c.people }));
    const blocks = new Map(
      planSchedule(tasks, rows, calendar, [], startOf(calendar, today) ?? 0).map((b) => [b.task, b]),
    );
    for (const op of operations) {
      const block = blocks.get(op.id as string);
      const index = block ? Math.floor(block.start / calendar.minutes) : 0;
      await trx('operations').insert({
        ...op,
        ...(block ? { row: block.row, day: calendar.days[index], minute: block.start - index * calendar.minutes } : {}),
      });
    }
  });
};

const loadOrder = async (
  trx: Db,
  o: DemoOrder,
  models: ReadonlyMap<string, { id: number; spec: Spec }>,
  today: string,
  tasks: Task[],
  operations: Record<string, unknown>[],
): Promise<void> => {
  const [customer] = await trx('customers').insert({ ...o.customer });
  const model = o.model === undefined ? undefined : models.get(o.model);
  const spec = model && parseSpec({ ...model.spec, params: { ...model.spec.params, ...o.change } });
  const flock = spec ? flockOf(o, spec) : null;
  const [id] = await trx('orders').insert({
    customer_id: customer,
    model_id: model?.id ?? null,
    title: o.title,
    quantity: o.quantity ?? 1,
    wanted_by: addDays(today, o.wantedIn),
    flock: flock && reached(o, 'flock') ? json(flock) : null,
    token: randomBytes(24).toString('base64url'),
    notes: o.note ?? '',
  });
  const done: Record<string, unknown> = {};
  const computed =
    spec &&
    computeOrder(
      { spec, ...(flock ? { flock } : {}), miles: o.customer.miles, quantity: o.quantity ?? 1 },
      BUSINESS_RULES,
    );
  const now = trx.raw('UTC_TIMESTAMP()');
  if (spec && computed && reached(o, 'build')) {
    const [revision] = await trx('spec_revisions').insert({
      order_id: id,
      number: 1,
      spec: json(spec),
      summary: json(computed.summary),
      note: o.change ? 'as asked on the phone' : 'standard',
      made_by: 'Odile Farrant',
    });
    done.revision_id = revision;
    if (o.rods) {
      const [long, deep] =
        spec.family === 'low-pen'
          ? [Number(spec.params.length), Number(spec.params.width)]
          : [Number(spec.params.length) - 3.5, Number(spec.params.depth) - 3.5];
      const names = ['front left', 'front right', 'back right', 'back left'];
      const pads = o.rods.map((rod, i) => ({
        id: (names[i] ?? '').replace(' ', '-'),
        name: names[i],
        x: i === 1 || i === 2 ? long : 0,
        y: i > 1 ? deep : 0,
        rod,
      }));
      await trx('surveys').insert({
        order_id: id,
        survey: json({ pads, lift: 0, ...(o.gate === undefined ? {} : { gate: o.gate }) }),
      });
    }
    if (reached(o, 'accepted'))
      Object.assign(done, { accepted_revision_id: revision, accepted_price: json(computed.price), accepted_at: now });
    if (reached(o, 'bench')) {
      const finished = reached(o, 'benched');
      const [work] = await trx('work_orders').insert({
        order_id: id,
        revision_id: revision,
        sticks: json(computed.takeoff.sticks),
        done_at: finished && o.upTo !== 'planned' ? now : null,
      });
      const cutShare = finished ? (o.upTo === 'planned' ? 0 : 1) : 0.45;
      const lumber = computed.build.parts;
      await trx.batchInsert(
        'work_parts',
        lumber.map((p, i) => ({
          work_order_id: work as number,
          part_id: p.id,
          mark: p.mark,
          item: p.item,
          length: p.length,
          state: i < lumber.length * cutShare && p.fit === 'cut to length' ? 'cut' : 'open',
        })),
        100,
      );
      const cutSteps = finished
        ? o.upTo === 'planned'
          ? 0
          : computed.steps.filter((s) => !['yard', 'road', 'site'].includes(s.station)).length
        : 3;
      await trx.batchInsert(
        'work_steps',
        computed.steps.map((s, seq) => ({
          work_order_id: work as number,
          step_id: s.id,
          seq,
          state: seq < cutSteps ? 'done' : 'open',
          done_by: seq < cutSteps ? 'Tobin Askew' : null,
        })),
        100,
      );
    }
    // A unit that is built but not on the board waits at Days for its delivery to be planned.
    if (reached(o, 'bench') && o.upTo !== 'benched') {
      for (const [seq, op] of computed.operations.entries()) {
        const past = reached(o, 'road');
        const task: Task = {
          id: `${id}/${op.key}`,
          order: String(id),
          station: op.station,
          minutes: op.minutes,
          dry: op.dry,
          needs: op.needs.map((n) => `${id}/${n}`),
          due: addDays(today, o.wantedIn),
        };
        if (past && op.station !== 'road' && op.station !== 'site') continue;
        if (reached(o, 'delivered')) continue;
        const needs = past ? (op.station === 'site' ? task.needs : []) : task.needs;
        tasks.push({ ...task, needs });
        operations.push({
          id: task.id,
          order_id: id,
          op: op.key,
          name: op.name,
          station: op.station,
          minutes: task.minutes,
          dry: op.dry,
          needs: json(needs),
          seq: (id as number) * 20 + seq,
        });
      }
      done.scheduled_at = now;
    }
    if (reached(o, 'road'))
      await trx('deliveries').insert({
        order_id: id,
        day: addDays(today, Math.max(o.wantedIn - 1, 0)),
        arrives: '09:30',
        trailer_id: 'tilt',
        notes: 'Gate code from the customer; dog in the yard.',
      });
    if (reached(o, 'delivered')) done.delivered_at = now;
    if (reached(o, 'done')) done.handed_over_at = now;
    if (o.upTo === 'planned' || reached(o, 'road'))
      for (const item of ['gate', 'services']) await trx('visit_items').insert({ order_id: id, item, done_at: now });
  }
  const station = stationOf({
    flock: reached(o, 'flock') && flock !== null,
    spec: reached(o, 'build') && spec !== undefined,
    survey: reached(o, 'build') && o.rods !== undefined,
    accepted: reached(o, 'accepted'),
    benchDone: reached(o, 'benched') && o.upTo !== 'planned',
    scheduled: reached(o, 'bench') && o.upTo !== 'benched',
    delivered: reached(o, 'delivered'),
    handedOver: reached(o, 'done'),
  });
  await trx('orders')
    .where({ id })
    .update({ ...done, station: station ?? 'done' });
};
