import fc from 'fast-check';
import { metalCourses, SHEET_LAP } from '../../frame/index.ts';
import { measureBounds } from '../../unit/index.ts';
import type { Build, ParamValue } from '../../unit/index.ts';
import { findRoofing } from '../../stock/index.ts';
import { findOrderBreaches, planSteps } from '../../steps/index.ts';
import { takeOff } from '../../takeoff/index.ts';
import { buildSpec } from '../index.ts';
import { parseSpec } from '../spec.ts';

const build = (family: string, params: Record<string, ParamValue> = {}): Build =>
  buildSpec(parseSpec({ family, params }));
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const hardwareOf = (b: Build, item: string): number =>
  sum(b.joints.flatMap((j) => j.hardware.filter((h) => h.item === item).map((h) => h.count)));

describe('barge rafters and the ridge', () => {
  const b = build('raised-gable', { overhangSide: 8 });
  const barges = b.parts.filter((p) => p.role === 'barge');
  const ridge = b.parts.filter((p) => p.role === 'ridge');

  it('are called so, four of them, as long as the common rafters but for their seats', () => {
    expect(barges.map((p) => p.name)).toEqual(Array.from({ length: 4 }, () => expect.stringContaining('barge rafter')));
    const rafter = b.parts.find((p) => p.id === 'roof-front/rafter-1');
    for (const p of barges) expect(p.length).toBeCloseTo(rafter?.length ?? 0, 6);
  });
  it('meet the ridge, which runs from the outer face of one pair to that of the other', () => {
    const { low, high } = measureBounds(ridge);
    const ends = measureBounds(barges);
    expect([low[0], high[0]]).toEqual([ends.low[0], ends.high[0]]);
    for (const p of barges)
      expect(b.joints.some((j) => j.parts.includes(p.id) && j.parts.some((id) => id.includes('/ridge-')))).toBe(true);
  });
  it('has a ridge bevelled to its peak: a 2×6 whose apex stands 5½ in over its underside', () => {
    const { low, high } = measureBounds(ridge);
    expect(high[2] - low[2]).toBeCloseTo(5.5, 9);
    expect(ridge[0]?.notches.join()).toMatch(/bevelled both ways to the roof, 26\.6°/);
  });
  it('leaves no more of the gable’s skin away than the ridge takes', () => {
    const skins = b.parts.filter((p) => p.assembly === 'left-wall' && p.role === 'siding');
    // Seen from the wall's face the slot is as wide as the ridge is thick.
    const middle = skins.flatMap((p) => [p.shape.outline, ...p.shape.holes]).flat();
    expect(middle.length).toBeGreaterThan(4);
  });
});

describe('metal down a long slope', () => {
  it('is one sheet where one is long enough', () => expect(metalCourses(0, 144)).toEqual([0, 144]));
  it('laps equal sheets, never a strip: 148 in are two of 74, the lower one cut 6 in longer', () => {
    expect(metalCourses(0, 148)).toEqual([0, 74, 148]);
    const b = build('walk-in', {
      roofKind: 'lean',
      pitch: 8,
      depth: 93.8125,
      length: 72,
      wallHeight: 66,
      overhangFront: 16.625,
      overhangBack: 16.5625,
    });
    const sheets = b.parts.filter((p) => p.role === 'roofing');
    const lapped = sheets.filter((p) => p.lap === SHEET_LAP);
    expect(sheets.length).toBe(2 * lapped.length);
    for (const p of lapped) expect(p.notches.join()).toMatch(/6 in longer/);
    const lengths = takeOff(b, 'quick').lines.filter((l) => l.kind === 'roofing');
    // 74 + 6 in come out of an 8 ft sheet each, as do those of 74.
    expect(lengths.map((l) => l.size)).toEqual(['36 in × 8 ft']);
    expect(sum(lengths.map((l) => l.quantity))).toBe(sheets.length);
  });
  it('never asks for a sheet longer than is sold, and leaves no sliver, for any slope', () => {
    const longest = Math.max(...findRoofing('metal').lengths.map((l) => l.length));
    fc.assert(
      fc.property(fc.double({ min: 20, max: 600, noNaN: true }), (run) => {
        const courses = metalCourses(0, run);
        const pieces = courses.slice(1).map((c, i) => c - (courses[i] as number) + (i > 0 ? SHEET_LAP : 0));
        expect(sum(pieces) - SHEET_LAP * (pieces.length - 1)).toBeCloseTo(run, 6);
        for (const p of pieces) expect(p).toBeLessThanOrEqual(longest + 1e-9);
        expect(Math.min(...pieces)).toBeGreaterThan(Math.min(run, 24) - 1e-9);
      }),
    );
  });
});

