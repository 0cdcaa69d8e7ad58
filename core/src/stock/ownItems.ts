import type { Hardware } from './items.ts';

/** Begins the key of an item that a business has added: what no rule of the trade knows, bought and kept by the count. */
const OWN = 'own:';
/** Longest name: a key has forty signs. */
export const LONGEST_NAME = 36;

/** Whether a key is of an item that a business has added. */
export const isOwn = (key: string): boolean => key.startsWith(OWN) && key.length > OWN.length;

/** The key of an item of that name: it says all that there is to know of it, so that it is known wherever it is met. */
export const ownKey = (name: string): string => `${OWN}${name.trim().replace(/\s+/g, ' ')}`;

/** An item that a business has added, as anything else that is counted. Cents. */
export const ownItem = (key: string, cost = 0, pack = 1): Hardware => ({
  key,
  kind: 'hardware',
  name: key.slice(OWN.length),
  weight: 0,
  cost,
  pack,
});
