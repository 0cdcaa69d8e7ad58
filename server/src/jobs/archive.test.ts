import { strFromU8, strToU8, unzipSync } from 'fflate';
import { Archive } from './archive.ts';

describe('an archive written piece by piece', () => {
  it('holds what was put in, in pieces that are handed on in order', async () => {
    const parts: Buffer[] = [];
    const archive = new Archive(async (bytes) => void parts.push(bytes));
    const large = Uint8Array.from({ length: 5_000_000 }, (_, i) => (i * 2654435761) >>> 24);
    await archive.add('large.bin', [large.subarray(0, 3_000_000), large.subarray(3_000_000)], true);
    await archive.add(
      'lines.txt',
      (async function* () {
        for (let i = 0; i < 1000; i++) yield strToU8(`line ${i}\n`);
      })(),
    );
    await archive.add('empty.txt', []);
    await archive.end();
    expect(parts.length).toBeGreaterThan(2);
    expect(Math.max(...parts.map((p) => p.length))).toBeLessThanOrEqual(2 * 1024 * 1024);
    const files = unzipSync(Buffer.concat(parts));
    expect(Object.keys(files)).toEqual(['large.bin', 'lines.txt', 'empty.txt']);
    expect(Buffer.compare(Buffer.from(files['large.bin'] as Uint8Array), Buffer.from(large))).toBe(0);
    expect(strFromU8(files['lines.txt'] as Uint8Array).split('\n')[999]).toBe('line 999');
    expect(files['empty.txt']).toHaveLength(0);
  });
});
