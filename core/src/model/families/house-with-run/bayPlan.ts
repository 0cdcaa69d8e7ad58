import type { Guard } from '../../../frame/index.ts';

/** One bay of a run: a box of mesh walls under a gable, `index` counted from the house, `foot` the underside of its sills. */
export interface BayPlan {
  readonly index: number;
  /** Left and right end along the unit. */
  readonly from: number;
  readonly to: number;
  readonly depth: number;
  readonly foot: number;
  readonly eave: number;
  readonly pitch: number;
  readonly studs: number;
  readonly roof: 'mesh' | 'metal';
  /** Rows of purlin blocks under metal, at most this far apart. */
  readonly purlins: number;
  readonly mesh: string;
  /** Width of a gate in its left end; without one the end is open to the next bay. */
  readonly gate?: number;
  /** How far the ground at its left end is below its sills, filled on site. */
  readonly fill: number;
  /** What keeps diggers out at its foot. */
  readonly dig: Guard;
  /** Step down to the next bay, closed above that bay's roof. */
  readonly step: number;
}
