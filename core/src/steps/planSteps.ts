import { hasCut, partsOf } from '../unit/index.ts';
import type { Assembly, Build, Part } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { CAUTIONS } from './cautions.ts';
import { cutSteps } from './cutSteps.ts';
import { rafterText } from './rafterText.ts';
import { sawOutStep } from './sawOut.ts';
import { coverText, isOver, isSkin, skinText } from './skin.ts';
import { TOOLS } from './tools.ts';
import { withJoints } from './withJoints.ts';
import { LABOUR_RATES } from './types.ts';
import type { LabourRates, Step, Verb } from './types.ts';

const area = (parts: readonly Part[]): number => parts.reduce((sum, p) => sum + (p.length * p.width) / 144, 0);
const isLumber = (p: Part): boolean => findItem(p.item).kind === 'lumber' && hasCut(p);

/** Diagonal of a rectangle, the length to read corner to corner. */
export const diagonal = (width: number, height: number): number => Math.hypot(width, height);

/** Minutes of one drive of some miles with a trailer. */
export const driveMinutes = (miles: number, rates: LabourRates = LABOUR_RATES): number =>
  rates.roadFixed + (miles / Math.max(1, rates.roadMilesPerHour)) * 60;

/**
 * The steps of a build in working order, each with what it needs before: sort, cut, then for every panel lay out, frame,
 * square and skin while it lies flat; then base, walls, overhead fittings, roof, doors, coats, inspection and loading, the drive out, setting, the drive back.
 * @param miles distance of the site
 */
