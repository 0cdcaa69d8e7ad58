import { isSeamOpen } from '../../takeoff/index.ts';
import type { Check } from '../types.ts';

/** Mesh wider than any roll whose strips meet where no wood is. */
export const meshSeam: Check = ({ build }) => {
  const open = build.parts.filter((p) => isSeamOpen(p, build.parts));
  const [first] = open;
  if (!first) return [];
  return [
    {
      code: 'mesh-seam-open',
      severity: 'tip',
      what:
        open.length === 1
          ? `The ${first.name} is wider than any roll, and no wood runs across it where its strips meet.`
          : `${open.length} faces of mesh are wider than any roll, and no wood runs across them where their strips meet.`,
      why: 'Lap the strips and lace them to each other with wire every 2″; an unlaced lap opens under a paw.',
      where: open.map((p) => p.id),
    },
  ];
};
