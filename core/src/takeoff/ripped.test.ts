import { buildSpec, parseSpec } from '../model/index.ts';
import { pairTicket, readTicket, stickDemandOf, takeOff } from './takeOff.ts';

const pen = buildSpec(parseSpec({ family: 'a-frame-pen', params: {} }));
const rafters = pen.parts.filter((p) => p.rip === 1.6875);

describe('ripped stock', () => {
  it('comes two from one piece: a 2×4 down the middle less the kerf (common practice)', () => {
    // 3 1/2 less 1/8, over two.
    expect((3.5 - 0.125) / 2).toBe(1.6875);
    const mark = rafters[0]?.mark ?? '';
    const pieces = stickDemandOf(pen.parts).pieces.filter((p) => readTicket(p.id).mark === mark);
    expect(pieces).toEqual([
      { id: pairTicket(mark), item: '2x4', length: rafters[0]?.length, quantity: rafters.length / 2 },
    ]);
  });
  it('of an odd number leaves one piece that is ripped once', () => {
    const five = pen.parts.filter((p) => !rafters.slice(5).includes(p));
    const mark = rafters[0]?.mark ?? '';
    const pieces = stickDemandOf(five).pieces.filter((p) => readTicket(p.id).mark === mark);
    expect(pieces.map((p) => [readTicket(p.id).parts, p.quantity]).sort()).toEqual([
      [1, 1],
      [2, 2],
    ]);
  });
  it('that leaves less than its own width is not counted twice', () => {
    // Eave blocks ripped a little narrower than their 2×4.
    const house = buildSpec(parseSpec({ family: 'raised-lean-to', params: { eaves: 'blocked' } }));
    const blocks = house.parts.filter(
      (p) => p.rip !== undefined && p.role === 'blocking' && p.assembly.startsWith('roof'),
    );
    expect(blocks.length).toBeGreaterThan(0);
    const ids = stickDemandOf(house.parts).pieces.map((p) => readTicket(p.id));
    for (const b of blocks) expect(ids.filter((t) => t.mark === b.mark).every((t) => t.parts === 1)).toBe(true);
  });
  it('is bought once', () => {
    const { sticks } = takeOff(pen);
    const parts = sticks.sticks.flatMap((s) => s.cuts.map((c) => readTicket(c.id).parts as number));
    const lumber = pen.parts.filter((p) => /^\d/.test(p.item));
    expect(parts.reduce((a, b) => a + b, 0)).toBe(lumber.length);
  });
});
