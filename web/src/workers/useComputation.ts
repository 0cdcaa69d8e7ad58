import { useEffect, useRef, useState } from 'react';
import type { BusinessRules, OrderComputation, OrderInput } from '@rubbet/core/order';
import type { ComputeRequest } from './compute.worker.ts';

interface Answer {
  readonly id: number;
  readonly result?: OrderComputation;
  readonly fault?: string;
}

/** Computes an order off the main thread; keeps the last answer while the next is under way. */
export const useComputation = (input: OrderInput | undefined, rules: BusinessRules) => {
  const worker = useRef<Worker | null>(null);
  const newest = useRef(0);
  const [answer, setAnswer] = useState<Answer>();
  const [pending, setPending] = useState(false);

  useEffect(() => {
    const w = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' });
    w.onmessage = (event: MessageEvent<Answer>) => {
      if (event.data.id !== newest.current) return;
      setAnswer(event.data);
      setPending(false);
    };
    worker.current = w;
    return () => {
      w.terminate();
      worker.current = null;
    };
  }, []);

  const key = JSON.stringify(input);
  useEffect(() => {
    if (input === undefined) return;
    newest.current += 1;
    setPending(true);
    worker.current?.postMessage({ id: newest.current, input, rules } satisfies ComputeRequest);
    // The text of the input stands for it: equal inputs are not computed twice.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, rules]);

  return { computed: answer?.result, fault: answer?.fault, pending };
};
