import type { Me } from './types.ts';

/** Whether somebody has the office role. */
export const isOffice = (me: Me | undefined): boolean => me?.roles.includes('office') ?? false;
