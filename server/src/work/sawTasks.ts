import { planSticks } from '@rubbet/core/cut';
import {
  findRollSources,
  findSheetSources,
  findStickSources,
  planSaw,
  planSawRolls,
  planSawSheets,
  ripTogether,
} from '@rubbet/core/saw';
import type { RackStock, SawFace, SawPart, SawRules, SawSheetPart } from '@rubbet/core/saw';
import { itemsOf, withItems } from '@rubbet/core/stock';
import type { ItemChanges } from '@rubbet/core/stock';

/** What is planned for the saw and for buying, with the business's own items. */
export const SAW_TASKS = {
  /** Roofing sheets for slopes of many orders, from common sheets. */
  metalFor: ({
    roofing,
    items,
  }: {
    readonly roofing: readonly { readonly item: string; readonly length: number }[];
    readonly items: ItemChanges;
  }) =>
    withItems(items, () => {
      const { sticks } = planSticks(
        {
          kerf: 0,
          endTrim: 0,
          stock: itemsOf('roofing').flatMap((r) => r.lengths.map((l) => ({ item: r.key, ...l, quantity: null }))),
          pieces: roofing.map((p, i) => ({ id: String(i), ...p, quantity: 1 })),
        },
        'quick',
      );
      return sticks.map(({ item, length }) => ({ item, length }));
    }),
  /** The mesh of a batch from common rolls, the rack's first; and what the rolls cost where each order has its own, all bought. */
  planSawRolls: ({
    faces,
    rack,
    items,
    effort,
  }: {
    readonly faces: readonly SawFace[];
    readonly rack: readonly RackStock[];
    readonly items: ItemChanges;
    readonly effort: 'quick' | 'full';
  }) =>
    withItems(items, () => {
      const orders = [...new Set(faces.map((f) => f.order))];
      const apart = orders.map((order) =>
        planSawRolls(
          faces.filter((f) => f.order === order),
          findRollSources([]),
          'quick',
        ),
      );
      return {
        ...planSawRolls(faces, findRollSources(rack), effort),
        apart: apart.reduce((n, p) => n + p.cost, 0),
      };
    }),
  /** The sticks of one item from the rack and the yard, in the order of the saw. */
  planSaw: ({
    parts,
    rack,
    rules,
    items,
    effort,
  }: {
    readonly parts: readonly SawPart[];
    readonly rack: readonly RackStock[];
    readonly rules: SawRules;
    readonly items: ItemChanges;
    readonly effort: 'quick' | 'full' | number;
  }) => withItems(items, () => planSaw(ripTogether(parts, rules.kerf), findStickSources(rack, rules), rules, effort)),
  planSawSheets: ({
    parts,
    cut = [],
    rack,
    rules,
    items,
  }: {
    readonly parts: readonly SawSheetPart[];
    readonly cut?: readonly SawSheetPart[];
    readonly rack: readonly RackStock[];
    readonly rules: SawRules;
    readonly items: ItemChanges;
  }) =>
    withItems(items, () => planSawSheets(parts, findSheetSources(rack), { kerf: rules.kerf, saw: rules.sheets }, cut)),
  /** What the sticks cost where each order is cut by itself, all of it bought. */
  sawApart: ({
    parts,
    rules,
    items,
  }: {
    readonly parts: readonly SawPart[];
    readonly rules: SawRules;
    readonly items: ItemChanges;
  }) =>
    withItems(items, () =>
      [...new Set(parts.map((p) => p.order))].reduce(
        (sum, order) =>
          sum +
          planSaw(
            ripTogether(
              parts.filter((p) => p.order === order),
              rules.kerf,
            ),
            findStickSources([], rules),
            rules,
            'quick',
          ).cost,
        0,
      ),
    ),
} as const;
