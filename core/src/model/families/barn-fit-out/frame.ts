import { rectangle } from '../../../geometry/index.ts';
import type { Build, Fitting, Side } from '../../../unit/index.ts';
import {
  boltDown,
  faceOf,
  fitDoor,
  fitInsideNests,
  fitRoosts,
  fitWindow,
  frameWall,
  guardDigging,
  headerHeight,
  layoutOpenings,
  meshWall,
  skinWall,
  ROOST_CLEAR,
  Sketch,
  UNIT_AXES,
  wallAxes,
  WALL,
  fixMesh,
} from '../../../frame/index.ts';
import type { Axes, GuardSide, OpeningWish, PlacedOpening } from '../../../frame/index.ts';
import { printLength } from '../../../measure/index.ts';
import { findMesh, findPiece, findSheet } from '../../../stock/index.ts';
import { frameCeiling } from './ceiling.ts';
import { lineBarn } from './lining.ts';
import type { BarnFitOutParams } from './params.ts';

const T = 1.5;
const BAR = 3.5;
/** How deep the curb's block stands in its trench. */
const BEDDED = 4;

/** Frames a fit-out inside a barn: curb, knee walls with mesh above, a door, a ceiling; the barn's own walls close the rest. */
export const frameBarnFitOut = (p: BarnFitOutParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const { length: L, depth: D } = p;
  const block = findPiece('block-8');
  // Floor of the barn is z = 0; the walls stand on the curb.
  const foot = p.curb ? block.thickness - BEDDED : 0;
  const height = p.ceilingHeight - foot;
  const mesh = findMesh(p.mesh);
  const skin = findSheet(p.kneeSkin);
  const walls: { side: 'front' | 'right'; axes: Axes; from: number; to: number; wide: number }[] = [
    { side: 'front', axes: wallAxes('front', [0, 0, foot]), from: 0, to: L, wide: L },
    ...(p.ownRight
      ? [{ side: 'right' as const, axes: wallAxes('right', [L, 0, foot]), from: WALL, to: D, wide: D }]
      : []),
  ];
  if (!p.ownRight)
    for (const f of fittings.filter((q) => q.wall === 'right'))
      sketch.note({
        code: `${f.id}-left-out`,
        severity: 'stop',
        what: `The ${f.kind} stands in the right wall, which is the barn’s.`,
        why: 'Only walls that are built here carry fittings; it was left out.',
        fix: { label: 'Build a right wall', patch: { ownRight: true } },
      });
  let way: { clearWidth: number; clearHeight: number; bottom: number; width: number } | undefined;
  let meshArea = 0;
  const studs: Partial<Record<Side, readonly number[]>> = {};
  const curb: GuardSide[] = [];
  for (const w of walls) {
    const id = `${w.side}-wall`;
    const name = `${w.side} wall`;
    const wishes: OpeningWish[] = [
      ...(w.side === 'front'
        ? [
            {
              id: 'door',
              kind: 'people door' as const,
              style: p.doorStyle,
              width: p.doorWidth,
              height: p.doorHeight - foot,
              bottom: T,
              leastHeight: 40,
            },
          ]
        : []),
      ...fittings
        .filter((f) => f.wall === w.side && f.id !== 'door')
        .map((f) => ({
          id: f.id,
          kind: f.kind,
          style: f.style,
          width: f.width,
          height: f.height,
          bottom: f.bottom < 2.25 ? T : Math.max(2 * T, f.bottom),
          leastHeight: Math.min(f.height, 6),
          at: f.left,
        })),
    ];
    const laid = layoutOpenings(w.from, w.to, wishes, () => height - T);
    for (const o of laid.lowered)
      sketch.note({
        code: `${o.id}-lowered`,
        severity: 'warn',
        what: `The ${o.kind} is ${laid.placed.find((q) => q.id === o.id)?.height ?? 0}″ high, not ${o.height}″.`,
        why: 'Its header must pass under the top plate.',
      });
    for (const o of laid.left)
      sketch.note({
        code: `${o.id}-left-out`,
        severity: 'stop',
        what: `The ${o.kind} does not fit in the ${w.side} wall.`,
        why: 'Its studs need room beside what else stands there; it was left out.',
      });
    const openings = laid.placed;
    const knee = Math.max(8, p.kneeHeight - foot);
    const framed = frameWall(sketch, {
      id,
      name,
      axes: w.axes,
      from: w.from,
      to: w.to,
      height,
      slope: 0,
      spacing: p.studSpacing,
      layoutFrom: 0,
      openings,
      bottomItem: '2x4-pt',
      // The rail that the knee skin and the mesh meet on.
      blockRows: [knee],
    });
    studs[w.side] = framed.centres;
    const low = openings.filter((o) => o.bottom < knee);
    skinWall(sketch, {
      id,
      name: `${name} knee`,
      axes: w.axes,
      from: w.side === 'front' ? 0 : -skin.thickness,
      to: w.wide,
      // Off a barn's floor by an inch; on the curb it is higher anyway.
      bottom: p.curb ? 0 : 1,
      top: () => knee,
      item: skin.key,
      thickness: skin.thickness,
      sheet: skin.width,
      centres: framed.centres,
      cripples: framed.cripples,
      openings: low,
    });
    meshWall(sketch, {
      id,
      name,
      axes: w.axes,
      from: 0,
      to: w.wide,
      bottom: knee,
      top: () => height,
      item: mesh.key,
      thickness: mesh.thickness,
      openings: openings.map((o): PlacedOpening => {
        const cut = Math.max(0, knee - o.bottom);
        return { ...o, bottom: o.bottom + cut, height: o.height - cut };
      }),
    });
    meshArea += (w.wide * (height - knee)) / 144;
    // The corner's block belongs to the front.
    curb.push({ id: w.side, name: w.side, axes: w.axes, from: w.side === 'front' ? 0 : block.width, to: w.wide });
    sketch.assembly({
      id,
      name,
      kind: 'wall',
      face: faceOf(w.axes),
      flat: true,
      square: { width: w.to - w.from, height },
      tapes: [framed.tape],
      joins: {
        to: w.side === 'front' ? id : 'front-wall',
        how: p.curb ? 'bolted down through the treated plate into the curb' : 'anchored through the treated plate',
      },
    });
    for (const o of openings) {
      sketch.opening({
        id: `${id}/${o.id}`,
        kind: o.kind,
        wall: w.side,
        ...(o.style ? { style: o.style } : {}),
        assembly: id,
        left: o.left,
        bottom: o.bottom,
        width: o.width,
        height: o.height,
        sillAboveGround: foot + o.bottom,
        above: height - o.bottom - o.height,
      });
      if (o.kind === 'window' || o.kind === 'vent')
        fitWindow(sketch, {
          id: o.id,
          name: o.kind,
          axes: w.axes,
          opening: o,
          mesh,
          joins: id,
          style: o.style === 'sliding' || o.style === 'top-hung' ? o.style : 'mesh',
        });
      else {
        const leaf = findSheet('ply-1/2');
        const fitted = fitDoor(sketch, {
          id: o.id === 'door' ? 'people-door' : o.id,
          name: o.kind === 'people door' ? 'people door' : o.kind,
          axes: w.axes,
          opening: o,
          skin:
            o.kind === 'gate'
              ? { item: mesh.key, thickness: mesh.thickness, role: 'mesh' }
              : { item: leaf.key, thickness: leaf.thickness, role: 'door' },
          joins: id,
          style: o.style === 'double' || o.style === 'dutch' ? o.style : 'single',
        });
        if (o.kind === 'people door') way = { ...fitted, bottom: foot + o.bottom, width: o.width };
      }
    }
    if (p.insideRelease && w.side === 'front')
      sketch.join({
        kind: 'latch',
        parts: ['people-door/stile-2', 'people-door/right-stile-1', 'people-door/lower-stile-2'],
        hardware: { release: 1 },
      });
    boltDown(sketch, (part) => part.assembly === id && part.role === 'plate' && part.id.includes('bottom-plate'), 36);
    sketch.face({
      id,
      name,
      place: faceOf(w.axes),
      region: rectangle(0, 0, w.wide, height),
      within: [-WALL, 1],
    });
  }
  guardDigging(sketch, {
    id: 'curb',
    kind: p.curb ? 'curb' : 'none',
    mesh: mesh.key,
    sides: curb,
    joins: 'front-wall',
    how: `bedded in a trench ${BEDDED}″ deep, cores filled`,
  });
  const ceiling = frameCeiling(sketch, p, p.ceilingHeight);
  if (p.lining) lineBarn(sketch, L, D);
  const rightFace = L - (p.ownRight ? WALL : 0);
  // Roosts along the back, nests at the barn's left wall: away from each other.
  const fits = Math.max(0, Math.floor((D - WALL - 1 - 24) / (ROOST_CLEAR + BAR)));
  const bars = Math.min(p.roostBars, fits);
  if (bars < p.roostBars)
    sketch.note({
      code: 'roosts-do-not-fit',
      severity: 'stop',
      what: `${p.roostBars} roost bars need more depth than ${D}″.`,
      why: 'They stand 12″ apart and leave 2 ft to walk in behind the door; those that fit were drawn.',
      fix: { label: `Make it ${bars}`, patch: { roostBars: bars } },
    });
  const nestWide = p.nestCount * 12.5 + 0.5;
  // Floor, back and roof of the row are each one piece of a sheet.
  const nestMost = findSheet('ply-1/2').length;
  const nestRoom = Math.min(D - WALL - 12, nestMost);
  let nests = p.nestCount;
  if (nestWide > nestRoom) {
    nests = Math.max(0, Math.floor((nestRoom - 0.5) / 12.5));
    sketch.note({
      code: 'nests-do-not-fit',
      severity: 'stop',
      what: `${p.nestCount} nests are longer than ${nestRoom < nestMost ? 'the left wall' : 'a sheet'}.`,
      why:
        nestRoom < nestMost
          ? 'They hang in one row on the barn’s left wall.'
          : `They hang in one row of ${printLength(nestWide)}; its floor and its back are one piece each, and sheets end at ${printLength(nestMost)}.`,
      fix: { label: `Make it ${nests}`, patch: { nestCount: nests } },
    });
  }
  const NEST_DEEP = 12;
  const roostFrom = nests > 0 ? NEST_DEEP + 6 : 0;
  if (nests > 0)
    fitInsideNests(sketch, {
      axes: wallAxes('left', [0, D - 6, 0]),
      from: 0,
      count: nests,
      boxWidth: 12,
      depth: NEST_DEEP,
      bottom: p.nestBottom,
      joins: 'front-wall',
    });
  // The row hangs on the barn's own wall.
  if (nests > 0)
    sketch.join({
      kind: 'cleat',
      parts: ['nests/ledger'],
      fasteners: [{ item: 'screw-3', length: 3, count: nests + 2 }],
    });
  const beamPosts = ceiling.beams > 0;
  const roostTo = rightFace;
  const roostSpan = roostTo - roostFrom;
  if (bars > 0)
    fitRoosts(sketch, UNIT_AXES, {
      from: roostFrom,
      to: roostTo,
      // Clear of the posts at the barn's wall.
      firstT: D - (beamPosts ? BAR : 0) - ROOST_CLEAR - BAR - (bars - 1) * (ROOST_CLEAR + BAR),
      spacing: ROOST_CLEAR + BAR,
      bars,
      height: p.roostHeight,
      joins: 'front-wall',
      kind: p.roostKind,
      least: WALL,
      most: D,
      // In front of the nests its end stands free; elsewhere it hangs on the barn's own wall.
      standing: nests > 0,
      studs: [[], studs.right ?? []],
    });
  for (const [k, barn] of [nests === 0, !p.ownRight].entries())
    if (barn && bars > 0)
      sketch.join({
        kind: 'cleat',
        parts: [`roosts/cleat-${k + 1}`],
        fasteners: [{ item: 'screw-3', length: 3, count: 3 }],
      });
  fixMesh(sketch, { sides: p.meshSides, overhead: p.meshOverhead, only: /^((front|left|right)-wall|ceiling)\/mesh/ });
  return sketch.finish({
    family: 'barn-fit-out',
    capacity: {
      houseArea: (rightFace * (D - WALL)) / 144,
      roostLength: (p.roostKind === 'shelf' ? Math.min(1, bars) : bars) * roostSpan,
      nests,
    },
    facts: {
      movable: false,
      indoors: true,
      base: [0, 0, L, D],
      enclosedHeight: p.ceilingHeight + 5.5,
      floorHeight: 0,
      roof: { pitch: 0, cover: p.ceiling, roofedShare: 1 },
      roosts:
        bars > 0 ? [{ height: p.roostHeight, length: roostSpan, bars, spacing: ROOST_CLEAR, toWall: ROOST_CLEAR }] : [],
      ...(nests > 0
        ? {
            nests: {
              count: nests,
              bottom: p.nestBottom,
              top: p.nestBottom + 12,
              width: 12,
              depth: NEST_DEEP,
              wall: 'inside',
            },
          }
        : {}),
      ventArea: meshArea,
      ...(way
        ? {
            door: {
              clearWidth: way.clearWidth,
              clearHeight: way.clearHeight,
              threshold: way.bottom,
              insideRelease: p.insideRelease,
              opens: 'outward' as const,
            },
          }
        : {}),
      spans: [
        ...(p.ceiling === 'storage'
          ? [
              {
                what: 'ceiling joist' as const,
                item: ceiling.joist,
                span: ceiling.joistSpan,
                spacing: 24,
                part: 'ceiling/joist-1-2',
              },
            ]
          : []),
        ...(way
          ? [
              {
                what: 'header' as const,
                item: headerHeight(way) === 5.5 ? '2x6' : '2x4',
                span: way.width,
                spacing: L / 2,
                part: 'front-wall/door/header-1',
              },
            ]
          : []),
      ],
      meshItem: p.mesh,
      meshHeights: [{ height: height - Math.max(8, p.kneeHeight - foot), assembly: 'front-wall' }],
      sheetCourses: [{ direction: 'knee wall', param: 'length', size: L, item: p.kneeSkin }],
      fit: { studSpacing: p.studSpacing, rafterSpacing: p.studSpacing },
    },
  });
};
