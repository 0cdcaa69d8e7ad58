/** Standard models, named after hedgerow plants; each a saved parameter set of its family. */
export interface DemoModel {
  readonly name: string;
  readonly purpose: string;
  /** Birds it is sold for. */
  readonly birds: number;
  readonly family: string;
  readonly params: Readonly<Record<string, string | number | boolean>>;
}

export const MODELS: readonly DemoModel[] = [
  {
    name: 'Sorrel',
    birds: 7,
    purpose: 'Four by six for half a dozen hens.',
    family: 'raised-lean-to',
    params: { length: 72, depth: 48, nestCount: 2 },
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
];

/** The flock that a model is judged for. */
export const flockFor = (model: DemoModel) => ({
  kind: model.params.birds === 'layers' || model.family !== 'low-pen' ? ('layers' as const) : ('meat' as const),
  now: model.birds,
  later: model.birds,
  breed: 'standard' as const,
  ranging: model.family !== 'low-pen',
  mover: 'two adults' as const,
  moves: model.family === 'low-pen' ? ('daily' as const) : ('never' as const),
});
