/** Points of the compass, clockwise from north. */
export const POINTS = [
  'north',
  'north-north-east',
  'north-east',
  'east-north-east',
  'east',
  'east-south-east',
  'south-east',
  'south-south-east',
  'south',
  'south-south-west',
  'south-west',
  'west-south-west',
  'west',
  'west-north-west',
  'north-west',
  'north-north-west',
] as const;

/** Degrees from north over east of a point, whole. */
export const bearingOf = (point: number): number => Math.round((point * 360) / POINTS.length);

/** The point that lies nearest to some degrees. */
export const pointOf = (bearing: number): number => Math.round((bearing * POINTS.length) / 360) % POINTS.length;

/** Minutes after midnight of `08:30`; null where nothing is said. */
export const minuteOf = (time: string): number | null => {
  const [, h, m] = /^(\d{2}):(\d{2})/.exec(time) ?? [];
  return h === undefined ? null : Number(h) * 60 + Number(m);
};

/** `08:30` of minutes after midnight; nothing where nothing is said. */
export const timeOf = (minute: number | null | undefined): string =>
  minute == null ? '' : `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

/** Whether hours are none, or both with the earlier first. */
export const areHours = (opens: string, closes: string): boolean => {
  const [a, b] = [minuteOf(opens), minuteOf(closes)];
  return a === null ? b === null : b !== null && a < b;
};

/** Where a site lies and when it is open, for a reader. */
export const siteWords = (
  way: string,
  {
    bearing,
    opens,
    closes,
  }: { readonly bearing: number | null; readonly opens: number | null; readonly closes: number | null },
): string =>
  [
    `${way} from the shop${bearing === null ? '' : `, to the ${POINTS[pointOf(bearing)]}`}`,
    ...(opens === null || closes === null ? [] : [`work there from ${timeOf(opens)} to ${timeOf(closes)}`]),
  ].join('; ');
