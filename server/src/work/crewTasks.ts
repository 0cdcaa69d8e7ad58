import { findStuck, moveOperation, planCrews, promiseDay, proposePlans } from '@rubbet/core/crews';
import type { Fixed, Operation, Overtime, PromiseRules, SearchFor, Shop, ShopOrder } from '@rubbet/core/crews';

/** What is computed of a crew plan beside the thread that answers. */
export const CREW_TASKS = {
  planCrews: ({ shop, search }: { readonly shop: Shop; readonly search: SearchFor }) => planCrews(shop, search),
  moveOperation: ({ shop, to }: { readonly shop: Shop; readonly to: Fixed }) => moveOperation(shop, to),
  proposePlans: ({
    shop,
    search,
    overtime,
  }: {
    readonly shop: Shop;
    readonly search: SearchFor;
    readonly overtime: Overtime;
  }) => proposePlans(shop, search, overtime),
  findStuck: ({ shop, order }: { readonly shop: Shop; readonly order: string }) => findStuck(shop, order) ?? null,
  promiseDay: ({
    shop,
    order,
    operations,
    rules,
  }: {
    readonly shop: Shop;
    readonly order: ShopOrder;
    readonly operations: readonly Operation[];
    readonly rules: PromiseRules;
  }) => promiseDay(shop, order, operations, rules),
} as const;
