import type { Day } from '../days/index.ts';
import type { Clock } from './clock.ts';
import type { Free } from './free.ts';
import type { Operation, Person, Shop } from './types.ts';

/** Whom somebody works with on a day. */
export const crewOn = (p: Person | undefined, day: Day): string | undefined => {
  const other = p?.crewOn?.[day];
  return other === undefined ? p?.crew : (other ?? undefined);
};

/** Crews of a shop's people by the slot. */
export const crewsByDay = (shop: Shop, clock: Clock): ((slot: number) => readonly (string | undefined)[]) => {
  const usual = shop.people.map((p) => p.crew);
  const changed = new Set(shop.people.flatMap((p) => Object.keys(p.crewOn ?? {})));
  if (changed.size === 0) return () => usual;
  const byDay = clock.days.map((day) => (changed.has(day) ? shop.people.map((p) => crewOn(p, day)) : usual));
  return (slot) => byDay[clock.dayOf(slot)] ?? usual;
};

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

/** People who are chosen, or the slot before which there are not enough of them. */
export type Team = { readonly people: readonly number[] } | { readonly next: number };

// Most spots that are looked at have too few: that is found out without anything being made for it.
const THERE: number[] = [];
const IS: boolean[] = [];
const SOONEST: number[] = [];

/** The slot before which so many people, one who leads among them, are not all free for as long. */
const soonestOf = (
  able: Able,
  free: readonly Free[],
  [from, to]: readonly [number, number],
  wanted: number,
): number => {
  let k = 0;
  for (const i of able.all) {
    const cap = k < wanted ? Infinity : (SOONEST[wanted - 1] as number);
    const at = IS[i] === true ? from : (free[i] as Free).run(from + 1, to - from, cap);
    let j = k++;
    for (; j > 0 && (SOONEST[j - 1] as number) > at; j--) SOONEST[j] = SOONEST[j - 1] as number;
    SOONEST[j] = at;
  }
  let led = Infinity;
  for (const i of able.leads)
    led = Math.min(led, IS[i] === true ? from : (free[i] as Free).run(from + 1, to - from, led));
  return Math.max(from + 1, led, SOONEST[wanted - 1] as number);
};

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
  let count = 0;
  for (const i of able.all) {
    const is = (free[i] as Free).has(from, to);
    IS[i] = is;
    if (is) THERE[count++] = i;
  }
  let first: number | undefined;
  for (const i of able.leads) {
    if (IS[i] !== true) continue;
    first = i;
    break;
  }
  if (count < wanted || first === undefined) return { next: soonestOf(able, free, span, wanted) };
  if (wanted === 1 && favoured === undefined) return { people: [first] };
  const there = THERE.slice(0, count);
  const leads = able.leads.filter((i) => IS[i]);
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
