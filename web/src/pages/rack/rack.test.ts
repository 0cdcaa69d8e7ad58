import { createElement } from 'react';
import { elements, html, plain } from '../../testing/rendered.ts';
import { Rack } from './Rack.tsx';
import type { Line } from './Rack.tsx';

const whole = (id: number, item: string, length: number | null, quantity: number): Line => ({
  id,
  item,
  length,
  place: `bay ${id}`,
  mark: '',
  quantity,
});
const LINES: readonly Line[] = [
  whole(1, '2x4', 96, 40),
  whole(2, '2x4-pt', 144, 6),
  whole(3, 'ply-1/2', null, 9),
  { id: 4, item: '2x4', length: 31.5, place: 'offcut bin', mark: 'A-17', quantity: 1 },
];
const rack = (lines: readonly Line[], style: 'inches' | 'mm' = 'inches', roles = ['shop']): string =>
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
    expect(words).toContain('kept from 305 mm on');
    expect(words).not.toMatch(/\d ft/);
  });
  it('plans sticks together for the shop and the office, not for who only drives', () => {
    expect(rack(LINES)).toContain('data-testid="week-sticks"');
    expect(rack(LINES, 'inches', ['driver'])).not.toContain('data-testid="week-sticks"');
    expect(rack(LINES, 'inches', ['driver', 'office'])).toContain('data-testid="week-sticks"');
  });
});
