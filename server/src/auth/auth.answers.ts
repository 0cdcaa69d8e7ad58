import type { StaffRole } from '@rubbet/core/order';

/** The signed-in person. */
export interface User {
  readonly id: number;
  readonly name: string;
  readonly login: string;
  readonly role: StaffRole;
}
