import type { Station } from '@rubbet/core/steps';

/** A crew or a bay: a row of the board. Sizes in inches, for bays. */
export interface Crew {
  readonly id: string;
  readonly kind: 'crew' | 'bay';
  readonly name: string;
  readonly stations: readonly Station[];
  readonly people: number;
  readonly length: number | null;
  readonly width: number | null;
  readonly height: number | null;
  readonly active: boolean;
  readonly members: readonly { readonly userId: number; readonly name: string; readonly leads: boolean }[];
  readonly version: number;
}
