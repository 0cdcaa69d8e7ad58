import { createElement } from 'react';
import { elements, html, plain } from '../../testing/rendered.ts';
import { Rack } from './Rack.tsx';
import type { RackLine } from '../../data/types.ts';

const whole = (id: number, item: string, length: number | null, quantity: number): RackLine => ({
  id,
  item,
  length,
  width: null,
  reserved: 0,
  since: '2026-01-05 08:00:00',
  place: `bay ${id}`,
  mark: '',
  quantity,
});
const LINES: readonly RackLine[] = [
  whole(1, '2x4', 96, 40),
  whole(2, '2x4-pt', 144, 6),
  whole(3, 'ply-1/2', null, 9),
  {
    id: 4,
    item: '2x4',
    length: 31.5,
    width: null,
    reserved: 1,
    since: '2026-02-02 08:00:00',
    place: 'offcut bin',
    mark: 'A-17',
    quantity: 1,
  },
];
const rack = (lines: readonly RackLine[], style: 'inches' | 'mm' = 'inches', roles = ['shop']): string =>
  html(createElement(Rack), style, '/rack', {
    '/rack': lines,
    '/session': { id: 1, name: 'Wren', roles },
    '/settings': undefined,
  });

describe('the rack', () => {
  it('is said to be empty when it is', () => {
    expect(plain(rack([]))).toContain('The rack is empty.');
  });
  it('waits for its answer rather than saying that it is empty', () => {
    expect(plain(html(createElement(Rack)))).not.toContain('The rack is empty.');
  });
  it('lists bundles by kind with how many there are and where, and draws each from its ends', () => {
    const markup = rack(LINES);
    const words = plain(markup);
    expect(words).toMatch(/Lumber .*2×4 8 ft 40 bay 1.*2×4 treated 12 ft 6 bay 2/);
    expect(words).toMatch(/Sheets .*½ in ply 9 bay 3/);
    expect(words).not.toContain('Roofing');
    for (const n of [40, 6, 9]) expect(markup).toContain(`aria-label="A bundle of ${n}"`);
    const bundles = [...markup.matchAll(/aria-label="A bundle of (\d+)"[\s\S]*?<\/svg>/g)];
    for (const [svg, n] of bundles) expect(svg.match(/<rect/g) ?? []).toHaveLength(Number(n));
  });
  it('draws no more ends than still read', () => {
    const many = rack([whole(1, '2x4', 96, 5000)]);
    const [svg] = /aria-label="A bundle of 5000"[\s\S]*?<\/svg>/.exec(many) ?? [''];
    expect((svg.match(/<rect/g) ?? []).length).toBeLessThan(150);
    expect(plain(many)).toContain('5000');
  });
  it('keeps offcuts apart, each with its mark and length', () => {
    const words = plain(rack(LINES));
    expect(words).toMatch(/Offcuts .*A-17.*31 1\/2 ″/);
    const table = elements(rack(LINES), 'tbody').map((t) => t.words);
    for (const t of table) expect(t).not.toContain('A-17');
  });
  it('is read in metres where the shop reads those', () => {
    const words = plain(rack(LINES, 'mm'));
    expect(words).toContain('2×4 2438 mm 40');
    expect(words).not.toMatch(/\d ft/);
  });
  it('shows what came and went to the shop, not to who only drives', () => {
    expect(plain(rack(LINES))).toContain('Show what came and went');
    expect(plain(rack(LINES, 'inches', ['driver']))).not.toContain('came and went');
  });
  it('says what batches have spoken for', () => {
    expect(plain(rack(LINES))).toMatch(/A-17.*, taken/);
    expect(plain(rack([{ ...whole(1, '2x4', 96, 40), reserved: 12 }]))).toMatch(/8 ft 40 12 bay 1/);
  });
});
