import type { Content } from 'pdfmake/interfaces.js';
import type { CutRoll, SheetLayout, StickCut } from '@rubbet/core/cut';
import type { Business, Show } from '@rubbet/core/order';
import { bundlesOf } from '@rubbet/core/saw';
import { findItem } from '@rubbet/core/stock';
import { rollSvg, sheetSvg, stripLines } from '../documents/layouts.ts';
import { stickBar } from '../documents/pictures.ts';
import { asBlock, heading, printPdf, SOFT, table } from '../documents/print.ts';
import type { Batch, BatchLine, BatchPiece } from './batches.answers.ts';

const nameOf = (p: BatchPiece): string => p.parts.map((x) => `${x.order} ${x.mark}`).join(' + ');

const stickOf = (l: BatchLine): StickCut => ({
  item: l.item,
  length: l.length,
  cost: 0,
  cuts: l.pieces.map((p) => ({ id: nameOf(p), length: p.length })),
  left: l.rests[0]?.length ?? 0,
});

const sheetOf = (l: BatchLine): SheetLayout => ({
  item: l.item,
  length: l.length,
  width: l.width ?? 48,
  places: l.pieces.map((p) => ({
    id: nameOf(p),
    x: p.x ?? 0,
    y: p.y ?? 0,
    length: p.length,
    width: p.width ?? 0,
    turned: false,
  })),
  ...(l.cuts ? { cuts: l.cuts } : {}),
});

const rollOf = (l: BatchLine): CutRoll => ({
  item: l.item,
  length: l.length,
  width: l.width ?? 48,
  cost: 0,
  strips: l.pieces.map((p) => ({
    face: nameOf(p),
    x: p.x ?? 0,
    y: p.y ?? 0,
    length: p.length,
    width: p.width ?? 0,
    ...(p.bent ? { bent: true as const } : {}),
  })),
});
const counted = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;
const asIs = (face: string): string => face;

/** Where a stick is taken from. */
const fromWhere = (l: BatchLine): string =>
  l.dropOf !== null
    ? `cut out of ${l.dropOf}`
    : l.stock === null
      ? l.ripped
        ? 'ripped'
        : 'to buy'
      : [l.stock.mark, l.stock.place].filter(Boolean).join(', ') || 'rack';

/** A batch on paper: every stick in its turn with a box to tick, sheets with their cuts in sequence, the bundles to sort into. */
export const batchPdf = (
  batch: Batch,
  { show, business }: { readonly show: Show; readonly business: Business },
): Promise<Buffer> => {
  const sticks = batch.list.filter((l) => l.kind === 'stick');
  const sheets = batch.list.filter((l) => l.kind === 'sheet');
  const rolls = batch.list.filter((l) => l.kind === 'roll');
  const rips = [...new Set(batch.list.filter((l) => l.kind === 'rip').map((l) => l.stack))].map((stack) => {
    const mine = batch.list.filter((l) => l.kind === 'rip' && l.stack === stack);
    return { line: mine[0] as BatchLine, count: mine.length };
  });
  const f = batch.figures;
  const content: Content[] = [
    heading(`Batch ${batch.id}: ${batch.title}`, 18),
    {
      text: `${batch.orders.length === 1 ? 'Order' : 'Orders'} ${batch.orders.map((o) => `${o.id} ${o.title}`).join(', ')}`,
      margin: [0, 0, 0, 2],
    },
    ...(f
      ? [
          {
            text: `${f.pieces} pieces from ${counted(sticks.length, 'stick')}, ${counted(sheets.filter((l) => l.dropOf === null).length, 'sheet')} and ${counted(rolls.length, 'roll')}; the stop is set ${f.moves} times.${f.waiting > 0 ? ` ${f.waiting} more are measured in place and cut at the bench.` : ''}`,
            color: SOFT,
            margin: [0, 0, 0, 6] as [number, number, number, number],
          },
        ]
      : []),
    { text: 'Guard on, glasses on, stop checked before the first piece of every length.', bold: true },
    ...(rips.length > 0
      ? [
          ...asBlock([heading('Ripped first', 14)]),
          table(
            ['Stick', 'From', 'Gives', ''],
            rips.map(({ line: l, count }) => [
              { text: `${count} × ${findItem(l.item).name}, ${show.length(l.length)}`, bold: true },
              fromWhere(l),
              `${l.rests.length} × ${findItem(l.rests[0]?.item ?? l.item).name} each`,
              '[  ]',
            ]),
            [170, '*', 120, 30],
            1.5,
          ),
        ]
      : []),
    ...asBlock([heading('Sticks, in the order of the saw', 14)]),
    ...sticks.map((l): Content => ({
      columns: [
        { text: l.state === 'cut' ? 'cut' : '[  ]', width: 24, margin: [0, 4, 0, 0] },
        { svg: stickBar(stickOf(l), show), width: 418 },
        { text: fromWhere(l), fontSize: 9, color: SOFT, margin: [0, 4, 0, 0] },
      ],
      columnGap: 6,
      unbreakable: true,
    })),
  ];
  if (sheets.length > 0) {
    const drawn = sheets.map((l) => ({
      width: 250,
      stack: [
        {
          text: `${l.state === 'cut' ? 'cut' : '[  ]'}  ${findItem(l.item).name}, ${fromWhere(l)}`,
          fontSize: 9,
          bold: true,
        },
        { svg: sheetSvg(sheetOf(l), show), width: 250 },
      ],
    }));
    content.push(
      ...asBlock([heading('Sheets, cuts by their numbers', 14)]),
      ...Array.from({ length: Math.ceil(drawn.length / 2) }, (_, i): Content => ({
        columns: drawn.slice(2 * i, 2 * i + 2),
        columnGap: 20,
        unbreakable: true,
        margin: [0, 2, 0, 4],
      })),
    );
  }
  if (rolls.length > 0)
    content.push(
      ...asBlock([heading('Rolls of mesh, from their beginning', 14)]),
      ...rolls.map((l): Content => ({
        unbreakable: true,
        margin: [0, 2, 0, 4],
        stack: [
          {
            text: `${l.state === 'cut' ? 'cut' : '[  ]'}  ${findItem(l.item).name} ${show.length(l.width ?? 0)} wide, ${fromWhere(l)}${l.rests[0] ? `; ${show.length(l.rests[0].length)} back to the rack` : ''}`,
            fontSize: 9,
            bold: true,
          },
          { svg: rollSvg(rollOf(l), asIs, show), width: 523 },
          { text: stripLines(rollOf(l), asIs, show), fontSize: 8 },
        ],
      })),
    );
  content.push(
    ...asBlock([heading('Bundles', 14)]),
    table(
      ['Order and panel', 'Pieces', ''],
      bundlesOf(batch.list).map((b) => [{ text: `${b.order} · ${b.panel}`, bold: true }, b.marks.join(', '), '[  ]']),
      [170, '*', 30],
      1.5,
    ),
  );
  return printPdf(
    `Batch ${batch.id}`,
    [`Batch ${batch.id} · ${batch.title}`, business.name].join(' · '),
    content,
    business.paper,
  );
};
