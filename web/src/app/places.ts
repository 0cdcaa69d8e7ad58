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
