import { measureMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import type { Mover } from '../flock/index.ts';

/** What hands and wheels can do. Defaults common practice, no source; a business may change them. */
export interface MovingRules {
  readonly lift: Readonly<Record<Mover, number>>;
  readonly pull: Readonly<Record<Mover, number>>;
  readonly rollingSmall: number;
  readonly rollingLarge: number;
  readonly sliding: number;
}

export const MOVING_RULES: MovingRules = {
  lift: { child: 20, 'one adult': 50, 'two adults': 100, vehicle: 1000 },
  pull: { child: 15, 'one adult': 40, 'two adults': 80, vehicle: 1000 },
  rollingSmall: 0.1,
  rollingLarge: 0.05,
  sliding: 0.45,
};

/** Force to lift one end and to pull the unit along, pounds. */
export interface MovingForce {
  readonly weight: number;
  readonly lift: number;
  readonly pull: number;
}

/**
 * With wheels at one end the hands carry weight × distance of its centre from the axle ÷ distance of the handle, and the
 * wheels roll; without, one end is lifted and the other slides.
 * @param slope fall of the ground per unit of length
 */
export const measureMoving = (build: Build, rules: MovingRules = MOVING_RULES, slope = 0): MovingForce => {
  const { weight, centre } = measureMass(build);
  const [x0, , x1] = build.facts.base;
  const { wheels } = build.facts;
  const axle = wheels ? x0 + wheels.fromEnd : x0;
  const lift = (weight * (centre[0] - axle)) / (x1 - axle);
  const onGround = weight - lift;
  const resistance = wheels ? (wheels.diameter >= 10 ? rules.rollingLarge : rules.rollingSmall) : rules.sliding;
  return { weight, lift, pull: onGround * resistance + weight * slope };
};
