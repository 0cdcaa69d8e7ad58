import type { MeshPlan, SheetPlan, StickPlan } from '@rubbet/core/cut';
import type { Flock } from '@rubbet/core/flock';
import type { ChangedStep, Fate } from '@rubbet/core/order';
import type { Step, TroubleCause } from '@rubbet/core/steps';
import type { Build } from '@rubbet/core/unit';

/** A part at the bench. Lengths in inches; `measured` as it was found in place. */
export interface WorkPart {
  readonly id: number;
  /** As the plan has it, with its unit where there are several: `roof/rafter-1@2`. */
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
  /** As the plan has it, with its unit where it is done unit by unit: `front-wall/frame@2`. */
  readonly stepId: string;
  readonly state: 'open' | 'done';
  /** The block of the board that it is part of, and the minutes that it was planned to take; null where it was made before. */
  readonly op: string;
  readonly planned: number | null;
  readonly minutes: number | null;
  readonly doneBy: string | null;
  /** What was read at its check, inches; outside what that allows it is open, with what was noted. */
  readonly found: readonly number[] | null;
  readonly note: string;
  readonly version: number;
}

/** Something that was wrong at the bench; open until somebody says what is to be done. */
export interface Trouble {
  readonly id: number;
  readonly stepId: string;
  readonly cause: TroubleCause;
  readonly mark: string;
  readonly note: string;
  readonly by: string;
  readonly at: string;
  readonly solvedAt: string | null;
  readonly solvedBy: string | null;
  readonly answer: string;
  readonly version: number;
}

/** A photo of a step; its picture is under `photos/:id`. */
export interface WorkPhoto {
  readonly id: number;
  readonly stepId: string;
  readonly by: string;
  readonly at: string;
}

/** Pieces of one mark with one fate, counted. */
export interface ChangeLine {
  readonly fate: Fate;
  readonly mark: string;
  readonly name: string;
  readonly item: string;
  /** Inches. */
  readonly length: number;
  readonly count: number;
  /** The mark and length that they were cut as. */
  readonly from?: { readonly mark: string; readonly length: number };
}

/** A change of the spec while it is built: what of that still fits, what is done again, and what it costs. */
export interface ChangeOrder {
  readonly id: number;
  readonly state: 'proposed' | 'accepted' | 'refused';
  readonly note: string;
  readonly by: string;
  readonly at: string;
  readonly decidedBy: string | null;
  readonly decidedAt: string | null;
  readonly why: string;
  readonly version: number;
  /** What the customer pays more (or less). Cents, by what it is made of where it was proposed. */
  readonly price: {
    readonly amount: number;
    readonly difference: number;
    readonly labour: number;
    readonly scrap: number;
  };
  readonly unchanged: number;
  readonly lines: readonly ChangeLine[];
  readonly again: readonly ChangedStep[];
  readonly gone: readonly ChangedStep[];
  readonly minutes: { readonly before: number; readonly after: number; readonly lost: number };
  /** Findings that stop it: it cannot be accepted then. */
  readonly stops: readonly string[];
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
  readonly troubles: readonly Trouble[];
  readonly photos: readonly WorkPhoto[];
}

/** What a work order was made from and keeps: parts and steps as they were frozen. */
export interface WorkPlanAnswer {
  readonly revision: number;
  /** Units that are followed one by one. */
  readonly units: number;
  readonly build: Build;
  readonly steps: readonly Step[];
  /** For all units together. */
  readonly sheets: SheetPlan;
  readonly mesh: MeshPlan;
}
