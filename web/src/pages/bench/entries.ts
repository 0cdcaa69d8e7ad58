import { isRead, judgeGate } from '@rubbet/core/steps';
import type { Gate } from '@rubbet/core/steps';
import type { WorkOrder } from '../../data/types.ts';

/** What somebody did at the bench, on the version of a step or part that they saw. */
export interface Entry {
  /** Names it, so that the server takes it once however often it is sent. */
  readonly key: string;
  /** When it was made, ISO. */
  readonly at: string;
  readonly kind: 'step' | 'part';
  readonly row: number;
  /** How it is called, for people. */
  readonly name: string;
  readonly version: number;
  readonly body: EntryBody;
}
export interface EntryBody {
  readonly state?: 'open' | 'done' | 'cut' | 'spoiled';
  readonly minutes?: number;
  readonly found?: readonly number[];
  readonly note?: string;
  readonly measured?: number;
  readonly why?: string;
  readonly stops?: readonly { readonly cause: string; readonly minutes: number }[];
}

/** An entry that the server could not take, with its reason: it is kept until somebody has looked at it. */
export interface Clash {
  readonly entry: Entry;
  readonly why: string;
}

/** What waits to be sent, in the order in which it was done, and what clashed. */
export interface Queue {
  readonly entries: readonly Entry[];
  readonly clashes: readonly Clash[];
}

export const NOTHING: Queue = { entries: [], clashes: [] };

export const isQueue = (value: unknown): value is Queue =>
  typeof value === 'object' &&
  value !== null &&
  Array.isArray((value as Partial<Queue>).entries) &&
  Array.isArray((value as Partial<Queue>).clashes);

const withStep = (
  work: WorkOrder,
  { row, body }: Entry,
  by: string,
  gates: ReadonlyMap<string, Gate | undefined>,
): WorkOrder => ({
  ...work,
  steps: work.steps.map((s) => {
    if (s.id !== row) return s;
    const gate = gates.get(s.stepId);
    // A reading outside leaves the step open, as the server will.
    const failed =
      body.state === 'done' && isRead(gate) && body.found !== undefined && !judgeGate(gate, body.found).within;
    const done = body.state === 'done' && !failed;
    return {
      ...s,
      state: done ? ('done' as const) : ('open' as const),
      minutes: body.minutes === undefined ? s.minutes : (s.minutes ?? 0) + body.minutes,
      doneBy: done ? by : null,
      found: body.found ?? (body.state === 'open' ? null : s.found),
      note: body.note ?? (body.state === 'open' ? '' : s.note),
    };
  }),
});

const withPart = (work: WorkOrder, { row, body }: Entry): WorkOrder => ({
  ...work,
  parts: work.parts.map((p) =>
    p.id === row
      ? {
          ...p,
          ...(body.state === undefined ? {} : { state: body.state as typeof p.state }),
          ...(body.measured === undefined ? {} : { measured: body.measured }),
        }
      : p,
  ),
});

/** The work order as it will be when what waits has been sent: what the person sees who did it. */
export const overlay = (
  work: WorkOrder,
  { entries }: Queue,
  by: string,
  gates: ReadonlyMap<string, Gate | undefined>,
): WorkOrder => entries.reduce((now, e) => (e.kind === 'step' ? withStep(now, e, by, gates) : withPart(now, e)), work);

/** Versions of the rows as an entry finds them: the server's, each entry that waits before it counting one up. */
export const versionFor = (work: WorkOrder, { entries }: Queue, kind: Entry['kind'], row: number): number => {
  const rows = kind === 'step' ? work.steps : work.parts;
  const version = rows.find((r) => r.id === row)?.version ?? 0;
  const waiting = entries.filter((e) => e.kind === kind && e.row === row);
  return waiting.length === 0 ? version : Math.max(version, ...waiting.map((e) => e.version + 1));
};

/** The queue when an entry has arrived. */
export const afterSent = (queue: Queue, key: string): Queue => ({
  ...queue,
  entries: queue.entries.filter((e) => e.key !== key),
});

/** The queue when the server has refused an entry: it stands aside with the reason, and the next ones go on. */
export const afterRefused = (queue: Queue, key: string, why: string): Queue => {
  const entry = queue.entries.find((e) => e.key === key);
  return entry
    ? { entries: queue.entries.filter((e) => e.key !== key), clashes: [...queue.clashes, { entry, why }] }
    : queue;
};

/** The queue when somebody who has seen a clash wants theirs all the same: it is made anew on what stands now. */
export const putAgain = (
  queue: Queue,
  key: string,
  fresh: { readonly key: string; readonly version: number },
): Queue => {
  const clash = queue.clashes.find((c) => c.entry.key === key);
  return clash
    ? {
        entries: [...queue.entries, { ...clash.entry, ...fresh }],
        clashes: queue.clashes.filter((c) => c !== clash),
      }
    : queue;
};

/** The queue when somebody leaves a clash at what stands there. */
export const letGo = (queue: Queue, key: string): Queue => ({
  ...queue,
  clashes: queue.clashes.filter((c) => c.entry.key !== key),
});

/** What an entry says, in words. */
export const sayEntry = ({ kind, name, body }: Entry): string => {
  if (body.measured !== undefined) return `${name} measured`;
  if (kind === 'part') return `${name} ${body.state === 'open' ? 'not cut' : (body.state ?? '')}`;
  return `${name}: ${body.state === 'open' ? 'not done' : 'done'}`;
};
