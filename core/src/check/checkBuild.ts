import { swapWords } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import type { Flock } from '../flock/index.ts';
import { readParams, findFamily, SpecError } from '../model/index.ts';
import type { Spec } from '../model/index.ts';
import { CHECKS } from './rules/index.ts';
import { titleCodeOf } from './titles.ts';
import { CHECK_RULES } from './types.ts';
import type { CheckRules, CheckSite, Finding } from './types.ts';

const RANK = { stop: 0, warn: 1, tip: 2 } as const;

/** The flock that a spec is judged for when nobody has said. */
export const defaultFlock = (spec: Spec): Flock => {
  const movable = findFamily(spec.family)?.movable ?? false;
  const daily = movable && spec.family !== 'skid-house';
  const usual = {
    breed: 'standard',
    mover: 'two adults',
    moves: daily ? 'daily' : movable ? 'yearly' : 'never',
  } as const;
  return spec.params.birds === 'meat'
    ? { ...usual, kind: 'meat', now: 25, later: 25, ranging: false }
    : { ...usual, kind: 'layers', now: 6, later: 8, ranging: !daily };
};

/** A fix that would leave the family's ranges is not offered. */
const usable = (spec: Spec, finding: Finding): Finding => {
  if (!finding.fix) return finding;
  const family = findFamily(spec.family);
  if (!family) return finding;
  try {
    readParams(family, { ...spec.params, ...finding.fix.patch });
    return finding;
  } catch (error) {
    if (!(error instanceof SpecError)) throw error;
    const { fix: _fix, ...rest } = finding;
    return rest;
  }
};

/** A rule names walls as the parameters do; a mirrored unit's are seen on the other side. */
const asSeen = (spec: Spec, { fix, ...finding }: Finding): Finding =>
  fix && spec.mirrored && Object.values(fix.patch).some((v) => v === 'left' || v === 'right')
    ? { ...finding, fix: { ...fix, label: swapWords(fix.label) } }
    : { ...finding, ...(fix ? { fix } : {}) };

/** All findings of a build: what the framing could not do, then every judgement rule; stops first. */
export const checkBuild = (
  build: Build,
  spec: Spec,
  flock: Flock = defaultFlock(spec),
  rules: CheckRules = CHECK_RULES,
  site?: CheckSite,
): Finding[] => {
  const context = { build, spec, params: spec.params, flock, rules, ...(site ? { site } : {}) };
  const notes: Finding[] = build.notes.map((n) => ({ ...n, where: n.where ?? [] }));
  const ids = new Set(build.parts.map((p) => p.id));
  /** Rules name parts as most families call them; where one is called otherwise, the nearest of its assembly is shown. */
  const present = (id: string): string[] => {
    if (ids.has(id)) return [id];
    const [assembly = id] = id.split('/');
    const near = build.parts.find((p) => p.assembly === assembly) ?? build.parts.find((p) => p.id.startsWith(assembly));
    return near ? [near.id] : [];
  };
  const [first] = build.parts;
  return (
    [...notes, ...CHECKS.flatMap((check) => check(context)).map((f) => asSeen(spec, f))]
      .map((f) => ({ ...f, where: [...new Set(f.where.flatMap(present))] }))
      // What is about the unit as a whole is shown at its first part.
      .map((f) => (f.where.length > 0 || !first ? f : { ...f, where: [first.id] }))
      .flatMap((f) => {
        const severity = rules.severities[f.code] ?? rules.severities[titleCodeOf(f.code) ?? ''] ?? f.severity;
        return severity === 'off' ? [] : [usable(spec, { ...f, severity })];
      })
      .sort((a, b) => RANK[a.severity] - RANK[b.severity])
  );
};
