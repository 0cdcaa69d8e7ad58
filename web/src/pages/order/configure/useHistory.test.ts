import { stepHistory } from './useHistory.ts';

const start = { past: [] as number[], now: 1, next: [] as number[] };

describe('history', () => {
  it('undoes and redoes in order', () => {
    const two = stepHistory(start, { type: 'set', value: 2 });
    const three = stepHistory(two, { type: 'set', value: 3 });
    const back = stepHistory(stepHistory(three, { type: 'undo' }), { type: 'undo' });
    expect(back.now).toBe(1);
    expect(stepHistory(back, { type: 'redo' }).now).toBe(2);
  });
  it('forgets what was undone once something new is set', () => {
    const back = stepHistory(stepHistory(start, { type: 'set', value: 2 }), { type: 'undo' });
    expect(stepHistory(back, { type: 'set', value: 5 }).next).toEqual([]);
  });
  it('stays where it is at either end', () => {
    expect(stepHistory(start, { type: 'undo' })).toBe(start);
    expect(stepHistory(start, { type: 'redo' })).toBe(start);
  });
});
