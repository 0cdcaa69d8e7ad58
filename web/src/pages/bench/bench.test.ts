import { createElement } from 'react';
import { buildSpec, FAMILIES, parseSpec } from '@rubbet/core/model';
import { lineUnits, planSteps, sortOpen } from '@rubbet/core/steps';
import { elements, html, plain } from '../../testing/rendered.ts';
import { groupParts } from '@rubbet/core/unit';
import { BenchHead } from './BenchHead.tsx';
import { readKeys } from './FractionKeys.tsx';
import { TroublePanel } from './panels.tsx';
import { NowList } from './NowList.tsx';
import { QueueBand } from './QueueBand.tsx';
import { fitInto } from './shrinkPhoto.ts';
import { findLabelled, linesOf, nameTabs, tabOf } from './tabs.ts';

describe.each(FAMILIES.map((f) => f.key))('the tabs of a %s', (family) => {
  const build = buildSpec(parseSpec({ family }));
  const steps = planSteps(build);
  it('are named apart, and every step has one', () => {
    const tabs = nameTabs(steps, build);
    expect(new Set(tabs.map((t) => t.name)).size).toBe(tabs.length);
    expect(new Set(tabs.map((t) => t.key))).toEqual(new Set(steps.map(tabOf)));
  });
});

describe('tabs of one name', () => {
  it('are numbered in their order', () => {
    const assemblies = [
      { id: 'window-1', name: 'window' },
      { id: 'window-2', name: 'window' },
      { id: 'roof', name: 'roof' },
    ] as unknown as Parameters<typeof nameTabs>[1]['assemblies'];
    const steps = ['window-1', 'window-2', 'roof'].map((assembly) => ({ station: 'bay' as const, assembly }));
    expect(nameTabs(steps, { assemblies }).map((t) => t.name)).toEqual(['window 1', 'window 2', 'roof']);
  });
});

describe('what can be done now', () => {
  const steps = planSteps(buildSpec(parseSpec({ family: 'low-pen' })), { quantity: 3 });
  const lines = lineUnits(steps, 3);
  const listed = (done: readonly string[]): string =>
    html(
      createElement(NowList, {
        now: sortOpen(lines, new Map(done.map((id) => [id, 'done'] as const))),
        onGo: () => undefined,
      }),
    );
  it('is the sorting at first; everything else says what it waits for, with the way there', () => {
    const words = plain(listed([]));
    expect(words).toContain('At the saw, 1 Sort the boards');
    expect(words).toMatch(/waits for Sort the boards/);
    expect(words).not.toContain('In the bay');
  });
  it('is a step of every unit once the pattern is made', () => {
    const saw = lines.filter((l) => l.station === 'saw' || l.id === 'pattern').map((l) => l.id);
    const words = plain(listed(saw));
    for (const unit of [1, 2, 3]) expect(words).toMatch(new RegExp(`In the bay.*Unit ${unit}: `));
  });
  it('is nothing when all is done', () => {
    const words = plain(listed(lines.map((l) => l.id)));
    expect(words).toContain('Everything is done');
    expect(words).toContain('Nothing waits');
  });
  it('is counted unit by unit, with what is done once for all', () => {
    const mine = linesOf(lines, 2);
    expect(new Set(mine.map((l) => l.unit))).toEqual(new Set([0, 2]));
    expect(mine).toHaveLength(steps.length);
  });
});

describe('what has not reached the server', () => {
  const entry = {
    key: 'k',
    at: '2030-05-01T08:05:00',
    kind: 'step' as const,
    row: 1,
    name: 'Square the front wall',
    version: 1,
    body: { state: 'done' as const },
  };
  const band = (more: Partial<Parameters<typeof QueueBand>[0]>): string =>
    html(
      createElement(QueueBand, {
        queue: { entries: [], clashes: [] },
        away: false,
        onAgain: () => undefined,
        onLetGo: () => undefined,
        ...more,
      }),
    );
  it('is said to be kept and sent later', () => {
    const words = plain(band({ away: true, queue: { entries: [entry, entry], clashes: [] } }));
    expect(words).toContain('No connection. 2 entries are kept here and sent, in order, when it is back.');
  });
  it('is not spoken of while it is on its way', () =>
    expect(plain(band({ queue: { entries: [entry], clashes: [] } }))).not.toContain('kept here'));
  it('shows what clashed with its reason and both ways out', () => {
    const markup = band({ queue: { entries: [], clashes: [{ entry, why: 'Somebody changed this.' }] } });
    expect(plain(markup)).toContain('Square the front wall: done, by you at 08:05: Somebody changed this.');
    expect(elements(markup, 'button').map((b) => b.words)).toEqual(['Put mine', 'Leave what is there']);
  });
});

