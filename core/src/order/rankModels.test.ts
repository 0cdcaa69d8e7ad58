import type { Flock } from '../flock/index.ts';
import { sizeFlock } from '../flock/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { findSizedVariant, rankModels } from './rankModels.ts';

const flock: Flock = {
  kind: 'layers',
  now: 6,
  later: 8,
  breed: 'standard',
  ranging: true,
  mover: 'two adults',
  moves: 'never',
};
const choice = (name: string, family: string, params: Record<string, number | string | boolean> = {}) => ({
  name,
  spec: parseSpec({ family, params }),
});
const MODELS = [
  choice('small house', 'raised-lean-to', { length: 48, nestCount: 1, roostBars: 1 }),
  choice('house', 'raised-lean-to', { length: 84 }),
  choice('walk-in', 'walk-in'),
  choice('pen', 'low-pen', { birds: 'meat' }),
  choice('hoop', 'hoop-pen'),
  choice('long run', 'house-with-run', { fall: 30 }),
];
const names = (f: Flock, slope?: number) => rankModels(f, MODELS, undefined, slope).map((r) => r.model.name);

describe('models for a flock', () => {
  it('puts a house with room first for layers that stay, and pens last', () => {
    const order = names(flock);
    expect(order[0]).toBe('house');
    expect(order.indexOf('pen')).toBeGreaterThan(order.indexOf('walk-in'));
  });
  it('puts a pen first for meat birds that move every day', () => {
    expect(names({ ...flock, kind: 'meat', now: 25, later: 25, moves: 'daily', ranging: false })[0]).toMatch(
      /pen|hoop/,
    );
  });
  it('likes a run that steps on a slope', () => {
    const rank = (slope: number) => names(flock, slope).indexOf('long run');
    expect(rank(30)).toBeLessThanOrEqual(rank(0));
    const said = rankModels(flock, MODELS, undefined, 30).find((r) => r.model.name === 'long run');
    expect(said?.reasons.map((r) => r.text)).toContain('Its run steps down with the ground.');
  });
  it('counts hard winters against what is open or under a tarp', () => {
    const hoop = (winters: 'mild' | 'hard') =>
      rankModels({ ...flock, winters }, MODELS).find((r) => r.model.name === 'hoop');
    expect(hoop('hard')?.score).toBeLessThan(hoop('mild')?.score ?? 0);
  });
  it('gives a reason for every step of its judgement', () => {
    for (const r of rankModels(flock, MODELS)) {
      expect(r.reasons.length).toBeGreaterThanOrEqual(2);
      for (const reason of r.reasons) expect(reason.text).toMatch(/^[A-Z].*\.$/);
    }
  });
});

describe('a sized variant', () => {
  it('makes the small house long enough, and no longer than it must', () => {
    const small = MODELS[0];
    if (!small) throw new Error('no model');
    const variant = findSizedVariant(small.spec, flock);
    expect(variant).toBeDefined();
    const enough = (params: typeof small.spec.params) =>
      sizeFlock(flock, buildSpec({ ...small.spec, params }).capacity).first?.birds ?? 0;
    expect(enough(variant?.params ?? {})).toBeGreaterThanOrEqual(8);
    expect(variant?.text).toMatch(/longer|nests/);
    expect(enough({ ...variant?.params, length: Number(variant?.params.length) - 24 })).toBeLessThan(8);
  });
  it('is not offered where no size of the family is enough', () => {
    const small = MODELS[0];
    if (!small) throw new Error('no model');
    expect(findSizedVariant(small.spec, { ...flock, now: 300, later: 300 })).toBeUndefined();
  });
});
