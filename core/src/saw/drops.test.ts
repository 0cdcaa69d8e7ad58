import { planSawSheets } from './planSawSheets.ts';
import type { SawSheetPart } from './planSawSheets.ts';

const rules = { kerf: 0.125, saw: 'track' as const };
const yard = [{ stock: null, item: 'siding-5/8', length: 96, width: 48, cost: 4400, quantity: null }];
const part = (
  order: number,
  mark: string,
  length: number,
  width: number,
  drops?: SawSheetPart['drops'],
): SawSheetPart => ({
  order,
  part: `${order}-${mark}`,
  mark,
  panel: 'Front wall',
  item: 'siding-5/8',
  length,
  width,
  ...(drops ? { drops } : {}),
});

describe('what is cut out of sheets', () => {
  const wall = part(7, 'SD2', 90, 47, [{ length: 45.75, width: 30.75 }]);
  it('gives the skin of a door, so that no second sheet is opened', () => {
    const door = part(7, 'D1', 45.75, 30.75);
    const plan = planSawSheets([wall, door], yard, rules);
    expect([plan.cost, plan.bound, plan.proved]).toEqual([4400, 4400, true]);
    const [sheet, drop] = plan.sheets;
    expect(sheet?.dropOf).toBeUndefined();
    expect(drop).toMatchObject({ stock: null, cost: 0, dropOf: { order: 7, mark: 'SD2' } });
    expect(drop?.pieces.map((p) => p.part.mark)).toEqual(['D1']);
    // Without the opening it takes two: 90 × 47 leaves nothing for a door.
    expect(planSawSheets([part(7, 'SD2', 90, 47), door], yard, rules).cost).toBe(8800);
  });
  it('goes back to the rack where nothing is cut from it, if it is large enough', () => {
    const plan = planSawSheets([wall], yard, rules);
    expect(plan.sheets).toHaveLength(1);
    expect(plan.sheets[0]?.rests).toContainEqual({ length: 45.75, width: 30.75 });
    const small = planSawSheets([part(7, 'SD2', 90, 47, [{ length: 20, width: 7 }])], yard, rules);
    expect(small.sheets[0]?.rests.some((r) => r.length === 20)).toBe(false);
  });
  it('is taken once, whatever order it comes from', () => {
    const doors = [part(8, 'D1', 45.75, 30.75), part(9, 'D1', 45.75, 30.75)];
    const plan = planSawSheets([wall, ...doors], yard, rules);
    expect(plan.cost).toBe(8800);
    expect(plan.sheets.filter((s) => s.dropOf)).toHaveLength(1);
    expect(plan.sheets.flatMap((s) => s.pieces.map((p) => p.part.part)).sort()).toEqual(['7-SD2', '8-D1', '9-D1']);
  });
  it('is used where its part is cut already', () => {
    const door = part(7, 'D1', 45.75, 30.75);
    const plan = planSawSheets([door], yard, rules, [wall]);
    expect(plan.cost).toBe(0);
    expect(plan.sheets).toMatchObject([{ dropOf: { mark: 'SD2' }, stock: null }]);
    // Nothing is wanted of it: it is nobody's rest twice.
    expect(planSawSheets([], yard, rules, [wall]).sheets).toEqual([]);
  });
  it('comes after the sheet that it is cut out of, and what is cut out of it after that', () => {
    const panel = part(8, 'P1', 44, 28, [{ length: 30, width: 20 }]);
    const hatch = part(8, 'H1', 29, 19);
    const plan = planSawSheets([wall, panel, hatch], yard, rules);
    expect(plan.sheets.map((s) => [s.dropOf?.mark ?? '', s.pieces[0]?.part.mark])).toEqual([
      ['', 'SD2'],
      ['SD2', 'P1'],
      ['P1', 'H1'],
    ]);
  });
});
