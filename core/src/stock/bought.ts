/** A door or window that comes hung in its frame: the rough opening that it wants, and what of it is free. Inches, pounds, cents. */
export interface Bought {
  readonly key: string;
  readonly name: string;
  readonly kind: 'door' | 'window';
  /** Rough opening. */
  readonly width: number;
  readonly height: number;
  readonly clear: readonly [number, number];
  /** Depth of its frame. */
  readonly depth: number;
  readonly weight: number;
  readonly cost: number;
}

/** What a frame and its shims take beside the leaf, and over it. Makers' usual figures, from memory. */
const BESIDE = 2.5;
const OVER = 2.5;
/** What leaf and stop take of the way through. */
const LEAF = 2;

const door = (wide: number, high: number, weight: number, cost: number): Bought => ({
  key: `door-${wide}x${high}`,
  name: wide >= 60 ? `${wide} × ${high} in double door in its frame` : `${wide} × ${high} in door in its frame`,
  kind: 'door',
  width: wide + BESIDE,
  height: high + OVER,
  clear: [wide - LEAF, high - 1],
  // Framed for a wall of 2×4 and its siding.
  depth: 4,
  weight,
  cost,
});

/** Windows are made to their rough opening, half an inch less. */
const window = (wide: number, high: number, weight: number, cost: number): Bought => ({
  key: `window-${wide}x${high}`,
  name: `${wide} × ${high} in slider window`,
  kind: 'window',
  width: wide + 0.5,
  height: high + 0.5,
  // Half of it slides up behind the other half.
  clear: [wide - 3, high / 2 - 2],
  depth: 2.5,
  weight,
  cost,
});

/** What a yard keeps; sizes, weights and prices makers' usual ones (common practice, no source). */
export const BOUGHT: readonly Bought[] = [
  door(30, 72, 58, 21900),
  door(36, 72, 66, 23900),
  door(32, 80, 68, 24900),
  door(36, 80, 75, 26900),
  door(60, 80, 128, 52900),
  door(72, 80, 150, 58900),
  window(14, 21, 7, 5900),
  window(18, 27, 10, 7400),
  window(24, 27, 13, 8900),
  window(24, 36, 17, 10900),
];

const byKey = new Map(BOUGHT.map((b) => [b.key, b]));

/** The bought door or window of an item's key; nothing for other items. */
export const findBought = (key: string): Bought | undefined => byKey.get(key);

/** The largest of a kind that goes into a rough opening; nothing where none is small enough. */
export const largestBought = (kind: Bought['kind'], width: number, height: number): Bought | undefined =>
  BOUGHT.filter((b) => b.kind === kind && b.width <= width + 1e-6 && b.height <= height + 1e-6).sort(
    (p, q) => q.width * q.height - p.width * p.height,
  )[0];

/** A bought door or window as it is chosen: leaf or frame, and its rough opening. */
export const printRough = (b: Bought): string =>
  `${b.name.replace(/ in .*$/, ' in')}, rough ${printHalf(b.width)} × ${printHalf(b.height)} in`;

/** A length in whole or half inches as a catalogue prints it. */
export const printHalf = (n: number): string => (Number.isInteger(n) ? String(n) : `${Math.floor(n)}½`);
