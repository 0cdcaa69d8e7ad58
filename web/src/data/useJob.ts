import { useState } from 'react';
import useSWR, { mutate } from 'swr';
import { api } from './api.ts';
import type { JobData } from './types.ts';

const RUNNING = new Set<JobData['state']>(['waiting', 'running']);
/** How often a job is asked after where no event arrives, ms. */
const ASK_MS = 3000;

/** A job of one kind: asked for, followed while it runs, stopped. The last one asked for is there again after a reload. */
export const useJob = (kind: JobData['kind']) => {
  const { data: list } = useSWR<JobData[]>('/jobs');
  const [asked, setAsked] = useState<number>();
  const id = asked ?? list?.find((j) => j.kind === kind)?.id;
  const { data: job } = useSWR<JobData>(id === undefined ? null : `/jobs/${id}`, {
    refreshInterval: (latest) => (latest && RUNNING.has(latest.state) ? ASK_MS : 0),
  });
  return {
    job,
    running: job !== undefined && RUNNING.has(job.state),
    start: async (): Promise<void> => {
      const made = await api<JobData>('/jobs', { method: 'POST', body: { kind } });
      await mutate(`/jobs/${made.id}`, made, { revalidate: false });
      setAsked(made.id);
    },
    stop: async (): Promise<void> => {
      if (job)
        await mutate(`/jobs/${job.id}`, await api<JobData>(`/jobs/${job.id}`, { method: 'DELETE' }), {
          revalidate: false,
        });
    },
  };
};
