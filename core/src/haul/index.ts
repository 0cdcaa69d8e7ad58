export * from './planLoad.ts';
export * from './tripWindow.ts';
export * from './findTravels.ts';
export * from './planTrips.ts';
export * from './trailers.ts';
export * from './rounds.ts';
export * from './bedOf.ts';
