import { createElement } from 'react';
import type { ChangeOrder, Trouble, WorkOrder } from '../../data/types.ts';
import { sayDifference } from '../../parts/PlannedLogged.tsx';
import { elements, html, plain } from '../../testing/rendered.ts';
import { ChangeLines } from './ChangeOrders.tsx';
import { Troubles } from './Troubles.tsx';

const line = (fate: ChangeOrder['lines'][number]['fate'], more: object = {}): ChangeOrder['lines'][number] => ({
  fate,
  mark: 'S2',
  name: 'back wall stud',
  item: '2x4',
  length: 49,
  count: 1,
  ...more,
});

describe('what a change does to the pieces', () => {
  const markup = html(
    createElement(ChangeLines, {
      lines: [
        line('scrap', { mark: 'SL4', count: 2 }),
        line('recut', {
          mark: 'RL1',
          name: 'front side top rail',
          item: '2x3',
          length: 84,
          from: { mark: 'RL9', length: 96 },
        }),
        line('new', { count: 3 }),
        line('new', { mark: 'H1', name: 'header', count: 1 }),
      ],
    }),
  );
  const words = plain(markup);
  it('is told by what a person does with them, what is to be cut first', () => {
    const order = ['To be cut', 'Cut from a piece that is there', 'Cut for nothing'].map((t) => words.indexOf(t));
    expect(order.every((at) => at >= 0)).toBe(true);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(words).not.toContain('There already');
  });
  it('counts the pieces of each fate and lists them by mark and length', () => {
    expect(words).toContain('To be cut: 4');
    expect(words).toContain('Cut for nothing: back to the rack: 2');
    expect(words).toMatch(/S2 back wall stud, 2×4 49″ × 3/);
  });
  it('says from what a shorter piece is cut', () => {
    expect(words).toMatch(/RL1 front side top rail, 2×3 , from RL9 of 96″ 84″ × 1/);
  });
  it('is read in millimetres where the shop reads those', () => {
    const metric = plain(html(createElement(ChangeLines, { lines: [line('new')] }), 'mm'));
    expect(metric).toContain('1245 mm');
    expect(metric).not.toContain('″');
  });
});

const trouble = (more: Partial<Trouble> = {}): Trouble => ({
  id: 4,
  stepId: 'front-wall/frame',
  cause: 'missing hardware',
  mark: '',
  note: 'two hinges short',
  by: 'Tobin Askew',
  at: '2030-05-01T08:00:00Z',
  solvedAt: null,
  solvedBy: null,
  answer: '',
  version: 1,
  ...more,
});
const work = (troubles: readonly Trouble[]): WorkOrder => ({ order: { id: 1042 }, troubles }) as unknown as WorkOrder;
const shown = (troubles: readonly Trouble[], roles: readonly string[]): string =>
  html(createElement(Troubles, { work: work(troubles), onWork: () => undefined }), 'inches', '/', {
    '/session': { id: 1, name: 'Odile Farrant', roles },
  });

describe('what the bench has told', () => {
  it('is answered by the office', () => {
    const markup = shown([trouble()], ['office']);
    expect(plain(markup)).toContain('missing hardware : two hinges short by Tobin Askew');
    expect(elements(markup, 'button').map((b) => b.words)).toEqual(['Answer']);
  });
  it('waits for the office where somebody else looks', () => {
    const markup = shown([trouble()], ['shop']);
    expect(plain(markup)).toContain('waits for the office');
    expect(elements(markup, 'button')).toEqual([]);
  });
  it('stands with its answer once it has one', () => {
    const solved = trouble({
      solvedAt: '2030-05-01T09:00:00Z',
      solvedBy: 'Odile Farrant',
      answer: 'on the van at noon',
    });
    const markup = shown([solved], ['office']);
    expect(plain(markup)).toContain('Odile Farrant: on the van at noon');
    expect(elements(markup, 'button')).toEqual([]);
  });
  it('is not there where nothing was told', () =>
    expect(plain(shown([], ['office']))).not.toContain('Told at the bench'));
});

describe('planned and logged', () => {
  it.each([
    [60, 60, 'as planned'],
    [60, 90, '50 % more'],
    [60, 45, '25 % less'],
    [1000, 1004, 'as planned'],
  ])('%d planned and %d logged is %s', (planned, logged, words) =>
    expect(sayDifference({ planned, logged })).toBe(words),
  );
});
