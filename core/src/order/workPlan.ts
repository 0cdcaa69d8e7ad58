import { planSticks } from '../cut/index.ts';
import { planBatch, stickDemandOf } from '../takeoff/index.ts';
import type { CutPlans } from '../takeoff/index.ts';
import type { Spec } from '../model/index.ts';
import { PLACE_OF } from '../steps/index.ts';
import type { Method, Operation, Step } from '../steps/index.ts';
import { HARDWARE } from '../stock/index.ts';
import type { Fitted, Joint } from '../unit/index.ts';
import type { FoundationPlan } from '../site/index.ts';
import type { OrderComputation } from './computeOrder.ts';
import type { SiteBrief } from './siteBrief.ts';

/** Number of the shape below; raised with every change, with a step in MIGRATIONS that brings older plans up. */
export const WORK_PLAN_SCHEMA = 4;

/**
 * What a work order was made from and keeps: its spec as it was frozen, every part, every step, the blocks of work and what
 * to buy. Nothing of it is computed again, so that a newer Rubbet never changes what is half cut.
 */
export interface WorkPlan extends Pick<OrderComputation, 'build' | 'steps' | 'operations' | 'takeoff' | 'summary'> {
  /** What it stands on, and what the customer is told; plans kept from before have neither. */
  readonly foundation?: FoundationPlan;
  readonly brief?: SiteBrief;
  readonly schema: number;
  readonly revision: number;
  readonly quantity: number;
  /** What is cut for all units together, where there are several: every piece and face with its unit in its id. */
  readonly batch?: CutPlans;
  /** How it is made and reaches its place. */
  readonly method: Method;
  readonly spec: Spec;
}

/** Raised when a kept plan cannot be read. */
export class WorkPlanError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'WorkPlanError';
  }
}

/** The plan of a work order, from the computation of its frozen revision. */
export const makeWorkPlan = (
  computed: OrderComputation,
  of: { readonly spec: Spec; readonly revision: number; readonly quantity: number },
): WorkPlan => ({
  schema: WORK_PLAN_SCHEMA,
  revision: of.revision,
  quantity: of.quantity,
  ...(of.quantity > 1 ? { batch: planBatch(computed.build.parts, of.quantity) } : {}),
  method: computed.method,
  spec: of.spec,
  build: computed.build,
  steps: computed.steps,
  operations: computed.operations,
  takeoff: computed.takeoff,
  summary: computed.summary,
  foundation: computed.foundation,
  brief: computed.brief,
});

/** Units that are followed one by one at the bench; orders from before have one, however many are made. */
export const unitsOf = (plan: Partial<Pick<WorkPlan, 'quantity' | 'batch'>>): number =>
  plan.batch ? (plan.quantity ?? 1) : 1;

/** What the saw cuts for a work order: all units together. */
export const cutPlansOf = (plan: Pick<WorkPlan, 'takeoff' | 'batch'>): CutPlans => plan.batch ?? plan.takeoff;

/**
 * The plan of a work order that was made before plans were kept: computed now, but with just the parts and steps that stand
 * on it. A step that is not computed any more keeps its place with its name; a part that is not, only its line at the bench.
 */
export const adoptWorkPlan = (
  plan: WorkPlan,
  kept: { readonly steps: readonly string[]; readonly parts: readonly string[] },
): WorkPlan => {
  const computed = new Map(plan.steps.map((s) => [s.id, s]));
  const parts = new Set(kept.parts);
  const known = new Set(kept.steps);
  const bare = (id: string, before: string | undefined): Step => ({
    id,
    verb: 'fit',
    title: id.replace(/[/-]/g, ' '),
    text: [],
    station: 'bay',
    place: 'shop',
    people: 1,
    parts: [],
    tools: [],
    joints: [],
    fasteners: [],
    hardware: [],
    cautions: [],
    minutes: 0,
    needs: before === undefined ? [] : [before],
    view: 'three',
  });
  const steps = kept.steps.map((id, i) => computed.get(id) ?? bare(id, kept.steps[i - 1]));
  const own = plan.build.parts.filter((p) => parts.has(p.id));
  return {
    ...plan,
    build: { ...plan.build, parts: own },
    // Sticks for just those parts; where some are framed otherwise by now, those that were planned when it was made.
    takeoff: own.length === parts.size ? { ...plan.takeoff, sticks: planSticks(stickDemandOf(own)) } : plan.takeoff,
    steps: steps.map((s) => ({ ...s, needs: s.needs.filter((n) => known.has(n)) })),
    operations: plan.operations.map((o) => ({ ...o, steps: o.steps.filter((id) => known.has(id)) })),
  };
};

