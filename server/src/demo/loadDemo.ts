import {
  AWAY,
  BUILDERS,
  BUSINESS_OF_DEMO,
  CREWS,
  DEMO_PASSWORD,
  flockFor,
  HELPS,
  MODELS,
  ORDERS,
  OUT,
  TRAILERS,
  USERS,
  VEHICLES,
  SKILLS_OF,
} from '@rubbet/demo';
import type { DemoOrder } from '@rubbet/demo';
import { findFamily, parseSpec } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import { BUSINESS, BUSINESS_RULES, computeOrder, unitsOf } from '@rubbet/core/order';
import type { OrderSummary } from '@rubbet/core/order';
import { addDays, weekday } from '@rubbet/core/days';
import { isBenchStep, isRead, lineUnits, readingsOf } from '@rubbet/core/steps';
import { repeatParts } from '@rubbet/core/unit';
import type { User } from '../auth/auth.answers.ts';
import { hashPassword } from '../auth/passwords.ts';
import { Bench } from '../bench/bench.service.ts';
import { findPlan } from '../bench/workPlans.ts';
import { Board } from '../board/board.service.ts';
import { keepBusiness, readBusiness, shopToday } from '../business/readBusiness.ts';
import { Customers } from '../customers/customers.service.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { TABLES } from '../database/tables.ts';
import { transact } from '../database/transact.ts';
import { loadHistory } from './loadHistory.ts';
import { backDate, readVisits } from './backDate.ts';
import { loadSupply } from './loadSupply.ts';
import { Figures } from '../work/figures.ts';
import { Pool } from '../work/pool.ts';
import { OrderActs } from '../orders/orderActs.service.ts';
import { Orders } from '../orders/orders.service.ts';
import { Road } from '../road/road.service.ts';
import { Settings } from '../settings/settings.service.ts';

const STAGES = [
  'new',
  'flock',
  'build',
  'ground',
  'accepted',
  'planned',
  'bench',
  'benched',
  'road',
  'delivered',
  'done',
];
const reached = (o: DemoOrder, stage: string): boolean => STAGES.indexOf(o.upTo) >= STAGES.indexOf(stage);
const json = (v: unknown): string => JSON.stringify(v);

/** First order number of the demo. */
const FIRST_ORDER = 1036;
/** How much of an order on the bench is cut, and how many of its steps are done. */
const CUT_SHARE = 0.45;
const STEPS_DONE = 3;

/** The services that a business works with, on a database: the demo is made by using them as people do. */
const openServices = (db: Db) => {
  const settings = new Settings(db);
  // In this thread: nobody waits for an answer while the demo is loaded.
  const pool = new Pool(true);
  const orders = new Orders(db, settings, pool, new Figures(db, pool));
  return {
    settings,
    orders,
    customers: new Customers(db),
    acts: new OrderActs(db, orders, settings, pool),
    bench: new Bench(db, orders, pool),
    board: new Board(db, orders, pool),
    road: new Road(db, orders, settings, pool),
  };
};
type Services = ReturnType<typeof openServices>;

/** Summaries of the standard models, kept: the demo may be put back again and again. */
const summaries = new Map<string, OrderSummary>();
const summaryOf = (m: (typeof MODELS)[number], spec: Spec): OrderSummary => {
  const key = JSON.stringify([m.name, spec]);
  const known = summaries.get(key) ?? computeOrder({ spec, flock: flockFor(m) }, BUSINESS_RULES).summary;
  summaries.set(key, known);
  return known;
};

/** A day, or the Monday after it. */
const workdayFrom = (day: string): string => addDays(day, [1, 0, 0, 0, 0, 0, 2][weekday(day)] ?? 0);

