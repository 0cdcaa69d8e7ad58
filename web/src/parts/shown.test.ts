import { createElement } from 'react';
import { html, plain } from '../testing/rendered.ts';
import { NoSuchPage } from '../app/NoSuchPage.tsx';
import type { JobData } from '../data/types.ts';
import { blockOf, boardOf, visitOf } from '../testing/board.ts';
import { DayList } from '../pages/crews/DayList.tsx';
import { JobLine } from './JobLine.tsx';
import { MiniTape, placeName } from './MiniTape.tsx';
import { NotYours } from './NotYours.tsx';
import { TapeMarks } from './TapeMarks.tsx';
import { Len, WithFractions } from './Text.tsx';

describe('figures and sentences for a reader', () => {
  it.each([
    ['inches', '64 1/2 ″'],
    ['feet-inches', '5′ 4 1/2 ″'],
    ['mm', '1638 mm'],
  ] as const)('in %s', (style, text) =>
    expect(plain(html(createElement(Len, { inches: 64.5 }), style)).trim()).toBe(text),
  );
  it('of the core are read out', () => {
    const text = 'The door is 24.5″ clear; 14 hens want 28 sq ft.';
    expect(plain(html(createElement(WithFractions, { text }), 'mm')).trim()).toBe(
      'The door is 622 mm clear; 14 hens want 2.6 m².',
    );
    expect(plain(html(createElement(WithFractions, { text }))).trim()).toBe(text);
  });
  it('on a tape: bare millimetres with a figure every tenth of a metre', () => {
    const tape = {
      title: 'plate',
      length: 60,
      parts: ['a'],
      marks: [
        { at: 16, side: 'right' as const, what: 'stud', part: 'stud' },
        { at: 48, side: 'left' as const, what: 'stud', part: 'stud' },
      ],
    };
    const metric = html(createElement(TapeMarks, { tape }), 'mm');
    expect(metric).toContain('aria-label="Tape marks at 406 mm, 1219 mm"');
    for (const figure of ['100', '200', '1500', '406', '1219']) expect(metric).toMatch(new RegExp(`>${figure}<`));
    expect(plain(metric)).not.toMatch(/″/);
    expect(html(createElement(TapeMarks, { tape }))).toContain('aria-label="Tape marks at 16&quot;, 48&quot;"');
  });
});

describe('a job', () => {
  const job = (more: Partial<JobData>): JobData => ({
    id: 7,
    kind: 'export',
    state: 'running',
    progress: 0.42,
    note: 'Taking out orders',
    file: null,
    createdAt: '2026-05-04 10:00:00',
    ...more,
  });
  const line = (j: JobData | undefined): string =>
    html(
      createElement(JobLine, {
        work: {
          job: j,
          running: j !== undefined && ['waiting', 'running'].includes(j.state),
          start: () => Promise.resolve(),
          stop: () => Promise.resolve(),
        },
        verb: 'Take it out',
        again: 'Take it out again',
      }),
    );
  it('is asked for, watched, stopped and fetched', () => {
    expect(plain(line(undefined))).toContain('Take it out');
    expect(line(job({}))).toMatch(/role="progressbar"[^>]*aria-valuenow="42"/);
    expect(plain(line(job({})))).toMatch(/Stop it.*Taking out orders/);
    const done = line(job({ state: 'done', note: '900 records.', file: 'rubbet.zip' }));
    expect(plain(done)).toMatch(/Take it out again.*900 records\..*Fetch rubbet\.zip/);
    expect(done).toContain('href="/api/jobs/7/result.zip"');
    expect(plain(line(job({ state: 'stopped', note: 'Stopped.' })))).not.toMatch(/Fetch|Stop it/);
  });
});

describe('a day of the board on a telephone', () => {
  const data = boardOf({
    days: boardOf().days.map((d) => (d.day === '2026-05-05' ? { ...d, note: 'Fair in town' } : d)),
    operations: [
      blockOf('9/cut', { visits: [visitOf('2026-05-05', 540, 635)] }),
      blockOf('8/cut', { title: 'Teasel', done: true, visits: [visitOf('2026-05-05', 480, 540)] }),
      blockOf('7/cut', { title: 'Tomorrow', visits: [visitOf('2026-05-06', 480, 540)] }),
    ],
    orders: [{ id: 9, title: 'Sorrel', due: '2026-05-04', ends: '2026-05-05', late: 1, confirmed: 0, delivery: null }],
  });
  it('has each row’s work in order of time, what is late, and nothing of other days', () => {
    const text = plain(html(createElement(DayList, { data })));
    expect(text).toMatch(/Tuesday 5 May/);
    expect(text).toMatch(/Fair in town · dry/);
    expect(text).toMatch(/Saw 8 Teasel : cut Ines done 9 Sorrel : cut Ines a day late 09:00–10:35 Bay 1 nothing/);
    expect(text).not.toMatch(/Tomorrow/);
  });
});

describe('ways that lead nowhere', () => {
  it('say so, with ways on', () => {
    expect(plain(html(createElement(NoSuchPage), 'inches', '/nowhere/at/all'))).toMatch(
      /no such page.*\/nowhere\/at\/all.*To Today/,
    );
    expect(plain(html(createElement(NotYours, { what: 'The book' })))).toMatch(
      /The book is the office’s.*To Today.*To Roads/,
    );
  });
});

describe('a little tape', () => {
  it('is filled as far as an order has come', () => {
    expect(['flock', 'bench', 'done', 'held', 'cancelled'].map(placeName)).toEqual([
      'Flock',
      'Bench',
      'Handed over',
      'On hold',
      'Cancelled',
    ]);
    expect(plain(html(createElement(MiniTape, { station: 'done' }))).trim()).toBe('Handed over');
  });
});
