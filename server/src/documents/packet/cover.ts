import type { Content } from 'pdfmake/interfaces.js';
import { drawBuild } from '@rubbet/core/draw';
import { writeSvg } from '@rubbet/core/formats';
import { printMinutes } from '@rubbet/core/measure';
import { cutPlansOf, unitsOf } from '@rubbet/core/order';
import type { Method, Place } from '@rubbet/core/steps';
import type { Order } from '../../orders/orders.answers.ts';
import type { MadeFrom } from '../documents.service.ts';
import { heading, KEEL, SOFT, table, TAPE } from '../print.ts';
import { textIn } from '../paper.ts';
import type { Paper } from '../paper.ts';
import { big } from './parts.ts';

/** How a unit is made, for whoever takes the packet in hand. */
const METHOD: Readonly<Record<Method, string>> = {
  whole: 'Built whole in the bay, carried as it stands.',
  panels: 'Built as panels in the bay, joined where it stands.',
  'on-site': 'Cut in the shop, framed where it stands.',
  kit: 'Built as numbered panels; the customer joins them.',
};

const PLACES: readonly (readonly [Place, string])[] = [
  ['shop', 'in the shop'],
  ['load', 'loading'],
  ['road', 'on the road'],
  ['site', 'on site'],
];

/** The cover: the unit from two sides, its figures, how it is made, what to draw from the store, and every caution once. */
export const coverPages = (order: Order, c: MadeFrom, { show, business }: Paper): Content[] => {
  const { build, takeoff, steps } = c;
  const plans = cutPlansOf(c);
  const units = unitsOf(c);
  const svg = (view: string): string => writeSvg(drawBuild(build, view), 420, textIn(show));
  const store = takeoff.lines.filter((l) => l.kind === 'hardware');
  const third = Math.ceil(store.length / 3);
  // A long list takes the room of the picture, not a page of its own.
  const high = third > 9 ? 150 : 215;
  const lines = (list: typeof store): Content =>
    table(
      ['From the store', 'No.', ''],
      list.map((l) => [
        { text: show.text(l.name), fontSize: 8.5 },
        { text: String(l.quantity * units), bold: true, fontSize: 9 },
        { text: '[  ]', fontSize: 9 },
      ]),
      ['*', 28, 16],
      1.4,
    );
  const minutes = (place: Place): number =>
    steps.filter((s) => s.place === place && s.by === undefined).reduce((n, s) => n + s.minutes, 0);
  return [
    { canvas: [{ type: 'rect', x: 0, y: 0, w: 523, h: 10, color: TAPE }] },
    { text: `Work order ${order.id}`, font: 'Archivo', bold: true, fontSize: 26, margin: [0, 10, 0, 0] },
    ...(business.name === '' ? [] : [{ text: business.name, color: SOFT, fontSize: 10 }]),
    { text: `${order.title} · ${order.customer.name} · wanted by ${order.wantedBy}`, color: SOFT, fontSize: 11 },
    {
      columns: [
        { width: 320, svg: svg('three'), fit: [320, high] },
        { width: 185, svg: svg('back'), fit: [185, high * 0.78], margin: [0, high * 0.11, 0, 0] },
      ],
      columnGap: 18,
      margin: [0, 8, 0, 6],
    },
    {
      columns: [
        { stack: [big(String(build.parts.length * units), 19), { text: 'parts', color: SOFT }] },
        { stack: [big(String(plans.sticks.sticks.length), 19), { text: 'sticks', color: SOFT }] },
        { stack: [big(String(plans.sheets.sheets.length), 19), { text: 'sheets', color: SOFT }] },
        { stack: [big(show.weight(c.summary.weight), 19), { text: units > 1 ? 'each' : 'in all', color: SOFT }] },
        { stack: [big(String(steps.length), 19), { text: 'steps', color: SOFT }] },
      ],
    },
    { text: METHOD[c.method], bold: true, margin: [0, 10, 0, 0] },
    {
      text: `Minutes of work${units > 1 ? ' for one' : ''}: ${PLACES.filter(([p]) => minutes(p) > 0)
        .map(([p, name]) => `${name} ${printMinutes(minutes(p))}`)
        .join(', ')}.`,
    },
    ...(units > 1
      ? [
          {
            text: `${units} equal units, cut as one batch. This sheet goes with unit ____ of ${units}.`,
            bold: true,
            margin: [0, 6, 0, 0] as [number, number, number, number],
          },
        ]
      : []),
    {
      text: 'Saw: guards, eyes and ears. Nailer: keep hands clear of where a nail can turn out. Lift as a team. Local codes, permits and licensed trades decide.',
      color: KEEL,
      margin: [0, 8, 0, 0],
    },
    heading('To draw from the store', 13),
    {
      columns: [0, 1, 2].map((i) => lines(store.slice(i * third, (i + 1) * third))),
      columnGap: 12,
    },
  ];
};
