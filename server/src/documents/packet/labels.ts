import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Show } from '@rubbet/core/order';
import { readUnitKey } from '@rubbet/core/steps';
import type { Part } from '@rubbet/core/unit';
import type { MadeFrom } from '../documents.service.ts';
import { SOFT } from '../print.ts';
import { sizeOf } from './parts.ts';

/** A sheet of stickers as it is sold: columns and rows, a sticker's size, where the first one starts, and what lies between. Points. */
export interface LabelSheet {
  readonly page: 'LETTER' | 'A4';
  readonly columns: number;
  readonly rows: number;
  readonly size: readonly [number, number];
  readonly start: readonly [number, number];
  readonly gap: readonly [number, number];
}

/** The usual sheets: thirty stickers of 2⅝ × 1 in on letter, twenty-four of 70 × 36 mm on A4. Common practice, no source. */
export const LABEL_SHEETS: Readonly<Record<'letter' | 'a4', LabelSheet>> = {
  letter: { page: 'LETTER', columns: 3, rows: 10, size: [189, 72], start: [13.5, 36], gap: [9, 0] },
  a4: { page: 'A4', columns: 3, rows: 8, size: [198.4, 102], start: [0, 12.7], gap: [0, 0] },
};

/** A piece that gets a label, with the address that its code opens. */
export interface Labelled {
  /** Whose it is, where several orders are labelled together. */
  readonly order?: number;
  readonly part: Part;
  readonly unit: number;
  readonly address: string;
}

/** What is written on a sticker: large, beside it, below, small; and the address that its code opens. */
export interface Sticker {
  readonly mark: string;
  readonly corner: string;
  readonly size: string;
  readonly note: string;
  readonly address: string;
}

const INSET = 5;

const drawSticker = (s: Sticker, sheet: LabelSheet): Content => {
  const [wide, high] = sheet.size;
  const code = Math.min(high - 2 * INSET, 62);
  return {
    columns: [
      { qr: s.address, fit: code, width: code + 4, eccLevel: 'L' },
      {
        width: wide - code - 3 * INSET,
        stack: [
          {
            columns: [
              { text: s.mark, font: 'Archivo', bold: true, fontSize: 19, lineHeight: 1 },
              { text: s.corner, alignment: 'right', fontSize: 7.5, color: SOFT, margin: [0, 2, 0, 0] },
            ],
          },
          { text: s.size, bold: true, fontSize: 10.5, lineHeight: 1.1 },
          { text: s.note, fontSize: 7.5, lineHeight: 1.05 },
        ],
      },
    ],
    columnGap: INSET,
  };
};

/** Stickers one after another on the sheets that the shop's paper is sold with. */
export const stickersDocument = (
  stickers: readonly Sticker[],
  sheet: LabelSheet,
): Pick<TDocumentDefinitions, 'pageSize' | 'pageMargins'> & { readonly content: Content[] } => {
  const onPage = sheet.columns * sheet.rows;
  const content = stickers.map((sticker, i): Content => {
    const at = i % onPage;
    const [column, row] = [at % sheet.columns, Math.floor(at / sheet.columns)];
    return {
      stack: [drawSticker(sticker, sheet)],
      absolutePosition: {
        x: sheet.start[0] + column * (sheet.size[0] + sheet.gap[0]) + INSET,
        y: sheet.start[1] + row * (sheet.size[1] + sheet.gap[1]) + INSET,
      },
    };
  });
  // What is set at a place takes none of the page: each page begins with a word that is not seen.
  const pages = Array.from({ length: Math.ceil(stickers.length / onPage) }, (_, p): Content => ({
    stack: [{ text: ' ', fontSize: 1 }, ...content.slice(p * onPage, (p + 1) * onPage)],
    ...(p > 0 ? { pageBreak: 'before' as const } : {}),
  }));
  return { pageSize: sheet.page, pageMargins: [0, 0, 0, 0], content: pages };
};

/** Labels of the pieces of an order, panel by panel. */
export const labelsDocument = (order: number, labels: readonly Labelled[], show: Show, sheet: LabelSheet) =>
  stickersDocument(
    labels.map(({ part, unit, address, order: own = order }) => ({
      mark: part.mark,
      corner: `${own}${unit > 0 ? ` · unit ${unit}` : ''}`,
      size: sizeOf(part, show),
      note: show.text(part.name),
      address,
    })),
    sheet,
  );

/** The pieces that get a label: all that are cut or bought to size, panel by panel, unit by unit. */
export const labelled = (
  c: Pick<MadeFrom, 'build'>,
  rows: readonly { readonly id: number; readonly partId: string }[],
  address: (row: number) => string,
): Labelled[] => {
  const parts = new Map(c.build.parts.map((p) => [p.id, p]));
  const rank = new Map(c.build.assemblies.map((a, i) => [a.id, i]));
  return rows
    .flatMap(({ id, partId }) => {
      const { id: own, unit } = readUnitKey(partId);
      const part = parts.get(own);
      return part ? [{ part, unit, address: address(id) }] : [];
    })
    .sort(
      (a, b) =>
        a.unit - b.unit ||
        (rank.get(a.part.assembly) ?? 0) - (rank.get(b.part.assembly) ?? 0) ||
        (a.part.mark < b.part.mark ? -1 : a.part.mark > b.part.mark ? 1 : 0),
    );
};
