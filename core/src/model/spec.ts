import { splitPanels } from '../frame/index.ts';
import type { PanelLimits } from '../frame/index.ts';
import { LengthError, parseLength, printLength } from '../measure/index.ts';
import { mirrorBuild } from '../unit/index.ts';
import type { Build, Fitting, ParamValue } from '../unit/index.ts';
import type { Family } from './family.ts';
import { FAMILIES, findFamily } from './families/index.ts';
import { readFittings } from './fittings.ts';
import { migrateSpec } from './migrations.ts';
import type { ParamDef, Params } from './params.ts';
import { defaultsOf } from './params.ts';

/** A complete description of one unit. */
export interface Spec {
  readonly family: string;
  readonly schema: number;
  readonly params: Params;
  /** Fittings put by hand; none where left out. */
  readonly fittings?: readonly Fitting[];
  /** Left and right exchanged. */
  readonly mirrored?: boolean;
  /** Parameters that are settled: an editor leaves them alone until they are unlocked. The framing does not look at them. */
  readonly locked?: readonly string[];
}

/** What is wrong with a spec, one entry a fault. */
export interface SpecFault {
  readonly param: string;
  readonly value: unknown;
  readonly message: string;
}

/** Raised when a spec cannot be read; `faults` names every parameter at fault. */
export class SpecError extends Error {
  constructor(readonly faults: readonly SpecFault[]) {
    super(faults.map((f) => f.message).join(' '));
    this.name = 'SpecError';
  }
}

const isRecord = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v);
const show = (v: unknown): string => (typeof v === 'string' ? `"${v}"` : (JSON.stringify(v) ?? String(v)));

/** The allowed values of a parameter in words, as used in messages and forms. */
export const describeRange = (def: ParamDef): string => {
  switch (def.kind) {
    case 'length':
      return `${printLength(def.min)} to ${printLength(def.max)}`;
    case 'count':
      return `a whole number from ${def.min} to ${def.max}`;
    case 'choice':
      return `one of ${def.choices.map((c) => String(c.value)).join(', ')}`;
    case 'flag':
      return 'true or false';
  }
};

const readValue = (def: ParamDef, raw: unknown): ParamValue | SpecFault => {
  const fault = (why: string): SpecFault => ({
    param: def.key,
    value: raw,
    message: `${def.key} (${def.label}): ${show(raw)} ${why}; it takes ${describeRange(def)}.`,
  });
  switch (def.kind) {
    case 'length': {
      let value = raw;
      if (typeof raw === 'string') {
        try {
          value = parseLength(raw);
        } catch (error) {
          if (error instanceof LengthError) return fault('is not a length in inches, feet or millimetres');
          throw error;
        }
      }
      if (typeof value !== 'number' || !Number.isFinite(value)) return fault('is not a length');
      if (value < def.min - 1e-9 || value > def.max + 1e-9) return fault('is out of range');
      return value;
    }
    case 'count':
      if (typeof raw !== 'number' || !Number.isInteger(raw)) return fault('is not a whole number');
      return raw < def.min || raw > def.max ? fault('is out of range') : raw;
    case 'choice':
      return def.choices.some((c) => c.value === raw) ? (raw as string | number) : fault('is not a choice');
    case 'flag':
      return typeof raw === 'boolean' ? raw : fault('is not true or false');
  }
};

/**
 * Checks parameters against a table and fills those left out by their defaults.
 * @throws SpecError naming every unknown, wrong or out-of-range parameter with its value and range
 */
export const readParams = (family: Pick<Family, 'key' | 'params'>, given: Record<string, unknown>): Params => {
  const faults: SpecFault[] = [];
  const known = new Map(family.params.map((p) => [p.key, p]));
  for (const [key, value] of Object.entries(given)) {
    if (!known.has(key))
      faults.push({
        param: key,
        value,
        message: `${key}: ${show(value)} is set, but ${family.key} has no such parameter; it has ${[...known.keys()].join(', ')}.`,
      });
  }
  const out: Record<string, ParamValue> = { ...defaultsOf(family.params) };
  for (const def of family.params) {
    if (given[def.key] === undefined) continue;
    const value = readValue(def, given[def.key]);
    if (typeof value === 'object') faults.push(value);
    else out[def.key] = value;
  }
  if (faults.length > 0) throw new SpecError(faults);
  return out;
};

