import { layLanes } from './layLanes.ts';

const item = (task: string, start: number, end: number, dryUntil = end) => ({
  block: { task, row: 'bay', start, end, pinned: false },
  dryUntil,
});

it('keeps blocks that share time apart, drying counted, in the fewest lanes', () => {
  const laid = layLanes([item('a', 0, 100, 300), item('b', 100, 200), item('c', 200, 400), item('d', 310, 350)]);
  expect(laid.map((l) => [l.block.task, l.lane])).toEqual([
    ['a', 0],
    ['b', 1],
    ['c', 1],
    ['d', 0],
  ]);
});
