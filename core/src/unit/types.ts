import type { Placement, Pt, Shape } from '../geometry/index.ts';
import type { Capacity } from '../flock/index.ts';
import type { Joint } from './joint.ts';

/** What a part does; decides its mark's letter, its fastening and its tone in drawings. */
export type Role =
  | 'plate'
  | 'stud'
  | 'king'
  | 'jack'
  | 'header'
  | 'spacer'
  | 'sill'
  | 'cripple'
  | 'rim'
  | 'joist'
  | 'leg'
  | 'rafter'
  | 'barge'
  | 'blocking'
  | 'rail'
  | 'upright'
  | 'crossbar'
  | 'board'
  | 'batten'
  | 'deck'
  | 'floor'
  | 'siding'
  | 'mesh'
  | 'roofing'
  | 'trim'
  | 'door'
  | 'stop'
  | 'lid'
  | 'nest'
  | 'roost'
  | 'cleat'
  | 'ramp'
  | 'pop door'
  | 'channel'
  | 'wheel'
  | 'post'
  | 'ridge'
  | 'gable stud'
  | 'gusset'
  | 'collar'
  | 'tie'
  | 'runner'
  | 'brace'
  | 'hoop'
  | 'handle'
  | 'block'
  | 'cover'
  | 'liner'
  | 'glazing'
  | 'pipe'
  /** A door or window bought in its frame. */
  | 'unit';

/** How a part comes to its length. What is sawn in place is the rest of a longer piece: it has no cut of its own. */
export type Fit = 'cut to length' | 'measure in place' | 'cut on site' | 'sawn in place';

/** One end of a stick: `angle` in degrees away from square, across the wide face (mitre) or the narrow one (bevel). */
export interface EndCut {
  readonly end: 'start' | 'end';
  readonly kind: 'square' | 'mitre' | 'bevel';
  readonly angle: number;
}

/** How the edge of a mesh is held: staples with washers, staples under a batten, or lapped around the frame and stapled there. */
export type MeshFixing = 'washers' | 'battens' | 'lap';

/** A placed part. Lengths in inches, angles in degrees. Parts that are equal share a mark. */
export interface Part {
  readonly id: string;
  readonly mark: string;
  readonly name: string;
  readonly role: Role;
  /** Stock item key. */
  readonly item: string;
  /** The assembly it is built into. */
  readonly assembly: string;
  readonly shape: Shape;
  readonly place: Placement;
  /**
   * Overall length along the stick, or along the grain of a sheet: long point to long point. Where a gap is sawn out later, the
   * whole length that is cut at the saw.
   */
  readonly length: number;
  /** Length along the shorter edge; equals `length` where both ends are square. */
  readonly shortPoint: number;
  readonly width: number;
  readonly thickness: number;
  readonly cuts: readonly EndCut[];
  /** Seats, plumb cuts and other notches, in words for the ticket. */
  readonly notches: readonly string[];
  /** Ripped to this width from its item. */
  readonly rip?: number;
  readonly fit: Fit;
  /** How far a measured length may be from the expected one. */
  readonly tolerance?: number;
  /** Sawn out after the panel stands: the gap and what is left beyond it, in whose length it is counted. */
  readonly sawnOut?: readonly string[];
  /** What lies hidden under the sheet above: cut longer by this, drawn without it. */
  readonly lap?: number;
  /** How a mesh is held, where it is not by washers. */
  readonly fixing?: Exclude<MeshFixing, 'washers'>;
  /** Mesh that goes round a unit with others of this name, in the order in which they are drawn. */
  readonly wrap?: string;
  /** Flats that a bent part's outline is drawn with: its ring runs along the inner curve and back along the outer one. */
  readonly bent?: number;
}

/** A stud or opening mark on a tape pull: `at` inches from the hooked end, the piece lies to that side of the mark. */
export interface TapeMark {
  readonly at: number;
  readonly side: 'right' | 'left';
  readonly what: string;
  readonly part: string;
}

