import { areaOf } from './panelSteps.ts';
import type { StepList } from './stepList.ts';

/** What takes paint or stain. */
const COATED: ReadonlySet<string> = new Set(['siding', 'trim', 'nest', 'door']);

/** Minutes for opening, stirring and cleaning the brushes; common practice, no source. */
const STIR = 10;

/** Two coats with a night between, in the paint corner or where it stands; nothing where there is no siding. */
export const coatSteps = (
  list: StepList,
  after: readonly string[],
  where: 'paint' | 'site',
  assemblies?: ReadonlySet<string>,
): readonly string[] => {
  if (!list.stained) return after;
  const sided = list.build.parts.filter(
    (p) => COATED.has(p.role) && p.fit !== 'cut on site' && (assemblies?.has(p.assembly) ?? true),
  );
  const minutes = STIR + areaOf(sided) * list.rates.coatPerSquareFoot;
  const id = where === 'site' ? 'site-coat' : 'coat';
  const first = list.add({
    id: `${id}-1`,
    verb: 'coat',
    title: 'First coat',
    text: [
      'Edges and end grain well; leave the sliding faces of the pop door bare.',
      ...(where === 'site'
        ? [`Dry wood, 50 °F and rising${list.build.facts.indoors ? '' : ', no rain before night'}.`]
        : []),
    ],
    station: where,
    parts: sided.map((p) => p.id),
    minutes,
    setup: STIR,
    needs: after,
    view: 'three',
    people: 1,
  });
  return [
    list.add({
      id: `${id}-2`,
      verb: 'coat',
      title: 'Second coat',
      text: ['After a night of drying.'],
      station: where,
      parts: sided.map((p) => p.id),
      minutes,
      setup: STIR,
      needs: [first],
      view: 'three',
      people: 1,
    }),
  ];
};

/** The last look: before it leaves the shop, and where it was put together. */
export const inspectStep = (list: StepList, after: readonly string[], where: 'bay' | 'site'): string => {
  const panels = where === 'bay' && list.method !== 'whole';
  return list.add({
    id: where === 'site' ? 'site-inspect' : 'inspect',
    verb: 'inspect',
    title: panels ? 'Check the panels over' : 'Check it over',
    text: panels
      ? [
          'Every panel with its number, its diagonals written on it, no screw points on the inner side.',
          'Seams laid against each other once: holes meet, edges are flush.',
        ]
      : [
          'No gap lets a ½ in bar in below the roof; no screw points inside.',
          'Every door swings with an even gap; every latch is reached and opens from inside where a person fits.',
          ...(list.build.facts.movable ? ['Lift one end and roll it its own length.'] : []),
        ],
    station: where,
    parts: [],
    minutes: 15,
    needs: after,
    view: 'three',
    people: 1,
    ...(panels ? {} : { gate: { what: 'no gap over', expected: 0.5, tolerance: 0 } }),
  });
};
