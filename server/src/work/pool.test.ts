import { BUSINESS_RULES, computeOrder } from '@rubbet/core/order';
import { parseSpec } from '@rubbet/core/model';
import { ViewError } from '@rubbet/core/draw';
import { connect, migrate } from '../database/connect.ts';
import { makeTestDatabase } from '../testing/testDatabase.ts';
import { Figures } from './figures.ts';
import { Pool } from './pool.ts';

const of = (length: number) => ({
  input: { spec: parseSpec({ family: 'low-pen', params: { length } }) },
  rules: BUSINESS_RULES,
});

describe('threads', () => {
  const pool = new Pool(false);
  afterAll(() => pool.close());

  it('give what this thread would give', async () => {
    const { price, summary, findings, operations } = computeOrder(of(96).input, BUSINESS_RULES);
    expect(await pool.run('figures', of(96))).toMatchObject({ price, summary, findings, operations });
  });
  it('leave this one free: it answers while they compute', async () => {
    const work = Promise.all([72, 76, 80, 84, 88, 92].map((length) => pool.run('figures', of(length))));
    let longest = 0;
    let at = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      longest = Math.max(longest, now - at);
      at = now;
    }, 5);
    await work;
    clearInterval(timer);
    // No budget: only that it was never held up for as long as one of them takes.
    expect(longest).toBeLessThan(1000);
  });
  it('tell what went wrong as it was meant', async () => {
    const drawing = pool.run('drawing', { source: of(96), view: 'inside out' });
    await expect(drawing).rejects.toBeInstanceOf(ViewError);
    await expect(drawing).rejects.toThrow(/There is no view "inside out"/);
    await expect(pool.run('benchPlan', { plan: 'no plan' })).rejects.toThrow(/JSON/);
  });
  it('keep links in a line of their own: whoever is of the shop does not wait behind it', async () => {
    const done: string[] = [];
    const links = Array.from({ length: 10 }, (_, i) =>
      pool.run('figures', of(60 + 2 * i), { for: 'link' }).then(() => done.push('link')),
    );
    const person = pool.run('figures', of(90)).then(() => done.push('person'));
    await Promise.all([...links, person]);
    // One of them, at most two, were in the pool before: the rest had to let the person go first.
    expect(done.indexOf('person')).toBeLessThan(4);
    expect(done).toHaveLength(11);
  });
  it('stop when asked to', async () => {
    const stop = new AbortController();
    const works = Array.from({ length: 12 }, (_, i) => pool.run('figures', of(60 + i), { signal: stop.signal }));
    stop.abort();
    const ends = await Promise.allSettled(works);
    expect(ends.some((e) => e.status === 'rejected')).toBe(true);
    expect(await pool.run('figures', of(96))).toHaveProperty('price');
  });
});

describe('kept figures', () => {
  it('are computed once for all that they follow from, and are there for every instance', async () => {
    const db = connect(await makeTestDatabase('rubbet_figures'));
    await migrate(db);
    const pool = new Pool(true);
    const runs = jest.spyOn(pool, 'run');
    const first = await new Figures(db, pool).of(of(96));
    const again = await new Figures(db, pool).of(of(96));
    expect(again).toEqual(JSON.parse(JSON.stringify(first)));
    expect(runs).toHaveBeenCalledTimes(1);
    const dearer = { ...of(96), rules: { ...BUSINESS_RULES, price: { ...BUSINESS_RULES.price, tax: 0 } } };
    expect((await new Figures(db, pool).of(dearer)).price.tax).toBe(0);
    await new Figures(db, pool).of({ ...of(96), input: { ...of(96).input, quantity: 2 } });
    expect(runs).toHaveBeenCalledTimes(3);
    await db.destroy();
  });
});
