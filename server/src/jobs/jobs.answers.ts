import type { SticksFound } from './sticksJob.ts';

/** Work that takes a while, as whoever asked for it sees it. `result` grows while it runs. */
export interface Job {
  readonly id: number;
  readonly kind: 'export' | 'papers' | 'sticks' | 'batch';
  readonly state: 'waiting' | 'running' | 'done' | 'failed' | 'stopped';
  /** 0 to 1. */
  readonly progress: number;
  readonly note: string;
  readonly result: SticksFound | null;
  /** Whether there is a file to fetch. */
  readonly file: string | null;
  readonly createdAt: string;
}
