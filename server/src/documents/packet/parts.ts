import type { Content } from 'pdfmake/interfaces.js';
import type { Show } from '@rubbet/core/order';
import { groupParts } from '@rubbet/core/unit';
import type { Part } from '@rubbet/core/unit';
import { describeCuts } from '@rubbet/core/formats';
import { findItem } from '@rubbet/core/stock';
import { CHALK, SOFT, table } from '../print.ts';

export const big = (text: string, size = 12): Content => ({ text, font: 'Archivo', bold: true, fontSize: size });

/** What a piece measures: a stick its length, and its width where it is ripped; what is flat both sides. */
export const sizeOf = (part: Part, show: Show): string => {
  const { kind } = findItem(part.item);
  if (kind === 'sheet' || kind === 'mesh' || kind === 'roofing')
    return `${show.length(part.length)} × ${show.length(part.width)}`;
  return part.rip === undefined
    ? show.length(part.length)
    : `${show.length(part.length)}, ripped to ${show.length(part.rip)}`;
};

/** Room around the rows of a part table, points. */
const ROOM = 1.3;

/** The same beside a picture: short and long point in one, no ends where they are square. */
export const narrowTable = (parts: readonly Part[], show: Show): Content =>
  table(
    ['Mark', 'Part', 'Long point, or sides', 'No.'],
    groupParts(parts).map((g) => {
      const ends = describeCuts(g.part);
      const short = g.part.shortPoint < g.part.length - 1e-6 ? ` (short ${show.length(g.part.shortPoint)})` : '';
      return [
        big(g.mark, 10),
        {
          text: [
            show.text(g.part.name),
            { text: `, ${findItem(g.part.item).name}`, color: SOFT },
            ...(g.part.fit === 'cut to length' ? [] : [{ text: ` · ${g.part.fit}`, color: CHALK, bold: true }]),
            ...(ends === 'square' ? [] : [{ text: ` · ${show.text(ends)}`, color: SOFT }]),
            ...(g.part.notches.length > 0 ? [{ text: ` · ${show.text(g.part.notches.join('; '))}`, color: SOFT }] : []),
          ],
          fontSize: 8.5,
        },
        { text: `${sizeOf(g.part, show)}${short}`, bold: true, fontSize: 9 },
        { text: `× ${g.quantity}`, bold: true, fontSize: 9 },
      ];
    }),
    [28, '*', 92, 24],
    ROOM,
  );

/** The parts of a panel by mark: what they are, from what, both dimensions, ends, how many. */
export const partTable = (parts: readonly Part[], show: Show): Content =>
  table(
    ['Mark', 'Part', 'From', 'Long point, or sides', 'Short', 'Ends', 'No.'],
    groupParts(parts).map((g) => [
      big(g.mark, 10.5),
      {
        text: [
          show.text(g.part.name),
          ...(g.part.fit === 'cut to length' ? [] : [{ text: ` · ${g.part.fit}`, color: CHALK, bold: true }]),
          ...(g.part.notches.length > 0
            ? [{ text: `\n${show.text(g.part.notches.join('; '))}`, fontSize: 8, color: SOFT }]
            : []),
        ],
        fontSize: 9,
      },
      { text: findItem(g.part.item).name, fontSize: 9 },
      { text: sizeOf(g.part, show), bold: true },
      g.part.shortPoint < g.part.length - 1e-6 ? { text: show.length(g.part.shortPoint), fontSize: 9 } : '',
      { text: show.text(describeCuts(g.part)), fontSize: 8.5 },
      { text: `× ${g.quantity}`, bold: true },
    ]),
    [30, '*', 84, 88, 44, 72, 24],
    ROOM,
  );
