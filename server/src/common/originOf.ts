import type { Request } from 'express';

/** Where the shop's pages are, as whoever asks sees them: for the codes on paper. */
export const originOf = (request: Request): string =>
  `${request.protocol}://${request.get('x-forwarded-host') ?? request.get('host') ?? ''}`;
