import { rectangle } from '../../../geometry/index.ts';
import type { Build, TapeMark } from '../../../unit/index.ts';
import { boxPart, faceOf, Sketch, UNIT_AXES, wallAxes } from '../../../frame/index.ts';
import type { Axes } from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';
import type { LowPenParams } from './params.ts';

const BOARD = 0.625;
const WIDE = 5.5;
const SPINDLE = 1.5;
const STICK = 72;
/** Half a saw kerf: halving a 72 in picket gives two pieces of 35 15/16. */
const HALF_KERF = 1 / 16;

/** Rows of boards up a side: as many whole boards as fit, the rest shared as equal gaps between them. */
const rowsUp = (height: number): { readonly count: number; readonly gap: number } => {
  const count = Math.floor(height / WIDE);
  return { count, gap: count > 1 ? (height - count * WIDE) / (count - 1) : 0 };
};

/** Length of a board run cut from 72 in pickets: halves and wholes joined on a spindle. */
const boardRuns = (from: number, to: number): readonly (readonly [number, number])[] => {
  if (to - from <= STICK) return [[from, to]];
  const middle = Math.round(((from + to) / 2) * 16) / 16;
  return [
    [from, middle],
    [middle, to],
  ];
};

const spindlePlaces = (from: number, to: number, most: number): number[] => {
  const bays = Math.max(1, 2 * Math.ceil((to - from - SPINDLE) / most / 2));
  return Array.from({ length: bays + 1 }, (_, i) => Math.round((from + ((to - from - SPINDLE) * i) / bays) * 16) / 16);
};

