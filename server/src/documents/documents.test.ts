import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_documents');
  office = await app.as('office');
});
afterAll(() => app.close());

const text = async (path: string): Promise<string> => {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const { body } = await office
    .get(path)
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (c: Buffer) => chunks.push(c));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect('content-type', /application\/pdf/)
    .expect(200);
  const pdf = await getDocument({ data: new Uint8Array(body as Buffer) }).promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) =>
      (await (await pdf.getPage(i + 1)).getTextContent()).items.map((t) => ('str' in t ? t.str : '')).join(' '),
    ),
  );
  return pages.join(' ');
};

describe('papers', () => {
  it('prints work order and site sheet as PDF with their words and every fraction in them', async () => {
    const id = await app.byTitle('Sorrel');
    const work = await text(`/api/orders/${id}/work-order.pdf`);
    expect(work).toContain(`Work order ${id}`);
    expect(work).toMatch(/One pull of the tape/);
    expect(work).toMatch(/Diagonals 93 3\/4"/);
    // Sheets and mesh as they are cut.
    expect(work).toMatch(/Sheets .*in ply/);
    expect(work).toMatch(/Mesh .*roll 1: .* used/);
    expect(work).toMatch(/even 1\/8" gap/);
    expect(work).not.toMatch(/[⅛⅜⅝⅞″]/);
    const sheet = await text(`/api/orders/${id}/site-sheet.pdf`);
    expect(sheet).toMatch(/Your site and delivery sheet/);
    expect(sheet).toMatch(/buried services/);
  });
  it('gives cut list and drawings, and names the views there are', async () => {
    const id = await app.byTitle('Sorrel');
    expect((await office.get(`/api/orders/${id}/cut-list.csv`).expect(200)).text).toMatch(/^mark,name,role,item/);
    await office.get(`/api/orders/${id}/drawings/front.svg`).expect('content-type', /svg/).expect(200);
    expect((await office.get(`/api/orders/${id}/drawings/inside.svg`).expect(404)).body.message).toMatch(
      /this build has front, back/,
    );
  });
  it('says how far the work order is while it is made, then gives it; and why it cannot', async () => {
    const events = async (id: number) => {
      const { text: stream } = await office
        .get(`/api/orders/${id}/work-order/print`)
        .expect('content-type', /event-stream/)
        .expect(200);
      return [...stream.matchAll(/event: (\w+)\n(?:id: .*\n)?data: (.*)/g)].map(([, type, data]) => ({
        type,
        data: JSON.parse(data ?? '') as { part?: number; name?: string; pdf?: string; message?: string },
      }));
    };
    const id = await app.byTitle('Sorrel');
    const all = await events(id);
    const parts = all.flatMap((e) => (e.type === 'progress' ? [e.data.part ?? -1] : []));
    expect(parts.length).toBeGreaterThan(5);
    expect(parts).toEqual([...parts].sort((a, b) => a - b));
    expect(Math.max(...parts)).toBeLessThanOrEqual(1);
    const last = all.at(-1);
    expect(last).toMatchObject({ type: 'done', data: { name: `work-order-${id}.pdf` } });
    expect(
      Buffer.from(last?.data.pdf ?? '', 'base64')
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    expect((await events(999_999)).at(-1)).toMatchObject({
      type: 'failed',
      data: { message: 'There is no order 999999.' },
    });
  });
  it('says what is missing where nothing is built', async () => {
    const id = await app.byTitle('House for a first flock');
    for (const paper of ['work-order.pdf', 'site-sheet.pdf', 'cut-list.csv', 'drawings/front.svg'])
      expect((await office.get(`/api/orders/${id}/${paper}`).expect(400)).body.code).toBe('no-spec');
  });
});
