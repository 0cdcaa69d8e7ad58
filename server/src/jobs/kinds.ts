import type { StaffRole } from '@rubbet/core/order';
import type { Job } from './jobs.answers.ts';

export type JobKind = Job['kind'];
/** Jobs that are asked for by themselves; the others come with what they are for. */
export const ASKED_KINDS: readonly JobKind[] = ['export', 'papers'];

/** Who may ask for what. */
export const MAY_ASK: Readonly<Record<JobKind, readonly StaffRole[]>> = {
  export: ['office'],
  papers: ['office', 'shop'],
  batch: ['office', 'shop'],
};

/** What a running job is given: it says how far it is and hears when it is to stop. */
export interface JobRun {
  readonly signal: AbortSignal;
  readonly say: (progress: number, note: string) => void;
  /** Takes the bytes of the job's file, in order. */
  readonly write: (bytes: Buffer) => Promise<void>;
}

/** What a job leaves: what is to be said of it, and the name of a file that it has written. */
export interface JobDone {
  readonly note: string;
  /** The name of the archive that it has written. */
  readonly file?: string;
}
