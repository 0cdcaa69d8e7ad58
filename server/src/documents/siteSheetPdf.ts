import type { Content } from 'pdfmake/interfaces.js';
import { drawBuild, drawFoundation } from '@rubbet/core/draw';
import { writeSvg } from '@rubbet/core/formats';
import type { Order } from '../orders/orders.answers.ts';
import type { MadeFrom } from './documents.service.ts';
import { dayItems, startItems } from '@rubbet/core/order';
import type { Show } from '@rubbet/core/order';
import type { Support } from '@rubbet/core/site';
import { visitItems } from '../visit/visitItems.ts';
import { textIn } from './paper.ts';
import type { Paper } from './paper.ts';
import { asBlock, heading, KEEL, printPdf, SOFT, table, TAPE } from './print.ts';

/** What one pad is stacked of, in words. */
const stackText = (s: Support, show: Show): string =>
  [
    s.blocks ? `${s.blocks} ${s.blocks === 1 ? 'block' : 'blocks'}` : '',
    s.pavers ? `${s.pavers} ${s.pavers === 1 ? 'paver' : 'pavers'}` : '',
    s.shims ? `${show.length(s.shims)} of shims` : '',
    s.dig ? `let in ${show.length(s.dig)}` : '',
  ]
    .filter(Boolean)
    .join(', ');

/** The ground: pads with their heights and what they are made of, concrete for whoever pours it. */
export const groundPages = (c: MadeFrom, show: Show, breakBefore = false): Content[] => {
  const content: Content[] = [];
  const { foundation } = c;
  if (foundation && foundation.supports.length > 0) {
    const plan = writeSvg(drawFoundation(foundation, c.build.facts.base), 420, textIn(show));
    const small = breakBefore ? {} : { fontSize: 8.5 };
    const pads = table(
      ['Pad', 'Ground lower by', 'Height', 'Made of'],
      foundation.supports.map((s, i) => [
        { text: show.text(`${i + 1}: ${s.name}`), ...small },
        { text: show.length(Math.max(0, -s.ground)), ...small },
        { text: show.length(s.height), bold: true, ...small },
        { text: stackText(s, show), ...small },
      ]),
      breakBefore ? [150, 80, 70, '*'] : [140, 66, 40, '*'],
      breakBefore ? 3 : 0.8,
    );
    content.push(
      ...(breakBefore
        ? asBlock([heading('Your ground', 15), { svg: plan, width: 330, alignment: 'center' }, pads])
        : [
            {
              unbreakable: true,
              stack: [
                heading('The ground', 13),
                { columns: [{ svg: plan, fit: [110, 84] as [number, number], width: 110 }, pads], columnGap: 12 },
              ],
            },
          ]),
      ...foundation.warnings.map((w) => ({ text: show.text(w), color: KEEL })),
    );
  }
  for (const plan of foundation?.concrete ?? [])
    content.push(
      heading(plan.kind === 'slab' ? 'The slab, for whoever pours it' : 'The ring, for whoever pours it'),
      table(
        ['What', 'How'],
        [
          ['Outside', `${show.length(plan.length)} by ${show.length(plan.width)}`],
          ['Corner to corner', `${show.length(plan.diagonal)}, both ways, within ${show.length(plan.square)}`],
          ['Level', `within ${show.length(plan.level)} over all of it`],
          [
            plan.wide === undefined ? 'Thick' : 'Wide and deep',
            plan.wide === undefined
              ? show.length(plan.depth)
              : `${show.length(plan.wide)} by ${show.length(plan.depth)}`,
          ],
          ['Concrete', show.text(`about ${plan.cubicYards} cubic yards`)],
          ['Anchors', `${plan.anchors}, which we bring and set when it has cured ${plan.cureDays} days`],
          ['Who', plan.who],
        ],
        [110, '*'],
      ),
    );
  return content;
};

/** What the customer's site and delivery sheet says: what to prepare, pad heights, what happens that day, how to start. */
export const siteSheetContent = (order: Order, c: MadeFrom, { show, business }: Paper): Content[] => {
  const { size, weight } = c.summary;
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
      visitItems(order, c.brief).map((i) => [
        i.done ? 'done' : '[   ]',
        { text: i.title, bold: true },
        show.text(i.text),
      ]),
      [34, 120, '*'],
    ),
  ];
  content.push(...groundPages(c, show, true));
  content.push(
    ...(c.brief
      ? [
          heading('That day'),
          { ol: dayItems(c.brief).map((t) => show.text(t)) },
          heading('How to start'),
          { ul: startItems(c.brief).map((t) => show.text(t)) },
        ]
      : []),
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
