import { compareGrounds, isSameGround, readGate, readRod, typedGround } from './ground.ts';

describe('rod readings as typed', () => {
  it.each([
    ['52 1/2', 52.5],
    ['4\' 2"', 50],
    ['1000 mm', 1000 / 25.4],
  ])('%s is %d in', (text, rod) => expect(readRod(text).rod).toBeCloseTo(rod, 9));
  it.each([
    ['', 'Read the rod here.'],
    ['low', 'Write it like 52 1/2.'],
    ['301', 'From 0 to 300 inches.'],
    ['-1', 'From 0 to 300 inches.'],
  ])('%j is refused in words', (text, error) => expect(readRod(text)).toEqual({ error }));
  it('a way in may be left out, but is not narrower than a foot', () => {
    expect(readGate('')).toEqual({});
    expect(readGate('36')).toEqual({ width: 36 });
    expect(readGate('8').error).toMatch(/12 inches/);
    expect(readGate('wide').error).toMatch(/52 1\/2/);
  });
  it('say the same however they are written', () => {
    const typed = { texts: ['49', '50', '51', ''], lift: '0', gate: '' };
    expect(isSameGround(typed, { ...typed, texts: ['49"', '4\' 2"', '51.0', ''], lift: '0"' })).toBe(true);
    expect(isSameGround(typed, { ...typed, gate: '84' })).toBe(false);
    expect(isSameGround(typed, { ...typed, texts: ['low', '50', '51', ''] })).toBe(false);
  });
  it('are compared corner by corner', () => {
    const kept = typedGround({
      pads: [48.5, 50, 51, 52].map((rod, i) => ({ id: `${i}`, name: '', x: 0, y: 0, rod })),
      lift: 0,
    });
    expect(compareGrounds({ ...kept, gate: '84', texts: ['49', ...kept.texts.slice(1)] }, kept)).toEqual([
      { label: 'Rod at front left', mine: '49', theirs: '48 1/2"' },
      { label: 'Narrowest way in', mine: '84', theirs: 'empty' },
    ]);
  });
});
