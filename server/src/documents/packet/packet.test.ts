import { FAMILIES, parseSpec } from '@rubbet/core/model';
import { BUSINESS, BUSINESS_RULES, computeOrder, makeShow, makeWorkPlan } from '@rubbet/core/order';
import type { WorkPlan } from '@rubbet/core/order';
import { METHODS } from '@rubbet/core/steps';
import { repeatParts } from '@rubbet/core/unit';
import type { ParamValue } from '@rubbet/core/unit';
import type { Order } from '../../orders/orders.answers.ts';
import { labelPiece } from '../pictures.ts';
import { workOrderContent, workOrderPdf } from '../workOrderPdf.ts';
import { countEqual } from './cutPages.ts';
import { LABEL_SHEETS, labelled, labelsDocument } from './labels.ts';
import { printPlain } from '../print.ts';

const planOf = (
  family: string,
  {
    quantity = 1,
    method,
    params = {},
    effort = 'quick',
  }: {
    quantity?: number;
    method?: (typeof METHODS)[number];
    params?: Record<string, ParamValue>;
    effort?: 'quick' | 'full';
  } = {},
): WorkPlan => {
  const spec = parseSpec({ family, params });
  const computed = computeOrder({ spec, miles: 12, quantity, ...(method ? { method } : {}) }, undefined, effort);
  return makeWorkPlan(computed, { spec, revision: 3, quantity });
};
const orderOf = (plan: WorkPlan): Order =>
  ({
    id: 1001,
    title: 'Unit',
    wantedBy: '2030-05-04',
    quantity: plan.quantity,
    customer: { name: 'Wren Tallow', address: '1 Lane', miles: 12 },
    revision: { number: 3, spec: plan.spec, summary: plan.summary },
    survey: null,
    delivery: null,
    visited: [],
  }) as unknown as Order;
const paper = { show: makeShow(BUSINESS_RULES.units), business: { ...BUSINESS, name: 'Withy Bend Coops' } };

/** The words of a document, drawings left out. */
const texts = (node: unknown): string[] => {
  if (typeof node === 'string') return node.startsWith('<svg') ? [] : [node];
  if (Array.isArray(node)) return node.flatMap(texts);
  return typeof node === 'object' && node !== null ? Object.values(node).flatMap(texts) : [];
};
const pagesOf = async (pdf: Buffer): Promise<string[]> => {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const doc = await getDocument({ data: new Uint8Array(pdf) }).promise;
  return Promise.all(
    Array.from({ length: doc.numPages }, async (_, i) =>
      (await (await doc.getPage(i + 1)).getTextContent()).items.map((t) => ('str' in t ? t.str : '')).join(' '),
    ),
  );
};

// Every family, and every method with some of them.
describe.each(FAMILIES.map((f, i) => [f.key, METHODS[i % METHODS.length] as (typeof METHODS)[number]] as const))(
  'the packet of a %s, %s',
  (family, method) => {
    const plan = planOf(family, { method });
    const words = texts(workOrderContent(orderOf(plan), plan, paper));
    it('has every step once, by the number that the screen counts it by', () => {
      for (const [i, step] of plan.steps.entries()) {
        const at = words.flatMap((w, k) => (w === String(i + 1) && words[k + 1] === 'Archivo' ? [k] : []));
        const titled = at.filter((k) => words.slice(k, k + 12).includes(step.title));
        expect([step.title, titled.length]).toEqual([step.title, 1]);
      }
    });
    it('asks for every reading with a box, and lists every mark and what is drawn from the store', () => {
      const said = words.join('\n');
      for (const s of plan.steps) if (s.gate) expect(said).toContain(`Check: ${s.gate.what}`);
      for (const mark of new Set(plan.build.parts.map((p) => p.mark))) expect(words).toContain(mark);
      for (const l of plan.takeoff.lines.filter((x) => x.kind === 'hardware'))
        expect(words).toContain(String(l.quantity));
    });
    it('says every caution that its steps have', () => {
      const said = words.join('\n');
      for (const c of new Set(plan.steps.flatMap((s) => s.cautions))) expect(said).toContain(c);
    });
  },
);

