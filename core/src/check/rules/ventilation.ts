import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Open area high up against the floor. */
export const ventilation: Check = ({ build, params, rules }) => {
  const house = build.capacity.houseArea;
  if (house === undefined) return [];
  const need = house * rules.ventShare;
  if (build.facts.ventArea >= need) return [];
  return [
    {
      code: 'ventilation',
      severity: build.facts.ventArea < need / 3 ? 'stop' : 'warn',
      what: `${one(build.facts.ventArea)} sq ft of opening for a floor of ${one(house)} sq ft.`,
      why: `Damp and ammonia rise: open a tenth of the floor area (${one(need)} sq ft) high up, above the birds' heads.`,
      where: ['roof/eave-high-1'],
      ...(params.eaves === 'blocked'
        ? mend('Mesh the eave gaps', { eaves: 'mesh' })
        : params.windowWall === 'none'
          ? mend('Put a window in the back', { windowWall: 'back' })
          : {}),
    },
  ];
};
