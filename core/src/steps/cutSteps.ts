import type { Part } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { countText, cutMeshText, cutText } from './cutText.ts';
import type { LabourRates, Step } from './types.ts';

type CutStep = Pick<Step, 'id' | 'verb' | 'title' | 'text' | 'station' | 'parts' | 'minutes' | 'view'> & {
  readonly tools?: readonly string[];
};

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
      minutes: 3 + mine.length * rates.cutPerPiece,
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
      minutes: 5 + sheets.length * rates.cutPerSheetPiece,
      tools: ['track saw', 'jigsaw', 'tape', 'chalk line'],
    });
  if (mesh.length > 0)
    out.push({
      ...base,
      id: 'cut-mesh',
      title: 'Cut the mesh',
      text: cutMeshText(mesh, units),
      parts: ids(mesh),
      minutes: 3 + mesh.length * rates.cutPerMeshFace,
      tools: ['snips', 'tape', 'two boards'],
    });
  return out;
};
