import type { ParamValue } from '../unit/index.ts';

/** Another parameter and the values that it must have one of. */
export interface Shown {
  readonly key: string;
  readonly is: readonly ParamValue[];
}

interface ParamBase {
  readonly key: string;
  readonly label: string;
  readonly group: string;
  readonly help?: string;
  /** Shown only while other parameters have one of these values. */
  readonly showWhen?: Shown | readonly Shown[];
}

/** A length in inches. */
export interface LengthParam extends ParamBase {
  readonly kind: 'length';
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly default: number;
}

/** A whole number. */
export interface CountParam extends ParamBase {
  readonly kind: 'count';
  readonly min: number;
  readonly max: number;
  readonly default: number;
}

/** One of a few named values. */
export interface ChoiceParam extends ParamBase {
  readonly kind: 'choice';
  readonly choices: readonly { readonly value: string | number; readonly label: string }[];
  readonly default: string | number;
}

/** Yes or no. */
export interface FlagParam extends ParamBase {
  readonly kind: 'flag';
  readonly default: boolean;
}

export type ParamDef = LengthParam | CountParam | ChoiceParam | FlagParam;
export type Params = Readonly<Record<string, ParamValue>>;

/** Whether a parameter has a bearing on a unit with these values, and so is asked for. */
export const isShown = (def: Pick<ParamBase, 'showWhen'>, params: Params): boolean =>
  [def.showWhen ?? []].flat().every((s) => s.is.includes(params[s.key] as ParamValue));

/** The values of a parameter table with nothing changed. */
export const defaultsOf = (table: readonly ParamDef[]): Params =>
  Object.fromEntries(table.map((p) => [p.key, p.default]));
