import { LengthError, parseLength } from '../measure/index.ts';
import type { Fitting, FittingStyle, OpeningKind, Side } from '../unit/index.ts';
import type { Family } from './family.ts';

/** The ways in which each kind of fitting is made; the first is the usual one. */
export const FITTING_STYLES: Readonly<Record<OpeningKind, readonly FittingStyle[]>> = {
  'people door': ['single', 'double', 'dutch', 'bought'],
  window: ['mesh', 'sliding', 'top-hung', 'bought'],
  'pop door': ['sliding', 'motor'],
  nest: ['outside lid', 'drop front'],
  gate: ['single', 'double'],
  vent: ['mesh'],
  'clean-out': ['single', 'double'],
};

/** The ways in which a family makes a kind of fitting. */
export const stylesOf = ({ bought }: Family['carries'], kind: OpeningKind): readonly FittingStyle[] =>
  FITTING_STYLES[kind].filter((style) => style !== 'bought' || bought === true);

/** Rough size that a new fitting of a kind starts with, inches: width, height, foot above the wall's foot. */
export const FITTING_SIZES: Readonly<Record<OpeningKind, readonly [number, number, number]>> = {
  'people door': [31, 46, 8],
  window: [20, 14, 30],
  'pop door': [11, 13, 8],
  nest: [24.5, 12, 8],
  gate: [32, 60, 1.5],
  vent: [14, 6, 40],
  'clean-out': [30, 9, 1.5],
};

/** Sizes that a fitting may have, inches. */
export const FITTING_RANGE = { width: [6, 96], height: [3, 96], left: [0, 480], bottom: [0, 108] } as const;

/** Most fittings that a unit takes by hand: more do not fit on its walls, and each costs time to frame. */
export const MOST_FITTINGS = 40;

/** What is wrong with one entry of a list of fittings. */
export interface FittingFault {
  readonly param: string;
  readonly value: unknown;
  readonly message: string;
}

const KEYS = ['id', 'kind', 'style', 'wall', 'left', 'bottom', 'width', 'height'] as const;
const ID = /^[a-z][a-z0-9-]{0,30}$/;
const isRecord = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v);
const show = (v: unknown): string => JSON.stringify(v) ?? String(v);

/** Reads the fittings of a spec against what its family's walls carry; gives either them or what is wrong. */
export const readFittings = (
  family: Pick<Family, 'key' | 'carries'>,
  json: unknown,
): { readonly fittings: readonly Fitting[]; readonly faults: readonly FittingFault[] } => {
  const faults: FittingFault[] = [];
  const fault = (param: string, value: unknown, why: string): void =>
    void faults.push({ param, value, message: `${param}: ${show(value)} ${why}.` });
  if (json === undefined) return { fittings: [], faults };
  if (!Array.isArray(json)) {
    fault('fittings', json, 'is not a list of fittings');
    return { fittings: [], faults };
  }
  if (json.length > MOST_FITTINGS) {
    fault('fittings', json.length, `fittings are set; a unit takes at most ${MOST_FITTINGS}`);
    return { fittings: [], faults };
  }
  const { walls, kinds } = family.carries;
  if (json.length > 0 && walls.length === 0)
    fault('fittings', json.length, `fittings are set, but the sides of a ${family.key} carry none`);
  const seen = new Set<string>();
  const fittings = json.flatMap((entry: unknown, i): Fitting[] => {
    const at = `fittings[${i}]`;
    if (!isRecord(entry)) {
      fault(at, entry, `is not a fitting with ${KEYS.join(', ')}`);
      return [];
    }
    const before = faults.length;
    for (const key of Object.keys(entry))
      if (!(KEYS as readonly string[]).includes(key))
        fault(`${at}.${key}`, entry[key], `does not belong in a fitting; it has ${KEYS.join(', ')}`);
    const { id, kind, wall } = entry;
    if (typeof id !== 'string' || !ID.test(id))
      fault(`${at}.id`, id, 'is not a name of small letters, digits and dashes');
    else if (seen.has(id)) fault(`${at}.id`, id, 'is there twice; each fitting has a name of its own');
    else seen.add(id);
    if (!kinds.includes(kind as OpeningKind))
      fault(`${at}.kind`, kind, `is not a fitting of a ${family.key}; it takes one of ${kinds.join(', ')}`);
    if (!walls.includes(wall as Side))
      fault(`${at}.wall`, wall, `is not a wall that carries fittings; it takes one of ${walls.join(', ')}`);
    const styles = Object.hasOwn(FITTING_STYLES, String(kind)) ? stylesOf(family.carries, kind as OpeningKind) : [];
    const style = entry.style ?? styles[0];
    if (styles.length > 0 && !styles.includes(style as FittingStyle))
      fault(`${at}.style`, style, `is not a style of a ${String(kind)}; it takes one of ${styles.join(', ')}`);
    const length = (key: keyof typeof FITTING_RANGE): number => {
      let value = entry[key];
      if (typeof value === 'string') {
        try {
          value = parseLength(value);
        } catch (error) {
          if (!(error instanceof LengthError)) throw error;
        }
      }
      const [min, max] = FITTING_RANGE[key];
      if (typeof value !== 'number' || !Number.isFinite(value)) fault(`${at}.${key}`, entry[key], 'is not a length');
      else if (value < min || value > max)
        fault(`${at}.${key}`, entry[key], `is out of range; it takes ${min} to ${max} in`);
      else return value;
      return 0;
    };
    const size = { left: length('left'), bottom: length('bottom'), width: length('width'), height: length('height') };
    return faults.length > before
      ? []
      : [{ id: id as string, kind: kind as OpeningKind, style: style as FittingStyle, wall: wall as Side, ...size }];
  });
  return { fittings, faults };
};
