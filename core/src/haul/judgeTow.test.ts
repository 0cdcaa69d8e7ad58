import fc from 'fast-check';
import { judgeTow } from './planLoad.ts';
import type { Trailer, Vehicle } from './planLoad.ts';

const trailer: Trailer = {
  id: 't',
  name: 'tilt',
  bedLength: 192,
  bedWidth: 82,
  bedHeight: 24,
  carries: 5200,
  weight: 1900,
  tilt: true,
};
const truck: Vehicle = { id: 'v', name: 'old truck', tows: 5000, tongue: 500 };

describe('what pulls a load', () => {
  it('tows trailer and load together', () => {
    expect(judgeTow(truck, trailer, { weight: 3100, tongue: [500, 750] })).toEqual([]);
    expect(judgeTow(truck, trailer, { weight: 3101, tongue: [500, 750] })).toEqual([
      'Trailer and load weigh 5001 lb; the old truck tows 5000 lb.',
    ]);
  });
  it('bears the least that has to lie on the tongue', () => {
    expect(judgeTow(truck, trailer, { weight: 3100, tongue: [501, 750] })).toEqual([
      '501 lb on the tongue at least; the hitch of the old truck bears 500 lb.',
    ]);
  });
  it('never minds less: what pulls a load pulls every lighter one', () => {
    const n = fc.integer({ min: 0, max: 9000 });
    fc.assert(
      fc.property(n, n, n, (weight, less, tongue) => {
        const heavy = judgeTow(truck, trailer, { weight, tongue: [tongue, tongue * 1.5] });
        const light = judgeTow(truck, trailer, {
          weight: Math.max(0, weight - less),
          tongue: [Math.max(0, tongue - less), tongue],
        });
        expect(light.length).toBeLessThanOrEqual(heavy.length);
      }),
    );
  });
});