/** What no service makes: people, crews, trailers, the rack, the calendar and the standard models. */
const loadBusiness = async (trx: Db, passwordHash: string): Promise<Map<string, { id: number; spec: Spec }>> => {
  await trx('users').insert(
    USERS.map((u) => ({
      name: u.name,
      login: u.login,
      roles: json([u.role]),
      skills: json(SKILLS_OF[u.role]),
      password_hash: passwordHash,
    })),
  );
  await trx('users').insert(BUILDERS.map((b) => ({ name: b.name, roles: json([]), skills: json(b.skills) })));
  const people = (await trx('users').select('id', 'name')) as { id: number; name: string }[];
  for (const [seq, c] of CREWS.entries()) {
    const { members, stations, ...row } = c;
    await trx('crews').insert({ ...row, stations: json(stations), seq });
    for (const [i, name] of members.entries())
      await trx('members').insert({
        crew_id: c.id,
        user_id: people.find((p) => p.name === name)?.id as number,
        leads: i === 0,
      });
  }
  for (const t of TRAILERS) await trx('trailers').insert({ id: t.id, trailer: json(t) });
  for (const v of VEHICLES) await trx('vehicles').insert({ id: v.id, vehicle: json(v) });
  await loadSupply(trx);
  const today = await shopToday(trx);
  for (const a of AWAY) {
    let first = addDays(today, a.from);
    while (a.days > 1 ? weekday(first) !== 1 : weekday(first) % 6 === 0) first = addDays(first, 1);
    for (let n = 0; n < a.days; n++)
      await trx('absences').insert({
        user_id: people.find((p) => p.name === a.name)?.id as number,
        day: addDays(first, n),
        from_minute: a.part === 'afternoon' ? 720 : null,
        to_minute: a.part === 'morning' ? 720 : null,
        note: a.note,
        by: USERS[0].name,
      });
  }
  for (const o of OUT)
    await trx('outages').insert({
      kind: o.kind,
      ref: o.ref,
      day: workdayFrom(addDays(today, o.from)),
      to_minute: o.to,
      note: o.note,
      by: USERS[0].name,
    });
  const idOf = (name: string): number => people.find((p) => p.name === name)?.id as number;
  for (const day of (await trx('absences')
    .where({ user_id: idOf(HELPS.while) })
    .pluck('day')) as string[])
    await trx('crew_days').insert({ user_id: idOf(HELPS.name), day, crew_id: HELPS.crew, by: USERS[0].name });
  const models = new Map<string, { id: number; spec: Spec }>();
  for (const m of MODELS) {
    const spec = parseSpec({ family: m.family, params: m.params });
    const [id] = (await trx('models').insert({
      name: m.name,
      family: m.family,
      purpose: m.purpose,
      ranges: json(m.ranges ?? {}),
    })) as [number];
    const first = m.before ? parseSpec({ family: m.family, params: m.before.params }) : undefined;
    const revisions = [...(first ? [{ spec: first, note: 'first' }] : []), { spec, note: m.before?.note ?? 'first' }];
    await trx('model_revisions').insert(
      revisions.map((r, i) => ({
        model_id: id,
        number: i + 1,
        spec: json(r.spec),
        summary: json(summaryOf(m, r.spec)),
        note: r.note,
        made_by: USERS[0].name,
      })),
    );
    models.set(m.name, { id, spec });
  }
  return models;
};

const flockOf = (o: DemoOrder, spec: Spec) =>
  o.flock && {
    kind: o.flock.kind,
    now: o.flock.now / (o.quantity ?? 1),
    later: o.flock.later / (o.quantity ?? 1),
    breed: 'standard' as const,
    ranging: !findFamily(spec.family)?.movable,
    mover: o.flock.mover ?? ('two adults' as const),
    moves: findFamily(spec.family)?.movable ? ('daily' as const) : ('never' as const),
  };

/** Rod readings at the corners of a unit. */
const surveyOf = (o: DemoOrder, spec: Spec) => {
  const [long, deep] =
    spec.family === 'low-pen'
      ? [Number(spec.params.length), Number(spec.params.width)]
      : [Number(spec.params.length) - 3.5, Number(spec.params.depth) - 3.5];
  const names = ['front left', 'front right', 'back right', 'back left'];
  return {
    lift: 0,
    ...(o.gate === undefined ? {} : { gate: o.gate }),
    pads: (o.rods ?? []).map((rod, i) => ({
      id: (names[i] ?? '').replace(' ', '-'),
      name: names[i],
      x: i === 1 || i === 2 ? long : 0,
      y: i > 1 ? deep : 0,
      rod,
    })),
  };
};

