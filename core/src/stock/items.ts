import { BOUGHT } from './bought.ts';
import { HARDWARE } from './hardware.ts';

/** What a piece is cut from. Sizes in inches, weights in pounds, prices in whole cents. */
export type ItemKind = 'lumber' | 'sheet' | 'mesh' | 'roofing' | 'piece' | 'hardware';

interface ItemBase {
  readonly key: string;
  readonly name: string;
  readonly kind: ItemKind;
}

/** A length that can be bought, in inches, and its price in cents. */
export interface StockLength {
  readonly length: number;
  readonly cost: number;
}

/** Solid lumber: dressed thickness × width, nominal size for board feet. */
export interface Lumber extends ItemBase {
  readonly kind: 'lumber';
  readonly thickness: number;
  readonly width: number;
  readonly nominal: readonly [number, number];
  /** Specific gravity, oven-dry weight over volume at 12 % moisture. */
  readonly gravity: number;
  readonly treated: boolean;
  readonly lengths: readonly StockLength[];
}

/** Panels sold by the sheet. */
export interface Sheet extends ItemBase {
  readonly kind: 'sheet';
  readonly thickness: number;
  readonly width: number;
  readonly length: number;
  /** Pounds per square foot. */
  readonly weight: number;
  readonly cost: number;
  /** True where grooves or grain must run along the sheet's length. */
  readonly grain: boolean;
  /** Against rot, for what stands near the ground. */
  readonly treated?: true;
}

/** Mesh by the roll. */
export interface Mesh extends ItemBase {
  readonly kind: 'mesh';
  readonly thickness: number;
  /** Clear opening between wires, inches. */
  readonly opening: number;
  /** Pounds per square foot. */
  readonly weight: number;
  readonly rolls: readonly { readonly width: number; readonly length: number; readonly cost: number }[];
  /** True where it holds against a determined predator. */
  readonly strong: boolean;
}

/** Ribbed roofing sheets: cover width and rib height. */
export interface Roofing extends ItemBase {
  readonly kind: 'roofing';
  readonly thickness: number;
  readonly cover: number;
  readonly weight: number;
  /** Lengths of a sheet; none of what comes in bundles. */
  readonly lengths: readonly StockLength[];
  /** A bundle: the square feet that it covers, and its price. */
  readonly bundle?: { readonly covers: number; readonly cost: number };
  /** Least pitch in inches of rise per 12 of run. */
  readonly leastPitch: number;
}

/** Counted things: fasteners by the piece, hinges, latches, wheels. */
export interface Hardware extends ItemBase {
  readonly kind: 'hardware';
  /** Pounds each. */
  readonly weight: number;
  readonly cost: number;
  /** How many are bought together; 1 when single. */
  readonly pack: number;
  /** What it is driven as, for fasteners that come in lengths, and its length under the head in inches. */
  readonly driver?: Driver;
  readonly length?: number;
}

/** Kinds of fastener that come in lengths. */
export type Driver = 'nail' | 'screw' | 'pan-head' | 'pocket' | 'roof screw' | 'roof nail' | 'staple' | 'lag' | 'bolt';

/** Stock that is neither a stick nor a sheet: pipe, panels, tarp, block. */
export interface Piece extends ItemBase {
  readonly kind: 'piece';
  readonly thickness: number;
  readonly width: number;
  readonly length: number;
  /** Pounds: see each entry's unit in `PIECE_UNIT`. */
  readonly weight: number;
  readonly cost: number;
}

/** What a piece is weighed and bought by. */
export const PIECE_UNIT: Readonly<Record<string, 'foot' | 'each' | 'area'>> = {
  'pvc-3/4': 'foot',
  'pvc-4': 'foot',
  'stock-panel': 'each',
  tarp: 'area',
  'clear-1/8': 'area',
  'block-8': 'each',
  paver: 'each',
  'pole-1-3/8': 'foot',
  'pipe-1': 'foot',
  ...Object.fromEntries(BOUGHT.map((b) => [b.key, 'each' as const])),
};

export type StockItem = Lumber | Sheet | Mesh | Roofing | Piece | Hardware;

const FT = 12;
const lengths = (perFoot: number, feet: readonly number[]): StockLength[] =>
  feet.map((f) => ({ length: f * FT, cost: Math.round(perFoot * f * (f > 12 ? 1.08 : 1)) }));

const SPF = 0.42;
const SOUTHERN_PINE = 0.55;
const CEDAR = 0.32;

