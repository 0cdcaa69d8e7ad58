import { planRolls } from '../cut/index.ts';
import type { Effort, MeshFace } from '../cut/index.ts';
import { clean } from '../measure/index.ts';
import { itemsOf } from '../stock/index.ts';
import type { RackStock } from './findSources.ts';
import { OWN } from './findSources.ts';
import type { SheetSource } from './planSawSheets.ts';
import type { SawPart } from './types.ts';

/** A face that is covered with mesh, and whose it is; the face is known by its order and part. */
export interface SawFace extends SawPart {
  readonly face: MeshFace;
}

/** A strip where it is cut from its roll: x along the roll, y across it. Inches. */
export interface SawStrip {
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
  readonly part: SawPart;
  /** Runs on from the strip before it, bent round a corner instead of cut off. */
  readonly bent?: true;
}

/** One roll in its turn, and what is left of it. */
export interface SawRoll {
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly cost: number;
  readonly stock: number | null;
  readonly strips: readonly SawStrip[];
  /** Length at its end that nothing is cut from. */
  readonly left: number;
}

export interface SawRolls {
  readonly rolls: readonly SawRoll[];
  readonly cost: number;
}

/** What mesh comes from. `cost` is what it is planned by, `price` what it is worth. */
export interface RollSource extends SheetSource {
  readonly price: number;
}

/** Shortest end of a roll that is kept, inches. Common practice, no source. */
export const ROLL_END = 24;

/**
 * What mesh can come from: ends of rolls, which cost nothing, whole ones on the rack, then the yard. What is left of a roll is a
 * roll again, so one that is there is never dearer than the smallest that would be bought in its place.
 */
export const findRollSources = (rack: readonly RackStock[]): RollSource[] => {
  const meshes = new Map(itemsOf('mesh').map((m) => [m.key, m]));
  const own = rack.flatMap((r): RollSource[] => {
    const rolls = meshes.get(r.item)?.rolls.filter((x) => Math.abs(x.width - (r.width ?? 0)) < 1e-6) ?? [];
    // An end that was cut narrower than any roll is for patches.
    if (rolls.length === 0 || r.length === null || r.width === null || r.free <= 0) return [];
    const { length, width } = r;
    const whole = rolls.find((x) => Math.abs(x.length - length) < 1e-6);
    const perInch = Math.min(...rolls.map((x) => x.cost / x.length));
    const price = r.mark === '' ? Math.floor((whole?.cost ?? perInch * length) * OWN) : 0;
    const least = Math.floor(Math.min(...rolls.map((x) => x.cost)) * OWN);
    return [{ stock: r.id, item: r.item, length, width, cost: Math.min(price, least), price, quantity: r.free }];
  });
  const yard = [...meshes.values()].flatMap((m) =>
    m.rolls.map((r): RollSource => ({ stock: null, item: m.key, ...r, price: r.cost, quantity: null })),
  );
  return [...own.sort((a, b) => a.cost - b.cost), ...yard];
};

/** Lays the mesh of a batch out on common rolls, ends on the rack first. */
export const planSawRolls = (
  faces: readonly SawFace[],
  sources: readonly RollSource[],
  effort: Effort = 'full',
): SawRolls => {
  const parts = new Map(faces.map(({ face, ...part }) => [face.id, part]));
  // Lines that give the same at the same price are one to the planner.
  const stock = new Map<string, RollSource>();
  for (const s of sources) {
    const key = `${s.item}|${s.width}|${s.length}|${s.cost}`;
    const before = stock.get(key);
    const endless = s.quantity === null || before?.quantity === null;
    stock.set(key, { ...s, quantity: endless ? null : (s.quantity ?? 0) + (before?.quantity ?? 0) });
  }
  const plan = planRolls(
    faces.map((f) => f.face),
    [...stock.values()].map(({ item, width, length, cost, quantity }) => ({ item, width, length, cost, quantity })),
    effort,
  );
  const left = sources.map((s) => s.quantity);
  const rolls = plan.layout.map((r): SawRoll => {
    const k = sources.findIndex(
      (s, i) => s.item === r.item && s.width === r.width && s.length === r.length && s.cost === r.cost && left[i] !== 0,
    );
    const before = left[k];
    if (before !== null && before !== undefined) left[k] = before - 1;
    return {
      item: r.item,
      length: r.length,
      width: r.width,
      cost: sources[k]?.price ?? r.cost,
      stock: sources[k]?.stock ?? null,
      strips: r.strips.map(({ face, ...put }) => ({ ...put, part: parts.get(face) as SawPart })),
      left: clean(r.length - Math.max(0, ...r.strips.map((s) => s.x + s.length))),
    };
  });
  return { rolls, cost: rolls.reduce((n, r) => n + r.cost, 0) };
};
