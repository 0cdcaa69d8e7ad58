import { measureTravelling } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';

/** Room for a hand on each side. */
const HANDS = 2;

/** How a unit gets in: whole, if the way is wide enough for it, or as panels. */
export interface GatePass {
  /** Narrower side of the unit as it travels, and the least way in for it, inches. */
  readonly across: number;
  readonly needed: number;
  readonly whole: boolean;
  readonly passes: boolean;
}

/** A unit against the narrowest way in. What is wider than the road allows, a kit and a fit-out come as panels. */
export const passGate = (build: Build, gate: number, loadWidth: number): GatePass => {
  const [x, y] = measureTravelling(build.parts).size;
  const across = Math.min(x, y);
  const whole = !build.facts.knockDown && !build.facts.indoors && across <= loadWidth;
  return { across, needed: across + HANDS, whole, passes: !whole || across + HANDS <= gate };
};
