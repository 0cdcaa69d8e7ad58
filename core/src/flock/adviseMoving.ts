import type { Flock } from './types.ts';

/** Fixed or movable, with the reasons in words. */
export interface MovingAdvice {
  readonly movable: boolean;
  readonly reasons: readonly string[];
}

/**
 * Advises a fixed or a movable unit from flock, mover and slope.
 * @param slope fall of the ground in inches over 10 ft, if known
 */
export const adviseMoving = (flock: Flock, slope = 0): MovingAdvice => {
  const reasons: string[] = [];
  const birds = Math.max(flock.now, flock.later);
  let score = 0;
  if (flock.kind === 'meat') {
    score += 2;
    reasons.push('Meat birds do best on fresh ground every day.');
  }
  if (birds > 12 && flock.kind === 'layers') {
    score -= 2;
    reasons.push(`${birds} layers want more house than people move by hand.`);
  }
  if (flock.mover === 'child') {
    score -= 1;
    reasons.push('A child cannot lift a pen of any size safely.');
  }
  if (flock.mover === 'vehicle') {
    score += 1;
    reasons.push('A vehicle moves what hands cannot.');
  }
  if (slope > 12) {
    score -= 1;
    reasons.push(`The ground falls ${Math.round(slope)} in over 10 ft: gaps open under a pen, and it runs downhill.`);
  }
  if (flock.moves === 'daily') {
    score += 1;
    reasons.push('Daily moves mean fresh ground and no mucking out.');
  }
  if (flock.moves === 'never') {
    score -= 2;
    reasons.push('Never moved: clean-out decides the design.');
  }
  return { movable: score > 0, reasons };
};
