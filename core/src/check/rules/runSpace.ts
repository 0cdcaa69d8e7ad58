import { partsWhere } from '../where.ts';
import { measureRunNeed } from '../../flock/index.ts';
import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Run area per hen. */
export const runSpace: Check = ({ build, params, flock, rules }) => {
  const each = measureRunNeed(flock, rules.flock);
  const area = build.capacity.runArea;
  if (flock.kind !== 'layers' || build.capacity.houseArea === undefined || area === undefined) return [];
  const birds = Math.max(flock.now, flock.later);
  const need = birds * each;
  if (area >= need - 1e-6) return [];
  const floor = birds * rules.flock.runFloorPerHen;
  const hard = !flock.ranging && area < floor;
  const wanted = Math.ceil((Number(params.runLength ?? 0) * need) / area);
  return [
    {
      code: 'run-space',
      severity: hard ? 'stop' : 'warn',
      what: `The run has ${one(area)} sq ft; ${birds} hens want ${one(need)} sq ft.`,
      why: flock.ranging
        ? 'Ten square feet a hen is the least, even for hens that range by day.'
        : 'Hens that never leave the run need twenty square feet each; under ten they fight and it turns to mud.',
      where: partsWhere(build, (p) => /^(run-front|bay-1-front)\/mesh/.test(p.id)),
      ...('runLength' in params ? mend(`Make the run ${wanted}″ long`, { runLength: wanted }) : {}),
    },
  ];
};