const lumber = (
  key: string,
  thickness: number,
  width: number,
  nominal: readonly [number, number],
  perFoot: number,
  feet: readonly number[] = [8, 10, 12, 14, 16],
  more: Partial<Lumber> = {},
): Lumber => ({
  key,
  name: key.replace('x', '×').replace('-pt', ' treated'),
  kind: 'lumber',
  thickness,
  width,
  nominal,
  gravity: SPF,
  treated: false,
  lengths: lengths(perFoot, feet),
  ...more,
});

const treated = { gravity: SOUTHERN_PINE, treated: true } as const;

/**
 * Lumber by dressed size. Source: American Softwood Lumber Standard, NIST PS 20 (sizes; from memory).
 * Specific gravities: FPL Wood Handbook (0.42 spruce-pine-fir, 0.55 southern pine, 0.32 western redcedar; from memory).
 * Prices are invented defaults that each business replaces by its own list.
 */
export const LUMBER: readonly Lumber[] = [
  lumber('1x2', 0.75, 1.5, [1, 2], 22, [8]),
  lumber('1x3', 0.75, 2.5, [1, 3], 33, [8, 10, 12]),
  lumber('1x4', 0.75, 3.5, [1, 4], 46, [8, 10, 12]),
  lumber('1x6', 0.75, 5.5, [1, 6], 78, [8, 10, 12]),
  lumber('1x8', 0.75, 7.25, [1, 8], 104, [8, 10, 12, 14, 16]),
  lumber('5/4x6', 1, 5.5, [1.25, 6], 118, [8, 10, 12, 16]),
  lumber('2x2', 1.5, 1.5, [2, 2], 34, [8]),
  lumber('2x3', 1.5, 2.5, [2, 3], 42, [8, 10, 12]),
  lumber('2x4', 1.5, 3.5, [2, 4], 52),
  lumber('2x6', 1.5, 5.5, [2, 6], 84),
  lumber('2x8', 1.5, 7.25, [2, 8], 116),
  lumber('2x10', 1.5, 9.25, [2, 10], 158),
  lumber('2x12', 1.5, 11.25, [2, 12], 205),
  // Sold as 1×8; the rabbet hides half an inch of its face, so that it covers 6 3/4.
  lumber('shiplap', 0.75, 6.75, [1, 8], 132, [8, 10, 12], { name: '1×8 shiplap' }),
  lumber('rough-1x8', 1, 8, [1, 8], 92, [8, 10, 12, 14, 16], { name: 'rough-sawn 1×8', gravity: SPF }),
  lumber('4x4', 3.5, 3.5, [4, 4], 140, [8, 10, 12]),
  lumber('1x2-pt', 0.75, 1.5, [1, 2], 33, [8], treated),
  lumber('2x3-pt', 1.5, 2.5, [2, 3], 62, [8, 10, 12], treated),
  lumber('2x4-pt', 1.5, 3.5, [2, 4], 74, [8, 10, 12, 16], treated),
  lumber('2x6-pt', 1.5, 5.5, [2, 6], 112, [8, 10, 12, 16], treated),
  lumber('2x8-pt', 1.5, 7.25, [2, 8], 150, [8, 10, 12, 16], treated),
  lumber('2x10-pt', 1.5, 9.25, [2, 10], 198, [8, 10, 12, 16], treated),
  lumber('4x4-pt', 3.5, 3.5, [4, 4], 165, [8, 10, 12], treated),
  lumber('4x6-pt', 3.5, 5.5, [4, 6], 260, [8, 10, 12], treated),
  lumber('6x6-pt', 5.5, 5.5, [6, 6], 410, [8, 10, 12], treated),
  lumber('picket', 0.625, 5.5, [0.625, 5.5], 48, [6], { name: 'fence picket', gravity: CEDAR }),
];

/** Sheets, 4 × 8 ft. Weights are makers' usual figures (common practice, no source). */
export const SHEETS: readonly Sheet[] = [
  {
    key: 'ply-1/4',
    name: '¼ in grooved liner',
    kind: 'sheet',
    thickness: 0.25,
    width: 48,
    length: 96,
    weight: 0.75,
    cost: 2650,
    grain: true,
  },
  {
    key: 'ply-1/2',
    name: '½ in ply',
    kind: 'sheet',
    thickness: 0.5,
    width: 48,
    length: 96,
    weight: 1.45,
    cost: 3450,
    grain: false,
  },
  {
    key: 'ply-1/2-pt',
    name: '½ in treated ply',
    kind: 'sheet',
    thickness: 0.5,
    width: 48,
    length: 96,
    weight: 1.75,
    cost: 4900,
    grain: false,
    treated: true,
  },
  {
    key: 'ply-3/4',
    name: '¾ in ply',
    kind: 'sheet',
    thickness: 0.75,
    width: 48,
    length: 96,
    weight: 2.2,
    cost: 5200,
    grain: false,
  },
  {
    key: 'siding-5/8',
    name: '⅝ in grooved panel',
    kind: 'sheet',
    thickness: 0.625,
    width: 48,
    length: 96,
    weight: 1.8,
    cost: 4900,
    grain: true,
  },
];

