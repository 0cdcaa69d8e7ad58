import type { Row, Task } from './types.ts';

/** Room that people need to walk around what they build, inches on each side; common practice, no source. */
export const WALK_AROUND = 24;

/** Whether a unit stands in a bay with room to walk around it, either way round; what is done elsewhere fits anywhere. */
export const fitsBay = (row: Pick<Row, 'holds'>, task: Pick<Task, 'size' | 'station'>): boolean => {
  if (!row.holds || !task.size || (task.station !== 'bay' && task.station !== 'paint')) return true;
  const [long, wide] = [...row.holds.slice(0, 2)].sort((a, b) => b - a) as [number, number];
  const [unitLong, unitWide] = [...task.size.slice(0, 2)].sort((a, b) => b - a) as [number, number];
  return unitLong + 2 * WALK_AROUND <= long && unitWide + 2 * WALK_AROUND <= wide && task.size[2] <= row.holds[2];
};

/** Whether a row can take a task: it does that kind of work, and there is room. */
export const canTake = (row: Row, task: Task): boolean => row.stations.includes(task.station) && fitsBay(row, task);
