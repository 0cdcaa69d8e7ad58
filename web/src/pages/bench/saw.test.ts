import { createElement } from 'react';
import { drawTemplate } from '@rubbet/core/draw';
import { buildSpec, FAMILIES, parseSpec } from '@rubbet/core/model';
import { planSteps } from '@rubbet/core/steps';
import { planMesh, takeOff } from '@rubbet/core/takeoff';
import { groupParts } from '@rubbet/core/unit';
import type { Build, ParamValue } from '@rubbet/core/unit';
import type { WorkOrder, WorkPart } from '../../data/types.ts';
import { elements, html, plain } from '../../testing/rendered.ts';
import { BenchFoot } from './BenchFoot.tsx';
import { PartList } from './PartList.tsx';
import { RollList } from './RollList.tsx';
import { SawList } from './SawList.tsx';
import { Templates } from './Templates.tsx';

const build = (family: string, params: Record<string, ParamValue> = {}): Build =>
  buildSpec(parseSpec({ family, params }));
const partsOf = (b: Build, cut: (mark: string) => boolean = () => false): WorkPart[] =>
  b.parts.map((p, i) => ({
    id: i + 1,
    partId: p.id,
    mark: p.mark,
    item: p.item,
    length: p.length,
    state: cut(p.mark) ? 'cut' : 'open',
    measured: null,
    version: 1,
  }));
const workOf = (b: Build, parts: readonly WorkPart[]): WorkOrder => ({
  order: {
    id: 1,
    title: 'A unit',
    customer: 'Wren Tallow',
    quantity: 1,
    wantedBy: '2030-05-06',
    flock: null,
    held: null,
  },
  planId: 1,
  sticks: takeOff(b, 'quick').sticks as unknown as WorkOrder['sticks'],
  doneAt: null,
  parts,
  steps: [],
  troubles: [],
  photos: [],
});
/** A cutting step on the screen. */
const sawn = (b: Build, id: string, parts = partsOf(b), style: 'inches' | 'mm' = 'inches'): string => {
  const step = planSteps(b).find((s) => s.id === id);
  if (!step) throw new Error(`There is no step ${id}.`);
  return html(
    createElement(SawList, {
      work: workOf(b, parts),
      step,
      build: b,
      plan: { units: 1, sheets: takeOff(b, 'quick').sheets, mesh: planMesh(b.parts) },
      onCut: () => undefined,
    }),
    style,
  );
};
const marks = (markup: string): string[] =>
  [...markup.matchAll(/<button[^>]*data-mark="([^"]*)"/g)].map((m) => m[1] ?? '').sort();

describe.each(FAMILIES.map((f) => f.key))('the saw for a %s', (family) => {
  const b = build(family);
  const steps = planSteps(b).filter((s) => s.id.startsWith('cut-') && s.id !== 'cut-mesh');
  it.each(steps.map((s) => s.id))('shows every piece of %s once, to be ticked', (id) => {
    const step = steps.find((s) => s.id === id);
    const markup = sawn(b, id);
    const wanted = b.parts.filter((p) => step?.parts.includes(p.id)).map((p) => p.mark);
    const shown = elements(markup, 'button').filter((e) => e.open.includes('data-mark'));
    // A piece that is ripped into two is one button for both.
    const twice = shown.flatMap((e) => {
      const mark = /data-mark="([^"]*)"/.exec(e.open)?.[1] ?? '';
      return e.words.includes('ripped') ? [mark, mark] : [mark];
    });
    for (const mark of new Set(wanted))
      expect([mark, twice.filter((m) => m === mark).length]).toEqual([mark, wanted.filter((m) => m === mark).length]);
    for (const e of shown) expect(e.open).toContain('aria-pressed="false"');
    expect(plain(markup)).toContain(`0 of ${step?.parts.length} cut`);
  });
  it('shows every face of mesh as often as it has strips', () => {
    const parts = partsOf(b);
    const plan = takeOff(b, 'full').mesh;
    const markup = html(createElement(RollList, { plan, all: b.parts, parts, onTick: () => undefined }));
    const byId = new Map(b.parts.map((p) => [p.id, p.mark]));
    const strips = plan.layout.flatMap((r) => r.strips).map((s) => byId.get(s.face) ?? '');
    // On the roll; the list below it has as many lines again.
    expect(marks(markup)).toEqual([...strips].sort());
    expect(elements(markup, 'button')).toHaveLength(2 * strips.length);
    expect(markup.match(/data-roll="/g) ?? []).toHaveLength(plan.layout.length);
  });
});

