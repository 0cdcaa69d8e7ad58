import { buildSpec, FAMILIES, parseSpec } from '@rubbet/core/model';
import { findItem } from '@rubbet/core/stock';
import { hasCut, repeatParts } from '@rubbet/core/unit';
import { takeOff } from '@rubbet/core/takeoff';
import { listToBuy } from '../purchases/listToBuy.ts';
import { listSawParts } from './listSawParts.ts';

const families = FAMILIES.map((f) => [f.key, buildSpec(parseSpec({ family: f.key, params: {} }))] as const);

describe.each(families)('what the saw cuts of a %s', (_, build) => {
  const parts = build.parts.filter(hasCut);
  const sawn = parts.filter((p) => ['lumber', 'sheet'].includes(findItem(p.item).kind));

  it('is every stick and sheet once, but what is measured in place', () => {
    const open = parts.map((p) => ({ part: p.id, measured: null }));
    const { sticks, sheets, waiting } = listSawParts(7, { build, units: 1 }, open);
    const listed = [...sticks, ...sheets].map((p) => p.part);
    expect(new Set(listed).size).toBe(listed.length);
    expect(listed.length + waiting).toBe(sawn.length);
    expect(waiting).toBe(sawn.filter((p) => p.fit !== 'cut to length').length);
    for (const p of [...sticks, ...sheets]) {
      expect(p.order).toBe(7);
      // A panel is called by its name, not by its key.
      expect(build.assemblies.some((a) => a.name === p.panel)).toBe(true);
    }
  });

  it('takes in what was measured, at the length that was found', () => {
    const measured = sawn.filter((p) => p.fit !== 'cut to length' && findItem(p.item).kind === 'lumber');
    const open = measured.map((p) => ({ part: p.id, measured: p.length + 0.125 }));
    const { sticks, waiting } = listSawParts(7, { build, units: 1 }, open);
    expect(waiting).toBe(0);
    expect(sticks.map((s) => s.length)).toEqual(measured.map((p) => p.length + 0.125));
  });

  it('says which unit of several a piece is of', () => {
    const all = repeatParts(parts, 3);
    const open = all.filter((p) => p.id.endsWith('@2')).map((p) => ({ part: p.id, measured: null }));
    const { sticks, sheets } = listSawParts(7, { build, units: 3 }, open);
    expect([...sticks, ...sheets].every((p) => p.panel.endsWith(', unit 2'))).toBe(true);
  });

  it('and what is bought beside it add up to the take-off, three times for three', () => {
    const takeoff = takeOff(build, 'quick');
    const made = { build, takeoff };
    const one = listToBuy(7, made, 1, []);
    const three = listToBuy(7, made, 3, []);
    expect(three.sticks).toHaveLength(3 * one.sticks.length);
    expect(three.faces).toHaveLength(3 * one.faces.length);
    expect(three.roofing).toHaveLength(3 * one.roofing.length);
    for (const line of takeoff.lines.filter((l) => l.kind === 'hardware'))
      expect(three.counted.find((c) => c.item === line.item)?.quantity).toBe(3 * line.quantity);
    // Nothing that is cut already is bought again.
    const cut = parts.map((p) => p.id);
    const rest = listToBuy(7, made, 1, cut);
    expect([rest.sticks, rest.sheets, rest.faces, rest.roofing].flat()).toEqual([]);
  });
});
