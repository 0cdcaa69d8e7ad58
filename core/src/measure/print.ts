/** Prints integer cents as dollars: `$1,234.50`, or `$1,235` where `whole` is set (rounded). */
export const printMoney = (cents: number, whole = false): string => {
  const value = whole ? Math.round(cents / 100) : cents / 100;
  return value.toLocaleString('en-US', {
    style: 'currency',
    currency: 'USD',
    minimumFractionDigits: whole ? 0 : 2,
    maximumFractionDigits: whole ? 0 : 2,
  });
};

/** Prints minutes as hours: `13 h 20`, or `45 min` below an hour. */
export const printMinutes = (minutes: number): string => {
  const m = Math.round(minutes);
  if (m < 60) return `${m} min`;
  const rest = m % 60;
  return rest === 0 ? `${(m - rest) / 60} h` : `${(m - rest) / 60} h ${String(rest).padStart(2, '0')}`;
};

/** Prints pounds to the nearest whole pound: `412 lb`. */
export const printWeight = (pounds: number): string => `${Math.round(pounds).toLocaleString('en-US')} lb`;
