import type { StationKey } from '@rubbet/core/order';
import type { Station } from '@rubbet/core/steps';
import type { BoardFault, BoardOrder } from '../board/board.answers.ts';
import type { Delivery } from '../road/road.answers.ts';

/** A stretch of today's work: what it is, where, by whom, minutes after midnight. */
export interface TodayWork {
  readonly task: string;
  readonly orderId: number;
  readonly title: string;
  readonly name: string;
  readonly station: Station;
  readonly done: boolean;
  readonly from: number;
  readonly to: number;
  readonly place: string;
  readonly people: readonly string[];
}

/** What the day asks for. */
export interface TodayAnswer {
  readonly today: string;
  readonly workday: string;
  readonly work: readonly TodayWork[];
  readonly faults: readonly BoardFault[];
  readonly late: readonly BoardOrder[];
  /** Who is away that day. */
  readonly away: readonly { readonly name: string; readonly note: string }[];
  readonly deliveries: readonly Delivery[];
  /** What is to be ordered in the next days, for which order and by when; the most urgent first. A day behind today is over. */
  readonly toOrder: readonly {
    readonly orderId: number;
    readonly title: string;
    readonly items: readonly string[];
    readonly by: string;
  }[];
  readonly waiting: readonly {
    readonly id: number;
    readonly title: string;
    readonly station: StationKey;
    readonly wantedBy: string;
    readonly customer: string;
  }[];
  /** What the bench has told and nobody has answered, the oldest first; orders whose change waits for a decision. */
  readonly troubles: readonly {
    readonly orderId: number;
    readonly title: string;
    readonly what: string;
    readonly by: string;
  }[];
  readonly log: readonly {
    readonly at: string;
    readonly actor: string;
    readonly action: string;
    readonly entity: string;
    readonly entityId: string;
  }[];
}
