import type { Build } from '../build/index.ts';
import type { ParamDef, Params } from './params.ts';

/** A kind of unit: a parameter table and the function that frames it. `P` is the parameter object. */
export interface Family<P = Params> {
  readonly key: string;
  readonly title: string;
  readonly purpose: string;
  /** Newest schema number of its specs. */
  readonly schema: number;
  readonly params: readonly ParamDef[];
  /** Frames a complete, valid parameter object. Never throws for values in range; what cannot be done is noted. */
  readonly frame: (params: P) => Build;
}
