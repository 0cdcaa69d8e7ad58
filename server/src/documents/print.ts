import { createRequire } from 'node:module';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { placeBlocks } from './placeBlocks.ts';
import { unpackedFont } from './unpackWoff.ts';

const require = createRequire(import.meta.url);
interface PdfMake {
  setFonts(fonts: Record<string, Record<string, string>>): void;
  setProgressCallback(callback: (part: number) => void): void;
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

const BLOCK = 'begins';
/** A headline level that nothing else has: it marks a place that is measured. */
const MARK = 99;

/** Something that is read as one: it begins a page of its own where it would be torn, if the page before is well begun. */
export const asBlock = (content: readonly Content[]): Content[] => {
  const [first, ...rest] = content;
  return first === undefined ? [] : [{ stack: [first], [BLOCK]: true } as Content, ...rest];
};

/** A heading over a thin rule. */
export const heading = (text: string, size = 15): Content => ({
  stack: [
    { text, font: 'Archivo', bold: true, fontSize: size, color: INK },
    { canvas: [{ type: 'line', x1: 0, y1: 2, x2: 523, y2: 2, lineWidth: 1.2, lineColor: INK }] },
  ],
  margin: [0, 10, 0, 6],
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

const isBlock = (c: Content): c is Content & object => typeof c === 'object' && BLOCK in c;

/** Of how many rows a table is. */
const rowsOf = (c: Content): { rows?: number } =>
  typeof c === 'object' && 'table' in c && c.table ? { rows: c.table.body.length } : {};

/** A page that nothing comes to the end of, points. */
const ENDLESS = 1_000_000;

/** Raised to end a layout that is only measured. */
class Measured extends Error {}

/** Whether something is never torn: a picture, a row of columns, what says so. */
const isWhole = (c: Content): boolean => {
  if (typeof c !== 'object' || Array.isArray(c)) return false;
  if ('unbreakable' in c && c.unbreakable) return true;
  if ('stack' in c) return c.stack?.length === 1 && isWhole(c.stack[0] as Content);
  return 'columns' in c || 'svg' in c || 'canvas' in c;
};

/** The same with its pictures blank: they take the same room, and are not read. */
const blank = (node: unknown): unknown => {
  if (Array.isArray(node)) return node.map(blank);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node).map(([k, v]) => [
      k,
      k === 'svg' && typeof v === 'string' ? `${v.slice(0, v.indexOf('>') + 1)}</svg>` : blank(v),
    ]),
  );
};

/** How high each of some contents is, points: they are set on a page without end, which is not drawn. */
const measureHeights = async (
  doc: TDocumentDefinitions,
  content: readonly Content[],
  wide: number,
): Promise<number[]> => {
  // What cannot be torn is laid out apart, so that places are only known of what stands between.
  const mark = (): Content => ({ text: ' ', fontSize: 1, lineHeight: 0.1, headlineLevel: MARK });
  const at: number[] = [];
  try {
    await pdfmake
      .createPdf({
        ...doc,
        pageSize: { width: wide, height: ENDLESS },
        content: [...content.flatMap((c) => [mark(), c]), mark()],
        pageBreakBefore: (node) => {
          if (node.headlineLevel === MARK) at.push(node.startPosition.top);
          if (at.length > content.length) throw new Measured();
          return false;
        },
      })
      .getBuffer();
  } catch (error) {
    if (!(error instanceof Measured)) throw error;
  }
  return at.slice(1).map((y, i) => y - (at[i] as number));
};

/** Share of the time that is spent before pages are drawn. */
const MEASURED = 0.5;

/** Margins over and under what is set, points. */
const TOP = 44;
const FOOT = 48;

/** Typesets a document on letter paper or A4 with a foot line, and a line over every page where one is given. */
export const printPdf = async (
  title: string,
  foot: string,
  content: Content[],
  paper: 'letter' | 'a4' = 'letter',
  head?: string,
  /** Hears how far it is, 0 to 1. */
  say: (part: number) => void = () => undefined,
): Promise<Buffer> => {
  const [wide, high] = paper === 'a4' ? [595.28, 841.89] : [612, 792];
  const doc = {
    // Everything is laid out 523 points wide, which both papers hold.
    pageMargins: (paper === 'a4' ? [36, TOP, 36, FOOT] : [44, TOP, 44, FOOT]) as [number, number, number, number],
    defaultStyle: { font: 'Atkinson', fontSize: 10, color: INK, lineHeight: 1.2 },
  };
  // Typesetting writes into what it is given: each time it is given its own.
  const fresh = (): Content[] => plainMarks(content) as Content[];
  const set = fresh();
  if (set.some(isBlock)) {
    const inner = high - TOP - FOOT;
    const heights = await measureHeights({ ...doc, content: [] }, blank(fresh()) as Content[], wide);
    const anew = placeBlocks(
      set.map((c, i) => ({
        height: (heights[i] as number) / inner,
        whole: isWhole(c),
        begins: isBlock(c),
        ...rowsOf(c),
      })),
    );
    set.forEach((c, i) => anew[i] && Object.assign(c, { pageBreak: 'before' }));
  }
  say(MEASURED);
  // A paper after the other in a thread: what is set now is this one.
  let said = 0;
  pdfmake.setProgressCallback((part) => {
    if (part - said < 0.05) return;
    said = part;
    say(MEASURED + part * (1 - MEASURED));
  });
  return pdfmake
    .createPdf({
      ...doc,
      pageSize: paper === 'a4' ? 'A4' : 'LETTER',
      info: { title, author: 'Rubbet', creator: 'Rubbet' },
      content: set,
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
};

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
