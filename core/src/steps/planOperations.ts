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

const kindOf = (s: Step): string => {
  if (s.station === 'saw') return 'saw';
  if (s.id === 'coat-1' || s.id === 'coat-2') return s.id;
  if (s.station === 'yard') return 'load';
  if (s.station === 'road') return 'deliver';
  if (s.station === 'site') return 'set';
  if (s.verb === 'stand' || s.verb === 'roof' || (s.verb === 'frame' && s.view === 'three')) return 'raise';
  if (s.verb === 'hang' || s.verb === 'fit' || s.verb === 'inspect') return 'fit';
  return 'panels';
};

const NAMES: Readonly<Record<string, { readonly name: string; readonly crew: number; readonly dry: number }>> = {
  saw: { name: 'cut', crew: 1, dry: 0 },
  panels: { name: 'frame, skin', crew: 2, dry: 0 },
  raise: { name: 'raise, roof', crew: 2, dry: 0 },
  fit: { name: 'doors, fittings', crew: 1, dry: 0 },
  'coat-1': { name: '1st coat', crew: 1, dry: DRYING },
  'coat-2': { name: '2nd coat', crew: 1, dry: DRYING },
  load: { name: 'load', crew: 2, dry: 0 },
  deliver: { name: 'deliver', crew: 2, dry: 0 },
  set: { name: 'set on site', crew: 2, dry: 0 },
};
const ORDER = ['saw', 'panels', 'raise', 'fit', 'coat-1', 'coat-2', 'load', 'deliver', 'set'];

/** Groups steps into the blocks that a crew plan moves about, in a chain of needs. Delivery and setting are one trip. */
export const planOperations = (steps: readonly Step[]): Operation[] => {
  const out: Operation[] = [];
  for (const key of ORDER) {
    const mine = steps.filter((s) => kindOf(s) === key);
    if (mine.length === 0) continue;
    const info = NAMES[key];
    if (!info) continue;
    const work = mine.reduce((sum, s) => sum + s.minutes, 0);
    const previous = out[out.length - 1];
    out.push({
      key,
      name: info.name,
      station: mine[0]?.station ?? 'bay',
      crew: info.crew,
      minutes: Math.max(15, Math.round(work / info.crew)),
      dry: info.dry,
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