describe('on paper', () => {
  it.each([
    ['the 4 × 6 house', 'raised-lean-to', 'letter' as const, 15],
    ['a pen on A4', 'low-pen', 'a4' as const, 9],
  ])(
    '%s takes few pages, none of them nearly blank, each with order, revision, unit and its number',
    async (_, family, size, most) => {
      // As it is printed: from the plan that was made with all effort.
      const plan = planOf(family, { effort: 'full' });
      const pdf = await workOrderPdf(orderOf(plan), plan, { ...paper, business: { ...paper.business, paper: size } });
      const pages = await pagesOf(pdf);
      expect(pages.length).toBeLessThanOrEqual(most);
      pages.forEach((p, i) => {
        expect(p).toContain('Work order 1001 · revision 3 · unit 1 of 1');
        expect(p).toContain(`${i + 1} of ${pages.length}`);
      });
      // One page may end early in each part of the packet; none has a heading alone.
      expect(pages.filter((p) => p.length < 200)).toEqual([]);
    },
  );
  it('several units are counted together at the saw and the store, and each sheet has room for its unit', async () => {
    const plan = planOf('low-pen', { quantity: 4 });
    const said = texts(workOrderContent(orderOf(plan), plan, paper)).join('\n');
    expect(said).toMatch(/4 equal units, cut as one batch. This sheet goes with unit ____ of 4/);
    const hinge = plan.takeoff.lines.find((l) => l.kind === 'hardware');
    expect(said).toContain(String((hinge?.quantity ?? 0) * 4));
    expect((await pagesOf(await workOrderPdf(orderOf(plan), plan, paper)))[2]).toContain('unit ____ of 4');
  });
});

describe('labels', () => {
  const plan = planOf('low-pen', { quantity: 2 });
  const rows = repeatParts(plan.build.parts, 2).map((p, i) => ({ id: 500 + i, partId: p.id }));
  const labels = labelled(plan, rows, (row) => `http://shop.local/p/1001/${row}`);
  it('are one for each piece of each unit, with the address of its own row', () => {
    expect(labels).toHaveLength(rows.length);
    expect(new Set(labels.map((l) => l.address)).size).toBe(rows.length);
    for (const l of labels) {
      const row = rows.find((r) => l.address.endsWith(`/${r.id}`));
      expect(row?.partId).toBe(`${l.part.id}@${l.unit}`);
    }
    // Unit by unit, panel by panel.
    expect(labels.map((l) => l.unit)).toEqual([...labels].map((l) => l.unit).sort());
  });
  it.each(['letter', 'a4'] as const)('lie within their stickers on %s', async (size) => {
    const sheet = LABEL_SHEETS[size];
    const [width, height] = size === 'letter' ? [612, 792] : [595.3, 841.9];
    expect(sheet.start[0] + sheet.columns * (sheet.size[0] + sheet.gap[0]) - sheet.gap[0]).toBeLessThanOrEqual(width);
    expect(sheet.start[1] + sheet.rows * (sheet.size[1] + sheet.gap[1]) - sheet.gap[1]).toBeLessThanOrEqual(height);
    const pages = await pagesOf(await printPlain('Labels', labelsDocument(1001, labels, paper.show, sheet)));
    expect(pages).toHaveLength(Math.ceil(labels.length / (sheet.columns * sheet.rows)));
    const count = pages.join(' ').match(/1001 · unit [12]/g) ?? [];
    expect(count).toHaveLength(labels.length);
  });
});

describe('what is written on a piece of a stick', () => {
  it.each([
    ['S1', '57"', 260, 'S1 57"'],
    ['C1', '5"', 30, 'C1'],
    ['B3', '1 7/8"', 8, undefined],
  ])('%s of %s on %d units', (mark, length, width, text) => expect(labelPiece(mark, length, width)?.text).toBe(text));
  it('never reaches over its ends', () => {
    for (let width = 6; width < 400; width += 3) {
      const label = labelPiece('CL12', '63 15/16"', width);
      if (label) expect(label.text.length * 0.56 * label.size).toBeLessThanOrEqual(width);
    }
  });
});

it('equal ones are counted in order of first appearance', () =>
  expect(countEqual([{ a: 1 }, { a: 2 }, { a: 1 }])).toEqual([
    { one: { a: 1 }, count: 2 },
    { one: { a: 2 }, count: 1 },
  ]));