/** Bent stock, covers, concrete and clear panels: sold by the piece, drawn like any part. */
const piece = (
  key: string,
  name: string,
  thickness: number,
  width: number,
  length: number,
  weight: number,
  cost: number,
): Piece => ({ key, name, kind: 'piece', thickness, width, length, weight, cost });

/** Weights are makers' usual figures (common practice, no source). */
export const PIECES: readonly Piece[] = [
  // Pounds a foot of length for pipe; by the piece for block and panel; by the square foot for tarp and clear sheet.
  piece('pvc-3/4', '¾ in PVC pipe, 10 ft', 1.05, 1.05, 120, 0.21, 490),
  piece('pvc-4', '4 in PVC pipe, 10 ft', 4.5, 4.5, 120, 2, 2400),
  piece('stock-panel', 'livestock panel 50 in × 16 ft', 0.25, 50, 192, 35, 3400),
  piece('tarp', 'heavy tarp', 1 / 32, 120, 144, 0.12, 3900),
  piece('clear-1/8', 'clear polycarbonate, 2 × 4 ft', 0.125, 24, 48, 0.78, 2900),
  piece('block-8', '8 × 8 × 16 in block', 7.625, 7.625, 15.625, 33, 260),
  piece('paver', '2 × 8 × 16 in paver', 2, 7.625, 15.625, 20, 240),
  piece('pole-1-3/8', '1⅜ in round pole, 8 ft', 1.375, 1.375, 96, 0.3, 1250),
  piece('pipe-1', '1 in steel pipe, 4 ft', 1.315, 1.315, 48, 1.68, 1900),
  ...BOUGHT.map((b) => piece(b.key, b.name, b.depth, b.width, b.height, b.weight, b.cost)),
];

const rolls = (perSquareFoot: number) =>
  [24, 36, 48].flatMap((width) =>
    [25, 50, 100].map((length) => ({
      width,
      length: length * FT,
      cost: Math.round(perSquareFoot * (width / FT) * length * (length === 100 ? 0.88 : length === 50 ? 0.94 : 1)),
    })),
  );

/** Mesh rolls. Openings and weights are makers' usual figures (common practice, no source). */
/** Least lap at the seams of mesh that is wider than its roll, inches. Common practice, no source. */
export const MESH_LAP = 2;

export const MESHES: readonly Mesh[] = [
  {
    key: 'hardware-cloth',
    name: '½ in hardware cloth',
    kind: 'mesh',
    thickness: 1 / 32,
    opening: 0.5,
    weight: 0.28,
    rolls: rolls(82),
    strong: true,
  },
  {
    key: 'welded-wire',
    name: '½ × 1 in welded wire',
    kind: 'mesh',
    thickness: 1 / 32,
    opening: 0.5,
    weight: 0.24,
    rolls: rolls(64),
    strong: true,
  },
  {
    key: 'poultry-netting',
    name: '1 in poultry netting',
    kind: 'mesh',
    thickness: 1 / 32,
    opening: 1,
    weight: 0.07,
    rolls: rolls(21),
    strong: false,
  },
];

/** Roof coverings; metal covers 36 in. Weights are makers' usual figures (common practice, no source). */
export const ROOFINGS: readonly Roofing[] = [
  {
    key: 'metal',
    name: 'ribbed metal',
    kind: 'roofing',
    thickness: 0.75,
    cover: 36,
    weight: 0.9,
    lengths: lengths(310, [8, 10, 12]),
    leastPitch: 1,
  },
  {
    key: 'shingle',
    name: 'shingles on felt',
    kind: 'roofing',
    thickness: 0.25,
    // Laid in courses across the whole slope.
    cover: 1200,
    weight: 2.4,
    lengths: [],
    bundle: { covers: 100 / 3, cost: 3850 },
    leastPitch: 2,
  },
];

/** Everything that the trade usually keeps. */
export const STOCK: readonly StockItem[] = [...LUMBER, ...SHEETS, ...MESHES, ...ROOFINGS, ...PIECES, ...HARDWARE];
