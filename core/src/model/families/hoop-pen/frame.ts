import { arcBand, rectangle, solveArc } from '../../../geometry/index.ts';
import type { Pt } from '../../../geometry/index.ts';
import type { Build, PartDraft } from '../../../unit/index.ts';
import {
  boxPart,
  fitWheels,
  polyPart,
  rockeredRing,
  Sketch,
  UNIT_AXES,
  uprightPlaces,
  wheelDiameter,
  fixMesh,
} from '../../../frame/index.ts';
import type { PartText } from '../../../frame/index.ts';
import { findMesh, findPiece } from '../../../stock/index.ts';
import { frameEnds, HIGH, POST } from './ends.ts';
import { holdHoops } from './holdHoops.ts';
import type { HoopPenParams } from './params.ts';

const T = 1.5;
const RIDGE = 3.5;
/** Feet of the hoops over the ground, so that they do not drag. */
const FOOT = 0.5;
/** Flats that a curve is drawn with: odd, so that one lies level under the crown. */
const STEPS = 25;
const WHEEL_AT = 12;
const LEAST_DOOR = 14;
/** Lowest door that a person reaches in through. */
const LEAST_HIGH = 10;

/** Frames the hoop pen: rockered runners, end boards, hoops sprung between them, ridge on the door frames, mesh, tarp. */
export const frameHoopPen = (p: HoopPenParams): Build => {
  const sketch = new Sketch();
  const { length: L, width: W } = p;
  const a = UNIT_AXES;
  const mesh = findMesh(p.mesh);
  const m = mesh.thickness;
  const pvc = p.hoops === 'pvc';
  const stock = findPiece(pvc ? 'pvc-3/4' : 'stock-panel');
  const chord = W - 2 * T - 2 * m;

  // Between the runners a strip bends to at most a half circle; longer it bulges over them, shorter it does not stand up.
  const most = Math.floor(Math.min(stock.length, (Math.PI / 2) * chord));
  const least = Math.ceil(chord * 1.06);
  let hoop = p.hoopLength;
  if (hoop > most || hoop < least) {
    const drawn = Math.min(most, Math.max(least, hoop));
    sketch.note({
      code: hoop > most ? 'hoop-too-long' : 'hoop-too-short',
      where: ['hoops/hoop-1'],
      severity: 'stop',
      what:
        hoop > most
          ? `A hoop of ${hoop}″ is longer than ${most}″.`
          : `A hoop of ${hoop}″ hardly rises over a base of ${W}″.`,
      why:
        hoop > most
          ? `It is either longer than the ${stock.name}, or it bulges out over the runners; it was drawn shorter.`
          : 'It was drawn longer.',
      ...(drawn <= most && drawn >= 84 && drawn >= least
        ? { fix: { label: `Make it ${drawn}″`, patch: { hoopLength: drawn } } }
        : {}),
    });
    hoop = drawn;
  }
  if (least > most) {
    // The base is too wide for this stock whatever its length: the strip is drawn as long as the base asks.
    sketch.note({
      code: 'base-too-wide',
      where: ['hoops/hoop-1'],
      severity: 'stop',
      what: `A base of ${W}″ is too wide for hoops of ${stock.name}.`,
      why: 'They would lie almost flat; joined stock breaks at the joint. The picture shows hoops that are not to be had.',
      fix: {
        label: 'Take livestock panels',
        patch: { hoops: 'panel', hoopLength: Math.min(192, Math.max(84, least)) },
      },
    });
    hoop = least;
  }
  const arc = solveArc(chord, hoop);
  const outer = arc.radius;
  const inner = outer - (pvc ? stock.thickness : 0.25);
  const centre: Pt = [W / 2, FOOT + arc.rise - outer];
  // What touches the curve from inside touches its flats.
  const flat = inner * Math.cos(arc.halfAngle / STEPS);
  const innerAt = (t: number): number => centre[1] + Math.sqrt(Math.max(0, flat ** 2 - (t - W / 2) ** 2));
  const crown = centre[1] + flat;

  for (const [k, y] of [0, W - T].entries())
    sketch.add(
      polyPart(
        a,
        'base',
        {
          id: `base/runner-${k + 1}`,
          name: 'runner',
          role: 'runner',
          item: '2x6-pt',
          notches: ['both ends rockered: ½ in up at the end, full from 18 in'],
        },
        'az',
        rockeredRing(0, L, HIGH),
        y,
        T,
      ),
    );
  for (const [k, x] of [0, L - T].entries())
    sketch.add(
      boxPart(
        a,
        'base',
        { id: `base/end-${k + 1}`, name: 'end board, top flush', role: 'rail', item: '2x4-pt' },
        [x, T, HIGH - POST],
        [T, W - 2 * T, POST],
        't',
      ),
    );
  // The sprung hoops push the runners apart: angles hold the corners, the lags keep them from turning.
  for (const runner of [1, 2])
    for (const end of [1, 2])
      sketch.join({
        kind: 'lag',
        parts: [`base/runner-${runner}`, `base/end-${end}`],
        hardware: { 'angle-tie': 1 },
        fasteners: [
          { item: 'lag-4', length: 4, count: 2 },
          { item: 'screw-1-1/4', length: 1.25, count: 4 },
        ],
        bite: { through: T, into: 2.5, endGrain: true },
        instead: true,
      });
  sketch.assembly({
    id: 'base',
    name: 'base',
    kind: 'base',
    face: { origin: [0, 0, HIGH], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    square: { width: L, height: W },
    tapes: [],
  });

  const band = (
    assembly: string,
    text: PartText,
    r0: number,
    r1: number,
    x: number,
    along: number,
    size: { readonly length: number; readonly width: number; readonly thickness: number },
    flats = STEPS,
  ): PartDraft => ({
    ...polyPart(a, assembly, text, 'tz', arcBand(centre, r0, r1, (arc.halfAngle * flats) / STEPS, flats), x, along),
    length: size.length,
    shortPoint: size.length,
    width: size.width,
    thickness: size.thickness,
    bent: flats,
  });

  const from = T;
  const to = L - T;
  if (pvc)
    uprightPlaces(from, to, stock.width, p.hoopSpacing).forEach((x, i) =>
      sketch.add(
        band(
          'hoops',
          { id: `hoops/hoop-${i + 1}`, name: 'hoop, sprung', role: 'hoop', item: stock.key },
          inner,
          outer,
          x,
          stock.width,
          { length: hoop, width: stock.width, thickness: stock.thickness },
        ),
      ),
    );
  else {
    const count = Math.ceil((to - from) / stock.width - 1e-6);
    for (let i = 0; i < count; i++) {
      const x = from + i * stock.width;
      const wide = Math.min(stock.width, to - x);
      sketch.add(
        band(
          'hoops',
          { id: `hoops/panel-${i + 1}`, name: 'bent panel', role: 'hoop', item: stock.key },
          inner,
          outer,
          x,
          wide,
          {
            length: hoop,
            width: wide,
            thickness: 0.25,
          },
        ),
      );
    }
  }
  sketch.assembly({
    id: 'hoops',
    name: 'hoops',
    kind: 'frame',
    face: { origin: [0, 0, FOOT], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: {
      to: 'base',
      how: pvc
        ? 'sprung between the runners, held with straps: a drilled pipe cracks'
        : 'bent between the runners, stapled and tied',
    },
  });

  // The ridge rides on the door frames and stops the hoops from spreading.
  const ridgeTop = crown;
  const seat = ridgeTop - RIDGE;
  const roomAt = (half: number): boolean => innerAt(W / 2 + half) >= seat + 0.02;
  let doorWidth = p.doorWidth;
  while (doorWidth > LEAST_DOOR && !roomAt(doorWidth / 2 + T)) doorWidth -= 0.5;
  if (doorWidth < p.doorWidth)
    sketch.note({
      code: 'door-under-hoops',
      where: ['end-left/head'],
      severity: 'warn',
      what: `The door is ${doorWidth}″ wide, not ${p.doorWidth}″.`,
      why: 'Its head carries the ridge and must lie under the curve.',
      fix: { label: `Make it ${Math.max(16, doorWidth)}″`, patch: { doorWidth: Math.max(16, doorWidth) } },
    });
  const head = seat - T;
  const doorHeight = Math.min(p.doorHeight, Math.floor((head - HIGH) * 16) / 16);
  if (doorHeight < p.doorHeight && doorHeight >= LEAST_HIGH)
    sketch.note({
      code: 'door-lowered',
      where: ['end-left/head'],
      severity: 'warn',
      what: `The door is ${doorHeight}″ high, not ${p.doorHeight}″.`,
      why: 'Its head carries the ridge under the crown of the hoops.',
      ...(doorHeight >= 16
        ? {
            fix: {
              label: `Make it ${Math.floor(doorHeight * 2) / 2}″`,
              patch: { doorHeight: Math.floor(doorHeight * 2) / 2 },
            },
          }
        : {}),
    });
  const hasDoor = doorHeight >= LEAST_HIGH;
  if (!hasDoor)
    sketch.note({
      code: 'no-room-for-door',
      where: ['end-left/head'],
      severity: 'stop',
      what: `There is no room for a door under hoops that rise ${Math.round(arc.rise)}″.`,
      why: 'A narrower base or a longer hoop stands higher; the end was closed with mesh.',
    });
  const left = W / 2 - doorWidth / 2;
  sketch.add(
    boxPart(
      a,
      'ridge',
      { id: 'ridge/board-1', name: 'ridge', role: 'ridge', item: '2x4' },
      [T, W / 2 - T / 2, seat],
      [L - 2 * T, T, RIDGE],
      'a',
    ),
  );
  sketch.assembly({
    id: 'ridge',
    name: 'ridge',
    kind: 'frame',
    face: { origin: [0, W / 2, seat], u: [1, 0, 0], v: [0, 0, 1] },
    flat: false,
    tapes: [],
    joins: { to: 'end-left', how: 'on the heads of both door frames, tied to every hoop' },
  });
  const arcRing = arcBand(centre, 0, outer, arc.halfAngle, STEPS).slice(STEPS + 1);
  const gate = frameEnds(sketch, {
    length: L,
    width: W,
    mesh: p.mesh,
    ring: arcRing,
    head,
    door: { left, width: doorWidth, height: doorHeight, stands: hasDoor },
  });

  sketch.add(
    band(
      'skin',
      { id: 'skin/mesh', name: 'mesh over the hoops', role: 'mesh', item: p.mesh },
      outer,
      outer + m,
      from,
      to - from,
      {
        length: to - from,
        width: hoop,
        thickness: m,
      },
    ),
  );
  const tarp = Math.min(p.tarpLength, to - from);
  holdHoops(sketch, { pvc, along: to - from, hoop, tarp, mesh: m });
  sketch.add(
    band(
      'skin',
      { id: 'skin/tarp', name: 'tarp', role: 'cover', item: 'tarp' },
      outer + m,
      outer + 2 * m,
      to - tarp,
      tarp,
      { length: (hoop * (STEPS - 2)) / STEPS, width: tarp, thickness: m },
      // Short of the runners, so that air passes under its edges.
      STEPS - 2,
    ),
  );
  sketch.assembly({
    id: 'skin',
    name: 'mesh and tarp',
    kind: 'cover',
    face: { origin: [0, 0, crown], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: {
      to: 'hoops',
      how: 'mesh stretched over the hoops and folded like an envelope at the ends, tarp tied over it',
    },
  });
  sketch.face({
    id: 'top',
    name: 'top',
    place: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(from, T, to, W - T),
    within: [0, arc.rise + 4],
  });
  if (p.wheels !== 'none')
    fitWheels(sketch, { wheel: p.wheels, at: WHEEL_AT, width: W, out: 0, joins: 'base', block: 'none' });
  if (p.ropes) {
    sketch.join({
      kind: 'bolt',
      parts: ['base/end-1'],
      hardware: { rope: 2, 'eye-bolt': 2 },
    });
  }
  fixMesh(sketch, { sides: p.meshSides, overhead: 'washers', only: /^end-/ });
  return sketch.finish({
    family: 'hoop-pen',
    capacity: { runArea: ((to - from) * (W - 2 * T)) / 144 },
    facts: {
      movable: true,
      base: [0, 0, L, W],
      enclosedHeight: FOOT + arc.rise,
      floorHeight: 0,
      roof: { pitch: 12, cover: 'tarp', roofedShare: tarp / L },
      roosts: [],
      ventArea: ((L - tarp) * hoop) / 144,
      ...(gate
        ? {
            door: {
              clearWidth: gate.clearWidth,
              clearHeight: gate.clearHeight,
              threshold: HIGH,
              insideRelease: true,
              opens: 'outward' as const,
            },
          }
        : {}),
      ...(p.wheels === 'none' ? {} : { wheels: { diameter: wheelDiameter(p.wheels), fromEnd: WHEEL_AT } }),
      spans: [],
      meshItem: p.mesh,
      meshHeights: [],
      sheetCourses: [],
      hoop: { length: hoop, base: chord, rise: arc.rise, radius: arc.radius },
    },
  });
};
