import type { Part } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { countText, cutMeshText, cutText } from './cutText.ts';
import type { LabourRates, Step } from './types.ts';

type CutStep = Pick<Step, 'id' | 'verb' | 'title' | 'text' | 'station' | 'parts' | 'minutes' | 'view'> & {
  readonly tools?: readonly string[];
  readonly setup: number;
};

/** Minutes in which the saw, the track saw and the snips are set up for what is cut; common practice, no source. */
const SET_UP = { sticks: 3, sheets: 5, mesh: 3 };

const base = { verb: 'cut', station: 'saw', view: 'three' } as const;
const ids = (parts: readonly Part[]): string[] => parts.map((p) => p.id);

/** What is cut at the saw for so many equal units, with the minutes of one: sticks by item, then sheets, then mesh by its rolls. What is measured in place is cut where it goes. */
export const cutSteps = (parts: readonly Part[], rates: LabourRates, units = 1): CutStep[] => {
  const ready = parts.filter((p) => p.fit === 'cut to length');
  const lumber = ready.filter((p) => findItem(p.item).kind === 'lumber');
  const sheets = parts.filter((p) => findItem(p.item).kind === 'sheet');
  const mesh = ready.filter((p) => p.role === 'mesh');
  const out: CutStep[] = [...new Set(lumber.map((p) => p.item))].map((item) => {
    const mine = lumber.filter((p) => p.item === item);
    return {
      ...base,
      id: `cut-${item}`,
      title: `Cut the ${findItem(item).name}`,
      text: cutText(mine, units),
      parts: ids(mine),
      minutes: SET_UP.sticks + mine.length * rates.cutPerPiece,
      setup: SET_UP.sticks,
    };
  });
  if (sheets.length > 0)
    out.push({
      ...base,
      id: 'cut-sheets',
      title: 'Cut the sheets',
      text: [
        countText(sheets, 'sheet layouts', units),
        'Openings are cut out here on the bench, not after the wall stands.',
      ],
      parts: ids(sheets.filter((p) => p.fit === 'cut to length')),
      minutes: SET_UP.sheets + sheets.length * rates.cutPerSheetPiece,
      setup: SET_UP.sheets,
      tools: ['track saw', 'jigsaw', 'tape', 'chalk line'],
    });
  if (mesh.length > 0)
    out.push({
      ...base,
      id: 'cut-mesh',
      title: 'Cut the mesh',
      text: cutMeshText(mesh, units),
      parts: ids(mesh),
      minutes: SET_UP.mesh + mesh.length * rates.cutPerMeshFace,
      setup: SET_UP.mesh,
      tools: ['snips', 'tape', 'two boards'],
    });
  return out;
};
