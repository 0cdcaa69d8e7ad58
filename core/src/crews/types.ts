import type { Day } from '../days/index.ts';

/** Somebody of the shop. Minutes are counted from midnight. */
export interface Person {
  readonly id: string;
  readonly skills: readonly string[];
  /** From when to when, by weekday (0 is Sunday), where that is not the shop's own. None for a day off. */
  readonly hours?: Readonly<Record<number, readonly [number, number] | null>>;
  readonly away?: readonly { readonly day: Day; readonly from?: number; readonly to?: number }[];
  /** Whom somebody works with: those of one crew are kept together where that costs nothing. */
  readonly crew?: string;
  /** Days on which that is another; none for nobody. */
  readonly crewOn?: Readonly<Record<Day, string | null>>;
}

/** A place, machine or trailer that is not to be had, all of a day or between two minutes of it. */
export interface Out {
  readonly what: string;
  readonly day: Day;
  readonly from?: number;
  readonly to?: number;
}

/** Where work is done. `holds`: longest, widest, highest unit, inches. */
export interface Place {
  readonly id: string;
  readonly kind: string;
  readonly holds?: readonly [number, number, number];
}

/** A day as it is forecast: chance of rain 0 to 1, lowest °F while work is done, wind in mph, daylight. */
export interface DayWeather {
  readonly day: Day;
  readonly rain: number;
  readonly low: number;
  readonly wind: number;
  readonly rise?: number;
  readonly set?: number;
}

/** What weather work can take: no higher chance of rain, no colder, no windier. */
export interface WeatherLimits {
  readonly rain?: number;
  readonly low?: number;
  readonly wind?: number;
}

/** An order: when it is due, what a day late costs (cents), its size (inches), and when its site can be worked on. */
export interface ShopOrder {
  readonly id: string;
  readonly due: Day;
  readonly weight: number;
  readonly size?: readonly [number, number, number];
  /** First day that its site is ready. */
  readonly ready?: Day;
  /** When neighbours and customer let work be done there, minutes. */
  readonly window?: readonly [number, number];
  /** Bay that its unit stands in already, and stays in until the last of its work there is done and dry. */
  readonly bay?: string;
}

/** One piece of work. `minutes` is with the best number of people; with fewer it takes longer in proportion. */
export interface Operation {
  readonly id: string;
  readonly order: string;
  /** Kind of place; `site` and `road` are anywhere. */
  readonly place: string;
  readonly minutes: number;
  readonly people: readonly [number, number];
  readonly skill: string;
  /** Skills with any of which others help; one at least has the `skill`. Left out: all of them have it. */
  readonly helpers?: readonly string[];
  /** Minutes there and back again, as long for any number of people; `minutes` is what lies between. */
  readonly travel?: readonly [number, number];
  /** Minutes that it dries, nights counted, before what needs it starts. */
  readonly dry: number;
  /** Below how many °F it dries how many times as long; left out, as long on every day. */
  readonly slow?: { readonly below: number; readonly times: number };
  /** Kind of place that it is put down on to dry, and takes until it has; left out, it dries where it is. */
  readonly dryOn?: string;
  /** Those of its minutes that are saved where the same people go straight on to it, on one day, from work that is set up alike. */
  readonly setup?: { readonly like: string; readonly minutes: number };
  /** Whoever goes there stays the night until it is done, rather than come home; over no day off. */
  readonly stays?: boolean;
  /** The delivery of its order, from which the same people stay on there: neither goes home between. */
  readonly onward?: string;
  readonly needs: readonly string[];
  /**
   * Of its needs, those in whose time it may begin: once a share of that work is done, `after`, while a share of its own, `last`, still
   * waits for all of it.
   */
  readonly overlaps?: Readonly<Record<string, { readonly after: number; readonly last: number }>>;
  /** Whether it may go on the next day. */
  readonly splits: boolean;
  readonly limits?: WeatherLimits;
  /** Day before which its material is not there. */
  readonly from?: Day;
  readonly trailer?: boolean;
  /** Share of each trailer that its load takes, by the trailer's name: it goes on no other. Left out: all of any. */
  readonly loads?: Readonly<Record<string, number>>;
}

