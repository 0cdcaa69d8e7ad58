/** Prints minutes as hours: `13 h 20`, or `45 min` below an hour. */
export const printMinutes = (minutes: number): string => {
  const m = Math.round(minutes);
  if (m < 60) return `${m} min`;
  const rest = m % 60;
  return rest === 0 ? `${(m - rest) / 60} h` : `${(m - rest) / 60} h ${String(rest).padStart(2, '0')}`;
};