describe('metal without a deck', () => {
  it.each([
    ['skid-house', 'purlinSpacing', { depth: 60 }],
    ['steep-roof-pen', 'purlinSpacing', { cover: 'metal', roofedLength: 96 }],
    ['house-with-run', 'runPurlins', { runRoof: 'metal' }],
    ['raised-lean-to', 'runPurlins', { run: true, runRoof: 'metal' }],
  ] as const)('%s sets its purlin blocks as close as %s says', (family, key, more) => {
    const rows = (n: number): number =>
      build(family, { ...more, [key]: n }).parts.filter((p) => p.name.endsWith('purlin block')).length;
    expect(rows(16)).toBeGreaterThan(rows(36));
  });
  it('has foam closures at both ends of every slope and a cap over every ridge', () => {
    const pen = build('steep-roof-pen', { cover: 'metal', roofedLength: 72 });
    // Two slopes of 72 in: two strips of 3 ft at eave and ridge of each, and one cap of 10 ft.
    expect(hardwareOf(pen, 'closure')).toBe(8);
    expect(hardwareOf(pen, 'ridge-cap')).toBe(1);
    const run = build('house-with-run', { runRoof: 'metal', runBays: 2, runLength: 240 });
    expect(hardwareOf(run, 'ridge-cap')).toBeGreaterThanOrEqual(3);
    expect(hardwareOf(build('steep-roof-pen'), 'closure')).toBe(0);
  });
  it('lies on felt where that is asked for, and only on a deck', () => {
    expect(hardwareOf(build('raised-lean-to'), 'felt')).toBe(0);
    const felted = build('raised-lean-to', { underlay: true });
    expect(hardwareOf(felted, 'felt')).toBeGreaterThan(0);
    expect(JSON.stringify(planSteps(felted))).toMatch(/roofing felt/);
  });
});

describe('walls of upright boards', () => {
  it.each(['board-batten', 'rough-boards'])('%s: every board is nailed at least every 24 in', (siding) => {
    for (const wallHeight of [72, 84, 96]) {
      const b = build('walk-in', { siding, wallHeight, roofKind: 'gable' });
      const floor = b.facts.floorHeight;
      for (const side of ['front', 'back', 'left', 'right']) {
        const rows = new Set(
          b.parts
            .filter((p) => p.assembly === `${side}-wall` && p.id.includes('/block-'))
            .map((p) => measureBounds([p]))
            .map(({ low, high }) => (low[2] + high[2]) / 2 - floor),
        );
        const lines = [0.75, ...rows, wallHeight - 0.75].sort((x, y) => x - y);
        const gaps = lines.slice(1).map((z, i) => z - (lines[i] as number));
        expect([side, wallHeight, Math.max(...gaps) <= 24 + 1e-9]).toEqual([side, wallHeight, true]);
      }
    }
  });
});

describe('the order on a roof of two slopes', () => {
  it('puts both slopes’ rafters up before either is covered', () => {
    for (const family of ['raised-gable', 'house-with-run', 'skid-house', 'steep-roof-pen']) {
      const steps = planSteps(build(family));
      const order = steps.map((s) => s.id);
      // A run is roofed on site, where it is joined.
      for (const place of new Set(steps.filter((s) => s.verb === 'roof').map((s) => s.place))) {
        const here = steps.filter((s) => s.place === place);
        const frames = here.filter((s) => s.verb === 'frame' && s.view === 'three').map((s) => s.id);
        const covers = here.filter((s) => s.verb === 'roof').map((s) => s.id);
        expect(frames.length).toBeGreaterThan(1);
        expect(Math.max(...frames.map((id) => order.indexOf(id)))).toBeLessThan(
          Math.min(...covers.map((id) => order.indexOf(id))),
        );
      }
      expect(findOrderBreaches(steps)).toEqual([]);
    }
  });
  it('is breached by covering one slope first', () => {
    const steps = planSteps(build('raised-gable'));
    const order = steps.map((s) => s.id).filter((id) => id !== 'roof-front/cover');
    order.splice(order.indexOf('roof-back/frame'), 0, 'roof-front/cover');
    expect(findOrderBreaches(steps, order).map((x) => x.rule)).toContain('pairs-before-cover');
  });
});
