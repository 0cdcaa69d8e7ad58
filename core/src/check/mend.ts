import type { ParamValue } from '../unit/index.ts';
import type { Finding } from './types.ts';

/** A one-click mend, to spread into a finding. */
export const mend = (label: string, patch: Readonly<Record<string, ParamValue>>): Pick<Finding, 'fix'> => ({
  fix: { label, patch },
});
