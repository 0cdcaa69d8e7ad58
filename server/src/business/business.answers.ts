import type { Business } from '@rubbet/core/order';

/** The business with what is true of it just now. */
export interface BusinessAnswer extends Business {
  readonly version: number;
  readonly demo: boolean;
  /** Whether passwords that anybody can read about still open a sign-in. */
  readonly demoPasswords: boolean;
  readonly today: string;
}
