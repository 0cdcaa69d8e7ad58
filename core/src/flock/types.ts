/** Which birds, how many now and in two years, how they live, and who moves the unit. */
export interface Flock {
  readonly kind: 'layers' | 'meat';
  readonly now: number;
  readonly later: number;
  readonly breed: 'standard' | 'large' | 'bantam';
  /** Days spent out of the run, or always inside it. */
  readonly ranging: boolean;
  readonly mover: Mover;
  readonly moves: 'daily' | 'yearly' | 'never';
  /** Winters where it stands; mild where nobody has said. */
  readonly winters?: 'mild' | 'hard';
}

export type Mover = 'child' | 'one adult' | 'two adults' | 'vehicle';

/** What the unit must carry and what it offers; areas in square feet, lengths in inches. */
export interface Capacity {
  /** Undefined where the unit has none and needs none (a meat pen has no roost). */
  readonly runArea?: number;
  readonly houseArea?: number;
  readonly roostLength?: number;
  readonly nests?: number;
}

/** Space rules a business may change. All defaults common practice, no source. */
export interface FlockRules {
  readonly runPerHenRanging: number;
  readonly runPerHenConfined: number;
  readonly runFloorPerHen: number;
  readonly housePerHen: number;
  readonly roostPerHen: number;
  readonly roostTight: number;
  readonly hensPerNest: number;
  readonly hensPerNestMost: number;
  readonly areaPerMeatBird: number;
  /** Square feet a layer needs in a pen moved daily. */
  readonly areaPerPenLayer: number;
  readonly bantamShare: number;
}

export const FLOCK_RULES: FlockRules = {
  runPerHenRanging: 10,
  runPerHenConfined: 20,
  runFloorPerHen: 10,
  housePerHen: 2,
  roostPerHen: 12,
  roostTight: 8,
  hensPerNest: 5,
  hensPerNestMost: 6,
  areaPerMeatBird: 1.9,
  areaPerPenLayer: 4.4,
  bantamShare: 0.6,
};
