import type { Driven, Fitted } from '../unit/index.ts';

/** Where a step is done. */
export type Station = 'saw' | 'bay' | 'paint' | 'yard' | 'road' | 'site';
/** How a unit is made and reaches its place. */
export type Method = 'whole' | 'panels' | 'on-site' | 'kit';
export const METHODS: readonly Method[] = ['whole', 'panels', 'on-site', 'kit'];

/** Where work is done, whichever station of the shop does it. */
export type Place = 'shop' | 'load' | 'road' | 'site';
export const PLACE_OF: Readonly<Record<Station, Place>> = {
  saw: 'shop',
  bay: 'shop',
  paint: 'shop',
  yard: 'load',
  road: 'road',
  site: 'site',
};

export const STATION_KEYS: readonly Station[] = ['saw', 'bay', 'paint', 'yard', 'road', 'site'];

/** What a step does. */
export type Verb =
  | 'sort'
  | 'cut'
  | 'lay out'
  | 'frame'
  | 'check'
  | 'skin'
  | 'stand'
  | 'saw out'
  | 'fit'
  | 'roof'
  | 'hang'
  | 'coat'
  | 'inspect'
  | 'pack'
  | 'load'
  | 'deliver'
  | 'unload'
  | 'found'
  | 'set'
  | 'finish';

/** Something to measure before going on. */
export interface Gate {
  readonly what: string;
  /** Expected value in inches, where it is a length. */
  readonly expected?: number;
  readonly tolerance?: number;
}

/** One step at a station: what to do, with which parts, what to watch for, and what must be done before. */
export interface Step {
  readonly id: string;
  readonly verb: Verb;
  readonly title: string;
  readonly text: readonly string[];
  readonly station: Station;
  readonly place: Place;
  /** Hands that it takes at the least. */
  readonly people: number;
  /** Done by the customer, who has bought a kit: no hours of ours. */
  readonly by?: 'customer';
  readonly assembly?: string;
  readonly parts: readonly string[];
  readonly tools: readonly string[];
  /** Joints that are made, and what they take. */
  readonly joints: readonly string[];
  readonly fasteners: readonly Driven[];
  readonly hardware: readonly Fitted[];
  readonly cautions: readonly string[];
  readonly gate?: Gate;
  readonly minutes: number;
  readonly needs: readonly string[];
  /**
   * Done once for all units of an order: its minutes are those of one unit (what is cut) or of the whole (what is set up). Left out of
   * what is done unit by unit.
   */
  readonly batch?: 'by unit' | 'whole';
  /** Those of its minutes that are spent on setting up: whoever does the same for the next unit just before has them behind them. */
  readonly setup?: number;
  /** Something is poured in it: frost stops it. */
  readonly pours?: true;
  /** From where the picture looks: a drawing view. */
  readonly view: string;
}

/** Minutes of labour by kind of work. Defaults common practice, no source; rates learn from logged times later. */
export interface LabourRates {
  readonly sortPerStick: number;
  readonly cutPerPiece: number;
  readonly cutPerSheetPiece: number;
  readonly cutPerMeshFace: number;
  readonly layoutPerMark: number;
  readonly framePerPart: number;
  readonly skinPerSheet: number;
  readonly meshPerSquareFoot: number;
  readonly standPerPanel: number;
  readonly fitPerPart: number;
  readonly roofPerSheet: number;
  readonly hangDoor: number;
  readonly coatPerSquareFoot: number;
  readonly load: number;
  /** Work on site against the same in the shop: no bench, no saw at hand, weather. */
  readonly siteShare: number;
  readonly unload: number;
  readonly setUnit: number;
  readonly touchUp: number;
  readonly cleanUp: number;
  readonly walkThrough: number;
  readonly packPerPanel: number;
  /** Miles an hour with a trailer, door to door. */
  readonly roadMilesPerHour: number;
  /** Minutes lost on every drive to start, find the place and turn. */
  readonly roadFixed: number;
  /** What the next unit takes of the time, with every doubling of the count: 1 where nothing is learned. */
  readonly learning: number;
}

export const LABOUR_RATES: LabourRates = {
  sortPerStick: 0.5,
  cutPerPiece: 0.9,
  cutPerSheetPiece: 4,
  cutPerMeshFace: 2.5,
  layoutPerMark: 0.4,
  framePerPart: 2.2,
  skinPerSheet: 9,
  meshPerSquareFoot: 0.45,
  standPerPanel: 12,
  fitPerPart: 3,
  roofPerSheet: 8,
  hangDoor: 25,
  coatPerSquareFoot: 0.35,
  load: 30,
  siteShare: 1.25,
  unload: 15,
  setUnit: 20,
  touchUp: 15,
  cleanUp: 15,
  walkThrough: 15,
  packPerPanel: 4,
  roadMilesPerHour: 35,
  roadFixed: 10,
  learning: 0.95,
};
