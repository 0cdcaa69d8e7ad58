import type { Fitting, FrameNote, Side } from '../../unit/index.ts';
import {
  cladding,
  DOOR_GAP,
  fitBought,
  leastLeaf,
  meshWindow,
  fitDoor,
  fitNestRow,
  fitPopDoor,
  fitWindow,
} from '../../frame/index.ts';
import type { Axes, PlacedOpening, Sketch } from '../../frame/index.ts';
import { findBought, findMesh, findSheet } from '../../stock/index.ts';
import type { HouseRoof } from './roof.ts';
import { sidingTop } from './roof.ts';
import type { HouseParams } from './types.ts';
import { depthAt, SIDES } from './walls.ts';

/** Rise from which birds need a ramp; common practice, no source. */
export const RAMP_FROM = 12;

/** A way through a wall, for the checks. */
export interface Way {
  readonly id: string;
  readonly wall: Side;
  readonly clearWidth: number;
  readonly clearHeight: number;
  readonly bottom: number;
}

/** What the fittings of a house came to. */
export interface HouseFittings {
  readonly ways: readonly Way[];
  readonly nests: readonly {
    readonly id: string;
    readonly wall: Side;
    readonly count: number;
    readonly bottom: number;
    readonly height: number;
    readonly width: number;
    readonly depth: number;
  }[];
  readonly windowArea: number;
  readonly pops: readonly { readonly wall: Side; readonly opening: PlacedOpening }[];
}

/** Assembly of a fitting that the parameters ask for; one put by hand is called by its own id. */
const ASSEMBLY: Record<string, string> = { door: 'people-door', pop: 'pop-door', nest: 'nests', window: 'window' };

/** Height over a wall's foot that something standing out by `beyond` must stay under. */
const outsideTop = (roof: HouseRoof, side: Side, from: number, to: number, beyond: number): number =>
  side === 'front' || side === 'back'
    ? sidingTop(roof, side, beyond)
    : Math.min(roof.under(depthAt(roof.depth, side, from)), roof.under(depthAt(roof.depth, side, to)));

/** Back to a wall, one that has it by default where none was chosen. */
const intoWall = (p: HouseParams): NonNullable<FrameNote['fix']> => ({
  label: 'Put it in a wall',
  patch: { popInDoor: false, ...(p.popWall === 'none' ? { popWall: 'left' } : {}) },
});

/** Says that birds climb to a pop door in a leaf by nothing: a ramp would swing with it. */
const noteLeafRise = (sketch: Sketch, p: HouseParams, rise: number): void => {
  if (rise <= RAMP_FROM) return;
  sketch.note({
    code: 'pop-in-leaf-high',
    where: ['pop-door/panel'],
    severity: 'warn',
    what: `The pop door in the leaf is ${Math.round(rise * 2) / 2}″ over the ground and has no ramp.`,
    why: `Birds want one from ${RAMP_FROM}″; on a leaf it would swing with the door. Set a step before it, or put it in a wall.`,
    fix: intoWall(p),
  });
};

/** Says why no leaf takes the pop door, and what would. */
const notePopInDoor = (sketch: Sketch, p: HouseParams): void => {
  const least = leastLeaf({ width: p.popWidth }) + 2 * DOOR_GAP;
  const single = p.doorStyle === 'single' && p.doorWall !== 'none';
  sketch.note({
    code: 'pop-not-in-leaf',
    where: ['people-door/skin', 'front-wall/top-plate'],
    severity: 'stop',
    what: single
      ? `A door ${p.doorWidth}″ wide has no room for a pop door in its leaf.`
      : 'There is no door of one leaf for the pop door to be in.',
    why: `It stands between two members of its own beside the stiles: that takes a rough width of ${Math.ceil(least * 2) / 2}″, and a rail over it; it was left out.`,
    fix:
      single && p.doorWidth < least && least < 46
        ? { label: `Make the door ${Math.ceil(least * 2) / 2}″ wide`, patch: { doorWidth: Math.ceil(least * 2) / 2 } }
        : intoWall(p),
  });
};

