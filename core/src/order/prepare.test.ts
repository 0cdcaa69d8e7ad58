import { FAMILIES, parseSpec } from '../model/index.ts';
import { METHODS } from '../steps/index.ts';
import { computeOrder } from './computeOrder.ts';
import type { OrderInput } from './computeOrder.ts';
import { balesFor, dayItems, PREPARE, prepareItems, startItems } from './prepare.ts';
import type { PrepareKey, PrepareSite } from './prepare.ts';
import type { SiteBrief } from './siteBrief.ts';

const briefOf = (
  family: string,
  more: Partial<OrderInput> & { params?: Record<string, string | number | boolean> } = {},
) => {
  const { params = {}, ...rest } = more;
  return computeOrder({ spec: parseSpec({ family, params }), miles: 20, ...rest }, undefined, 'quick').brief;
};
const said = (brief: ReturnType<typeof briefOf>, key: PrepareKey, site: PrepareSite = {}): string =>
  prepareItems(brief, site).find((i) => i.key === key)?.text ?? '';
const all = (brief: ReturnType<typeof briefOf>): string =>
  [...prepareItems(brief).map((i) => i.text), ...dayItems(brief), ...startItems(brief)].join(' ');

describe('what a customer prepares', () => {
  const pen = briefOf('low-pen');
  const house = briefOf('raised-lean-to');
  const walkIn = briefOf('walk-in');
  const barn = briefOf('barn-fit-out');
  const kit = briefOf('panel-kit');

  it('is one text for each thing, in order', () => {
    for (const b of [pen, house, walkIn, barn, kit]) {
      const keys = prepareItems(b).map((i) => i.key);
      expect(keys).toEqual(PREPARE.filter((k) => keys.includes(k)));
      for (const i of prepareItems(b)) expect([i.key, i.text.length > 20]).toEqual([i.key, true]);
    }
  });

  it('asks for no turf, no permits and no digging inside a barn, and for none of a pen', () => {
    expect(all(barn)).not.toMatch(/turf|pads|buried|permit/);
    expect(said(barn, 'ground')).toMatch(/Clear the floor and the walls/);
    expect(said(pen, 'ground')).toMatch(/Mow it short/);
    expect(prepareItems(pen).map((i) => i.key)).not.toContain('services');
  });

  it('speaks of wheels, grass and coats only where there are some', () => {
    expect(all(briefOf('hoop-pen'))).not.toMatch(/wheels/);
    expect(all(pen)).toMatch(/wheels/);
    const towed = all(briefOf('skid-house'));
    expect(towed).toMatch(/Tow it on when the ground around it is worn/);
    expect(towed).not.toMatch(/under a pen|every day while birds/);
    expect(all(barn)).not.toMatch(/roofed|grass/);
  });

  it('says how a pen is moved instead of how it is shimmed', () => {
    expect(all(pen)).toMatch(/how it is moved/);
    expect(all(pen)).toMatch(/Stake it/);
    expect(all(pen)).not.toMatch(/shim|level/i);
  });

  it('gives the way in for what really travels: six inches more than the narrower side, else panels on edge', () => {
    expect(pen.carried.what).toBe('unit');
    expect(said(pen, 'gate')).toContain(`must be ${Math.ceil(pen.carried.across + 6)}″`);
    // A walk-in of 96 by 144 in does not come whole: its panels are what must pass.
    expect(walkIn.carried.what).toBe('panel');
    expect(said(walkIn, 'gate')).toMatch(/comes as panels, carried in on edge/);
    expect(said(walkIn, 'gate')).not.toContain('123″');
    expect(said(barn, 'gate')).toMatch(/sticks and sheets/);
  });

  it('says whether a measured way in is wide enough', () => {
    expect(said(pen, 'gate', { gate: 100 })).toMatch(/measured 100″ .* passes/);
    expect(said(pen, 'gate', { gate: 50 })).toMatch(/measured 50″ .* we will ask you/);
  });

  it('counts litter by the floor: none without one', () => {
    // 12 ft × 8 ft × 5 in is 40 cu ft: five bales of 8.
    expect(balesFor(96)).toBe(5);
    expect(walkIn.floor).toBeGreaterThan(85);
    expect(said(walkIn, 'litter')).toMatch(/^Its floor is \d+ sq ft: [45] bales/);
    expect(said(pen, 'litter')).toMatch(/no floor: no litter/);
    expect(said(barn, 'litter')).not.toMatch(/bale/);
  });

  it('speaks of pads, stone and concrete only where it stands on them, with their sizes', () => {
    expect(said(house, 'ground')).toMatch(/stands on 4 pads; we bring the 4 pavers/);
    expect(said(walkIn, 'ground')).toMatch(/Level, bare soil/);
    const slab = said(briefOf('walk-in', { params: { foundation: 'slab' } }), 'ground');
    expect(slab).toMatch(/A slab of 144″ by 96″, 4″ thick, poured 7 days before we come: corner to corner 174″/);
    expect(slab).not.toMatch(/turf/);
    const stone = said(briefOf('walk-in', { params: { foundation: 'gravel' } }), 'ground');
    expect(stone).toMatch(/cubic yards of ¾ in stone/);
  });

  it('says who comes for how long, and what is left to a customer who joins a kit', () => {
    expect(said(walkIn, 'home')).toMatch(/2 of us are with you on 2 days/);
    expect(said(house, 'home')).toMatch(/hours? when we come/);
    // Its heaviest panel is 129 lb: two people at 70 lb, the customer one of them.
    expect(said(kit, 'home')).toMatch(/You join them in about \d+(\.5)? hours of work with one helper/);
    expect(said(kit, 'ground')).not.toMatch(/we scrape/);
    expect(dayItems(kit).join(' ')).not.toMatch(/set, shimmed/);
  });

  it('never speaks of what is not there, for any family and method', () => {
    for (const f of FAMILIES)
      for (const method of METHODS) {
        const b = briefOf(f.key, { method });
        const text = all(b);
        expect([f.key, method, /undefined|NaN|Infinity/.test(text)]).toEqual([f.key, method, false]);
        if (b.foundation.pads === 0) expect([f.key, method, /\bpads\b/.test(text)]).toEqual([f.key, method, false]);
        if (!b.painted) expect([f.key, method, /paint|coat/.test(text)]).toEqual([f.key, method, false]);
        if (b.floor < 1) expect([f.key, method, /bale/.test(text)]).toEqual([f.key, method, false]);
      }
  });
});

