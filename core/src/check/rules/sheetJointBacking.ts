import { findUnbackedJoints } from '../../unit/index.ts';
import type { Check } from '../types.ts';

/** Joints of sheets over framing. */
export const sheetJointBacking: Check = ({ build }) =>
  findUnbackedJoints(build)
    .slice(0, 1)
    .map((joint) => ({
      code: 'sheet-joint-backing',
      severity: 'stop' as const,
      what: 'Two sheets of siding meet with no framing behind them.',
      why: 'A nail there holds nothing: the edges part and rain comes in. Put a block or a stud behind the joint.',
      where: joint.parts,
    }));
