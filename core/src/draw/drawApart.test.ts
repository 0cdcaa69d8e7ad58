import { measurePtBounds } from '../geometry/index.ts';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { partsOf } from '../unit/index.ts';
import { hasLayers } from './drawApart.ts';
import { drawBuild, ViewError, viewsOf } from './drawBuild.ts';
import type { AreaItem } from './types.ts';

const builds = FAMILIES.map((f) => [f.key, buildSpec(parseSpec({ family: f.key }))] as const);
const areasOf = (items: ReturnType<typeof drawBuild>['items']): AreaItem[] => items.filter((i) => i.kind === 'area');
const house = buildSpec(parseSpec({ family: 'raised-gable' }));
const middleOf = (areas: readonly AreaItem[]): number => {
  const [, y0, , y1] = measurePtBounds(areas.flatMap((a) => a.rings.flat()));
  return (y0 + y1) / 2;
};

describe('a panel drawn apart', () => {
  it.each(builds)('%s: every part of every panel that has layers is seen, within the picture', (_, build) => {
    for (const a of build.assemblies.filter((one) => hasLayers(build, one))) {
      const { items, bounds } = drawBuild(build, `apart:${a.id}`);
      const seen = new Set(areasOf(items).map((i) => i.part));
      expect(partsOf(build.parts, a.id).filter((p) => !seen.has(p.id))).toEqual([]);
      for (const i of areasOf(items)) {
        const [x0, y0, x1, y1] = measurePtBounds(i.rings.flat());
        expect(x0 >= bounds[0] && y0 >= bounds[1] && x1 <= bounds[2] && y1 <= bounds[3]).toBe(true);
      }
    }
  });
  it('lifts the siding off the studs, and paints it after them', () => {
    const areas = areasOf(drawBuild(house, 'apart:front-wall').items);
    const role = (i: AreaItem): string => house.parts.find((p) => p.id === i.part)?.role ?? '';
    const siding = areas.filter((i) => role(i) === 'siding');
    const frame = areas.filter((i) => role(i) !== 'siding');
    expect(middleOf(siding)).toBeGreaterThan(middleOf(frame));
    expect(areas.findIndex((i) => role(i) === 'siding')).toBeGreaterThan(
      areas.findLastIndex((i) => ['plate', 'stud'].includes(role(i))),
    );
    // One body of wood in its place would be lower than the same with its skin lifted off.
    const [, y0, , y1] = measurePtBounds(areas.flatMap((a) => a.rings.flat()));
    const flat = measurePtBounds(frame.flatMap((a) => a.rings.flat()));
    expect(y1 - y0).toBeGreaterThan(flat[3] - flat[1] + 5);
  });
  it('lights what is picked out, pales the rest, and marks only that', () => {
    const skin = house.parts.filter((p) => p.assembly === 'front-wall' && p.role === 'siding');
    const { items } = drawBuild(house, 'apart:front-wall', { highlight: skin.map((p) => p.id) });
    for (const i of areasOf(items)) expect(i.fill).toBe(skin.some((p) => p.id === i.part) ? 'tape' : 'faded');
    const texts = items.flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    expect(new Set(texts)).toEqual(new Set(skin.map((p) => p.mark)));
  });
  it('is a view only of what has layers', () => {
    const views = viewsOf(house).filter((v) => v.startsWith('apart:'));
    expect(views).toContain('apart:front-wall');
    expect(views).not.toContain('apart:roof-front');
    expect(() => drawBuild(house, 'apart:people-door-none')).toThrow(ViewError);
    const bare = house.assemblies.find((a) => !hasLayers(house, a));
    expect(() => drawBuild(house, `apart:${bare?.id}`)).toThrow(/There is no view/);
  });
});
