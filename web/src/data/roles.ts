import type { Me } from './types.ts';

/** Whether somebody has the office role. */
export const isOffice = (me: Me | undefined): boolean => me?.roles.includes('office') ?? false;

/** Whether somebody works in the shop or the office: who cuts, counts and takes in what comes. */
export const isInShop = (me: Me | undefined): boolean => me?.roles.some((r) => r === 'office' || r === 'shop') ?? false;
