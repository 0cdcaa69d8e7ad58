// Fills a database with as many orders as a business has after some years: most behind it, some hundreds on their way.
/** Orders in all, of which so many are on the board, and so many wait somewhere before it. */
export const SIZES = { orders: 5000, onBoard: 60, waiting: 340, customers: 1800, deeds: 40_000 };

const COLUMNS =
  'customer_id, model_id, title, quantity, wanted_by, station, flock, accepted_at, accepted_price, scheduled_at, delivered_at, handed_over_at, token, notes, ended';

/** @param db a Knex on a database with the demo in it; everything is made from its orders */
export const fill = async (db, sizes = SIZES) => {
  const have = Number((await db('orders').count({ n: '*' }))[0].n);
  await db.raw(
    `INSERT INTO customers (name, phone, email, address, miles)
     SELECT CONCAT('Customer ', seq), CONCAT('555-', LPAD(seq, 5, '0')), CONCAT('c', seq, '@letterbox.invalid'),
            CONCAT(seq, ' Lane, Ansel'), seq % 60 FROM seq_1_to_${sizes.customers}`,
  );
  const firstCustomer = Number((await db('customers').where({ name: 'Customer 1' }).first('id')).id);
  const built = await db('orders').whereNotNull('revision_id').where({ quantity: 1 }).orderBy('id').pluck('id');
  const benched = await db('work_orders')
    .join('orders', 'orders.id', 'work_orders.order_id')
    .where({ quantity: 1 })
    .pluck('orders.id');
  const copy = (count, templates, station, more) =>
    db.raw(
      `INSERT INTO orders (${COLUMNS})
       SELECT ${firstCustomer} + (seq * 7) % ${sizes.customers}, o.model_id, CONCAT(o.title, ' ', seq), 1,
              DATE_ADD(UTC_DATE(), INTERVAL ${more.day} DAY), '${station}', o.flock,
              ${more.accepted ? 'COALESCE(o.accepted_at, UTC_TIMESTAMP()), COALESCE(o.accepted_price, (SELECT accepted_price FROM orders x WHERE x.accepted_price IS NOT NULL LIMIT 1))' : 'NULL, NULL'},
              ${more.scheduled ? 'UTC_TIMESTAMP()' : 'NULL'},
              ${more.done ? `DATE_SUB(UTC_TIMESTAMP(), INTERVAL seq % 1400 DAY), DATE_SUB(UTC_TIMESTAMP(), INTERVAL seq % 1400 DAY)` : 'NULL, NULL'},
              CONCAT('${station}', '-', MD5(CONCAT(seq, '${station}', RAND()))), CONCAT('from ', o.id), ${more.done ? 1 : 0}
       FROM seq_1_to_${count} JOIN orders o
         ON o.id = ELT(1 + seq % ${templates.length}, ${templates.join(',')})`,
    );
  const ended = sizes.orders - have - sizes.onBoard - sizes.waiting;
  await copy(ended, built, 'done', { day: '-(seq % 1400)', accepted: true, scheduled: true, done: true });
  await copy(sizes.waiting, built, 'price', { day: '10 + seq % 90', accepted: false });
  await copy(sizes.onBoard, benched, 'bench', { day: '5 + seq', accepted: true, scheduled: true });
  await db.raw(
    `INSERT INTO spec_revisions (order_id, number, spec, summary, note, made_by)
     SELECT o.id, n.seq, r.spec, r.summary, 'standard', 'Odile Farrant'
     FROM orders o JOIN orders t ON o.notes = CONCAT('from ', t.id)
     JOIN spec_revisions r ON r.id = t.revision_id JOIN seq_1_to_2 n`,
  );
  await db.raw(
    `UPDATE orders o JOIN spec_revisions r ON r.order_id = o.id AND r.number = 2
     SET o.revision_id = r.id, o.accepted_revision_id = IF(o.accepted_at IS NULL, NULL, r.id) WHERE o.notes LIKE 'from %'`,
  );
  await db.raw(
    `INSERT INTO deliveries (order_id, day, arrives, trailer_id, notes)
     SELECT id, DATE(delivered_at), '09:30', 'tilt', '' FROM orders WHERE notes LIKE 'from %' AND station = 'done'`,
  );
  const fresh = await db('orders').where({ station: 'bench' }).where('notes', 'like', 'from %').select('id', 'notes');
  for (const o of fresh) {
    const from = Number(o.notes.slice(5));
    const [work] = await db.raw(
      `INSERT INTO work_orders (order_id, revision_id, sticks, plan)
       SELECT ${o.id}, (SELECT revision_id FROM orders WHERE id = ${o.id}), sticks, plan FROM work_orders WHERE order_id = ${from}`,
    );
    await db.raw(
      `INSERT INTO work_parts (work_order_id, part_id, mark, item, length, state)
       SELECT ${work.insertId}, part_id, mark, item, length, 'open' FROM work_parts p JOIN work_orders w ON w.id = p.work_order_id WHERE w.order_id = ${from}`,
    );
    await db.raw(
      `INSERT INTO work_steps (work_order_id, step_id, seq, title, needs, op, station, state)
       SELECT ${work.insertId}, step_id, seq, title, needs, op, station, 'open' FROM work_steps p JOIN work_orders w ON w.id = p.work_order_id WHERE w.order_id = ${from}`,
    );
    await db.raw(
      `INSERT INTO operations (id, order_id, op, name, station, minutes, dry, needs, seq, \`row\`, day, minute, done)
       SELECT CONCAT('${o.id}/', op), ${o.id}, op, name, station, minutes, dry,
              REPLACE(needs, '"${from}/', '"${o.id}/'), ${o.id} * 20 + (seq % 20), COALESCE(\`row\`, 'bay-1'),
              DATE_ADD(UTC_DATE(), INTERVAL 3 + ${o.id} % 60 DAY), 0, 0 FROM operations WHERE order_id = ${from}`,
    );
  }
  await db.raw(
    `INSERT INTO audit (at, user_id, actor, action, entity, entity_id, detail)
     SELECT DATE_SUB(UTC_TIMESTAMP(), INTERVAL seq * 40 MINUTE), 1, 'Odile Farrant', 'change', 'order', 1036 + seq % 4000, '{}'
     FROM seq_1_to_${sizes.deeds}`,
  );
  await db.raw('ANALYZE TABLE orders, customers, spec_revisions, operations, audit, work_parts, work_steps');
};
