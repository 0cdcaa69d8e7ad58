import { measureBounds } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';

const house = (params: Record<string, number | string | boolean> = {}) =>
  buildSpec(parseSpec({ family: 'raised-lean-to', params }));
const part = (build: ReturnType<typeof house>, id: string): Part => {
  const found = build.parts.find((p) => p.id === id);
  if (!found) throw new Error(`There is no part ${id}.`);
  return found;
};
const box = (...parts: Part[]) => measureBounds(parts);

describe('people door', () => {
  const build = house();
  const opening = build.openings.find((o) => o.kind === 'people door');
  it('stands in its opening with an even gap of 1/8', () => {
    const leaf = box(...build.parts.filter((p) => p.assembly === 'people-door' && p.role === 'door'));
    expect(leaf.size[0]).toBeCloseTo((opening?.width ?? 0) - 0.25, 9);
    expect(leaf.size[2]).toBeCloseTo((opening?.height ?? 0) - 0.25, 9);
    expect(leaf.low[0]).toBeCloseTo((opening?.left ?? 0) + 0.125, 9);
  });
  it('closes flush with the siding', () => {
    expect(box(part(build, 'people-door/skin')).low[1]).toBeCloseTo(box(part(build, 'front-wall/skin-1')).low[1], 9);
  });
  it('is 1 1/2 narrower through its stops than its opening', () =>
    expect(build.facts.door?.clearWidth).toBe((opening?.width ?? 0) - 1.5));
});

describe('pop door', () => {
  const build = house();
  const opening = build.openings.find((o) => o.kind === 'pop door');
  it('laps its opening 1 in at the sides and top', () => {
    const panel = part(build, 'pop-door/panel');
    expect([panel.width, panel.length].sort((a, b) => a - b)).toEqual([
      (opening?.width ?? 0) + 2,
      (opening?.height ?? 0) + 1,
    ]);
  });
  it('slides in channels thicker than the panel', () => {
    expect(part(build, 'pop-door/channel-1').thickness).toBeGreaterThan(part(build, 'pop-door/panel').thickness);
  });
});

describe('nest row', () => {
  const build = house({ nestCount: 2, length: 96 });
  it('has dividers between boxes 12 wide, and ends', () => {
    const dividers = build.parts.filter((p) => p.name === 'nest divider' || p.name === 'nest end');
    expect(dividers).toHaveLength(3);
    const places = dividers.map((p) => box(p).low[1]).sort((a, b) => a - b);
    expect((places[1] ?? 0) - (places[0] ?? 0)).toBeCloseTo(12.5, 9);
  });
  it('has its support in the wall before cladding: the sill of its opening at the nest floor', () => {
    const sill = part(build, 'right-wall/nest/sill');
    const floor = part(build, 'nests/floor');
    expect(box(sill).high[2]).toBeCloseTo(box(floor).high[2], 9);
  });
  it('has the hatch and the holes: an opening through studs and siding (most forgotten of all)', () => {
    const nest = build.openings.find((o) => o.kind === 'nest');
    expect(nest?.width).toBe(24.5);
    const skin = build.parts.filter((p) => p.assembly === 'right-wall' && p.role === 'siding');
    expect(skin.reduce((n, p) => n + p.shape.holes.length, 0)).toBe(1);
  });
  it('slopes its lid 15 degrees so that nobody sleeps on it', () => {
    const lid = box(part(build, 'nests/lid'));
    const run = lid.size[0];
    expect(Math.atan2(lid.size[2] - 0.5, run) * (180 / Math.PI)).toBeCloseTo(15, 0);
  });
});

