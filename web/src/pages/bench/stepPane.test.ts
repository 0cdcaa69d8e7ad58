import { createElement } from 'react';

import { buildSpec, parseSpec } from '@rubbet/core/model';
import { isRead, lineUnits, planSteps, sortOpen } from '@rubbet/core/steps';
import type { Step, UnitLine } from '@rubbet/core/steps';
import { groupParts } from '@rubbet/core/unit';
import type { WorkOrder, WorkStep } from '../../data/types.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { StepNotes } from './StepNotes.tsx';
import { StepPane } from './StepPane.tsx';
import { pictureOf } from './pictureOf.ts';

const build = buildSpec(parseSpec({ family: 'raised-lean-to' }));
const steps = planSteps(build);
const lines = lineUnits(steps, 1);
const rowOf = (line: UnitLine, more: Partial<WorkStep> = {}): WorkStep => ({
  id: 7,
  stepId: line.id,
  state: 'open',
  op: 'frame',
  planned: 20,
  minutes: null,
  doneBy: null,
  found: null,
  note: '',
  version: 1,
  ...more,
});
const pane = (
  id: string,
  more: { row?: Partial<WorkStep>; done?: readonly string[]; scanned?: string } = {},
): string => {
  const step = steps.find((s) => s.id === id) as Step;
  const line = lines.find((l) => l.id === id) as UnitLine;
  const states = new Map((more.done ?? []).map((d) => [d, 'done' as const]));
  return html(
    createElement(StepPane, {
      step,
      line,
      row: rowOf(line, more.row),
      others: lines.filter((l) => steps.find((s) => s.id === l.stepId)?.assembly === step.assembly),
      states,
      groups: groupParts(build.parts.filter((p) => step.parts.includes(p.id))),
      parts: new Map(),
      scanned: more.scanned,
      picture: pictureOf(build, steps, step),
      needs: sortOpen(lines, states).waiting.find((w) => w.step.id === id)?.needs ?? [],
      found: [],
      onFound: () => undefined,
      onGo: () => undefined,
    }),
  );
};

describe('a step at the bench', () => {
  it('says what to do, with which parts, and what to mind', () => {
    const step = steps.find((s) => s.id === 'front-wall/frame') as Step;
    const words = plain(pane('front-wall/frame'));
    expect(words).toContain(step.title);
    for (const c of step.cautions) expect(words).toContain(c);
    for (const g of groupParts(build.parts.filter((p) => step.parts.includes(p.id))).slice(0, 14))
      expect(words).toContain(g.mark);
  });
  it('leads to what it waits for, and says nothing of it when that is done', () => {
    const markup = pane('front-wall/frame');
    expect(plain(markup)).toContain('Waits for Mark the front wall');
    expect(elements(markup, 'button').map((b) => b.words)).toContain('Mark the front wall');
    const before = lines
      .slice(
        0,
        lines.findIndex((l) => l.id === 'front-wall/frame'),
      )
      .map((l) => l.id);
    expect(plain(pane('front-wall/frame', { done: before }))).not.toContain('Waits for');
  });
  it('has a field for every reading of its check', () => {
    const check = steps.find((s) => s.id === 'front-wall/square') as Step;
    expect(isRead(check.gate)).toBe(true);
    const markup = pane('front-wall/square');
    expect([...markup.matchAll(/<input[^>]*aria-label="([^"]*)"/g)].map((m) => m[1])).toEqual([
      'One diagonal',
      'The other',
    ]);
    const expected = check.gate?.expected ?? 0;
    const out = plain(pane('front-wall/square', { row: { found: [expected + 1, expected - 1] } }));
    expect(out).toContain('Rework: found');
    const done = plain(pane('front-wall/square', { row: { state: 'done', found: [expected, expected] } }));
    expect(done).toContain('within what it allows');
  });
  it('lights the piece whose label was scanned, and no other', () => {
    const step = steps.find((s) => s.id === 'front-wall/frame') as Step;
    const [first] = groupParts(build.parts.filter((p) => step.parts.includes(p.id)));
    expect(pane('front-wall/frame').includes('data-scanned')).toBe(false);
    const lit = pane('front-wall/frame', { scanned: first?.mark ?? '' });
    expect(lit.match(/data-scanned/g)).toHaveLength(1);
  });
  it('shows the steps of its panel, those that are done ticked', () => {
    const markup = pane('front-wall/frame', { done: ['front-wall/layout'] });
    const marks = elements(markup, 'button').filter((b) => /aria-label="[^"]*front wall/.test(b.open));
    expect(marks[0]?.words).toBe('✓');
    expect(marks[0]?.open).toContain(', done');
    expect(markup.match(/aria-current="step"/g)).toHaveLength(1);
  });
});

describe('what was noted at a step', () => {
  const notes = (mayWrite: boolean): string =>
    html(
      createElement(StepNotes, {
        work: {
          order: { id: 1042 },
          photos: [
            { id: 3, stepId: 'front-wall/frame', by: 'Tobin Askew', at: '2030-05-01T08:00:00Z' },
            { id: 4, stepId: 'back-wall/frame', by: 'Tobin Askew', at: '2030-05-01T08:00:00Z' },
          ],
          troubles: [
            {
              id: 1,
              stepId: 'front-wall/frame',
              cause: 'wrong drawing',
              mark: '',
              note: 'the header is missing',
              by: 'Tobin Askew',
              solvedAt: null,
              answer: '',
            },
          ],
        } as unknown as WorkOrder,
        stepId: 'front-wall/frame',
        row: 7,
        mayWrite,
        onWork: () => undefined,
      }),
    );
  it('has the photos of this step alone, by whom, to be opened and taken out', () => {
    const markup = notes(true);
    expect(markup.match(/data-testid="photo"/g)).toHaveLength(1);
    expect(markup).toContain('/api/orders/1042/work-order/photos/3');
    expect(markup).toContain('alt="Photo by Tobin Askew"');
    expect(elements(markup, 'button').map((b) => b.words)).toEqual(['×', 'Add a photo']);
  });
  it('is looked at by whoever may not write, and changed by nobody of them', () => {
    expect(elements(notes(false), 'button')).toEqual([]);
  });
  it('says what was told and that no answer is there yet', () => {
    const words = plain(notes(true));
    expect(words).toContain('wrong drawing : the header is missing');
    expect(words).toContain('The office knows; no answer yet.');
  });
});
