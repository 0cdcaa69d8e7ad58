import { measurePtBounds } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { planPads, readSurvey } from '../site/index.ts';
import { planSteps } from '../steps/index.ts';
import { drawBuild, viewsOf } from './drawBuild.ts';
import { drawPads } from './drawPads.ts';
import { drawSection } from './drawSection.ts';
import type { Drawing, TextItem } from './types.ts';

const house = buildSpec(parseSpec({ family: 'raised-lean-to', params: { run: true } }));
const texts = (d: Drawing): TextItem[] => d.items.filter((i): i is TextItem => i.kind === 'text');
const outline = (d: Drawing): readonly [number, number, number, number] =>
  measurePtBounds(d.items.flatMap((i): readonly Pt[] => (i.kind === 'area' ? i.rings.flat() : [])));

describe('drawBuild', () => {
  it.each(viewsOf(house))('%s keeps everything inside its bounds', (view) => {
    const d = drawBuild(house, view);
    const [x0, y0, x1, y1] = d.bounds;
    const [a0, b0, a1, b1] = outline(d);
    expect(a0).toBeGreaterThanOrEqual(x0);
    expect(b0).toBeGreaterThanOrEqual(y0);
    expect(a1).toBeLessThanOrEqual(x1);
    expect(b1).toBeLessThanOrEqual(y1);
    for (const t of texts(d)) {
      expect(t.at[0]).toBeGreaterThanOrEqual(x0);
      expect(t.at[0]).toBeLessThanOrEqual(x1);
      expect(t.at[1]).toBeGreaterThanOrEqual(y0);
      expect(t.at[1]).toBeLessThanOrEqual(y1);
    }
  });
  it('shows the same height from front and back, the same width from left and right', () => {
    const [front, back] = [outline(drawBuild(house, 'front')), outline(drawBuild(house, 'back'))];
    expect(front[3] - front[1]).toBeCloseTo(back[3] - back[1], 6);
    expect(front[2] - front[0]).toBeCloseTo(back[2] - back[0], 6);
    const [left, right] = [outline(drawBuild(house, 'left')), outline(drawBuild(house, 'right'))];
    expect(left[2] - left[0]).toBeCloseTo(right[2] - right[0], 6);
  });
  it('sets one label for each mark of a panel, clear of the others', () => {
    const d = drawBuild(house, 'panel:front-wall');
    const labels = texts(d).filter((t) => t.tag !== undefined);
    expect(new Set(labels.map((t) => t.text)).size).toBe(labels.length);
    for (const [i, a] of labels.entries())
      for (const b of labels.slice(i + 1))
        expect(Math.abs(a.at[0] - b.at[0]) > a.size || Math.abs(a.at[1] - b.at[1]) > a.size).toBe(true);
  });
  it('marks what is measured in place in chalk', () => {
    const labels = texts(drawBuild(house, 'panel:front-wall'));
    const sill = house.parts.find((p) => p.id === 'front-wall/door/sill');
    expect(labels.find((t) => t.text === sill?.mark)?.tag).toBe('chalk');
  });
  it('leaves skins off the bare frame, and the deck off what roofing hides', () => {
    const roles = (d: Drawing): Set<string | undefined> =>
      new Set(d.items.map((i) => (i.kind === 'area' ? house.parts.find((p) => p.id === i.part)?.role : undefined)));
    expect(roles(drawBuild(house, 'three', { show: 'frame' })).has('siding')).toBe(false);
    expect(roles(drawBuild(house, 'three')).has('deck')).toBe(false);
    expect(roles(drawBuild(house, 'three')).has('roofing')).toBe(true);
  });
  it('paints what a step picks out over the rest, inside as well', () => {
    const step = planSteps(house).find((s) => s.id === 'roosts/fit');
    const d = drawBuild(house, 'three', { highlight: step?.parts ?? [], show: 'frame' });
    const last = d.items.at(-1);
    expect(last?.kind === 'area' && last.fill).toBe('tape');
    const picked = new Set(
      d.items.filter((i) => i.kind === 'area' && i.fill === 'tape').map((i) => (i.kind === 'area' ? i.part : '')),
    );
    expect([...picked].sort()).toEqual([...(step?.parts ?? [])].sort());
  });
});

describe('drawPads', () => {
  const plan = planPads(
    readSurvey({
      pads: [50, 52, 60, 57].map((rod, i) => ({
        id: `p${i}`,
        name: `pad ${i}`,
        x: i === 1 || i === 2 ? 72 : 0,
        y: i > 1 ? 48 : 0,
        rod,
      })),
    }),
  );
  it('names every pad with its height', () => {
    const said = texts(drawPads(plan)).map((t) => t.text);
    expect(said).toEqual(expect.arrayContaining(['pad 0', 'pad 3', '0" up', '2" up', '10" up', '7" up']));
  });
  it('points the arrow down the slope', () => {
    const arrow = drawPads(plan).items.find((i) => i.kind === 'line' && i.stroke === 'chalk');
    if (arrow?.kind !== 'line') throw new Error('There is no arrow.');
    // The ground falls toward the back and a little to the right.
    expect(arrow.to[1]).toBeGreaterThan(arrow.from[1]);
    expect(arrow.to[0]).toBeGreaterThan(arrow.from[0]);
  });
});

describe('a section', () => {
  it('shows a notched rafter as one piece, without the lines of what it is made of', () => {
    for (const family of ['walk-in', 'raised-lean-to', 'steep-roof-pen'] as const) {
      const b = buildSpec(parseSpec({ family }));
      const drawing = drawSection(b);
      const areas = drawing.items.filter((i) => i.kind === 'area');
      const rafters = b.parts.filter((p) => p.role === 'rafter').map((p) => p.id);
      const drawn = areas.filter((a) => rafters.includes(a.part ?? ''));
      expect(drawn.length).toBeGreaterThan(0);
      // Each once, with the corners of its birdsmouth.
      expect(new Set(drawn.map((a) => a.part)).size).toBe(drawn.length);
      if (family !== 'steep-roof-pen')
        expect(Math.max(...drawn.map((a) => a.rings[0]?.length ?? 0))).toBeGreaterThan(4);
    }
  });
});

describe('the bare frame', () => {
  it('hides battens, mesh, tarp and lining, and keeps all that carries', () => {
    for (const [family, params] of [
      ['hoop-pen', {}],
      ['low-pen', { meshSides: 'battens' }],
      ['walk-in', { liner: true }],
    ] as const) {
      const b = buildSpec(parseSpec({ family, params }));
      const shown = new Set(
        drawBuild(b, 'three', { show: 'frame' }).items.flatMap((i) => (i.kind === 'area' && i.part ? [i.part] : [])),
      );
      for (const p of b.parts)
        if (['batten', 'mesh', 'cover', 'liner', 'siding'].includes(p.role))
          expect([p.id, shown.has(p.id)]).toEqual([p.id, false]);
      expect(b.parts.some((p) => ['rail', 'plate', 'hoop', 'runner'].includes(p.role) && shown.has(p.id))).toBe(true);
    }
  });
});
