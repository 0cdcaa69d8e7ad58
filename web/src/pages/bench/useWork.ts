import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import useSWR from 'swr';
import { readUnitKey } from '@rubbet/core/steps';
import { api, ApiError } from '../../data/api.ts';
import { draftKey, dropDraft, readDraft, writeDraft } from '../../data/drafts.ts';
import { makeUuid } from '../../data/makeUuid.ts';
import type { Me, WorkOrder, WorkPlanData } from '../../data/types.ts';
import { afterRefused, afterSent, isQueue, letGo, NOTHING, overlay, putAgain, versionFor } from './entries.ts';
import type { Entry, Queue } from './entries.ts';

/** What became of an entry: the server has it, it waits for the connection, or it was refused. */
export type Outcome =
  | { readonly state: 'sent'; readonly work: WorkOrder }
  | { readonly state: 'waiting' }
  | { readonly state: 'refused'; readonly error: unknown };

/** How often what waits is tried again, ms. */
const AGAIN_MS = 3000;
/** An entry that is older than this says when it was made, ms. */
const LATE_MS = 30_000;

/** Whether nobody answered: then the entry waits. Anything else is an answer. */
const isAway = (e: unknown): boolean => e instanceof ApiError && (e.status === 0 || e.status >= 502);
/** Signed out meanwhile: it waits for whoever signs in again. */
const isSignedOut = (e: unknown): boolean => e instanceof ApiError && e.status === 401;

const load = (key: string): Queue => {
  const kept = readDraft<unknown>(key)?.value;
  return isQueue(kept) ? kept : NOTHING;
};

/**
 * A work order at the bench, with what was done and not yet sent laid over it. Entries go one after the other in the order in
 * which they were made; without a connection they wait in this browser, and what the server cannot take is kept and shown.
 */
export const useWork = (id: string, me: Me | undefined) => {
  const path = `/orders/${id}/work-order`;
  const { data: kept, error, mutate } = useSWR<WorkOrder, ApiError>(me ? path : null);
  // What it was made from never changes, so it is fetched once.
  const { data: plan, error: noPlan } = useSWR<WorkPlanData, ApiError>(kept ? `${path}/plan?p=${kept.planId}` : null, {
    revalidateIfStale: false,
  });
  const key = draftKey(me?.id ?? 0, `bench ${id}`);
  const [queue, setQueue] = useState<Queue>(NOTHING);
  const [away, setAway] = useState(false);
  const now = useRef<Queue>(NOTHING);
  const latest = useRef(kept);
  latest.current = kept;
  const waiting = useRef(new Map<string, (o: Outcome) => void>());
  const sending = useRef(false);

  const put = useCallback(
    (next: Queue): void => {
      now.current = next;
      setQueue(next);
      if (next.entries.length === 0 && next.clashes.length === 0) dropDraft(key);
      else writeDraft(key, { value: next, base: null, at: new Date().toISOString() });
    },
    [key],
  );

  /** Sends one entry; false where it must wait. */
  const sendOne = useCallback(
    async (entry: Entry): Promise<boolean> => {
      const answer = waiting.current.get(entry.key);
      waiting.current.delete(entry.key);
      try {
        const late = Date.now() - Date.parse(entry.at) > LATE_MS;
        const work = await api<WorkOrder>(`${path}/${entry.kind}s/${entry.row}`, {
          method: 'PATCH',
          body: { version: entry.version, entry: entry.key, ...(late ? { at: entry.at } : {}), ...entry.body },
        });
        setAway(false);
        // There before the entry is gone from what is laid over it: the next one is made on its version, and nothing flickers.
        await mutate(work, { revalidate: false });
        latest.current = work;
        put(afterSent(now.current, entry.key));
        answer?.({ state: 'sent', work });
        return true;
      } catch (e) {
        if (isAway(e) || isSignedOut(e)) {
          setAway(isAway(e));
          answer?.({ state: 'waiting' });
          return false;
        }
        setAway(false);
        // Whoever stands there is told at once; what was made long ago is kept until somebody looks at it.
        if (answer) put(afterSent(now.current, entry.key));
        else put(afterRefused(now.current, entry.key, e instanceof Error ? e.message : String(e)));
        answer?.({ state: 'refused', error: e });
        await mutate();
        return true;
      }
    },
    [mutate, path, put],
  );

  const flush = useCallback(async (): Promise<void> => {
    if (sending.current) return;
    sending.current = true;
    try {
      for (let next = now.current.entries[0]; next; next = now.current.entries[0])
        if (!(await sendOne(next))) {
          for (const answer of waiting.current.values()) answer({ state: 'waiting' });
          waiting.current.clear();
          break;
        }
    } finally {
      sending.current = false;
    }
  }, [sendOne]);

  useEffect(() => {
    if (!me) return;
    put(load(key));
    void flush();
    const back = (): void => void flush();
    window.addEventListener('online', back);
    return () => window.removeEventListener('online', back);
  }, [flush, key, me, put]);
  useEffect(() => {
    if (queue.entries.length === 0) return;
    const again = setInterval(() => void flush(), AGAIN_MS);
    return () => clearInterval(again);
  }, [flush, queue.entries.length]);

  const send = useCallback(
    (entry: Pick<Entry, 'kind' | 'row' | 'name' | 'body'>): Promise<Outcome> => {
      const work = latest.current;
      if (!work) return Promise.resolve({ state: 'refused', error: new Error('The work order is not here yet.') });
      const made: Entry = {
        ...entry,
        key: makeUuid(),
        at: new Date().toISOString(),
        version: versionFor(work, now.current, entry.kind, entry.row),
      };
      return new Promise((resolve) => {
        waiting.current.set(made.key, resolve);
        put({ ...now.current, entries: [...now.current.entries, made] });
        void flush();
      });
    },
    [flush, put],
  );

  const gates = useMemo(
    () => new Map(kept && plan ? kept.steps.map((s) => [s.stepId, gateOf(plan, s.stepId)]) : []),
    [kept, plan],
  );
  const work = useMemo(
    () => (kept ? overlay(kept, queue, me?.name ?? '', gates) : undefined),
    [kept, queue, me?.name, gates],
  );
  return {
    work,
    plan,
    error,
    noPlan,
    queue,
    away,
    send,
    /** Takes an answer of another address of this work order. */
    take: (next: WorkOrder) => mutate(next, { revalidate: false }),
    /** Puts a clash again on what stands there now. */
    again: (clash: string): void => {
      const entry = now.current.clashes.find((c) => c.entry.key === clash)?.entry;
      if (!entry || !latest.current) return;
      const version = versionFor(latest.current, now.current, entry.kind, entry.row);
      put(putAgain(now.current, clash, { key: makeUuid(), version }));
      void flush();
    },
    letGo: (clash: string): void => put(letGo(now.current, clash)),
  };
};

const gateOf = (plan: WorkPlanData, key: string) => plan.steps.find((s) => s.id === readUnitKey(key).id)?.gate;
