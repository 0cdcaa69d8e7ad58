import { createElement } from 'react';
import type { ReadGate } from '@rubbet/core/steps';
import type { WorkStep } from '../../data/types.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { GateEntry } from './GateEntry.tsx';

const SQUARE: ReadGate = { what: 'both diagonals', expected: 93.75, tolerance: 0.125 };
const LEVEL: ReadGate = { what: 'out of level over its length', expected: 0, tolerance: 0.25 };
const draw = (gate: ReadGate, row: Pick<WorkStep, 'state' | 'found'>, style: 'inches' | 'mm' = 'inches'): string =>
  html(createElement(GateEntry, { gate, row, found: [], onFound: () => undefined }), style);

describe('a check at the bench', () => {
  it('asks for both diagonals, with what they should be and how far they may be off', () => {
    const markup = draw(SQUARE, { state: 'open', found: null });
    expect(elements(markup, 'div').length).toBeGreaterThan(0);
    expect(markup.match(/<input/g)).toHaveLength(2);
    expect(markup).toContain('aria-label="One diagonal"');
    expect(plain(markup)).toMatch(/Read both diagonals: 93 .* ± /);
    expect(markup).not.toContain('data-testid="rework"');
  });
  it('asks for one reading where there is one', () => {
    const markup = draw(LEVEL, { state: 'open', found: null });
    expect(markup.match(/<input/g)).toHaveLength(1);
    expect(markup).toContain('aria-label="Found"');
  });
  it('opens a rework note for what was outside, and says which way', () => {
    const racked = plain(draw(SQUARE, { state: 'open', found: [94.5, 93] }));
    expect(racked).toMatch(/Rework: found 94 1\/2" and 93"/);
    expect(racked).toMatch(/push the corners of the longer diagonal/);
    expect(plain(draw(SQUARE, { state: 'open', found: [94.5, 94.5] }))).toMatch(/a piece cut wrong/);
    expect(plain(draw(LEVEL, { state: 'open', found: [1] }))).toMatch(/What depends on it waits/);
  });
  it('shows what was found once it is done, and asks for nothing', () => {
    const markup = draw(SQUARE, { state: 'done', found: [93.75, 93.8125] });
    expect(markup).not.toContain('<input');
    expect(plain(markup)).toMatch(/Found 93 3\/4" and 93 13\/16", within what it allows/);
    expect(plain(draw(SQUARE, { state: 'done', found: null }))).toMatch(/nothing written down/);
  });
  it('reads in millimetres for who works in them', () => {
    const words = plain(draw(SQUARE, { state: 'open', found: [94.5, 93] }, 'mm'));
    expect(words).toMatch(/found 2400 mm and 2362 mm/);
  });
});
