import { createElement } from 'react';
import type { BoardData, BoardOperation } from '../../data/types.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { PlanSays } from './PlanSays.tsx';

const OP: BoardOperation = {
  id: '7:cut',
  orderId: 7,
  title: 'Sorrel for Wren',
  name: 'Cut',
  station: 'saw',
  due: '2026-05-06',
  done: false,
} as BoardOperation;
const data = (more: Partial<BoardData> = {}): BoardData => ({
  today: '2026-05-04',
  calendar: { days: ['2026-05-04', '2026-05-05', '2026-05-06'], minutes: 480 },
  days: [],
  rows: [],
  operations: [OP],
  blocks: [],
  clashes: [],
  ...more,
});
const says = (more: Partial<Parameters<typeof PlanSays>[0]> = {}): string =>
  html(
    createElement(PlanSays, {
      data: data(),
      said: undefined,
      held: undefined,
      onPutBack: () => undefined,
      onOpen: () => undefined,
      ...more,
    }),
  );

describe('what the plan says', () => {
  it('is that all is well where nothing clashes', () => {
    expect(plain(says())).toContain('Nothing clashes, nothing leaves late.');
  });
  it('is what came of a move, with the way back', () => {
    const markup = says({
      said: { text: 'Cut of order 7 begins on Tuesday.', bad: false, undo: [{ id: '7:cut' } as never] },
    });
    expect(plain(markup)).toContain('Moved by hand. Cut of order 7 begins on Tuesday.');
    expect(markup).toContain('data-said="moved"');
    expect(elements(markup, 'button').map((b) => b.words)).toEqual(['Put it back']);
  });
  it('is why a block stays where it was, with nothing to put back', () => {
    const markup = says({ said: { text: 'The saw is taken then.', bad: true } });
    expect(plain(markup)).toContain('It stays where it was. The saw is taken then.');
    expect(markup).toContain('data-said="refused"');
    expect(elements(markup, 'button')).toEqual([]);
  });
  it('is when the block in hand begins and ends, against the day it is wanted', () => {
    // A day is 480 minutes: from the first day's noon to the end of the second.
    const block = { task: '7:cut', row: 'saw', start: 240, end: 960 } as never;
    const words = plain(says({ held: { op: OP, block } }));
    expect(words).toMatch(/7 Cut Sorrel for Wren\. Starts Mon.* 4.*, done Tue.* 5.*; wanted by Wed.* 6/);
  });
  it('is each clash in its own words, late orders first', () => {
    const words = plain(
      says({
        data: data({
          clashes: [
            { kind: 'bay', task: '7:frame', text: 'Bay 1 has two units on Tuesday.' } as never,
            { kind: 'late', task: '7:road', order: 7, text: 'Order 7 leaves a day late.' } as never,
          ],
        }),
      }),
    );
    expect(words).toContain('Bay 1 has two units on Tuesday.');
    expect(words).toContain('Order 7 leaves a day late. Its last block ends after the day it is wanted.');
    expect(words.indexOf('leaves a day late')).toBeLessThan(words.indexOf('two units'));
    expect(words).not.toContain('Nothing clashes');
  });
});
