import { readFileSync } from 'node:fs';
import { create } from 'fontkit';
import type { Font } from 'fontkit';
import { FAMILIES, parseSpec } from '@rubbet/core/model';
import { BUSINESS, BUSINESS_RULES, computeOrder, makeShow } from '@rubbet/core/order';
import { STOCK } from '@rubbet/core/stock';
import { plainMarks, PRINT_FONTS, printable } from './print.ts';
import { siteSheetContent } from './siteSheetPdf.ts';
import { workOrderContent } from './workOrderPdf.ts';
import type { Order } from '../orders/orders.answers.ts';

describe('printable', () => {
  it.each([
    ['1⅛″', '1 1/8"'],
    ['⅝ in grooved panel', '5/8 in grooved panel'],
    ['7⅝ and a joint', '7 5/8 and a joint'],
    ['64½″', '64½"'],
  ])('%s is set as %s', (text, set) => expect(printable(text)).toBe(set));
});

/** Every text of a document and of its drawings. */
const texts = (node: unknown): string[] => {
  if (typeof node === 'string') return [node];
  if (Array.isArray(node)) return node.flatMap(texts);
  return typeof node === 'object' && node !== null ? Object.values(node).flatMap(texts) : [];
};

describe('the print fonts', () => {
  const fonts = PRINT_FONTS.map((file) => create(readFileSync(file)) as Font);
  it.each(FAMILIES.map((f) => f.key))('have every sign of the papers of a %s', (family) => {
    const spec = parseSpec({ family });
    const computed = computeOrder({ spec, miles: 12 }, undefined, 'quick');
    const order = {
      id: 1001,
      title: 'Unit',
      wantedBy: '2026-05-04',
      quantity: 1,
      customer: { name: 'Ada Reed', address: '1 Lane', miles: 12 },
      revision: { number: 1, spec, summary: computed.summary },
      survey: null,
      delivery: null,
      visited: [],
    } as unknown as Order;
    const paper = { show: makeShow(BUSINESS_RULES.units), business: { ...BUSINESS, name: 'Withy Bend Coops' } };
    const words = [...workOrderContent(order, computed, paper), ...siteSheetContent(order, computed, paper)];
    const signs = new Set(texts(plainMarks(words)).join(''));
    for (const font of fonts)
      expect([...signs].filter((c) => c >= ' ' && !font.hasGlyphForCodePoint(c.codePointAt(0) ?? 0))).toEqual([]);
    // In millimetres no inch is left, but in names of stock and in slopes.
    const metric = { ...paper, show: makeShow({ style: 'mm', denominator: 16 }) };
    const names = STOCK.map((i) => i.name).sort((a, b) => b.length - a.length);
    const drawn = (t: string): string[] =>
      t.startsWith('<svg')
        ? [...t.matchAll(/<text[^>]*>([^<]*)</g)].map((m) => (m[1] ?? '').replaceAll('&quot;', '"'))
        : [t];
    const left = texts([...workOrderContent(order, computed, metric), ...siteSheetContent(order, computed, metric)])
      .flatMap(drawn)
      .map((t) => names.reduce((rest, n) => rest.replaceAll(n, ''), t).replace(/[\d.½¼¾]+ in 12\b/g, ''))
      .filter((t) => /[″′]|\d ?["']|[\d½¼¾⅛⅜⅝⅞] (?:in|ft|sq ft|lb|mph|psf|miles?)\b/.test(t));
    expect(left).toEqual([]);
  });
});
