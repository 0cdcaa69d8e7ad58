import { readUnitKey } from '@rubbet/core/steps';
import type { UnitLine } from '@rubbet/core/steps';
import type { Build } from '@rubbet/core/unit';
import type { Step } from '@rubbet/core/steps';

/** What the panel tabs are: the saw, each assembly wherever it is worked on, the rest of the shop, and what comes after it. */
export const tabOf = (s: Pick<Step, 'station' | 'assembly'>): string => {
  if (s.station === 'saw') return 'saw';
  if (s.station === 'yard' || s.station === 'road') return 'away';
  return s.assembly ?? (s.station === 'site' ? 'away' : 'last');
};

const NAMES: Readonly<Record<string, string>> = {
  saw: 'Saw',
  last: 'Finish',
  away: 'Away',
};

/** Names of the tabs of some steps, in their order; assemblies of one name are numbered. */
export const nameTabs = (
  steps: readonly Pick<Step, 'station' | 'assembly'>[],
  build: Pick<Build, 'assemblies'>,
): { readonly key: string; readonly name: string }[] => {
  const keys = [...new Set(steps.map(tabOf))];
  const plain = (key: string): string => NAMES[key] ?? build.assemblies.find((a) => a.id === key)?.name ?? key;
  const names = keys.map(plain);
  return keys.map((key, i) => {
    const name = names[i] as string;
    const same = keys.filter((_, k) => names[k] === name);
    return { key, name: same.length > 1 ? `${name} ${same.indexOf(key) + 1}` : name };
  });
};

/** Where a piece goes in: the first step of its unit that is not cutting and has it; undefined where no step has. */
export const findLabelled = (
  partId: string,
  lines: readonly UnitLine[],
  steps: readonly Pick<Step, 'id' | 'parts' | 'station'>[],
): UnitLine | undefined => {
  const { id, unit } = readUnitKey(partId);
  const mine = new Set(steps.filter((s) => s.station !== 'saw' && s.parts.includes(id)).map((s) => s.id));
  return lines.find((l) => mine.has(l.stepId) && (l.unit === unit || l.unit === 0));
};

/** The lines that a person at one unit sees: what is done once for all, and what is done for that unit. */
export const linesOf = (lines: readonly UnitLine[], unit: number): UnitLine[] =>
  lines.filter((l) => l.unit === 0 || l.unit === unit);
