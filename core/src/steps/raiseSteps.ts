import { measurePartsMass } from '../unit/index.ts';
import type { Assembly, Part } from '../unit/index.ts';
import { rafterText } from './rafterText.ts';
import { sawOutStep } from './sawOut.ts';
import { coverText, isSkin } from './skin.ts';
import { LIFT } from './stepList.ts';
import type { StepList } from './stepList.ts';
import type { Verb } from './types.ts';

const ids = (parts: readonly Part[]): string[] => parts.map((p) => p.id);
const TITLES: Partial<Record<Verb, string>> = { stand: 'Stand', hang: 'Hang', roof: 'Cover' };

/** Kinds of assembly in the order in which they go up. */
const inOrder = (list: readonly Assembly[], kinds: readonly Assembly['kind'][]): Assembly[] =>
  list.filter((a) => kinds.includes(a.kind) && a.site !== true);

/** Puts one assembly to the others. */
const stand = (
  list: StepList,
  a: Assembly,
  after: readonly string[],
  verb: Verb,
  minutes: number,
  text: readonly string[],
): void => {
  const done = list.ended.get(a.id);
  const mine = list.partsOf(a.id);
  const lifts = verb === 'stand' ? Math.ceil(measurePartsMass(mine).weight / LIFT) : 1;
  const station = list.raiseStation(a);
  list.ended.set(
    a.id,
    list.add({
      id: `${a.id}/${verb}`,
      verb,
      title: `${TITLES[verb] ?? 'Fit'} the ${a.name}`,
      text: [...(a.joins ? [`${a.joins.how[0]?.toUpperCase() ?? ''}${a.joins.how.slice(1)}.`] : []), ...text],
      station,
      assembly: a.id,
      parts: ids(mine),
      minutes,
      needs: [...(done ? [done] : []), ...after],
      view: 'three',
      people: Math.max(station === 'site' ? 2 : 1, Math.min(4, lifts)),
    }),
  );
};

/**
 * Puts some assemblies together, in a bay or on site: walls, what hangs overhead, roof, fittings, doors. `before` is what all of it stands
 * on; `flat` the panels, framed already.
 */
export const raiseSteps = (
  list: StepList,
  assemblies: readonly Assembly[],
  before: readonly string[],
): readonly string[] => {
  const { build, rates } = list;
  const standing = inOrder(assemblies, ['wall', 'frame']).filter((a) => a.flat);
  let last: readonly string[] = [...before, ...list.endsOf(inOrder(assemblies, ['base']))];
  for (const a of standing) {
    stand(list, a, last, 'stand', rates.standPerPanel, ['Clamps hold it up; plumb both ways before fixing.']);
    last = [list.ended.get(a.id) as string];
  }
  const up = standing.length > 0 ? list.endsOf(standing) : last;
  for (const a of standing) {
    const sawn = sawOutStep(a, list.partsOf(a.id));
    if (sawn) list.ended.set(a.id, list.add({ ...sawn, station: list.raiseStation(a), needs: up }));
  }
  const walls = standing.length > 0 ? list.endsOf(standing) : last;
  const loose = inOrder(assemblies, ['frame']).filter((a) => !a.flat);
  for (const a of loose)
    stand(list, a, walls, 'fit', list.partsOf(a.id).length * rates.fitPerPart, [
      'Measure each bar in place before cutting: two gaps that look alike differ by ¼ in.',
    ]);
  // What hangs overhead goes in before the roof closes.
  const fittings = inOrder(assemblies, ['fittings', 'nest']);
  const overhead = fittings.filter((a) => a.id === 'roosts');
  for (const a of overhead)
    stand(list, a, [...walls, ...list.endsOf(loose)], 'fit', list.partsOf(a.id).length * rates.fitPerPart, [
      'In before the roof closes.',
    ]);
  const roofs = inOrder(assemblies, ['roof', 'cover']);
  // Opposing rafters go up before either slope is covered: one slope alone pushes its ridge over.
  let raised: readonly string[] = [...walls, ...list.endsOf(loose), ...list.endsOf(overhead)];
  for (const a of roofs) {
    const framing = list.partsOf(a.id).filter((p) => !isSkin(p));
    if (framing.length === 0) continue;
    raised = [
      list.add({
        id: `${a.id}/frame`,
        verb: 'frame',
        title: `Set the rafters of the ${a.name}`,
        text: rafterText(framing, build.parts),
        station: list.raiseStation(a),
        assembly: a.id,
        parts: ids(framing),
        minutes: 5 + framing.length * rates.framePerPart,
        needs: raised,
        view: 'three',
      }),
    ];
  }
  for (const a of roofs) {
    const cover = list.partsOf(a.id).filter(isSkin);
    if (cover.length === 0) {
      // Open joists, over which nothing lies.
      if (raised[0] !== undefined) list.ended.set(a.id, raised[0]);
      continue;
    }
    list.ended.set(
      a.id,
      list.add({
        id: `${a.id}/cover`,
        verb: 'roof',
        title: `Cover the ${a.name}`,
        text: coverText(cover, build.parts, list.stained),
        station: list.raiseStation(a),
        assembly: a.id,
        parts: ids(cover),
        minutes: 4 + cover.length * rates.roofPerSheet,
        needs: raised,
        view: 'three',
      }),
    );
  }
  const closed = list.endsOf(roofs);
  for (const a of fittings.filter((f) => f.id !== 'roosts'))
    stand(
      list,
      a,
      [...walls, ...(a.id === 'moving' ? list.endsOf(loose) : closed)],
      'fit',
      4 + list.partsOf(a.id).length * rates.fitPerPart,
      [],
    );
  for (const a of inOrder(assemblies, ['door', 'lid']))
    stand(list, a, [...walls, ...list.endsOf(loose), ...closed], 'hang', rates.hangDoor, [
      'Check hinge side and swing with it fully open.',
    ]);
  return [...new Set([...last, ...list.endsOf(assemblies)])];
};
