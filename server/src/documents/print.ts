import { createRequire } from 'node:module';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { unpackedFont } from './unpackWoff.ts';

const require = createRequire(import.meta.url);
interface PdfMake {
  setFonts(fonts: Record<string, Record<string, string>>): void;
  setUrlAccessPolicy(policy: (url: string) => boolean): void;
  setLocalAccessPolicy(policy: (path: string) => boolean): void;
  createPdf(doc: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}
const pdfmake = require('pdfmake') as PdfMake;

const font = (pack: string, weight: number): string =>
  require.resolve(`@fontsource/${pack}/files/${pack}-latin-${weight}-normal.woff`);
const FILES = {
  Archivo: {
    normal: font('archivo', 600),
    bold: font('archivo', 700),
    italics: font('archivo', 600),
    bolditalics: font('archivo', 700),
  },
  Atkinson: {
    normal: font('atkinson-hyperlegible-next', 400),
    bold: font('atkinson-hyperlegible-next', 700),
    italics: font('atkinson-hyperlegible-next', 400),
    bolditalics: font('atkinson-hyperlegible-next', 700),
  },
};
const known = new Set<string>(Object.values(FILES).flatMap((f) => Object.values(f)));
// Typesetting would unpack a font anew for every paper: a fifth of its time.
const plain = new Map([...known].map((file) => [file, unpackedFont(file)]));
pdfmake.setFonts(
  Object.fromEntries(
    Object.entries(FILES).map(([name, files]) => [
      name,
      Object.fromEntries(Object.entries(files).map(([style, file]) => [style, plain.get(file) ?? file])),
    ]),
  ),
);
// Only the shipped fonts are read; nothing is ever fetched.
const readable = new Set(plain.values());
pdfmake.setLocalAccessPolicy((path) => readable.has(path));
pdfmake.setUrlAccessPolicy(() => false);

export const INK = '#1C2521';
export const SOFT = '#5B6760';
export const RULE = '#D5CFBF';
export const TAPE = '#F2C230';
export const CHALK = '#1F55A8';
export const KEEL = '#B93A25';

/** A heading over a thin rule. */
export const heading = (text: string, size = 15, breakBefore = false): Content => ({
  stack: [
    { text, font: 'Archivo', bold: true, fontSize: size, color: INK },
    { canvas: [{ type: 'line', x1: 0, y1: 2, x2: 523, y2: 2, lineWidth: 1.2, lineColor: INK }] },
  ],
  margin: [0, 10, 0, 6],
  ...(breakBefore ? { pageBreak: 'before' as const } : {}),
});

/** A table with thin rules between rows and a ruled head. */
export const table = (
  head: readonly string[],
  rows: readonly (readonly Content[])[],
  widths: readonly (string | number)[],
  /** Above and below the words of a row, points. */
  room = 3,
): Content => ({
  table: {
    headerRows: 1,
    dontBreakRows: true,
    widths: [...widths],
    body: [head.map((h) => ({ text: h, font: 'Archivo', fontSize: 8.5, color: SOFT })), ...rows.map((r) => [...r])],
  },
  layout: {
    hLineWidth: (i: number) => (i === 0 ? 0 : i === 1 ? 0.9 : 0.4),
    vLineWidth: () => 0,
    hLineColor: () => RULE,
    paddingTop: () => room,
    paddingBottom: () => room,
    paddingLeft: () => 2,
    paddingRight: () => 6,
  },
  margin: [0, 2, 0, room < 3 ? 2 : 8],
});

/** Signs that the shipped print fonts lack, and how they are written on paper instead. */
const INSTEAD: Readonly<Record<string, string>> = {
  '″': '"',
  '′': "'",
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
  '\u2009': ' ',
  '\u2002': ' ',
  '≤': 'at most ',
  '≥': 'at least ',
};
const LACKING = new RegExp(`(\\d)?([${Object.keys(INSTEAD).join('')}])`, 'gu');

/** Text as the print fonts can set it: `1⅛″` becomes `1 1/8"`. */
export const printable = (text: string): string =>
  text.replace(LACKING, (_, digit: string | undefined, sign: string) => {
    const instead = INSTEAD[sign] ?? sign;
    return digit === undefined ? instead : /^\d/.test(instead) ? `${digit} ${instead}` : `${digit}${instead}`;
  });

/** Every text of a document, and of the drawings in it, made printable. */
export const plainMarks = (node: unknown): unknown => {
  if (typeof node === 'string') return printable(node);
  if (Array.isArray(node)) return node.map(plainMarks);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(Object.entries(node).map(([k, v]) => [k, typeof v === 'function' ? v : plainMarks(v)]));
};

/** The font files that paper is set in. */
export const PRINT_FONTS: readonly string[] = [...known];

/** Typesets a document on letter paper or A4 with a foot line, and a line over every page where one is given. */
export const printPdf = (
  title: string,
  foot: string,
  content: Content[],
  paper: 'letter' | 'a4' = 'letter',
  head?: string,
): Promise<Buffer> =>
  pdfmake
    .createPdf({
      pageSize: paper === 'a4' ? 'A4' : 'LETTER',
      // Everything is laid out 523 points wide, which both papers hold.
      pageMargins: paper === 'a4' ? [36, 44, 36, 48] : [44, 44, 44, 48],
      info: { title, author: 'Rubbet', creator: 'Rubbet' },
      defaultStyle: { font: 'Atkinson', fontSize: 10, color: INK, lineHeight: 1.2 },
      content: plainMarks(content) as Content[],
      ...(head === undefined
        ? {}
        : {
            header: (): Content => ({
              text: printable(head),
              alignment: 'right' as const,
              color: SOFT,
              fontSize: 8.5,
              margin: [44, 24, 44, 0] as [number, number, number, number],
            }),
          }),
      footer: (page: number, pages: number): Content => ({
        columns: [
          { text: printable(foot), color: SOFT, fontSize: 8 },
          { text: `${page} of ${pages}`, alignment: 'right', color: SOFT, fontSize: 8 },
        ],
        margin: [44, 14, 44, 0],
      }),
    })
    .getBuffer();

/** Typesets a document of sizes of its own, without head and foot: sheets of stickers. */
export const printPlain = (
  title: string,
  doc: Pick<TDocumentDefinitions, 'pageSize' | 'pageMargins'> & { readonly content: Content[] },
): Promise<Buffer> =>
  pdfmake
    .createPdf({
      ...doc,
      info: { title, author: 'Rubbet', creator: 'Rubbet' },
      defaultStyle: { font: 'Atkinson', fontSize: 9, color: INK },
      content: plainMarks(doc.content) as Content[],
    })
    .getBuffer();
