import { cladding, headerHeight, ridgeOf, WALL } from '../../frame/index.ts';
import type { Sketch } from '../../frame/index.ts';
import { findLumber } from '../../stock/index.ts';
import { measureBearing, measureLongestSpan, measurePointLoad, snowLoad } from '../../strength/index.ts';
import type { SpanLoad } from '../../strength/index.ts';
import { needsDoublePlate } from './roof.ts';
import type { HouseRoof } from './roof.ts';
import type { HouseParams } from './types.ts';
import { sillFor } from './wishes.ts';

/** Snow that a beam is chosen for; the judgement goes by what the business sets. Common practice, no source. */
const USUAL = snowLoad(30);
/** Below this pitch rafters do not hold each other up: their ridge is a beam. Source: IRC R802.4.4 (value from memory). */
const LEANS_FROM = 3;
/** What a beam is chosen from; it is one piece, borne at both gables. */
const BEAMS = ['2x6', '2x8', '2x10', '2x12'] as const;
/** Header under the post of a beam. */
const HEADER = { item: '2x6', count: 2 } as const;
const T = 1.5;
/** Least height of a post between plates and beam. */
const LEAST_POST = 2;

/** Pounds that half of a beam lays on each gable, and the whole of it on its middle. */
const endLoad = (load: SpanLoad, length: number, depth: number): number =>
  ((load.live + load.dead) * length * depth) / 4 / 144;

const withBeam = (roof: HouseRoof, beam: string): HouseRoof => ({ ...roof, slope: { ...roof.slope, beam } });

/** The beam that carries a gable's ridge from end to end, or why none does. */
const findBeam = (p: HouseParams, roof: HouseRoof, header: number): string | { readonly why: string } => {
  const span = p.length - 2 * WALL;
  const long = p.length + 2 * p.overhangSide;
  const least = findLumber(ridgeOf(roof.slope).item).width;
  const carrying = BEAMS.filter((b) => measureLongestSpan(b, p.depth / 2, USUAL, 'beam') >= span);
  const load = endLoad(USUAL, p.length, p.depth);
  const pounds = Math.round(load);
  if (carrying.length === 0)
    return { why: `No single stick up to a 2x12 carries half of that roof over ${Math.round(span)}″` };
  if (load > measureBearing(T, WALL)) return { why: `Each end would lay ${pounds} lb on one post, which crushes it` };
  if (header > 0 && load > measurePointLoad(HEADER.item, HEADER.count, header, USUAL.duration))
    return { why: `Its end would lay ${pounds} lb on the middle of a ${header}″ opening’s header` };
  const deep = carrying.filter((b) => {
    const { width, lengths } = findLumber(b);
    return width >= least && lengths.some((l) => l.length >= long);
  });
  if (deep.length === 0)
    return { why: `No stick is ${Math.round(long)}″ long, and a beam is not joined between its posts` };
  const clear = deep.find((b) => ridgeOf({ ...roof.slope, beam: b }).bottom - roof.front >= LEAST_POST);
  return clear ?? { why: 'It would hang down into the plates of the ends: the roof is too flat for its depth' };
};

/** True where a door of a gable end is wanted higher than the plates let it be. */
const passesPlate = (p: HouseParams, roof: HouseRoof, plates: number): boolean =>
  (p.doorWall === 'left' || p.doorWall === 'right') &&
  p.doorStyle !== 'bought' &&
  sillFor(p.threshold) + p.doorHeight + headerHeight({ width: p.doorWidth, flat: true }) > roof.front - plates * T;

/**
 * The roof with what carries its ridge: a beam where that is asked, where the roof is too flat for rafters to lean on each other, or
 * where a door of an end must rise past the plates, which then are no ties; else a board. What cannot be is said.
 */
export const carryRidge = (sketch: Sketch, p: HouseParams, roof: HouseRoof, doublePlate = false): HouseRoof => {
  if (roof.kind !== 'gable' || p.roofHeld === 'ties') return roof;
  const plates = doublePlate || needsDoublePlate(roof, cladding(p.siding).thickness) ? 2 : 1;
  const pitch = roof.slope.fall * 12;
  const flat = pitch < LEANS_FROM;
  const high = passesPlate(p, roof, plates);
  if (p.roofHeld === 'chosen' && !flat && !high) return roof;
  const ends = (['left', 'right'] as const).filter((side) => side === p.doorWall);
  const beam = findBeam(p, roof, ends.length > 0 ? p.doorWidth : 0);
  if (typeof beam === 'string') return withBeam(roof, beam);
  // A door that is too high for its end is said where it is lowered.
  if (flat || p.roofHeld === 'beam')
    sketch.note({
      code: 'ridge-no-beam',
      severity: 'warn',
      where: ['roof-front/ridge-1'],
      what: flat
        ? `At ${pitch} in 12 the ridge wants a beam, and none carries it here.`
        : 'No ridge beam carries this roof.',
      why: `${beam.why}; ties across at the plates hold the rafters instead${flat ? ', as long as snow is light: local code decides' : ''}.`,
      ...(flat
        ? { fix: { label: `Pitch it ${LEANS_FROM} in 12`, patch: { pitch: LEANS_FROM } } }
        : { fix: { label: 'Hold it by ties', patch: { roofHeld: 'ties' } } }),
    });
  return roof;
};

/** Square feet of roof whose load comes down on each end of a beam. */
export const beamArea = (length: number, depth: number): number => (length * depth) / 4 / 144;
