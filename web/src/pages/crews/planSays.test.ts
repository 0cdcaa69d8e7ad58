import { createElement } from 'react';
import { blockOf, boardOf, visitOf } from '../../testing/board.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { PlanSays } from './PlanSays.tsx';

const OP = blockOf('7/cut', {
  title: 'Sorrel for Wren',
  due: '2026-05-06',
  float: 240,
  visits: [visitOf('2026-05-05', 720, 900, ['1', '2'])],
});
const says = (more: Partial<Parameters<typeof PlanSays>[0]> = {}): string =>
  html(
    createElement(PlanSays, {
      data: boardOf({ operations: [OP] }),
      said: undefined,
      held: undefined,
      clash: undefined,
      onPutBack: () => undefined,
      onOpen: () => undefined,
      ...more,
    }),
  );
const order = (id: number, late: number, ends: string | null) => ({
  id,
  title: 'Sorrel',
  due: '2026-05-06',
  ends,
  late,
  confirmed: 0,
  delivery: null,
});

describe('what the plan says', () => {
  it('is that all is well where nothing clashes', () => {
    expect(plain(says())).toContain('Nothing clashes, nothing leaves late.');
  });
  it('is what came of a move, with the way back', () => {
    const markup = says({
      said: { text: 'Cut of order 7 begins on Tuesday.', bad: false, undo: [{ task: '7/cut' } as never] },
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
  it('is when the block in hand begins and ends, by whom, and what it has to spare', () => {
    const words = plain(says({ held: OP }));
    expect(words).toMatch(/7 cut Sorrel for Wren, wanted by Wed 6 May\./);
    expect(words).toMatch(/Tue 5 May 12:00 to 15:00 ?: Ines, Abel/);
    expect(words).toContain('4 h to spare before its order is late.');
    expect(plain(says({ held: { ...OP, float: 0 } }))).toContain('No time to spare');
    expect(plain(says({ held: { ...OP, float: 2 * 480 + 30 } }))).toContain('2 days to spare');
    // Of one that is late already it is what it may lose without being later.
    const late = boardOf({ operations: [OP], orders: [order(7, 2, '2026-05-08')] });
    expect(plain(says({ data: late, held: OP }))).toContain('4 h to spare before its order is later still.');
    expect(plain(says({ data: late, held: { ...OP, float: 0 } }))).toContain(
      'whatever it loses, its order is later by.',
    );
  });
  it('lets a block that was put there by hand be planned again, where somebody may', () => {
    const held = { ...OP, pinned: true };
    expect(elements(says({ held }), 'button').map((b) => b.words)).toEqual(['Open the order']);
    const may = says({ held, onRelease: () => undefined });
    expect(elements(may, 'button').map((b) => b.words)).toEqual(['Open the order', 'Let it be planned again']);
  });
  it('is what a block waits for: wood that is to come, and a site that nobody confirmed', () => {
    const cut = { ...OP, supply: { day: '2026-05-07', coming: [], buy: [], orderBy: null } };
    expect(plain(says({ held: cut }))).toContain('Its wood comes on Thu 7 May.');
    const drive = blockOf('7/deliver', { station: 'road', place: null });
    const data = boardOf({ operations: [drive], orders: [order(7, 0, null)] });
    expect(plain(says({ data, held: drive }))).toContain('has confirmed nothing of the site yet');
  });
  it('is each late order, the latest first, and each fault in its own words', () => {
    const words = plain(
      says({
        clash: 'Ines is at 8 frame then.',
        data: boardOf({
          orders: [order(7, 1, '2026-05-07'), order(8, 4, '2026-05-10'), order(9, 0, '2026-05-04')],
          faults: [{ kind: 'bay', task: '7/frame', orderId: 7, text: 'Bay 1 has two units on Tuesday.' }],
        }),
      }),
    );
    expect(words).toMatch(/Ines is at 8 frame then\..*8 is 4 days late.*7 is a day late.*Bay 1 has two units/s);
    expect(words).not.toContain('9 is');
    expect(words).not.toContain('Nothing clashes');
  });
});
