import type { Content } from 'pdfmake/interfaces.js';
import type { CutRoll, MeshPlan, SheetLayout, StickCut } from '@rubbet/core/cut';
import { cutPlansOf } from '@rubbet/core/order';
import type { Show } from '@rubbet/core/order';
import { readUnitKey } from '@rubbet/core/steps';
import { findItem } from '@rubbet/core/stock';
import type { MadeFrom } from '../documents.service.ts';
import { rollSvg, seamLines, sheetSvg, stripLines, usedOf } from '../layouts.ts';
import { stickBar } from '../pictures.ts';
import { asBlock, heading, SOFT } from '../print.ts';

/** Equal ones together, in order of first appearance. */
export const countEqual = <T>(list: readonly T[]): { readonly one: T; readonly count: number }[] => {
  const kinds = new Map<string, { one: T; count: number }>();
  for (const one of list) {
    const key = JSON.stringify(one);
    kinds.set(key, { one, count: (kinds.get(key)?.count ?? 0) + 1 });
  }
  return [...kinds.values()];
};

/** Sticks by kind, equal ones drawn once with a box for each. */
const stickPages = (sticks: readonly StickCut[], show: Show): Content[] =>
  countEqual(sticks).map(({ one, count }): Content => ({
    columns: [
      { svg: stickBar(one, show), width: 418 },
      { width: '*', text: count > 6 ? `× ${count}` : '[  ] '.repeat(count).trim(), fontSize: 9, margin: [0, 3, 0, 0] },
    ],
    columnGap: 6,
    margin: [0, 0, 0, 0],
  }));

/** Width of a sheet on paper: ten of them go on a page. */
const SHEET = 216;

/** Sheets as they are cut, two to a row. */
const sheetPages = (sheets: readonly SheetLayout[], show: Show): Content[] => {
  if (sheets.length === 0) return [];
  const drawn = countEqual(sheets).map(({ one, count }) => ({
    width: SHEET,
    stack: [
      { text: `${findItem(one.item).name}${count > 1 ? `, ${count} times` : ''}`, fontSize: 9, bold: true },
      { svg: sheetSvg(one, show), width: SHEET },
    ],
  }));
  const rows = Array.from({ length: Math.ceil(drawn.length / 2) }, (_, i): Content => ({
    unbreakable: true,
    margin: [0, 1, 0, 1],
    columnGap: 60,
    columns: drawn.slice(2 * i, 2 * i + 2),
  }));
  // A heading is never left alone at the foot of a page.
  return [{ unbreakable: true, stack: [heading('Sheets', 15), rows[0] as Content] }, ...rows.slice(1)];
};

/** Rolls of mesh as they are cut, and where strips meet on the frame. */
const rollPages = (c: MadeFrom, show: Show): Content[] => {
  const { mesh } = cutPlansOf(c);
  // Plans kept from before have no rolls drawn.
  const rolls = ((mesh as Partial<MeshPlan>).layout ?? []) as readonly CutRoll[];
  if (rolls.length === 0) return [];
  const marks = new Map(c.build.parts.map((p) => [p.id, p.mark]));
  const markOf = (face: string): string => marks.get(readUnitKey(face).id) ?? '';
  const drawn = rolls.map((roll, i): Content => ({
    unbreakable: true,
    margin: [0, 2, 0, 4],
    stack: [
      ...(i === 0 ? [heading('Mesh', 13)] : []),
      {
        text: `${findItem(roll.item).name}, roll ${i + 1}: ${show.length(roll.width)} wide, ${show.length(usedOf(roll))} of ${show.length(roll.length)} used`,
        fontSize: 9,
        bold: true,
      },
      { svg: rollSvg(roll, markOf, show), width: 523 },
      { text: stripLines(roll, markOf, show), fontSize: 8.5 },
    ],
  }));
  return [...drawn, ...seamLines(mesh.strips, markOf, show).map((text): Content => ({ text, fontSize: 9 }))];
};

/** What the saw works by: sticks, sheets and rolls of all units together. */
export const cutPages = (c: MadeFrom, show: Show): Content[] => {
  const { sticks, sheets } = cutPlansOf(c);
  return asBlock([
    heading('Sticks', 15),
    {
      text: sticks.proved
        ? 'No plan costs less.'
        : `Within ${show.money(sticks.cost - sticks.bound)} of the least any plan can cost.`,
      color: SOFT,
    },
    ...stickPages(sticks.sticks, show),
    ...rollPages(c, show),
    ...sheetPages(sheets.sheets, show),
  ]);
};
