import { TASKS } from './tasks.ts';
import type { TaskName } from './tasks.ts';

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
}: {
  readonly name: TaskName;
  readonly input: unknown;
}): Promise<{ readonly done: unknown } | { readonly failed: Failed }> => {
  try {
    return { done: await (TASKS[name] as (input: unknown) => unknown)(input) };
  } catch (error) {
    const e = error instanceof Error ? error : new Error(String(error));
    const { faults } = e as { faults?: readonly unknown[] };
    return { failed: { name: e.name, message: e.message, stack: e.stack, ...(faults ? { faults } : {}) } };
  }
};
