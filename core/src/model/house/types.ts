import type { Side } from '../../unit/index.ts';

/** Parameters that every house shares; a family's table may leave some out, which then keep their usual value. */
export interface HouseParams {
  readonly length: number;
  readonly depth: number;
  readonly studSpacing: 16 | 24;
  readonly siding: 'siding-5/8' | 'ply-1/2' | 'board-batten' | 'rough-boards' | 'batten-strips' | 'lap';
  readonly doorWall: Side | 'none';
  readonly doorStyle: 'single' | 'double' | 'dutch' | 'bought';
  /** Item of a bought door. */
  readonly doorUnit: string;
  readonly doorWidth: number;
  readonly doorHeight: number;
  readonly threshold: number;
  readonly doorOpens: 'outward' | 'inward';
  readonly insideRelease: boolean;
  readonly windowWall: Side | 'none';
  readonly windowStyle: 'mesh' | 'sliding' | 'top-hung' | 'bought';
  /** Item of a bought window. */
  readonly windowUnit: string;
  readonly windowWidth: number;
  readonly windowHeight: number;
  readonly popWall: Side | 'none';
  readonly popWidth: number;
  readonly popHeight: number;
  readonly popMotor: boolean;
  /** In the leaf of the people door instead of a wall. */
  readonly popInDoor: boolean;
  readonly nestWall: Side | 'none';
  /** A row that hangs outside and how it opens, or one inside that lifts off its ledger. */
  readonly nestStyle: 'outside lid' | 'drop front' | 'inside';
  readonly nestCount: number;
  readonly nestWidth: number;
  readonly nestDepth: number;
  readonly nestBottom: number;
  readonly cleanOutWall: Side | 'none';
  readonly cleanOutStyle: 'slot' | 'doors';
  readonly cleanOutWidth: number;
  /** Steel angles in the door frames of a wall that is mostly doors. */
  readonly doorBraces: boolean;
  readonly roostBars: number;
  readonly roostHeight: number;
  /** How much lower each bar in front of another lies. */
  readonly roostStep: number;
  readonly roostKind: 'flat' | 'pole' | 'shelf';
  readonly droppingsBoard: boolean;
  readonly ladder: boolean;
  readonly trim: 'boards' | 'ply rips';
  readonly roofCover: 'metal' | 'shingle';
  /** Felt between deck and metal. */
  readonly underlay: boolean;
  readonly rafterSpacing: 16 | 24;
  /** What keeps a gable's rafters from spreading: ties between the plates, a beam at the ridge, or what the roof asks for. */
  readonly roofHeld: 'chosen' | 'ties' | 'beam';
  readonly overhangFront: number;
  readonly overhangBack: number;
  readonly overhangSide: number;
  readonly eaves: 'mesh' | 'blocked';
  readonly gutters: boolean;
  readonly cupola: boolean;
  /** Chains with hooks for feeders and drinkers. */
  readonly hangers: number;
  /** Drinking nipples on a bar fed from the mains. */
  readonly nipples: number;
}

/** What a house has where its family's table does not ask. */
export const USUAL_HOUSE: Omit<HouseParams, 'length' | 'depth'> = {
  studSpacing: 16,
  siding: 'siding-5/8',
  doorWall: 'front',
  doorStyle: 'single',
  doorUnit: 'door-36x72',
  doorWidth: 31,
  doorHeight: 46,
  threshold: 8,
  doorOpens: 'outward',
  insideRelease: true,
  windowWall: 'back',
  windowStyle: 'mesh',
  windowUnit: 'window-18x27',
  windowWidth: 20,
  windowHeight: 14,
  popWall: 'left',
  popWidth: 11,
  popHeight: 13,
  popMotor: false,
  popInDoor: false,
  nestWall: 'right',
  nestStyle: 'outside lid',
  nestCount: 2,
  nestWidth: 12,
  nestDepth: 12,
  nestBottom: 8,
  cleanOutWall: 'none',
  cleanOutStyle: 'slot',
  cleanOutWidth: 30,
  doorBraces: true,
  roostBars: 2,
  roostHeight: 28,
  roostStep: 0,
  roostKind: 'flat',
  droppingsBoard: false,
  ladder: false,
  trim: 'boards',
  roofCover: 'metal',
  underlay: false,
  rafterSpacing: 16,
  roofHeld: 'ties',
  overhangFront: 10,
  overhangBack: 4,
  overhangSide: 4,
  eaves: 'mesh',
  gutters: false,
  cupola: false,
  hangers: 0,
  nipples: 0,
};
