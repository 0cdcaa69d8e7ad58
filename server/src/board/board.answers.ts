import type { Fault, Hold, OrderShift, ProposalKind } from '@rubbet/core/crews';
import type { Station } from '@rubbet/core/steps';

/** A time of the plan: a day, and minutes after midnight. */
export interface Moment {
  readonly day: string;
  readonly minute: number;
}

/** A stretch of work on one day, minutes after midnight. */
export interface Stretch {
  readonly day: string;
  readonly from: number;
  readonly to: number;
}

/** A time at which a block is worked on: by whom, with which trailer, and when what was coated is dry. */
export interface Visit {
  readonly start: Moment;
  readonly end: Moment;
  readonly dry: Moment;
  readonly people: readonly string[];
  readonly trailer: string | null;
  /** The delivery from whose site it goes on, on one trip; or the work before it, set up alike. */
  readonly after?: string;
  /** The rack that it dries on. */
  readonly driesOn?: string;
  /** Minutes of its ways, there and back, where those are not the block's own: it shares its trip. */
  readonly ways?: readonly [number, number];
  /** A later visit that was put where it is by hand. */
  readonly pinned?: boolean;
  readonly pieces: readonly Stretch[];
}

/** What of all that a block is made of is not on the rack: what is on its way, and what nobody has ordered, by its names. */
export interface BlockSupply {
  /** The first day on which all of it can be there. */
  readonly day: string;
  readonly coming: readonly string[];
  readonly buy: readonly string[];
  /** The last day to order it on, for the day that the block is planned for. */
  readonly orderBy: string | null;
}

/** How far a block may begin before another is done: once a share of that is, while a share of its own still waits for all of it. */
export interface BoardOverlap {
  readonly need: string;
  readonly after: number;
  readonly last: number;
}

/** A block of work on the board, or one that has no place yet. */
export interface BoardOperation {
  readonly id: string;
  readonly orderId: number;
  readonly title: string;
  readonly name: string;
  readonly station: Station;
  /** Minutes for its usual crew. */
  readonly minutes: number;
  readonly dry: number;
  /** Minutes of the way there, and as many back, within each of its visits. */
  readonly way: number;
  readonly needs: readonly string[];
  /** Of its needs, those that need not be done before it begins: a share of that is, and a share of its own waits for all of it. */
  readonly overlaps: readonly BoardOverlap[];
  readonly done: boolean;
  readonly pinned: boolean;
  readonly version: number;
  readonly due: string;
  /** Bay or saw that it is done at. */
  readonly place: string | null;
  readonly visits: readonly Visit[];
  /** What of all that it is made of is not there yet. */
  readonly supply: BlockSupply | null;
  /** Minutes that it may end later without its order being late; none where it has no place. */
  readonly float: number | null;
  /** What keeps it from the days on which all that it needs is there: weather, or its site. */
  readonly held: Omit<Hold, 'operation'> | null;
}

/** A day of the calendar with what the forecast says. */
export interface BoardDay {
  readonly day: string;
  readonly works: boolean;
  readonly note: string;
  readonly closes: number;
  readonly overtime: number;
  readonly weather: string;
  readonly rain: number;
  readonly low: number;
  readonly wind: number;
  readonly rise: number;
  readonly set: number;
}

/** Somebody whose work is planned. `key` is what blocks name them by. */
export interface BoardPerson {
  readonly key: string;
  readonly name: string;
  readonly crew: string | null;
  readonly skills: readonly string[];
  /** From when to when they work, by weekday, Sunday first; none on a day off. */
  readonly hours: readonly (readonly [number, number] | null)[];
  /** Days on which somebody works with another crew, or with none. */
  readonly crewOn: readonly { readonly day: string; readonly crew: string | null }[];
  readonly away: readonly { readonly day: string; readonly from: number; readonly to: number; readonly note: string }[];
}

export interface BoardPlace {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
}

