import { readFileSync } from 'node:fs';
import { create } from 'fontkit';
import type { Font } from 'fontkit';
import { PRINT_FONTS } from './print.ts';
import { unpackWoff } from './unpackWoff.ts';

it.each(PRINT_FONTS)('%s unpacks to a font that reads the same', (file) => {
  const packed = readFileSync(file);
  const plain = unpackWoff(packed);
  // The head says how large it will be.
  expect(plain.length).toBe(packed.readUInt32BE(16));
  const [a, b] = [create(packed) as Font, create(plain) as Font];
  expect([b.postscriptName, b.numGlyphs, b.unitsPerEm]).toEqual([a.postscriptName, a.numGlyphs, a.unitsPerEm]);
  for (const text of ['63 5/8"', 'Stand the front wall', '½ ¼ × 35°'])
    expect(b.layout(text).advanceWidth).toBe(a.layout(text).advanceWidth);
});

it.each([[Buffer.from('OTTO')], [Buffer.alloc(60)]])('%# that is no such font is refused', (bytes) =>
  expect(() => unpackWoff(bytes)).toThrow('This is no WOFF font.'),
);
