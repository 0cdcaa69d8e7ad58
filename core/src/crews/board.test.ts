import fc from 'fast-check';
import { FIRST, op, order, shop, shops } from '../../testing/shops.ts';
import { randomOf } from '../cut/index.ts';
import { addDays } from '../days/index.ts';
import { Board } from './board.ts';
import { costOf, lateBy } from './costs.ts';
import { inTurn } from './inTurn.ts';
import type { Standing } from './standing.ts';
import type { Shop } from './types.ts';

/** Every slot of everybody and everything that is free on a board. */
const freeOn = (board: Board): string =>
  [...board.spots.people, ...board.spots.places, ...board.spots.trailers]
    .map((f) => Array.from({ length: board.clock.count }, (_, s) => (f.has(s, s + 1) ? '.' : '#')).join(''))
    .join('\n');

describe('a board', () => {
  it('is as it was when what was put on it is lifted, and has it again when it is put back', () => {
    fc.assert(
      fc.property(shops, fc.nat(), (s, seed) => {
        const board = new Board(s);
        const empty = freeOn(board);
        const random = randomOf(seed + 1);
        const stands: (readonly [string, Standing])[] = [];
        for (const o of s.orders) {
          const at = board.place(o.id, undefined, seed % 2 === 0 ? random : undefined);
          if (at) stands.push([o.id, at]);
        }
        const full = freeOn(board);
        // Off in the turn that deliveries let: what goes on from another goes before it.
        const off = [...stands].reverse();
        for (const [, at] of off) board.lift(at);
        expect(freeOn(board)).toBe(empty);
        for (const [, at] of stands) board.putBack(at);
        expect(freeOn(board)).toBe(full);
        // One by one, too: lifted and put down anew by the same rule it comes no later than it stood.
        const last = stands.at(-1);
        if (last && seed % 2 === 1) {
          board.lift(last[1]);
          expect(board.place(last[0])?.end).toBeLessThanOrEqual(last[1].end);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('leaves nothing of what finds no place', () => {
    const long = op('A', 'frame', { minutes: 40 * 480 });
    const board = new Board(shop({ operations: [op('A', 'cut', { place: 'saw' }), { ...long, needs: ['A/cut'] }] }));
    const empty = freeOn(board);
    expect(board.place('A')).toBeUndefined();
    expect(freeOn(board)).toBe(empty);
  });
  it('weaves orders so that each is done in its own turn, in the bay that it had, or leaves all of it off', () => {
    fc.assert(
      fc.property(shops, fc.integer({ min: 1, max: 999 }), (s, seed) => {
        const board = new Board(s);
        const empty = freeOn(board);
        const old = s.orders.flatMap((o) => board.place(o.id) ?? []);
        for (const at of [...old].reverse()) board.lift(at);
        const woven = board.weave(old, 30, randomOf(seed));
        if (!woven) {
          expect(freeOn(board)).toBe(empty);
          return;
        }
        expect(woven.map((w) => w.bay)).toEqual(old.map((o) => o.bay));
        for (const { spots } of woven) {
          const end = new Map(spots.map((x) => [x.op.id, x.end]));
          for (const x of spots)
            for (const n of x.op.needs) {
              // On a trip, or where it overlaps, it begins before that is over.
              const waits = x.after === undefined && x.op.overlaps?.[n] === undefined;
              if (waits) expect(x.start).toBeGreaterThanOrEqual(end.get(n) ?? 0);
            }
        }
        for (const at of [...woven].reverse()) board.lift(at);
        expect(freeOn(board)).toBe(empty);
      }),
      { numRuns: 40 },
    );
  });
});

describe('what an order costs as it stands', () => {
  // Two days in the bay for one, on a Monday and a Tuesday; due on the Monday.
  const made: Shop = shop({
    orders: [order('A', 0, { weight: 2500 })],
    operations: [op('A', 'frame', { minutes: 720 })],
    prices: { bayDay: 800, upset: 1500, overtime: 4800, mixed: 0, driving: 0 },
  });
  const cost = (of: Shop, told: ReadonlyMap<string, number> = new Map()) => {
    const board = new Board(of);
    return costOf(of, board, told, 'A', board.place('A'));
  };
  it('is its days late, each day that it stands in a bay, and what is moved to another day than was told', () => {
    expect(cost(made)).toMatchObject({ late: 2500, bays: 1600, upset: 0, total: 4100 });
    // Told for the Tuesday.
    expect(cost(made, new Map([['A/frame', 1440 + 480]]))).toMatchObject({ upset: 1500, total: 5600 });
    // On the same day at another hour nobody minds.
    expect(cost(made, new Map([['A/frame', 700]])).upset).toBe(0);
  });
  it('is what is worked over the shop’s hours, for each who does', () => {
    const longer = { ...made, overtime: { minutes: 120, days: [FIRST] } };
    // Ten hours on the Monday, two of them over: two hours at 48 dollars.
    expect(cost(longer)).toMatchObject({ overtime: 9600, bays: 1600 });
  });
  it('is a year of lateness where it finds no place at all', () => {
    const board = new Board(made);
    expect(costOf(made, board, new Map(), 'A', undefined)).toMatchObject({ late: 2500 * 365, total: 2500 * 365 });
  });
  it('counts a day late from the day after it is due', () => {
    // Done on the fourth day, the third after the first.
    expect([2, 3, 4].map((due) => lateBy(due, 3 * 1440 + 600))).toEqual([1, 0, 0]);
    // Midnight belongs to the day that ends.
    expect(lateBy(2, 3 * 1440)).toBe(0);
  });
});

describe('the turn of operations', () => {
  it('is one in which each comes after what it needs', () => {
    const list = [
      op('A', 'load', { needs: ['A/coat'] }),
      op('A', 'coat', { needs: ['A/frame'] }),
      op('A', 'frame', { needs: ['A/cut'] }),
      op('A', 'cut'),
    ];
    expect(inTurn(list).map((o) => o.id)).toEqual(['A/cut', 'A/frame', 'A/coat', 'A/load']);
    expect(inTurn([])).toEqual([]);
  });
});

describe('a board with more than one bay', () => {
  const places = [
    { id: 'small bay', kind: 'bay', holds: [160, 120, 96] as const },
    { id: 'long bay', kind: 'bay', holds: [320, 160, 130] as const },
  ];
  const two = (sizes: readonly (readonly [number, number, number])[]): Shop =>
    shop({
      places,
      people: ['Ada', 'Bo', 'Cy'].map((id) => ({ id, skills: ['framing'] })),
      orders: sizes.map((size, k) => order(`O${k}`, 30, { size })),
      operations: sizes.map((_, k) => op(`O${k}`, 'frame', { minutes: 480 })),
    });
  const bays = (s: Shop): readonly (string | undefined)[] => {
    const board = new Board(s);
    return s.orders.map((o) => s.places[board.place(o.id)?.bay ?? -1]?.id);
  };
  it('puts a unit where it has room, and two side by side', () => {
    expect(
      bays(
        two([
          [240, 90, 100],
          [96, 48, 60],
        ]),
      ),
    ).toEqual(['long bay', 'small bay']);
    expect(
      bays(
        two([
          [96, 48, 60],
          [240, 90, 100],
        ]),
      ),
    ).toEqual(['small bay', 'long bay']);
    expect(bays(two([[400, 90, 100]]))).toEqual([undefined]);
  });
  it('fills a gap before what stands there only with what is out of it in time', () => {
    const s = two([
      [240, 90, 100],
      [200, 90, 100],
    ]);
    const standing = {
      ...s,
      orders: [{ ...(s.orders[0] as (typeof s.orders)[0]), bay: 'long bay' }, s.orders[1] as (typeof s.orders)[0]],
    };
    const board = new Board(standing);
    const first = board.place('O0');
    const second = board.place('O1');
    expect([first?.bay, second?.bay]).toEqual([1, 1]);
    expect(second?.from).toBeGreaterThanOrEqual(first?.to ?? Infinity);
    expect(addDays(FIRST, Math.floor(board.clock.minuteOf(second?.from ?? 0) / 1440))).toBe(addDays(FIRST, 1));
  });
});
