import { compareFlocks, readFlock, typedFlock } from './flock.ts';

describe('a flock as typed', () => {
  const typed = typedFlock(null);
  it('reads back as it was', () => expect(readFlock(typed)).toMatchObject({ errors: {}, flock: { now: 4, later: 6 } }));
  it.each(['0', '501', '2.5', '', 'many', '-3', '1e2'])('%s birds is refused', (now) =>
    expect(readFlock({ ...typed, now }).errors).toEqual({ now: 'A whole number from 1 to 500.' }),
  );
  it('is compared in words, only where it differs', () =>
    expect(compareFlocks({ ...typed, now: '9', ranging: false }, typed)).toEqual([
      { label: 'Birds now', mine: '9', theirs: '4' },
      { label: 'Out of the run by day', mine: 'no', theirs: 'yes' },
    ]));
});
