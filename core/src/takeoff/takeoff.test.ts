import { groupParts, hasCut } from '../unit/index.ts';
import { FAMILIES, buildSpec, parseSpec } from '../model/index.ts';
import { findItem } from '../stock/index.ts';
import { readTicket, takeOff } from './takeOff.ts';

describe.each(FAMILIES.map((f) => [f.key]))('takeOff of %s', (family) => {
  const build = buildSpec(parseSpec({ family, params: {} }));
  const takeoff = takeOff(build);

  it('cuts every stick part once and no more', () => {
    const cut = new Map<string, number>();
    for (const s of takeoff.sticks.sticks)
      for (const c of s.cuts) {
        // A ripped piece may be two parts.
        const ticket = readTicket(c.id);
        cut.set(ticket.mark, (cut.get(ticket.mark) ?? 0) + ticket.parts);
      }
    const lumber = groupParts(build.parts.filter(hasCut)).filter((g) => findItem(g.part.item).kind === 'lumber');
    expect(Object.fromEntries(cut)).toEqual(Object.fromEntries(lumber.map((g) => [g.mark, g.quantity])));
    expect(takeoff.sticks.unplaced).toEqual([]);
  });
  it('lays every sheet part on a sheet', () => {
    const placed = takeoff.sheets.sheets.reduce((n, s) => n + s.places.length, 0);
    expect(placed).toBe(build.parts.filter((p) => findItem(p.item).kind === 'sheet').length);
    expect(takeoff.sheets.unplaced).toEqual([]);
  });
  it('adds up', () => {
    expect(takeoff.cost).toBe(takeoff.lines.reduce((sum, l) => sum + l.cost, 0));
    expect(takeoff.waste).toBeGreaterThanOrEqual(0);
    expect(takeoff.waste).toBeLessThan(0.5);
  });
  it('is proved minimal, or within one stick of the bound', () => {
    const dearest = Math.max(...takeoff.sticks.sticks.map((s) => s.cost));
    expect(takeoff.sticks.cost - takeoff.sticks.bound).toBeLessThanOrEqual(dearest);
  });
});

it('a small fixed coop of 4 × 6 ft takes some 200 to 400 board feet and hundreds in material (common practice, no source)', () => {
  const takeoff = takeOff(buildSpec(parseSpec({ family: 'raised-lean-to', params: {} })));
  expect(takeoff.boardFeet).toBeGreaterThan(150);
  expect(takeoff.boardFeet).toBeLessThan(400);
  expect(takeoff.cost).toBeGreaterThan(30_000);
  expect(takeoff.cost).toBeLessThan(150_000);
});