describe('ramp', () => {
  it('is cut on site, never over 45 degrees, with cleats every 3 to 5 in, ends even', () => {
    const build = house();
    const { ramp } = build.facts;
    expect(ramp?.angle).toBeLessThanOrEqual(45);
    expect(part(build, 'ramp/plank').fit).toBe('cut on site');
    const cleats = build.parts
      .filter((p) => p.id.startsWith('ramp/cleat'))
      .map((p) => box(p).low[2])
      .sort((a, b) => a - b);
    const along = cleats
      .slice(1)
      .map((z, i) => (z - (cleats[i] ?? 0)) / Math.sin(((ramp?.angle ?? 0) * Math.PI) / 180));
    for (const step of along) {
      expect(step).toBeGreaterThanOrEqual(3);
      expect(step).toBeLessThanOrEqual(5);
      expect(step).toBeCloseTo(along[0] ?? 0, 6);
    }
  });
  it('rests on the ground', () => expect(box(part(house(), 'ramp/plank')).low[2]).toBeCloseTo(0, 6));
  it('is left out with a reason where a run is too short for 45 degrees', () => {
    const build = house({ run: true, runLength: 48, legHeight: 48, threshold: 12 });
    expect(build.parts.some((p) => p.id === 'ramp/plank')).toBe(false);
    expect(build.notes.map((n) => n.code)).toContain('ramp-has-no-room');
  });
});

describe('roosts', () => {
  it('lie flat, 12 in from the wall and 12 in apart (common practice, no source)', () => {
    const build = house({ roostBars: 2 });
    const bars = build.parts.filter((p) => p.role === 'roost').map((p) => box(p));
    for (const b of bars) expect(b.size[2]).toBe(1.5);
    const [front, back] = bars.sort((a, b) => a.low[1] - b.low[1]);
    expect((back?.low[1] ?? 0) - (front?.high[1] ?? 0)).toBeCloseTo(12, 9);
    expect(48 - 3.5 - (back?.high[1] ?? 0)).toBeCloseTo(12, 9);
  });
  it('are as many as fit; more are a stop with the number that fits', () => {
    const note = house({ roostBars: 5 }).notes.find((n) => n.code === 'roosts-do-not-fit');
    expect(note?.fix?.patch).toEqual({ roostBars: 2 });
  });
});

describe('floor', () => {
  it('lands flush with its rim: joists are set down by the sheet', () => {
    const build = house();
    const rim = box(part(build, 'base/rim-long-1'));
    const sheet = box(part(build, 'base/floor-1'));
    const joist = box(part(build, 'base/joist-1'));
    expect(sheet.high[2]).toBe(rim.high[2]);
    expect(joist.high[2]).toBeCloseTo(rim.high[2] - 0.75, 9);
  });
  it('has every joint of its sheets on a joist or on blocking', () => {
    const build = house({ length: 144, depth: 96, highWall: 72, lowWall: 58 });
    const sheets = build.parts.filter((p) => p.role === 'floor').map((p) => box(p));
    const bearers = build.parts.filter((p) => p.role === 'joist' || p.role === 'blocking').map((p) => box(p));
    for (const s of sheets) {
      if (s.high[0] < 142)
        expect(bearers.some((b) => b.low[0] < s.high[0] && b.high[0] > s.high[0] && b.size[1] > 20)).toBe(true);
      if (s.high[1] < 94)
        expect(bearers.some((b) => b.low[1] < s.high[1] && b.high[1] > s.high[1] && b.size[0] > 5)).toBe(true);
    }
  });
});

describe('run', () => {
  const build = house({ run: true, runLength: 120 });
  it('passes its roof under the house’s side overhang', () => {
    const sheets = build.parts.filter((p) => p.assembly === 'run-roof' && p.role === 'roofing').map((p) => box(p));
    const barge = box(part(build, 'roof/barge-1'));
    const highest = Math.max(...sheets.map((s) => s.high[2]));
    expect(highest).toBeLessThan(barge.high[2]);
  });
  it('has the slope of the house', () => {
    const angle = (id: string) => part(build, id).cuts[0]?.angle;
    expect(angle('run-roof/rafter-1')).toBe(angle('roof/rafter-1'));
  });
  it('is closed under the house so that no hen gets there', () => {
    const mesh = box(part(build, 'run-close/mesh'));
    expect(mesh.low[2]).toBe(0);
    expect(mesh.high[2]).toBeGreaterThanOrEqual(24);
  });
});
