import type { BusinessRules, StaffRole } from '@rubbet/core/order';

/** How a person reads lengths. */
export type UnitChoice = BusinessRules['units'];

/** The signed-in person. `units` null: as the business has them. */
export interface User {
  readonly id: number;
  readonly name: string;
  readonly login: string;
  readonly roles: readonly StaffRole[];
  readonly units: UnitChoice | null;
}

/** A place where a person is signed in. */
export interface SessionLine {
  readonly id: string;
  readonly agent: string;
  readonly address: string;
  readonly since: string;
  readonly seen: string;
  /** Whether it is the one that asks. */
  readonly mine: boolean;
}

/** What a one-time link is for. */
export interface InviteAnswer {
  readonly name: string;
  /** The login that is kept; null where the person chooses one. */
  readonly login: string | null;
}

/** A one-time link, shown once. */
export interface InviteMade {
  readonly token: string;
  readonly expiresAt: string;
}

/** Whether a first page waits for the code of the terminal. */
export interface SetupAnswer {
  readonly open: boolean;
}
