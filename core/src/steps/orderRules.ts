import type { Step } from './types.ts';

/** A rule of the order of work: steps that match `before` must be done ahead of steps that match `after`. */
export interface OrderRule {
  readonly code: string;
  readonly text: string;
  readonly before: (step: Step) => boolean;
  readonly after: (step: Step) => boolean;
  /** Holds only between steps of the same assembly. */
  readonly sameAssembly?: boolean;
  /** Holds only between steps at one place: a run is joined on site to a house that was roofed in the shop. */
  readonly samePlace?: boolean;
}

/** What goes wrong when it is done out of order; common practice, no source. */
export const ORDER_RULES: readonly OrderRule[] = [
  {
    code: 'skin-before-stand',
    text: 'Mesh and siding go on while the panel lies flat: a standing panel cannot be stretched tight.',
    before: (s) => s.verb === 'skin',
    after: (s) => s.verb === 'stand',
    sameAssembly: true,
  },
  {
    code: 'square-before-skin',
    text: 'Square by the diagonals before the skin goes on.',
    before: (s) => s.verb === 'check',
    after: (s) => s.verb === 'skin',
    sameAssembly: true,
  },
  {
    code: 'frame-before-square',
    text: 'A panel is squared once it is framed.',
    before: (s) => s.verb === 'frame',
    after: (s) => s.verb === 'check',
    sameAssembly: true,
  },
  {
    code: 'layout-before-frame',
    text: 'Marks go on before the pieces.',
    before: (s) => s.verb === 'lay out',
    after: (s) => s.verb === 'frame',
    sameAssembly: true,
  },
  {
    code: 'openings-on-bench',
    text: 'Openings are cut out on the bench.',
    before: (s) => s.id === 'cut-sheets',
    after: (s) => s.verb === 'skin',
  },
  {
    code: 'overhead-before-roof',
    text: 'Roosts and anything overhead go in before the roof.',
    before: (s) => s.id === 'roosts/fit',
    after: (s) => s.verb === 'roof',
    samePlace: true,
  },
  {
    code: 'walls-before-roof',
    text: 'Every wall stands before the roof goes on.',
    before: (s) => s.verb === 'stand',
    after: (s) => s.verb === 'roof',
    samePlace: true,
  },
  {
    code: 'pairs-before-cover',
    text: 'Opposing rafters stand before either slope is covered: one slope alone pushes its ridge over.',
    before: (s) => s.verb === 'frame' && s.view === 'three',
    after: (s) => s.verb === 'roof',
    samePlace: true,
  },
  {
    code: 'plate-sawn-last',
    text: 'A plate is sawn out once its wall stands nailed down, and before its door is hung.',
    before: (s) => s.verb === 'stand',
    after: (s) => s.verb === 'saw out',
    sameAssembly: true,
  },
  {
    code: 'sawn-before-hung',
    text: 'A plate is sawn out once its wall stands nailed down, and before its door is hung.',
    before: (s) => s.verb === 'saw out',
    after: (s) => s.verb === 'hang',
    samePlace: true,
  },
  {
    code: 'doors-after-roof',
    text: 'Doors are hung when the unit no longer moves.',
    before: (s) => s.verb === 'roof',
    after: (s) => s.verb === 'hang',
    samePlace: true,
  },
  {
    code: 'coats-dry',
    text: 'The second coat waits for the first.',
    before: (s) => s.id === 'coat-1',
    after: (s) => s.id === 'coat-2',
  },
  {
    code: 'site-coats-dry',
    text: 'The second coat waits for the first.',
    before: (s) => s.id === 'site-coat-1',
    after: (s) => s.id === 'site-coat-2',
  },
  {
    code: 'ground-first',
    text: 'Nothing stands before its ground is ready.',
    before: (s) => s.verb === 'found',
    after: (s) => s.place === 'site' && ['set', 'stand', 'frame', 'roof', 'hang'].includes(s.verb),
  },
  {
    code: 'set-before-stand',
    text: 'The base is level and square before a wall stands on it.',
    before: (s) => s.verb === 'set',
    after: (s) => s.place === 'site' && (s.verb === 'stand' || s.verb === 'roof'),
  },
  {
    code: 'cut-before-load',
    text: 'What is cut in the shop is cut before it is loaded.',
    before: (s) => s.verb === 'cut',
    after: (s) => s.verb === 'load',
  },
  {
    code: 'clean-before-leaving',
    text: 'Staples and mesh ends are picked up before anybody leaves.',
    before: (s) => s.id === 'clean-up' && s.by === undefined,
    after: (s) => s.id === 'return',
  },
  {
    code: 'inspect-before-load',
    text: 'Nothing is loaded unchecked.',
    before: (s) => s.id === 'inspect',
    after: (s) => s.verb === 'load',
  },
];

/** A rule that an order of steps breaks. */
export interface OrderBreach {
  readonly rule: string;
  readonly text: string;
  readonly early: string;
  readonly late: string;
}

/** Rules broken if the steps were done in the given order of ids. */
export const findOrderBreaches = (
  steps: readonly Step[],
  order: readonly string[] = steps.map((s) => s.id),
): OrderBreach[] => {
  const place = new Map(order.map((id, i) => [id, i]));
  const out: OrderBreach[] = [];
  for (const step of steps) {
    for (const need of step.needs) {
      if ((place.get(need) ?? -1) > (place.get(step.id) ?? 0))
        out.push({ rule: 'needs', text: `${step.title} needs another step first.`, early: step.id, late: need });
    }
  }
  for (const rule of ORDER_RULES) {
    for (const late of steps.filter(rule.before)) {
      for (const early of steps.filter(rule.after)) {
        if (rule.sameAssembly && late.assembly !== early.assembly) continue;
        if (rule.samePlace && late.place !== early.place) continue;
        if ((place.get(late.id) ?? 0) > (place.get(early.id) ?? 0))
          out.push({ rule: rule.code, text: rule.text, early: early.id, late: late.id });
      }
    }
  }
  return out;
};
