import { addDays } from '../days/index.ts';
import type { Day } from '../days/index.ts';
import { DAY } from './clock.ts';
import { standsAlike } from './move.ts';
import { AS_TOLD, planCrews } from './search.ts';
import type { SearchFor } from './search.ts';
import type { CrewPlan, Fixed, Overtime, Planned, Shop } from './types.ts';

/** What a plan is made for. */
export type ProposalKind = 'least upset' | 'fewest late' | 'no overtime';

/** An operation that stands otherwise than was told. */
export interface Shift {
  readonly operation: string;
  readonly order: string;
  readonly before: Fixed | null;
  readonly after: Planned;
}

/** When an order is done as it was told, and as it is proposed: last days of work, and days late. */
export interface OrderShift {
  readonly order: string;
  readonly before: { readonly day: Day; readonly late: number } | null;
  readonly after: { readonly day: Day; readonly late: number } | null;
}

/** A plan that is proposed, and what would be otherwise by it. Costs are those of the shop's own prices. */
export interface Proposal {
  readonly kind: ProposalKind;
  readonly plan: CrewPlan;
  readonly shifts: readonly Shift[];
  readonly orders: readonly OrderShift[];
  /** Days late of all orders together, and how many orders are late. */
  readonly lateDays: number;
  readonly lateOrders: number;
  /** Minutes that people work over the shop's hours. */
  readonly overtimeMinutes: number;
}

/** How much more dearly the plan that upsets least counts an operation that is moved. */
const CALM = 20;

const endsOf = (plan: readonly { order: string; end: number }[]): Map<string, number> => {
  const ends = new Map<string, number>();
  for (const p of plan) ends.set(p.order, Math.max(ends.get(p.order) ?? 0, p.end));
  return ends;
};

/** Minutes that the people of a plan work over the shop's hours. */
const minutesOver = (shop: Shop, plan: readonly Planned[]): number => {
  const closes = (day: Day): number => Math.min(shop.hours[1], shop.early?.find((e) => e.day === day)?.to ?? DAY);
  return plan.reduce(
    (sum, p) =>
      sum +
      p.people.length *
        p.pieces.reduce((n, [from, to]) => {
          const end = closes(addDays(shop.first, Math.floor(from / DAY))) + Math.floor(from / DAY) * DAY;
          return n + Math.max(0, to - Math.max(from, end));
        }, 0),
    0,
  );
};

/** What a plan makes otherwise than was told. */
export const tellShifts = (
  shop: Shop,
  plan: CrewPlan,
): { readonly shifts: readonly Shift[]; readonly orders: readonly OrderShift[] } => {
  const was = new Map(shop.published.map((p) => [p.operation, p]));
  const told = planCrewsAsItWas(shop);
  const dayOf = (minute: number): Day => addDays(shop.first, Math.floor(Math.max(0, minute - 1) / DAY));
  const shifts = plan.plan
    .filter((p) => !standsAlike(p, was.get(p.operation)))
    .map((p) => ({ operation: p.operation, order: p.order, before: was.get(p.operation) ?? null, after: p }));
  const [before, after] = [endsOf(told), endsOf(plan.plan)];
  const due = new Map(shop.orders.map((o) => [o.id, o.due]));
  const at = (ends: ReadonlyMap<string, number>, id: string) => {
    const end = ends.get(id);
    if (end === undefined) return null;
    const day = dayOf(end);
    const late = Math.max(0, Math.round((Date.parse(day) - Date.parse(due.get(id) ?? day)) / (DAY * 60_000)));
    return { day, late };
  };
  const orders = shop.orders
    .map((o) => ({ order: o.id, before: at(before, o.id), after: at(after, o.id) }))
    .filter((o) => o.before?.day !== o.after?.day);
  return { shifts, orders };
};

/** Ends of what was told, by the operations' own lengths; whether it can still be done so is not asked. */
const planCrewsAsItWas = (shop: Shop): { order: string; end: number }[] => {
  const ops = new Map(shop.operations.map((o) => [o.id, o]));
  const pins = shop.published.filter((p) => ops.has(p.operation));
  return planCrews({ ...shop, pins }, { rounds: 0, rule: AS_TOLD, bound: false }).plan.map(({ order, end }) => ({
    order,
    end,
  }));
};

