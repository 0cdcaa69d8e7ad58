/** An order of the demo, as far as it has come. Days are counted from today, so that it never goes stale. */
export interface DemoOrder {
  readonly customer: {
    readonly name: string;
    readonly phone: string;
    readonly email: string;
    readonly address: string;
    readonly miles: number;
    /** Which way it lies from the shop, degrees from north over east. */
    readonly bearing: number;
    /** When its neighbours let work be done there, minutes after midnight. */
    readonly opens?: number;
    readonly closes?: number;
  };
  readonly title: string;
  readonly model?: string;
  readonly quantity?: number;
  readonly wantedIn: number;
  /** Days from today before which none of it begins: what is wanted later stands in nobody's way until then. */
  readonly startsIn?: number;
  readonly upTo:
    'new' | 'flock' | 'build' | 'ground' | 'accepted' | 'bench' | 'benched' | 'planned' | 'road' | 'delivered' | 'done';
  readonly flock?: {
    readonly kind: 'layers' | 'meat';
    readonly now: number;
    readonly later: number;
    readonly mover?: 'one adult' | 'two adults';
  };
  readonly change?: Readonly<Record<string, string | number | boolean>>;
  readonly rods?: readonly [number, number, number, number];
  /** Narrowest way in, inches. */
  readonly gate?: number;
  readonly note?: string;
}

const person = (name: string, n: number, address: string, miles: number, bearing: number): DemoOrder['customer'] => ({
  name,
  phone: `555-01${String(n).padStart(2, '0')}`,
  email: `${name.split(' ')[0]?.toLowerCase() ?? 'x'}@letterbox.invalid`,
  address,
  miles,
  bearing,
});

