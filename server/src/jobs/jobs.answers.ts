/** Work that takes a while, as whoever asked for it sees it. */
export interface Job {
  readonly id: number;
  readonly kind: 'export' | 'papers' | 'batch';
  readonly state: 'waiting' | 'running' | 'done' | 'failed' | 'stopped';
  /** 0 to 1. */
  readonly progress: number;
  readonly note: string;
  /** Whether there is a file to fetch. */
  readonly file: string | null;
  readonly createdAt: string;
}
