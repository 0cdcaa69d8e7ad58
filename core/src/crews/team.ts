import type { Free } from './free.ts';
import type { Operation, Shop } from './types.ts';

/** Those who can do an operation, and those who can help with it, who can do least else first. */
export interface Able {
  readonly leads: readonly number[];
  readonly all: readonly number[];
}

/** Who of a shop can do an operation. */
export const findAble = (shop: Shop, known: Map<Operation, Able>, op: Operation): Able => {
  const had = known.get(op);
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
  known.set(op, able);
  return able;
};

/** The same people in a turn by chance. */
export const shuffled = (able: Able, random: () => number): Able => {
  const mix = (list: readonly number[]): number[] =>
    list
      .map((i) => [random(), i] as const)
      .sort((a, b) => a[0] - b[0])
      .map(([, i]) => i);
  return { leads: mix(able.leads), all: mix(able.all) };
};

/** People who are chosen, or the slot at which somebody more is free. */
export type Team = { readonly people: readonly number[] } | { readonly next: number };

const THERE: number[] = [];

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
  // Most spots that are looked at have too few: that is found out without anything being made for it.
  const there = THERE;
  there.length = 0;
  let next = Infinity;
  for (const i of able.all) {
    const who = free[i] as Free;
    if (who.has(from, to)) there.push(i);
    else next = Math.min(next, who.after(from));
  }
  if (there.length < wanted) return { next };
  const first = able.leads.find((i) => there.includes(i));
  if (first === undefined) return { next };
  if (wanted === 1 && favoured === undefined) return { people: [first] };
  const leads = able.leads.filter((i) => there.includes(i));
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