/** Ticks what an order has behind it at the bench: in one go, as weeks of single ticks would have left it. */
const workAtBench = async (db: Db, s: Services, id: number, built: boolean): Promise<void> => {
  await transact(db, async (trx) => {
    const plan = await findPlan(trx, id);
    const work = (await trx('work_orders').where({ order_id: id }).first('id')) as { id: number };
    if (!plan) return;
    const parts = repeatParts(plan.build.parts, unitsOf(plan));
    const cut = parts.filter((p, i) => p.fit === 'cut to length' && i < parts.length * (built ? 1 : CUT_SHARE));
    const lines = lineUnits(plan.steps, unitsOf(plan));
    const steps = built ? lines.filter(isBenchStep) : lines.slice(0, STEPS_DONE);
    const gates = new Map(plan.steps.map((x) => [x.id, x.gate]));
    await trx('work_parts')
      .where({ work_order_id: work.id })
      .whereIn(
        'part_id',
        cut.map((p) => p.id),
      )
      .update({ state: 'cut' });
    await trx('work_steps')
      .where({ work_order_id: work.id })
      .whereIn(
        'step_id',
        steps.map((x) => x.id),
      )
      .update({ state: 'done', done_by: 'Tobin Askew' });
    // What is built was timed: some steps quicker than planned, more of them slower.
    if (built) {
      await trx.raw(
        'UPDATE work_steps SET minutes = GREATEST(1, ROUND(planned * (0.85 + MOD(seq * 7, 6) * 0.08))) WHERE work_order_id = ? AND state = ?',
        [work.id, 'done'],
      );
      await trx.raw(
        "INSERT INTO work_log (work_order_id, entry, what, minutes, `by`) SELECT work_order_id, step_id, 'step done', minutes, done_by FROM work_steps WHERE work_order_id = ? AND state = ?",
        [work.id, 'done'],
      );
    }
    // Checks that are done were read, and were right.
    for (const x of steps) {
      const gate = gates.get(x.stepId);
      if (isRead(gate))
        await trx('work_steps')
          .where({ work_order_id: work.id, step_id: x.id })
          .update({ found: json(Array<number>(readingsOf(gate)).fill(gate.expected)) });
    }
    await s.bench.settle(trx, id);
  });
};

/** Takes one order as far as the demo has it up to its price. */
const takeOrder = async (
  s: Services,
  o: DemoOrder,
  models: ReadonlyMap<string, { id: number; spec: Spec }>,
  office: User,
  today: string,
): Promise<number> => {
  const customer = await s.customers.create({ ...o.customer }, office);
  const model = o.model === undefined ? undefined : models.get(o.model);
  let order = await s.orders.create(
    {
      customerId: customer.id,
      ...(model ? { modelId: model.id } : {}),
      title: o.title,
      quantity: o.quantity ?? 1,
      wantedBy: addDays(today, o.wantedIn),
    },
    office,
  );
  const spec = model && parseSpec({ ...model.spec, params: { ...model.spec.params, ...o.change } });
  const flock = spec && flockOf(o, spec);
  if (o.note) order = await s.orders.change(order.id, { version: order.version, notes: o.note }, office);
  if (flock && reached(o, 'flock')) order = await s.orders.change(order.id, { version: order.version, flock }, office);
  if (spec && reached(o, 'build')) {
    const note = o.change ? 'as asked on the phone' : 'standard';
    order = await s.orders.revise(order.id, { version: order.version, spec: { ...spec }, note }, office);
    if (o.rods) order = await s.orders.survey(order.id, { version: 0, survey: surveyOf(o, spec) }, office);
  }
  if (reached(o, 'accepted')) await s.acts.accept(order.id, order.version, office);
  return order.id;
};

