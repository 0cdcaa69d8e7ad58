import { useEffect, useRef, useState } from 'react';
import type { Flock } from '@rubbet/core/flock';
import type { BusinessRules, RankedModel } from '@rubbet/core/order';
import type { Model } from '../data/types.ts';
import type { RankRequest } from './rank.worker.ts';

/** A ranked model by its id. */
export type Ranked = Omit<RankedModel, 'model'> & { readonly modelId: number };

/** How long nothing must change before models are ranked anew. */
const QUIET = 150;

/** Standard models ranked for a flock off the main thread, best first; empty until the first answer is here. */
export const useRanking = (
  flock: Flock,
  models: readonly Model[] | undefined,
  rules: BusinessRules,
  slope: number | undefined,
): readonly Ranked[] => {
  const worker = useRef<Worker | null>(null);
  const newest = useRef(0);
  const [ranked, setRanked] = useState<readonly Ranked[]>([]);
  useEffect(() => {
    const w = new Worker(new URL('./rank.worker.ts', import.meta.url), { type: 'module' });
    w.onmessage = (event: MessageEvent<{ readonly id: number; readonly ranked: readonly Ranked[] }>) => {
      if (event.data.id === newest.current) setRanked(event.data.ranked);
    };
    worker.current = w;
    return () => {
      w.terminate();
      worker.current = null;
    };
  }, []);
  useEffect(() => {
    if (!models) return;
    const timer = setTimeout(() => {
      newest.current += 1;
      worker.current?.postMessage({
        id: newest.current,
        flock,
        models: models.map(({ id, name, spec }) => ({ id, name, spec })),
        rules,
        ...(slope === undefined ? {} : { slope }),
      } satisfies RankRequest);
    }, QUIET);
    return () => clearTimeout(timer);
  }, [flock, models, rules, slope]);
  return ranked;
};
