import { findFamily } from '@rubbet/core/model';

/** Standard models, named after hedgerow plants; each a saved parameter set of its family. */
export interface DemoModel {
  readonly name: string;
  readonly purpose: string;
  /** Birds it is sold for. */
  readonly birds: number;
  readonly family: string;
  readonly params: Readonly<Record<string, string | number | boolean>>;
  /** How its first revision differed, where there is a second one, and what that one says. */
  readonly before?: {
    readonly params: Readonly<Record<string, string | number | boolean>>;
    readonly note: string;
  };
  /** What a seller may choose of it without asking. */
  readonly ranges?: Readonly<Record<string, readonly [number, number]>>;
}

export const MODELS: readonly DemoModel[] = [
  {
    name: 'Sorrel',
    birds: 7,
    purpose: 'Four by six for half a dozen hens.',
    family: 'raised-lean-to',
    params: { length: 72, depth: 48, nestCount: 2 },
    before: {
      params: { length: 72, depth: 48, nestCount: 1, threshold: 4 },
      note: 'two nests, threshold for deep litter',
    },
    ranges: { length: [60, 96], depth: [42, 60], legHeight: [18, 30] },
  },
  {
    name: 'Bramble',
    birds: 5,
    purpose: 'Sorrel with a long roofed run.',
    family: 'raised-lean-to',
    params: { length: 72, depth: 48, run: true, runLength: 180 },
  },
  {
    name: 'Hawthorn',
    birds: 12,
    purpose: 'Four by eight, nests at the back, for a dozen hens.',
    family: 'raised-lean-to',
    params: {
      length: 96,
      depth: 48,
      nestWall: 'back',
      windowWall: 'front',
      nestCount: 3,
      highWall: 64,
      lowWall: 56,
      overhangBack: 10,
    },
  },
  {
    name: 'Spindle',
    birds: 18,
    purpose: 'Deep house for a flock of twenty, nests at the back.',
    family: 'raised-lean-to',
    params: {
      length: 120,
      depth: 72,
      nestWall: 'back',
      windowWall: 'front',
      nestCount: 4,
      roostBars: 3,
      roostHeight: 30,
      highWall: 72,
      lowWall: 60,
      doorHeight: 56,
      overhangBack: 12,
      legHeight: 18,
    },
  },
  {
    name: 'Pimpernel',
    birds: 3,
    purpose: 'Small house for three or four, close to the kitchen door.',
    family: 'raised-lean-to',
    params: {
      length: 48,
      depth: 36,
      nestCount: 1,
      roostBars: 1,
      doorWidth: 24,
      doorHeight: 40,
      highWall: 54,
      lowWall: 48,
      windowWidth: 16,
      roostHeight: 24,
    },
  },
  {
    name: 'Vetch',
    birds: 25,
    purpose: 'Six by eight for a batch of meat birds.',
    family: 'low-pen',
    params: { length: 96, width: 72, height: 24 },
  },
  {
    name: 'Clover',
    birds: 12,
    purpose: 'Light pen that one adult pulls.',
    family: 'low-pen',
    params: { length: 72, width: 48, height: 24, roofLength: 30, lidLength: 30, wheels: 'wheel-10' },
  },
  {
    name: 'Teasel',
    birds: 8,
    purpose: 'Taller pen for layers in summer.',
    family: 'low-pen',
    params: { length: 96, width: 60, height: 36, birds: 'layers', wheels: 'wheel-10' },
  },
  {
    name: 'Yarrow',
    birds: 3,
    purpose: 'Three by six of pickets, half an hour’s work.',
    family: 'low-pen',
    params: { construction: 'picket', length: 72, width: 37.1875, height: 22, birds: 'layers' },
  },
  {
    name: 'Burdock',
    birds: 3,
    purpose: 'Equilateral ends, closed and vented at one of them.',
    family: 'a-frame-pen',
    params: { length: 96, width: 60, closedLength: 44 },
  },
  {
    name: 'Bindweed',
    birds: 12,
    purpose: 'Pipe hoops between rockered runners, tarp over half.',
    family: 'hoop-pen',
    params: { length: 120, width: 84, hoopLength: 120 },
  },
  {
    name: 'Foxglove',
    birds: 6,
    purpose: 'A steep roof to walk in under, all from 8 ft sticks.',
    family: 'steep-roof-pen',
    params: { length: 96, width: 48 },
  },
  {
    name: 'Campion',
    birds: 3,
    purpose: 'Runs between the bean rows, house on the deck.',
    family: 'garden-ark',
    params: { length: 84, width: 36 },
  },
  {
    name: 'Rowan',
    birds: 7,
    purpose: 'Gable on braced legs, doors for walls.',
    family: 'raised-gable',
    params: { length: 72, depth: 48 },
  },
  {
    name: 'Dogrose',
    birds: 3,
    purpose: 'On long runners, carried to new ground twice a year.',
    family: 'skid-house',
    params: { length: 60, depth: 36 },
  },
  {
    name: 'Tansy',
    birds: 5,
    purpose: 'Six panels that bolt together and come apart in spring.',
    family: 'panel-kit',
    params: { length: 72, depth: 48 },
  },
  {
    name: 'Hazel',
    birds: 15,
    purpose: 'Eight by twelve with a store; eggs are gathered indoors.',
    family: 'walk-in',
    params: { length: 144, depth: 96 },
  },
  {
    name: 'Blackthorn',
    birds: 15,
    purpose: 'Eight by eight house and a run of 32 ft that steps with the ground.',
    family: 'house-with-run',
    params: { length: 96, depth: 96, runLength: 384, runBays: 3 },
  },
  {
    name: 'Comfrey',
    birds: 20,
    purpose: 'A corner of the barn, curbed, meshed, with a loft for straw.',
    family: 'barn-fit-out',
    params: { length: 144, depth: 96 },
  },
];

/** The flock that a model is judged for. */
export const flockFor = (model: DemoModel) => {
  const family = findFamily(model.family);
  const meat = model.family === 'low-pen' && model.params.birds !== 'layers';
  return {
    kind: meat ? ('meat' as const) : ('layers' as const),
    now: model.birds,
    later: model.birds,
    breed: 'standard' as const,
    ranging: !family?.movable,
    mover: 'two adults' as const,
    moves: !family?.movable
      ? ('never' as const)
      : model.family === 'skid-house'
        ? ('yearly' as const)
        : ('daily' as const),
  };
};