/** Sites that lie on one round: minutes from the one to the other. One trailer may bring to both what it holds together. */
export interface Hop {
  readonly between: readonly [string, string];
  readonly minutes: number;
}

/** Where an operation stands and stays, or stood in the plan that people have been told. */
export interface Fixed {
  readonly operation: string;
  readonly start: number;
  readonly place?: string;
  readonly people?: readonly string[];
  readonly trailer?: string;
  /** The delivery from whose site this one goes on, or the work from which it goes straight on, set up alike. */
  readonly after?: string;
}

/**
 * What it costs, cents: a day that a unit stands in a bay, an operation that is moved to another day than was told, an hour that
 * somebody works over the shop's hours, an operation that people of different crews do together, an hour that somebody is on the way
 * with a trailer, and a night that somebody is away for. Nothing where left out.
 */
export interface ShopPrices {
  readonly bayDay: number;
  readonly upset: number;
  readonly overtime?: number;
  readonly mixed?: number;
  readonly driving?: number;
  readonly night?: number;
  /** A minute until the last of everything is done, nights counted. */
  readonly span?: number;
}

/** Days on which work goes on so many minutes over the shop's hours. */
export interface Overtime {
  readonly minutes: number;
  readonly days: readonly Day[];
}

/** A shop with its work. Times are minutes from the midnight before `first`. */
export interface Shop {
  readonly first: Day;
  readonly days: number;
  readonly workdays: readonly number[];
  readonly closed: readonly Day[];
  readonly hours: readonly [number, number];
  readonly overtime?: Overtime;
  /** Days on which the shop closes before its hours are over, and when. */
  readonly early?: readonly { readonly day: Day; readonly to: number }[];
  /** Nothing is planned before it. */
  readonly now: number;
  readonly people: readonly Person[];
  readonly places: readonly Place[];
  readonly trailers: readonly string[];
  readonly weather: readonly DayWeather[];
  readonly orders: readonly ShopOrder[];
  readonly operations: readonly Operation[];
  readonly hops?: readonly Hop[];
  readonly out?: readonly Out[];
  readonly pins: readonly Fixed[];
  readonly published: readonly Fixed[];
  readonly prices: ShopPrices;
}

/** An operation in the plan. `pieces`: from when to when it is worked on, more than one where it goes on another day. */
export interface Planned {
  readonly operation: string;
  readonly order: string;
  readonly start: number;
  readonly end: number;
  /** When what it coats is dry. */
  readonly dry: number;
  readonly place: string | null;
  readonly people: readonly string[];
  readonly trailer: string | null;
  /**
   * The delivery from whose site it goes on: it is loaded with that one, and begins where that one would have gone home. Or that of its
   * own order, after which its people stay there. Or the work from which they go straight on to it, set up alike.
   */
  readonly after?: string;
  /** Where what it coats dries. */
  readonly driesOn?: string;
  readonly pieces: readonly (readonly [number, number])[];
}

/** What a plan comes to, cents. */
export interface PlanCost {
  readonly late: number;
  readonly bays: number;
  readonly upset: number;
  readonly overtime: number;
  readonly mixed: number;
  readonly driving: number;
  readonly nights: number;
  readonly span: number;
  readonly total: number;
}

/** Something that is wrong with a plan, and how it is mended. */
export interface Fault {
  readonly kind:
    | 'unplanned'
    | 'past'
    | 'order'
    | 'person'
    | 'place'
    | 'trailer'
    | 'skill'
    | 'hours'
    | 'weather'
    | 'site'
    | 'room'
    | 'bay'
    | 'late';
  readonly operation: string;
  readonly text: string;
}

export interface CrewPlan {
  readonly plan: readonly Planned[];
  readonly cost: PlanCost;
  /** What no plan costs less than. */
  readonly bound: number;
  readonly late: readonly { readonly order: string; readonly days: number }[];
  readonly faults: readonly Fault[];
}
