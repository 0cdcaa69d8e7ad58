import { boxPart, UNIT_AXES } from '../frame/index.ts';
import type { Part } from '../unit/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { paintOrder } from './paintOrder.ts';
import { CAMERAS } from './project.ts';
import type { Camera } from './project.ts';

const box = (id: string, from: Vec3, size: Vec3): Part => ({
  ...boxPart(UNIT_AXES, 'x', { id, name: id, role: 'stud', item: '2x4' }, from, size, 'a'),
  mark: 'S1',
});
const order = (parts: Part[], view = 'three') => paintOrder(CAMERAS[view] as Camera, parts).map((p) => p.id);

describe('paintOrder', () => {
  it('paints a wide cover after the wide board right under it, whatever their middles', () => {
    const board = box('board', [40, 0, 0], [96, 48, 0.5]);
    const cover = box('cover', [0, 0, 0.5], [160, 90, 0.5]);
    expect(order([cover, board])).toEqual(['board', 'cover']);
    expect(order([board, cover])).toEqual(['board', 'cover']);
  });
  it('paints the nearer of two posts last, from the front and from the back', () => {
    const near = box('near', [0, 0, 0], [2, 2, 50]);
    const far = box('far', [0, 30, 0], [2, 2, 50]);
    expect(order([near, far], 'front')).toEqual(['far', 'near']);
    expect(order([near, far], 'back')).toEqual(['near', 'far']);
  });
});
