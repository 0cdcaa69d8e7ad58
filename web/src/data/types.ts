import type { Finding } from '@rubbet/core/check';
import type { StickPlan } from '@rubbet/core/cut';
import type { Flock } from '@rubbet/core/flock';
import type { Load, Trailer } from '@rubbet/core/haul';
import type { SellerRanges } from '@rubbet/core/formats';
import type { Spec } from '@rubbet/core/model';
import type { BusinessRules, OrderSummary } from '@rubbet/core/order';
import type { Price } from '@rubbet/core/price';
import type { Block, Calendar, Clash, Row } from '@rubbet/core/schedule';
import type { PadPlan, Survey } from '@rubbet/core/site';
import type { TakeoffLine } from '@rubbet/core/takeoff';

export interface Me {
  readonly id: number;
  readonly name: string;
  readonly role: 'office' | 'shop' | 'driver';
}

export interface OrderRow {
  readonly id: number;
  readonly title: string;
  readonly customer: string;
  readonly station: string;
  readonly quantity: number;
  readonly wantedBy: string;
  readonly family: string | null;
  readonly summary: OrderSummary | null;
}

export interface OrderList {
  readonly total: number;
  readonly rows: readonly OrderRow[];
  readonly stations: Readonly<Record<string, number>>;
}

export interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly miles: number;
}

export interface Order {
  readonly id: number;
  readonly version: number;
  readonly title: string;
  readonly quantity: number;
  readonly wantedBy: string;
  readonly station: string;
  readonly notes: string;
  readonly token: string;
  readonly customer: Customer;
  readonly flock: Flock | null;
  readonly model: { readonly id: number; readonly name: string; readonly spec: Spec } | null;
  readonly revision: {
    readonly id: number;
    readonly number: number;
    readonly spec: Spec;
    readonly note: string;
    readonly madeBy: string;
    readonly summary: OrderSummary;
  } | null;
  readonly revisions: readonly {
    readonly id: number;
    readonly number: number;
    readonly note: string;
    readonly madeBy: string;
    readonly createdAt: string;
  }[];
  readonly accepted: { readonly revisionId: number; readonly price: Price; readonly at: string } | null;
  readonly survey: { readonly version: number; readonly survey: Survey; readonly pads: PadPlan } | null;
  readonly workOrder: {
    readonly doneAt: string | null;
    readonly parts: number;
    readonly partsCut: number;
    readonly steps: number;
    readonly stepsDone: number;
  } | null;
  readonly scheduledAt: string | null;
  readonly delivery: {
    readonly version: number;
    readonly day: string;
    readonly arrives: string;
    readonly trailerId: string;
    readonly notes: string;
  } | null;
  readonly deliveredAt: string | null;
  readonly handedOverAt: string | null;
  readonly visited: readonly string[];
}

export interface PriceSheet {
  readonly price: Price;
  readonly lines: readonly TakeoffLine[];
  readonly summary: OrderSummary;
  readonly findings: readonly Finding[];
}

export interface WorkPart {
  readonly id: number;
  readonly part_id: string;
  readonly mark: string;
  readonly item: string;
  readonly length: number;
  readonly state: 'open' | 'cut' | 'spoiled';
  readonly measured: number | null;
  readonly version: number;
}

export interface WorkStep {
  readonly id: number;
  readonly step_id: string;
  readonly state: 'open' | 'done';
  readonly minutes: number | null;
  readonly done_by: string | null;
  readonly version: number;
}

export interface WorkOrder {
  readonly order: {
    readonly id: number;
    readonly title: string;
    readonly customer: string;
    readonly quantity: number;
    readonly wantedBy: string;
    readonly flock: Flock | null;
  };
  readonly spec: Spec;
  readonly sticks: StickPlan;
  readonly doneAt: string | null;
  readonly parts: readonly WorkPart[];
  readonly steps: readonly WorkStep[];
}

export interface BoardOperation {
  readonly id: string;
  readonly orderId: number;
  readonly title: string;
  readonly name: string;
  readonly station: string;
  readonly minutes: number;
  readonly dry: number;
  readonly needs: readonly string[];
  readonly done: boolean;
  readonly version: number;
  readonly due: string;
}

export interface BoardData {
  readonly today: string;
  readonly calendar: Calendar;
  readonly days: readonly {
    readonly day: string;
    readonly closed: boolean;
    readonly note: string;
    readonly weather: string;
  }[];
  readonly rows: readonly Row[];
  readonly operations: readonly BoardOperation[];
  readonly blocks: readonly Block[];
  readonly clashes: readonly Clash[];
  readonly moved?: readonly string[];
}

export interface Model {
  readonly id: number;
  readonly name: string;
  readonly family: string;
  readonly purpose: string;
  readonly version: number;
  readonly revision: number;
  readonly note: string;
  /** Least and most of what a seller may change. */
  readonly ranges: SellerRanges;
  readonly spec: Spec;
  readonly summary: OrderSummary;
}

export interface ModelDetail extends Model {
  readonly revisions: readonly {
    readonly number: number;
    readonly note: string;
    readonly madeBy: string;
    readonly madeAt: string;
    readonly spec: Spec;
    readonly summary: OrderSummary;
  }[];
}

export interface Delivery {
  readonly id: number;
  readonly day: string;
  readonly arrives: string;
  readonly trailerId: string;
  readonly title: string;
  readonly quantity: number;
  readonly deliveredAt: string | null;
  readonly customer: string;
  readonly address: string;
  readonly phone: string;
  readonly miles: number;
  readonly summary: OrderSummary | null;
}

export interface RoadData {
  readonly deliveries: readonly Delivery[];
  readonly trailers: readonly Trailer[];
}

export interface LoadOn {
  readonly trailer: Trailer;
  readonly load: Load;
}

export interface SettingsData {
  readonly version: number;
  readonly value: Readonly<Record<string, unknown>>;
  readonly rules: BusinessRules;
  readonly defaults: BusinessRules;
}

export interface TodayData {
  readonly today: string;
  readonly workday: string;
  readonly work: readonly {
    readonly task: string;
    readonly start: number;
    readonly end: number;
    readonly operation?: BoardOperation;
    readonly row?: Row;
  }[];
  readonly clashes: readonly Clash[];
  readonly deliveries: readonly Delivery[];
  readonly waiting: readonly {
    readonly id: number;
    readonly title: string;
    readonly station: string;
    readonly wantedBy: string;
    readonly customer: string;
  }[];
  readonly log: readonly {
    readonly at: string;
    readonly actor: string;
    readonly action: string;
    readonly entity: string;
    readonly entityId: string;
  }[];
}

export interface VisitData {
  readonly order: {
    readonly id: number;
    readonly title: string;
    readonly customer: string;
    readonly address: string;
    readonly wantedBy: string;
    readonly quantity: number;
    readonly spec: Spec | null;
  };
  readonly delivery: { readonly day: string; readonly arrives: string; readonly notes: string } | null;
  readonly deliveredAt: string | null;
  readonly size: {
    readonly long: string;
    readonly wide: string;
    readonly high: string;
    readonly weight: number;
  } | null;
  readonly pads: PadPlan | null;
  readonly items: readonly {
    readonly key: string;
    readonly title: string;
    readonly text: string;
    readonly done: boolean;
  }[];
}
