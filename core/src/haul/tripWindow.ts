/** A trailer's time on a trip, minutes since midnight of the day; may reach past midnight. */
export interface TripWindow {
  readonly from: number;
  readonly to: number;
}

/**
 * When a trailer is away for a delivery: loading and the drive before the hour of arrival, the work on site and the drive back
 * after it. Minutes.
 * @param arrives hour of arrival as `09:30`
 */
export const tripWindow = (
  arrives: string,
  minutes: { readonly load: number; readonly drive: number; readonly site: number },
): TripWindow => {
  const [h = 0, m = 0] = arrives.split(':').map(Number);
  const at = h * 60 + m;
  return { from: at - minutes.drive - minutes.load, to: at + minutes.site + minutes.drive };
};

/** Whether two trips of one day want a trailer at the same time; one may begin as the other ends. */
export const tripsOverlap = (a: TripWindow, b: TripWindow): boolean => a.from < b.to && b.from < a.to;

/** Minutes of a day as `09:30`, kept within the day. */
export const clockOf = (minutes: number): string => {
  const at = Math.max(0, Math.min(1439, Math.round(minutes)));
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
};
