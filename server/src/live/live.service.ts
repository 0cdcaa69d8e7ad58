import { Inject, Injectable } from '@nestjs/common';
import type { MessageEvent, OnModuleDestroy } from '@nestjs/common';
import { Observable } from 'rxjs';
import type { Subscriber } from 'rxjs';
import type { User } from '../auth/auth.answers.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { jobOf } from '../jobs/jobs.service.ts';

/** How often the book is looked at while somebody listens, ms. */
const LOOK_MS = 400;
/** Deeds that are looked at again: on a cluster a lower number may come to be seen after a higher one. */
const WINDOW = 200;
/** A sign of life now and then, so that what stands between does not cut the line, ms. */
const BEAT_MS = 20_000;
/** Listeners that one person may have. */
const MOST = 12;
/** What is done to these is the office's to know. */
const OFFICE_ONLY = new Set(['session', 'person', 'business', 'settings', 'customer', 'site']);

interface Listener {
  readonly me: User;
  readonly to: Subscriber<MessageEvent>;
  readonly sent: Map<number, string>;
}

/**
 * Tells signed-in people what others change, by whichever instance: the book of deeds is in the database, so what one writes
 * every other reads. Nobody listening, nothing is asked.
 */
@Injectable()
export class Live implements OnModuleDestroy {
  readonly #listeners = new Set<Listener>();
  #timer: NodeJS.Timeout | undefined;
  #beat: NodeJS.Timeout | undefined;
  #highest = 0;
  #seen = new Set<number>();
  #looking = false;

  constructor(@Inject(DB) private readonly db: Db) {}

  /** Before the server waits for its connections: these would never end by themselves. */
  onModuleDestroy(): void {
    this.end();
    for (const l of this.#listeners) l.to.complete();
  }

  listen(me: User): Observable<MessageEvent> {
    return new Observable((to) => {
      const mine = [...this.#listeners].filter((l) => l.me.id === me.id);
      // The oldest of too many is let go: a page that was left open somewhere.
      if (mine.length >= MOST) mine[0]?.to.complete();
      const listener: Listener = { me, to, sent: new Map() };
      this.#listeners.add(listener);
      to.next({ type: 'hello', data: {} });
      void this.begin();
      return () => {
        this.#listeners.delete(listener);
        if (this.#listeners.size === 0) this.end();
      };
    });
  }

  private async begin(): Promise<void> {
    if (this.#timer) return;
    this.#timer = setInterval(() => void this.look(), LOOK_MS);
    this.#timer.unref();
    this.#beat = setInterval(() => {
      for (const l of this.#listeners) l.to.next({ type: 'beat', data: {} });
    }, BEAT_MS);
    this.#beat.unref();
    this.#highest = 0;
    await this.look();
  }

  private end(): void {
    clearInterval(this.#timer);
    clearInterval(this.#beat);
    this.#timer = undefined;
    this.#beat = undefined;
  }

  private async look(): Promise<void> {
    if (this.#looking) return;
    this.#looking = true;
    try {
      await this.tellDeeds();
      await this.tellJobs();
    } catch {
      // A database that is away is asked again in a moment.
    } finally {
      this.#looking = false;
    }
  }

  private async tellDeeds(): Promise<void> {
    const rows = (await this.db('audit')
      .where('id', '>', Math.max(0, this.#highest - WINDOW))
      .orderBy('id', 'desc')
      .limit(WINDOW)
      .select('id', 'entity', 'entity_id as of', 'user_id as by')) as {
      id: number;
      entity: string;
      of: string;
      by: number | null;
    }[];
    const first = this.#highest === 0;
    const fresh = first ? [] : rows.filter((r) => !this.#seen.has(r.id));
    this.#highest = rows[0]?.id ?? this.#highest;
    this.#seen = new Set(rows.map((r) => r.id));
    for (const { entity, of } of fresh.reverse())
      for (const l of this.#listeners)
        if (!OFFICE_ONLY.has(entity) || l.me.roles.includes('office'))
          l.to.next({ type: 'changed', data: { entity, id: of } });
  }

  private async tellJobs(): Promise<void> {
    const people = [...new Set([...this.#listeners].map((l) => l.me.id))];
    if (people.length === 0) return;
    const rows = await this.db('jobs')
      .whereIn('user_id', people)
      .where(
        (q) =>
          void q
            .whereIn('state', ['waiting', 'running'])
            .orWhere('beat_at', '>', this.db.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL 10 SECOND)')),
      )
      .orderBy('id', 'desc')
      .limit(50)
      .select('id', 'kind', 'state', 'progress', 'note', 'result', 'created_at', 'user_id', 'file');
    for (const row of rows) {
      const job = jobOf(row);
      const text = JSON.stringify(job);
      for (const l of this.#listeners)
        if (l.me.id === row.user_id && l.sent.get(job.id) !== text) {
          l.sent.set(job.id, text);
          l.to.next({ type: 'job', data: job });
        }
    }
  }
}
