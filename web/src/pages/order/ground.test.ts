import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { compareGrounds, isSameGround, keptRod, readGate, readRod, typedGround } from './ground.ts';

const INCHES = makeShow(BUSINESS_RULES.units);

describe('rod readings as typed', () => {
  it.each([
    ['52 1/2', 52.5],
    ['4\' 2"', 50],
    ['1000 mm', 1000 / 25.4],
  ])('%s is %d in', (text, rod) => expect(readRod(text, INCHES).rod).toBeCloseTo(rod, 9));
  it.each([
    ['', 'Read the rod here.'],
    ['low', 'Write it like 64 1/2 or 5\' 4".'],
    ['301', 'From 0" to 300".'],
    ['-1', 'From 0" to 300".'],
  ])('%j is refused in words', (text, error) => expect(readRod(text, INCHES)).toEqual({ error }));
  it('a way in may be left out, but is not narrower than a foot', () => {
    expect(readGate('', INCHES)).toEqual({});
    expect(readGate('36', INCHES)).toEqual({ width: 36 });
    expect(readGate('8', INCHES).error).toMatch(/at least 12"/);
    expect(readGate('wide', INCHES).error).toMatch(/64 1\/2/);
  });
  it('say the same however they are written', () => {
    const typed = { texts: ['49', '50', '51', ''], lift: '0', gate: '' };
    expect(isSameGround(INCHES)(typed, { ...typed, texts: ['49"', '4\' 2"', '51.0', ''], lift: '0"' })).toBe(true);
    expect(isSameGround(INCHES)(typed, { ...typed, gate: '84' })).toBe(false);
    expect(isSameGround(INCHES)(typed, { ...typed, texts: ['low', '50', '51', ''] })).toBe(false);
  });
  it('are in millimetres where those are read, and stay as exact as they were kept', () => {
    const mm = makeShow({ style: 'mm', denominator: 16 });
    expect(readRod('1334', mm).rod).toBeCloseTo(1334 / 25.4, 9);
    expect(readRod('tall', mm)).toEqual({ error: 'Write it like 1638 or 1.638 m.' });
    expect(typedGround({ pads: [{ id: 'a', name: '', x: 0, y: 0, rod: 52.5 }], lift: 0 }, mm).texts[0]).toBe('1334 mm');
    expect(keptRod('1334 mm', 52.5, mm)).toBe(52.5);
    expect(keptRod('1335', 52.5, mm)).toBeCloseTo(1335 / 25.4, 9);
  });
  it('are compared corner by corner', () => {
    const kept = typedGround(
      {
        pads: [48.5, 50, 51, 52].map((rod, i) => ({ id: `${i}`, name: '', x: 0, y: 0, rod })),
        lift: 0,
      },
      INCHES,
    );
    expect(compareGrounds({ ...kept, gate: '84', texts: ['49', ...kept.texts.slice(1)] }, kept)).toEqual([
      { label: 'Rod at front left', mine: '49', theirs: '48 1/2"' },
      { label: 'Narrowest way in', mine: '84', theirs: 'empty' },
    ]);
  });
});
