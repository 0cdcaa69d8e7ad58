import { planSticks } from '../cut/index.ts';
import type { StickCut, StickPlan } from '../cut/index.ts';
import { repeatParts } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import { planMesh, sheetPlanOf, stickDemandOf } from './takeOff.ts';
import type { Takeoff } from './takeOff.ts';

/** The plans that the saw works by. */
export type CutPlans = Pick<Takeoff, 'sticks' | 'sheets' | 'mesh'>;

const costOf = (sticks: readonly StickCut[]): number => sticks.reduce((sum, s) => sum + s.cost, 0);

/** Item by item the cheaper of what was found for all together and of single units' plans, each over and over. */
export const cheaper = (
  together: StickPlan,
  ones: readonly { readonly plan: StickPlan; readonly quantity: number }[],
): StickPlan => {
  const items = [...new Set(together.sticks.map((s) => s.item))];
  const sticks = items.flatMap((item) => {
    const mine = (p: StickPlan): StickCut[] => p.sticks.filter((s) => s.item === item);
    const all = mine(together);
    const single = ones.flatMap(({ plan, quantity }) => Array.from({ length: quantity }, () => mine(plan)).flat());
    return costOf(all) <= costOf(single) ? all : single;
  });
  return { ...together, sticks, cost: costOf(sticks) };
};

/** The sticks, sheets and rolls of so many equal units, cut as one batch: what is left of one unit serves the next. */
export const planBatch = (parts: readonly Part[], quantity: number): CutPlans => {
  const all = repeatParts(parts, quantity);
  const together = planSticks(stickDemandOf(all));
  const sticks = quantity === 1 ? together : cheaper(together, [{ plan: planSticks(stickDemandOf(parts)), quantity }]);
  return { sticks, sheets: sheetPlanOf(all), mesh: planMesh(all) };
};
