import type { Sketch } from './sketch.ts';

/** Screws along each side of a ridge cap: into every second rib of the sheets below. Common practice, no source. */
const CAP_AT = 18;

/** Foam closures under the ends of the sheets of a slope, at its eave and its ridge or wall. */
export const closeRibs = (sketch: Sketch, sheet: string, long: number): void =>
  sketch.join({ kind: 'gasketed screw', parts: [sheet], hardware: { closure: 2 * Math.ceil(long / 36) } });

/** A ridge cap over the sheets of two slopes, stitched to their ribs. */
export const capRidge = (sketch: Sketch, sheet: string, long: number): void =>
  sketch.join({
    kind: 'gasketed screw',
    parts: [sheet],
    hardware: { 'ridge-cap': Math.ceil(long / 120) },
    fasteners: [{ item: 'roof-screw-1', length: 1, count: 2 * (Math.ceil(long / CAP_AT) + 1) }],
  });
