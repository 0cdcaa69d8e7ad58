import { useEffect, useMemo, useRef, useState } from 'react';
import type { BusinessRules, OrderComputation, OrderInput } from '@rubbet/core/order';
import type { ComputeRequest } from './compute.worker.ts';

interface Answer {
  readonly id: number;
  readonly result?: OrderComputation;
  readonly fault?: string;
  /** What is wrong once more, with the mends that were proved since. */
  readonly findings?: OrderComputation['findings'];
}

/** Computes an order off the main thread; keeps the last answer while the next is under way. */
export const useComputation = (input: OrderInput | undefined, rules: BusinessRules) => {
  const worker = useRef<Worker | null>(null);
  const newest = useRef<{ readonly id: number; readonly key?: string; readonly rules?: BusinessRules }>({ id: 0 });
  const [answer, setAnswer] = useState<Answer & { readonly key?: string; readonly rules?: BusinessRules }>();

  useEffect(() => {
    const w = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' });
    w.onmessage = (event: MessageEvent<Answer>) => {
      const { findings, ...rest } = event.data;
      if (rest.id !== newest.current.id) return;
      if (findings)
        setAnswer((before) =>
          before?.result && before.id === rest.id ? { ...before, result: { ...before.result, findings } } : before,
        );
      else setAnswer({ ...rest, ...newest.current });
    };
    worker.current = w;
    return () => {
      w.terminate();
      worker.current = null;
    };
  }, []);

  const key = JSON.stringify(input ?? null);
  // The text of the input stands for it: equal inputs are not computed twice.
  const asked = useMemo(() => JSON.parse(key) as OrderInput | null, [key]);
  useEffect(() => {
    if (asked === null) return;
    newest.current = { id: newest.current.id + 1, key, rules };
    worker.current?.postMessage({ id: newest.current.id, input: asked, rules } satisfies ComputeRequest);
  }, [asked, key, rules]);

  // From the moment that something else is asked until that is answered.
  const pending = input !== undefined && (answer?.key !== key || answer.rules !== rules);
  return { computed: answer?.result, fault: answer?.fault, pending };
};
