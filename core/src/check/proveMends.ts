import { buildSpec, findFamily, readParams, SpecError } from '../model/index.ts';
import type { ParamDef, Spec } from '../model/index.ts';
import type { ParamValue } from '../unit/index.ts';
import type { Flock } from '../flock/index.ts';
import { checkBuild, defaultFlock } from './checkBuild.ts';
import { CHECK_RULES } from './types.ts';
import type { CheckRules, CheckSite, Finding } from './types.ts';

type Mend = NonNullable<Finding['fix']>;

/** How much farther than a rule asks a mend is tried: what follows from one length may need a little more of it. */
const FARTHER = [2, 4];

/** A value in its parameter's range and on its step, as near as may be. */
const inRange = (def: ParamDef, value: number): number | undefined => {
  if (def.kind !== 'length' && def.kind !== 'count') return undefined;
  const step = def.kind === 'length' ? Math.max(def.step, 0.5) : 1;
  const on = Math.round(value / step) * step;
  return Math.min(def.max, Math.max(def.min, on));
};

const count = (findings: readonly Finding[], code: string): number => findings.filter((f) => f.code === code).length;

const stops = (findings: readonly Finding[]): readonly Finding[] => findings.filter((f) => f.severity === 'stop');

/** Whether what is found after a mend lacks what it was for, and has no stop that was not there before. */
const isMended = (before: readonly Finding[], after: readonly Finding[], code: string): boolean =>
  count(after, code) < count(before, code) &&
  stops(after).every((f) => count(stops(after), f.code) <= count(stops(before), f.code));

/** The figure of a mend's label changed with its patch: what the button says is what it does. */
const relabel = (label: string, from: number, to: number): string | undefined => {
  const figure = label.match(/\d+(?:\.\d+)?/g);
  return figure?.length === 1 && Number(figure[0]) === from ? label.replace(figure[0], String(to)) : undefined;
};

/** The mends that are worth trying for a finding: its own, then the same one carried farther. */
const mendsOf = (spec: Spec, fix: Mend): readonly Mend[] => {
  const entries = Object.entries(fix.patch);
  const [only] = entries;
  const def = findFamily(spec.family)?.params.find((p) => p.key === only?.[0]);
  const now = only ? spec.params[only[0]] : undefined;
  if (entries.length !== 1 || !only || !def || typeof only[1] !== 'number' || typeof now !== 'number') return [fix];
  const [key, wanted] = only;
  const out: Mend[] = [fix];
  for (const far of FARTHER) {
    const value = inRange(def, now + (wanted - now) * far);
    const label = value === undefined ? undefined : relabel(fix.label, wanted, value);
    if (value !== undefined && label !== undefined && !out.some((m) => m.patch[key] === value))
      out.push({ label, patch: { [key]: value } });
  }
  return out;
};

const patched = (spec: Spec, patch: Readonly<Record<string, ParamValue>>): Spec | undefined => {
  const family = findFamily(spec.family);
  if (!family) return undefined;
  try {
    return { ...spec, params: readParams(family, { ...spec.params, ...patch }) };
  } catch (error) {
    if (error instanceof SpecError) return undefined;
    throw error;
  }
};

/** What a mend is judged by, as the findings were. */
export interface ProofBy {
  readonly flock?: Flock;
  readonly rules?: CheckRules;
  readonly site?: CheckSite;
}

/**
 * Tries every mend that findings offer and keeps those that do what they promise: the finding goes and no new stop comes. One that
 * does too little is carried farther where its button can say so; one that does not help is not offered. A mend at a time, so that a
 * caller may stop between two.
 * @returns findings as they were, with the mends that were proved
 */
export function* provingMends(spec: Spec, findings: readonly Finding[], by: ProofBy = {}): Generator<void, Finding[]> {
  const flock = by.flock ?? defaultFlock(spec);
  const tried = new Map<string, readonly Finding[] | undefined>();
  const judge = (patch: Mend['patch']): readonly Finding[] | undefined => {
    const key = JSON.stringify(patch);
    if (!tried.has(key)) {
      const next = patched(spec, patch);
      tried.set(key, next && checkBuild(buildSpec(next), next, flock, by.rules ?? CHECK_RULES, by.site));
    }
    return tried.get(key);
  };
  const out: Finding[] = [];
  for (const finding of findings) {
    const { fix, ...rest } = finding;
    let proved: Mend | undefined;
    if (fix)
      for (const mend of mendsOf(spec, fix)) {
        yield;
        const after = judge(mend.patch);
        if (after && isMended(findings, after, finding.code)) {
          proved = mend;
          break;
        }
      }
    out.push({ ...rest, ...(proved ? { fix: proved } : {}) });
  }
  return out;
}

/** All mends tried at once: for callers that can wait. */
export const proveMends = (spec: Spec, findings: readonly Finding[], by: ProofBy = {}): Finding[] => {
  const proof = provingMends(spec, findings, by);
  for (;;) {
    const step = proof.next();
    if (step.done) return step.value;
  }
};
