import { createElement } from 'react';
import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { html, plain } from '../../testing/rendered.ts';
import type { BatchLine } from '../../data/types.ts';
import { CsvBox } from './CsvBox.tsx';
import { feetOf, printSize, sizeOf } from './sizes.ts';
import { nameOf, RipBar, SheetMap, StickBar } from './StickBar.tsx';

const inches = makeShow(BUSINESS_RULES.units);
const mm = makeShow({ style: 'mm', denominator: 16 });

describe('sizes as a yard says them', () => {
  it.each([
    [96, '8 ft', '2438 mm'],
    [41.5, '41 1/2"', '1054 mm'],
    [192, '16 ft', '4877 mm'],
  ])('%s in', (length, feet, metric) => {
    expect(feetOf(inches, length)).toBe(feet);
    expect(feetOf(mm, length)).toBe(metric);
  });
  it.each([
    ['2x4', 96, null, '8 ft'],
    ['hardware-cloth', 600, 36, '36" × 50 ft'],
    ['ply-1/2', 60, 24, '60" × 24"'],
    ['hinge', null, null, ''],
  ])('%s %s %s', (item, length, width, text) => expect(sizeOf(inches, { item, length, width })).toBe(text));
  it.each([
    ['96', '8 ft'],
    ['36x600', '36" × 50 ft'],
    ['bundle', 'bundle'],
    ['', 'each'],
  ])('"%s" in the list of items', (size, text) => expect(printSize(inches, size)).toBe(text));
});

const line = (more: Partial<BatchLine>): BatchLine => ({
  id: 1,
  seq: 1,
  stack: 0,
  kind: 'stick',
  item: '2x4',
  length: 96,
  width: null,
  cost: 0,
  stock: null,
  pieces: [],
  cuts: null,
  ripped: false,
  dropOf: null,
  rests: [],
  state: 'open',
  cutBy: null,
  cutAt: null,
  version: 1,
  ...more,
});
const piece = (length: number, mark: string, more: object = {}) => ({
  length,
  parts: [{ order: 1040, part: mark, mark, panel: 'roof', length }],
  state: 'open' as const,
  ...more,
});

describe('a stick that is ripped', () => {
  it('is drawn in as many strips as it gives, each in its share of the width', () => {
    const rests = [1, 2].map(() => ({ length: 96, item: '2x2' }));
    const words = plain(html(createElement(RipBar, { line: { ...line({ rests }), kind: 'rip', item: '2x4' } })));
    expect(words.match(/2×2/g)).toHaveLength(2);
    expect(
      plain(html(createElement(RipBar, { line: { ...line({ rests }), kind: 'rip', item: 'ply-1/2' } }))),
    ).not.toMatch(/2×2/);
  });
});

describe('a roll that is drawn', () => {
  it('is shown as far as it is cut, and names only strips that have room for it', () => {
    const pieces = [
      piece(72, 'M1', { x: 0, y: 0, width: 30 }),
      piece(14.5, 'M3', { x: 0, y: 30, width: 3 }),
      piece(48, 'M2', { x: 72, y: 0, width: 30 }),
    ];
    const roll = { ...line({ pieces }), kind: 'roll' as const, item: 'hardware-cloth', length: 600, width: 36 };
    const markup = html(createElement(SheetMap, { line: roll }));
    // 120 in are cut, and 18 more are drawn.
    expect(markup).toContain('viewBox="-1 -1 140 38"');
    expect(plain(markup)).toContain('1040 M1');
    expect(plain(markup)).not.toContain('M3');
    expect(markup).toContain('data-piece="1040 M3"');
  });
});

describe('a stick that is drawn', () => {
  const draw = (l: BatchLine, more: object = {}): string =>
    html(createElement(StickBar, { line: l, longest: 192, ...more }));
  it('is as long as it is, against the longest, with its pieces in their shares', () => {
    const markup = draw(line({ pieces: [piece(48, 'A1'), piece(24, 'A2')], rests: [{ length: 23.75, mark: 'R9' }] }));
    expect(markup.match(/data-piece="([^"]+)"/g)).toEqual(['data-piece="1040 A1"', 'data-piece="1040 A2"']);
    expect(plain(markup)).toContain('R9 23 3/4');
  });
  it('has pieces to press where they may be no good, and says which are', () => {
    const l = line({ pieces: [piece(48, 'A1'), piece(24, 'A2')] });
    expect(draw(l)).not.toContain('<button');
    const markup = draw(l, { onPiece: () => undefined, bad: new Set([1]) });
    expect(markup.match(/aria-pressed="true"/g)).toHaveLength(1);
    expect(markup).toContain('aria-label="1040 A2, no good"');
  });
  it('names both parts of a piece that is ripped', () => {
    const both = { ...piece(40, 'A1'), parts: [...piece(40, 'A1').parts, ...piece(38, 'B2').parts] };
    expect(nameOf(both)).toBe('1040 A1 + 1040 B2');
  });
});

describe('a sheet that is drawn', () => {
  const sheet = line({
    kind: 'sheet',
    item: 'ply-1/2',
    width: 48,
    pieces: [piece(60, 'DK1', { x: 0, y: 0, width: 48 }), piece(8, 'N2', { x: 60.125, y: 0, width: 30 })],
    cuts: [
      { along: 'width', at: 60, from: 0, to: 48 },
      { along: 'length', at: 30, from: 60.125, to: 96 },
      { along: 'width', at: 68.125, from: 0, to: 30 },
    ],
  });
  it('has its cuts numbered in their turn', () => {
    const numbers = [
      ...html(createElement(SheetMap, { line: sheet })).matchAll(/fill="var\(--rb-colors-chalk\)">(\d)</g),
    ].map((m) => m[1]);
    expect(numbers).toEqual(['1', '2', '3']);
  });
  it('reads a narrow piece from the side', () => {
    const markup = html(createElement(SheetMap, { line: sheet }));
    expect(markup.match(/rotate\(-90/g)).toHaveLength(1);
  });
  it('is worked by keyboard as well where pieces may be no good', () => {
    const markup = html(createElement(SheetMap, { line: sheet, onPiece: () => undefined, bad: new Set([0]) }));
    expect(markup.match(/role="button" tabindex="0"/gi)).toHaveLength(2);
    expect(markup).toContain('aria-label="1040 DK1, no good"');
    expect(markup).toContain('role="group"');
  });
});

it('a table that is read is looked at before it is taken over', () => {
  const words = plain(
    html(
      createElement(CsvBox, {
        title: 'Read a price list',
        help: 'Columns: item, price.',
        example: 'item,price',
        send: () => Promise.reject(new Error('not asked')),
        done: 'Done.',
        after: () => undefined,
        rows: () => [],
        head: ['What'],
      }),
    ),
  );
  expect(words).toContain('Look at it first');
  expect(words).toContain('From a file');
  // Nothing is there to be taken over yet.
  expect(words).not.toContain('Take it over');
});
