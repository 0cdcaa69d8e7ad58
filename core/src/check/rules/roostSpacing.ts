import { one } from '../print.ts';
import type { Check, Finding } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Room between bars and to the wall. */
export const roostSpacing: Check = ({ build, rules }) =>
  build.facts.roosts.flatMap((r): Finding[] => {
    const least = Math.min(r.toWall, r.bars > 1 ? r.spacing : Infinity);
    if (least >= rules.roostClear - 1e-6) return [];
    return [
      {
        code: 'roost-spacing',
        severity: 'warn',
        what: `A roost bar stands ${one(Math.max(0, least))}″ from ${least === r.toWall ? 'the wall or the slope of the roof' : 'the next one'}.`,
        why: `Birds need ${rules.roostClear}″ behind them, or tails and combs rub.`,
        where: partsWhere(build, (p) => p.role === 'roost'),
      },
    ];
  });