/** One pull of the tape along a plate or rail. */
export interface Tape {
  readonly title: string;
  /** The parts that the marks go on. */
  readonly parts: readonly string[];
  readonly length: number;
  readonly marks: readonly TapeMark[];
}

export type AssemblyKind = 'base' | 'wall' | 'roof' | 'frame' | 'door' | 'lid' | 'nest' | 'fittings' | 'cover';

/** A panel or group that is built as one thing. `face` looks at it from outside: u to the right, v up. */
export interface Assembly {
  readonly id: string;
  readonly name: string;
  readonly kind: AssemblyKind;
  readonly face: Placement;
  /** Built lying flat on the bench and skinned there. */
  readonly flat: boolean;
  /** Corner-to-corner sizes for the diagonal check, where the panel is a rectangle. */
  readonly square?: { readonly width: number; readonly height: number };
  readonly tapes: readonly Tape[];
  /** Which assembly it is fixed to, and how. */
  readonly joins?: { readonly to: string; readonly how: string };
  /** A wall that no rafter bears on. */
  readonly bearsNothing?: boolean;
  /** Cut and made where the unit stands. */
  readonly site?: boolean;
  /** Travels as a panel of its own and is joined on site, however the rest is made: a run. */
  readonly apart?: boolean;
  /** In a mirrored build: the width that its face was turned in. */
  readonly turned?: number;
}

/** A side of a unit, seen from outside. */
export type Side = 'front' | 'back' | 'left' | 'right';

/** What an opening is for. */
export type OpeningKind = 'people door' | 'window' | 'pop door' | 'nest' | 'gate' | 'vent' | 'clean-out';

/** How a fitting of a kind is made. */
export type FittingStyle =
  'single' | 'double' | 'dutch' | 'mesh' | 'sliding' | 'top-hung' | 'motor' | 'outside lid' | 'drop front' | 'bought';

/**
 * A fitting put at a place on a wall by hand: rough opening sizes in inches, `left` from the wall's left end seen from
 * outside, `bottom` from its foot. One with the id of a fitting of the parameters (door, pop, nest, window) takes its place.
 */
export interface Fitting {
  readonly id: string;
  readonly kind: OpeningKind;
  readonly style: FittingStyle;
  readonly wall: Side;
  readonly left: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
}

/** A framed opening, in its assembly's face coordinates. */
export interface Opening {
  readonly id: string;
  readonly kind: OpeningKind;
  /** Side of the house it is in, where it stands in one. */
  readonly wall?: Side;
  readonly style?: FittingStyle;
  /** Room above it, under the eave, for what swings up. */
  readonly above?: number;
  readonly assembly: string;
  readonly left: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
  /** Rise of its head along the wall, inches an inch; `height` is then that of its lower side. */
  readonly rake?: number;
  /** Height from the ground to its foot. */
  readonly sillAboveGround: number;
}

/** A side of the enclosure that must be closed: region in the plane of `place`, whose u × v points outward. */
export interface ClosedFace {
  readonly id: string;
  readonly name: string;
  readonly place: Placement;
  readonly region: readonly Pt[];
  /** Parts count as cover when they lie within this range of the plane, inches along u × v. */
  readonly within: readonly [number, number];
}

/** Something the framing could not do as asked. */
export interface FrameNote {
  readonly code: string;
  readonly severity: 'stop' | 'warn';
  readonly what: string;
  readonly why: string;
  /** Parts that it is about; the nearest of their assembly where they are not there. */
  readonly where?: readonly string[];
  readonly fix?: { readonly label: string; readonly patch: Readonly<Record<string, ParamValue>> };
}

export type ParamValue = number | string | boolean;

/** A row of equal bending members, for span checks. */
export interface SpanFact {
  readonly what: 'floor joist' | 'ceiling joist' | 'rafter' | 'header' | 'ridge beam';
  readonly item: string;
  readonly span: number;
  readonly spacing: number;
  readonly part: string;
  /** Square feet of roof that come down on one place: on each end of a beam, on the middle of a header. */
  readonly area?: number;
}