/** On how many of the days people stay longer, tried one after another: no more than it takes. */
const LONGER = [1, 2, 5];

/**
 * Plans that mend what a morning brought, each made for something else: what upsets least, what does without overtime whatever it
 * upsets, and, where that leaves fewer days late, what people would stay longer for. Plans that are alike are proposed once. Nothing is
 * moved by it.
 * @param shop as it is now, with what was told as `published`; days on which overtime is agreed on already stay
 * @param overtime on which days people would stay longer
 */
export const proposePlans = (
  shop: Shop,
  search: SearchFor,
  overtime?: Overtime,
  say: (part: number) => void = () => undefined,
): Proposal[] => {
  const price = shop.prices.upset;
  const free: Shop = { ...shop, prices: { ...shop.prices, upset: 0 } };
  const days = overtime && overtime.minutes > 0 ? overtime.days : [];
  const longer = LONGER.filter((n, i) => n <= days.length || i === 0).slice(0, days.length === 0 ? 0 : LONGER.length);
  const steps = 2 + longer.length;
  const less: SearchFor =
    'seconds' in search ? { seconds: search.seconds / 2 } : { rounds: Math.ceil(search.rounds / 2) };
  const stands = (plan: CrewPlan): string =>
    plan.plan.map((p) => [p.operation, p.start, p.place, p.people.join()].join()).join(';');
  /** What people have to put up with: days late, days moved, hours over. What is saved besides is no reason to move anybody. */
  const borne = ({ cost }: CrewPlan): number => cost.late + cost.upset + cost.overtime;
  const propose = (kind: ProposalKind, asked: Shop, how: SearchFor, step: number): Proposal => {
    const looked = planCrews(asked, how, (part) => say((step + part) / steps));
    const kept =
      kind === 'least upset'
        ? { ...planCrews(asked, { rounds: 0, rule: AS_TOLD, bound: false }), bound: looked.bound }
        : looked;
    const found = borne(kept) <= borne(looked) && kept.faults.length <= looked.faults.length ? kept : looked;
    // Told at the shop's own prices, whatever it was looked for with.
    const upset = price * countMoved(shop, found.plan);
    const cost = { ...found.cost, upset, total: found.cost.total - found.cost.upset + upset };
    const plan = { ...found, cost, bound: Math.min(found.bound, cost.total) };
    return {
      kind,
      plan,
      ...tellShifts(shop, plan),
      lateDays: found.late.reduce((n, l) => n + l.days, 0),
      lateOrders: found.late.length,
      overtimeMinutes: minutesOver(shop, found.plan),
    };
  };
  const calm: Shop = { ...shop, prices: { ...shop.prices, upset: Math.max(100, price) * CALM } };
  const out = [propose('least upset', calm, search, 0)];
  const none = propose('no overtime', free, search, 1);
  if (!out.some((o) => stands(o.plan) === stands(none.plan))) out.push(none);
  const weightOf = new Map(shop.orders.map((o) => [o.id, o.weight]));
  const late = (p: Proposal): number => p.plan.late.reduce((n, l) => n + l.days * (weightOf.get(l.order) ?? 0), 0);
  const least = Math.min(...out.map(late));
  const tried = longer.map((n, i) =>
    propose(
      'fewest late',
      { ...free, overtime: { minutes: overtime?.minutes ?? 0, days: days.slice(0, n) } },
      less,
      2 + i,
    ),
  );
  // Nobody stays longer for nothing.
  const better = tried
    .filter((p) => late(p) < least)
    .sort((a, b) => late(a) - late(b) || a.overtimeMinutes - b.overtimeMinutes);
  if (better[0]) out.push(better[0]);
  return out;
};

/** Operations that stand on another day than was told. */
const countMoved = (shop: Shop, plan: readonly Planned[]): number => {
  const told = new Map(shop.published.map((p) => [p.operation, Math.floor(p.start / DAY)]));
  return plan.filter((p) => told.has(p.operation) && told.get(p.operation) !== Math.floor(p.start / DAY)).length;
};
