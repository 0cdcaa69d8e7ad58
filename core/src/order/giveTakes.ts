import type { Operation } from '../steps/index.ts';
import type { Takes } from '../takeoff/index.ts';

/**
 * Blocks with what must be there before each begins: what is sawn before the saw, and fasteners, fittings and roofing before the first
 * block after it.
 */
export const giveTakes = (operations: readonly Operation[], { sawn, fitted }: Takes): Operation[] => {
  const next = operations.find((o) => o.station !== 'saw');
  return operations.map((o) =>
    o.station === 'saw' ? { ...o, takes: sawn } : o === next ? { ...o, takes: fitted } : o,
  );
};
