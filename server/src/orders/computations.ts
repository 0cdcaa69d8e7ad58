import { Injectable } from '@nestjs/common';
import { computeOrder } from '@rubbet/core/order';
import type { BusinessRules, OrderComputation, OrderInput } from '@rubbet/core/order';

/** Computations that are kept: an order is priced, accepted, put on the bench and printed from the same one. */
const MOST = 24;

/** Computes orders, and remembers the last ones by all that they follow from. */
@Injectable()
export class Computations {
  readonly #kept = new Map<string, OrderComputation>();

  of(input: OrderInput, rules: BusinessRules): OrderComputation {
    const key = JSON.stringify([input, rules]);
    const known = this.#kept.get(key);
    const computed = known ?? computeOrder(input, rules);
    // Taken out and put back, so that the oldest stands first.
    this.#kept.delete(key);
    this.#kept.set(key, computed);
    if (this.#kept.size > MOST) this.#kept.delete(this.#kept.keys().next().value as string);
    return computed;
  }
}
