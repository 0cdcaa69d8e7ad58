import type { StaffRole } from '@rubbet/core/order';
import type { Station } from '@rubbet/core/steps';

/** Somebody of the business; without a login they work and do not sign in. */
export interface Person {
  readonly id: number;
  readonly name: string;
  readonly login: string | null;
  readonly phone: string;
  readonly roles: readonly StaffRole[];
  readonly skills: readonly Station[];
  /** Working minutes of each day of the week, Sunday first; null: as the business works. */
  readonly hours: readonly number[] | null;
  readonly active: boolean;
  /** Whether a one-time link waits to be used. */
  readonly invited: boolean;
  readonly crews: readonly string[];
  readonly version: number;
}
