import { HttpException, Injectable, SetMetadata } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { finalize, from, switchMap } from 'rxjs';
import type { Observable } from 'rxjs';
import type { User } from '../auth/auth.answers.ts';

const KEY = 'heavy';
/** A route that computes for a while: each person or link has it done one after the other, and only so many wait. */
export const Heavy = () => SetMetadata(KEY, true);

/** Pieces of heavy work that one caller may have waiting: more for people of the shop than for a link. */
const WAITING = { person: 24, link: 4 } as const;

/** Lets each caller's work run in turn, so many at once; one too many waiting is refused. */
export class Turns {
  readonly #atOnce: number;
  readonly #lines = new Map<string, { running: number; readonly waiting: (() => void)[] }>();

  constructor(atOnce = 1) {
    this.#atOnce = atOnce;
  }

  /** Waits for a turn; gives how to end it. Undefined when too many wait already. */
  take(key: string, most: number): Promise<() => void> | undefined {
    const line = this.#lines.get(key) ?? { running: 0, waiting: [] };
    this.#lines.set(key, line);
    const end = (): void => {
      const next = line.waiting.shift();
      if (next) next();
      else if (--line.running === 0) this.#lines.delete(key);
    };
    if (line.running < this.#atOnce) {
      line.running++;
      return Promise.resolve(end);
    }
    if (line.waiting.length >= most) return undefined;
    return new Promise((resolve) => line.waiting.push(() => resolve(end)));
  }
}

/** Who a request's work is counted for: the person, else the link, else the address. */
const callerOf = (request: Request & { user?: User }): string =>
  request.user
    ? `user ${request.user.id}`
    : request.params.token === undefined
      ? `address ${request.ip ?? ''}`
      : `link ${String(request.params.token)}`;

/** Puts heavy routes in line. */
@Injectable()
export class TurnsInterceptor implements NestInterceptor {
  readonly #turns = new Turns();

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const heavy = Reflect.getMetadata(KEY, context.getHandler()) as boolean | undefined;
    if (!heavy) return next.handle();
    const caller = callerOf(context.switchToHttp().getRequest());
    const turn = this.#turns.take(caller, caller.startsWith('user') ? WAITING.person : WAITING.link);
    if (!turn)
      throw new HttpException(
        { code: 'too-many', message: 'Too much is being computed for you already. Wait a moment, then try again.' },
        429,
      );
    return from(turn).pipe(switchMap((end) => next.handle().pipe(finalize(end))));
  }
}
