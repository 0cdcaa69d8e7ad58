import fc from 'fast-check';
import { paramsOf } from '../../../testing/testFamily.ts';
import { findItem } from '../../stock/index.ts';
import { measureBounds } from '../../unit/index.ts';
import { buildSpec, FAMILIES, parseSpec } from '../index.ts';

/** What is untreated of a unit's outside skin and comes nearer to what it stands on than it may. */
const tooLow = (family: string, params: Record<string, string | number | boolean>): string[] => {
  const b = buildSpec(parseSpec({ family, params }));
  const concrete = params['foundation'] === 'slab' || params['foundation'] === 'perimeter' || family === 'barn-fit-out';
  return b.parts
    .filter(
      (p) => p.assembly !== 'inner-wall' && (p.role === 'siding' || (p.role === 'batten' && p.item.startsWith('1x3'))),
    )
    .filter((p) => {
      const item = findItem(p.item);
      return !('treated' in item && item.treated) && measureBounds([p]).low[2] < (concrete ? 1 : 6) - 1e-6;
    })
    .map((p) => p.id);
};

// Source: International Residential Code R317.1: untreated siding 6 in off soil, 1 in off concrete (values from memory).
describe.each(FAMILIES.map((f) => [f.key] as const))('siding of %s', (key) => {
  const family = FAMILIES.find((f) => f.key === key);
  if (!family) throw new Error(key);
  it('keeps off the ground, or is treated, for any parameters', () => {
    fc.assert(
      fc.property(paramsOf(family.params), (params) => {
        expect(tooLow(key, params)).toEqual([]);
      }),
      { numRuns: 40, seed: 31 },
    );
  });
});
