/** Minutes after midnight as a clock shows them: `09:30`. */
export const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(Math.round(minute % 60)).padStart(2, '0')}`;

/** A moment as text by which moments sort. */
export const sortKey = (m: { readonly day: string; readonly minute: number }): string =>
  `${m.day} ${String(m.minute).padStart(4, '0')}`;
