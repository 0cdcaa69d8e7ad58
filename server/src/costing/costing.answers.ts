/** What an order was planned to take, and what it took. Cents, minutes. */
export interface CostedOrder {
  readonly orderId: number;
  readonly title: string;
  readonly done: boolean;
  /** Wood and sheets as the plan of its work order has them, and as they were cut in batches; null where it was not cut in one. */
  readonly woodPlanned: number;
  readonly woodCut: number | null;
  /** Share of its sawn parts that batches have cut. */
  readonly cutShare: number;
  readonly minutesPlanned: number;
  /** Logged for steps that are done, and what those were planned to take. */
  readonly minutesLogged: number;
  readonly minutesOfDone: number;
  readonly hardwarePlanned: number;
  readonly spoiled: number;
}

/** Where the wood of an item went in a month: inches of sticks, square inches of sheets. */
export interface YieldLine {
  /** `2026-05`. */
  readonly month: string;
  readonly item: string;
  readonly name: string;
  readonly kind: 'stick' | 'sheet' | 'roll';
  readonly taken: number;
  readonly pieces: number;
  readonly returned: number;
  readonly kerf: number;
  readonly spoiled: number;
  readonly scrap: number;
}

/** Planned against actual, order by order, and where wood went, month by month. */
export interface CostingAnswer {
  readonly orders: readonly CostedOrder[];
  readonly yields: readonly YieldLine[];
}
