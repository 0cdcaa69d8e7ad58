import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart } from './makePart.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import type { Sketch } from './sketch.ts';

const LAP = 1;
const SLIDE = 1 / 16;
const PANEL = 0.5;

/**
 * A sliding pop door outside the siding: ½ in panel lapping its opening 1 in at the sides and top, in channels thicker than
 * the panel by ¼ in so that it slides freely, with the opening's foot as its stop.
 * @param out thickness of the siding that it slides on
 * @param ceiling height, above the wall's foot, that its channels must stay under
 */
export const fitPopDoor = (
  sketch: Sketch,
  axes: Axes,
  id: string,
  o: PlacedOpening,
  out: number,
  joins: string,
  motor: boolean,
  ceiling: number,
): void => {
  const wide = o.width + 2 * LAP;
  const high = o.height + LAP;
  const a0 = o.left - LAP;
  // The panel slides up its own height where there is room under the roof.
  const channel = Math.min(2 * high, ceiling - o.bottom);
  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/panel`, name: 'pop door panel', role: 'pop door', item: 'ply-1/2' },
      [a0, -out - PANEL, o.bottom],
      [wide, PANEL, high],
      'z',
    ),
  );
  for (const [k, a] of [a0 - SLIDE - 1.5, a0 + wide + SLIDE].entries()) {
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/channel-${k + 1}`, name: 'pop door channel', role: 'channel', item: '1x2' },
        [a, -out - 0.75, o.bottom],
        [1.5, 0.75, channel],
        'z',
      ),
      boxPart(
        axes,
        id,
        { id: `${id}/keeper-${k + 1}`, name: 'pop door keeper', role: 'channel', item: '1x3' },
        [k === 0 ? a : a - 1, -out - 1.5, o.bottom],
        [2.5, 0.75, channel],
        'z',
      ),
    );
  }
  sketch.assembly({
    id,
    name: 'pop door',
    kind: 'fittings',
    face: faceOf(axes, a0, -out, o.bottom),
    flat: false,
    tapes: [],
    joins: { to: joins, how: 'channels screwed through the siding, sliding faces left unpainted' },
  });
  // It slides between the keepers; the drive or the bolt holds it.
  sketch.join({
    kind: motor ? 'hung' : 'latch',
    parts: [`${id}/panel`, `${id}/keeper-1`, `${id}/keeper-2`],
    hardware: motor ? { motor: 1 } : { latch: 1 },
  });
};
