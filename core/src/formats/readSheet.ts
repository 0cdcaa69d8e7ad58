import Papa from 'papaparse';
import { parseLength } from '../measure/index.ts';
import { sizesOfItem, STOCK } from '../stock/index.ts';

/** What is wrong with a row of a file, counted as a spreadsheet counts it: the heading is row 1. */
export interface RowFault {
  readonly row: number;
  readonly message: string;
}

/** Rows of a file by the names in its heading. */
export interface SheetRow {
  readonly row: number;
  readonly cells: Readonly<Record<string, string>>;
}

/** Most rows that a file may have. */
const MOST = 5000;

/**
 * Rows of a comma- or semicolon-separated text with a heading; what cannot be read is told row by row.
 * @param columns names that the heading may have; those of `wanted` must be there
 */
export const readSheet = (
  text: string,
  columns: readonly string[],
  wanted: readonly string[],
): { readonly rows: readonly SheetRow[]; readonly faults: readonly RowFault[] } => {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const fields = meta.fields ?? [];
  const missing = wanted.filter((w) => !fields.includes(w));
  const unknown = fields.filter((f) => !columns.includes(f));
  const faults: RowFault[] = [
    ...(missing.length > 0
      ? [
          {
            row: 1,
            message: `The heading has no ${missing.map((m) => `"${m}"`).join(', ')}; it may have ${columns.join(', ')}.`,
          },
        ]
      : []),
    ...unknown.map((u) => ({ row: 1, message: `The heading has "${u}"; it may have ${columns.join(', ')}.` })),
    ...errors
      .filter((e) => e.code !== 'UndetectableDelimiter')
      .map((e) => ({
        row: (e.row ?? 0) + 2,
        message: `This row has ${e.code === 'TooManyFields' ? 'more' : e.code === 'TooFewFields' ? 'fewer' : 'other'} cells than the heading.`,
      })),
  ];
  if (data.length > MOST)
    faults.push({ row: MOST + 2, message: `The file has ${data.length} rows; ${MOST} at most are read.` });
  return {
    faults,
    rows: faults.length > 0 ? [] : data.map((cells, i) => ({ row: i + 2, cells: trim(cells) })),
  };
};

const trim = (cells: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(cells).map(([k, v]) => [k, (v as string | undefined)?.trim() ?? '']));

/** The key of an item by its key or its name, letters large or small; nothing where there is none. */
const itemOf = (text: string): string | undefined => {
  const t = text.toLowerCase();
  return STOCK.find((i) => i.key.toLowerCase() === t || i.name.toLowerCase() === t)?.key;
};

