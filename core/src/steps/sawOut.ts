import type { Assembly, Part } from '../unit/index.ts';
import type { Step } from './types.ts';

/** Minutes to set up, and for each stretch of plate: two cuts, and a chisel. Common practice, no source. */
const SET_UP = 3;
const EACH = 4;

/** Sawing the bottom plate out under the doors of a panel that stands; nothing where none stands on the floor. */
export const sawOutStep = (
  a: Assembly,
  mine: readonly Part[],
): Pick<Step, 'id' | 'verb' | 'title' | 'text' | 'station' | 'assembly' | 'parts' | 'minutes' | 'view'> | undefined => {
  const plates = mine.filter((p) => p.sawnOut !== undefined);
  if (plates.length === 0) return undefined;
  const gaps = plates.reduce((n, p) => n + (p.sawnOut?.length ?? 0), 0);
  const rests = plates.flatMap((p) => p.sawnOut ?? []);
  return {
    id: `${a.id}/saw-out`,
    verb: 'saw out',
    title: `Saw the plate of the ${a.name} out`,
    text: [
      `${gaps === 1 ? 'One stretch' : `${gaps} stretches`}, flush with the studs on both sides: ${plates
        .map((p) => `of ${p.mark} ${(p.notches[0] ?? '').replace(/^.*: /, '')}`)
        .join('; ')}.`,
      'Only now that the wall is nailed down: until then the plate keeps its studs apart. Look for nails in the cut first.',
    ],
    station: 'bay',
    assembly: a.id,
    parts: [...plates.map((p) => p.id), ...rests],
    minutes: SET_UP + EACH * gaps,
    view: `panel:${a.id}`,
  };
};