describe('several units', () => {
  const briefOf = (family: string, quantity: number, params = {}) =>
    computeOrder({ spec: parseSpec({ family, params }), miles: 12, quantity }, undefined, 'quick').brief;
  const said = (brief: SiteBrief): string => [...prepareItems(brief).map((i) => i.text), ...dayItems(brief)].join('\n');
  it.each([
    ['low-pen', 10],
    ['raised-lean-to', 3],
    ['walk-in', 2],
    ['skid-house', 2],
  ] as const)('of a %s are spoken of as %d', (family, quantity) => {
    const words = said(briefOf(family, quantity));
    expect(words).not.toMatch(/The unit |the unit /);
    expect(words).toMatch(/\bEach\b|\beach\b|\bof each\b/);
    // One is still one.
    expect(said(briefOf(family, 1))).not.toMatch(/\bEach of\b|for each|of each|\bEach is\b/);
  });
  it('take their stone, litter and anchors together', () => {
    const bales = (n: number): number => Number(/: (\d+) bales?/.exec(said(briefOf('raised-lean-to', n)))?.[1]);
    // 21.56 sq ft of floor, 5 in deep, 8 cubic feet a bale: 1.12 bales for one, 3.37 for three.
    expect([bales(1), bales(3)]).toEqual([2, 4]);
    const anchors = (n: number): number =>
      Number(/We bring the (\d+) anchors/.exec(said(briefOf('walk-in', n, { foundation: 'slab' })))?.[1]);
    expect(anchors(2)).toBe(2 * anchors(1));
  });
  it('ask nobody to stand there for all of their setting', () =>
    expect(said(briefOf('low-pen', 10))).toMatch(
      /Setting the 10 takes us about [\d.]+ hours. Be there when we begin and for half an hour/,
    ));
});
