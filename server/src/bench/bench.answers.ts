import type { SheetPlan, StickPlan } from '@rubbet/core/cut';
import type { Flock } from '@rubbet/core/flock';
import type { Step } from '@rubbet/core/steps';
import type { Build } from '@rubbet/core/unit';

/** A part at the bench. Lengths in inches; `measured` as it was found in place. */
export interface WorkPart {
  readonly id: number;
  readonly partId: string;
  readonly mark: string;
  readonly item: string;
  readonly length: number;
  readonly state: 'open' | 'cut' | 'spoiled';
  readonly measured: number | null;
  readonly version: number;
}

/** A step at the bench, with the minutes logged for it in all. */
export interface WorkStep {
  readonly id: number;
  readonly stepId: string;
  readonly state: 'open' | 'done';
  readonly minutes: number | null;
  readonly doneBy: string | null;
  /** What was read at its check, inches; outside what that allows it is open, with what was noted. */
  readonly found: readonly number[] | null;
  readonly note: string;
  readonly version: number;
}

/** A work order as it stands now. What it was made from is its plan. */
export interface WorkOrder {
  readonly order: {
    readonly id: number;
    readonly title: string;
    readonly customer: string;
    readonly quantity: number;
    readonly wantedBy: string;
    readonly flock: Flock | null;
    readonly held: string | null;
  };
  /** Names the plan: as long as it is the same, so is the plan. */
  readonly planId: number;
  readonly sticks: StickPlan;
  readonly doneAt: string | null;
  readonly parts: readonly WorkPart[];
  readonly steps: readonly WorkStep[];
}

/** What a work order was made from and keeps: parts and steps as they were frozen. */
export interface WorkPlanAnswer {
  readonly revision: number;
  readonly build: Build;
  readonly steps: readonly Step[];
  readonly sheets: SheetPlan;
}