describe('what has been cut', () => {
  const b = build('raised-lean-to');
  const mark = b.parts.find((p) => p.item === '2x4' && p.fit === 'cut to length')?.mark ?? '';
  const markup = sawn(
    b,
    'cut-2x4',
    partsOf(b, (m) => m === mark),
  );
  it('is ticked on its stick and counted', () => {
    const mine = elements(markup, 'button').filter((e) => e.open.includes(`data-mark="${mark}"`));
    expect(mine.length).toBeGreaterThan(0);
    for (const e of mine) {
      expect(e.open).toContain('aria-pressed="true"');
      expect(e.words).toMatch(/^✓/);
    }
    const done = b.parts.filter((p) => p.mark === mark && p.item === '2x4').length;
    expect(plain(markup)).toContain(`${done} of `);
  });
  it('is read in millimetres where the shop reads those', () => {
    const metric = plain(sawn(b, 'cut-2x4', partsOf(b), 'mm'));
    expect(metric).toMatch(/2×4 × 2438 mm|2×4 × 3048 mm|2×4 × 3658 mm/);
    expect(metric).not.toMatch(/\d″/);
  });
});

describe('where strips of mesh meet', () => {
  const b = build('house-with-run', { runBays: 3, runLength: 384 });
  const words = plain(
    html(
      createElement(RollList, {
        plan: takeOff(b, 'full').mesh,
        all: b.parts,
        parts: partsOf(b),
        onTick: () => undefined,
      }),
    ),
  );
  const front = b.parts.find((p) => p.id === 'bay-1-front/mesh')?.mark ?? '';
  it('is told once for equal faces, with the places of the laps', () => {
    expect(words).toContain(`${front} 6 times: 3 strips upright, laps from its left end at 46″ , 92″ , all on wood.`);
    expect(words.match(/Where strips meet/g)).toHaveLength(1);
  });
  it('is not told where no face has a seam', () => {
    const pen = build('low-pen', { height: 24 });
    const none = html(
      createElement(RollList, {
        plan: takeOff(pen, 'full').mesh,
        all: pen.parts,
        parts: partsOf(pen),
        onTick: () => undefined,
      }),
    );
    expect(none).not.toContain('data-seams');
  });
  it('warns of laps that lie in the air', () => {
    const pen = build('hoop-pen', { width: 114.625, hoops: 'panel', hoopLength: 171.5, doorWidth: 16, doorHeight: 16 });
    const said = plain(
      html(
        createElement(RollList, {
          plan: takeOff(pen, 'full').mesh,
          all: pen.parts,
          parts: partsOf(pen),
          onTick: () => undefined,
        }),
      ),
    );
    expect(said).toContain('not on wood: lace both strips together.');
  });
  it('says which strip runs on round a corner', () => {
    const house = build('raised-gable', { wrap: true });
    const said = plain(
      html(
        createElement(RollList, {
          plan: takeOff(house, 'full').mesh,
          all: house.parts,
          parts: partsOf(house),
          onTick: () => undefined,
        }),
      ),
    );
    expect(said.match(/bent on from the one before/g)).toHaveLength(3);
  });
});

