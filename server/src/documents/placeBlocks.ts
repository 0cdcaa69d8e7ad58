/** Something that is set on a page under what came before. */
export interface Item {
  /** In parts of a page. */
  readonly height: number;
  /** It is never torn: where it does not fit it goes on to the next page. */
  readonly whole: boolean;
  /** It is a table of so many rows, its head among them: it is torn between rows, and its head said again. */
  readonly rows?: number;
  /** Something that is read as one begins with it, and goes on until the next that does. */
  readonly begins: boolean;
}

/** Share of a page that may be taken already where something still begins on it, rather than on a page of its own. */
const BEGUN = 0.4;
/** As nearly full as makes no difference. */
const FULL = 1 - 1e-6;

/** How much of its page is taken once an item stands after what is taken already. */
const put = (taken: number, { height, whole, rows }: Item): number => {
  if (rows !== undefined && rows > 1 && height <= rows) {
    const row = height / rows;
    // A head is never left alone at the foot of a page.
    let at = taken + 2 * row > 1 ? 0 : taken;
    for (let k = 0; k < rows; k++) at = at + row > 1 ? 2 * row : at + row;
    return at;
  }
  const from = taken > FULL || (whole && taken + height > 1 && height <= 1) ? 0 : taken;
  const to = from + height;
  return to > 1 ? to % 1 : to;
};

/**
 * Which items begin a page of their own: the first of what would be torn, where no more than part of a page is left blank
 * by it. So no page is nearly empty but the last.
 */
export const placeBlocks = (items: readonly Item[]): boolean[] => {
  let taken = 0;
  return items.map((item, i) => {
    const next = items.findIndex((one, k) => k > i && one.begins);
    const block = items.slice(i, next < 0 ? undefined : next).reduce((sum, one) => sum + one.height, 0);
    const anew = item.begins && taken >= BEGUN && taken < FULL && taken + block > 1;
    taken = put(anew ? 0 : taken, item);
    return anew;
  });
};
