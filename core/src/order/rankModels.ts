import { measureMass } from '../unit/index.ts';
import { adviseMoving, sizeFlock } from '../flock/index.ts';
import type { Flock, FlockSizing } from '../flock/index.ts';
import { buildSpec, findFamily, readParams, SpecError } from '../model/index.ts';
import type { Params, Spec } from '../model/index.ts';
import { measureMoving } from '../structure/index.ts';
import type { BusinessRules } from './businessRules.ts';
import { BUSINESS_RULES } from './businessRules.ts';

/** A standard model that is considered for a flock. */
export interface ModelChoice {
  readonly name: string;
  readonly spec: Spec;
}

/** A reason for or against a model, in words. */
export interface RankReason {
  readonly good: boolean;
  readonly text: string;
}

/** A model with its rank: how many birds it is enough for, why it fits or does not, and a size of it that would. */
export interface RankedModel<M extends ModelChoice = ModelChoice> {
  readonly model: M;
  readonly birds: number;
  readonly score: number;
  readonly reasons: readonly RankReason[];
  /** Parameters that make it enough for the flock, where another size does. */
  readonly variant?: { readonly params: Params; readonly birds: number; readonly text: string };
}

const STEP = 12;
/** How many of the best are tried in other sizes. */
const SIZED = 6;

/** Birds that a spec is enough for; zero where it lacks something the flock needs. */
const holds = (flock: Flock, sizing: FlockSizing): number => {
  const missing = sizing.limits.some((l) => l.birds === undefined && l.what !== 'run');
  return missing && flock.kind === 'layers' ? 0 : (sizing.first?.birds ?? 0);
};

/** The smallest change of length, nests and roosts that makes a model enough, in steps of a foot; none where its ranges end before. */
export const findSizedVariant = (
  spec: Spec,
  flock: Flock,
  rules: BusinessRules = BUSINESS_RULES,
): RankedModel['variant'] => {
  const family = findFamily(spec.family);
  if (!family) return undefined;
  const need = Math.max(flock.now, flock.later);
  const most = (key: string): number | undefined => {
    const def = family.params.find((p) => p.key === key);
    return def?.kind === 'length' || def?.kind === 'count' ? def.max : undefined;
  };
  const length = Number(spec.params.length);
  const longest = most('length') ?? length;
  const nests = Math.ceil(need / rules.check.flock.hensPerNest);
  const runNow = Number(spec.params.runLength ?? 0);
  for (let by = 0; length + by <= longest; by += STEP)
    for (const bars of [0, 1, 2, 3]) {
      const roostBars = Number(spec.params.roostBars ?? 0) + bars;
      if (bars > 0 && roostBars > (most('roostBars') ?? 0)) continue;
      const params: Params = {
        ...spec.params,
        length: length + by,
        ...(spec.params.nestCount === undefined
          ? {}
          : { nestCount: Math.min(most('nestCount') ?? nests, Math.max(Number(spec.params.nestCount), nests)) }),
        ...(spec.params.roostBars === undefined ? {} : { roostBars }),
        ...(spec.params.run === true ? { runLength: Math.min(most('runLength') ?? runNow, runNow + by * 4) } : {}),
      };
      try {
        readParams(family, params);
      } catch (error) {
        if (error instanceof SpecError) continue;
        throw error;
      }
      const build = buildSpec({ ...spec, params });
      if (build.notes.some((n) => n.severity === 'stop')) continue;
      const birds = holds(flock, sizeFlock(flock, build.capacity, rules.check.flock));
      if (birds < need) continue;
      const said = [
        ...(by > 0 ? [`${by}″ longer`] : []),
        ...(bars > 0 ? [`${bars} more ${bars === 1 ? 'roost bar' : 'roost bars'}`] : []),
        ...(params.nestCount !== spec.params.nestCount ? [`${String(params.nestCount)} nests`] : []),
      ];
      return said.length === 0 ? undefined : { params, birds, text: said.join(', ') };
    }
  return undefined;
};

/**
 * Ranks standard models for a flock, best first: room for its birds now and in two years, whether it is moved as they mean to,
 * whether their mover can, the ground, and the winters.
 * @param slope fall of the ground in inches over 10 ft, if known
 */
export const rankModels = <M extends ModelChoice>(
  flock: Flock,
  models: readonly M[],
  rules: BusinessRules = BUSINESS_RULES,
  slope?: number,
): RankedModel<M>[] => {
  const need = Math.max(flock.now, flock.later);
  const advice = adviseMoving(flock, slope);
  const ranked = models
    .map((model): RankedModel<M> => {
      const build = buildSpec(model.spec);
      const { facts } = build;
      const birds = holds(flock, sizeFlock(flock, build.capacity, rules.check.flock));
      const reasons: RankReason[] = [];
      let score = 0;
      const say = (good: boolean, by: number, text: string): void => {
        score += good ? by : -by;
        reasons.push({ good, text });
      };
      if (birds >= need)
        say(
          true,
          birds > need * 2 ? 2 : 4,
          birds > need * 2 ? `Room for ${birds}: more than twice what they ask.` : `Room for ${birds}.`,
        );
      else say(false, birds === 0 ? 6 : 3, birds === 0 ? 'Lacks what these birds need.' : `Full at ${birds} birds.`);
      if (facts.movable === advice.movable)
        say(true, 3, facts.movable ? 'Moves to fresh ground.' : 'Stays where it is put.');
      else say(false, 4, facts.movable ? 'Is meant to be moved.' : 'Does not move.');
      if (facts.movable) {
        const { lift } = measureMoving(build, rules.check.moving, (slope ?? 0) / 120);
        const can = rules.check.moving.lift[flock.mover];
        if (lift <= can) say(true, 2, `One end lifts at ${Math.round(lift)} lb.`);
        else say(false, 3, `One end weighs ${Math.round(lift)} lb; ${can} lb is what they lift.`);
      }
      if (slope !== undefined && slope > 12) {
        if (facts.bays) say(true, 1, 'Its run steps down with the ground.');
        else if (facts.movable) say(false, 1, 'Gaps open under it on this slope.');
      }
      if (flock.winters === 'hard') {
        const closed = build.capacity.houseArea !== undefined;
        if (!closed) say(false, 3, 'No closed house for the winter.');
        else if (facts.roof.cover === 'metal' || facts.roof.cover === 'shingle')
          say(true, 1, 'A closed house under a roof that sheds snow.');
        if (facts.roof.cover === 'tarp') say(false, 2, 'Its tarp comes down under snow.');
      }
      const weight = Math.round(measureMass(build).weight);
      score -= weight / 4000;
      return { model, birds, score, reasons };
    })
    .sort((a, b) => b.score - a.score);
  // Sizes are tried only for those that come near: each try is a build.
  return ranked
    .map((r, i) => {
      const variant = i < SIZED && r.birds < need ? findSizedVariant(r.model.spec, flock, rules) : undefined;
      return variant ? { ...r, score: r.score + 2, variant } : r;
    })
    .sort((a, b) => b.score - a.score);
};
