import type { ParamValue } from '../unit/index.ts';

interface ParamBase {
  readonly key: string;
  readonly label: string;
  readonly group: string;
  readonly help?: string;
  /** Shown only while another parameter has one of these values. */
  readonly showWhen?: { readonly key: string; readonly is: readonly ParamValue[] };
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

/** The values of a parameter table with nothing changed. */
export const defaultsOf = (table: readonly ParamDef[]): Params =>
  Object.fromEntries(table.map((p) => [p.key, p.default]));
