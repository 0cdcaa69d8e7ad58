import type { StationKey } from '@rubbet/core/order';
import type { Block, Clash, Row } from '@rubbet/core/schedule';
import type { BoardOperation } from '../board/board.answers.ts';
import type { Delivery } from '../road/road.answers.ts';

/** A block of today's work with what it is and where. */
export interface TodayWork extends Omit<Block, 'row'> {
  readonly operation?: BoardOperation;
  readonly row?: Row;
}

/** What the day asks for. */
export interface TodayAnswer {
  readonly today: string;
  readonly workday: string;
  readonly work: readonly TodayWork[];
  readonly clashes: readonly Clash[];
  readonly deliveries: readonly Delivery[];
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
