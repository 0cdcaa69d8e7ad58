import type { Db } from './connect.ts';

/** Who did it: a signed-in person, or a customer through their link. */
export interface Actor {
  readonly id: number | null;
  readonly name: string;
}

/** What was done to what: an entry of the book of every write. */
export interface Deed {
  readonly action: string;
  readonly entity: string;
  readonly id: string | number;
  readonly detail?: unknown;
}

/** Longest detail that is written down, characters; a longer one is kept by its size alone. */
const MOST_DETAIL = 60_000;

/** Writes a deed into the book, in the transaction that does it: neither is ever there without the other. */
export const noteDeed = async (trx: Db, actor: Actor, deed: Deed): Promise<void> => {
  const detail = JSON.stringify(deed.detail ?? {});
  await trx('audit').insert({
    user_id: actor.id,
    actor: actor.name,
    action: deed.action,
    entity: deed.entity,
    entity_id: String(deed.id),
    detail: detail.length > MOST_DETAIL ? JSON.stringify({ characters: detail.length }) : detail,
  });
};

/** What a change changed: each field that is not as it was, old and new. Passwords never come here. */
export const changesOf = (before: object, after: object): Record<string, { from: unknown; to: unknown }> => {
  const was = before as Readonly<Record<string, unknown>>;
  const is = after as Readonly<Record<string, unknown>>;
  return Object.fromEntries(
    Object.keys(is)
      .filter((k) => JSON.stringify(was[k]) !== JSON.stringify(is[k]))
      .map((k) => [k, { from: was[k] ?? null, to: is[k] ?? null }]),
  );
};
