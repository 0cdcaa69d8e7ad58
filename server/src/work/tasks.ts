import { createHash } from 'node:crypto';
import { drawBuild } from '@rubbet/core/draw';
import { writeCutList, writeSvg } from '@rubbet/core/formats';
import { findFramedThere, judgeTow, planLoad } from '@rubbet/core/haul';
import type { Trailer, Vehicle } from '@rubbet/core/haul';
import type { Units } from '@rubbet/core/measure';
import {
  changeWork,
  computeOrder,
  cutPlansOf,
  makeShow,
  makeWorkPlan,
  planChangedSticks,
  readWorkPlan,
  unitsOf,
} from '@rubbet/core/order';
import type { Business, BusinessRules, OrderComputation, OrderInput, WorkPlan } from '@rubbet/core/order';
import { planMesh, replanSticks } from '@rubbet/core/takeoff';
import { hasCut, repeatParts } from '@rubbet/core/unit';
import type { Batch } from '../batches/batches.answers.ts';
import { batchPdf } from '../batches/batchPaper.ts';
import { listFaces } from '../batches/listFaces.ts';
import { listSawParts } from '../batches/listSawParts.ts';
import { listToBuy } from '../purchases/listToBuy.ts';
import { workRowsOf } from '../bench/workRows.ts';
import { LABEL_SHEETS, labelled, labelsDocument, stickersDocument } from '../documents/packet/labels.ts';
import { printPlain } from '../documents/print.ts';
import { siteSheetPdf } from '../documents/siteSheetPdf.ts';
import { workOrderPdf } from '../documents/workOrderPdf.ts';
import type { RackLine } from '../rack/rack.answers.ts';
import { stickersOf } from '../rack/stickersOf.ts';
import type { LoadOn } from '../road/road.answers.ts';
import type { Order } from '../orders/orders.answers.ts';
import { CREW_TASKS } from './crewTasks.ts';
import { SAW_TASKS } from './sawTasks.ts';

/** What an order's figures follow from. */
export interface ToCompute {
  readonly input: OrderInput;
  readonly rules: BusinessRules;
}
/** What papers, loads and lists are made from: a kept plan as the database has it, or what is to be computed. */
export type Source = { readonly plan: string } | ToCompute;

/** Computations and plans that a thread remembers: an order is priced, accepted, put on the bench and printed from the same one. */
const REMEMBERED = 12;
const remember = <T>(make: () => T, key: string, kept: Map<string, T>): T => {
  const known = kept.get(key);
  const value = known ?? make();
  // Taken out and put back, so that the oldest stands first.
  kept.delete(key);
  kept.set(key, value);
  if (kept.size > REMEMBERED) kept.delete(kept.keys().next().value as string);
  return value;
};
const computations = new Map<string, OrderComputation>();
const plans = new Map<string, WorkPlan>();

const compute = ({ input, rules }: ToCompute): OrderComputation =>
  remember(() => computeOrder(input, rules), JSON.stringify([input, rules]), computations);
const readPlan = (text: string): WorkPlan =>
  remember(() => readWorkPlan(JSON.parse(text)), createHash('sha1').update(text).digest('hex'), plans);
const madeFrom = (
  source: Source,
): Pick<WorkPlan, 'build' | 'steps' | 'takeoff' | 'summary' | 'operations' | 'method' | 'foundation' | 'brief'> &
  Partial<Pick<WorkPlan, 'batch' | 'quantity'>> => ('plan' in source ? readPlan(source.plan) : compute(source));

/** Hears how far something is, 0 to 1. */
export type Say = (part: number) => void;

/** Whose paper it is, as it travels to another thread. */
export interface PaperFor {
  readonly units: Units;
  readonly business: Business;
}
const paperOf = ({ units, business }: PaperFor) => ({ show: makeShow(units, business.currency), business });

