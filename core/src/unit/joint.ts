import type { Vec3 } from '../geometry/index.ts';

/** How two parts hold together. */
export type JointKind =
  | 'end-nailed'
  | 'toe-nailed'
  | 'face-nailed'
  | 'end-screwed'
  | 'toe-screwed'
  | 'face-screwed'
  | 'pocket'
  | 'half-lap'
  | 'notch'
  | 'gusset'
  | 'bolt'
  | 'lag'
  | 'strap'
  | 'tie'
  | 'hinge'
  | 'latch'
  | 'hook'
  | 'staple'
  | 'washer'
  | 'batten clamp'
  | 'gasketed screw'
  | 'roofing nail'
  | 'cleat'
  | 'glue'
  | 'hung'
  | 'rests';

/** Fasteners that a joint takes: an item of stock, its length in inches, and how many. */
export interface Driven {
  readonly item: string;
  readonly length: number;
  readonly count: number;
}

/** Things other than driven fasteners that a joint takes: hinges, ties, straps, bolts. */
export interface Fitted {
  readonly item: string;
  readonly count: number;
}

/** What a fastener goes through and what it is held in, inches along it, where it is driven square. */
export interface Bite {
  readonly through: number;
  readonly into: number;
  /** True where it is held in end grain, across which it carries but out of which it draws. */
  readonly endGrain?: boolean;
}

/**
 * What ties parts to each other. `parts` in the order in which fasteners pass through them; one part alone is tied to what
 * carries the unit or to what hangs on it. Made at the step in which its last part goes on.
 */
export interface Joint {
  readonly id: string;
  readonly kind: JointKind;
  readonly parts: readonly string[];
  /** Middle of the contact. */
  readonly at?: Vec3;
  readonly fasteners: readonly Driven[];
  readonly hardware: readonly Fitted[];
  readonly bite?: Bite;
  /** True where it was asked for by whoever framed the parts; the others follow from how the parts meet. */
  readonly asked?: true;
}

/** A joint before it has its id; one that is made `instead` is the only one of its parts. */
export type JointDraft = Omit<Joint, 'id'> & { readonly instead?: true };
