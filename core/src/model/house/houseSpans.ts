import { headerHeight } from '../../frame/index.ts';
import type { PlacedOpening } from '../../frame/index.ts';
import type { Side, SpanFact } from '../../unit/index.ts';
import { beamArea } from './carryRidge.ts';
import type { HouseRoof } from './roof.ts';

/** What of a house its bending members follow from. Inches. */
export interface HouseSpans {
  readonly length: number;
  readonly depth: number;
  readonly wall: number;
  readonly rafterItem: string;
  readonly spacing: number;
  readonly door?: { readonly side: Side; readonly o: PlacedOpening };
}

/** Rafters, the beam that they hang on where there is one, and the header over the people door. */
export const spansOf = (roof: HouseRoof, h: HouseSpans): SpanFact[] => {
  const { length: L, depth: D, wall, door } = h;
  const { beam } = roof.slope;
  return [
    {
      what: 'rafter',
      item: h.rafterItem,
      span: roof.kind === 'lean' ? D - 2 * wall : D / 2 - wall,
      spacing: h.spacing,
      part: `${roof.kind === 'lean' ? 'roof' : 'roof-back'}/rafter-1`,
    },
    ...(beam
      ? [
          {
            what: 'ridge beam' as const,
            item: beam,
            span: L - 2 * wall,
            spacing: D / 2,
            part: 'roof-front/ridge-1',
            area: beamArea(L, D),
          },
        ]
      : []),
    // A flat 2×4 in an end wall carries nothing but its cladding.
    ...(door && door.o.flat !== true
      ? [
          {
            what: 'header' as const,
            item: headerHeight(door.o) === 5.5 ? '2x6' : '2x4',
            span: door.o.width,
            spacing: D / 2,
            part: `${door.side}-wall/${door.o.id}/header-1`,
            ...(beam && door.o.heavy ? { area: beamArea(L, D) } : {}),
          },
        ]
      : []),
  ];
};
