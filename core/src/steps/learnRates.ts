import type { LabourRates, Step } from './types.ts';

/** Rates that follow from what a step is about, in the order in which they are told. */
export type RateKey = keyof LabourRates;

const BY_VERB: Readonly<Partial<Record<Step['verb'], RateKey>>> = {
  sort: 'sortPerStick',
  'lay out': 'layoutPerMark',
  frame: 'framePerPart',
  stand: 'standPerPanel',
  fit: 'fitPerPart',
  hang: 'hangDoor',
  coat: 'coatPerSquareFoot',
};

/** The labour rate that a step's minutes are counted by in the main; undefined where they follow from none. */
export const rateOf = (step: Pick<Step, 'id' | 'verb' | 'place' | 'batch'>, hasMesh: boolean): RateKey | undefined => {
  if (step.place !== 'shop' || step.batch === 'whole') return undefined;
  if (step.verb === 'cut')
    return step.id === 'cut-sheets' ? 'cutPerSheetPiece' : step.id === 'cut-mesh' ? 'cutPerMeshFace' : 'cutPerPiece';
  if (step.verb === 'skin') return hasMesh ? 'meshPerSquareFoot' : 'skinPerSheet';
  if (step.verb === 'roof') return step.id.endsWith('/cover') ? 'roofPerSheet' : 'framePerPart';
  return BY_VERB[step.verb];
};

/** A step that was timed: minutes as planned and as logged, and the rate that it was planned by. */
export interface TimedStep {
  readonly rate: RateKey;
  readonly planned: number;
  readonly logged: number;
  readonly rateThen: number;
}

/** What logged times say of a rate. */
export interface LearnedRate {
  readonly rate: RateKey;
  readonly steps: number;
  /** The rate as it would be: drawn towards the one that is kept as long as few steps were timed. */
  readonly learned: number;
  /** Half of the steps took a rate between these. */
  readonly low: number;
  readonly high: number;
  /** The same for the shorter and the longer half of the steps: small work often takes more for its size. */
  readonly small: number;
  readonly large: number;
}

/** How many timed steps the rate that is kept counts for. Common practice, no source. */
const PRIOR = 6;
/** Farther from the plan a time is a slip of the clock and counts as so much. */
const MOST = Math.log(4);

const clamp = (x: number): number => Math.max(-MOST, Math.min(MOST, x));
const quantile = (sorted: readonly number[], q: number): number => {
  const at = (sorted.length - 1) * q;
  const [a, b] = [sorted[Math.floor(at)] as number, sorted[Math.ceil(at)] as number];
  return a + (b - a) * (at - Math.floor(at));
};

/** A rate from steps that were timed, shrunken towards the one that is kept: by ratios, weighed by their length. */
const shrink = (steps: readonly TimedStep[], now: number): number => {
  const mean = steps.reduce((n, s) => n + s.planned, 0) / steps.length;
  let [sum, weight] = [0, 0];
  for (const s of steps) {
    // A long step says more than a short one, but not ten times more.
    const w = Math.min(3, Math.max(0.3, s.planned / mean));
    sum += w * clamp(Math.log((s.logged / s.planned) * (s.rateThen / now)));
    weight += w;
  }
  return now * Math.exp(sum / (weight + PRIOR));
};

/**
 * What timed steps say of the rates: one line for every rate that some were timed for. Steps without planned or logged minutes say
 * nothing.
 */
export const learnRates = (timed: readonly TimedStep[], now: LabourRates): LearnedRate[] => {
  const good = timed.filter((s) => s.planned > 0 && s.logged > 0 && s.rateThen > 0 && now[s.rate] > 0);
  return [...new Set(good.map((s) => s.rate))].map((rate) => {
    const mine = good.filter((s) => s.rate === rate).sort((a, b) => a.planned - b.planned);
    const implied = mine.map((s) => (s.rateThen * s.logged) / s.planned).sort((a, b) => a - b);
    const half = Math.ceil(mine.length / 2);
    return {
      rate,
      steps: mine.length,
      learned: shrink(mine, now[rate]),
      low: quantile(implied, 0.25),
      high: quantile(implied, 0.75),
      small: shrink(mine.slice(0, half), now[rate]),
      large: shrink(mine.slice(-half), now[rate]),
    };
  });
};
