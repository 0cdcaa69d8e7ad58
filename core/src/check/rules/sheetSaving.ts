import { printLength } from '../../measure/index.ts';
import type { Spec } from '../../model/index.ts';
import type { Build } from '../../unit/index.ts';
import { buildSpec } from '../../model/index.ts';
import { sheetPlanOf } from '../../takeoff/index.ts';
import type { Check, Finding } from '../types.ts';

const countSheets = (build: Build, item: string): number =>
  sheetPlanOf(
    build.parts.filter((p) => p.item === item),
    'quick',
  ).sheets.length;

/** Sheets of the last few shorter units: while a length is dragged the shorter one stays the same. */
const known = new Map<string, number>();
const KEPT = 8;

const countShorter = (spec: Spec, item: string): number => {
  const key = JSON.stringify([item, spec]);
  const before = known.get(key);
  if (before !== undefined) return before;
  const count = countSheets(buildSpec(spec), item);
  if (known.size >= KEPT) known.delete(known.keys().next().value as string);
  known.set(key, count);
  return count;
};

/** A little less length that saves a sheet. */
export const sheetSaving: Check = ({ build, spec, params, rules }) => {
  return build.facts.sheetCourses.flatMap((course): Finding[] => {
    const over = course.size % 48;
    if (over < 1e-6 || over > rules.sheetNear || course.size < 48) return [];
    const size = course.size - over;
    const patch = { [course.param]: size };
    const shorter = countShorter({ ...spec, params: { ...params, ...patch } }, course.item);
    const saved = countSheets(build, course.item) - shorter;
    if (saved < 1) return [];
    return [
      {
        code: `sheet-saving-${course.param}`,
        severity: 'tip',
        what: `${printLength(course.size)} costs ${saved === 1 ? 'a sheet' : `${saved} sheets`} of siding more than ${printLength(size)}.`,
        why: `Sheets are 48″ wide: ${printLength(over)} over starts another one in the ${course.direction}.`,
        where: build.parts
          .filter((p) => p.role === 'siding')
          .slice(0, 1)
          .map((p) => p.id),
        fix: { label: `Make it ${printLength(size).replace('"', '″')}`, patch },
      },
    ];
  });
};
