import type { Content } from 'pdfmake/interfaces.js';
import type { MeshPlan, SheetLayout } from '@rubbet/core/cut';
import type { Show } from '@rubbet/core/order';
import { groupParts, partsOf } from '@rubbet/core/unit';
import type { Assembly, Part } from '@rubbet/core/unit';
import { drawBuild, drawTemplate } from '@rubbet/core/draw';
import type { Drawing } from '@rubbet/core/draw';
import { describeCuts, writeSvg } from '@rubbet/core/formats';
import { printMinutes } from '@rubbet/core/measure';
import { findItem } from '@rubbet/core/stock';
import type { Order } from '../orders/orders.answers.ts';
import type { MadeFrom } from './documents.service.ts';
import { CHALK, heading, KEEL, printPdf, SOFT, table, TAPE } from './print.ts';
import { textIn } from './paper.ts';
import type { Paper } from './paper.ts';
import { rollSvg, seamLines, sheetSvg, stripLines, usedOf } from './layouts.ts';
import { stickBar, tapeSvg } from './pictures.ts';

const big = (text: string, size = 12): Content => ({ text, font: 'Archivo', bold: true, fontSize: size });

/** Highest picture of a panel, points, and of what is small: several go on a page where their tables are short. */
const PANEL_HIGH = 225;
const SMALL_HIGH = 120;
const SMALL: ReadonlySet<Assembly['kind']> = new Set(['door', 'lid', 'fittings']);

/** What a piece measures: a stick its length, and its width where it is ripped; what is flat both sides. */
const sizeOf = (part: Part, show: Show): string => {
  const { kind } = findItem(part.item);
  if (kind === 'sheet' || kind === 'mesh' || kind === 'roofing')
    return `${show.length(part.length)} × ${show.length(part.width)}`;
  return part.rip === undefined
    ? show.length(part.length)
    : `${show.length(part.length)}, ripped to ${show.length(part.rip)}`;
};

/** Sheets as they are cut, two to a row. */
const sheetPages = (sheets: readonly SheetLayout[], show: Show): Content[] => {
  if (sheets.length === 0) return [];
  // Equal sheets are drawn once.
  const kinds = new Map<string, { sheet: SheetLayout; count: number }>();
  for (const sheet of sheets) {
    const key = JSON.stringify(sheet);
    kinds.set(key, { sheet, count: (kinds.get(key)?.count ?? 0) + 1 });
  }
  const drawn = [...kinds.values()].map(({ sheet, count }) => ({
    width: 256,
    stack: [
      { text: `${findItem(sheet.item).name}${count > 1 ? `, ${count} times` : ''}`, fontSize: 9, bold: true },
      { svg: sheetSvg(sheet, show), width: 256 },
    ],
  }));
  return [
    heading('Sheets', 15),
    ...Array.from({ length: Math.ceil(drawn.length / 2) }, (_, i): Content => ({
      unbreakable: true,
      margin: [0, 2, 0, 4],
      columnGap: 11,
      columns: drawn.slice(2 * i, 2 * i + 2),
    })),
  ];
};

/** Rolls of mesh as they are cut, and where strips meet on the frame. */
const rollPages = ({ build, takeoff }: MadeFrom, show: Show): Content[] => {
  // Plans kept from before have no rolls drawn.
  const rolls = (takeoff.mesh as Partial<MeshPlan>).layout ?? [];
  if (rolls.length === 0) return [];
  const marks = new Map(build.parts.map((p) => [p.id, p.mark]));
  const markOf = (face: string): string => marks.get(face) ?? '';
  return [
    heading('Mesh', 15),
    ...rolls.map((roll, i): Content => ({
      unbreakable: true,
      margin: [0, 2, 0, 4],
      stack: [
        {
          text: `${findItem(roll.item).name}, roll ${i + 1}: ${show.length(roll.width)} wide, ${show.length(usedOf(roll))} of ${show.length(roll.length)} used`,
          fontSize: 9,
          bold: true,
        },
        { svg: rollSvg(roll, markOf, show), width: 523 },
        { text: stripLines(roll, markOf, show), fontSize: 8.5 },
      ],
    })),
    ...seamLines(takeoff.mesh.strips, markOf, show).map((text): Content => ({ text, fontSize: 9 })),
  ];
};