export const ORDERS: readonly DemoOrder[] = [
  {
    customer: person('Maud Ellery', 11, '4 Weir Lane, Lower Ansel', 9, 90),
    title: 'Sorrel, stretched ten inches',
    model: 'Sorrel',
    wantedIn: 24,
    upTo: 'build',
    flock: { kind: 'layers', now: 5, later: 7 },
    change: { length: 82 },
  },
  {
    customer: person('Piers Callow', 12, 'Ferry Cottage, Ansel Quay', 14, 113),
    title: 'Bramble on a slope',
    model: 'Bramble',
    wantedIn: 31,
    upTo: 'ground',
    flock: { kind: 'layers', now: 4, later: 5 },
    rods: [48.5, 55.25, 64.75, 58],
    gate: 120,
    note: 'Custom, falls to the brook.',
  },
  {
    customer: person('Linnet Farm', 13, 'Upper Ansel Road', 22, 23),
    title: 'Ten Vetch pens',
    model: 'Vetch',
    quantity: 10,
    wantedIn: 28,
    upTo: 'planned',
    flock: { kind: 'meat', now: 250, later: 250, mover: 'two adults' },
    rods: [50, 50.5, 50.75, 50.25],
  },
  {
    customer: person('Orla Thane', 14, '17 Mill Street, Ansel', 3, 45),
    title: 'Clover',
    model: 'Clover',
    wantedIn: 12,
    upTo: 'planned',
    flock: { kind: 'meat', now: 12, later: 12, mover: 'one adult' },
    rods: [51, 51.25, 51.5, 51.25],
    gate: 84,
  },
  {
    customer: person('Gethin Moor', 15, 'Sluice House, Nether Wade', 18, 180),
    title: 'Hawthorn',
    model: 'Hawthorn',
    wantedIn: 4,
    upTo: 'planned',
    flock: { kind: 'layers', now: 9, later: 12 },
    rods: [49, 51, 53.5, 51.5],
    note: 'Late: waited for siding.',
  },
  {
    customer: person('Sunniva Pratt', 16, 'The Withies, Wade', 11, 203),
    title: 'Yarrow',
    model: 'Yarrow',
    wantedIn: 9,
    upTo: 'bench',
    flock: { kind: 'layers', now: 3, later: 3 },
    rods: [50, 50, 50.5, 50.5],
  },
  {
    customer: person('Casper Wold', 17, '2 Osier Row, Ansel', 4, 45),
    title: 'Sorrel',
    model: 'Sorrel',
    wantedIn: 16,
    upTo: 'bench',
    flock: { kind: 'layers', now: 6, later: 8 },
    rods: [50, 52.5, 57, 54.5],
  },
  {
    // Not while lessons are about to begin, nor after them.
    customer: { ...person('Brooks School', 18, 'Brook Road, Wade', 12, 203), opens: 540, closes: 900 },
    title: 'Pimpernel for the garden',
    model: 'Pimpernel',
    wantedIn: 19,
    upTo: 'flock',
    flock: { kind: 'layers', now: 3, later: 4 },
  },
  {
    customer: person('Edda Marsh', 19, 'Long Acre, Nether Wade', 20, 180),
    title: 'Teasel',
    model: 'Teasel',
    wantedIn: 6,
    upTo: 'road',
    flock: { kind: 'layers', now: 8, later: 8 },
    rods: [50, 50.75, 51, 50.5],
  },
  {
    customer: person('Ruben Sayle', 20, 'Heron Bank, Ansel Quay', 15, 113),
    title: 'Sorrel, no window',
    model: 'Sorrel',
    wantedIn: 2,
    upTo: 'delivered',
    flock: { kind: 'layers', now: 5, later: 6 },
    change: { windowWall: 'none' },
    rods: [50, 51, 51.5, 50.5],
  },
  {
    customer: person('Isolde Crane', 21, '9 Tanner’s Yard, Ansel', 2, 45),
    title: 'Clover',
    model: 'Clover',
    wantedIn: -8,
    upTo: 'done',
    flock: { kind: 'meat', now: 12, later: 12 },
    rods: [50, 50, 50, 50],
  },
  {
    customer: person('Wade Commons', 24, 'The Green, Wade', 12, 203),
    title: 'Two Teasel pens',
    model: 'Teasel',
    quantity: 2,
    wantedIn: 21,
    upTo: 'accepted',
    flock: { kind: 'layers', now: 14, later: 16 },
    rods: [50, 50.25, 51, 50.5],
  },
  {
    customer: person('Briar Holm', 25, 'Kiln Cottage, Ansel', 5, 45),
    title: 'Clover, built for stock',
    model: 'Clover',
    wantedIn: 14,
    upTo: 'benched',
    flock: { kind: 'meat', now: 10, later: 12 },
    rods: [50, 50.5, 50.5, 50],
  },
  {
    customer: person('Osric Vane', 26, 'Tile House, Nether Wade', 17, 158),
    title: 'Three Clover',
    model: 'Clover',
    quantity: 3,
    wantedIn: -13,
    upTo: 'done',
    flock: { kind: 'meat', now: 30, later: 36 },
    rods: [50, 50, 50.25, 50.25],
  },
  {
    customer: person('Delia Roke', 27, '3 Saltern Row, Ansel Quay', 14, 113),
    title: 'Teasel for the orchard',
    model: 'Teasel',
    wantedIn: -19,
    upTo: 'done',
    flock: { kind: 'layers', now: 8, later: 8 },
    rods: [50, 50.5, 50.5, 50.25],
  },
  {
    customer: person('Hollin Dene', 28, 'Gorse Farm, Upper Ansel', 24, 15),
    title: 'Two Vetch pens',
    model: 'Vetch',
    quantity: 2,
    wantedIn: -27,
    upTo: 'done',
    flock: { kind: 'meat', now: 50, later: 50, mover: 'two adults' },
    rods: [50, 50.25, 50.25, 50.5],
  },
  {
    customer: person('Ansel Growers', 29, 'The Packhouse, Ansel', 4, 60),
    title: 'Six Clover for the growers',
    model: 'Clover',
    quantity: 6,
    wantedIn: 23,
    startsIn: 9,
    upTo: 'planned',
    flock: { kind: 'meat', now: 60, later: 72 },
    rods: [50, 50.25, 50.5, 50.25],
  },
  {
    customer: person('Low Bridge Mill', 30, 'Low Bridge, Ansel', 6, 45),
    title: 'Eight Vetch pens',
    model: 'Vetch',
    quantity: 8,
    wantedIn: 34,
    startsIn: 18,
    upTo: 'planned',
    flock: { kind: 'meat', now: 200, later: 200, mover: 'two adults' },
    rods: [50, 50.25, 50.5, 50.25],
  },
  {
    customer: person('Fenwick Abbot', 22, 'Pound Farm, Wade', 13, 203),
    title: 'House for a first flock',
    wantedIn: 40,
    upTo: 'new',
  },
  {
    customer: person('Tamsin Oake', 23, 'Low Bridge, Ansel', 6, 45),
    title: 'Spindle',
    model: 'Spindle',
    wantedIn: 45,
    upTo: 'ground',
    flock: { kind: 'layers', now: 14, later: 18 },
    rods: [50, 50.5, 52, 51],
    note: 'Waits for the customer to confirm the ground.',
  },
  {
    customer: person('The Ferry Inn', 31, 'Quay Street, Ansel Quay', 14, 110),
    title: 'Sorrel for the inn',
    model: 'Sorrel',
    wantedIn: 33,
    startsIn: 21,
    upTo: 'planned',
    flock: { kind: 'layers', now: 6, later: 8 },
    rods: [50, 51.5, 54, 52.25],
  },
  {
    customer: person('Wade Allotments', 32, 'Withy Lane, Wade', 12, 200),
    title: 'Three Teasel for the allotments',
    model: 'Teasel',
    quantity: 3,
    wantedIn: 38,
    startsIn: 24,
    upTo: 'planned',
    flock: { kind: 'layers', now: 18, later: 24 },
    rods: [50, 50.5, 50.75, 50.25],
  },
  {
    customer: person('Hester Quill', 33, 'Sheepwash, Upper Ansel', 21, 20),
    title: 'Hawthorn on the hill',
    model: 'Hawthorn',
    wantedIn: 42,
    startsIn: 28,
    upTo: 'planned',
    flock: { kind: 'layers', now: 10, later: 12 },
    rods: [49.5, 51.5, 54, 52],
  },
  {
    customer: person('Marl Farm', 34, 'Marl Lane, Nether Wade', 19, 175),
    title: 'Hazel, eight by twelve',
    model: 'Hazel',
    wantedIn: 30,
    startsIn: 14,
    upTo: 'planned',
    flock: { kind: 'layers', now: 12, later: 15 },
    rods: [50, 51, 52, 51],
  },
];