/** Frames the picket pen: spindle uprights, pickets as rails, mesh inside, two lid leaves hinged on a centre rail. */
export const framePicketPen = (p: LowPenParams): Build => {
  const sketch = new Sketch();
  const { length: L, width: W, height: H } = p;
  const m = findMesh(p.mesh).thickness;
  const rows = rowsUp(H);

  const side = (
    id: string,
    name: string,
    axes: Axes,
    board: readonly [number, number],
    spindles: readonly number[],
    mesh: readonly [number, number],
    t0: number,
  ): void => {
    const marks: TapeMark[] = [];
    for (let r = 0; r < rows.count; r++) {
      const z = r * (WIDE + rows.gap);
      boardRuns(board[0], board[1]).forEach(([b0, b1], k) =>
        sketch.add(
          boxPart(
            axes,
            id,
            { id: `${id}/board-${r + 1}-${k + 1}`, name: `${name} board`, role: 'board', item: 'picket' },
            [b0, t0, z],
            [b1 - b0, BOARD, WIDE],
            'a',
          ),
        ),
      );
    }
    spindles.forEach((a, i) => {
      const part = `${id}/spindle-${i + 1}`;
      sketch.add(
        boxPart(
          axes,
          id,
          { id: part, name: `${name} spindle`, role: 'upright', item: '2x2' },
          [a, t0 + BOARD, 0],
          [SPINDLE, SPINDLE, H],
          'z',
        ),
      );
      marks.push({ at: a - board[0], side: 'right', what: 'spindle', part });
    });
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: p.mesh },
        [mesh[0], t0 + BOARD + SPINDLE, 0],
        [mesh[1] - mesh[0], m, H],
        'a',
      ),
    );
    sketch.assembly({
      id,
      name,
      kind: 'frame',
      face: faceOf(axes, 0, t0),
      flat: true,
      square: { width: board[1] - board[0], height: H },
      tapes: boardRuns(board[0], board[1]).map(([b0, b1], k, runs) => ({
        title: runs.length === 1 ? 'every board of the side' : k === 0 ? 'every left board' : 'every right board',
        parts: [`${id}/board-1-${k + 1}`],
        length: b1 - b0,
        marks: marks
          .map((mark) => ({ ...mark, at: mark.at + board[0] - b0 }))
          .filter((mark) => mark.at >= -SPINDLE / 2 && mark.at < b1 - b0 - SPINDLE / 2 + 1e-6)
          .map((mark) => ({ ...mark, at: Math.max(0, mark.at) })),
      })),
      ...(id === 'left' || id === 'right'
        ? { joins: { to: 'front', how: 'between the side boards, screwed into the corner spindles' } }
        : {}),
    });
    sketch.face({
      id,
      name,
      place: faceOf(axes, 0, t0 + BOARD + SPINDLE),
      region: rectangle(mesh[0], 0, mesh[1], H),
      within: [-0.5, SPINDLE + BOARD],
    });
  };

  const inner = BOARD + SPINDLE;
  // Long sides cover the edges of the end boards, so an end board is the width less two boards.
  const longMesh = [BOARD + BOARD, L - BOARD - BOARD] as const;
  const longSpindles = spindlePlaces(BOARD, L - BOARD, p.uprightSpacing);
  side('front', 'front side', wallAxes('front', [0, 0, 0]), [0, L], longSpindles, longMesh, 0);
  side('back', 'back side', wallAxes('back', [L, W, 0]), [0, L], longSpindles, longMesh, 0);
  const endSpindles = spindlePlaces(BOARD + SPINDLE, W - BOARD - SPINDLE, Math.max(24, p.uprightSpacing)).slice(1, -1);
  const endMesh = [inner + m, W - inner - m] as const;
  side('left', 'left end', wallAxes('left', [0, W, 0]), [BOARD, W - BOARD], endSpindles, endMesh, 0);
  side('right', 'right end', wallAxes('right', [L, 0, 0]), [BOARD, W - BOARD], endSpindles, endMesh, 0);

  // An end's mesh reaches the corner spindles with its edges turned round them.
  for (const [end, first, last] of [
    ['left', `front/spindle-1`, `back/spindle-${longSpindles.length}`],
    ['right', `front/spindle-${longSpindles.length}`, `back/spindle-1`],
  ] as const)
    for (const spindle of [first, last])
      sketch.join({
        kind: 'staple',
        parts: [`${end}/mesh`, spindle],
        fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil(H / 3) + 1 }],
        bite: { through: m, into: 0.5 - m },
      });

  const a = UNIT_AXES;
  const mid = L / 2;
  sketch.add(
    boxPart(
      a,
      'top',
      {
        id: 'top/centre-rail',
        name: 'centre rail',
        role: 'crossbar',
        item: '2x4',
        fit: 'measure in place',
        tolerance: 0.25,
      },
      [mid - 1.75, inner + m, H - 1.5],
      [3.5, W - 2 * (inner + m), 1.5],
      't',
    ),
  );
  sketch.assembly({
    id: 'top',
    name: 'centre rail',
    kind: 'frame',
    face: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: { to: 'front', how: 'laid flat between the long sides, tops flush' },
  });

  const across = rowsUp(W);
  const leafLong = mid - HALF_KERF;
  for (const leaf of ['left', 'right'] as const) {
    const id = `lid-${leaf}`;
    const x0 = leaf === 'left' ? 0 : L - leafLong;
    for (let r = 0; r < across.count; r++)
      sketch.add(
        boxPart(
          a,
          id,
          { id: `${id}/board-${r + 1}`, name: 'lid board', role: 'lid', item: 'picket' },
          [x0, r * (WIDE + across.gap), H],
          [leafLong, WIDE, BOARD],
          'a',
        ),
      );
    // The batten at the hinge is held in ¾ in from the rail so that the leaf opens past upright without binding.
    const hinge = leaf === 'left' ? mid - 1.75 - 0.75 - SPINDLE : mid + 1.75 + 0.75;
    const free = leaf === 'left' ? inner + m + 0.75 : L - inner - m - 0.75 - SPINDLE;
    for (const [k, x] of [hinge, free].entries())
      sketch.add(
        boxPart(
          a,
          id,
          { id: `${id}/batten-${k + 1}`, name: 'lid batten', role: 'lid', item: '2x2' },
          [x, inner + m + 0.25, H - SPINDLE],
          [SPINDLE, W - 2 * (inner + m + 0.25), SPINDLE],
          't',
        ),
      );
    if (across.gap > 0.5)
      sketch.add(
        boxPart(
          a,
          id,
          { id: `${id}/mesh`, name: 'lid mesh', role: 'mesh', item: p.mesh },
          [x0, 0, H + BOARD],
          [leafLong, W, m],
          't',
        ),
      );
    sketch.assembly({
      id,
      name: `${leaf} lid leaf`,
      kind: 'lid',
      face: { origin: [x0, 0, H + BOARD], u: [1, 0, 0], v: [0, 1, 0] },
      flat: true,
      square: { width: leafLong, height: W },
      tapes: [],
      joins: { to: 'top', how: 'hinged on the centre rail' },
    });
    sketch.join({ kind: 'hinge', parts: [`${id}/batten-1`, 'top/centre-rail'], hardware: { hinge: 2 } });
    sketch.join({ kind: 'latch', parts: [`${id}/batten-2`], nearest: leaf, hardware: { latch: 2 } });
  }
  sketch.face({
    id: 'top',
    name: 'top',
    place: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(0, 0, L, W),
    within: [-0.1, 1],
  });
  if (p.ropes) {
    sketch.join({
      kind: 'bolt',
      parts: ['right/board-1-1'],
      hardware: { rope: 2, 'eye-bolt': 2 },
    });
  }
  return sketch.finish({
    family: 'low-pen',
    capacity: { runArea: ((L - 2 * inner) * (W - 2 * inner)) / 144 },
    facts: {
      movable: true,
      base: [0, 0, L, W],
      enclosedHeight: H,
      floorHeight: 0,
      roof: { pitch: 0, cover: 'boards', roofedShare: 1 },
      roosts: [],
      ventArea: (rows.gap * Math.max(0, rows.count - 1) * 2 * (L + W)) / 144,
      lidWeightParts: 'lid-left',
      spans: [],
      meshItem: p.mesh,
      meshHeights: [{ height: H, assembly: 'front' }],
      sheetCourses: [],
    },
  });
};
