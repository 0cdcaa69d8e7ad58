import Papa from 'papaparse';
import { writeCsv } from './writeCsv.ts';

describe('CSV', () => {
  it('is read back as it was written, commas, quotes and lines in it', () => {
    const rows = [
      { name: 'Ada, of "Low Mill"', notes: 'two\nlines', n: 4.5 },
      { name: 'Ünal', notes: '', n: 0 },
    ];
    const read = Papa.parse<Record<string, string>>(writeCsv(rows), { header: true, skipEmptyLines: true }).data;
    expect(read).toEqual(rows.map((r) => ({ ...r, n: String(r.n) })));
  });
  it('gives a spreadsheet no formula to run', () => {
    expect(writeCsv([{ name: '=HYPERLINK("x")', phone: '+1 555' }])).toBe(
      `name,phone\r\n"'=HYPERLINK(""x"")","'+1 555"\r\n`,
    );
  });
  it('goes on without its head, and is nothing for no rows', () => {
    expect(writeCsv([{ a: 1 }], false)).toBe('1\r\n');
    expect(writeCsv([])).toBe('');
  });
});
