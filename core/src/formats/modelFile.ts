import { findFamily, parseSpec, SpecError } from '../model/index.ts';
import type { Spec } from '../model/index.ts';

/** Ranges of length and count parameters that a seller may choose from without asking. */
export type SellerRanges = Readonly<Record<string, readonly [number, number]>>;

/** A standard model as a file: its name, what it is for, its newest spec and the notes of its revisions. */
export interface ModelFile {
  readonly format: 'rubbet-model';
  readonly version: number;
  readonly name: string;
  readonly purpose: string;
  readonly spec: Spec;
  readonly ranges: SellerRanges;
  readonly notes: readonly string[];
}

/** Newest version of model files. */
export const MODEL_FILE_VERSION = 2;

/** Raised when a model file cannot be read; the message says what is wrong, where, and how to mend it. */
export class ModelFileError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'ModelFileError';
  }
}

/** Named steps between versions of model files, oldest first. */
const MIGRATIONS: readonly {
  readonly to: number;
  readonly name: string;
  readonly up: (file: Record<string, unknown>) => Record<string, unknown>;
}[] = [
  {
    to: 2,
    name: 'put family and params into a spec, and give seller ranges a place of their own',
    up: ({ family, schema, params, note, ...rest }) => ({
      ...rest,
      spec: { family, ...(schema === undefined ? {} : { schema }), params: params ?? {} },
      ranges: {},
      notes: typeof note === 'string' ? [note] : [],
    }),
  },
];

const isRecord = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v);
const show = (v: unknown): string => JSON.stringify(v) ?? String(v);

/**
 * Reads the seller ranges of a family.
 * @throws ModelFileError naming the parameter and what it takes
 */
export const readRanges = (familyKey: string, json: unknown): SellerRanges => {
  if (json === undefined) return {};
  if (!isRecord(json))
    throw new ModelFileError(`ranges: ${show(json)} is not an object of parameters with [least, most].`);
  const family = findFamily(familyKey);
  const out: Record<string, readonly [number, number]> = {};
  for (const [key, range] of Object.entries(json)) {
    const def = family?.params.find((p) => p.key === key);
    if (!def || (def.kind !== 'length' && def.kind !== 'count'))
      throw new ModelFileError(`ranges.${key}: ${familyKey} has no length or count of that name.`);
    if (!Array.isArray(range) || range.length !== 2 || !range.every((n) => typeof n === 'number' && Number.isFinite(n)))
      throw new ModelFileError(`ranges.${key}: ${show(range)} is not two numbers, least and most.`);
    const [low, high] = range as [number, number];
    if (low > high || low < def.min || high > def.max)
      throw new ModelFileError(`ranges.${key}: ${low} to ${high} is not within ${def.min} to ${def.max}.`);
    out[key] = [low, high];
  }
  return out;
};

/**
 * Reads a model file from parsed JSON, older versions through their named migrations.
 * @throws ModelFileError when it is no model file, is newer than this program, or holds a wrong spec or range
 */
export const parseModelFile = (json: unknown): ModelFile => {
  if (!isRecord(json) || json.format !== 'rubbet-model')
    throw new ModelFileError('This is not a model file: it should be a JSON object with "format": "rubbet-model".');
  const { version } = json;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw new ModelFileError(
      `version: ${show(version)} is not a version number; it takes a whole number from 1 to ${MODEL_FILE_VERSION}.`,
    );
  if (version > MODEL_FILE_VERSION)
    throw new ModelFileError(
      `version: this file has version ${version} and was made by a newer Rubbet; this one reads up to ${MODEL_FILE_VERSION}. Export it there in an older version, or bring this one up to date.`,
    );
  let file: Record<string, unknown> = json;
  for (const step of MIGRATIONS) if (step.to > version) file = step.up(file);
  const known = ['$schema', 'format', 'version', 'name', 'purpose', 'spec', 'ranges', 'notes'];
  const extra = Object.keys(file).find((k) => !known.includes(k));
  if (extra !== undefined)
    throw new ModelFileError(
      `${extra}: ${show(file[extra])} does not belong in a model file; it has ${known.slice(1).join(', ')}.`,
    );
  const { name, purpose = '', notes = [] } = file;
  if (typeof name !== 'string' || name.trim().length < 2 || name.length > 80)
    throw new ModelFileError(`name: ${show(name)} is not a name of 2 to 80 letters.`);
  if (typeof purpose !== 'string' || purpose.length > 240)
    throw new ModelFileError(`purpose: ${show(purpose)} is not a text of at most 240 letters.`);
  if (!Array.isArray(notes) || !notes.every((n) => typeof n === 'string'))
    throw new ModelFileError(`notes: ${show(notes)} is not a list of texts.`);
  let spec: Spec;
  try {
    spec = parseSpec(file.spec);
  } catch (error) {
    if (error instanceof SpecError) throw new ModelFileError(`spec: ${error.message}`);
    throw error;
  }
  return {
    format: 'rubbet-model',
    version: MODEL_FILE_VERSION,
    name: name.trim(),
    purpose,
    spec,
    ranges: readRanges(spec.family, file.ranges),
    notes: notes as string[],
  };
};

/** Writes a model file. */
export const writeModelFile = (model: Omit<ModelFile, 'format' | 'version'>): ModelFile => ({
  format: 'rubbet-model',
  version: MODEL_FILE_VERSION,
  ...model,
});

/** A parameter that lies outside what a seller may choose. */
export interface OutsideRange {
  readonly param: string;
  readonly label: string;
  readonly value: number;
  readonly range: readonly [number, number];
}

/** Parameters of a spec outside a model's seller ranges. */
export const findOutsideRanges = (spec: Spec, ranges: SellerRanges): OutsideRange[] => {
  const family = findFamily(spec.family);
  return Object.entries(ranges).flatMap(([param, range]): OutsideRange[] => {
    const def = family?.params.find((p) => p.key === param);
    const value = Number(spec.params[param]);
    return def && (value < range[0] - 1e-9 || value > range[1] + 1e-9)
      ? [{ param, label: def.label, value, range }]
      : [];
  });
};
