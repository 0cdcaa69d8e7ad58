import { planSticks } from '../cut/index.ts';
import type { StickCut, StickPlan } from '../cut/index.ts';
import { repeatParts } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import { planMesh, sheetPlanOf, stickDemandOf } from './takeOff.ts';
import type { Takeoff } from './takeOff.ts';

/** The plans that the saw works by. */
export type CutPlans = Pick<Takeoff, 'sticks' | 'sheets' | 'mesh'>;

const costOf = (sticks: readonly StickCut[]): number => sticks.reduce((sum, s) => sum + s.cost, 0);

/** Item by item the cheaper of what was found for all together and of one unit's plan over and over. */
const cheaper = (together: StickPlan, one: StickPlan, quantity: number): StickPlan => {
  const items = [...new Set(together.sticks.map((s) => s.item))];
  const sticks = items.flatMap((item) => {
    const [all, single] = [together, one].map((p) => p.sticks.filter((s) => s.item === item)) as [
      StickCut[],
      StickCut[],
    ];
    return costOf(all) <= costOf(single) * quantity ? all : Array.from({ length: quantity }, () => single).flat();
  });
  return { ...together, sticks, cost: costOf(sticks) };
};

/** The sticks, sheets and rolls of so many equal units, cut as one batch: what is left of one unit serves the next. */
export const planBatch = (parts: readonly Part[], quantity: number): CutPlans => {
  const all = repeatParts(parts, quantity);
  const together = planSticks(stickDemandOf(all));
  const sticks = quantity === 1 ? together : cheaper(together, planSticks(stickDemandOf(parts)), quantity);
  return { sticks, sheets: sheetPlanOf(all), mesh: planMesh(all) };
};
