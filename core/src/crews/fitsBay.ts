/** Length, width and height, inches. */
type Size = readonly [number, number, number];

/** Room that people need to walk around what they build, inches on each side; common practice, no source. */
export const WALK_AROUND = 24;

/** Whether a unit stands in a bay with room to walk around it, either way round; a bay or a unit whose size nobody has said fits. */
export const fitsBay = (holds: Size | undefined, size: Size | undefined): boolean => {
  if (!holds || !size) return true;
  const [long, wide] = [...holds.slice(0, 2)].sort((a, b) => b - a) as [number, number];
  const [unitLong, unitWide] = [...size.slice(0, 2)].sort((a, b) => b - a) as [number, number];
  return unitLong + 2 * WALK_AROUND <= long && unitWide + 2 * WALK_AROUND <= wide && size[2] <= holds[2];
};
