import { MESH_LAP } from '../stock/index.ts';

/** Lines of wood behind a face that run all across it: upright ones by their place from its start, level ones by their height. */
export interface Ribs {
  readonly upright: readonly number[];
  readonly level: readonly number[];
}

/** A face to be covered with mesh, inches. */
export interface MeshFace {
  readonly id: string;
  readonly item: string;
  readonly width: number;
  readonly height: number;
  /** Where seams have something to lie on. */
  readonly ribs?: Ribs;
  /** Faces that follow each other round a unit, in that order, and may be covered in one piece: their name, and how many there are. */
  readonly wrap?: { readonly id: string; readonly faces: number };
}

const EPS = 1e-6;

/** One way to cover a face from one width of roll: strips that lie level, one over another, or stand, one beside another. */
export interface Way {
  readonly face: MeshFace;
  readonly roll: number;
  readonly run: 'level' | 'upright';
  /** Extent of the face across the strips, and along them. */
  readonly across: number;
  readonly along: number;
  /** Strips in order, by their width. */
  readonly widths: readonly number[];
  /** Middles of the laps, across the strips. */
  readonly seams: readonly number[];
  readonly onWood: boolean;
}

type Laid = Pick<Way, 'widths' | 'seams' | 'onWood'>;

/** Whole rolls side by side, each lapping the one before, and what is left for the last. */
const layLoose = (roll: number, across: number): Laid => {
  const count = across <= roll + EPS ? 1 : Math.ceil((across - MESH_LAP) / (roll - MESH_LAP) - EPS);
  const step = roll - MESH_LAP;
  return {
    widths: Array.from({ length: count }, (_, k) => (k < count - 1 ? roll : across - (count - 1) * step)),
    seams: Array.from({ length: count - 1 }, (_, k) => (k + 1) * step + MESH_LAP / 2),
    onWood: count === 1,
  };
};

/** Strips whose laps lie over wood, as few as will do; undefined where two lines of wood are farther apart than a roll is wide. */
const layOnWood = (roll: number, across: number, lines: readonly number[]): Laid | undefined => {
  const half = MESH_LAP / 2;
  const widths: number[] = [];
  const seams: number[] = [];
  let from = 0;
  while (across - from > roll + EPS) {
    const reach = from + roll - half;
    const seam = Math.max(...lines.filter((c) => c <= reach + EPS && c - half > from + EPS && c + half < across));
    if (!Number.isFinite(seam)) return undefined;
    widths.push(seam + half - from);
    seams.push(seam);
    from = seam - half;
  }
  return { widths: [...widths, across - from], seams, onWood: true };
};

/**
 * Every way to cover a face from rolls of some widths: with its seams on wood where one of them can have them there, else
 * wherever they fall. Strips longer than any roll are left out unless nothing else is left.
 */
export const waysOf = (face: MeshFace, rolls: readonly number[], longest: number): Way[] => {
  const all = rolls.flatMap((roll) =>
    (
      [
        ['level', face.height, face.width, face.ribs?.level],
        ['upright', face.width, face.height, face.ribs?.upright],
      ] as const
    ).map(([run, across, along, lines]): Way => {
      const laid = (lines && layOnWood(roll, across, lines)) ?? layLoose(roll, across);
      return { face, roll, run, across, along, ...laid };
    }),
  );
  const fits = all.filter((w) => w.along <= longest + EPS);
  const can = fits.length > 0 ? fits : all;
  const held = can.filter((w) => w.onWood);
  return held.length > 0 ? held : can;
};
