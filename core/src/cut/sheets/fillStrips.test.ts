import fc from 'fast-check';
import { boundSheets } from './boundSheets.ts';
import { fillStrips, layStrips } from './fillStrips.ts';
import type { OnePiece } from './fillSheets.ts';

const sheet = { item: 'ply', length: 96, width: 48, cost: 1, quantity: null };
const kerf = 0.125;

const pieces = fc.array(
  fc.record({
    length: fc.integer({ min: 4, max: 96 }),
    width: fc.integer({ min: 4, max: 48 }),
    grain: fc.boolean(),
  }),
  { minLength: 1, maxLength: 18 },
);
const named = (list: readonly Omit<OnePiece, 'id'>[]): OnePiece[] => list.map((p, i) => ({ id: `p${i}`, ...p }));

describe('sheets in strips', () => {
  it('hold every piece once, as its grain lets it lie, with a kerf between any two', () => {
    fc.assert(
      fc.property(pieces, fc.boolean(), (list, upright) => {
        const ones = named(list);
        const sheets = fillStrips(sheet, 0, ones, kerf, upright);
        const put = sheets.flatMap((s) => s.pieces);
        expect(put.map((p) => p.id).sort()).toEqual(ones.map((p) => p.id).sort());
        for (const s of sheets) {
          expect(s.wanted.map((w) => w.id)).toEqual(s.pieces.map((p) => p.id));
          for (const [i, p] of s.pieces.entries()) {
            const asked = ones.find((o) => o.id === p.id) as OnePiece;
            const turned = p.length !== asked.length;
            expect(turned ? [p.width, p.length] : [p.length, p.width]).toEqual([asked.length, asked.width]);
            if (asked.grain) expect(turned).toBe(false);
            expect(p.x + p.length).toBeLessThanOrEqual(sheet.length + 1e-6);
            expect(p.y + p.width).toBeLessThanOrEqual(sheet.width + 1e-6);
            for (const q of s.pieces.slice(i + 1)) {
              const apart = (a: number, al: number, b: number, bl: number) =>
                a + al + kerf <= b + 1e-6 || b + bl + kerf <= a + 1e-6;
              expect(apart(p.x, p.length, q.x, q.length) || apart(p.y, p.width, q.y, q.width)).toBe(true);
            }
          }
        }
      }),
      { numRuns: 60, seed: 14 },
    );
  });

  it('are ripped first, then cut across, then trimmed', () => {
    const { cuts } = layStrips(
      sheet,
      [
        {
          width: 20,
          pieces: [
            { piece: { id: 'a', length: 50, width: 20, grain: false }, length: 50, width: 20 },
            { piece: { id: 'b', length: 40, width: 15, grain: false }, length: 40, width: 15 },
          ],
        },
        {
          width: 27.875,
          pieces: [{ piece: { id: 'c', length: 96, width: 27.875, grain: false }, length: 96, width: 27.875 }],
        },
      ],
      kerf,
    );
    expect(cuts).toEqual([
      { along: 'length', at: 20, from: 0, to: 96 },
      { along: 'width', at: 50, from: 0, to: 20 },
      { along: 'width', at: 90.125, from: 0, to: 20 },
      { along: 'length', at: 15, from: 50.125, to: 90.125 },
    ]);
  });

  it('fill a strip with what fits it best', () => {
    // 96 in: 50 begins it; 45 3/4 fits beside it with its kerf, 30 would leave more.
    const ones = named([
      { length: 50, width: 20, grain: true },
      { length: 30, width: 20, grain: true },
      { length: 45.75, width: 20, grain: true },
    ]);
    const [first] = fillStrips(sheet, 0, ones, kerf, false);
    const strip = first?.pieces.filter((p) => p.y === 0).map((p) => p.length);
    expect(strip).toEqual([50, 45.75]);
  });

  it('are none where a piece fits no sheet', () => {
    expect(fillStrips(sheet, 0, named([{ length: 97, width: 5, grain: true }]), kerf, false)).toEqual([]);
  });
});

describe('what cannot lie abreast', () => {
  const wide = (length: number) => ({ length, width: 30, grain: true });
  it('follows one another along the sheet, as on a stick', () => {
    // Three of 60: no two in 96 in, though their area would go on two sheets.
    expect(boundSheets([sheet], [60, 60, 60].map(wide), kerf)).toBe(3);
    // 60 and 35 7/8 with a kerf are just 96.
    expect(boundSheets([sheet], [60, 35.875].map(wide), kerf)).toBe(1);
    expect(boundSheets([sheet], [60, 36].map(wide), kerf)).toBe(2);
  });
  it('counts the other way as well', () => {
    const long = [30, 30, 30].map((width) => ({ length: 60, width, grain: true }));
    expect(boundSheets([sheet], long, kerf)).toBe(3);
  });
  it('costs the cheapest sheets that there are', () => {
    const offcut = { ...sheet, cost: 0, quantity: 1 };
    expect(boundSheets([offcut, { ...sheet, cost: 10 }], [60, 60, 60].map(wide), kerf)).toBe(20);
  });
  it('is never over what strips need', () => {
    fc.assert(
      fc.property(pieces, (list) => {
        const ones = named(list);
        expect(boundSheets([sheet], ones, kerf)).toBeLessThanOrEqual(fillStrips(sheet, 0, ones, kerf, false).length);
      }),
      { numRuns: 60, seed: 15 },
    );
  });
});
