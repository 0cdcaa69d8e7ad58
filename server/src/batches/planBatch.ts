import { Inject, Injectable } from '@nestjs/common';
import { findItem, findLumber, priceOf } from '@rubbet/core/stock';
import { countTaken, joinSticks } from '@rubbet/core/saw';
import type { SawRolls, SawSheets, SawSticks } from '@rubbet/core/saw';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { Settings } from '../settings/settings.service.ts';
import { Pool } from '../work/pool.ts';
import type { Caller } from '../work/pool.ts';
import { gather } from './gather.ts';
import type { Gathered } from './gather.ts';
import { keepPlan } from './keepPlan.ts';
import type { DraftPlan } from './keepPlan.ts';
import type { BatchFigures } from './batches.answers.ts';
import { unitsOfBatch } from './readBatch.ts';
import type { BatchRecord } from './readBatch.ts';

/** Times that a batch is planned anew because the rack has changed meanwhile. */
const TRIES = 4;
/** Seconds that the wood of one item is searched for where somebody stands at the saw and waits. */
const WAITING = 0.4;

/** How a plan is come by. */
export interface Planning {
  readonly effort: 'quick' | 'full' | number;
  readonly signal?: AbortSignal;
  readonly say?: (part: number, note: string) => void;
}

/** Whose turn it is: a job's, or somebody's who waits at the saw. */
const callerOf = (signal: AbortSignal | undefined): Caller => (signal ? 'job' : 'person');

/** Plans what is still open of a batch, and keeps it. */
@Injectable()
export class BatchPlanner {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  private async draft(from: Gathered, { effort, signal, say }: Planning): Promise<DraftPlan> {
    const { saw, items } = await this.settings.rules();
    // The wide first: narrow ones are ripped from what those leave of the rack.
    const lumber = [...new Set(from.sticks.map((p) => p.item))].sort(
      (a, b) => findLumber(b).width - findLumber(a).width || a.localeCompare(b),
    );
    const taken = new Map<number, number>();
    const options = { for: callerOf(signal), ...(signal ? { signal } : {}) };
    const found: SawSticks[] = [];
    for (const [i, item] of lumber.entries()) {
      signal?.throwIfAborted();
      say?.(i / (lumber.length + 1), `${effort === 'quick' ? 'Laying out' : 'Improving'} the ${findItem(item).name}`);
      const rack = from.rack.map((r) => ({ ...r, free: r.free - (taken.get(r.id) ?? 0) }));
      const plan = await this.pool.run(
        'planSaw',
        { parts: from.sticks.filter((p) => p.item === item), rack, rules: saw, items, effort },
        options,
      );
      countTaken(plan, taken);
      found.push(plan);
    }
    say?.(lumber.length / (lumber.length + 1), 'Laying out the sheets');
    const sheets = await this.pool.run(
      'planSawSheets',
      { parts: from.sheets, cut: from.cut, rack: from.rack, rules: saw, items },
      options,
    );
    signal?.throwIfAborted();
    if (from.faces.length > 0) say?.((lumber.length + 0.5) / (lumber.length + 1), 'Laying out the mesh');
    const rolls = await this.pool.run(
      'planSawRolls',
      { faces: from.faces, rack: from.rack, items, effort: effort === 'full' ? 'full' : 'quick' },
      options,
    );
    const apart = await this.pool.run('sawApart', { parts: from.sticks, rules: saw, items }, options);
    return join(found, sheets, rolls, {
      pieces: from.sticks.length + from.sheets.length + from.faces.length,
      waiting: from.waiting,
      apart: apart + rolls.apart,
    });
  }

  /** Plans and keeps; plans again where the rack or the batch have changed while it was planned. Gives whether it is kept. */
  async plan(id: number, planning: Planning): Promise<boolean> {
    for (let k = 0; k < TRIES; k++) {
      const row = (await this.db('batches').where({ id }).first()) as BatchRecord | undefined;
      if (!row || row.state === 'dropped' || row.state === 'done') return false;
      const { saw } = await this.settings.rules();
      const from = await gather(
        this.db,
        this.pool,
        {
          id,
          orders: readJson<number[]>(row.orders),
          version: row.version,
          units: unitsOfBatch(row),
          kerf: saw.kerf,
        },
        callerOf(planning.signal),
      );
      const plan = await this.draft(from, planning);
      if (await transact(this.db, (trx) => keepPlan(trx, id, row.version, plan, saw.firewood))) return true;
    }
    return false;
  }

  /** The same while somebody waits at the saw. */
  replan(id: number): Promise<boolean> {
    return this.plan(id, { effort: WAITING });
  }
}

const join = (
  found: readonly SawSticks[],
  sheets: SawSheets,
  rolls: SawRolls,
  more: { readonly pieces: number; readonly waiting: number; readonly apart: number },
): DraftPlan => {
  const { sticks, rips, ...sawn } = joinSticks(
    [...found].sort((a, b) => (a.sticks[0]?.item ?? '').localeCompare(b.sticks[0]?.item ?? '')),
  );
  const buy = new Map<string, { item: string; length: number; width: number | null; count: number; cost: number }>();
  const bare = sticks.filter((s) => s.ripped !== true).map((x) => ({ ...x, width: null }));
  const wide = rips.map((r) => ({ ...r, width: null, cost: priceOf(r.item, r.length, null) }));
  for (const s of [...wide, ...bare, ...sheets.sheets.filter((s) => !s.dropOf), ...rolls.rolls]) {
    if (s.stock !== null) continue;
    const key = `${s.item}|${s.length}|${s.width ?? ''}`;
    const was = buy.get(key);
    buy.set(key, {
      item: s.item,
      length: s.length,
      width: s.width,
      count: (was?.count ?? 0) + 1,
      cost: (was?.cost ?? 0) + s.cost,
    });
  }
  const figures: BatchFigures = {
    pieces: more.pieces,
    sticks: sticks.length,
    sheets: sheets.sheets.filter((s) => !s.dropOf).length,
    rolls: rolls.rolls.length,
    cost: sawn.cost + sheets.cost,
    costBound: sawn.bound + sheets.bound,
    costMesh: rolls.cost,
    proved: sawn.proved && sheets.proved,
    moves: sawn.moves,
    costApart: more.apart,
    waiting: more.waiting,
    buy: [...buy.values()],
    unplaced: [...sawn.unplaced, ...sheets.unplaced].map(({ part, why }) => ({
      order: part.order,
      mark: part.mark,
      why,
    })),
  };
  return { sticks, rips, sheets: sheets.sheets, rolls: rolls.rolls, figures };
};
