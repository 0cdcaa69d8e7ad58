import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '@rubbet/core/model';
import { takeOff } from '@rubbet/core/takeoff';
import type { WorkPart } from '../../data/types.ts';
import { handOutPlaces, handOutTickets } from './tickets.ts';

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
