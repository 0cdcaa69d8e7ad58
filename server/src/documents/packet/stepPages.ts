import type { Content } from 'pdfmake/interfaces.js';
import { drawBuild } from '@rubbet/core/draw';
import { writeSvg } from '@rubbet/core/formats';
import type { Show } from '@rubbet/core/order';
import { findStanding } from '@rubbet/core/steps';
import type { Step } from '@rubbet/core/steps';
import type { MadeFrom } from '../documents.service.ts';
import { textIn } from '../paper.ts';
import { asBlock, heading } from '../print.ts';
import { isPanelStep } from './panelPages.ts';
import { stepLine } from './stepLines.ts';

/** Verbs that put something where it goes: seen from outside, lit among what stands. */
const PLACED: ReadonlySet<Step['verb']> = new Set(['stand', 'frame', 'skin', 'roof', 'fit', 'hang']);
const WIDE = 84;

const PLACES: readonly (readonly [Step['place'], string])[] = [
  ['shop', 'In the shop'],
  ['load', 'Loading'],
  ['road', 'On the road'],
  ['site', 'On site'],
];

/** Steps that are not on a panel's page, place by place, in two columns; what is put in its place with its picture. */
export const stepPages = (c: MadeFrom, numbers: ReadonlyMap<string, number>, show: Show): Content[] => {
  const rest = c.steps.filter((s) => !isPanelStep(s));
  const said = new Set<string>();
  const lineOf = (s: Step): Content => {
    const lit = PLACED.has(s.verb) && s.parts.length > 0;
    const picture: Content | undefined = lit
      ? {
          width: WIDE,
          svg: writeSvg(
            drawBuild(c.build, 'three', {
              highlight: s.parts,
              show: 'frame',
              there: findStanding(c.build.parts, c.steps, s.id),
            }),
            WIDE * 2,
            textIn(show),
          ),
          fit: [WIDE, 62],
        }
      : undefined;
    return stepLine(s, numbers.get(s.id) ?? 0, show, said, picture);
  };
  return asBlock([
    heading('Steps', 15),
    { text: 'Steps that are done to a panel lying flat stand on its page.', fontSize: 8.5, margin: [0, 0, 0, 4] },
    ...PLACES.flatMap(([place, name]): Content[] => {
      const lines = rest.filter((s) => s.place === place).map(lineOf);
      if (lines.length === 0) return [];
      return [
        { text: name, font: 'Archivo', bold: true, fontSize: 11, margin: [0, 4, 0, 1] },
        // Row by row, so that what comes first is read first.
        ...Array.from({ length: Math.ceil(lines.length / 2) }, (_, i): Content => ({
          columns: [
            { width: '*', stack: [lines[2 * i] as Content] },
            { width: '*', stack: lines[2 * i + 1] === undefined ? [] : [lines[2 * i + 1] as Content] },
          ],
          columnGap: 14,
        })),
      ];
    }),
  ]);
};
