import type { Content } from 'pdfmake/interfaces.js';
import type { Business, Show } from '@rubbet/core/order';
import type { Supplier } from '../items/items.answers.ts';
import { heading, printPdf, SOFT, table } from '../documents/print.ts';
import type { Purchase, PurchaseLine } from './purchases.answers.ts';

/** A size in words: `8 ft`, `36 in × 50 ft`; nothing where an item has one size. */
export const sizeText = (l: Pick<PurchaseLine, 'length' | 'width'>, show: Show): string =>
  l.length === null
    ? ''
    : l.width === null
      ? show.length(l.length)
      : `${show.length(l.width)} × ${show.length(l.length)}`;

/** What is written to a supplier. */
export const purchaseLetter = (p: Purchase, business: Business, show: Show): string =>
  [
    `Purchase order ${p.id} of ${business.name}`,
    ...(p.due === null ? [] : [`Wanted by ${p.due}`]),
    '',
    ...p.list.map((l) => `${l.quantity} × ${[l.name, sizeText(l, show)].filter(Boolean).join(', ')}`),
    ...(p.note === '' ? [] : ['', p.note]),
  ].join('\n');

/** A purchase order on paper. */
export const purchasePdf = (
  p: Purchase,
  supplier: Supplier,
  { show, business }: { readonly show: Show; readonly business: Business },
): Promise<Buffer> => {
  const content: Content[] = [
    heading(`Purchase order ${p.id}`, 18),
    {
      columns: [
        { stack: [{ text: 'To', color: SOFT }, { text: supplier.name, bold: true }, supplier.phone, supplier.email] },
        {
          stack: [
            { text: 'Wanted by', color: SOFT },
            { text: p.due ?? 'as soon as it is there', bold: true },
            ...(p.note === '' ? [] : [p.note]),
          ],
        },
      ],
      margin: [0, 0, 0, 10],
    },
    table(
      ['How many', 'What', 'Size', 'Each', 'In all'],
      p.list.map((l) => [
        { text: String(l.quantity), bold: true },
        l.name,
        sizeText(l, show),
        show.money(l.each),
        show.money(l.cost),
      ]),
      [60, '*', 120, 60, 70],
    ),
    { text: `In all ${show.money(p.cost)}, before tax and delivery.`, bold: true, alignment: 'right' },
  ];
  return printPdf(
    `Purchase order ${p.id}`,
    [`Purchase order ${p.id}`, business.name, business.phone].filter(Boolean).join(' · '),
    content,
    business.paper,
  );
};
