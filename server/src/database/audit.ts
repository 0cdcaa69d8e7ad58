import { Inject, Injectable } from '@nestjs/common';
import { DB } from './connect.ts';
import type { Db } from './connect.ts';

/** Who did it: a signed-in person, or a customer through their link. */
export interface Actor {
  readonly id: number | null;
  readonly name: string;
}

/** The book of every write. */
@Injectable()
export class Audit {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Notes a write, inside its transaction when one is given. */
  async note(
    actor: Actor,
    action: string,
    entity: string,
    id: string | number,
    detail: unknown = {},
    trx: Db = this.db,
  ): Promise<void> {
    await trx('audit').insert({
      user_id: actor.id,
      actor: actor.name,
      action,
      entity,
      entity_id: String(id),
      detail: JSON.stringify(detail),
    });
  }
}
