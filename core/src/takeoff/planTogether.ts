import { planSticks } from '../cut/index.ts';
import type { MeshPlan, SheetPlan, StickPlan, StickStock } from '../cut/index.ts';
import { findSheet } from '../stock/index.ts';
import { repeatParts } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import { cheaper } from './planBatch.ts';
import { catalogueSticks, planMesh, sheetPlanOf, stickDemandOf } from './takeOff.ts';

/** So many equal units of one design. */
export interface BatchOf {
  readonly parts: readonly Part[];
  readonly quantity: number;
}

/** What sticks, sheets and rolls of a plan cost, cents. */
export interface BatchCost {
  readonly sticks: number;
  readonly sheets: number;
  readonly mesh: number;
}

/** The wood and mesh of several designs planned as one, and what they cost planned one unit at a time. */
export interface Batch {
  readonly sticks: StickPlan;
  readonly sheets: SheetPlan;
  readonly mesh: MeshPlan;
  readonly cost: BatchCost;
  readonly alone: BatchCost;
}

/** How far apart designs are laid, inches: nothing of one lies against another. */
const APART = 2000;

/** All units side by side: ids and marks say which design and unit they are of. */
const layTogether = (units: readonly BatchOf[]): Part[][] =>
  units.map(({ parts, quantity }, k) =>
    repeatParts(parts, quantity).map((p) => {
      const [x, y, z] = p.place.origin;
      return {
        ...p,
        id: `${k + 1}/${p.id}`,
        mark: `${k + 1}.${p.mark}`,
        ...(p.wrap === undefined ? {} : { wrap: `${k + 1}/${p.wrap}` }),
        ...(p.sawnOut ? { sawnOut: p.sawnOut.map((id) => `${k + 1}/${id}`) } : {}),
        place: { ...p.place, origin: [x, y + k * APART, z] as const },
      };
    }),
  );

const priceOf = (sticks: StickPlan, sheets: SheetPlan, mesh: MeshPlan): BatchCost => ({
  sticks: sticks.cost,
  sheets: sheets.sheets.reduce((sum, s) => sum + findSheet(s.item).cost, 0),
  mesh: mesh.cost,
});

/**
 * Plans several designs, so many of each, as one batch: what is left of one serves the others. `rack` is what lies there, at
 * what it costs to take it (nothing for offcuts); what it does not give is bought.
 */
export const planTogether = (units: readonly BatchOf[], rack: readonly StickStock[] = []): Batch => {
  const all = layTogether(units).flat();
  const stock = [...rack, ...catalogueSticks()];
  const demand = stickDemandOf(all, stock);
  const ones = layTogether(units.map((u) => ({ ...u, quantity: 1 }))).map((parts, k) => ({
    plan: planSticks(stickDemandOf(parts)),
    quantity: units[k]?.quantity ?? 0,
  }));
  const sticks = cheaper(planSticks(demand), ones);
  const sheets = sheetPlanOf(all);
  const mesh = planMesh(all);
  const alone = units.reduce<BatchCost>(
    (sum, { parts, quantity }, k) => {
      const one = priceOf((ones[k] as (typeof ones)[number]).plan, sheetPlanOf(parts), planMesh(parts));
      return {
        sticks: sum.sticks + quantity * one.sticks,
        sheets: sum.sheets + quantity * one.sheets,
        mesh: sum.mesh + quantity * one.mesh,
      };
    },
    { sticks: 0, sheets: 0, mesh: 0 },
  );
  return { sticks, sheets, mesh, cost: priceOf(sticks, sheets, mesh), alone };
};
