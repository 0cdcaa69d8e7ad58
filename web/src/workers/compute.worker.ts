import { provingMends } from '@rubbet/core/check';
import type { Finding } from '@rubbet/core/check';
import { computeOrder } from '@rubbet/core/order';
import { withItems } from '@rubbet/core/stock';
import type { BusinessRules, OrderInput } from '@rubbet/core/order';

/** A question to the worker, numbered so that late answers can be told from new ones. */
export interface ComputeRequest {
  readonly id: number;
  readonly input: OrderInput;
  readonly rules: BusinessRules;
}

/** Lets newer questions in between two mends that are tried. */
const pause = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
/** Nothing is tried while somebody is still turning a length. */
const QUIET = 700;

let newest = 0;

/** Tries the mends once the figures are out: a button is there when what it promises is proved. */
const prove = async ({ id, input, rules }: ComputeRequest, findings: readonly Finding[]): Promise<void> => {
  const proof = provingMends(input.spec, findings, {
    rules: rules.check,
    ...(input.flock ? { flock: input.flock } : {}),
    ...(input.site ? { site: input.site } : {}),
  });
  await pause(QUIET);
  for (;;) {
    await pause();
    if (newest !== id) return;
    const step = withItems(rules.items, () => proof.next());
    if (!step.done) continue;
    self.postMessage({ id, findings: step.value });
    return;
  }
};

self.onmessage = (event: MessageEvent<ComputeRequest>): void => {
  const { id, input, rules } = event.data;
  newest = id;
  try {
    const result = computeOrder(input, rules, 'quick');
    const bare = result.findings.map(({ fix: _fix, ...f }) => f);
    self.postMessage({ id, result: { ...result, findings: bare } });
    if (result.findings.some((f) => f.fix)) void prove(event.data, result.findings);
  } catch (error) {
    self.postMessage({ id, fault: error instanceof Error ? error.message : String(error) });
  }
};
