import fc from 'fast-check';
import type { Gate } from '@rubbet/core/steps';
import type { WorkOrder } from '../../data/types.ts';
import {
  afterRefused,
  afterSent,
  isQueue,
  letGo,
  NOTHING,
  overlay,
  putAgain,
  sayEntry,
  versionFor,
} from './entries.ts';
import type { Entry, Queue } from './entries.ts';

const step = (id: number, more: object = {}): WorkOrder['steps'][number] => ({
  id,
  stepId: `step-${id}`,
  state: 'open',
  op: 'build',
  planned: 10,
  minutes: null,
  doneBy: null,
  found: null,
  note: '',
  version: 1,
  ...more,
});
const part = (id: number): WorkOrder['parts'][number] => ({
  id,
  partId: `part-${id}`,
  mark: `S${id}`,
  item: '2x4',
  length: 45,
  state: 'open',
  measured: null,
  version: 1,
});
const work = {
  order: {
    id: 1,
    title: 'A pen',
    customer: 'Wren Tallow',
    quantity: 1,
    wantedBy: '2030-05-06',
    flock: null,
    held: null,
  },
  planId: 1,
  sticks: { sticks: [], cost: 0, bound: 0, proved: true, unplaced: [] },
  doneAt: null,
  parts: [1, 2, 3].map(part),
  steps: [1, 2, 3].map((id) => step(id)),
  troubles: [],
  photos: [],
} as unknown as WorkOrder;
const diagonals: Gate = { what: 'both diagonals', expected: 100, tolerance: 0.25 };
const gates = new Map<string, Gate | undefined>([['step-2', diagonals]]);
let count = 0;
const entry = (kind: Entry['kind'], row: number, body: Entry['body'], version = 1): Entry => ({
  key: `e${++count}`,
  at: '2030-05-01T08:00:00Z',
  kind,
  row,
  name: kind === 'step' ? `Step ${row}` : `S${row}`,
  version,
  body,
});
const queueOf = (...entries: Entry[]): Queue => ({ entries, clashes: [] });

describe('what waits for the connection', () => {
  it('is seen by whoever did it as if it had arrived', () => {
    const seen = overlay(
      work,
      queueOf(
        entry('part', 1, { state: 'cut' }),
        entry('part', 2, { measured: 44.5 }),
        entry('step', 1, { state: 'done', minutes: 12 }),
      ),
      'Tobin Askew',
      gates,
    );
    expect(seen.parts.map((p) => [p.state, p.measured])).toEqual([
      ['cut', null],
      ['open', 44.5],
      ['open', null],
    ]);
    expect(seen.steps[0]).toMatchObject({ state: 'done', minutes: 12, doneBy: 'Tobin Askew' });
    expect(work.parts[0]?.state).toBe('open');
  });
  it('leaves a check that is outside open, with what was read', () => {
    const read = (found: number[]) =>
      overlay(work, queueOf(entry('step', 2, { state: 'done', found })), 'Tobin Askew', gates).steps[1];
    expect(read([100.5, 99.5])).toMatchObject({ state: 'open', found: [100.5, 99.5], doneBy: null });
    expect(read([100.1, 99.9])).toMatchObject({ state: 'done', found: [100.1, 99.9] });
  });
  it('takes back what was done, and keeps the minutes', () => {
    const done = { ...work, steps: [step(1, { state: 'done', minutes: 20, doneBy: 'Tobin Askew', found: [1] })] };
    expect(overlay(done, queueOf(entry('step', 1, { state: 'open' })), 'Tobin Askew', gates).steps[0]).toMatchObject({
      state: 'open',
      minutes: 20,
      found: null,
      doneBy: null,
    });
  });
  it('is made on the version that the one before it will leave', () => {
    expect(versionFor(work, NOTHING, 'part', 1)).toBe(1);
    const one = queueOf(entry('part', 1, { state: 'cut' }, 1));
    expect(versionFor(work, one, 'part', 1)).toBe(2);
    expect(versionFor(work, queueOf(...one.entries, entry('part', 1, { state: 'open' }, 2)), 'part', 1)).toBe(3);
    expect(versionFor(work, one, 'step', 1)).toBe(1);
    expect(versionFor(work, one, 'part', 2)).toBe(1);
  });
});

describe('what clashes', () => {
  const first = entry('part', 1, { state: 'cut' });
  const second = entry('step', 1, { state: 'done' });
  const refused = afterRefused(queueOf(first, second), first.key, 'Somebody changed this.');
  it('stands aside with its reason, and the next goes on', () => {
    expect(refused).toEqual({ entries: [second], clashes: [{ entry: first, why: 'Somebody changed this.' }] });
    expect(afterSent(refused, second.key).entries).toEqual([]);
  });
  it('is put again on what stands there now, or let go', () => {
    expect(putAgain(refused, first.key, { key: 'anew', version: 4 })).toEqual({
      entries: [second, { ...first, key: 'anew', version: 4 }],
      clashes: [],
    });
    expect(letGo(refused, first.key)).toEqual({ entries: [second], clashes: [] });
    for (const q of [
      putAgain(refused, 'unknown', { key: 'x', version: 1 }),
      letGo(refused, 'unknown'),
      afterRefused(refused, 'unknown', ''),
    ])
      expect(q).toEqual(refused);
  });
  it('is called by what was done', () => {
    expect(
      [first, second, entry('part', 2, { measured: 3 }), entry('part', 2, { state: 'open' })].map(sayEntry),
    ).toEqual(['S1 cut', 'Step 1: done', 'S2 measured', 'S2 not cut']);
  });
});

it('nothing is lost, whatever arrives, is refused, put again or let go', () => {
  const actions = fc.array(fc.tuple(fc.constantFrom('add', 'sent', 'refused', 'again', 'let go'), fc.nat(5)), {
    maxLength: 60,
  });
  fc.assert(
    fc.property(actions, (list) => {
      let queue = NOTHING;
      const ended = new Set<string>();
      const made = new Set<string>();
      for (const [what, n] of list) {
        const next = queue.entries[0];
        const clash = queue.clashes[n % Math.max(1, queue.clashes.length)];
        if (what === 'add') {
          const e = entry('part', (n % 3) + 1, { state: 'cut' });
          made.add(e.key);
          queue = { ...queue, entries: [...queue.entries, e] };
        } else if (what === 'sent' && next) {
          ended.add(next.key);
          queue = afterSent(queue, next.key);
        } else if (what === 'refused' && next) queue = afterRefused(queue, next.key, 'no');
        else if (what === 'again' && clash) {
          const key = `e${++count}`;
          made.add(key);
          ended.add(clash.entry.key);
          queue = putAgain(queue, clash.entry.key, { key, version: 2 });
        } else if (what === 'let go' && clash) {
          ended.add(clash.entry.key);
          queue = letGo(queue, clash.entry.key);
        }
      }
      const here = [...queue.entries, ...queue.clashes.map((c) => c.entry)].map((e) => e.key);
      expect([...here, ...ended].sort()).toEqual([...made].sort());
    }),
  );
});

it.each([[null], [[]], [{ entries: [] }], ['x']])('%j that was kept is no queue', (kept) =>
  expect(isQueue(kept)).toBe(false),
);
