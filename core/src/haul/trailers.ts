import type { Trailer } from './planLoad.ts';

/** What most shops have: a 16 ft tilt trailer on two axles. Usual figures, from memory; a business enters its own. */
export const USUAL_TRAILER: Trailer = {
  id: 'usual',
  name: 'usual 16 ft trailer',
  bedLength: 192,
  bedWidth: 83,
  bedHeight: 24,
  carries: 5000,
  weight: 2000,
  tilt: true,
};
