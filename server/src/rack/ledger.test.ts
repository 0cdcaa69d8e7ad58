import fc from 'fast-check';
import { connect, migrate } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { makeTestDatabase } from '../testing/testDatabase.ts';
import { addOffcut, findLine, moveStock, nameStock, plainSize, reservedByLine } from './ledger.ts';
import type { Movement } from './ledger.ts';

let db: Db;
beforeAll(async () => {
  db = connect(await makeTestDatabase('rubbet_ledger'));
  await migrate(db);
});
afterAll(() => db.destroy());

const quantityOf = async (id: number): Promise<number> =>
  Number(((await db('stock').where({ id }).first('quantity')) as { quantity: number }).quantity);
const move = (id: number, change: number, more: Partial<Movement> = {}): Promise<number> =>
  transact(db, (trx) => moveStock(trx, id, { kind: 'counted', why: 'counted', by: 'Ines', change, ...more }));
const line = (item: string, length: number | null, place?: string): Promise<number> =>
  transact(db, (trx) => findLine(trx, { item, length, ...(place === undefined ? {} : { place }) }));

describe('a line of the rack', () => {
  it('is one for a length of an item, made where there is none yet', async () => {
    const id = await line('2x4', 96);
    expect(await line('2x4', 96)).toBe(id);
    // To the last 1/64 in it is the same length; another length, or another item, is another line.
    expect(await line('2x4', 96.001)).toBe(id);
    expect(await line('2x4', 96.5)).not.toBe(id);
    expect(await line('2x3', 96)).not.toBe(id);
  });
  it('is at a place where one is named, and anywhere where none is', async () => {
    const there = await line('1x4', 96, 'A1');
    expect(await line('1x4', 96, 'B2')).not.toBe(there);
    expect(await line('1x4', 96)).toBe(there);
  });
  it('of whole sheets has no size, however it is written', () => {
    expect(plainSize({ item: 'ply-1/2', length: 96, width: 48 })).toEqual({ length: null, width: null });
    expect(plainSize({ item: 'ply-1/2', length: null })).toEqual({ length: null, width: null });
    // A rest of one has.
    expect(plainSize({ item: 'ply-1/2', length: 40, width: 48 })).toEqual({ length: 40, width: 48 });
    expect(plainSize({ item: '2x4', length: 96 })).toEqual({ length: 96, width: null });
  });
  it('is called by its item and its size, with its mark', () => {
    expect(nameStock({ item: '2x4', length: 96 })).toBe('2×4, 96"');
    expect(nameStock({ item: '2x4', length: 41.5, mark: 'R7' })).toBe('2×4, 41 1/2", R7');
    expect(nameStock({ item: 'hinge', length: null })).toBe('strap hinge');
    expect(nameStock({ item: 'ply-1/2', length: 40, width: 48 })).toBe('½ in ply, 48" × 40"');
  });
  it('of an offcut is its own, with the next mark, and no other wood is put to it', async () => {
    const [a, b] = await transact(db, async (trx) => [
      await addOffcut(trx, { item: '2x6', length: 40, place: 'C1' }),
      await addOffcut(trx, { item: '2x6', length: 40, place: 'C1' }),
    ]);
    expect(a?.id).not.toBe(b?.id);
    expect([a?.mark, b?.mark]).toEqual([`R${a?.id}`, `R${b?.id}`]);
    expect([a?.id, b?.id]).not.toContain(await line('2x6', 40));
  });
});

describe('what comes and goes', () => {
  it('stands in the book, with the sum beside the line', async () => {
    const id = await line('2x4', 120);
    await move(id, 24);
    await move(id, -5, { kind: 'cut', why: 'cut for the week', by: 'Tobin' });
    expect(await quantityOf(id)).toBe(19);
    const book = await db('stock_ledger').where({ stock_id: id }).orderBy('id').select('change', 'kind', 'why', 'by');
    expect(book).toEqual([
      { change: 24, kind: 'counted', why: 'counted', by: 'Ines' },
      { change: -5, kind: 'cut', why: 'cut for the week', by: 'Tobin' },
    ]);
    // What changes nothing is not written.
    await move(id, 0);
    expect(await db('stock_ledger').where({ stock_id: id })).toHaveLength(2);
  });
  it('never takes more than lies there, says how much does, and leaves all as it was', async () => {
    const id = await line('2x4', 144);
    await expect(move(id, -1)).rejects.toMatchObject({
      response: {
        code: 'not-there',
        theirs: 0,
        message: expect.stringContaining('Nothing is left on the rack of 2×4, 144"'),
      },
    });
    await move(id, 3);
    await expect(move(id, -4)).rejects.toMatchObject({
      response: { code: 'not-there', theirs: 3, message: 'Only 3 of 2×4, 144" are on the rack; 4 are to leave it.' },
    });
    expect(await quantityOf(id)).toBe(3);
    await expect(move(999_999, 1)).rejects.toMatchObject({ status: 404 });
  });
  it('of two who take the last one at once lets one have it', async () => {
    const id = await line('4x4-pt', 96);
    await move(id, 1);
    const both = await Promise.allSettled([move(id, -1, { by: 'Ines' }), move(id, -1, { by: 'Abel' })]);
    expect(both.map((r) => r.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await quantityOf(id)).toBe(0);
  });
  it('adds up: the sum beside a line is that of its entries, and never below nothing', async () => {
    const id = await line('1x3', 96);
    await fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: -6, max: 6 }), { minLength: 1, maxLength: 8 }), async (changes) => {
        let there = await quantityOf(id);
        for (const change of changes) {
          const done = await move(id, change).then(
            () => true,
            () => false,
          );
          expect(done).toBe(there + change >= 0);
          if (done) there += change;
        }
        const [sum] = (await db('stock_ledger').where({ stock_id: id }).sum({ n: 'change' })) as { n: number | null }[];
        expect([await quantityOf(id), Number(sum?.n ?? 0)]).toEqual([there, there]);
      }),
      { numRuns: 15 },
    );
  });
  it('is spoken for by batches, all of them or all but one', async () => {
    const id = await line('2x2', 96);
    await move(id, 20);
    const [first, second] = await Promise.all(
      [1, 2].map(
        async () => (await db('batches').insert({ title: 'a week', orders: '[]', made_by: 'Ines' }))[0] as number,
      ),
    );
    await db('reservations').insert([
      { batch_id: first, stock_id: id, quantity: 4 },
      { batch_id: second, stock_id: id, quantity: 3 },
    ]);
    const kept = async (but?: number): Promise<number> =>
      Number(((await db.select('n').from(reservedByLine(db, but)).where({ stock_id: id }).first()) as { n: number }).n);
    expect([await kept(), await kept(first), await kept(second)]).toEqual([7, 3, 4]);
  });
});
