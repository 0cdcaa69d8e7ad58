import { SKILLS } from '@rubbet/core/crews';
import type { Station } from '@rubbet/core/steps';
import type { Db } from '../database/connect.ts';

/** Fewest logged steps of a kind of work from which its spread is taken. */
const ENOUGH = 12;

/** How widely logged times of a kind of work spread about what was planned: the deviation of the logarithm of their ratio. */
export const spreadOf = (ratios: readonly number[]): number => {
  const logs = ratios.map(Math.log);
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  return Math.sqrt(logs.reduce((n, x) => n + (x - mean) ** 2, 0) / Math.max(1, logs.length - 1));
};

/** Spreads by skill, from steps that were timed, and how many of those there are. */
export const readSpreads = async (
  db: Db,
): Promise<{ readonly bySkill: Readonly<Record<string, number>>; readonly logged: number }> => {
  const rows = (await db('work_steps')
    .where({ state: 'done' })
    .whereNotNull('minutes')
    .where('minutes', '>', 0)
    .where('planned', '>', 0)
    .orderBy('id', 'desc')
    .limit(5000)
    .select('station', 'minutes', 'planned')) as { station: Station; minutes: number; planned: number }[];
  const bySkill: Record<string, number> = {};
  let logged = 0;
  for (const station of Object.keys(SKILLS) as Station[]) {
    const mine = rows.filter((r) => r.station === station);
    if (mine.length < ENOUGH) continue;
    logged += mine.length;
    // A ratio of more than five is a clock that somebody forgot.
    bySkill[SKILLS[station]] = spreadOf(mine.map((r) => Math.min(5, Math.max(0.2, r.minutes / r.planned))));
  }
  return { bySkill, logged };
};
