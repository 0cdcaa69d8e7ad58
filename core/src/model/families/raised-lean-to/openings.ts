import { layoutOpenings, nestRowWidth, WALL } from '../../../frame/index.ts';
import type { OpeningWish, PlacedOpening, Sketch } from '../../../frame/index.ts';
import type { LeanToParams } from './params.ts';

export type Side = 'front' | 'back' | 'left' | 'right';

const T = 1.5;
/** Clear height of a nest hole. */
const NEST_HOLE = 12;
/** Wall that the channels of a sliding pop door take on each side. */
const CHANNELS = 2.5;

const wishes = (p: LeanToParams): readonly { readonly wall: Side; readonly wish: OpeningWish }[] => {
  const out: { wall: Side; wish: OpeningWish }[] = [];
  out.push({
    wall: p.doorWall,
    wish: {
      id: 'door',
      kind: 'people door',
      width: p.doorWidth,
      height: p.doorHeight,
      bottom: p.threshold < 2.25 ? T : Math.max(2 * T, p.threshold),
      leastHeight: 20,
    },
  });
  out.push({
    wall: p.popWall,
    wish: {
      id: 'pop',
      kind: 'pop door',
      width: p.popWidth,
      height: p.popHeight,
      bottom: Math.max(2 * T, p.threshold),
      leastHeight: 10,
      margin: CHANNELS,
    },
  });
  if (p.nestWall !== 'none')
    out.push({
      wall: p.nestWall,
      wish: {
        id: 'nest',
        kind: 'nest',
        width: nestRowWidth(p.nestCount, p.nestWidth),
        height: NEST_HOLE,
        bottom: p.nestBottom,
        leastHeight: 10,
      },
    });
  if (p.windowWall !== 'none') {
    const high = p.windowWall === 'front' ? p.highWall : p.lowWall;
    // Up under its header, above the birds' heads.
    const bottom = Math.max(12, Math.floor((high - T - 3.5 - 2 - p.windowHeight) * 2) / 2);
    out.push({
      wall: p.windowWall,
      wish: { id: 'window', kind: 'window', width: p.windowWidth, height: p.windowHeight, bottom, leastHeight: 6 },
    });
  }
  return out;
};

/** Where every opening goes on each wall; what does not fit is left out and noted. */
export const placeOpenings = (
  sketch: Sketch,
  p: LeanToParams,
  ceiling: Record<Side, (a: number) => number>,
): Record<Side, readonly PlacedOpening[]> => {
  const all = wishes(p);
  const span = (side: Side): readonly [number, number] =>
    side === 'front' || side === 'back' ? [0, p.length] : [WALL, p.depth - WALL];
  const out: Record<Side, readonly PlacedOpening[]> = { front: [], back: [], left: [], right: [] };
  for (const side of ['front', 'back', 'left', 'right'] as const) {
    const [from, to] = span(side);
    const asked = all.filter((w) => w.wall === side).map((w) => w.wish);
    const { placed, lowered, left } = layoutOpenings(from, to, asked, ceiling[side]);
    out[side] = placed;
    for (const o of lowered) {
      const got = placed.find((q) => q.id === o.id)?.height ?? 0;
      sketch.note({
        code: `${o.id}-lowered`,
        severity: o.kind === 'people door' ? 'warn' : 'stop',
        what: `The ${o.kind} is ${got}″ high, not ${o.height}″.`,
        why: `Its header must pass under the top plate of the ${side} wall.`,
        ...(o.kind === 'people door'
          ? {
              fix: {
                label: `Make the door ${Math.floor(got * 2) / 2}″`,
                patch: { doorHeight: Math.max(24, Math.floor(got * 2) / 2) },
              },
            }
          : o.kind === 'window'
            ? { fix: { label: 'Leave the window out', patch: { windowWall: 'none' } } }
            : {}),
      });
    }
    for (const o of left)
      sketch.note({
        code: `${o.id}-left-out`,
        severity: 'stop',
        what: `The ${o.kind} does not fit in the ${side} wall.`,
        why: `It needs ${o.width + 9}″ of wall with its studs beside what else stands there, and ${o.leastHeight}″ of height; it was left out.`,
        ...(leftOutFix(o, side) ?? {}),
      });
  }
  return out;
};

const leftOutFix = (o: OpeningWish, side: Side) => {
  const fix = (label: string, patch: Record<string, string | number>) => ({ fix: { label, patch } });
  if (o.kind === 'window')
    return side === 'back'
      ? fix('Put it in the front', { windowWall: 'front' })
      : fix('Leave it out', { windowWall: 'none' });
  if (o.kind === 'nest')
    return side === 'right'
      ? fix('Put the nests at the back', { nestWall: 'back' })
      : fix('Make it one nest', { nestCount: 1 });
  if (o.kind === 'pop door' && side === 'front') return fix('Put it in the left wall', { popWall: 'left' });
  if (o.kind === 'people door') return fix('Make the door 20″ wide', { doorWidth: 20 });
  return undefined;
};
