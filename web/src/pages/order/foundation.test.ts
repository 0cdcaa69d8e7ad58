import { createElement } from 'react';
import { buildSpec, parseSpec } from '@rubbet/core/model';
import { planFoundation, planPads, readSurvey } from '@rubbet/core/site';
import type { ParamValue } from '@rubbet/core/unit';
import { elements, html, plain } from '../../testing/rendered.ts';
import { FoundationList, PadList, stackWords } from './FoundationList.tsx';

const inches = (n: number): string => `${n}"`;
const build = (family: string, params: Record<string, ParamValue> = {}) => buildSpec(parseSpec({ family, params }));
const survey = (rods: readonly number[]) =>
  readSurvey({
    pads: rods.map((rod, i) => ({ id: `p${i}`, x: i === 1 || i === 2 ? 72 : 0, y: i > 1 ? 48 : 0, rod })),
  });
const listOf = (family: string, params: Record<string, ParamValue> = {}, rods?: readonly number[]): string =>
  html(createElement(FoundationList, { plan: planFoundation(build(family, params), rods && survey(rods)) }));

describe('what a place is stacked of', () => {
  it('is said in the order in which it is built, only what there is', () => {
    expect(stackWords({ blocks: 2, pavers: 1, shims: 0.5, dig: 2 }, inches)).toBe(
      '2 courses of block, 1 paver, 0.5" of shims, let in 2"',
    );
    expect(stackWords({ blocks: 1, pavers: 0, shims: 0, dig: 0 }, inches)).toBe('1 course of block');
    expect(stackWords({ blocks: 0, pavers: 0, shims: 0, dig: 0 }, inches)).toBe('on the ground');
  });
});

describe('the list of what carries a unit', () => {
  it('has a row for every support, with its height, numbered as in the drawing', () => {
    const markup = listOf('raised-lean-to', {}, [50, 53, 60, 57]);
    const rows = elements(markup, 'tr').filter((r) => r.open.includes('data-pad'));
    expect(rows.map((r) => r.words.split(':')[0])).toEqual(['1', '2', '3', '4']);
    for (const r of rows) expect(r.words).toMatch(/paver|block/);
    expect(markup).toContain('data-foundation="pads"');
    expect(plain(markup)).toMatch(/It takes \d+ × 8 × 8 × 16 in block/);
  });
  it('says what others pour: outline, diagonals, level, cure, anchors', () => {
    const words = plain(listOf('walk-in', { foundation: 'slab' }));
    expect(words).toMatch(/The slab, poured before we come/);
    expect(words).toMatch(/corner to corner/);
    expect(words).toMatch(/7 days to cure, 13 anchors/);
    expect(plain(listOf('walk-in', { foundation: 'perimeter' }))).toMatch(/The ring, poured before we come/);
  });
  it('names the levels of a stepped run', () => {
    const words = plain(listOf('house-with-run', { fall: 48, runBays: 3, runLength: 384 }));
    expect(words).toMatch(/Each level is set from a mark of its own: run at 0″, run at -16″, run at -32″/);
  });
  it('has no table where nothing is set: a pen, a barn', () => {
    for (const family of ['low-pen', 'barn-fit-out']) expect(listOf(family)).not.toContain('<table');
  });
  it('warns where the ground was not read', () => {
    expect(plain(listOf('raised-lean-to'))).toMatch(/read a level on the site/);
    expect(plain(listOf('raised-lean-to', {}, [50, 50, 50, 50]))).not.toMatch(/read a level on the site/);
  });
  it('prints millimetres for who reads them', () => {
    const plan = planFoundation(build('raised-lean-to'), survey([50, 53, 60, 57]));
    const words = plain(html(createElement(FoundationList, { plan }), 'mm'));
    expect(words).toMatch(/mm/);
    expect(words).not.toMatch(/″/);
  });
});

describe('pads of the corners, before anything is built', () => {
  it('are listed with what they stand lower by and what they are made of', () => {
    const plan = planPads(survey([50, 52.5, 60, 57]));
    const rows = elements(html(createElement(PadList, { plan })), 'tr').filter((r) => r.open.includes('data-pad'));
    expect(rows).toHaveLength(4);
    expect(rows.map((r) => r.words.includes('on the ground'))).toEqual([true, false, false, false]);
  });
});
