import { findHardware } from '../stock/index.ts';
import { countJoints } from '../unit/index.ts';
import type { Joint, JointKind } from '../unit/index.ts';

/** What a step's joints are called when they are made. */
const MADE: Readonly<Record<JointKind, string>> = {
  'end-nailed': 'Nail through into the ends',
  'toe-nailed': 'Nail aslant from the sides',
  'face-nailed': 'Nail face to face',
  'end-screwed': 'Screw through into the ends',
  'toe-screwed': 'Screw aslant from the sides',
  'face-screwed': 'Screw through the thinner piece',
  pocket: 'Pocket-screw the ends',
  'half-lap': 'Glue and screw the half-laps',
  notch: 'Screw aslant at the notches',
  gusset: 'Glue and screw the gussets',
  bolt: 'Bolt',
  lag: 'Lag, drilled first',
  strap: 'Strap',
  tie: 'Steel angles and ties',
  hinge: 'Hinges',
  latch: 'Bolts and latches',
  hook: 'Hook',
  staple: 'Staple',
  washer: 'Staple, washers under the screws',
  'batten clamp': 'Screw the battens through the mesh',
  'gasketed screw': 'Screw in the flats, gasket just flattened',
  'roofing nail': 'Nail the covering',
  cleat: 'Screw down on the cleats',
  glue: 'Glue',
  hung: 'Hang',
  rests: 'Set in place',
};

const counted = (list: readonly { readonly item: string; readonly count: number }[]): string =>
  list.map((f) => `${f.count} × ${findHardware(f.item).name}`).join(', ');

/** What a step has to drive and fit, a line a kind of joint: how, with what, how many. */
export const drivingText = (joints: readonly Joint[]): string[] => {
  const kinds = [...new Set(joints.map((j) => j.kind))];
  return kinds.flatMap((kind) => {
    const { fasteners, hardware } = countJoints(joints.filter((j) => j.kind === kind));
    const all = [...hardware, ...fasteners];
    const nailed = fasteners.some((f) => findHardware(f.item).driver === 'nail');
    const braced = kind === 'strap' && hardware.every((h) => h.item === 'brace-strap');
    const made =
      kind === 'tie' && nailed
        ? 'Tie down, nailed aslant as well'
        : braced
          ? 'Brace straps corner to corner, both ways, screwed off once both diagonals agree'
          : MADE[kind];
    return all.length === 0 ? [] : [`${made}: ${counted(all)}.`];
  });
};

/** Tools and bits that the joints of a step take. */
export const drivingTools = (joints: readonly Joint[]): string[] => {
  const out = new Set<string>();
  for (const j of joints) {
    for (const f of j.fasteners) {
      switch (findHardware(f.item).driver) {
        case 'nail':
          out.add('framing nailer');
          break;
        case 'roof nail':
          out.add('roofing hammer');
          break;
        case 'staple':
          out.add('stapler');
          break;
        case 'roof screw':
          out.add('driver with hex socket');
          break;
        case 'pocket':
          out.add('pocket-hole jig').add('driver with long square bit');
          break;
        case 'lag':
          out.add('drill with pilot bit').add('socket');
          break;
        default:
          out.add('driver with star bit');
          if (f.length >= 3 || j.kind === 'pocket') out.add('pilot bit');
      }
    }
    for (const h of j.hardware) if (/bolt/.test(h.item)) out.add('drill with bolt bit').add('wrench');
  }
  return [...out];
};
