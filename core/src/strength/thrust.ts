import { findLumber } from '../stock/index.ts';

/**
 * Rafters without support at their ridge push the plates apart. What holds them: ties across the house at the plates, or the plates
 * themselves as beams lying on their side between walls that are tied.
 */

/** Weight of a covered roof's own framing and skin, pounds per square foot. Common practice, no source. */
const DEAD = 10;
/** Least load that a roof is built for, pounds per square foot. Source: IRC R301.6 (value from memory). */
const LIVE_LEAST = 20;
/** Mesh lets most of it through; wet snow hangs on it. Common practice, no source. */
const ON_MESH = 15;
/** Slopes on which snow stays whole and from which none stays, degrees. Source: ASCE 7, slope factor (values from memory). */
const SLIDES = [30, 70] as const;

/** What a nail carries across, pounds, for a load of snow. */
export interface NailStrength {
  readonly pounds: number;
}
/** 16d common (0.162 in) in spruce-pine-fir, by which the code's table is drawn up. Value worked back from the table, no source. */
export const CODE_NAIL: NailStrength = { pounds: 114 };
/** 3 in framing nail (0.131 in) in spruce-pine-fir: 82 lb times 1.15 for snow. Source: NDS table 12N (value from memory). */
export const FRAMING_NAIL: NailStrength = { pounds: 94 };

/** Bending of No. 2 spruce-pine-fir under snow, 2×4. Source: NDS Supplement, table 4A (from memory). */
const BENDING = 875 * 1.5 * 1.15;

/** Load on a slope in pounds per square foot of plan. `pitch` is inches of rise per 12 of run. */
export const roofLoad = (snow: number, pitch: number, cover: 'closed' | 'mesh'): number => {
  const angle = (Math.atan(pitch / 12) * 180) / Math.PI;
  const stays = Math.min(1, Math.max(0, (SLIDES[1] - angle) / (SLIDES[1] - SLIDES[0])));
  return cover === 'mesh' ? ON_MESH * stays + 2 : Math.max(LIVE_LEAST, snow) * stays + DEAD;
};

/**
 * Outward push on each plate in pounds per foot of wall: load × span² ÷ (8 × rise).
 * @param load pounds per square foot of plan
 * @param span plate to plate, inches
 * @param rise from the plates to the ridge, inches
 */
export const measureThrust = (load: number, span: number, rise: number): number =>
  (load * (span / 12) ** 2) / (8 * (rise / 12));

/** Nails in each heel of a tie that takes the push of `apart` inches of wall. Source of the least: IRC table R802.5.2 (from memory). */
export const countHeelNails = (thrust: number, apart: number, nail: NailStrength = FRAMING_NAIL): number =>
  Math.max(3, Math.ceil((thrust * apart) / 12 / nail.pounds - 1e-9));

/** Longest stretch of a plate between ties, inches: it bends outward like a beam on its side. Formula: w·L²/8 ≤ F'b·S, as in NDS. */
export const measurePlateStretch = (thrust: number, plate: string, count: number): number => {
  const { thickness, width } = findLumber(plate.replace('-pt', ''));
  // A plate on its wide side bends across its width; a rail on edge across its thickness.
  const section = (count * thickness * width * width) / 6;
  return Math.sqrt((8 * BENDING * section) / (thrust / 12));
};

/** The same for a rail that stands on edge. */
export const measureRailStretch = (thrust: number, rail: string): number => {
  const { thickness, width } = findLumber(rail.replace('-pt', ''));
  return Math.sqrt((8 * BENDING * ((width * thickness * thickness) / 6)) / (thrust / 12));
};
