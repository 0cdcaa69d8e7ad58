import {
  countHeelNails,
  measurePlateStretch,
  measureRailStretch,
  measureThrust,
  roofLoad,
} from '../../strength/index.ts';
import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';

/** Rafters in pairs push the plates apart: ties, or plates short enough, hold them. */
export const rafterThrust: Check = ({ build, params, rules }) => {
  if (build.facts.indoors) return [];
  return (build.facts.thrust ?? []).flatMap((roof): Finding[] => {
    const push = measureThrust(roofLoad(rules.snow, roof.pitch, roof.cover), roof.span, roof.rise);
    const { item, count, onEdge } = roof.plate;
    const reach = onEdge ? measureRailStretch(push, item) : measurePlateStretch(push, item, count);
    const under = `Under ${Math.max(20, rules.snow)} psf of snow the rafters push each plate out with ${Math.round(push)} lb a foot`;
    const steeper = 'pitch' in params && Number(params['pitch']) < 8;
    const help = steeper
      ? mend(`Pitch it ${Number(params['pitch']) + 1} in 12`, { pitch: Number(params['pitch']) + 1 })
      : {};
    const out: Finding[] = [];
    if (roof.apart > reach + 1e-6)
      out.push({
        code: `thrust-plate-${roof.part.split('/')[0]}`,
        severity: 'stop',
        what: `The plates of the ${roof.name} go ${Math.round(roof.apart)}″ without a tie; they hold for ${Math.floor(reach)}″.`,
        why: `${under} and they bow. Free the rafter pairs for ties, double the plate or pitch the roof steeper; local code decides, ask an engineer in snow country.`,
        where: [roof.part],
        ...help,
      });
    if (roof.heel) {
      const wanted = countHeelNails(push, roof.heel.apart);
      if (wanted > roof.heel.nails)
        out.push({
          code: `thrust-heel-${roof.part.split('/')[0]}`,
          severity: 'stop',
          what: `A tie of the ${roof.name} has ${roof.heel.nails} nails in each rafter and wants ${wanted}.`,
          why: `${under}; each tie holds ${Math.round(roof.heel.apart)}″ of wall. Set rafters closer or pitch the roof steeper; local code decides, ask an engineer in snow country.`,
          where: [roof.part],
          ...help,
        });
    }
    return out;
  });
};
