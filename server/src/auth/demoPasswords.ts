import { Injectable } from '@nestjs/common';
import { DEMO_PASSWORD, USERS } from '@rubbet/demo';
import type { Db } from '../database/connect.ts';
import { isPassword } from './passwords.ts';

/** Knows whether the passwords of the demo, which anybody can read about, still open a sign-in. */
@Injectable()
export class DemoPasswords {
  readonly #known = new Map<string, boolean>();

  async stand(db: Db): Promise<boolean> {
    const hashes = (await db('users')
      .where({ active: true })
      .whereIn(
        'login',
        USERS.map((u) => u.login),
      )
      .whereNotNull('password_hash')
      .pluck('password_hash')) as string[];
    for (const kept of hashes) {
      // A hash never changes what it stands for, so it is looked at once.
      const known = this.#known.get(kept) ?? (await isPassword(kept, DEMO_PASSWORD));
      this.#known.set(kept, known);
      if (known) return true;
    }
    return false;
  }
}
