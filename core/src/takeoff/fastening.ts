import type { Part, Role } from '../unit/index.ts';

/** Which fastener holds a part of a role, and how many: fixed, or one every so many inches of length or edge. */
interface Fastening {
  readonly item: string;
  readonly each?: number;
  readonly everyInches?: number;
  readonly along?: 'length' | 'edge';
}

/** Usual fastening by role; common practice, no source. */
const FASTENING: Readonly<Record<Role, readonly Fastening[]>> = {
  plate: [{ item: 'nail-3', everyInches: 16, along: 'length' }],
  stud: [{ item: 'nail-3', each: 4 }],
  king: [{ item: 'nail-3', each: 4 }],
  jack: [{ item: 'nail-3', each: 4 }],
  header: [{ item: 'nail-3', each: 8 }],
  spacer: [{ item: 'screw-1-1/2', each: 4 }],
  sill: [{ item: 'nail-3', each: 4 }],
  cripple: [{ item: 'nail-3', each: 4 }],
  rim: [{ item: 'screw-3', each: 8 }],
  joist: [{ item: 'screw-3', each: 6 }],
  leg: [{ item: 'screw-6', each: 4 }],
  post: [{ item: 'screw-6', each: 4 }],
  rafter: [
    { item: 'rafter-tie', each: 2 },
    { item: 'nail-3', each: 4 },
  ],
  outrigger: [{ item: 'screw-3', everyInches: 12, along: 'length' }],
  blocking: [{ item: 'screw-3', each: 4 }],
  rail: [{ item: 'screw-3', each: 4 }],
  upright: [{ item: 'pocket-screw', each: 4 }],
  crossbar: [{ item: 'screw-3', each: 4 }],
  board: [{ item: 'screw-1-1/2', each: 6 }],
  batten: [{ item: 'screw-1-1/2', everyInches: 8, along: 'length' }],
  deck: [{ item: 'screw-1-1/2', everyInches: 8, along: 'edge' }],
  floor: [{ item: 'screw-1-1/2', everyInches: 8, along: 'edge' }],
  siding: [{ item: 'screw-1-1/2', everyInches: 7, along: 'edge' }],
  mesh: [
    { item: 'staple', everyInches: 3, along: 'edge' },
    { item: 'washer', everyInches: 18, along: 'edge' },
  ],
  roofing: [{ item: 'roof-screw', everyInches: 9, along: 'edge' }],
  trim: [{ item: 'screw-1-1/2', everyInches: 16, along: 'length' }],
  door: [{ item: 'screw-1-1/4', each: 8 }],
  stop: [{ item: 'screw-1-1/4', each: 4 }],
  lid: [{ item: 'screw-1-1/2', each: 6 }],
  nest: [{ item: 'screw-1-1/2', each: 8 }],
  roost: [{ item: 'screw-3', each: 4 }],
  cleat: [{ item: 'screw-3', each: 3 }],
  ramp: [{ item: 'screw-3', each: 2 }],
  'pop door': [],
  channel: [{ item: 'screw-1-1/2', each: 4 }],
  wheel: [],
  ridge: [{ item: 'nail-3', each: 4 }],
  'gable stud': [{ item: 'nail-3', each: 4 }],
  gusset: [{ item: 'screw-1-1/2', each: 12 }],
  collar: [{ item: 'screw-3', each: 4 }],
  runner: [{ item: 'screw-6', each: 4 }],
  brace: [{ item: 'screw-3', each: 4 }],
  hoop: [
    { item: 'pipe-strap', each: 4 },
    { item: 'screw-1-1/4', each: 8 },
  ],
  pipe: [{ item: 'pipe-strap', everyInches: 30, along: 'length' }],
  handle: [{ item: 'pipe-strap', each: 2 }],
  block: [],
  cover: [{ item: 'bungee', everyInches: 48, along: 'edge' }],
  liner: [{ item: 'screw-1-1/4', everyInches: 12, along: 'edge' }],
  glazing: [{ item: 'screw-1-1/4', everyInches: 12, along: 'edge' }],
};

/** Nails to a square foot of shingles: four to each of some eighty in a hundred square feet. Common practice, no source. */
const SHINGLE_NAILS = 3.2;

/** Mesh that is not held by washers. */
const MESH_HELD: Readonly<Record<NonNullable<Part['fixing']>, readonly Fastening[]>> = {
  battens: [{ item: 'staple', everyInches: 6, along: 'edge' }],
  lap: [{ item: 'staple', everyInches: 3, along: 'edge' }],
};

const fasteningOf = (part: Part): readonly Fastening[] => {
  if (part.fixing) return MESH_HELD[part.fixing];
  if (part.item === 'shingle')
    return [{ item: 'nail-roof', each: Math.ceil(((part.length * part.width) / 144) * SHINGLE_NAILS) }];
  return FASTENING[part.role];
};

/** Fasteners of one part. */
export const fastenersOf = (part: Part): { readonly item: string; readonly count: number }[] =>
  fasteningOf(part).map((f) => {
    if (f.each !== undefined) return { item: f.item, count: f.each };
    const inches = f.along === 'edge' ? 2 * (part.length + part.width) : part.length;
    return { item: f.item, count: Math.max(2, Math.ceil(inches / (f.everyInches ?? 1))) };
  });
