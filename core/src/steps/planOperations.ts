import type { Step, Station } from './types.ts';

/** A run of steps at one station, planned as one block. */
export interface Operation {
  readonly key: string;
  readonly name: string;
  readonly station: Station;
  readonly crew: number;
  /** Minutes of work for the whole crew. */
  readonly minutes: number;
  /** Minutes that must pass after it before the next may start. */
  readonly dry: number;
  readonly needs: readonly string[];
  readonly steps: readonly string[];
}

/** A night's drying between coats; common practice, no source. */
export const DRYING = 12 * 60;

type OperationKey = 'saw' | 'frame' | 'raise' | 'build' | 'coat-1' | 'coat-2' | 'load' | 'deliver';

/** A unit that is not painted is built in one go; a house is framed as panels, then raised and fitted out, then coated. */
const kindOf = (s: Step, coated: boolean): OperationKey => {
  if (s.station === 'saw') return 'saw';
  if (s.id === 'coat-1' || s.id === 'coat-2') return s.id;
  if (s.station === 'yard') return 'load';
  // One crew drives and sets up: delivery and setting are one trip.
  if (s.station === 'road' || s.station === 'site') return 'deliver';
  if (!coated) return 'build';
  const onPanels =
    s.view !== 'three' && s.verb !== 'stand' && s.verb !== 'saw out' && s.verb !== 'hang' && s.verb !== 'fit';
  return onPanels ? 'frame' : 'raise';
};

const INFO: Readonly<
  Record<
    OperationKey,
    { readonly name: string; readonly station: Station; readonly crew: number; readonly dry: number }
  >
> = {
  saw: { name: 'cut', station: 'saw', crew: 1, dry: 0 },
  frame: { name: 'frame', station: 'bay', crew: 2, dry: 0 },
  raise: { name: 'raise', station: 'bay', crew: 2, dry: 0 },
  build: { name: 'build', station: 'bay', crew: 2, dry: 0 },
  'coat-1': { name: '1st coat', station: 'paint', crew: 1, dry: DRYING },
  'coat-2': { name: '2nd coat', station: 'paint', crew: 1, dry: DRYING },
  load: { name: 'load', station: 'yard', crew: 2, dry: 0 },
  deliver: { name: 'deliver', station: 'road', crew: 2, dry: 0 },
};

/** Whole-crew minutes of some steps for a number of equal units: work is shared, a drive takes as long for two as for one. */
const crewMinutes = (steps: readonly Step[], crew: number, quantity: number): number => {
  const sum = (list: readonly Step[]): number => list.reduce((n, s) => n + s.minutes, 0);
  const driving = steps.filter((s) => s.station === 'road');
  const work = steps.filter((s) => s.station !== 'road');
  return Math.max(15, Math.round((sum(work) / crew) * quantity + sum(driving)));
};

/** Groups the steps of `quantity` equal units into the blocks that a crew plan moves about, in a chain of needs. */
export const planOperations = (steps: readonly Step[], quantity = 1): Operation[] => {
  const coated = steps.some((s) => s.id === 'coat-1');
  const out: Operation[] = [];
  for (const key of Object.keys(INFO) as OperationKey[]) {
    const mine = steps.filter((s) => kindOf(s, coated) === key);
    if (mine.length === 0) continue;
    const { name, station, crew, dry } = INFO[key];
    const previous = out[out.length - 1];
    out.push({
      key,
      name,
      station,
      crew,
      minutes: crewMinutes(mine, crew, quantity),
      dry,
      needs: previous ? [previous.key] : [],
      steps: mine.map((s) => s.id),
    });
  }
  return out;
};

/** All labour of a build in minutes, bench and site apart. */
export const measureLabour = (steps: readonly Step[]): { readonly bench: number; readonly site: number } => ({
  bench: steps.filter((s) => !['road', 'site'].includes(s.station)).reduce((sum, s) => sum + s.minutes, 0),
  site: steps.filter((s) => s.station === 'site').reduce((sum, s) => sum + s.minutes, 0),
});