describe('keys for a length', () => {
  it.each([
    ['74', 10, false, 74.625],
    ['', 7, false, 0.4375],
    ['12', 0, false, 12],
    ['', 0, false, undefined],
    ['1905', 0, true, 75],
  ])('%s and %d sixteenths, metric %s, are %d in', (whole, sixteenths, metric, inches) =>
    expect(readKeys(whole, sixteenths, metric)).toBe(inches),
  );
});

it('a photo is made no larger than it is, and no longer than it may be', () => {
  expect(fitInto(4000, 3000, 1600)).toEqual([1600, 1200]);
  expect(fitInto(300, 900, 1600)).toEqual([300, 900]);
  expect(fitInto(10_000, 1, 1600)).toEqual([1600, 1]);
});

describe('the head of the bench', () => {
  const work = {
    order: { id: 1047, title: 'Two pens', held: null },
    parts: [{ state: 'cut' }, { state: 'open' }, { state: 'open' }],
    doneAt: null,
  } as unknown as Parameters<typeof BenchHead>[0]['work'];
  const head = (more: Partial<Parameters<typeof BenchHead>[0]> = {}): string =>
    html(
      createElement(BenchHead, {
        work,
        number: 6,
        count: 33,
        clock: { text: '0:11:40', standing: false },
        tabs: [
          { key: 'saw', name: 'Saw', done: true },
          { key: 'front', name: 'front side', done: false },
        ],
        tab: 'front',
        onTab: () => undefined,
        units: [
          { unit: 1, done: 12, steps: 12 },
          { unit: 2, done: 3, steps: 12 },
        ],
        unit: 2,
        onUnit: () => undefined,
        now: false,
        onNow: () => undefined,
        ...more,
      }),
    );
  it('says where one is, how much is cut and how long one has been at it', () => {
    const words = plain(head());
    for (const said of ['1047 · Two pens', 'step 6 of 33', 'cut 1 of 3', '0:11:40', 'Saw ✓'])
      expect(words).toContain(said);
  });
  it('shows each unit with how far it has come, and which one this is', () => {
    const units = elements(head(), 'button').filter((b) => b.open.includes('aria-label="Unit'));
    expect(units.map((b) => /aria-label="([^"]*)"/.exec(b.open)?.[1])).toEqual([
      'Unit 1, 12 of 12 steps done',
      'Unit 2, 3 of 12 steps done',
    ]);
    expect(units.map((b) => b.words)).toEqual(['✓1', '2']);
    expect(units.map((b) => b.open.includes('aria-pressed="true"'))).toEqual([false, true]);
  });
  it('has no units where there is one', () => expect(head({ units: [] })).not.toContain('data-testid="units"'));
  it('says that an order is held, and that it is built', () => {
    const held = { ...work, order: { ...work.order, held: 'the buyer is away' }, doneAt: '2030-05-01' };
    const words = plain(head({ work: held }));
    expect(words).toContain('On hold: the buyer is away');
    expect(words).toContain('Built.');
  });
});

describe('a label that is scanned', () => {
  const build = buildSpec(parseSpec({ family: 'low-pen' }));
  const steps = planSteps(build, { quantity: 2 });
  const lines = lineUnits(steps, 2);
  it('opens its piece at the step in which it goes in, in its own unit', () => {
    for (const part of build.parts.filter((p) => p.fit === 'cut to length')) {
      const line = findLabelled(`${part.id}@2`, lines, steps);
      expect([part.id, line?.unit]).toEqual([part.id, 2]);
      expect(steps.find((s) => s.id === line?.stepId)?.parts).toContain(part.id);
      expect(steps.find((s) => s.id === line?.stepId)?.station).not.toBe('saw');
    }
  });
  it('leads nowhere where there is no such piece', () =>
    expect(findLabelled('nothing@1', lines, steps)).toBeUndefined());
});

describe('what goes wrong at a step', () => {
  const groups = groupParts(buildSpec(parseSpec({ family: 'low-pen' })).parts.slice(0, 3));
  const panel = (g: typeof groups): string =>
    html(
      createElement(TroublePanel, {
        groups: g,
        parts: new Map(),
        spoiled: () => Promise.resolve(),
        tell: () => Promise.resolve(),
        stop: () => undefined,
        close: () => undefined,
      }),
    );
  it('has its causes, its pieces, and what stops the clock', () => {
    const words = plain(panel(groups));
    for (const said of [
      'Piece spoiled',
      'Hardware missing',
      'Drawing is wrong',
      'Or stop the clock',
      'Waiting for hands',
    ])
      expect(words).toContain(said);
    expect(words).toContain(`Cut another ${groups[0]?.mark}`);
  });
  it('asks for no piece where the step has none', () => {
    const words = plain(panel([]));
    expect(words).not.toContain('Piece spoiled');
    expect(words).toContain('Tell the office');
  });
});
