import type { Check } from '../types.ts';

/** The pop door opens into the run. */
export const popIntoRun: Check = ({ params }) => {
  if (params.run !== true || params.popWall === 'left') return [];
  return [
    {
      code: 'pop-in-run',
      severity: 'warn',
      what: 'The pop door does not open into the run.',
      why: 'The run stands at the left wall; hens would have to walk round to it.',
      where: ['pop-door/panel'],
      fix: { label: 'Put it in the left wall', patch: { popWall: 'left' } },
    },
  ];
};