/** What the work order on paper says: cover, stick bars, panels with tape marks, cut tickets, steps with checks and cautions. */
export const workOrderContent = (order: Order, c: MadeFrom, { show, business }: Paper): Content[] => {
  const svg = (drawing: Drawing, width: number): string => writeSvg(drawing, width, textIn(show));
  const { build, takeoff, steps } = c;
  const content: Content[] = [
    { canvas: [{ type: 'rect', x: 0, y: 0, w: 523, h: 10, color: TAPE }] },
    { text: `Work order ${order.id}`, font: 'Archivo', bold: true, fontSize: 26, margin: [0, 10, 0, 0] },
    ...(business.name === '' ? [] : [{ text: business.name, color: SOFT, fontSize: 10 }]),
    { text: `${order.title} · ${order.customer.name} · wanted by ${order.wantedBy}`, color: SOFT, fontSize: 11 },
    { svg: svg(drawBuild(build, 'three'), 520), width: 420, alignment: 'center', margin: [0, 12, 0, 8] },
    {
      columns: [
        { stack: [big(String(build.parts.length), 20), { text: 'parts', color: SOFT }] },
        { stack: [big(String(takeoff.sticks.sticks.length), 20), { text: 'sticks', color: SOFT }] },
        { stack: [big(String(takeoff.sheets.sheets.length), 20), { text: 'sheets', color: SOFT }] },
        { stack: [big(show.weight(c.summary.weight), 20), { text: 'in all', color: SOFT }] },
        { stack: [big(printMinutes(c.summary.benchMinutes), 20), { text: 'at the bench', color: SOFT }] },
      ],
    },
    {
      text: 'Saw: guards, eyes and ears. Nailer: keep hands clear of where a nail can turn out. Lift as a team. Local codes, permits and licensed trades decide.',
      color: KEEL,
      margin: [0, 12, 0, 0],
    },
    heading('Sticks', 15, true),
    {
      text: takeoff.sticks.proved
        ? 'No plan costs less.'
        : `Within ${show.money(takeoff.sticks.cost - takeoff.sticks.bound)} of the least any plan can cost.`,
      color: SOFT,
    },
    ...takeoff.sticks.sticks.map((s): Content => ({ svg: stickBar(s, show), width: 523, margin: [0, 3, 0, 0] })),
    ...sheetPages(takeoff.sheets.sheets, show),
    ...rollPages(c, show),
  ];
  for (const a of build.assemblies) {
    const mine = partsOf(build.parts, a.id);
    const drawing = drawBuild(build, `panel:${a.id}`);
    const [x0, y0, x1, y1] = drawing.bounds;
    const wide = Math.min(500, ((SMALL.has(a.kind) ? SMALL_HIGH : PANEL_HIGH) * (x1 - x0)) / (y1 - y0));
    // A panel begins where it has room: its picture is never parted from its name.
    content.push({
      unbreakable: true,
      stack: [
        heading(`${a.name[0]?.toUpperCase() ?? ''}${a.name.slice(1)}`, 15),
        { svg: svg(drawing, wide), width: wide, alignment: 'center', margin: [0, 2, 0, 6] },
      ],
    });
    if (a.square)
      content.push({
        text: `Diagonals ${show.length(Math.hypot(a.square.width, a.square.height))} both ways.`,
        color: KEEL,
      });
    for (const tape of a.tapes)
      content.push(
        { text: `One pull of the tape, ${tape.title}`, font: 'Archivo', bold: true, margin: [0, 6, 0, 2] },
        { svg: tapeSvg(tape, show), width: 523 },
      );
    content.push(
      table(
        ['Mark', 'Part', 'From', 'Long point, or both sides', 'Short', 'Ends', 'No.'],
        groupParts(mine).map((g) => [
          big(g.mark, 11),
          {
            text: [
              show.text(g.part.name),
              ...(g.part.fit === 'cut to length' ? [] : [{ text: ` · ${g.part.fit}`, color: CHALK, bold: true }]),
              ...(g.part.notches.length > 0
                ? [{ text: `\n${show.text(g.part.notches.join('; '))}`, fontSize: 8, color: SOFT }]
                : []),
            ],
          },
          findItem(g.part.item).name,
          { text: sizeOf(g.part, show), bold: true },
          g.part.shortPoint < g.part.length - 1e-6 ? show.length(g.part.shortPoint) : '',
          { text: show.text(describeCuts(g.part)), fontSize: 8.5 },
          { text: `× ${g.quantity}`, bold: true },
        ]),
        [30, '*', 78, 88, 44, 76, 24],
      ),
    );
    // Notches and slanting ends dimensioned from one end, three to a row.
    const templates = groupParts(mine).flatMap((g) => drawTemplate(g.part) ?? []);
    for (let i = 0; i < templates.length; i += 3)
      content.push({
        unbreakable: true,
        margin: [0, 6, 0, 0],
        columnGap: 12,
        columns: templates.slice(i, i + 3).map((t) => ({
          width: 166,
          stack: [
            { text: show.text(t.title), fontSize: 8.5, bold: true },
            { svg: svg(t, 166), fit: [166, 90] },
          ],
        })),
      });
  }
  content.push(heading('Steps', 15));
  steps.forEach((s, i) =>
    content.push({
      unbreakable: true,
      margin: [0, 2, 0, 2],
      columns: [
        { width: 26, text: String(i + 1), font: 'Archivo', bold: true, fontSize: 13 },
        {
          stack: [
            { text: show.text(s.title), font: 'Archivo', bold: true, fontSize: 11.5 },
            { text: show.text(s.text.join(' ')), fontSize: 9.5 },
            ...(s.gate
              ? [
                  {
                    text: `Check: ${show.text(s.gate.what)}${s.gate.expected === undefined ? '' : ` ${show.length(s.gate.expected)}`}${s.gate.tolerance ? `, ± ${show.length(s.gate.tolerance)}` : ''}. Found: ________`,
                    bold: true,
                    color: CHALK,
                  },
                ]
              : []),
            ...(s.cautions.length > 0 ? [{ text: show.text(s.cautions.join(' ')), color: KEEL, fontSize: 9 }] : []),
          ],
        },
        { width: 70, text: `${s.minutes} min\n☐`.replace('☐', '[   ]'), alignment: 'right', color: SOFT },
      ],
    }),
  );
  return content;
};

/** The work order as a PDF. */
export const workOrderPdf = (order: Order, c: MadeFrom, paper: Paper): Promise<Buffer> =>
  printPdf(
    `Work order ${order.id}`,
    `Work order ${order.id} · ${order.title}${order.revision ? ` · revision ${order.revision.number}` : ''}`,
    workOrderContent(order, c, paper),
    paper.business.paper,
  );
