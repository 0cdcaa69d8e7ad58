import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '@rubbet/core/model';
import { takeOff } from '@rubbet/core/takeoff';
import type { WorkPart } from '../../data/types.ts';
import { handOutPlaces, handOutStrips, handOutTickets } from './tickets.ts';

const work = (family: string, cut: (i: number) => boolean = () => false) => {
  const build = buildSpec(parseSpec({ family }));
  const parts = build.parts.map((p, i): WorkPart => ({
    id: i + 1,
    partId: p.id,
    mark: p.mark,
    item: p.item,
    length: p.length,
    state: cut(i) ? 'cut' : 'open',
    measured: null,
    version: 1,
  }));
  return { build, parts, takeoff: takeOff(build, 'quick') };
};

describe.each(FAMILIES.map((f) => f.key))('tickets of a %s', (family) => {
  it('stand for every part of the sticks and sheets once', () => {
    const { parts, takeoff } = work(family);
    const tickets = [...handOutTickets(takeoff.sticks.sticks, parts), ...handOutPlaces(takeoff.sheets, parts)].flat();
    const ids = tickets.flatMap((t) => t.parts.map((p) => p.id));
    expect(new Set(ids).size).toBe(ids.length);
    for (const t of tickets) expect(t.parts).toHaveLength(t.ripped ? 2 : 1);
    for (const t of tickets) for (const p of t.parts) expect(p.mark).toBe(t.mark);
  });
});

it('give what is cut to the first tickets of its mark, whichever pieces were ticked', () => {
  fc.assert(
    fc.property(fc.func(fc.boolean()), (cut) => {
      const { parts, takeoff } = work('low-pen', (i) => cut(i));
      const seen = new Map<string, boolean>();
      for (const t of handOutTickets(takeoff.sticks.sticks, parts).flat()) {
        if (t.parts.some((p) => p.state === 'cut')) expect(seen.get(t.mark) ?? false).toBe(false);
        if (t.parts.some((p) => p.state !== 'cut')) seen.set(t.mark, true);
      }
    }),
    { numRuns: 20 },
  );
});

describe('strips of mesh', () => {
  it.each(['low-pen', 'raised-lean-to', 'house-with-run', 'barn-fit-out'])(
    'of a %s lie on their rolls, each face once or in strips',
    (family) => {
      const { build, parts, takeoff } = work(family);
      const rolls = handOutStrips(takeoff.mesh, parts);
      const faces = new Set(rolls.flatMap((r) => r.tickets.map((t) => t.strip.face)));
      expect([...faces].sort()).toEqual(
        build.parts
          .filter((p) => p.role === 'mesh')
          .map((p) => p.id)
          .sort(),
      );
      for (const { roll, used, tickets } of rolls) {
        expect(used).toBeLessThanOrEqual(roll.length + 1e-6);
        for (const { strip, part } of tickets) {
          expect(part?.partId).toBe(strip.face);
          expect(strip.x + strip.length).toBeLessThanOrEqual(used + 1e-9);
          expect(strip.y + strip.width).toBeLessThanOrEqual(roll.width + 1e-9);
        }
      }
    },
  );
  it('say by their part what is cut', () => {
    const { parts, takeoff } = work('low-pen', () => true);
    for (const r of handOutStrips(takeoff.mesh, parts)) for (const t of r.tickets) expect(t.part?.state).toBe('cut');
  });
});
