import { findDropTarget } from './dropTarget.ts';

const rows = [
  { id: 'saw', lanes: 1, laneOf: new Map([['a', 0]]) },
  { id: 'bay-1', lanes: 3, laneOf: new Map([['b', 2]]) },
  { id: 'bay-2', lanes: 1, laneOf: new Map() },
];
const scale = { perMinute: 0.2, lane: 50, pad: 8, snap: 30 };
const a = { task: 'a', row: 'saw', start: 480 };
const b = { task: 'b', row: 'bay-1', start: 480 };

describe('where a dragged block comes to stand', () => {
  it('is where it was when it did not move', () => {
    expect(findDropTarget(a, { x: 0, y: 0 }, rows, scale)).toEqual({ row: 'saw', start: 480 });
    expect(findDropTarget(b, { x: 0, y: 0 }, rows, scale)).toEqual({ row: 'bay-1', start: 480 });
  });
  it('snaps to half hours', () => {
    expect(findDropTarget(a, { x: 2, y: 0 }, rows, scale).start).toBe(480);
    expect(findDropTarget(a, { x: 5, y: 0 }, rows, scale).start).toBe(510);
    expect(findDropTarget(a, { x: 96, y: 0 }, rows, scale).start).toBe(960);
  });
  it('is never before the calendar begins', () =>
    expect(findDropTarget(a, { x: -900, y: 0 }, rows, scale).start).toBe(0));
  it.each([
    [a, 60, 'bay-1'],
    // Rows are as high as their lanes: 58, 158, 58.
    [a, 190, 'bay-1'],
    [a, 200, 'bay-2'],
    [a, 900, 'bay-2'],
    [a, -900, 'saw'],
    [b, -120, 'bay-1'],
    [b, -190, 'saw'],
    [b, 60, 'bay-2'],
  ] as const)('%# is the row under its middle', (block, y, row) =>
    expect(findDropTarget(block, { x: 0, y }, rows, scale).row).toBe(row),
  );
});