/** What is wrong with the plan, of which order and block. */
export interface BoardFault {
  readonly kind: Fault['kind'];
  readonly task: string;
  readonly orderId: number;
  readonly text: string;
}

/** An order of the board: whether the customer has prepared the site, and when it is done. */
export interface BoardOrder {
  readonly id: number;
  readonly title: string;
  readonly due: string;
  readonly ends: string | null;
  readonly late: number;
  /** How much the customer has confirmed of what the site is prepared with. */
  readonly confirmed: number;
  readonly delivery: string | null;
}

/** The crew board. */
export interface BoardAnswer {
  readonly today: string;
  readonly now: number;
  readonly opens: number;
  readonly closes: number;
  readonly days: readonly BoardDay[];
  readonly places: readonly BoardPlace[];
  /** Racks that panels dry on. */
  readonly racks: number;
  /** Places, machines and trailers that are not to be had: `ref` is a row of the board, or a trailer. */
  readonly out: readonly {
    readonly kind: 'row' | 'trailer';
    readonly ref: string;
    readonly day: string;
    readonly from: number;
    readonly to: number;
    readonly note: string;
  }[];
  readonly crews: readonly { readonly id: string; readonly name: string }[];
  readonly people: readonly BoardPerson[];
  readonly trailers: readonly { readonly id: string; readonly name: string }[];
  readonly orders: readonly BoardOrder[];
  readonly operations: readonly BoardOperation[];
  readonly faults: readonly BoardFault[];
}

/** Where a block stood before a move, and the version that it has after it: enough to put it back if nobody touched it since. */
export interface Placed {
  readonly task: string;
  readonly version: number;
  readonly place: string | null;
  readonly pinned: boolean;
  readonly visits: readonly Visit[];
}

/** Minutes planned and logged for the steps that were timed of what was done in a week. */
export interface LoggedWeek {
  readonly monday: string;
  readonly planned: number;
  readonly logged: number;
}

/** The board after a move: what moved, and where all of it stood before. */
export interface MoveAnswer extends BoardAnswer {
  readonly moved: readonly string[];
  readonly before: readonly Placed[];
}

/** A block as a proposal moves it. */
export interface ShiftAnswer {
  readonly task: string;
  readonly orderId: number;
  readonly name: string;
  readonly title: string;
  readonly before: { readonly day: string; readonly minute: number; readonly at: string } | null;
  readonly after: { readonly day: string; readonly minute: number; readonly at: string };
}

/** A plan that is proposed. Costs are cents. */
export interface ProposalAnswer {
  readonly kind: ProposalKind;
  readonly cost: {
    readonly late: number;
    readonly bays: number;
    readonly upset: number;
    readonly overtime: number;
    readonly mixed: number;
    readonly driving: number;
    readonly nights: number;
    readonly total: number;
  };
  readonly bound: number;
  readonly lateDays: number;
  readonly lateOrders: number;
  readonly overtimeMinutes: number;
  readonly shifts: readonly ShiftAnswer[];
  readonly orders: readonly (Omit<OrderShift, 'order'> & { readonly orderId: number; readonly title: string })[];
  readonly faults: readonly BoardFault[];
}

/** Plans that were proposed for what a morning brought. */
export interface ReplanAnswer {
  readonly id: number;
  readonly cause: string;
  /** How the plan stands if nothing is done about it. */
  readonly asItIs: { readonly lateDays: number; readonly lateOrders: number; readonly faults: readonly BoardFault[] };
  readonly plans: readonly ProposalAnswer[];
}

/** The days that an order can be promised for. */
export interface PromiseAnswer {
  readonly planned: string | null;
  readonly half: string | null;
  readonly likely: string | null;
  readonly sure: string | null;
  readonly samples: number;
  /** Steps whose logged times the spread comes from; 0 where the usual spread was taken. */
  readonly logged: number;
  readonly inTheWay: readonly {
    readonly what: string;
    readonly name: string;
    readonly days: number;
    readonly cents: number | null;
    /** Days on which people would stay longer. */
    readonly on: readonly string[];
  }[];
}
