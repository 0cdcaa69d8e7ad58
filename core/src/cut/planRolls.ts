import { planSticks } from './planSticks.ts';
import type { Effort } from './searchPatterns.ts';

/** A face to be covered with mesh, inches. */
export interface MeshFace {
  readonly id: string;
  readonly item: string;
  readonly width: number;
  readonly height: number;
}

/** A roll that can be had. */
export interface RollStock {
  readonly item: string;
  readonly width: number;
  readonly length: number;
  readonly cost: number;
}

/** Strips of one face: how many of which roll, lapped. */
export interface MeshStrips {
  readonly face: string;
  readonly item: string;
  readonly roll: number;
  readonly strips: number;
  readonly length: number;
  /** The height is a whole roll wide: nothing is cut away along it. */
  readonly exact: boolean;
}

/** A mesh plan: strips, and the rolls they come from. */
export interface MeshPlan {
  readonly strips: readonly MeshStrips[];
  readonly rolls: readonly {
    readonly item: string;
    readonly width: number;
    readonly length: number;
    readonly cost: number;
    readonly count: number;
  }[];
  readonly cost: number;
}

/** Laps at seams of a face wider than its roll; common practice, no source. */
export const MESH_LAP = 2;

const stripsFor = (roll: number, across: number): number =>
  across <= roll + 1e-6 ? 1 : Math.ceil((across - MESH_LAP) / (roll - MESH_LAP) - 1e-6);

/**
 * Chooses for each face the roll width and direction that wastes least, with 2 in laps at seams, then the rolls to buy:
 * strips are cut from rolls as pieces from sticks.
 */
export const planRolls = (
  faces: readonly MeshFace[],
  rolls: readonly RollStock[],
  effort: Effort = 'full',
): MeshPlan => {
  const strips = faces.map((f): MeshStrips => {
    const options = [...new Set(rolls.filter((r) => r.item === f.item).map((r) => r.width))].flatMap((roll) =>
      (
        [
          [f.height, f.width],
          [f.width, f.height],
        ] as const
      ).map(([across, along]) => {
        const n = stripsFor(roll, across);
        return {
          face: f.id,
          item: f.item,
          roll,
          strips: n,
          length: along,
          exact: Math.abs(across - roll) < 1 / 16,
          area: n * roll * along,
        };
      }),
    );
    const best = options.reduce((a, b) =>
      b.area < a.area - 1e-6 || (Math.abs(b.area - a.area) < 1e-6 && b.strips < a.strips) ? b : a,
    );
    const { area: _area, ...rest } = best;
    return rest;
  });
  const keys = [...new Set(strips.map((s) => `${s.item}|${s.roll}`))];
  const bought = new Map<string, { item: string; width: number; length: number; cost: number; count: number }>();
  for (const key of keys) {
    const mine = strips.filter((s) => `${s.item}|${s.roll}` === key);
    const first = mine[0] as MeshStrips;
    const plan = planSticks(
      {
        kerf: 0,
        endTrim: 0,
        stock: rolls
          .filter((r) => r.item === first.item && r.width === first.roll)
          .map((r) => ({ item: key, length: r.length, cost: r.cost, quantity: null })),
        pieces: mine.map((s, i) => ({ id: `${i}`, item: key, length: s.length, quantity: s.strips })),
      },
      effort,
    );
    for (const stick of plan.sticks) {
      const k = `${key}|${stick.length}`;
      const line = bought.get(k) ?? {
        item: first.item,
        width: first.roll,
        length: stick.length,
        cost: stick.cost,
        count: 0,
      };
      bought.set(k, { ...line, count: line.count + 1 });
    }
  }
  const list = [...bought.values()];
  return { strips, rolls: list, cost: list.reduce((sum, r) => sum + r.cost * r.count, 0) };
};
