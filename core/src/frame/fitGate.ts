import { openingSide } from './layoutOpenings.ts';
import { WALL } from './frameWall.ts';
import type { Sketch } from './sketch.ts';

/** The gate of a run's end, as wide as was asked for or as the end allows between its corner posts, which serve as its kings; it says so. */
export const fitGate = (sketch: Sketch, asked: number, depth: number): number => {
  const between = depth - 2 * WALL;
  const most =
    Math.floor(
      Math.max(between - 2 * openingSide({ width: asked }), Math.min(24, between - 2 * openingSide({ width: 24 }))) * 2,
    ) / 2;
  if (asked <= most) return asked;
  sketch.note({
    code: 'gate-narrower',
    where: ['run-end/top-plate'],
    severity: 'stop',
    what: `A gate of ${asked}″ does not fit in a run end of ${depth}″; the widest that does is ${most}″.`,
    why: 'It stands between the corner posts with a stud or two on each side; the widest was drawn.',
    fix: { label: `Make the gate ${most}″`, patch: { runGate: most } },
  });
  return most;
};
