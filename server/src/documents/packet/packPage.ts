import type { Content } from 'pdfmake/interfaces.js';
import { findFramedThere, USUAL_TRAILER, planLoad } from '@rubbet/core/haul';
import type { Show } from '@rubbet/core/order';
import type { MadeFrom } from '../documents.service.ts';
import { heading, table } from '../print.ts';

/** Lines that stand under one another; more stand in two columns. */
const FEW = 6;

/** What is counted on to the trailer, in the order in which it goes up. */
export const packPage = (c: MadeFrom, show: Show): Content[] => {
  const there = c.method === 'panels' ? findFramedThere(c.build, c.steps) : undefined;
  const { pack } = planLoad(c.build, USUAL_TRAILER, {
    quantity: c.quantity ?? 1,
    method: c.method,
    ...(there ? { there } : {}),
    ...(c.foundation ? { foundation: c.foundation } : {}),
  });
  const lines = (list: readonly string[]): Content =>
    table(
      ['', 'Counted on to the trailer'],
      list.map((line) => [
        { text: '[   ]', fontSize: 9 },
        { text: show.text(line), fontSize: 9 },
      ]),
      [30, '*'],
      1,
    );
  const half = Math.ceil(pack.length / 2);
  return [
    {
      unbreakable: true,
      stack: [
        heading('Pack list', 13),
        pack.length > FEW
          ? { columns: [lines(pack.slice(0, half)), lines(pack.slice(half))], columnGap: 18 }
          : lines(pack),
      ],
    },
  ];
};
