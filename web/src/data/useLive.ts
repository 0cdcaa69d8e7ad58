import { useEffect, useRef } from 'react';
import { mutate } from 'swr';
import type { JobData } from './types.ts';
import { keysTouched } from './touched.ts';

/** Told in this page when something was changed, with the addresses that it touches. */
const TOUCHED = 'rubbet-touched';

/** Reads again what is kept in pages, which is not found by its address. */
export const useTouched = (address: string, read: () => void): void => {
  const latest = useRef(read);
  useEffect(() => {
    latest.current = read;
  });
  useEffect(() => {
    const hear = (e: Event): void => {
      if ((e as CustomEvent<readonly string[]>).detail.includes(address)) latest.current();
    };
    window.addEventListener(TOUCHED, hear);
    return () => window.removeEventListener(TOUCHED, hear);
  }, [address]);
};

/** How long changes are gathered before what they touch is read again, ms. */
const GATHER_MS = 250;

/**
 * Follows what others do: whatever their changes touch and is on screen is read again. The server tells of changes by whichever
 * instance they were made; jobs arrive with their progress.
 */
export const useLive = (on: boolean): void => {
  useEffect(() => {
    if (!on || typeof EventSource === 'undefined') return;
    let source: EventSource | undefined;
    let touched: string[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    const read = (): void => {
      const keys = new Set(touched);
      touched = [];
      timer = undefined;
      window.dispatchEvent(new CustomEvent<readonly string[]>(TOUCHED, { detail: [...keys] }));
      void mutate((key) => typeof key === 'string' && [...keys].some((k) => key === k || key.startsWith(`${k}?`)));
    };
    const open = (): void => {
      source = new EventSource('/api/live');
      source.addEventListener('changed', (e) => {
        const { entity, id } = JSON.parse((e as MessageEvent<string>).data) as { entity: string; id: string };
        touched.push(...keysTouched(entity, id));
        timer ??= setTimeout(read, GATHER_MS);
      });
      source.addEventListener('job', (e) => {
        const job = JSON.parse((e as MessageEvent<string>).data) as JobData;
        void mutate(`/jobs/${job.id}`, job, { revalidate: false });
      });
    };
    const close = (): void => {
      source?.close();
      source = undefined;
    };
    // A page that the browser keeps for going back would keep its connection too, and there are only six of them: the seventh
    // page of a morning would wait for ever.
    const back = (e: PageTransitionEvent): void => {
      if (!e.persisted || source) return;
      open();
      // What was missed meanwhile is read now.
      void mutate(() => true);
    };
    open();
    window.addEventListener('pagehide', close);
    window.addEventListener('pageshow', back);
    return () => {
      window.removeEventListener('pagehide', close);
      window.removeEventListener('pageshow', back);
      clearTimeout(timer);
      close();
    };
  }, [on]);
};