/** Names of locked parameters, each once, in the order of the table. */
const readLocked = (family: Pick<Family, 'key' | 'params'>, given: unknown): readonly string[] => {
  if (given === undefined) return [];
  const refuse = (message: string): never => {
    throw new SpecError([{ param: 'locked', value: given, message }]);
  };
  if (!Array.isArray(given)) return refuse(`locked: ${show(given)} is not a list of parameter names.`);
  const wrong = given.find((k) => !family.params.some((p) => p.key === k)) as unknown;
  if (wrong !== undefined)
    return refuse(
      `locked: ${show(wrong)} is not a parameter of ${family.key}; it has ${family.params.map((p) => p.key).join(', ')}.`,
    );
  return family.params.map((p) => p.key).filter((k) => given.includes(k));
};

/**
 * Reads a spec from parsed JSON: family, schema and params, migrating older schemas.
 * @throws SpecError when it is not a spec, of an unknown family, of a newer schema, or has wrong parameters
 */
export const parseSpec = (json: unknown): Spec => {
  const refuse = (param: string, value: unknown, message: string): never => {
    throw new SpecError([{ param, value, message }]);
  };
  if (!isRecord(json))
    return refuse('spec', json, 'A spec is an object like {"family": "low-pen", "schema": 1, "params": {}}.');
  const extra = Object.keys(json).filter(
    (k) => !['family', 'schema', 'params', 'fittings', 'mirrored', 'locked', '$schema'].includes(k),
  );
  if (extra.length > 0)
    refuse(
      extra[0] as string,
      json[extra[0] as string],
      `"${extra.join('", "')}" does not belong in a spec; it has family, schema, params, fittings, mirrored and locked.`,
    );
  const known = FAMILIES.map((f) => f.key).join(', ');
  if (typeof json.family !== 'string')
    return refuse('family', json.family, `family: ${show(json.family)} is not a family; it takes one of ${known}.`);
  const family = findFamily(json.family);
  if (!family)
    return refuse('family', json.family, `family: ${show(json.family)} is not a family; it takes one of ${known}.`);
  const schema = json.schema ?? family.schema;
  if (typeof schema !== 'number' || !Number.isInteger(schema) || schema < 1)
    return refuse(
      'schema',
      schema,
      `schema: ${show(schema)} is not a schema number; it takes a whole number from 1 to ${family.schema}.`,
    );
  if (schema > family.schema)
    return refuse(
      'schema',
      schema,
      `schema: this spec has schema ${schema} and was made by a newer Rubbet; this one reads up to ${family.schema}.`,
    );
  const params = json.params ?? {};
  if (!isRecord(params)) return refuse('params', params, `params: ${show(params)} is not an object of parameters.`);
  const migrated = migrateSpec(family.key, schema, family.schema, params);
  const { fittings, faults } = readFittings(family, json.fittings);
  if (faults.length > 0) throw new SpecError(faults);
  const { mirrored } = json;
  if (mirrored !== undefined && typeof mirrored !== 'boolean')
    return refuse('mirrored', mirrored, `mirrored: ${show(mirrored)} is not true or false.`);
  const locked = readLocked(family, json.locked);
  return {
    family: family.key,
    schema: family.schema,
    params: readParams(family, migrated),
    ...(fittings.length > 0 ? { fittings } : {}),
    ...(mirrored ? { mirrored } : {}),
    ...(locked.length > 0 ? { locked } : {}),
  };
};

/** Frames a spec; where panels are limited, its long walls come apart into what can be carried. */
export const buildSpec = (spec: Spec, panels?: PanelLimits): Build => {
  const family = findFamily(spec.family);
  if (!family)
    throw new SpecError([{ param: 'family', value: spec.family, message: `There is no family "${spec.family}".` }]);
  const framed = family.frame(spec.params, spec.fittings ?? []);
  const build = panels ? splitPanels(framed, panels) : framed;
  return spec.mirrored ? mirrorBuild(build) : build;
};
