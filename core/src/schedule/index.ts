export * from './types.ts';
export * from './calendar.ts';
export * from './planSchedule.ts';
export * from './fitsBay.ts';
