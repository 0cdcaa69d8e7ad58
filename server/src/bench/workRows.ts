import { unitsOf } from '@rubbet/core/order';
import type { WorkPlan } from '@rubbet/core/order';
import { findDoneOperations, isBenchDone, isRead, lineUnits, rateOf } from '@rubbet/core/steps';
import type { LabourRates, RateKey, Step, StepLine, StepStates } from '@rubbet/core/steps';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { WorkPart } from './bench.answers.ts';

/** What a step's row says besides how far it has come. */
export interface StepColumns {
  /** As the plan has it, with its unit where there are several (`unitKey`). */
  readonly step_id: string;
  readonly seq: number;
  readonly title: string;
  readonly needs: string;
  readonly op: string;
  readonly station: string;
  /** A length that must be read before it is done, as JSON. */
  readonly gate: string | null;
  /** Minutes that it was planned to take, and the labour rate that they follow from. */
  readonly planned: number;
  readonly rate: RateKey | null;
  readonly rate_then: number | null;
}

/** Longest title that a row takes. */
const TITLE = 160;

/** The rows of a plan's steps, unit by unit: what each needs, where it is done and which block of the board it is part of. */
export const workRowsOf = (
  plan: Pick<WorkPlan, 'steps' | 'operations' | 'quantity' | 'batch' | 'build'>,
  rates: LabourRates,
): StepColumns[] => {
  const steps = new Map(plan.steps.map((s) => [s.id, s]));
  const mesh = new Set(plan.build.parts.filter((p) => p.role === 'mesh').map((p) => p.id));
  const units = unitsOf(plan);
  return lineUnits(plan.steps, units).map((line, seq) => {
    const step = steps.get(line.stepId) as Step;
    const { gate } = step;
    const rate = rateOf(
      step,
      step.parts.some((id) => mesh.has(id)),
    );
    return {
      step_id: line.id,
      seq,
      title: line.title.slice(0, TITLE),
      needs: JSON.stringify(line.needs),
      op: plan.operations.find((o) => o.steps.includes(line.stepId))?.key ?? '',
      station: line.station,
      gate: isRead(gate) ? JSON.stringify(gate) : null,
      planned: step.minutes * (line.unit === 0 && step.batch === 'by unit' ? units : 1),
      rate: rate ?? null,
      rate_then: rate ? rates[rate] : null,
    };
  });
};

/** The parts of a work order as they stand. */
export const readParts = async (db: Db, workId: number): Promise<WorkPart[]> =>
  (await db('work_parts')
    .where({ work_order_id: workId })
    .orderBy('id')
    .select('id', 'part_id as partId', 'mark', 'item', 'length', 'state', 'measured', 'version')) as WorkPart[];

/** The steps of a work order as its rows have them. */
export interface StepRows {
  readonly lines: readonly StepLine[];
  readonly states: StepStates;
  readonly operations: readonly { readonly key: string; readonly steps: readonly string[] }[];
}

export const readStepRows = async (db: Db, workId: number): Promise<StepRows> => {
  const rows = (await db('work_steps')
    .where({ work_order_id: workId })
    .orderBy('seq')
    .select('step_id', 'title', 'needs', 'op', 'station', 'state')) as (Omit<
    StepColumns,
    'needs' | 'station' | 'gate' | 'planned' | 'rate' | 'rate_then'
  > & {
    needs: unknown;
    station: StepLine['station'];
    state: 'open' | 'done';
  })[];
  const keys = [...new Set(rows.map((r) => r.op).filter((op) => op !== ''))];
  return {
    lines: rows.map((r) => ({
      id: r.step_id,
      title: r.title,
      needs: readJson<string[]>(r.needs) ?? [],
      station: r.station,
    })),
    states: new Map(rows.map((r) => [r.step_id, r.state])),
    operations: keys.map((key) => ({ key, steps: rows.filter((r) => r.op === key).map((r) => r.step_id) })),
  };
};

/** What follows from the steps that are done: whether all of the bench is, and which blocks of the board are. */
export const judgeSteps = ({ lines, states, operations }: StepRows) => {
  const ended = findDoneOperations(operations, states);
  return {
    done: isBenchDone(lines, states),
    ended,
    open: operations.map((o) => o.key).filter((k) => !ended.includes(k)),
  };
};
