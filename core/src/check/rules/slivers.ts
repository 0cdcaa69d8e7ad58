import { printLength } from '../../measure/index.ts';
import { buildSpec } from '../../model/index.ts';
import { findItem } from '../../stock/index.ts';
import { takeOff } from '../../takeoff/index.ts';
import { measureBounds } from '../../unit/index.ts';
import type { Build, Part } from '../../unit/index.ts';
import type { Check } from '../types.ts';

/** What is cut from sheets, boards or metal and is narrower than this is a sliver. Common practice, no source. */
const SLIVER = 4;
const SKIN = new Set(['deck', 'roofing', 'siding']);

interface Sliver {
  readonly part: Part;
  readonly wide: number;
  /** Which size of the unit it comes of: along it or across it. */
  readonly param: 'length' | 'depth';
}

/** Strips of skin that are too narrow to hold, by the way in which they are narrow; upright ones are left to the wall's height. */
const sliversOf = (build: Build): Sliver[] =>
  build.parts.flatMap((part): Sliver[] => {
    if (!SKIN.has(part.role) || Math.min(part.width, part.length) >= SLIVER) return [];
    // A board or a rip is narrow by itself.
    if (findItem(part.item).kind === 'lumber') return [];
    const { low, high } = measureBounds([part]);
    const [x, y] = [high[0] - low[0], high[1] - low[1]];
    const wide = Math.min(part.width, part.length);
    if (Math.abs(x - wide) < 0.1) return [{ part, wide, param: 'length' }];
    if (Math.abs(y - wide) < 0.1) return [{ part, wide, param: 'depth' }];
    return [];
  });

/** A strip that a slightly smaller unit would not need, with what that saves. */
export const slivers: Check = ({ build, spec, params }) => {
  const found = sliversOf(build).sort((a, b) => a.wide - b.wide);
  const [first] = found;
  if (!first || typeof params[first.param] !== 'number') return [];
  const size = params[first.param] as number;
  const less = Math.ceil(first.wide * 2) / 2;
  const patch = { [first.param]: size - less };
  let other: Build;
  try {
    other = buildSpec({ ...spec, params: { ...params, ...patch } });
  } catch {
    return [];
  }
  if (sliversOf(other).length >= found.length) return [];
  const saved = takeOff(build, 'quick').cost - takeOff(other, 'quick').cost;
  if (saved <= 0) return [];
  return [
    {
      code: 'sliver',
      severity: 'tip',
      what: `${findItem(first.part.item).name[0]?.toUpperCase() ?? ''}${findItem(first.part.item).name.slice(1)} ends in a strip of ${printLength(first.wide)}.`,
      why: `${printLength(less)} less ${first.param === 'length' ? 'length' : 'depth'} needs none and saves $${(saved / 100).toFixed(2)} of material.`,
      where: [first.part.id],
      fix: { label: `Make it ${printLength(size - less).replace('"', '″')}`, patch },
    },
  ];
};
