/** A number to one place, without a trailing zero. */
export const one = (n: number): string => String(Math.round(n * 10) / 10);
