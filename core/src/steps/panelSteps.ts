import { findItem } from '../stock/index.ts';
import { hasCut } from '../unit/index.ts';
import type { Assembly, Part } from '../unit/index.ts';
import { capital } from './capital.ts';
import { isOver, isSkin, skinText } from './skin.ts';
import type { StepList } from './stepList.ts';

/** Square feet of some parts. */
export const areaOf = (parts: readonly Part[]): number => parts.reduce((sum, p) => sum + (p.length * p.width) / 144, 0);

/** What is cut from a stick at the saw. */
export const isLumber = (p: Part): boolean => findItem(p.item).kind === 'lumber' && hasCut(p);

/** Diagonal of a rectangle, the length to read corner to corner. */
export const diagonal = (width: number, height: number): number => Math.hypot(width, height);

const ids = (parts: readonly Part[]): string[] => parts.map((p) => p.id);

/** The steps of one panel: mark, frame, square, floor and skin it while it lies flat. Gives the last of them, or what came before. */
export const panelSteps = (list: StepList, a: Assembly, after: readonly string[]): readonly string[] => {
  const { build, rates } = list;
  const mine = list.partsOf(a.id);
  const floor = mine.filter((p) => p.role === 'floor');
  // What is bought in its frame is only hung.
  const frame = mine.filter((p) => !isSkin(p) && p.role !== 'floor' && p.role !== 'unit');
  const skin = mine.filter(isSkin);
  const common = { station: list.panelStation(a), assembly: a.id, view: `panel:${a.id}` } as const;
  let last = after;
  const marks = a.tapes.reduce((n, t) => n + t.marks.length * t.parts.length, 0);
  if (marks > 0)
    last = [
      list.add({
        ...common,
        id: `${a.id}/layout`,
        verb: 'lay out',
        title: `Mark the ${a.name}`,
        text: a.tapes.map(
          (t) =>
            `${capital(t.title)}: hook the tape once and mark all ${t.marks.length}; the piece lies to the side of the cross.`,
        ),
        parts: a.tapes.flatMap((t) => t.parts),
        minutes: 2 + marks * rates.layoutPerMark,
        needs: last,
      }),
    ];
  const fitted = frame.filter((p) => p.fit === 'measure in place');
  if (frame.length > 0)
    last = [
      list.add({
        ...common,
        id: `${a.id}/frame`,
        verb: 'frame',
        title: `${a.flat ? 'Lay out and fix' : 'Build'} the ${a.name}${a.flat ? ' flat' : ''}`,
        text: [
          'Set each piece slightly proud; driving the screw draws it flush.',
          ...(fitted.length > 0
            ? [`Measure in place before cutting: ${[...new Set(fitted.map((p) => p.mark))].join(', ')}.`]
            : []),
          // A leaf with a slanting head has no diagonals to read.
          ...(a.kind === 'door' && !a.square && frame.some((p) => p.role === 'door' && p.cuts.length > 0)
            ? [
                'Its head slants, so its diagonals say nothing: square the bottom rail to both stiles, then lay the slanting one.',
              ]
            : []),
        ],
        parts: ids(frame),
        minutes: 4 + frame.length * rates.framePerPart,
        needs: last,
      }),
    ];
  if (a.square)
    last = [
      list.add({
        ...common,
        id: `${a.id}/square`,
        verb: 'check',
        title: `Square the ${a.name}`,
        text: ['Read both diagonals, push the long corner until they agree, then brace.'],
        parts: [],
        minutes: 3,
        needs: last,
        gate: {
          what: 'both diagonals',
          expected: diagonal(a.square.width, a.square.height),
          tolerance: Math.max(a.square.width, a.square.height) <= 96 ? 0.125 : 0.25,
        },
      }),
    ];
  if (floor.length > 0)
    last = [
      list.add({
        ...common,
        id: `${a.id}/floor`,
        verb: 'skin',
        title: `Floor the ${a.name}`,
        text: ['The base is square now: sheets down tight, joints on joists, screwed from the middle out.'],
        parts: ids(floor),
        minutes: 3 + floor.length * rates.skinPerSheet,
        needs: last,
      }),
    ];
  if (skin.length > 0 && a.flat) {
    const meshes = skin.filter((p) => p.role === 'mesh');
    const over = skin.filter(isOver);
    const boards = skin.filter((p) => p.role !== 'mesh' && !isOver(p));
    last = [
      list.add({
        ...common,
        id: `${a.id}/skin`,
        verb: 'skin',
        title: `Skin the ${a.name} while it lies flat`,
        text: skinText(
          skin,
          build.parts,
          build.openings.filter((o) => o.assembly === a.id),
          list.stained,
        ),
        parts: ids(skin),
        minutes:
          boards.length * rates.skinPerSheet +
          areaOf(meshes) * rates.meshPerSquareFoot +
          over.length * rates.framePerPart +
          3,
        needs: last,
      }),
    ];
  }
  return last;
};
