import { adviseMoving } from './adviseMoving.ts';
import { sizeFlock } from './sizeFlock.ts';
import type { Flock } from './types.ts';

const layers: Flock = {
  kind: 'layers',
  now: 24,
  later: 24,
  breed: 'standard',
  ranging: true,
  mover: 'two adults',
  moves: 'never',
};

// Values of the trade; common practice, no source.
describe('sizeFlock', () => {
  it('three roost bars of 8 ft carry 24 hens at 12 in, and 24 hens want 5 nests', () => {
    const sizing = sizeFlock(layers, { roostLength: 3 * 96, nests: 5, houseArea: 60, runArea: 300 });
    expect(sizing.limits.find((l) => l.what === 'roost')?.birds).toBe(24);
    expect(sizing.limits.find((l) => l.what === 'nests')?.need).toBe(5);
  });
  it('names what runs out first', () => {
    const sizing = sizeFlock(layers, { roostLength: 3 * 96, nests: 5, houseArea: 44, runArea: 300 });
    expect(sizing.first).toMatchObject({ what: 'house', birds: 22 });
  });
  it('sizes for the larger flock', () => expect(sizeFlock({ ...layers, now: 4, later: 9 }).birds).toBe(9));
  it('25 meat birds fit a 6 × 8 ft pen', () => {
    const sizing = sizeFlock({ ...layers, kind: 'meat', now: 25, later: 25, moves: 'daily' }, { runArea: 48 });
    expect(sizing.first?.birds).toBe(25);
  });
  it('confined hens need twice the run', () => {
    const need = (ranging: boolean) => sizeFlock({ ...layers, ranging }).limits.find((l) => l.what === 'run')?.need;
    expect(need(true)).toBe(240);
    expect(need(false)).toBe(480);
  });
  it('6 layers fit a day-moved pen of 4 × 6½ ft', () => {
    const pen: Flock = { ...layers, now: 6, later: 6, moves: 'daily' };
    expect(sizeFlock(pen, { runArea: 26.5 }).first?.birds).toBe(6);
  });
});

describe('adviseMoving', () => {
  it('moves meat birds, keeps a large flock of layers in place', () => {
    expect(adviseMoving({ ...layers, kind: 'meat', moves: 'daily' }).movable).toBe(true);
    expect(adviseMoving(layers).movable).toBe(false);
  });
  it('gives a reason for a slope', () => expect(adviseMoving(layers, 20).reasons.join(' ')).toMatch(/falls 20 in/));
});
