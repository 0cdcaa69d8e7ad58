import { parseSpec } from '@rubbet/core/model';
import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { compareSpecs } from './compareSpecs.ts';

const INCHES = makeShow(BUSINESS_RULES.units);

const spec = parseSpec({ family: 'raised-lean-to' });

describe('two specs side by side', () => {
  it('differ in nothing when they are equal', () => expect(compareSpecs(spec, spec, INCHES)).toEqual([]));
  it('differ in words of the form', () => {
    const mine = parseSpec({ ...spec, params: { ...spec.params, length: 82, insideRelease: false } });
    expect(compareSpecs(mine, spec, INCHES)).toEqual([
      { label: 'Floor, long side', mine: '82"', theirs: '72"' },
      expect.objectContaining({ mine: 'no', theirs: 'yes' }),
    ]);
  });
  it('of two families differ in that alone', () =>
    expect(compareSpecs(parseSpec({ family: 'low-pen' }), spec, INCHES).map((r) => r.label)).toEqual(['Built as']));
  it('say what is mirrored, locked or put by hand', () => {
    const mine = parseSpec({ ...spec, mirrored: true, locked: ['length'] });
    expect(compareSpecs(mine, spec, INCHES).map((r) => r.label)).toEqual(['Mirrored', 'Locked']);
  });
});
