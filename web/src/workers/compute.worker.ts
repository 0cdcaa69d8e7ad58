import { computeOrder } from '@rubbet/core/order';
import type { BusinessRules, OrderInput } from '@rubbet/core/order';

/** A question to the worker, numbered so that late answers can be told from new ones. */
export interface ComputeRequest {
  readonly id: number;
  readonly input: OrderInput;
  readonly rules: BusinessRules;
}

self.onmessage = (event: MessageEvent<ComputeRequest>): void => {
  const { id, input, rules } = event.data;
  try {
    self.postMessage({ id, result: computeOrder(input, rules, 'quick') });
  } catch (error) {
    self.postMessage({ id, fault: error instanceof Error ? error.message : String(error) });
  }
};
