import type { StepLine } from './progress.ts';
import type { Step } from './types.ts';

/** Names a step or a part of one unit among several: `front-wall/frame@3`; what is done once for all keeps its id. */
export const unitKey = (id: string, unit: number): string => (unit === 0 ? id : `${id}@${unit}`);

/** What a name of `unitKey` says. */
export const readUnitKey = (key: string): { readonly id: string; readonly unit: number } => {
  const at = key.lastIndexOf('@');
  return at < 0 ? { id: key, unit: 0 } : { id: key.slice(0, at), unit: Number(key.slice(at + 1)) };
};

/** A step of one unit, or one that is done once for all (unit 0). */
export interface UnitLine extends StepLine {
  readonly stepId: string;
  readonly unit: number;
}

/** Whether a step is done once for all units: cutting, the pattern, and what is no longer the shop's. */
export const isForAll = (step: Pick<Step, 'batch' | 'place'>): boolean =>
  step.batch !== undefined || step.place !== 'shop';

/**
 * The steps of so many equal units in the order of work: what is done once for all of them before, then unit by unit, then what
 * waits for all of them. A unit's steps need those of the same unit, or what is done for all; what is done for all needs every unit's.
 */
export const lineUnits = (
  steps: readonly Pick<Step, 'id' | 'title' | 'needs' | 'station' | 'batch' | 'place'>[],
  quantity: number,
): UnitLine[] => {
  const all = Array.from({ length: quantity }, (_, i) => i + 1);
  const forAll = new Map(steps.map((s) => [s.id, quantity === 1 || isForAll(s)]));
  const lineOf = (s: (typeof steps)[number], unit: number): UnitLine => ({
    id: unitKey(s.id, unit),
    stepId: s.id,
    unit,
    title: unit === 0 ? s.title : `Unit ${unit}: ${s.title}`,
    station: s.station,
    needs: s.needs.flatMap((n) =>
      forAll.get(n) === true ? [n] : (unit === 0 ? all : [unit]).map((u) => unitKey(n, u)),
    ),
  });
  const [before, after] = [true, false].map((shop) =>
    steps.filter((s) => forAll.get(s.id) === true && (s.place === 'shop') === shop).map((s) => lineOf(s, 0)),
  ) as [UnitLine[], UnitLine[]];
  const each = steps.filter((s) => forAll.get(s.id) !== true);
  return [...before, ...all.flatMap((unit) => each.map((s) => lineOf(s, unit))), ...after];
};

/** Units from which a pattern and a jig are made first. */
export const PATTERN_FROM = 3;

/**
 * How many times the labour of one unit so many equal ones take: with every doubling of the count a unit takes `learning` times as
 * long, so that the nth takes n^log2(learning) of the first. Source: T. P. Wright, Factors affecting the cost of airplanes, 1936, in
 * the form for single units (J. R. Crawford); from memory.
 * @param learning 1 where nothing is gained by doing it again
 */
export const measureRepeat = (quantity: number, learning: number): number => {
  const power = Math.log2(learning);
  let sum = 0;
  for (let n = 1; n <= quantity; n++) sum += n ** power;
  return sum;
};