/** What keeps the plates of a gable roof from being pushed apart. Inches. */
export interface RoofThrust {
  readonly name: string;
  readonly cover: 'closed' | 'mesh';
  readonly span: number;
  readonly rise: number;
  readonly pitch: number;
  readonly plate: { readonly item: string; readonly count: number; readonly onEdge?: boolean };
  /** Longest stretch of plate between ties or tied walls. */
  readonly apart: number;
  /** Nails in the weakest heel and the wall that it holds. */
  readonly heel?: { readonly nails: number; readonly apart: number } | undefined;
  readonly ties: number;
  readonly part: string;
}

/** What the judgement rules need to know of a build, whichever family made it. Inches, square feet, degrees. */
export interface BuildFacts {
  /** Meant to be moved on its own ground. */
  readonly movable: boolean;
  /** Hoops: length along the curve, distance of the feet, rise over them. */
  readonly hoop?: { readonly length: number; readonly base: number; readonly rise: number; readonly radius: number };
  /** Stands inside another building: no wind, no snow, no trailer. */
  readonly indoors?: boolean;
  /** Comes apart into panels that are carried one by one. */
  readonly knockDown?: boolean;
  /** Equal bays of a run: each one's length, its step down to the next, and what is left to fill under its low end. */
  readonly bays?: { readonly count: number; readonly length: number; readonly drop: number; readonly fill: number };
  /** Rests on: `[minX, minY, maxX, maxY]` of its feet. */
  readonly base: readonly [number, number, number, number];
  readonly enclosedHeight: number;
  readonly floorHeight: number;
  readonly roof: { readonly pitch: number; readonly cover: string; readonly roofedShare: number };
  /** Roofs of two slopes and what ties them. */
  readonly thrust?: readonly RoofThrust[];
  readonly eaves?: { readonly front: number; readonly back: number };
  readonly roosts: readonly {
    readonly height: number;
    readonly length: number;
    readonly bars: number;
    readonly spacing: number;
    readonly toWall: number;
  }[];
  readonly nests?: {
    readonly count: number;
    readonly bottom: number;
    readonly top: number;
    readonly width: number;
    readonly depth: number;
    readonly wall: string;
  };
  readonly ramp?: { readonly rise: number; readonly angle: number; readonly length: number };
  readonly ventArea: number;
  readonly door?: {
    readonly clearWidth: number;
    readonly clearHeight: number;
    readonly threshold: number;
    readonly insideRelease: boolean;
    readonly opens: 'outward' | 'inward';
  };
  readonly wheels?: { readonly diameter: number; readonly fromEnd: number };
  readonly lidWeightParts?: string;
  readonly spans: readonly SpanFact[];
  readonly meshItem?: string;
  /** Heights of mesh faces that a roll should fit. */
  readonly meshHeights: readonly { readonly height: number; readonly assembly: string }[];
  readonly sheetCourses: readonly {
    readonly direction: string;
    readonly param: string;
    readonly size: number;
    readonly item: string;
  }[];
  readonly underfloor?: { readonly open: boolean; readonly clear: number };
  readonly fit?: { readonly studSpacing: number; readonly rafterSpacing: number };
}

/** Everything about one unit, computed from its spec: the single source for every later module. */
export interface Build {
  readonly family: string;
  readonly parts: readonly Part[];
  readonly assemblies: readonly Assembly[];
  readonly openings: readonly Opening[];
  readonly faces: readonly ClosedFace[];
  /** What ties the parts to each other. */
  readonly joints: readonly Joint[];
  readonly notes: readonly FrameNote[];
  readonly capacity: Capacity;
  readonly facts: BuildFacts;
}

/** A part before it has its mark. */
export type PartDraft = Omit<Part, 'mark'>;
