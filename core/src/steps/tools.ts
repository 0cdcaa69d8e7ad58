import type { Verb } from './types.ts';

/** Tools that each kind of step takes. */
export const TOOLS: Readonly<Record<Verb, readonly string[]>> = {
  sort: ['tape', 'pencil'],
  cut: ['mitre saw', 'stop block', 'tape'],
  'lay out': ['tape', 'square', 'pencil'],
  frame: ['nailer or driver', 'clamps', 'square'],
  check: ['tape'],
  skin: ['stapler', 'driver', 'snips', 'stretcher bar'],
  stand: ['level', 'clamps', 'driver'],
  'saw out': ['hand saw or reciprocating saw', 'chisel', 'square'],
  fit: ['driver', 'level', 'tape'],
  roof: ['driver', 'snips', 'chalk line'],
  hang: ['shims', 'driver', 'level'],
  coat: ['brush', 'drop sheet'],
  inspect: ['tape', 'level', '½ in bar'],
  pack: ['labels', 'bags', 'leaflet'],
  load: ['straps', 'trolley jack', 'planks'],
  deliver: ['straps'],
  unload: ['straps', 'planks', 'gloves'],
  found: ['level', 'string line', 'spade', 'tamper', 'tape'],
  finish: ['broom', 'magnet', 'brush'],
  set: ['level', 'blocks', 'shims', 'tape'],
};
