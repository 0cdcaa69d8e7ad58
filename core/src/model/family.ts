import type { Build, Fitting, OpeningKind, ParamValue, Side } from '../unit/index.ts';
import type { ParamDef, Params } from './params.ts';

/** Something added in one step. */
export interface Addition {
  readonly label: string;
  readonly patch: (params: Params) => Readonly<Record<string, ParamValue>> | undefined;
}

/** A kind of unit: a parameter table and the function that frames it. `P` is the parameter object. */
export interface Family<P = Params> {
  readonly key: string;
  readonly title: string;
  readonly purpose: string;
  /** Moved on its own ground, or stays. */
  readonly movable: boolean;
  /** Fittings that may be put on its walls by hand, and which walls carry them. */
  readonly carries: {
    readonly walls: readonly Side[];
    readonly kinds: readonly OpeningKind[];
    /** Its walls take doors and windows that are bought in their frames. */
    readonly bought?: true;
  };
  /** What is commonly added to a standard one, as a change of its parameters; nothing where it is there already. */
  readonly additions?: readonly Addition[];
  /** Newest schema number of its specs. */
  readonly schema: number;
  readonly params: readonly ParamDef[];
  /** Frames a complete, valid parameter object. Never throws for values in range; what cannot be done is noted. */
  readonly frame: (params: P, fittings?: readonly Fitting[]) => Build;
}

/** Walls and fittings of a house that is framed all around. */
export const HOUSE_CARRIES: Family['carries'] = {
  walls: ['front', 'back', 'left', 'right'],
  kinds: ['people door', 'window', 'vent', 'pop door', 'nest', 'clean-out'],
  bought: true,
};

/** A family whose sides are frames that carry no fittings of their own. */
export const CARRIES_NOTHING: Family['carries'] = { walls: [], kinds: [] };
