import { outsideSize } from '../../takeoff/index.ts';
import type { Check } from '../types.ts';

/** Width and height on the trailer. */
export const trailerFit: Check = ({ build, params, rules }) => {
  const [x, y, z] = outsideSize(build);
  const wide = Math.min(x, y);
  if (params.run === true || (wide <= rules.loadWidth && z <= rules.loadHeight)) return [];
  return [
    {
      code: 'trailer-fit',
      severity: 'warn',
      what:
        wide > rules.loadWidth
          ? `It is ${Math.round(wide)}″ wide on the trailer; ${rules.loadWidth}″ is allowed.`
          : `It is ${Math.round(z)}″ high; the load may be ${rules.loadHeight}″ over the bed.`,
      why: 'It must go as flat panels and be framed up on site, or be smaller.',
      where: build.parts.slice(0, 1).map((p) => p.id),
    },
  ];
};
