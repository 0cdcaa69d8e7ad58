import { buildSpec, parseSpec } from '../model/index.ts';
import { findItem, findRoofing } from '../stock/index.ts';
import { countOf } from '../unit/index.ts';
import { outsideSize, readTicket, stickDemandOf, takeOff } from './takeOff.ts';

const house = buildSpec(parseSpec({ family: 'raised-lean-to', params: { run: true } }));
const takeoff = takeOff(house, 'quick');
const bought = (item: string): number =>
  takeoff.lines.filter((l) => l.item === item).reduce((n, l) => n + l.quantity, 0);

describe('what to buy', () => {
  it('has one line an item and size, each multiplied out', () => {
    const keys = takeoff.lines.map((l) => `${l.item} ${l.size}`);
    expect(new Set(keys).size).toBe(keys.length);
    for (const l of takeoff.lines) expect(l.cost).toBe(l.quantity * l.each);
  });
  it('buys as many roofing sheets as lie on the slopes: one length for each cover width', () => {
    const cover = findRoofing('metal').cover;
    const pieces = house.parts.filter((p) => p.role === 'roofing');
    expect(pieces.every((p) => p.width <= cover + 1e-6)).toBe(true);
    const feet = takeoff.lines
      .filter((l) => l.item === 'metal')
      .reduce((n, l) => n + l.quantity * Number(/× (\d+) ft/.exec(l.size)?.[1]), 0);
    expect(feet * 12).toBeGreaterThanOrEqual(pieces.reduce((n, p) => n + p.length, 0));
  });
  it('buys at least the mesh that covers its faces', () => {
    const need = house.parts.filter((p) => p.role === 'mesh').reduce((n, p) => n + (p.length * p.width) / 144, 0);
    const have = takeoff.mesh.rolls.reduce((n, r) => n + (r.width * r.length * r.count) / 144, 0);
    expect(have).toBeGreaterThanOrEqual(need * 0.95);
  });
  it('ties every rafter down at both plates', () => {
    expect(bought('rafter-tie')).toBe(2 * house.parts.filter((p) => p.role === 'rafter').length);
  });
  it('counts what the joints take', () => {
    for (const item of ['hinge', 'latch', 'release', 'screw-3', 'nail-3', 'staple', 'roof-screw'])
      expect(bought(item)).toBe(countOf(house.joints, item));
  });
  it('staples mesh at least every 3 in of its edge (common practice: 2 to 4)', () => {
    const mesh = house.parts.find((p) => p.role === 'mesh' && p.id.startsWith('run-front'));
    if (!mesh) throw new Error('There is no mesh.');
    const staples = countOf(
      house.joints.filter((j) => j.parts.includes(mesh.id)),
      'staple',
    );
    expect((2 * (mesh.length + mesh.width)) / staples).toBeLessThanOrEqual(3);
  });
});

describe('stick demand', () => {
  it('asks for every lumber part under its mark and offers only stock of those items', () => {
    const demand = stickDemandOf(house.parts);
    const lumber = house.parts.filter((p) => findItem(p.item).kind === 'lumber');
    // Two rips may come out of one piece.
    expect(demand.pieces.reduce((n, p) => n + p.quantity * readTicket(p.id).parts, 0)).toBe(lumber.length);
    const items = new Set(demand.pieces.map((p) => p.item));
    expect(demand.stock.every((s) => items.has(s.item))).toBe(true);
  });
});

it('the outside of a house reaches over its eaves and nests', () => {
  const [x, y] = outsideSize(buildSpec(parseSpec({ family: 'raised-lean-to', params: {} })));
  expect(y).toBeGreaterThanOrEqual(48 + 10 + 4);
  expect(x).toBeGreaterThan(72 + 12);
});
