import type { BatchPiece } from '../../data/types.ts';
import { stripsOf } from './stacks.ts';

const strip = (x: number, y: number, length: number, width: number, bent = false): BatchPiece => ({
  x,
  y,
  length,
  width,
  parts: [{ order: 7, part: `p${x}-${y}`, mark: 'M1', panel: 'Run', length }],
  state: 'open',
  ...(bent ? { bent: true as const } : {}),
});

describe('strips of a roll', () => {
  it('come off it in turn, what lies beside each other in one go', () => {
    // 48 and, beside it, 14½; then 60; then 72 to the end of 180.
    const pieces = [strip(48, 0, 60, 36), strip(0, 0, 48, 24), strip(0, 24, 14.5, 3), strip(108, 0, 72, 36)];
    const runs = stripsOf({ pieces, length: 180 });
    expect(runs.map((r) => [r.length, r.last, r.pieces.length])).toEqual([
      [48, false, 2],
      [60, false, 1],
      [72, true, 1],
    ]);
  });
  it('count equal ones beside each other', () => {
    const runs = stripsOf({ pieces: [strip(0, 0, 48, 24), strip(0, 24, 14.5, 3), strip(0, 27, 14.5, 3)], length: 600 });
    expect(runs[0]?.pieces.map((g) => [g.piece.width, g.count])).toEqual([
      [24, 1],
      [3, 2],
    ]);
  });
  it('are not cut apart where they are bent round a corner', () => {
    const runs = stripsOf({
      pieces: [strip(0, 0, 48, 24), strip(48, 0, 96, 24, true), strip(144, 0, 20, 24)],
      length: 300,
    });
    expect(runs.map((r) => r.length)).toEqual([144, 20]);
    expect(runs[0]?.pieces.map((g) => g.piece.bent === true)).toEqual([false, true]);
  });
});
