import { MESH_LAP, MESHES } from '../stock/index.ts';

/** How much closer than asked studs may come so that a roll's edge meets one, and how much more of a roll that must use. */
const CLOSER = 2;
const WORTH = 0.1;
const WIDTHS = [...new Set(MESHES.flatMap((m) => m.rolls.map((r) => r.width)))];

/** Share of a roll that strips of whole bays use, on the roll that suits them best. */
const usedAt = (spacing: number): number =>
  Math.max(...WIDTHS.map((roll) => (Math.floor((roll - MESH_LAP) / spacing + 1e-9) * spacing) / roll));

/**
 * The spacing of studs under mesh, inches: no more than what is asked and a little less where strips of a roll then end on studs
 * with their laps; as asked where no roll comes out much better.
 */
export const suitMesh = (most: number): number => {
  // Marks that a tape has.
  const closer = WIDTHS.map((roll) => {
    const bays = Math.ceil((roll - MESH_LAP) / most - 1e-9);
    return Math.floor(((roll - MESH_LAP) / bays) * 2) / 2;
  }).filter((s) => s <= most && s >= most - CLOSER);
  const best = closer.reduce((a, b) => (usedAt(b) > usedAt(a) + 1e-9 ? b : a), most);
  return usedAt(best) >= usedAt(most) + WORTH ? best : most;
};
