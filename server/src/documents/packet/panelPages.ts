import type { Content } from 'pdfmake/interfaces.js';
import { drawBuild, drawTemplate, hasLayers } from '@rubbet/core/draw';
import type { Drawing } from '@rubbet/core/draw';
import { writeSvg } from '@rubbet/core/formats';
import type { Show } from '@rubbet/core/order';
import { capital } from '@rubbet/core/steps';
import type { Step } from '@rubbet/core/steps';
import { groupParts, partsOf } from '@rubbet/core/unit';
import type { Assembly, Part, Tape } from '@rubbet/core/unit';
import type { MadeFrom } from '../documents.service.ts';
import { textIn } from '../paper.ts';
import { tapeSvg } from '../pictures.ts';
import { asBlock, heading, KEEL } from '../print.ts';
import { narrowTable, partTable } from './parts.ts';
import { stepLine } from './stepLines.ts';

/** Size of a panel's picture beside its steps, and of what is small, points. */
const BESIDE = { wide: 262, high: 190 } as const;
const APART = { wide: 96, high: 74 } as const;
const ALONE = { wide: 500, high: 190 } as const;
const LITTLE = { wide: 150, high: 96 } as const;
const SMALL: ReadonlySet<Assembly['kind']> = new Set(['door', 'lid', 'fittings']);
/** Templates in a row. */
const IN_ROW = 5;

/** Steps that are done to a panel lying flat: they stand on its page. */
export const isPanelStep = (step: Pick<Step, 'view' | 'assembly' | 'verb'>): boolean =>
  step.assembly !== undefined && step.view === `panel:${step.assembly}` && step.verb !== 'stand';

const picture = (drawing: Drawing, show: Show, most: { readonly wide: number; readonly high: number }): Content => {
  const [x0, y0, x1, y1] = drawing.bounds;
  const wide = Math.min(most.wide, (most.high * (x1 - x0)) / Math.max(1, y1 - y0));
  return { svg: writeSvg(drawing, wide * 1.6, textIn(show)), width: wide, alignment: 'center', margin: [0, 2, 0, 6] };
};

/** A step that puts something on the panel's frame shows it lifted off. */
const apart = (c: MadeFrom, a: Assembly, step: Step, show: Show): Content | undefined =>
  step.verb === 'skin' && hasLayers(c.build, a)
    ? {
        width: APART.wide,
        svg: writeSvg(drawBuild(c.build, `apart:${a.id}`, { highlight: step.parts }), APART.wide * 2, textIn(show)),
        fit: [APART.wide, APART.high],
      }
    : undefined;

/** A tape with its marks. */
const pull = (tape: Tape, show: Show): Content => ({
  unbreakable: true,
  stack: [
    { text: `One pull of the tape, ${tape.title}`, font: 'Archivo', bold: true, fontSize: 9, margin: [0, 3, 0, 1] },
    { svg: tapeSvg(tape, show), width: 523 },
  ],
});

/** Most marks that are listed beside a picture. */
const FEW = 7;

/** Notches and slanting ends dimensioned from one end. */
const templates = (parts: readonly Part[], show: Show): Content[] => {
  const drawn = groupParts(parts).flatMap((g) => drawTemplate(g.part) ?? []);
  const wide = Math.floor((523 - 10 * (IN_ROW - 1)) / IN_ROW);
  return Array.from({ length: Math.ceil(drawn.length / IN_ROW) }, (_, i): Content => ({
    unbreakable: true,
    margin: [0, 3, 0, 0],
    columnGap: 10,
    columns: drawn.slice(IN_ROW * i, IN_ROW * (i + 1)).map((t) => ({
      width: wide,
      stack: [
        { text: show.text(t.title), fontSize: 7.5, bold: true },
        { svg: writeSvg(t, wide * 1.4, textIn(show)), fit: [wide, 52] },
      ],
    })),
  }));
};

/**
 * A page for each panel that is framed on the bench: its picture beside its steps, its tapes, its parts with both dimensions and
 * ends, its templates. What is small goes on with others on one page; where a panel ends early on a second page, the next begins there.
 */
export const panelPages = (c: MadeFrom, numbers: ReadonlyMap<string, number>, show: Show): Content[] => {
  return c.build.assemblies.flatMap((a): Content[] => {
    const mine = partsOf(c.build.parts, a.id);
    if (mine.length === 0) return [];
    const steps = c.steps.filter((s) => s.assembly === a.id && isPanelStep(s));
    const drawing = drawBuild(c.build, `panel:${a.id}`);
    const said = new Set<string>();
    const lines = steps.map((s) => stepLine(s, numbers.get(s.id) ?? 0, show, said, apart(c, a, s, show)));
    const diagonals: Content[] = a.square
      ? [
          {
            text: `Diagonals ${show.length(Math.hypot(a.square.width, a.square.height))} both ways.`,
            color: KEEL,
            fontSize: 9.5,
          },
        ]
      : [];
    // What has a tape is laid out on the bench, and has a page of its own.
    if (a.tapes.length > 0 && lines.length > 0 && !SMALL.has(a.kind)) {
      return asBlock([
        {
          unbreakable: true,
          stack: [
            heading(capital(a.name), 15),
            {
              columns: [
                {
                  width: BESIDE.wide,
                  stack: [picture(drawing, show, BESIDE), ...diagonals],
                },
                { width: '*', stack: lines },
              ],
              columnGap: 14,
            },
          ],
        },
        ...a.tapes.map((tape) => pull(tape, show)),
        partTable(mine, show),
        ...templates(mine, show),
      ]);
    }
    // What is small fills up what is left.
    const few = groupParts(mine).length <= FEW;
    return few
      ? [
          {
            unbreakable: true,
            stack: [
              heading(capital(a.name), 13),
              {
                columns: [
                  { width: LITTLE.wide, stack: [picture(drawing, show, LITTLE), ...diagonals] },
                  { width: '*', stack: [narrowTable(mine, show)] },
                ],
                columnGap: 12,
              },
              ...lines,
              ...a.tapes.map((tape) => pull(tape, show)),
              ...templates(mine, show),
            ],
          },
        ]
      : [
          { unbreakable: true, stack: [heading(capital(a.name), 15), picture(drawing, show, ALONE), ...diagonals] },
          ...lines,
          ...a.tapes.map((tape) => pull(tape, show)),
          partTable(mine, show),
          ...templates(mine, show),
        ];
  });
};