describe('the parts of a step', () => {
  const b = build('walk-in', { foundation: 'slab' });
  const listed = (parts: readonly WorkPart[]): string =>
    plain(
      html(
        createElement(PartList, {
          groups: groupParts(b.parts.filter((p) => p.assembly === 'front-wall')),
          parts: new Map(parts.map((p) => [p.partId, p])),
        }),
      ),
    );
  it('are told by mark, with what is measured in place said to be about so long', () => {
    const words = listed(partsOf(b));
    const blocking = b.parts.find((p) => p.assembly === 'front-wall' && p.role === 'blocking');
    expect(words).toContain(`${blocking?.mark} ${blocking?.name}, 2×4 measure in place about`);
    expect(words).toContain('the rest of a plate, sawn in place');
  });
  it('are told as they were found once they have been measured', () => {
    const blocking = b.parts.find((p) => p.assembly === 'front-wall' && p.role === 'blocking');
    const found = partsOf(b).map((p) => (p.mark === blocking?.mark ? { ...p, measured: 14.1875 } : p));
    expect(listed(found)).toContain('measure in place 14 3/16 ″');
  });
  it('are cut short after fourteen marks, and say how many more', () => {
    const groups = groupParts(b.parts);
    const words = plain(html(createElement(PartList, { groups, parts: new Map() })));
    expect(words).toContain(`and ${groups.length - 14} more marks, all highlighted`);
  });
});

describe('templates', () => {
  const b = build('steep-roof-pen');
  it('are drawn once a mark for what is notched or slants, and not at all for what is square', () => {
    const parts = b.parts.map((p) => p.id);
    const markup = html(createElement(Templates, { build: b, parts }));
    const wanted = new Set(b.parts.filter((p) => drawTemplate(p)).map((p) => p.mark));
    expect(wanted.size).toBeGreaterThan(2);
    expect(markup.match(/<svg/g)).toHaveLength(wanted.size);
    const square = b.parts.filter((p) => !drawTemplate(p)).map((p) => p.id);
    expect(html(createElement(Templates, { build: b, parts: square }))).not.toContain('data-testid="templates"');
  });
});

describe('the foot of the bench', () => {
  const b = build('raised-lean-to');
  const foot = (more: Partial<Parameters<typeof BenchFoot>[0]>): string =>
    html(
      createElement(BenchFoot, {
        panel: 'none',
        onPanel: () => undefined,
        measured: [],
        done: false,
        mayTick: true,
        next: 'Square the front wall',
        onFinish: () => undefined,
        ...more,
      }),
    );
  it('leads on by name, and to nothing after the last', () => {
    expect(plain(foot({}))).toMatch(/Done next: Square the front wall/);
    expect(plain(foot({ next: undefined }))).not.toMatch(/next:/);
  });
  it('takes no tick from who may not give one', () => {
    const big = (markup: string) => elements(markup, 'button').find((e) => e.words.startsWith('Done'));
    expect(big(foot({ mayTick: false }))?.open).toContain('disabled');
    expect(big(foot({}))?.open).not.toContain('disabled');
  });
  it('asks for what is measured, with what it is expected to be', () => {
    const measured = groupParts(b.parts.filter((p) => p.fit === 'measure in place'));
    const words = plain(foot({ measured }));
    expect(words).toContain(
      `Measure ${measured
        .slice(0, 2)
        .map((g) => g.mark)
        .join(', ')} expected`,
    );
    expect(plain(foot({}))).toContain('Nothing to measure all cut to length');
  });
  it('undoes a step only by holding', () => {
    expect(plain(foot({ done: true }))).toContain('Done. Hold to undo it');
  });
});

describe('a piece that was spoiled', () => {
  it('is shown on its stick, struck out, and cannot be ticked', () => {
    const b = build('low-pen');
    const parts = partsOf(b);
    const work = workOf(b, parts);
    const [first, ...rest] = work.sticks.sticks;
    if (!first) throw new Error('The pen has no stick.');
    const item = first.item;
    const sticks = [{ ...first, spoiled: [{ id: 'R9', length: 20 }] }, ...rest];
    const step = planSteps(b).find((s) => s.id === `cut-${item}`) ?? planSteps(b).find((s) => s.verb === 'cut');
    if (!step) throw new Error('Nothing is cut.');
    const page = html(
      createElement(SawList, {
        work: { ...work, sticks: { ...work.sticks, sticks } },
        step,
        build: b,
        plan: { units: 1, sheets: takeOff(b, 'quick').sheets, mesh: planMesh(b.parts) },
        onCut: () => undefined,
      }),
      'inches',
    );
    expect(page.match(/data-spoiled="R9"/g)).toHaveLength(1);
    expect(page).toMatch(/<s [^>]*>R9<\/s>/);
    expect(page).toMatch(/R9, no good: its wood is gone/);
  });
});
