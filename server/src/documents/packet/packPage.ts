import type { Content } from 'pdfmake/interfaces.js';
import { findFramedThere, USUAL_TRAILER, planLoad } from '@rubbet/core/haul';
import type { Show } from '@rubbet/core/order';
import type { MadeFrom } from '../documents.service.ts';
import { heading, table } from '../print.ts';

/** What is counted on to the trailer, in the order in which it goes up. */
export const packPage = (c: MadeFrom, show: Show): Content[] => {
  const there = c.method === 'panels' ? findFramedThere(c.build, c.steps) : undefined;
  const { pack } = planLoad(c.build, USUAL_TRAILER, {
    quantity: c.quantity ?? 1,
    method: c.method,
    ...(there ? { there } : {}),
    ...(c.foundation ? { foundation: c.foundation } : {}),
  });
  return [
    heading('Pack list', 13),
    table(
      ['', 'Counted on to the trailer'],
      pack.map((line) => [
        { text: '[   ]', fontSize: 9 },
        { text: show.text(line), fontSize: 9 },
      ]),
      [30, '*'],
      1,
    ),
  ];
};
