import { findLumber } from '../stock/index.ts';
import { faceOf, UNIT_AXES, wallAxes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
const WHEEL_WIDE = 1.75;

/** A pair of wheels outside a pen's long sides, `at` inches from its left end. */
export interface WheelPlan {
  /** Stock key such as `wheel-8`; its number is the diameter. */
  readonly wheel: string;
  readonly at: number;
  readonly width: number;
  /** What stands on the sides' outer faces: mesh, or a ¾ in spacer that clears a roof. */
  readonly out: number;
  readonly joins: string;
  /** Bolted for good, on drop-down levers, or on pins that are drawn while it stands. */
  readonly how?: 'fixed' | 'lever' | 'slip-on';
  /** Block inside each side that carries the bolt; none where the side itself is a plank. */
  readonly block?: '2x6-pt' | '2x3-pt' | 'none';
}

/** Diameter of a wheel, inches. */
export const wheelDiameter = (wheel: string): number => Number(wheel.slice('wheel-'.length));

/** Wheels bolted through a block inside each long side; the block carries the bolt and keeps the frame on the ground. */
export const fitWheels = (sketch: Sketch, plan: WheelPlan): void => {
  const { at: x, width: W } = plan;
  const block = plan.block ?? '2x6-pt';
  const diameter = wheelDiameter(plan.wheel);
  const r = diameter / 2;
  for (const where of ['front', 'back'] as const) {
    const axes = where === 'front' ? UNIT_AXES : wallAxes('back', [2 * x, W, 0]);
    if (block !== 'none')
      sketch.add(
        boxPart(
          axes,
          'moving',
          { id: `moving/block-${where}`, name: 'wheel block', role: 'blocking', item: block },
          [x - 4, T, 0],
          [8, T, findLumber(block).width],
          'a',
        ),
      );
    if (plan.out > 0.1)
      sketch.add(
        boxPart(
          axes,
          'moving',
          { id: `moving/spacer-${where}`, name: 'wheel spacer', role: 'blocking', item: '1x3' },
          [x - 3, -plan.out, 0],
          [6, plan.out, 2.5],
          'a',
        ),
      );
    const ring = Array.from(
      { length: 24 },
      (_, i) => [x + r * Math.cos((i * Math.PI) / 12), r + r * Math.sin((i * Math.PI) / 12)] as const,
    );
    sketch.add(
      polyPart(
        axes,
        'moving',
        { id: `moving/wheel-${where}`, name: `${diameter} in wheel`, role: 'wheel', item: plan.wheel },
        'az',
        ring,
        -plan.out - WHEEL_WIDE,
        WHEEL_WIDE,
      ),
    );
  }
  for (const where of ['front', 'back'])
    sketch.join({
      kind: 'bolt',
      parts: [`moving/wheel-${where}`, `moving/spacer-${where}`, `moving/block-${where}`],
      nearest: true,
      hardware: {
        [plan.wheel]: 1,
        'axle-bolt': 1,
        'wheel-lever': plan.how === 'lever' ? 1 : 0,
        'slip-pin': plan.how === 'slip-on' ? 1 : 0,
      },
    });
  sketch.assembly({
    id: 'moving',
    name: 'wheels',
    kind: 'fittings',
    face: faceOf(UNIT_AXES),
    flat: false,
    tapes: [],
    joins: {
      to: plan.joins,
      how: block === 'none' ? 'bolted through the long sides' : 'bolted through the block and the long sides',
    },
  });
};
