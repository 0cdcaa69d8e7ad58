import type { Free } from './free.ts';
import type { Operation, Shop } from './types.ts';

/** Those who can do an operation, and those who can help with it, who can do least else first. */
export interface Able {
  readonly leads: readonly number[];
  readonly all: readonly number[];
}

/** Who of a shop can do an operation; the same answer for the same skills. */
export const findAble = (shop: Shop, known: Map<string, Able>, op: Operation): Able => {
  const key = `${op.skill}|${op.helpers?.join() ?? ''}`;
  const had = known.get(key);
  if (had) return had;
  const skills = (i: number): readonly string[] => shop.people[i]?.skills ?? [];
  // Those who can do least else first: who can do all is kept for what else there is.
  const sorted = shop.people.map((_, i) => i).sort((a, b) => skills(a).length - skills(b).length);
  const leads = sorted.filter((i) => skills(i).includes(op.skill));
  const lead = new Set(leads);
  const all = op.helpers
    ? [...leads, ...sorted.filter((i) => !lead.has(i) && skills(i).some((s) => op.helpers?.includes(s)))]
    : leads;
  const able = { leads, all };
  known.set(key, able);
  return able;
};

/** People who are chosen, or the slot at which somebody more is free. */
export type Team = { readonly people: readonly number[] } | { readonly next: number };

/**
 * Chooses so many people for some slots: of one crew where enough of it are free (the one that has the order first), else whoever
 * is free.
 */
export const pickTeam = (
  able: Able,
  free: readonly Free[],
  crews: readonly (string | undefined)[],
  span: readonly [number, number],
  wanted: number,
  favoured: string | undefined,
): Team => {
  const [from, to] = span;
  const there: number[] = [];
  let next = Infinity;
  for (const i of able.all) {
    const who = free[i] as Free;
    if (who.has(from, to)) there.push(i);
    else next = Math.min(next, who.after(from));
  }
  if (there.length < wanted) return { next };
  const leads = there.filter((i) => able.leads.includes(i));
  if (leads.length === 0) return { next };
  const tried = new Set<string>();
  for (const crew of [favoured, ...leads.map((i) => crews[i])]) {
    if (crew === undefined || tried.has(crew)) continue;
    tried.add(crew);
    const lead = leads.find((i) => crews[i] === crew);
    const mine = there.filter((i) => crews[i] === crew);
    if (lead === undefined || mine.length < wanted) continue;
    return { people: [lead, ...mine.filter((i) => i !== lead)].slice(0, wanted) };
  }
  const lead = leads[0] as number;
  const [same, other] = [there.filter((i) => crews[i] === crews[lead]), there.filter((i) => crews[i] !== crews[lead])];
  return { people: [lead, ...[...same, ...other].filter((i) => i !== lead)].slice(0, wanted) };
};
