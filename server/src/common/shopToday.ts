/** Today as `2026-05-04`; the one place that says which day it is. */
export const shopToday = (): string => new Date().toISOString().slice(0, 10);
