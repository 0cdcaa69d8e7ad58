import fc from 'fast-check';
import { FIRST, op, shop } from '../../testing/shops.ts';
import { addDays } from '../days/index.ts';
import { makeClock } from './clock.ts';
import { Free } from './free.ts';
import { crewsByDay, findAble, pickTeam } from './team.ts';

const SHOP = shop({
  people: [
    { id: 'Ada', skills: ['framing', 'paint', 'saw'], crew: 'one' },
    { id: 'Bo', skills: ['framing'], crew: 'two' },
    { id: 'Cy', skills: ['framing', 'site'], crew: 'two', crewOn: { [addDays(FIRST, 1)]: 'one' } },
    { id: 'Di', skills: ['driving'] },
  ],
});
const able = (more: object = {}) => findAble(SHOP, new Map(), op('A', 'x', more));
const [ADA, BO, CY, DI] = [0, 1, 2, 3];

describe('who can do some work', () => {
  it('are those with its skill, who can do least else first', () => {
    expect(able().all).toEqual([BO, CY, ADA]);
    expect(able({ skill: 'electrics' }).all).toEqual([]);
  });
  it('and those who may help, behind them, but lead nothing', () => {
    const found = able({ skill: 'driving', helpers: ['site', 'paint'] });
    expect(found).toEqual({ leads: [DI], all: [DI, CY, ADA] });
  });
});

describe('a team', () => {
  const free = () => SHOP.people.map(() => new Free(() => true, 64));
  const crews = ['one', 'two', 'two', undefined];
  const pick = (list: readonly Free[], wanted: number, favoured?: string) =>
    pickTeam(able(), list, crews, [0, 8], wanted, favoured);
  it('is of one crew where enough of it are free, of the one that has the order first', () => {
    expect(pick(free(), 2)).toEqual({ people: [BO, CY] });
    expect(pick(free(), 1)).toEqual({ people: [BO] });
    expect(pick(free(), 1, 'one')).toEqual({ people: [ADA] });
    // Of one crew there are two at most.
    expect(pick(free(), 3)).toEqual({ people: [BO, CY, ADA] });
  });
  it('is whoever is free, where one of them is not', () => {
    const list = free();
    list[CY]?.book(4, 6, 1);
    expect(pick(list, 2)).toEqual({ people: [BO, ADA] });
  });
  it('is none before enough are free, and says from when on that may be', () => {
    const list = free();
    list[BO]?.book(0, 12, 1);
    list[CY]?.book(2, 20, 1);
    expect(pick(list, 2)).toEqual({ next: 12 });
    expect(pick(list, 3)).toEqual({ next: 20 });
  });
  it('never skips a time at which there would be one', () => {
    const busy = fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 50 }), fc.nat(12)), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(busy, fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 10 }), (list, wanted, long) => {
        const of = free();
        for (const [who, from, n] of list) of[who]?.book(from, from + n + 1, 1);
        const team = (at: number) => pickTeam(able(), of, crews, [at, at + long], wanted, undefined);
        const found = team(0);
        if ('people' in found) {
          expect(new Set(found.people).size).toBe(wanted);
          for (const i of found.people) expect(of[i]?.has(0, long)).toBe(true);
          return;
        }
        for (let at = 1; at < Math.min(found.next, 54); at++) expect('next' in team(at)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('crews that change', () => {
  it('are those of the day', () => {
    const clock = makeClock(SHOP);
    const at = crewsByDay(SHOP, clock);
    expect(at(0)).toEqual(['one', 'two', 'two', undefined]);
    expect(at(clock.firsts[1] as number)).toEqual(['one', 'two', 'one', undefined]);
    expect(at(clock.firsts[2] as number)).toEqual(['one', 'two', 'two', undefined]);
  });
});
