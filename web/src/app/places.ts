/** Main places, in the order of the work. */
export const PLACES = [
  ['/', 'Today'],
  ['/orders', 'Orders'],
  ['/models', 'Models'],
  ['/rack', 'Rack'],
  ['/crews', 'Crews'],
  ['/roads', 'Roads'],
  ['/settings', 'Settings'],
] as const;

type Place = (typeof PLACES)[number];
const NAMED = (names: readonly string[]): Place[] => names.flatMap((n) => PLACES.filter(([, name]) => name === n));

/** Places that stand in the bar of a telephone, for what somebody does: a driver's loads come first. The rest is under More. */
export const barOf = (roles: readonly string[]): Place[] =>
  roles.length > 0 && roles.every((r) => r === 'driver')
    ? NAMED(['Roads', 'Orders', 'Today', 'Crews'])
    : NAMED(['Today', 'Orders', 'Crews', 'Roads']);

/** Where somebody lands on a telephone. */
export const isDriverOnly = (roles: readonly string[]): boolean =>
  roles.length > 0 && roles.every((r) => r === 'driver');