/** Fits doors, windows, pop doors, nests and clean-outs into the openings that were framed for them. */
export const fitHouse = (
  sketch: Sketch,
  p: HouseParams,
  setting: {
    readonly axes: Record<Side, Axes>;
    readonly roof: HouseRoof;
    readonly placed: Record<Side, readonly PlacedOpening[]>;
    /** Something over the pop door on a side, lower than the roof. */
    readonly popUnder?: (side: Side, a: number) => number;
    readonly fittings: readonly Fitting[];
    /** Depth of the walls' framing. */
    readonly wall: number;
  },
): HouseFittings => {
  const clad = cladding(p.siding);
  const out = clad.thickness;
  const leafSheet = findSheet(clad.leaf);
  const mesh = findMesh('hardware-cloth');
  const ways: Way[] = [];
  const nests: HouseFittings['nests'][number][] = [];
  const pops: HouseFittings['pops'][number][] = [];
  let windowArea = 0;
  let inLeaf = false;
  for (const side of SIDES)
    for (const o of setting.placed[side]) {
      const id = ASSEMBLY[o.id] ?? o.id;
      const axes = setting.axes[side];
      const joins = `${side}-wall`;
      const unit = findBought(o.unit ?? '');
      switch (o.kind) {
        case 'people door':
        case 'gate':
        case 'clean-out': {
          const meshed = o.kind === 'gate';
          const name =
            o.kind === 'clean-out'
              ? o.style === 'double'
                ? 'clean-out doors'
                : 'clean-out door'
              : o.kind === 'gate'
                ? 'gate'
                : 'people door';
          if (unit) {
            const through = fitBought(sketch, { id, name, axes, opening: o, unit, joins, out });
            ways.push({ id, wall: side, ...through, bottom: o.bottom });
            break;
          }
          const way = fitDoor(sketch, {
            id,
            name,
            axes,
            opening: o,
            skin: meshed
              ? { item: mesh.key, thickness: mesh.thickness, role: 'mesh' }
              : { item: leafSheet.key, thickness: leafSheet.thickness, role: 'door' },
            joins,
            wall: setting.wall,
            style: o.style === 'double' || o.style === 'dutch' ? o.style : 'single',
            ...(o.id === 'door' && p.popInDoor
              ? { pop: { id: 'pop-door', width: p.popWidth, height: p.popHeight, motor: p.popMotor } }
              : {}),
          });
          if (way.popped !== undefined) {
            inLeaf = true;
            noteLeafRise(sketch, p, axes.origin[2] + way.popped);
          }
          if (o.kind === 'people door') {
            ways.push({ id, wall: side, clearWidth: way.clearWidth, clearHeight: way.clearHeight, bottom: o.bottom });
            if (p.insideRelease)
              sketch.join({
                kind: 'latch',
                parts: [`${id}/stile-2`, `${id}/right-stile-1`, `${id}/lower-stile-2`],
                hardware: { release: 1 },
              });
          }
          break;
        }
        case 'window':
        case 'vent':
          if (unit) {
            const through = fitBought(sketch, { id, name: o.kind, axes, opening: o, unit, joins, out });
            windowArea += (through.clearWidth * through.clearHeight) / 144;
            meshWindow(sketch, { id, name: o.kind, axes, opening: o, mesh, wall: setting.wall });
            break;
          }
          windowArea += (o.width * o.height) / 144;
          fitWindow(sketch, {
            id,
            name: o.kind,
            axes,
            opening: o,
            mesh,
            wall: setting.wall,
            joins,
            style: o.style === 'sliding' || o.style === 'top-hung' ? o.style : 'mesh',
          });
          break;
        case 'nest': {
          const count =
            o.id === 'nest' && o.at === undefined
              ? p.nestCount
              : Math.max(1, Math.floor((o.width + 0.5) / (p.nestWidth + 0.5)));
          const boxWidth = o.id === 'nest' && o.at === undefined ? p.nestWidth : (o.width - (count - 1) * 0.5) / count;
          fitNestRow(sketch, {
            id,
            axes,
            opening: o,
            count,
            boxWidth,
            depth: p.nestDepth,
            out,
            joins,
            style: o.style === 'drop front' ? 'drop front' : 'outside lid',
          });
          nests.push({
            id,
            wall: side,
            count,
            bottom: o.bottom,
            height: o.height,
            width: boxWidth,
            depth: p.nestDepth,
          });
          break;
        }
        case 'pop door': {
          const top = outsideTop(setting.roof, side, o.left - 4, o.left + o.width + 4, out + 1.5);
          const over = setting.popUnder ?? (() => Infinity);
          const under = Math.min(over(side, o.left - 4), over(side, o.left + o.width + 4));
          fitPopDoor(sketch, axes, id, o, out, joins, o.style === 'motor', Math.min(top, under) - 1);
          pops.push({ wall: side, opening: o });
          break;
        }
      }
    }
  if (p.popInDoor && !inLeaf) notePopInDoor(sketch, p);
  return { ways, nests, windowArea, pops };
};
