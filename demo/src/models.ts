/** Standard models, named after hedgerow plants; each a saved parameter set of its family. */
export interface DemoModel {
  readonly name: string;
  readonly purpose: string;
  readonly family: string;
  readonly params: Readonly<Record<string, string | number | boolean>>;
}

export const MODELS: readonly DemoModel[] = [
  {
    name: 'Sorrel',
    purpose: 'Four by six for half a dozen hens.',
    family: 'raised-lean-to',
    params: { length: 72, depth: 48, nestCount: 2 },
  },
  {
    name: 'Bramble',
    purpose: 'Sorrel with a run beside it, roofed.',
    family: 'raised-lean-to',
    params: { length: 72, depth: 48, run: true, runLength: 120 },
  },
  {
    name: 'Hawthorn',
    purpose: 'Four by eight with four nests, for a dozen hens.',
    family: 'raised-lean-to',
    params: { length: 96, depth: 48, nestCount: 3, roostBars: 2, highWall: 64, lowWall: 56 },
  },
  {
    name: 'Spindle',
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
    purpose: 'Six by eight for a batch of meat birds.',
    family: 'low-pen',
    params: { length: 96, width: 72, height: 24 },
  },
  {
    name: 'Clover',
    purpose: 'Light pen that one adult pulls.',
    family: 'low-pen',
    params: { length: 72, width: 48, height: 24, roofLength: 30, lidLength: 30, wheels: 'wheel-10' },
  },
  {
    name: 'Teasel',
    purpose: 'Taller pen for layers in summer.',
    family: 'low-pen',
    params: { length: 96, width: 60, height: 36, birds: 'layers', wheels: 'wheel-10' },
  },
  {
    name: 'Yarrow',
    purpose: 'Three by six of pickets, half an hour’s work.',
    family: 'low-pen',
    params: { construction: 'picket', length: 72, width: 37.1875, height: 22, birds: 'layers' },
  },
];
