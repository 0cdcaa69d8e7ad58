/** A person's week as it is typed: seven numbers of hours, Sunday first; nothing where they work as the shop does. */
export const hoursOf = (minutes: readonly number[] | null): string =>
  minutes === null ? '' : minutes.map((m) => String(m / 60)).join(' ');

/** A typed week as minutes a day; null for as the shop does, undefined where it is no week. */
export const readHours = (text: string): number[] | null | undefined => {
  const plain = text.trim();
  if (plain === '') return null;
  const days = plain.split(/[\s;]+/).map((t) => Number(t.replace(',', '.')));
  return days.length === 7 && days.every((h) => Number.isFinite(h) && h >= 0 && h <= 16)
    ? days.map((h) => Math.round(h * 60))
    : undefined;
};
