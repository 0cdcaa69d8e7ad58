import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Roost length per hen. */
export const roostLength: Check = ({ build, params, flock, rules }) => {
  const have = build.capacity.roostLength;
  if (flock.kind !== 'layers' || have === undefined) return [];
  const birds = Math.max(flock.now, flock.later);
  const each = birds > 0 ? have / birds : Infinity;
  if (each >= rules.flock.roostPerHen) return [];
  const bars = Number(params.roostBars ?? 0);
  const perBar = bars > 0 ? have / bars : 0;
  const wanted = perBar > 0 ? Math.ceil((birds * rules.flock.roostPerHen) / perBar) : 1;
  return [
    {
      code: 'roost-length',
      severity: each < rules.flock.roostTight ? 'stop' : 'warn',
      what: `${one(have)}″ of roost is ${one(each)}″ a hen for ${birds}.`,
      why: `Hens sleep side by side: ${rules.flock.roostPerHen}″ each, ${rules.flock.roostTight}″ at the tightest.`,
      where: ['roosts/bar-1'],
      ...('roostBars' in params && wanted > bars && wanted <= 5
        ? mend(wanted === 1 ? 'Put in a bar' : `Make it ${wanted} bars`, { roostBars: wanted })
        : {}),
    },
  ];
};
