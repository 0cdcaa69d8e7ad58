import type { Content } from 'pdfmake/interfaces.js';
import { drawBuild, drawPads } from '@rubbet/core/draw';
import { writeSvg } from '@rubbet/core/formats';
import type { Order } from '../orders/orders.answers.ts';
import type { MadeFrom } from './documents.service.ts';
import { visitItems } from '../visit/visitItems.ts';
import { textIn } from './paper.ts';
import type { Paper } from './paper.ts';
import { heading, KEEL, printPdf, SOFT, table, TAPE } from './print.ts';

/** What the customer's site and delivery sheet says: what to prepare, pad heights, what happens that day, how to start. */
export const siteSheetContent = (order: Order, c: MadeFrom, { show, business }: Paper): Content[] => {
  const { size, weight } = c.summary;
  const pads = order.survey?.pads;
  const content: Content[] = [
    { canvas: [{ type: 'rect', x: 0, y: 0, w: 523, h: 10, color: TAPE }] },
    { text: 'Your site and delivery sheet', font: 'Archivo', bold: true, fontSize: 22, margin: [0, 10, 0, 0] },
    { text: `${order.customer.name} · order ${order.id} · ${order.title}`, color: SOFT, fontSize: 11 },
    {
      columns: [
        { width: 250, svg: writeSvg(drawBuild(c.build, 'front'), 400, textIn(show)) },
        {
          stack: [
            {
              text: order.delivery
                ? `We come on ${order.delivery.day} at ${order.delivery.arrives}.`
                : 'We tell you the day as soon as it is set.',
              font: 'Archivo',
              bold: true,
              fontSize: 13,
            },
            {
              text: `It is ${show.size(size[0])} long, ${show.size(size[1])} wide and ${show.size(size[2])} high, and weighs ${show.weight(weight)}.`,
              margin: [0, 4, 0, 4],
            },
            { text: order.customer.address, color: SOFT },
            // Who it is from and how to reach them; notes for the driver are not the customer's.
            ...(business.name === ''
              ? []
              : [
                  {
                    text: [{ text: business.name, bold: true }, business.phone === '' ? '' : ` · ${business.phone}`],
                    margin: [0, 6, 0, 0] as [number, number, number, number],
                  },
                ]),
          ],
        },
      ],
      columnGap: 18,
      margin: [0, 10, 0, 6],
    },
    heading('Before we come'),
    table(
      ['', 'What', 'Why and how'],
      visitItems(order).map((i) => [i.done ? 'done' : '[   ]', { text: i.title, bold: true }, show.text(i.text)]),
      [34, 120, '*'],
    ),
  ];
  if (pads)
    content.push(
      heading('Your ground', 15, true),
      { svg: writeSvg(drawPads(pads), 420, textIn(show)), width: 330, alignment: 'center' },
      table(
        ['Pad', 'Lower by', 'Height', 'Made of'],
        pads.pads.map((p) => [
          p.name,
          show.length(p.drop),
          { text: show.length(p.height), bold: true },
          [
            p.blocks ? `${p.blocks} block courses` : '',
            p.pavers ? `${p.pavers} pavers` : '',
            p.shims ? `${show.length(p.shims)} of shims` : '',
            p.dig ? `let in ${show.length(p.dig)}` : '',
          ]
            .filter(Boolean)
            .join(', ') || 'stands on the ground',
        ]),
        [90, 70, 70, '*'],
      ),
      ...(pads.warnings.length > 0 ? [{ text: show.text(pads.warnings.join(' ')), color: KEEL }] : []),
    );
  content.push(
    heading('That day'),
    {
      ol: [
        'We call when we leave.',
        'We walk the way in with you before anything is unloaded.',
        pads && pads.fall > 0 ? 'Pads to the heights above, level both ways.' : 'The place is checked with the level.',
        'The unit is set, shimmed and checked: doors swing, latches close.',
        'We show you every latch and the inside release.',
      ],
    },
    heading('How to start'),
    {
      ul: [
        'Move birds at night, straight on to the roost; keep them in for some days.',
        'Feed in the middle of the run, dry.',
        'If it smells, there are too many birds or the litter is spent.',
        'Check level and latches after the first month and after every winter.',
        'Never hang a heat lamp where it can fall: fire.',
      ],
    },
    {
      text: 'Local codes, permits and licensed trades decide. Have buried services located before you dig.',
      color: KEEL,
      margin: [0, 10, 0, 0],
    },
  );
  return content;
};

/** The site and delivery sheet as a PDF. */
export const siteSheetPdf = (order: Order, c: MadeFrom, paper: Paper): Promise<Buffer> =>
  printPdf(
    `Site sheet ${order.id}`,
    [`Order ${order.id} · ${order.title}`, paper.business.name, paper.business.phone].filter(Boolean).join(' · '),
    siteSheetContent(order, c, paper),
    paper.business.paper,
  );
