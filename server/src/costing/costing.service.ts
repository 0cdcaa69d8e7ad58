import { Inject, Injectable } from '@nestjs/common';
import { addUp } from '@rubbet/core/saw';
import { findItem } from '@rubbet/core/stock';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { BatchPiece, BatchRest } from '../batches/batches.answers.ts';
import { Settings } from '../settings/settings.service.ts';
import type { CostedOrder, CostingAnswer, YieldLine } from './costing.answers.ts';

/** Orders that are costed, the newest first, and lines of batches that are looked at. */
const MOST = 60;
const MOST_LINES = 20_000;

interface CutRow {
  readonly kind: 'stick' | 'sheet' | 'roll';
  readonly dropOf: string | null;
  readonly item: string;
  readonly length: number;
  readonly width: number | null;
  readonly cost: number;
  readonly pieces: unknown;
  readonly rests: unknown;
  readonly month: string;
}

/** What orders took against what was planned, and where the wood went. */
@Injectable()
export class Costing {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  async show(): Promise<CostingAnswer> {
    const cut = (await this.db('batch_lines')
      .where({ state: 'cut' })
      // What is ripped is counted where its sticks are cut.
      .whereNot({ kind: 'rip' })
      .orderBy('id', 'desc')
      .limit(MOST_LINES)
      .select(
        'kind',
        'item',
        'length',
        'width',
        'cost',
        'pieces',
        'rests',
        'drop_of as dropOf',
        this.db.raw("DATE_FORMAT(cut_at, '%Y-%m') AS month"),
      )) as unknown as CutRow[];
    const { kerf } = (await this.settings.rules()).saw;
    // A drop is counted with the part that it is cut out of.
    return {
      orders: await this.orders(cut),
      yields: yieldsOf(
        cut.filter((l) => l.dropOf === null),
        kerf,
      ),
    };
  }

  private async orders(cut: readonly CutRow[]): Promise<CostedOrder[]> {
    const works = (await this.db('work_orders')
      .join('orders', 'orders.id', 'work_orders.order_id')
      .whereNull('orders.cancelled_at')
      .orderBy('work_orders.id', 'desc')
      .limit(MOST)
      .select(
        'work_orders.id',
        'orders.id as orderId',
        'orders.title',
        'orders.quantity',
        'work_orders.done_at as doneAt',
        this.db.raw("JSON_EXTRACT(work_orders.plan, '$.takeoff.lines') AS `lines`"),
      )) as unknown as {
      id: number;
      orderId: number;
      title: string;
      quantity: number;
      doneAt: string | null;
      lines: unknown;
    }[];
    const ids = works.map((w) => w.id);
    const [steps, parts] = await Promise.all([
      this.db('work_steps')
        .whereIn('work_order_id', ids)
        .groupBy('work_order_id')
        .select(
          'work_order_id as id',
          this.db.raw('COALESCE(SUM(planned), 0) AS planned'),
          this.db.raw("COALESCE(SUM(IF(state = 'done', planned, 0)), 0) AS done"),
          this.db.raw("COALESCE(SUM(IF(state = 'done', minutes, 0)), 0) AS logged"),
        ) as unknown as Promise<{ id: number; planned: number; done: number; logged: number }[]>,
      this.db('work_parts')
        .whereIn('work_order_id', ids)
        .groupBy('work_order_id', 'item')
        .select('work_order_id as id', 'item')
        .count({ n: '*' }) as unknown as Promise<{ id: number; item: string; n: number }[]>,
    ]);
    const taken = woodByOrder(cut);
    return works.map((w) => {
      const s = steps.find((x) => x.id === w.id);
      const lines = readJson<{ readonly kind: string; readonly cost: number }[]>(w.lines) ?? [];
      const sum = (kinds: readonly string[]): number =>
        w.quantity * lines.filter((l) => kinds.includes(l.kind)).reduce((n, l) => n + l.cost, 0);
      const sawn = parts
        .filter((p) => p.id === w.id && ['lumber', 'sheet', 'mesh'].includes(findItem(p.item).kind))
        .reduce((n, p) => n + Number(p.n), 0);
      const mine = taken.get(w.orderId);
      return {
        orderId: w.orderId,
        title: w.title,
        done: w.doneAt !== null,
        woodPlanned: sum(['lumber', 'sheet', 'mesh']),
        woodCut: mine ? Math.round(mine.cost) : null,
        cutShare: sawn === 0 ? 0 : Math.min(1, (mine?.parts ?? 0) / sawn),
        minutesPlanned: Math.round(Number(s?.planned ?? 0)),
        minutesLogged: Number(s?.logged ?? 0),
        minutesOfDone: Math.round(Number(s?.done ?? 0)),
        hardwarePlanned: sum(['hardware', 'piece', 'roofing']),
        spoiled: mine?.spoiled ?? 0,
      };
    });
  }
}

/** Whose wood it was: what a stick cost is shared by what its pieces take of it; rests that went back are nobody's. */
const woodByOrder = (cut: readonly CutRow[]): Map<number, { cost: number; parts: number; spoiled: number }> => {
  const out = new Map<number, { cost: number; parts: number; spoiled: number }>();
  for (const l of cut) {
    const pieces = readJson<BatchPiece[]>(l.pieces);
    const back = readJson<BatchRest[]>(l.rests);
    const size = (p: { readonly length: number; readonly width?: number }): number =>
      l.kind !== 'stick' ? p.length * (p.width ?? 0) : p.length;
    const whole = l.kind !== 'stick' ? l.length * (l.width ?? 0) : l.length;
    const kept = back.filter((r) => l.kind !== 'stick' || r.width === undefined).reduce((n, r) => n + size(r), 0);
    const spent = whole > 0 ? l.cost * Math.max(0, 1 - kept / whole) : 0;
    const all = pieces.reduce((n, p) => n + size(p), 0);
    for (const p of pieces)
      for (const part of p.parts) {
        const mine = out.get(part.order) ?? { cost: 0, parts: 0, spoiled: 0 };
        mine.cost += all > 0 ? (spent * size(p)) / all / p.parts.length : 0;
        if (p.state === 'spoiled') mine.spoiled++;
        else mine.parts++;
        out.set(part.order, mine);
      }
  }
  return out;
};

/** Where wood went, by month and item. */
const yieldsOf = (cut: readonly CutRow[], kerf: number): YieldLine[] => {
  const groups = new Map<string, YieldLine>();
  for (const l of cut) {
    const part = addUp(
      {
        kind: l.kind,
        length: l.length,
        width: l.width,
        pieces: readJson<BatchPiece[]>(l.pieces),
        rests: readJson<BatchRest[]>(l.rests),
      },
      kerf,
    );
    const key = `${l.month} ${l.item}`;
    const before = groups.get(key);
    const sum = (k: keyof typeof part): number => (before?.[k] ?? 0) + part[k];
    groups.set(key, {
      month: l.month,
      item: l.item,
      name: findItem(l.item).name,
      kind: l.kind,
      taken: sum('taken'),
      pieces: sum('pieces'),
      returned: sum('returned'),
      kerf: sum('kerf'),
      spoiled: sum('spoiled'),
      scrap: sum('scrap'),
    });
  }
  return [...groups.values()].sort((a, b) => a.month.localeCompare(b.month) || a.item.localeCompare(b.item));
};
