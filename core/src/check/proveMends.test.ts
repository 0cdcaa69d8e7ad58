import fc from 'fast-check';
import { paramsOf } from '../../testing/testFamily.ts';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import type { Spec } from '../model/index.ts';
import { checkBuild } from './checkBuild.ts';
import { proveMends } from './proveMends.ts';

const found = (spec: Spec) => checkBuild(buildSpec(spec), spec);
const codes = (list: readonly { code: string; severity: string }[], code?: string) =>
  list.filter((f) => (code === undefined ? f.severity === 'stop' : f.code === code)).map((f) => f.code);

describe('every mend that is offered', () => {
  it.each(FAMILIES.map((f) => f.key))('%s: takes its finding away and brings no new stop', (key) => {
    const family = FAMILIES.find((f) => f.key === key);
    if (!family) throw new Error(`There is no family "${key}".`);
    let offered = 0;
    fc.assert(
      fc.property(paramsOf(family.params), (params) => {
        const spec = parseSpec({ family: key, params });
        const before = proveMends(spec, found(spec));
        for (const f of before) {
          if (!f.fix) continue;
          offered++;
          const after = found(parseSpec({ family: key, params: { ...spec.params, ...f.fix.patch } }));
          expect([f.code, codes(after, f.code).length < codes(before, f.code).length]).toEqual([f.code, true]);
          const stops = codes(before);
          for (const stop of codes(after)) {
            const at = stops.indexOf(stop);
            expect([f.code, f.fix.label, stop, at >= 0]).toEqual([f.code, f.fix.label, stop, true]);
            stops.splice(at, 1);
          }
        }
      }),
      { numRuns: 2, seed: 29, endOnFailure: true },
    );
    expect(offered).toBeGreaterThan(0);
  });
});

describe('a mend that does too little', () => {
  it('is carried farther, and its button says how far', () => {
    const heavy = parseSpec({ family: 'low-pen', params: { length: 120, width: 96, lidLength: 48 } });
    const asked = found(heavy).find((f) => f.code === 'lid-weight');
    const proved = proveMends(heavy, found(heavy)).find((f) => f.code === 'lid-weight');
    // It is offered only if a shorter lid within its range is light enough.
    if (proved?.fix)
      expect(Number(proved.fix.patch.lidLength)).toBeLessThanOrEqual(Number(asked?.fix?.patch.lidLength));
    // One that changes nothing is none.
    const idle = found(heavy).map((f) => ({ ...f, fix: { label: 'Make it 120″', patch: { length: 120 } } }));
    expect(proveMends(heavy, idle).every((f) => f.fix === undefined)).toBe(true);
  });
  it('is not offered where it cannot be said or does not help', () => {
    const spec = parseSpec({ family: 'hoop-pen', params: { doorWidth: 20, hoopLength: 100 } });
    for (const f of proveMends(spec, found(spec)))
      if (f.fix) {
        const after = found(parseSpec({ family: 'hoop-pen', params: { ...spec.params, ...f.fix.patch } }));
        expect(codes(after, f.code).length).toBeLessThan(codes(found(spec), f.code).length);
      }
  });
});
