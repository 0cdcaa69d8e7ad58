import type { Pt } from '../geometry/index.ts';

/** What a line or area is, so that each medium colours it in its own way. */
export type Tone =
  | 'wood'
  | 'wood-dark'
  | 'treated'
  | 'ply'
  | 'siding'
  | 'mesh'
  | 'metal'
  | 'shingle'
  | 'fitting'
  | 'glass'
  | 'cloth'
  | 'concrete'
  | 'ink'
  | 'soft'
  | 'chalk'
  | 'keel'
  | 'amber'
  | 'tape'
  | 'ground'
  | 'paper'
  | 'faded';

/** An area with any holes; `part` names the part it shows. */
export interface AreaItem {
  readonly kind: 'area';
  readonly rings: readonly (readonly Pt[])[];
  readonly fill: Tone | 'none';
  readonly stroke: Tone;
  readonly part?: string;
  readonly dashed?: boolean;
  /** How far the area is turned from the light: 0 lit to 1 dark. */
  readonly shade?: number;
}

export interface LineItem {
  readonly kind: 'line';
  readonly from: Pt;
  readonly to: Pt;
  readonly stroke: Tone;
  readonly weight: number;
  readonly dashed?: boolean;
}

export interface TextItem {
  readonly kind: 'text';
  readonly at: Pt;
  readonly text: string;
  /** What it measures, inches, where it is a length and nothing else: readers of other units have it printed in theirs. */
  readonly length?: number;
  /** Height in inches of the drawing. */
  readonly size: number;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly tone: Tone;
  /** A filled tag behind it. */
  readonly tag?: Tone;
  readonly turn?: number;
}

/** Neutral drawing items in inches, x to the right, y up. */
export type DrawItem = AreaItem | LineItem | TextItem;

/** A drawing and the box that holds all of it. */
export interface Drawing {
  readonly title: string;
  readonly bounds: readonly [number, number, number, number];
  readonly items: readonly DrawItem[];
}
