import type { ArgumentsHost } from '@nestjs/common';
import { DemandError } from '@rubbet/core/cut';
import { parseSpec } from '@rubbet/core/model';
import { ProblemFilter } from './problem.filter.ts';
import { checkBody } from './readable.ts';
import { isDay } from './inputs.ts';
import { Turns } from './turns.ts';

const deep = (n: number): unknown => (n === 0 ? 1 : { a: deep(n - 1) });

describe('a body', () => {
  it.each([
    [deep(30), /deeper than 24/],
    [Array.from({ length: 20_001 }, () => 1), /more than 20000 values/],
    [Array.from({ length: 200 }, () => Array.from({ length: 200 }, () => 1)), /more than 20000 values/],
    [{ a: Infinity }, /too large/],
    [{ a: [{ b: 'x\ud800' }] }, /half of a sign/],
    [{ a: '\0' }, /NUL/],
    [JSON.parse('{"__proto__": {"x": 1}}'), /"__proto__" is no field/],
    [JSON.parse('{"a": {"constructor": 1}}'), /"constructor" is no field/],
    [JSON.parse('{"valueOf": 1}'), /"valueOf" is no field/],
    [{ 'k\udfff': 1 }, /half of a sign/],
  ])('%# is not taken in', (body, words) => expect(() => checkBody(body)).toThrow(words));
  it.each([[undefined], [null], [7], [{ a: [1, 'ä', { b: null }] }], [deep(20)]])('%# is', (body) =>
    expect(() => checkBody(body)).not.toThrow(),
  );
  it('costs a bounded time however deep it goes', () => {
    let body: unknown = 1;
    for (let i = 0; i < 200_000; i++) body = [body];
    expect(() => checkBody(body)).toThrow(/deeper/);
  });
});

describe('a day', () => {
  it.each(['2026-05-04', '2024-02-29', '2099-12-31'])('%s is one', (d) => expect(isDay(d)).toBe(true));
  it.each([
    '2026-02-29',
    '2026-13-01',
    '2026-W01-1',
    '20260504',
    '2026-05-04T00:00',
    '1999-01-01',
    '3026-01-01',
    '',
    7,
    null,
  ])('%s is none', (d) => expect(isDay(d)).toBe(false));
});

describe('turns', () => {
  it('let one after the other, each caller by itself, and refuse one too many', async () => {
    const turns = new Turns();
    const order: string[] = [];
    const first = await turns.take('a', 12);
    const waiting = Array.from({ length: 12 }, (_, i) =>
      turns.take('a', 12)?.then((end) => {
        order.push(`a${i}`);
        end();
      }),
    );
    expect(turns.take('a', 12)).toBeUndefined();
    (await turns.take('b', 12))?.();
    expect(order).toEqual([]);
    first?.();
    await Promise.all(waiting);
    expect(order).toEqual(Array.from({ length: 12 }, (_, i) => `a${i}`));
    // Once all is done, the line is as new.
    expect(turns.take('a', 12)).toBeDefined();
  });
});

describe('what a reader refuses', () => {
  /** What is answered to an error. */
  const told = (error: unknown): { readonly status: number; readonly message: string } => {
    let answer = { status: 0, message: '' };
    const response = {
      headersSent: false,
      status: () => response,
      json: (body: typeof answer) => void (answer = body),
    };
    const http = { getResponse: () => response, getRequest: () => ({ user: { roles: ['office'] } }) };
    new ProblemFilter().catch(error, { switchToHttp: () => http } as unknown as ArgumentsHost);
    return answer;
  };
  const thrown = (work: () => unknown): unknown => {
    try {
      return work();
    } catch (error) {
      return error;
    }
  };
  it('is told as a sentence, the name of what was read behind it', () => {
    const spec = { family: 'house-with-run', fittings: Array.from({ length: 60 }, () => ({})) };
    expect(told(thrown(() => parseSpec(spec)))).toMatchObject({
      status: 400,
      message: 'Not taken: fittings: 60 fittings are set; a unit takes at most 40.',
    });
    expect(told(new DemandError('stock[0] must be an object.')).message).toBe('Not taken: stock[0] must be an object.');
    // What is a sentence stays one.
    expect(told(thrown(() => parseSpec(7))).message).toMatch(/^A spec is an object/);
  });
});