/** What takes a while: each a plain function of plain data, so that any thread can do it. */
export const TASKS = {
  /** Price, findings, what to buy, operations: everything of a computation but the build. */
  figures: (of: ToCompute) => {
    const { summary, price, findings, takeoff, operations, method, methods, foundation, brief } = compute(of);
    return {
      summary,
      price,
      findings,
      lines: takeoff.lines,
      operations,
      method,
      proposed: methods.method,
      why: methods.why,
      methods: methods.proposals.map(
        ({ method: m, possible, reasons, shop, site, customer, shopDays, siteDays, trips, nights, price: p }) => ({
          method: m,
          possible,
          reasons,
          shop,
          site,
          customer,
          shopDays,
          siteDays,
          trips,
          nights,
          net: p.net,
        }),
      ),
      foundation,
      brief,
    };
  },
  /** The plan of a work order, ready to be kept: its text and the rows of its parts and steps. */
  plan: ({
    of,
    revision,
    quantity,
  }: {
    readonly of: ToCompute;
    readonly revision: number;
    readonly quantity: number;
  }) => {
    const plan = makeWorkPlan(compute(of), { spec: of.input.spec, revision, quantity });
    return {
      plan: JSON.stringify(plan),
      sticks: JSON.stringify(cutPlansOf(plan).sticks),
      parts: repeatParts(plan.build.parts, unitsOf(plan))
        .filter(hasCut)
        .map((p) => ({ part_id: p.id, mark: p.mark, item: p.item, length: p.length })),
      steps: workRowsOf(plan, of.rules.labour),
    };
  },
  /** What a change of the spec does to a kept plan that is half built, what it costs, and the plan as it would be then. */
  changeWork: ({
    before,
    was,
    of,
    revision,
    parts,
    steps,
  }: {
    readonly before: string;
    readonly was: ToCompute;
    readonly of: ToCompute;
    readonly revision: number;
    readonly parts: readonly (readonly [string, 'open' | 'cut' | 'spoiled'])[];
    readonly steps: readonly (readonly [string, 'open' | 'done'])[];
  }) => {
    const old = readPlan(before);
    const computed = compute(of);
    // As many units as are followed now.
    const fresh = makeWorkPlan(computed, { spec: of.input.spec, revision, quantity: unitsOf(old) });
    const change = changeWork(old, fresh, { parts: new Map(parts), steps: new Map(steps) });
    const sticks = planChangedSticks(fresh, change);
    const { price } = of.rules;
    const share = 1 - price.margin;
    return {
      change,
      price: {
        difference: computed.price.net - compute(was).price.net,
        labour: Math.round(((change.minutes.lost / 60) * price.labourPerHour) / share),
        scrap: Math.round((change.scrap * (1 + price.spoil)) / share),
      },
      stops: computed.findings.filter((f) => f.severity === 'stop').map((f) => f.what),
      summary: computed.summary,
      operations: computed.operations,
      plan: JSON.stringify({ ...fresh, quantity: old.quantity }),
      sticks: JSON.stringify(sticks),
      parts: repeatParts(fresh.build.parts, unitsOf(fresh))
        .filter(hasCut)
        .map((p) => ({ part_id: p.id, mark: p.mark, item: p.item, length: p.length })),
      steps: workRowsOf(fresh, of.rules.labour),
    };
  },
  /** What the bench shows of a plan, as text. */
  benchPlan: ({ plan }: { readonly plan: string }) => {
    const read = readPlan(plan);
    const { revision, build, steps } = read;
    // Plans kept from before have no roll layouts.
    const mesh = read.batch?.mesh ?? planMesh(build.parts);
    return JSON.stringify({ revision, units: unitsOf(read), build, steps, sheets: cutPlansOf(read).sheets, mesh });
  },
  operations: (source: Source) => madeFrom(source).operations,
  loads: ({
    source,
    trailers,
    vehicles,
    quantity,
  }: {
    readonly source: Source;
    readonly trailers: readonly Trailer[];
    readonly vehicles: readonly Vehicle[];
    readonly quantity: number;
  }): LoadOn[] => {
    const { build, steps, method, foundation } = madeFrom(source);
    const there = method === 'panels' ? findFramedThere(build, steps) : undefined;
    const way = { quantity, method, ...(there ? { there } : {}), ...(foundation ? { foundation } : {}) };
    return trailers.map((trailer) => {
      const load = planLoad(build, trailer, way);
      return {
        trailer,
        load,
        vehicles: vehicles.map((v) => ({ id: v.id, name: v.name, problems: judgeTow(v, trailer, load) })),
      };
    });
  },
  workOrderPdf: (
    {
      order,
      source,
      paper,
    }: {
      readonly order: Order;
      readonly source: Source;
      readonly paper: PaperFor;
    },
    say?: Say,
  ) => workOrderPdf(order, madeFrom(source), paperOf(paper), say),
  /** Stickers for the pieces of a batch, in the order in which they come off the saw. */
  batchLabels: ({
    batch,
    orders,
    origin,
    paper,
  }: {
    readonly batch: Batch;
    readonly orders: readonly {
      readonly order: number;
      readonly plan: string;
      readonly rows: readonly { readonly id: number; readonly partId: string }[];
    }[];
    readonly origin: string;
    readonly paper: PaperFor;
  }) => {
    const { show, business } = paperOf(paper);
    const known = new Map<string, Parameters<typeof labelsDocument>[1][number]>(
      orders.flatMap(({ order, plan, rows }) =>
        rows.flatMap((r) =>
          labelled(readPlan(plan), [r], (row) => `${origin}/p/${order}/${row}`).map(
            (l) => [`${order}/${r.partId}`, { ...l, order }] as const,
          ),
        ),
      ),
    );
    const refs = batch.list
      .flatMap((l) => l.pieces.filter((p) => p.state !== 'spoiled').flatMap((p) => p.parts))
      .map((p) => `${p.order}/${p.part}`);
    const labels = [...new Set(refs)].flatMap((ref) => known.get(ref) ?? []);
    return printPlain(`Labels of batch ${batch.id}`, labelsDocument(0, labels, show, LABEL_SHEETS[business.paper]));
  },
  /** Stickers for lines of the rack: a code that opens the line to be counted. */
  rackLabels: ({
    lines,
    origin,
    paper,
  }: {
    readonly lines: readonly RackLine[];
    readonly origin: string;
    readonly paper: PaperFor;
  }) => {
    const { show, business } = paperOf(paper);
    return printPlain(
      'Labels of the rack',
      stickersDocument(stickersOf(lines, origin, show), LABEL_SHEETS[business.paper]),
    );
  },
  batchPdf: ({ batch, paper }: { readonly batch: Batch; readonly paper: PaperFor }) => batchPdf(batch, paperOf(paper)),
  siteSheetPdf: ({
    order,
    source,
    paper,
  }: {
    readonly order: Order;
    readonly source: Source;
    readonly paper: PaperFor;
  }) => siteSheetPdf(order, madeFrom(source), paperOf(paper)),
  labelsPdf: ({
    order,
    plan,
    rows,
    origin,
    paper,
  }: {
    readonly order: number;
    readonly plan: string;
    readonly rows: readonly { readonly id: number; readonly partId: string }[];
    /** Where the shop's pages are, for the codes. */
    readonly origin: string;
    readonly paper: PaperFor;
  }) => {
    const { show, business } = paperOf(paper);
    const labels = labelled(readPlan(plan), rows, (row) => `${origin}/p/${order}/${row}`);
    return printPlain(`Labels ${order}`, labelsDocument(order, labels, show, LABEL_SHEETS[business.paper]));
  },
  cutList: ({ source }: { readonly source: Source }) => writeCutList(madeFrom(source).build),
  drawing: ({ source, view }: { readonly source: Source; readonly view: string }) =>
    writeSvg(drawBuild(madeFrom(source).build, view)),
  ...CREW_TASKS,
  replanSticks: (args: Parameters<typeof replanSticks>) => replanSticks(...args),
  /** What is cut of some open parts of an order: sticks, sheets and mesh, and how many wait to be measured in place. */
  sawParts: ({
    order,
    plan,
    open,
    kerf,
  }: {
    readonly order: number;
    readonly plan: string;
    readonly open: readonly { readonly part: string; readonly measured: number | null }[];
    readonly kerf: number;
  }) => {
    const read = readPlan(plan);
    const of = { build: read.build, units: unitsOf(read), kerf };
    return {
      ...listSawParts(order, of, open),
      faces: listFaces(order, of, new Set(open.map((o) => o.part))),
    };
  },
  /** What an order still takes, for buying. */
  toBuy: ({
    order,
    quantity,
    source,
    cut,
  }: {
    readonly order: number;
    readonly quantity: number;
    readonly source: Source;
    readonly cut: readonly string[];
  }) => listToBuy(order, madeFrom(source), quantity, cut),
  ...SAW_TASKS,
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<K extends TaskName> = Parameters<Tasks[K]>[0];
export type TaskResult<K extends TaskName> = Awaited<ReturnType<Tasks[K]>>;