/** Takes an accepted order on through days, bench and road. */
const goOn = async (
  db: Db,
  s: Services,
  o: DemoOrder,
  id: number,
  office: User,
  driver: User,
  today: string,
): Promise<void> => {
  if (!reached(o, 'planned')) return;
  await s.bench.make(id, office);
  // What is built without having been planned waits for its delivery.
  if (o.upTo !== 'benched') await s.board.plan(id, office, addDays(today, o.startsIn ?? 0));
  const planned = await readVisits(db, id);
  if (reached(o, 'bench')) await workAtBench(db, s, id, reached(o, 'benched'));
  if (reached(o, 'road'))
    await s.road.set(
      id,
      {
        version: 0,
        day: workdayFrom(addDays(today, Math.max(o.wantedIn - 1, 0))),
        arrives: '09:30',
        trailerId: 'tilt',
        notes: 'Gate code from the customer; dog in the yard.',
      },
      office,
    );
  if (reached(o, 'delivered')) await s.acts.deliver(id, (await s.orders.find(id)).version, driver);
  if (reached(o, 'done')) await s.acts.handOver(id, (await s.orders.find(id)).version, driver);
  await backDate(db, id, planned, { today, wanted: addDays(today, o.wantedIn) });
  if (o.upTo === 'planned' || reached(o, 'road'))
    for (const item of ['gate', 'turning'])
      await db('visit_items').insert({ order_id: id, item, done_at: db.raw('UTC_TIMESTAMP()') });
};

/** Whether a database holds a business already; a demo whose loading was cut off does not count. */
const isBusy = async (db: Db): Promise<boolean> =>
  (await db('users').first('id')) !== undefined &&
  (await db('settings').where({ id: 'loading' }).first()) === undefined;

const clear = (db: Db): Promise<void> =>
  transact(db, async (trx) => {
    for (const table of TABLES) await trx(table).delete();
  });

/**
 * Loads the demo business into an empty database. With `reset` what was there is taken out first, but only where it is the
 * demo: a business of somebody's own is never touched.
 * @throws Error when it is not the demo that should be put back
 */
export const loadDemo = async (db: Db, reset = false): Promise<void> => {
  if (!reset && (await isBusy(db))) return;
  if (reset && (await isBusy(db)) && !(await readBusiness(db)).demo)
    throw new Error('This is a business of its own, not the demo: it is not put back. Nothing was changed.');
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await clear(db);
  await db.raw(`ALTER TABLE orders AUTO_INCREMENT = ${FIRST_ORDER}`);
  await db('settings').insert({ id: 'loading', value: '{}' });
  const models = await transact(db, (trx) => loadBusiness(trx, passwordHash));
  const people = await db('users').whereNotNull('login').select('id', 'name', 'login', 'roles');
  const who = (login: string): User => {
    const p = people.find((x) => x.login === login) as Omit<User, 'roles' | 'units'> & { roles: unknown };
    return { ...p, roles: readJson<User['roles']>(p.roles), units: null };
  };
  const today = await shopToday(db);
  const services = openServices(db);
  const ids: [DemoOrder, number][] = [];
  for (const o of ORDERS) ids.push([o, await takeOrder(services, o, models, who('office'), today)]);
  // The board fills in the order in which work is wanted.
  for (const [o, id] of ids.sort((a, b) => a[0].wantedIn - b[0].wantedIn))
    await goOn(db, services, o, id, who('office'), who('driver'), today);
  const built = ids.filter(([o]) => reached(o, 'benched')).map(([, id]) => id);
  await transact(db, (trx) => loadHistory(trx, built, USERS[1].name));
  await transact(db, async (trx) => {
    await trx('settings').where({ id: 'loading' }).delete();
    await keepBusiness(trx, { ...BUSINESS, ...BUSINESS_OF_DEMO }, true);
  });
};
