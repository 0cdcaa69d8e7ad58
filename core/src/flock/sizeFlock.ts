import { FLOCK_RULES } from './types.ts';
import type { Capacity, Flock, FlockRules } from './types.ts';

/** One thing that limits the flock: how much it needs, how much there is, and the birds it is enough for. */
export interface Limit {
  readonly what: 'house' | 'roost' | 'nests' | 'run' | 'pen floor';
  readonly unit: 'sq ft' | 'in' | 'nests';
  readonly each: number;
  readonly need: number;
  readonly have?: number;
  /** Birds that what there is carries; undefined while nothing is chosen. */
  readonly birds?: number;
}

/** The advice for a flock: what it needs, and with a unit in hand what runs out first. */
export interface FlockSizing {
  readonly birds: number;
  readonly limits: readonly Limit[];
  readonly first?: Limit;
}

const share = (flock: Flock, rules: FlockRules): number => (flock.breed === 'bantam' ? rules.bantamShare : 1);

/** Square feet of run each bird needs under the rules; fresh grass every day takes the least. */
export const measureRunNeed = (flock: Flock, rules: FlockRules = FLOCK_RULES): number =>
  share(flock, rules) *
  (flock.moves === 'daily' ? rules.areaPerPenLayer : flock.ranging ? rules.runPerHenRanging : rules.runPerHenConfined);

/**
 * Sizes for the larger of the flock now and in two years, and names what runs out first.
 * Meat birds and layers in a day-moved pen are sized by pen floor alone; other layers by house, roost, nests and run.
 * @param have what a chosen unit offers, when there is one
 */
export const sizeFlock = (flock: Flock, have?: Capacity, rules: FlockRules = FLOCK_RULES): FlockSizing => {
  const birds = Math.max(flock.now, flock.later);
  const k = share(flock, rules);
  const limit = (what: Limit['what'], unit: Limit['unit'], each: number, has?: number): Limit => ({
    what,
    unit,
    each,
    need: unit === 'nests' ? Math.ceil(birds / each) : birds * each,
    ...(has === undefined ? {} : { have: has, birds: Math.floor((unit === 'nests' ? has * each : has / each) + 1e-9) }),
  });
  const limits: Limit[] = [];
  if (flock.kind === 'meat') limits.push(limit('pen floor', 'sq ft', rules.areaPerMeatBird, have?.runArea));
  else if (flock.moves === 'daily' && (have === undefined || have.houseArea === undefined))
    limits.push(limit('pen floor', 'sq ft', rules.areaPerPenLayer * k, have?.runArea));
  else {
    limits.push(limit('house', 'sq ft', rules.housePerHen * k, have?.houseArea));
    limits.push(limit('roost', 'in', rules.roostPerHen * (k < 1 ? 0.75 : 1), have?.roostLength));
    limits.push(limit('nests', 'nests', rules.hensPerNest, have?.nests));
    if (have === undefined || have.runArea !== undefined)
      limits.push(limit('run', 'sq ft', measureRunNeed(flock, rules), have?.runArea));
  }
  const known = limits.filter((l) => l.birds !== undefined);
  const first = known.reduce<Limit | undefined>(
    (least, l) => (least === undefined || (l.birds ?? 0) < (least.birds ?? 0) ? l : least),
    undefined,
  );
  return { birds, limits, ...(first ? { first } : {}) };
};
