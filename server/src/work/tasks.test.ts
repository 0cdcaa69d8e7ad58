import { BUSINESS_RULES } from '@rubbet/core/order';
import { parseSpec } from '@rubbet/core/model';
import { readTicket } from '@rubbet/core/takeoff';
import type { StickPlan } from '@rubbet/core/cut';
import { TASKS } from './tasks.ts';

const of = (params: Record<string, number | string | boolean>) => ({
  input: { spec: parseSpec({ family: 'walk-in', params }), miles: 0, quantity: 1 },
  rules: BUSINESS_RULES,
});
const plan = (params: Record<string, number | string | boolean>) =>
  TASKS.plan({ of: of(params), revision: 1, quantity: 1 });

describe('the plan of a work order as its rows have it', () => {
  it('has a row for everything that is cut: a plate that is sawn out later is one, at its whole length', () => {
    const { parts, sticks } = plan({ threshold: 0 });
    const plates = parts.filter((p) => p.part_id.startsWith('front-wall/bottom-plate'));
    expect(plates).toEqual([expect.objectContaining({ part_id: 'front-wall/bottom-plate', length: 144 })]);
    // Every ticket has its rows, as many as pieces come of it.
    const cut = (JSON.parse(sticks) as StickPlan).sticks.flatMap((s) => s.cuts);
    const marks = new Set(parts.map((p) => p.mark));
    for (const c of cut) expect(marks.has(readTicket(c.id).mark)).toBe(true);
  });
  it('has a row for the step that saws it, after its wall stands, and none over a threshold', () => {
    const { steps } = plan({ threshold: 0 });
    const saw = steps.find((s) => s.step_id === 'front-wall/saw-out');
    expect(JSON.parse(saw?.needs ?? '[]')).toContain('front-wall/stand');
    // A walk-in is joined on site: there its wall stands.
    expect(saw?.station).toBe('site');
    expect(plan({ threshold: 8 }).steps.some((s) => s.step_id.endsWith('/saw-out'))).toBe(false);
  });
  it('gives the bench the shape of what is left of it all the same', () => {
    const { plan: text } = plan({ threshold: 0 });
    const shown = JSON.parse(TASKS.benchPlan({ plan: text })) as { build: { parts: { id: string; fit: string }[] } };
    expect(shown.build.parts.filter((p) => p.fit === 'sawn in place').map((p) => p.id)).toEqual([
      'front-wall/bottom-plate-beyond-1',
    ]);
  });
});
