import { buildSpec, parseSpec } from '../model/index.ts';
import { findItem, findRoofing } from '../stock/index.ts';
import type { StockCount } from '../stock/index.ts';
import { takeOff } from './takeOff.ts';
import { takesOf } from './takesOf.ts';

const SPECS = [
  { family: 'low-pen', params: {} },
  { family: 'raised-lean-to', params: { run: true } },
  { family: 'walk-in', params: {} },
  { family: 'barn-fit-out', params: {} },
];

describe.each(SPECS.map((s) => [s.family, s] as const))('what a %s takes from the rack', (_, json) => {
  const build = buildSpec(parseSpec(json));
  const takeoff = takeOff(build, 'quick');
  const { sawn, fitted } = takesOf(build, takeoff);
  const sum = (list: readonly StockCount[], f: (c: StockCount) => number): number =>
    list.reduce((n, c) => n + c.quantity * f(c), 0);

  it('is all that its takeoff buys, each item at the one place', () => {
    const bought = [...new Set(takeoff.lines.map((l) => l.item))].sort();
    expect([...new Set([...sawn, ...fitted].map((c) => c.item))].sort()).toEqual(bought);
    expect(sawn.some((c) => fitted.some((f) => f.item === c.item))).toBe(false);
  });
  it('is lumber by the piece: as many inches as the sticks are cut into', () => {
    const pieces = sawn.filter((c) => findItem(c.item).kind === 'lumber');
    const cuts = takeoff.sticks.sticks.flatMap((s) => s.cuts);
    expect(sum(pieces, () => 1)).toBe(cuts.length);
    expect(sum(pieces, (c) => c.length ?? 0)).toBeCloseTo(
      cuts.reduce((n, c) => n + c.length, 0),
      3,
    );
  });
  it('is whole sheets, as many as are bought, and no more of a roll than it is long', () => {
    const count = (kind: string): number =>
      takeoff.lines.filter((l) => l.kind === kind).reduce((n, l) => n + l.quantity, 0);
    expect(
      sum(
        sawn.filter((c) => findItem(c.item).kind === 'sheet'),
        () => 1,
      ),
    ).toBe(count('sheet'));
    const mesh = sawn.filter((c) => findItem(c.item).kind === 'mesh');
    const rolls = takeoff.mesh.layout.reduce((n, r) => n + r.length, 0);
    expect(sum(mesh, (c) => c.length ?? 0)).toBeLessThanOrEqual(rolls + 1e-6);
    for (const c of mesh) expect(c.width).not.toBeNull();
  });
  it('is fasteners and fittings as the joints take them, and roofing by length', () => {
    for (const l of takeoff.lines.filter((x) => x.kind === 'hardware'))
      expect(fitted.find((c) => c.item === l.item)?.quantity).toBe(l.quantity);
    for (const c of fitted.filter((x) => findItem(x.item).kind === 'roofing'))
      expect(c.length === null).toBe(findRoofing(c.item).bundle !== undefined);
  });
  it('is three times as much for three', () => {
    const three = takesOf(build, takeoff, 3);
    expect(three.sawn).toEqual(sawn.map((c) => ({ ...c, quantity: 3 * c.quantity })));
    expect(three.fitted).toEqual(fitted.map((c) => ({ ...c, quantity: 3 * c.quantity })));
  });
});
