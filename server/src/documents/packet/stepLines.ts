import type { Content } from 'pdfmake/interfaces.js';
import type { Show } from '@rubbet/core/order';
import { isRead, readingsOf } from '@rubbet/core/steps';
import type { Step } from '@rubbet/core/steps';
import { CHALK, KEEL, SOFT } from '../print.ts';

/** What is written at a check: a box for every reading. */
const gateText = (step: Step, show: Show): string | undefined => {
  const { gate } = step;
  if (!gate) return undefined;
  const expected = gate.expected === undefined ? '' : ` ${show.length(gate.expected)}`;
  const within = gate.tolerance ? `, ± ${show.length(gate.tolerance)}` : '';
  const boxes = isRead(gate) ? Array.from({ length: readingsOf(gate) }, () => '________').join('  ') : '________';
  return `Check: ${show.text(gate.what)}${expected}${within}. Found: ${boxes}`;
};

/** Who does it and how long it takes. */
const effort = (step: Step): string =>
  `${step.by === 'customer' ? 'customer, ' : ''}${step.people > 1 ? `${step.people} people, ` : ''}${step.minutes} min`;

/** The rank of every step, as screen and paper count them. */
export const numberSteps = (steps: readonly Step[]): ReadonlyMap<string, number> =>
  new Map(steps.map((s, i) => [s.id, i + 1]));

/**
 * One step on paper: its number with a box to tick, what to do, what is read, what to mind.
 * @param said cautions that stand above it already: each is said once in a row of steps
 */
export const stepLine = (step: Step, number: number, show: Show, said: Set<string>, picture?: Content): Content => {
  const gate = gateText(step, show);
  const cautions = step.cautions.filter((c) => !said.has(c));
  for (const c of cautions) said.add(c);
  return {
    unbreakable: true,
    margin: [0, 2, 0, 3],
    columnGap: 4,
    columns: [
      {
        width: 27,
        stack: [
          { text: String(number), font: 'Archivo', bold: true, fontSize: 11 },
          { text: '[   ]', fontSize: 9, color: SOFT },
        ],
      },
      {
        width: '*',
        stack: [
          {
            text: [
              { text: show.text(step.title), font: 'Archivo', bold: true, fontSize: 10 },
              { text: `  ${effort(step)}`, fontSize: 8, color: SOFT },
            ],
          },
          ...(step.text.length > 0 ? [{ text: show.text(step.text.join(' ')), fontSize: 8.5 }] : []),
          ...(gate === undefined ? [] : [{ text: gate, bold: true, color: CHALK, fontSize: 9 }]),
          ...(cautions.length > 0 ? [{ text: show.text(cautions.join(' ')), color: KEEL, fontSize: 8.5 }] : []),
        ],
      },
      ...(picture === undefined ? [] : [picture]),
    ],
  };
};