export const planSteps = (build: Build, rates: LabourRates = LABOUR_RATES, miles = 0): Step[] => {
  const steps: Step[] = [];
  const ended = new Map<string, string>();
  const byId = new Map(build.parts.map((p) => [p.id, p]));
  const add = (
    step: Omit<Step, 'tools' | 'cautions' | 'joints' | 'fasteners' | 'hardware'> & {
      readonly cautions?: readonly string[];
      readonly tools?: readonly string[];
    },
  ): string => {
    const parts = step.parts.flatMap((id) => byId.get(id) ?? []);
    steps.push({
      ...step,
      tools: step.tools ?? TOOLS[step.verb],
      joints: [],
      fasteners: [],
      hardware: [],
      cautions: [...(step.cautions ?? []), ...CAUTIONS.filter((c) => c.when(step.verb, parts)).map((c) => c.text)],
      minutes: Math.max(1, Math.round(step.minutes)),
    });
    return step.id;
  };
  const ids = (parts: readonly Part[]): string[] => parts.map((p) => p.id);

  const stained = build.parts.some((p) => p.role === 'siding');
  const lumber = build.parts.filter(isLumber);
  const sort = add({
    id: 'sort',
    verb: 'sort',
    title: 'Sort the boards',
    text: [
      'Straight boards for plates, doors and lids; bowed ones for short pieces.',
      'Put aside borer holes, splits and wane.',
    ],
    station: 'saw',
    parts: [],
    minutes: 5 + lumber.length * rates.sortPerStick * 0.4,
    needs: [],
    view: 'three',
  });
  const cutIds = cutSteps(build.parts, rates).map((step) => add({ ...step, needs: [sort] }));

  const panelSteps = (a: Assembly): string => {
    const mine = partsOf(build.parts, a.id);
    const floor = mine.filter((p) => p.role === 'floor');
    // What is bought in its frame is only hung.
    const frame = mine.filter((p) => !isSkin(p) && p.role !== 'floor' && p.role !== 'unit');
    const skin = mine.filter(isSkin);
    const view = `panel:${a.id}`;
    let last = cutIds;
    const marks = a.tapes.reduce((n, t) => n + t.marks.length * t.parts.length, 0);
    if (marks > 0)
      last = [
        add({
          id: `${a.id}/layout`,
          verb: 'lay out',
          title: `Mark the ${a.name}`,
          text: a.tapes.map(
            (t) =>
              `${t.title}: hook the tape once and mark all ${t.marks.length}; the piece lies to the side of the cross.`,
          ),
          station: 'bay',
          assembly: a.id,
          parts: a.tapes.flatMap((t) => t.parts),
          minutes: 2 + marks * rates.layoutPerMark,
          needs: last,
          view,
        }),
      ];
    const fitted = frame.filter((p) => p.fit === 'measure in place');
    if (frame.length > 0)
      last = [
        add({
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
          station: 'bay',
          assembly: a.id,
          parts: ids(frame),
          minutes: 4 + frame.length * rates.framePerPart,
          needs: last,
          view,
        }),
      ];
    if (a.square)
      last = [
        add({
          id: `${a.id}/square`,
          verb: 'check',
          title: `Square the ${a.name}`,
          text: ['Read both diagonals, push the long corner until they agree, then brace.'],
          station: 'bay',
          assembly: a.id,
          parts: [],
          minutes: 3,
          needs: last,
          view,
          gate: {
            what: 'both diagonals',
            expected: diagonal(a.square.width, a.square.height),
            tolerance: Math.max(a.square.width, a.square.height) <= 96 ? 0.125 : 0.25,
          },
        }),
      ];
    if (floor.length > 0)
      last = [
        add({
          id: `${a.id}/floor`,
          verb: 'skin',
          title: `Floor the ${a.name}`,
          text: ['The base is square now: sheets down tight, joints on joists, screwed from the middle out.'],
          station: 'bay',
          assembly: a.id,
          parts: ids(floor),
          minutes: 3 + floor.length * rates.skinPerSheet,
          needs: last,
          view,
        }),
      ];
    if (skin.length > 0 && a.flat) {
      const meshes = skin.filter((p) => p.role === 'mesh');
      const over = skin.filter(isOver);
      const boards = skin.filter((p) => p.role !== 'mesh' && !isOver(p));
      last = [
        add({
          id: `${a.id}/skin`,
          verb: 'skin',
          title: `Skin the ${a.name} while it lies flat`,
          text: skinText(
            skin,
            build.parts,
            build.openings.filter((o) => o.assembly === a.id),
            stained,
          ),
          station: 'bay',
          assembly: a.id,
          parts: ids(skin),
          minutes:
            boards.length * rates.skinPerSheet +
            area(meshes) * rates.meshPerSquareFoot +
            over.length * rates.framePerPart +
            3,
          needs: last,
          view,
        }),
      ];
    }
    return last[0] ?? sort;
  };

  const inOrder = (kinds: readonly Assembly['kind'][]): Assembly[] =>
    build.assemblies.filter((a) => kinds.includes(a.kind) && a.site !== true);
  const stand = (a: Assembly, after: readonly string[], verb: Verb, minutes: number, text: readonly string[]): void => {
    const done = ended.get(a.id);
    ended.set(
      a.id,
      add({
        id: `${a.id}/${verb}`,
        verb,
        title: `${verb === 'stand' ? 'Stand' : verb === 'hang' ? 'Hang' : verb === 'roof' ? 'Cover' : 'Fit'} the ${a.name}`,
        text: [...(a.joins ? [`${a.joins.how[0]?.toUpperCase() ?? ''}${a.joins.how.slice(1)}.`] : []), ...text],
        station: 'bay',
        assembly: a.id,
        parts: ids(partsOf(build.parts, a.id)),
        minutes,
        needs: [...(done ? [done] : []), ...after],
        view: 'three',
      }),
    );
  };
  const endsOf = (list: readonly Assembly[]): string[] => list.flatMap((a) => ended.get(a.id) ?? []);

  const base = inOrder(['base']);
  for (const a of base) ended.set(a.id, panelSteps(a));
  const standing = inOrder(['wall', 'frame']).filter((a) => a.flat);
  for (const a of standing) ended.set(a.id, panelSteps(a));
  const doors = inOrder(['door', 'lid']);
  for (const a of doors) ended.set(a.id, panelSteps(a));
  const flat = endsOf(standing);
  let before: readonly string[] = [...endsOf(base)];
  for (const a of standing) {
    stand(a, before, 'stand', rates.standPerPanel, ['Clamps hold it up; plumb both ways before fixing.']);
    before = [ended.get(a.id) as string];
  }
  const up = endsOf(standing);
  for (const a of standing) {
    const sawn = sawOutStep(a, partsOf(build.parts, a.id));
    if (sawn) ended.set(a.id, add({ ...sawn, needs: up }));
  }
  const walls = endsOf(standing);
  const loose = inOrder(['frame']).filter((a) => !a.flat);
  for (const a of loose) {
    const mine = partsOf(build.parts, a.id);
    stand(a, walls, 'fit', mine.length * rates.fitPerPart, [
      'Measure each bar in place before cutting: two gaps that look alike differ by ¼ in.',
    ]);
  }
  // What hangs overhead goes in before the roof closes.
  const fittings = inOrder(['fittings', 'nest']);
  const overhead = fittings.filter((a) => a.id === 'roosts');
  for (const a of overhead)
    stand(a, [...walls, ...endsOf(loose)], 'fit', partsOf(build.parts, a.id).length * rates.fitPerPart, [
      'In before the roof closes.',
    ]);
  const roofs = inOrder(['roof', 'cover']);
  // Opposing rafters go up before either slope is covered: one slope alone pushes its ridge over.
  let raised: readonly string[] = [...walls, ...endsOf(loose), ...endsOf(overhead)];
  for (const a of roofs) {
    const framing = partsOf(build.parts, a.id).filter((p) => !isSkin(p));
    if (framing.length === 0) continue;
    const step = add({
      id: `${a.id}/frame`,
      verb: 'frame',
      title: `Set the rafters of the ${a.name}`,
      text: rafterText(framing, build.parts),
      station: 'bay',
      assembly: a.id,
      parts: ids(framing),
      minutes: 5 + framing.length * rates.framePerPart,
      needs: raised,
      view: 'three',
    });
    raised = [step];
  }
  for (const a of roofs) {
    const cover = partsOf(build.parts, a.id).filter(isSkin);
    ended.set(
      a.id,
      add({
        id: `${a.id}/cover`,
        verb: 'roof',
        title: `Cover the ${a.name}`,
        text: coverText(cover, build.parts, stained),
        station: 'bay',
        assembly: a.id,
        parts: ids(cover),
        minutes: 4 + cover.length * rates.roofPerSheet,
        needs: raised,
        view: 'three',
      }),
    );
  }
  const closed = endsOf(roofs);
  for (const a of fittings.filter((f) => f.id !== 'roosts'))
    stand(
      a,
      [...walls, ...(a.id === 'moving' ? endsOf(loose) : closed)],
      'fit',
      4 + partsOf(build.parts, a.id).length * rates.fitPerPart,
      [],
    );
  for (const a of doors)
    stand(a, [...walls, ...endsOf(loose), ...closed], 'hang', rates.hangDoor, [
      'Check hinge side and swing with it fully open.',
    ]);

  const assembled = [...new Set([...flat, ...[...ended.values()]])];
  const sided = build.parts.filter((p) => ['siding', 'trim', 'nest', 'door'].includes(p.role));
  let coated = assembled;
  if (sided.some((p) => p.role === 'siding')) {
    const minutes = 10 + area(sided) * rates.coatPerSquareFoot;
    const first = add({
      id: 'coat-1',
      verb: 'coat',
      title: 'First coat',
      text: ['Edges and end grain well; leave the sliding faces of the pop door bare.'],
      station: 'paint',
      parts: ids(sided),
      minutes,
      needs: assembled,
      view: 'three',
    });
    const second = add({
      id: 'coat-2',
      verb: 'coat',
      title: 'Second coat',
      text: ['After a night of drying.'],
      station: 'paint',
      parts: ids(sided),
      minutes,
      needs: [first],
      view: 'three',
    });
    coated = [second];
  }
  const inspect = add({
    id: 'inspect',
    verb: 'inspect',
    title: 'Check it over',
    text: [
      'No gap lets a ½ in bar in below the roof; no screw points inside.',
      'Every door swings with an even gap; every latch is reached and opens from inside where a person fits.',
      ...(build.facts.movable ? ['Lift one end and roll it its own length.'] : []),
    ],
    station: 'bay',
    parts: [],
    minutes: 15,
    needs: coated,
    view: 'three',
    gate: { what: 'no gap over', expected: 0.5, tolerance: 0 },
  });
  const load = add({
    id: 'load',
    verb: 'load',
    title: 'Load and tie',
    text: [
      'Heavy and low between the axles; straps over solid framing, not over skin.',
      'Pack list: shims, spare 6 in screws, blocks, level, tarps, site parts.',
    ],
    station: 'yard',
    parts: [],
    minutes: rates.load,
    needs: [inspect],
    view: 'three',
  });
  const deliver = add({
    id: 'deliver',
    verb: 'deliver',
    title: 'Drive to the site',
    text: ['Call ahead on leaving.'],
    station: 'road',
    parts: [],
    minutes: driveMinutes(miles, rates),
    needs: [load],
    view: 'three',
  });
  const siteParts = build.assemblies.filter((a) => a.site === true).flatMap((a) => partsOf(build.parts, a.id));
  const set = add({
    id: 'set',
    verb: 'set',
    title: 'Set it on its ground',
    text: [
      'Pads to the heights of the survey, level both ways, then the unit.',
      ...(siteParts.length > 0 ? [`Cut here: ${[...new Set(siteParts.map((p) => p.name))].join(', ')}.`] : []),
      'Show keys, latches and the inside release.',
    ],
    station: 'site',
    parts: ids(siteParts),
    minutes: 45 + siteParts.length * rates.fitPerPart,
    needs: [deliver],
    view: 'three',
  });
  add({
    id: 'return',
    verb: 'deliver',
    title: 'Drive back',
    text: ['Straps, blocks and tools counted back on to the trailer.'],
    station: 'road',
    parts: [],
    minutes: driveMinutes(miles, rates),
    needs: [set],
    view: 'three',
  });
  return withJoints(build, steps);
};
