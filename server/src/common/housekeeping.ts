import { Inject, Injectable, Logger } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

const HOUR_MS = 3_600_000;

/** What is swept away once it is of no use any more: table, its column of time, and how old it may get. */
const SWEPT = [
  ['login_attempts', 'at', '1 DAY'],
  ['sessions', 'expires_at', '0 DAY'],
  ['invites', 'expires_at', '30 DAY'],
  ['devices', 'seen_at', '200 DAY'],
  ['computations', 'made_at', '60 DAY'],
  ['jobs', 'created_at', '14 DAY'],
] as const;

/** Sweeps away what has expired, every hour; any instance may do it at any time. */
@Injectable()
export class Housekeeping implements OnApplicationBootstrap, OnApplicationShutdown {
  readonly #log = new Logger('housekeeping');
  #timer: NodeJS.Timeout | undefined;

  constructor(@Inject(DB) private readonly db: Db) {}

  onApplicationBootstrap(): void {
    this.#timer = setInterval(() => void this.sweep(), HOUR_MS);
    this.#timer.unref();
  }

  onApplicationShutdown(): void {
    clearInterval(this.#timer);
  }

  async sweep(): Promise<void> {
    try {
      for (const [table, column, age] of SWEPT)
        await this.db.raw(`DELETE FROM ${table} WHERE ${column} < DATE_SUB(UTC_TIMESTAMP(), INTERVAL ${age})`);
    } catch (error) {
      // A database that is away is swept an hour later.
      this.#log.warn(`What has expired could not be swept away: ${error instanceof Error ? error.message : ''}`);
    }
  }
}
