import { headerHeight } from '../../frame/index.ts';
import { printLength } from '../../measure/index.ts';
import type { Check, Finding } from '../types.ts';

const sixteenth = (n: number): number => Math.round(n * 16) / 16;

/** A door whose head follows the rake of its wall. */
export const rakedDoor: Check = ({ build }) =>
  build.openings.flatMap((o): Finding[] => {
    if (o.rake === undefined) return [];
    const level = Math.floor((o.height - headerHeight({ width: o.width, flat: true })) * 2) / 2;
    return [
      {
        code: 'door-raked',
        severity: 'tip',
        what: `The head of the ${o.kind} follows the rake: ${printLength(sixteenth(o.height))} to ${printLength(sixteenth(o.height + Math.abs(o.rake) * o.width))} high.`,
        why: 'It fills the wall up to its plate, which is all the head it has; its leaf is sawn to the slant.',
        where: [`${o.assembly}/top-plate`],
        ...(o.id.endsWith('-wall/door')
          ? { fix: { label: `Level, ${level}″ high`, patch: { doorHeight: level } } }
          : {}),
      },
    ];
  });