/** Length of a fastener by its item; 0 of one that is not kept in stock any more. */
const lengthOf = (item: string): number => {
  const found = HARDWARE.find((h) => h.key === item);
  return found?.length ?? 0;
};

/** Steps from one schema to the next: `MIGRATIONS[1]` brings a plan from 1 to 2. */
const MIGRATIONS: Readonly<Record<number, (plan: Record<string, unknown>) => Record<string, unknown>>> = {
  // Before joints were kept, a build counted its hardware and a step its fasteners without their length.
  1: (plan) => {
    const build = plan.build as { readonly hardware?: readonly Fitted[] } & Record<string, unknown>;
    const { hardware = [], ...rest } = build;
    const joints = hardware.map((h, i): Joint => ({
      id: `j${i + 1}`,
      kind: 'hung',
      parts: [],
      fasteners: [],
      hardware: [h],
      asked: true,
    }));
    const steps = (plan.steps as readonly Step[]).map((s) => ({
      ...s,
      joints: [],
      hardware: [],
      fasteners: s.fasteners.map((f) => ({ item: f.item, length: lengthOf(f.item), count: f.count })),
    }));
    const takeoff = plan.takeoff as { readonly mesh?: object } & Record<string, unknown>;
    const mesh = { layout: [], ...(takeoff.mesh ?? {}) };
    return { ...plan, build: { ...rest, joints }, steps, takeoff: { ...takeoff, mesh } };
  },
  // Several units were one at the bench, and stay so.
  3: (plan) => plan,
  // Before methods, everything was built whole: a step's place follows from its station.
  2: (plan) => ({
    ...plan,
    method: 'whole',
    steps: (plan.steps as readonly Step[]).map((s) => ({ ...s, place: PLACE_OF[s.station], people: 1 })),
    operations: (plan.operations as readonly Operation[]).map((o) => ({
      ...o,
      place: PLACE_OF[o.station],
      least: 1,
      most: o.crew,
      stops: [],
      spans: true,
    })),
  }),
};

/**
 * Reads a kept plan, bringing an older one up step by step. The parts and steps are taken as they are.
 * @throws WorkPlanError when it is no plan, or of a newer Rubbet than this one
 */
export const readWorkPlan = (json: unknown): WorkPlan => {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new WorkPlanError('A kept plan must be an object.');
  let plan = json as Record<string, unknown>;
  const schema = plan.schema;
  if (typeof schema !== 'number' || !Number.isInteger(schema) || schema < 1)
    throw new WorkPlanError(`The kept plan's schema is ${JSON.stringify(schema) ?? 'missing'}; it must be a number.`);
  if (schema > WORK_PLAN_SCHEMA)
    throw new WorkPlanError(
      `This work order was made by a newer Rubbet (plan ${schema}, this one reads up to ${WORK_PLAN_SCHEMA}): update first.`,
    );
  for (let at = schema; at < WORK_PLAN_SCHEMA; at++) {
    const step = MIGRATIONS[at];
    if (!step) throw new WorkPlanError(`Plans of schema ${at} cannot be brought up to ${at + 1}.`);
    plan = { ...step(plan), schema: at + 1 };
  }
  for (const key of ['build', 'steps', 'operations', 'takeoff', 'summary', 'spec'])
    if (typeof plan[key] !== 'object' || plan[key] === null) throw new WorkPlanError(`The kept plan has no ${key}.`);
  return plan as unknown as WorkPlan;
};
