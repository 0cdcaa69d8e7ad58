import type { Flock } from '@rubbet/core/flock';
import type { Spec } from '@rubbet/core/model';
import { rankModels } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';

/** A flock to rank models for, numbered so that late answers can be told from new ones. */
export interface RankRequest {
  readonly id: number;
  readonly flock: Flock;
  readonly models: readonly { readonly id: number; readonly name: string; readonly spec: Spec }[];
  readonly rules: BusinessRules;
  readonly slope?: number;
}

self.onmessage = (event: MessageEvent<RankRequest>): void => {
  const { id, flock, models, rules, slope } = event.data;
  self.postMessage({
    id,
    ranked: rankModels(flock, models, rules, slope).map(({ model, ...rest }) => ({ ...rest, modelId: model.id })),
  });
};
