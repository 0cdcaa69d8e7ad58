import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Clear height under the door header. */
export const headroom: Check = ({ build, params, rules }) => {
  const { door } = build.facts;
  if (!door || door.clearHeight >= rules.reachIn) return [];
  const wanted = Math.min(84, Number(params.highWall ?? 0) + Math.ceil(rules.reachIn - door.clearHeight));
  return [
    {
      code: 'headroom',
      severity: 'warn',
      what: `The door is ${one(door.clearHeight)}″ clear under its header.`,
      why: `Under ${rules.reachIn}″ nobody reaches the far corner with a rake.`,
      where: ['people-door/skin'],
      ...('highWall' in params
        ? mend(`Make the high wall ${wanted}″`, {
            highWall: wanted,
            doorHeight: Math.min(74, Number(params.doorHeight ?? 0) + Math.ceil(rules.reachIn - door.clearHeight)),
          })
        : {}),
    },
  ];
};
