import type { Build } from '../../../unit/index.ts';
import { frameFramedPen } from './frameFramedPen.ts';
import { framePicketPen } from './framePicketPen.ts';
import type { LowPenParams } from './params.ts';

/** Frames a low pen in its chosen construction. */
export const frameLowPen = (params: LowPenParams): Build =>
  params.construction === 'framed' ? frameFramedPen(params) : framePicketPen(params);
