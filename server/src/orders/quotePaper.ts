import type { Content } from 'pdfmake/interfaces.js';
import type { Business, Show } from '@rubbet/core/order';
import type { Quote } from '@rubbet/core/price';
import { heading, printPdf, SOFT, table } from '../documents/print.ts';
import type { Order } from './orders.answers.ts';

/** What a quote is written from. */
export interface QuotePaper {
  readonly order: Order;
  readonly business: Business;
  readonly show: Show;
  readonly quote: Quote;
  readonly weight: number;
  readonly size: readonly [number, number, number];
}

/** The lines of a quote that a customer reads: what it is, what is with it, what comes off, tax, total. What it costs the business is not among them. */
export const quoteLines = ({ order, quote, show }: QuotePaper): readonly (readonly [string, string])[] => [
  [
    order.quantity > 1
      ? `${order.title}, ${order.quantity} of them, built and delivered`
      : `${order.title}, built and delivered`,
    show.money(quote.list + quote.marginChange),
  ],
  ...order.terms.options.filter((o) => o.taken).map((o) => [o.name, show.money(o.price)] as const),
  ...(quote.discount > 0
    ? [[`Taken off: ${order.terms.discount?.why ?? ''}`, `−${show.money(quote.discount)}`] as const]
    : []),
  ['Before tax', show.money(quote.net)],
  ['Tax', show.money(quote.tax)],
  ['In all', show.money(quote.total)],
];

const more = ({ order, quote, show }: QuotePaper): string[] => [
  ...(quote.deposit > 0 ? [`${show.money(quote.deposit)} of it when you accept, the rest at hand-over.`] : []),
  ...(order.terms.validUntil === undefined ? [] : [`This quote holds until ${order.terms.validUntil}.`]),
  ...order.terms.options
    .filter((o) => !o.taken)
    .map((o) => `You can also have it with: ${o.name}, ${show.money(o.price)} before tax.`),
];

/** The quote as it is written in a mail. */
export const quoteLetter = (paper: QuotePaper): string =>
  [
    `Quote for order ${paper.order.id}, ${paper.order.title}`,
    '',
    ...quoteLines(paper).map(([what, much]) => `${what}: ${much}`),
    '',
    ...more(paper),
    `${paper.business.name}${paper.business.phone === '' ? '' : `, ${paper.business.phone}`}`,
  ].join('\n');

/** The quote on paper. */
export const quotePdf = (paper: QuotePaper): Promise<Buffer> => {
  const { order, business, show, size, weight } = paper;
  const lines = quoteLines(paper);
  const content: Content[] = [
    heading(`Quote: ${order.title}`, 18),
    {
      columns: [
        { stack: [{ text: 'For', color: SOFT }, { text: order.customer.name, bold: true }, order.customer.address] },
        {
          stack: [
            { text: 'What it is', color: SOFT },
            {
              text: `${show.size(size[0])} long, ${show.size(size[1])} wide, ${show.size(size[2])} high, ${show.weight(weight)}`,
            },
            ...(order.notes === '' ? [] : [{ text: order.notes, color: SOFT }]),
          ],
        },
      ],
      columnGap: 20,
      margin: [0, 0, 0, 12],
    },
    table(
      ['', ''],
      lines.map(([what, much], i) => [
        { text: show.text(what), bold: i === lines.length - 1 },
        { text: much, alignment: 'right', bold: i === lines.length - 1 },
      ]),
      ['*', 110],
    ),
    ...more(paper).map((text): Content => ({ text, margin: [0, 2, 0, 2] })),
    { text: 'Accepted:', margin: [0, 40, 0, 0] },
    { canvas: [{ type: 'line', x1: 60, y1: 0, x2: 320, y2: 0, lineWidth: 0.7 }] },
    { text: 'name, day', color: SOFT, fontSize: 8, margin: [60, 2, 0, 0] },
  ];
  return printPdf(
    `Quote ${order.id}`,
    [`Order ${order.id} · ${order.title}`, business.name, business.phone].filter(Boolean).join(' · '),
    content,
    business.paper,
  );
};