const lengthOf = (text: string): number | undefined => {
  const feet = /^(\d+(?:\.\d+)?)\s*(?:ft|')$/i.exec(text);
  if (feet) return Number(feet[1]) * 12;
  try {
    return parseLength(text);
  } catch {
    return undefined;
  }
};

/** A line of a supplier's list: what a size of an item costs. `size` is a length in inches, a roll as `WIDTHxLENGTH`, or empty. */
export interface PriceLine {
  readonly row: number;
  readonly item: string;
  readonly size: string;
  /** Cents. */
  readonly cost: number;
}

/** Sizes that the trade sells an item in, as a price list names them. */
export const sizesOf = (key: string): readonly string[] => {
  const item = STOCK.find((i) => i.key === key);
  return item ? sizesOfItem(item).map((s) => s.size) : [''];
};

/** Dearest that one thing is, cents. */
const DEAREST = 1_000_000;

/**
 * Reads a supplier's price list: item, length (or roll as `36x600`; empty where there is one size), price in dollars. Every row
 * that cannot be taken is told; what can be read is given only where nothing is wrong.
 */
export const readPriceList = (
  text: string,
): { readonly lines: readonly PriceLine[]; readonly faults: readonly RowFault[] } => {
  const { rows, faults } = readSheet(text, ['item', 'length', 'price'], ['item', 'price']);
  const all: RowFault[] = [...faults];
  const lines: PriceLine[] = [];
  const seen = new Map<string, number>();
  for (const { row, cells } of rows) {
    const say = (message: string): void => void all.push({ row, message });
    const item = itemOf(cells.item ?? '');
    const price = /^\$?\s*(\d{1,6})(?:\.(\d{1,2}))?$/.exec((cells.price ?? '').replace(/,(?=\d{3}\b)/g, ''));
    if (item === undefined) {
      say(`There is no item "${cells.item ?? ''}": write its name or key as the list of items has it.`);
      continue;
    }
    if (!price) {
      say(`The price of ${item} is "${cells.price ?? ''}"; write dollars and cents like 4.16.`);
      continue;
    }
    const cost = Number(price[1]) * 100 + Number((price[2] ?? '').padEnd(2, '0'));
    if (cost > DEAREST) {
      say(`The price of ${item} is ${cells.price ?? ''}; nothing here costs more than ${DEAREST / 100}.`);
      continue;
    }
    const asked = cells.length ?? '';
    const kind = STOCK.find((i) => i.key === item)?.kind;
    const sizes = sizesOf(item);
    const roll = asked.replace(/\s*[x×]\s*/i, 'x').toLowerCase();
    const length = lengthOf(asked);
    // A stick may be sold in a length that the trade's list does not have.
    const size =
      sizes.length === 1 && asked === ''
        ? sizes[0]
        : sizes.includes(roll)
          ? roll
          : (kind === 'lumber' || (kind === 'roofing' && sizes[0] !== 'bundle')) &&
              length !== undefined &&
              length >= 24 &&
              length <= 384
            ? String(length)
            : undefined;
    if (size === undefined) {
      say(
        `${item} is not sold as "${asked}"; it comes as ${sizes.map((s) => s || 'one size, with nothing there').join(', ')}${kind === 'lumber' ? ' or another length from 24 to 384 in' : ''}.`,
      );
      continue;
    }
    const key = `${item}|${size}`;
    const before = seen.get(key);
    if (before !== undefined) {
      say(`${item}${size ? ` ${size}` : ''} stands in row ${before} already: leave one of them.`);
      continue;
    }
    seen.set(key, row);
    lines.push({ row, item, size, cost });
  }
  return all.length > 0 ? { lines: [], faults: all } : { lines, faults: [] };
};

/** A line of a count: how many there are. Lengths in inches. */
export interface CountLine {
  readonly row: number;
  readonly item: string;
  readonly length: number | null;
  readonly mark: string;
  readonly place: string;
  readonly quantity: number;
}

/** Reads a count of the rack: item, length, mark, place, quantity. All of it, or what is wrong with which row. */
export const readCount = (
  text: string,
): { readonly lines: readonly CountLine[]; readonly faults: readonly RowFault[] } => {
  const { rows, faults } = readSheet(text, ['item', 'length', 'mark', 'place', 'quantity'], ['item', 'quantity']);
  const all: RowFault[] = [...faults];
  const lines: CountLine[] = [];
  const seen = new Map<string, number>();
  for (const { row, cells } of rows) {
    const item = itemOf(cells.item ?? '');
    const asked = cells.length ?? '';
    const length = asked === '' ? null : lengthOf(asked);
    const quantity = /^\d{1,6}$/.test(cells.quantity ?? '') ? Number(cells.quantity) : undefined;
    const mark = (cells.mark ?? '').slice(0, 20);
    const place = (cells.place ?? '').slice(0, 40);
    const key = [item, length, mark, place].join('|');
    const before = seen.get(key);
    const wrong =
      item === undefined
        ? `There is no item "${cells.item ?? ''}": write its name or key as the list of items has it.`
        : length === undefined || (length !== null && (length < 1 || length > 6000))
          ? `The length of ${item} is "${asked}"; write it like 96, 8 ft or 41 1/2.`
          : length === null && STOCK.find((i) => i.key === item)?.kind === 'lumber'
            ? `${item} comes in lengths: say which one was counted.`
            : quantity === undefined
              ? `The quantity of ${item} is "${cells.quantity ?? ''}"; write a whole number.`
              : before !== undefined
                ? `This is counted in row ${before} already: add them up in one row.`
                : undefined;
    if (wrong !== undefined) all.push({ row, message: wrong });
    else {
      seen.set(key, row);
      lines.push({ row, item: item as string, length: length ?? null, mark, place, quantity: quantity as number });
    }
  }
  return all.length > 0 ? { lines: [], faults: all } : { lines, faults: [] };
};
