import type { LeanSlope } from '../../../frame/index.ts';

/** Height of the bottom rail that the rafters stand on. */
export const RAIL = 2.5;
/** Width of a rafter: a 2×4 ripped down the middle, less the kerf. 1 11/16. */
export const RIPPED = 1.6875;

/** The section of an A-frame: its slope, the inner and outer line of its rafters, and its apex. */
export interface AFrame {
  readonly width: number;
  /** Slope of the sides from level, radians. */
  readonly angle: number;
  readonly tan: number;
  /** Depth of a rafter measured plumb. */
  readonly plumb: number;
  readonly apex: number;
  /** Top of the rafters over a place across the pen. */
  readonly outer: (t: number) => number;
  readonly inner: (t: number) => number;
  /** One side as a slope that falls from the middle to the far rail, for what is laid on it. */
  readonly slope: LeanSlope;
}

/** The section from base width and apex angle in degrees. */
export const aFrameOf = (width: number, apexAngle: number): AFrame => {
  const angle = ((180 - apexAngle) / 2 / 180) * Math.PI;
  const tan = Math.tan(angle);
  const plumb = RIPPED / Math.cos(angle);
  const outer = (t: number): number => RAIL + Math.min(t, width - t) * tan;
  const inner = (t: number): number => outer(t) - plumb;
  const under = (t: number): number => RAIL + (width - t) * tan - plumb;
  return {
    width,
    angle,
    tan,
    plumb,
    apex: RAIL + (width / 2) * tan,
    outer,
    inner,
    slope: { depth: width, high: under(width / 2), low: RAIL, fall: tan, seat: 0, under, plumb, wall: 1.5 },
  };
};
