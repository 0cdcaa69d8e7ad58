import fc from 'fast-check';
import Papa from 'papaparse';
import { STOCK } from '../stock/index.ts';
import { readCount, readPriceList, readSheet, sizesOf } from './readSheet.ts';

describe('a table that is read', () => {
  it('may be separated by commas, semicolons or tabs, with its columns in any order', () => {
    for (const d of [',', ';', '\t'])
      expect(readSheet(`price${d}item\n4.16${d}2x4\n`, ['item', 'price'], ['item']).rows).toEqual([
        { row: 2, cells: { price: '4.16', item: '2x4' } },
      ]);
  });
  it('may begin with the mark that spreadsheets put there, and have empty rows', () => {
    const read = readSheet('\uFEFFItem , Price\n\n2x4, 4.16 \n\n', ['item', 'price'], ['item', 'price']);
    expect(read.faults).toEqual([]);
    expect(read.rows[0]?.cells).toEqual({ item: '2x4', price: '4.16' });
  });
  it('says which heading is missing, which is none, and which row is longer than it', () => {
    expect(readSheet('thing\n1\n', ['item'], ['item']).faults.map((f) => [f.row, f.message])).toEqual([
      [1, 'The heading has no "item"; it may have item.'],
      [1, 'The heading has "thing"; it may have item.'],
    ]);
    expect(readSheet('item\n2x4,9\n', ['item'], ['item']).faults[0]).toEqual({
      row: 2,
      message: 'This row has more cells than the heading.',
    });
  });
  it('is not endless', () => {
    const long = `item\n${'2x4\n'.repeat(5001)}`;
    expect(readSheet(long, ['item'], ['item']).faults[0]?.message).toMatch(/5001 rows; 5000 at most/);
  });
});

describe('a price list', () => {
  const read = (...rows: string[]) => readPriceList(['item,length,price', ...rows].join('\n'));

  it.each([
    ['2x4,96,4.16', '96', 416],
    ['2×4,8 ft,$4.16', '96', 416],
    ["2x4,8',4.2", '96', 420],
    ['2x4,92 5/8,4', '92.625', 400],
    ['hardware-cloth,36 x 600,"1,115.62"', '36x600', 111562],
    ['screw-3,,0.12', '', 12],
    ['strap hinge,,6.20', '', 620],
    ['asphalt-shingle,,38.50', 'bundle', 3850],
  ])('understands %s', (row, size, cost) => {
    const { lines, faults } = read(row);
    // The trade's list may not have every item of the examples.
    if (faults.some((f) => f.message.startsWith('There is no item'))) expect(row).toMatch(/shingle/);
    else expect(lines).toEqual([expect.objectContaining({ row: 2, size, cost })]);
  });

  it.each([
    ['moon,,1', /no item "moon"/],
    ['2x4,96,', /price of 2x4 is ""/],
    ['2x4,96,-1', /price of 2x4 is "-1"/],
    ['2x4,96,1.234', /price of 2x4/],
    ['2x4,,4', /2x4 is not sold as ""/],
    ['hardware-cloth,36x601,4', /not sold as "36x601"/],
    ['screw-3,8 ft,4', /not sold as "8 ft"/],
    ['2x4,96,99999', /nothing here costs more than 10000/],
  ])('says what is wrong with %s', (row, message) => {
    const { lines, faults } = read('2x6,96,6.72', row);
    expect(lines).toEqual([]);
    expect(faults).toEqual([{ row: 3, message: expect.stringMatching(message) }]);
  });

  it('reads back every price of every size that there is', () => {
    const all = STOCK.flatMap((s) =>
      sizesOf(s.key).map((size) => ({ item: s.key, length: size === 'bundle' ? '' : size })),
    );
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1_000_000 }), { minLength: all.length, maxLength: all.length }),
        (cents) => {
          const rows = all.map((a, i) => ({ ...a, price: ((cents[i] as number) / 100).toFixed(2) }));
          const { lines, faults } = readPriceList(Papa.unparse(rows));
          expect(faults).toEqual([]);
          expect(lines.map((l) => l.cost)).toEqual(cents);
          expect(lines.map((l) => l.item)).toEqual(all.map((a) => a.item));
        },
      ),
      { numRuns: 10, seed: 5 },
    );
  });
});

describe('a count', () => {
  it('is of lines by item, length, mark and place', () => {
    expect(readCount('item,length,mark,place,quantity\n2x4,41 1/2,R-104,C1,1\nhinge,,,F3,26\n').lines).toEqual([
      { row: 2, item: '2x4', length: 41.5, mark: 'R-104', place: 'C1', quantity: 1 },
      { row: 3, item: 'hinge', length: null, mark: '', place: 'F3', quantity: 26 },
    ]);
  });
  it.each([
    ['2x4,,3', /comes in lengths/],
    ['2x4,long,3', /length of 2x4 is "long"/],
    ['hinge,,2.5', /write a whole number/],
    ['hinge,,-1', /write a whole number/],
    ['hinge,,', /write a whole number/],
  ])('says what is wrong with %s', (row, message) => {
    const { faults } = readCount(`item,length,quantity\n${row}\n`);
    expect(faults[0]).toEqual({ row: 2, message: expect.stringMatching(message) });
  });
  it('is of each line once', () => {
    expect(readCount('item,quantity\nhinge,2\nhinge,3\n').faults[0]?.message).toMatch(/counted in row 2 already/);
  });
});
