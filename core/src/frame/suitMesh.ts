import { MESH_LAP, MESHES } from '../stock/index.ts';

/** How much closer than asked studs may come so that a roll's edge meets one. */
const CLOSER = 2;
const WIDTHS = [...new Set(MESHES.flatMap((m) => m.rolls.map((r) => r.width)))];

/**
 * The spacing of studs under mesh, inches: no more than what is asked and a little less where strips of a roll then end on studs
 * with their laps; as asked where no roll comes out better.
 */
export const suitMesh = (most: number): number => {
  let best = { spacing: most, used: 0 };
  for (const roll of WIDTHS) {
    const bays = Math.ceil((roll - MESH_LAP) / most - 1e-9);
    // Marks that a tape has.
    const spacing = Math.floor(((roll - MESH_LAP) / bays) * 2) / 2;
    if (spacing < most - CLOSER || spacing > most) continue;
    const used = (bays * spacing) / roll;
    if (used > best.used + 1e-9) best = { spacing, used };
  }
  return best.spacing;
};
