import { buildSpec, parseSpec } from '../model/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { checkBuild } from './index.ts';

const codes = (family: string, params: Record<string, ParamValue> = {}): string[] => {
  const spec = parseSpec({ family, params });
  return checkBuild(buildSpec(spec), spec).map((f) => f.code);
};
const finding = (family: string, params: Record<string, ParamValue>, code: string) => {
  const spec = parseSpec({ family, params });
  return checkBuild(buildSpec(spec), spec).find((f) => f.code === code);
};

describe('judgement speaks of what it is about', () => {
  it('no wind tips what stands inside another building', () => {
    for (const ownRight of [true, false])
      expect(codes('barn-fit-out', { ownRight, length: 144 })).not.toContain('tipping');
    expect(codes('raised-lean-to', { legHeight: 48, length: 36, depth: 30 })).toContain('tipping');
  });
  it('a pen without a floor has no litter to hold and no barrow to fill', () => {
    for (const family of ['steep-roof-pen', 'hoop-pen', 'a-frame-pen', 'low-pen']) {
      expect(codes(family)).not.toContain('litter-threshold');
      expect(codes(family)).not.toContain('barrow-width');
    }
    expect(codes('raised-lean-to', { threshold: 1.5 })).toContain('litter-threshold');
  });
  it('litter leaves by the clean-out where there is one, so that the people door may be narrow', () => {
    const narrow = { legHeight: 24, doorWidth: 24, doorWall: 'front', length: 96 } as const;
    expect(codes('raised-lean-to', { ...narrow, cleanOutWall: 'none' })).toContain('barrow-width');
    expect(codes('raised-lean-to', { ...narrow, cleanOutWall: 'back', windowWall: 'none' })).not.toContain(
      'barrow-width',
    );
  });
  it('a rake goes along the house from an opening in its end, and half as far from two', () => {
    const deep = {
      depth: 90,
      length: 60,
      wallHeight: 48,
      doorHeight: 36,
      nestWall: 'none',
      windowWall: 'none',
      cleanOutWall: 'none',
    } as const;
    const reach = (more: Record<string, ParamValue>) => finding('raised-gable', { ...deep, ...more }, 'cleaning-reach');
    // From the front alone it must reach 90 in back; from the right end it reaches 60 in along.
    expect(reach({ doorWall: 'front', popWall: 'left' })?.what).toMatch(/90/);
    expect(reach({ doorWall: 'right', popWall: 'left' })).toBeUndefined();
    expect(reach({ doorWall: 'front', popWall: 'left', cleanOutWall: 'back', cleanOutStyle: 'slot' })).toBeUndefined();
  });
});

describe('a roof that lies level', () => {
  it('is said of a low pen under metal, with what sheds it', () => {
    const found = finding('low-pen', { construction: 'framed' }, 'flat-roof');
    expect(found?.severity).toBe('tip');
    expect(found?.why).toMatch(/an inch lower on one side/);
  });
  it('is not said of what has a slope or no metal', () => {
    expect(codes('steep-roof-pen', { cover: 'metal' })).not.toContain('flat-roof');
    expect(codes('hoop-pen')).not.toContain('flat-roof');
    expect(codes('raised-lean-to')).not.toContain('flat-roof');
  });
});
