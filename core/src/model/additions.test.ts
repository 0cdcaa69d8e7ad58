import { faultsOf } from '../../testing/testFamily.ts';
import { measureBounds } from '../unit/index.ts';
import { FAMILIES, findFamily } from './families/index.ts';
import { buildSpec, parseSpec } from './spec.ts';

const build = (family: string, params: Record<string, number | string | boolean>) =>
  buildSpec(parseSpec({ family, params }));

describe('what is added in one step', () => {
  it.each(FAMILIES.flatMap((f) => (f.additions ?? []).map((a) => [f.key, a.label] as const)))(
    '%s: %s is true when added',
    (key, label) => {
      const family = findFamily(key);
      const addition = family?.additions?.find((a) => a.label === label);
      let params = { ...parseSpec({ family: key }).params };
      // Steps that something must come before are offered after it.
      for (const a of family?.additions ?? []) {
        const patch = a.patch(params);
        if (patch) params = { ...params, ...patch };
        if (a === addition) break;
      }
      expect(faultsOf(build(key, params))).toEqual([]);
    },
  );
  it('is not offered where it is there already', () => {
    const walkIn = findFamily('walk-in');
    expect(walkIn?.additions?.[0]?.patch({ innerWall: true })).toBeUndefined();
    const long = findFamily('house-with-run');
    expect(long?.additions?.[0]?.patch({ runBays: 6, runLength: 480 })).toBeUndefined();
    expect(long?.additions?.[0]?.patch({ runBays: 3, runLength: 300 })).toEqual({ runBays: 4, runLength: 400 });
  });
});

describe('a second run', () => {
  const one = build('raised-lean-to', { run: true, runLength: 120, nestWall: 'back', length: 96, windowWall: 'front' });
  const two = build('raised-lean-to', {
    run: true,
    runLength: 120,
    nestWall: 'back',
    length: 96,
    windowWall: 'front',
    secondRun: true,
  });
  it('doubles the run, part for part', () => {
    const runs = (b: typeof one) => b.parts.filter((p) => /(^|-)run-/.test(p.assembly)).length;
    expect(runs(two)).toBe(2 * runs(one));
    expect(two.capacity.runArea).toBeCloseTo(2 * (one.capacity.runArea ?? 0), 9);
  });
  it('stands as far out at the right as the first at the left', () => {
    const [x0, , x1] = two.facts.base;
    expect(x1 - 96).toBeCloseTo(-x0, 9);
    const posts = measureBounds(two.parts.filter((p) => p.assembly === 'second-run-front'));
    expect(posts.high[0]).toBeCloseTo(x1, 6);
  });
  it('moves nests out of its way and says so', () => {
    const right = build('raised-lean-to', { run: true, secondRun: true, length: 120 });
    expect(right.notes.find((n) => n.code === 'nests-in-second-run')?.fix?.patch).toEqual({ nestWall: 'back' });
    expect(right.openings.some((o) => o.kind === 'nest' && o.wall === 'right')).toBe(false);
  });
});

describe('claddings', () => {
  const wall = (siding: string) =>
    build('raised-gable', { siding, cleanOutWall: 'none', doorWidth: 31, doorStyle: 'single' });
  it('lap boards are laid level, each covering 6 3/4 in', () => {
    const boards = wall('lap').parts.filter((p) => p.assembly === 'back-wall' && p.role === 'siding');
    const heights = [...new Set(boards.map((p) => Math.round(measureBounds([p]).low[2] * 64) / 64))].sort(
      (a, b) => a - b,
    );
    expect((heights[1] ?? 0) - (heights[0] ?? 0)).toBeCloseTo(6.75, 2);
    expect(boards.every((p) => p.item === 'shiplap')).toBe(true);
  });
  it('board and batten covers every open joint', () => {
    const parts = wall('board-batten').parts.filter((p) => p.assembly === 'back-wall');
    const boards = parts.filter((p) => p.role === 'siding');
    const battens = parts.filter((p) => p.role === 'batten');
    expect(boards.length).toBeGreaterThan(7);
    // One batten over each joint but those under the corner boards.
    expect(battens.length).toBeGreaterThanOrEqual(boards.length - 3);
    expect(measureBounds(battens).low[1]).toBeGreaterThan(0);
  });
  it('rough-sawn boards lie tight, full size', () => {
    const boards = wall('rough-boards').parts.filter((p) => p.assembly === 'back-wall' && p.role === 'siding');
    expect(boards.every((p) => p.thickness === 1 && p.width <= 8 + 2)).toBe(true);
  });
  it('boards have rows of blocks to be nailed to', () => {
    expect(wall('board-batten').parts.some((p) => p.assembly === 'back-wall' && p.role === 'blocking')).toBe(true);
  });
});
