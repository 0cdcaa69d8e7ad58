import type { MessagePort } from 'node:worker_threads';
import { TASKS } from './tasks.ts';
import type { Say, TaskName } from './tasks.ts';

/** What went wrong in a thread, with what people are told of it: errors lose their class on the way between threads. */
export interface Failed {
  readonly name: string;
  readonly message: string;
  readonly stack: string | undefined;
  readonly faults?: readonly unknown[];
}

/** Does one task in a thread of the pool. */
export default async ({
  name,
  input,
  port,
}: {
  readonly name: TaskName;
  readonly input: unknown;
  /** Where to say how far it is, when somebody listens. */
  readonly port?: MessagePort;
}): Promise<{ readonly done: unknown } | { readonly failed: Failed }> => {
  try {
    const say = (part: number): void => port?.postMessage(part);
    return { done: await (TASKS[name] as (input: unknown, say: Say) => unknown)(input, say) };
  } catch (error) {
    const e = error instanceof Error ? error : new Error(String(error));
    const { faults } = e as { faults?: readonly unknown[] };
    return { failed: { name: e.name, message: e.message, stack: e.stack, ...(faults ? { faults } : {}) } };
  }
};
