import { Injectable, SetMetadata, StreamableFile } from '@nestjs/common';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { map } from 'rxjs';
import type { Observable } from 'rxjs';
import type { User } from '../auth/auth.answers.ts';

const KEY = 'as-it-is';
/** A route whose answer holds no money and no addresses of mail, or sees to that itself. */
export const AsItIs = () => SetMetadata(KEY, true);

const MONEY = new Set([
  'price',
  'acceptedPrice',
  'marginShare',
  'material',
  'cost',
  'margin',
  'each',
  'costApart',
  'costMesh',
  'costBound',
  'terms',
]);

/** An answer without what only the office sees: prices, margins, mail addresses and customers' links, wherever in it. */
export const hide = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(hide);
  if (typeof value !== 'object' || value === null || value instanceof Date) return value;
  const out: Record<string, unknown> = {};
  for (const [key, inner] of Object.entries(value)) {
    if (key === 'token') out[key] = null;
    else if (key === 'email') out[key] = '';
    else if (key === 'accepted' && typeof inner === 'object' && inner !== null) out[key] = { ...inner, price: null };
    else if (!MONEY.has(key)) out[key] = hide(inner);
  }
  return out;
};

/** Whether somebody sees everything: the office, and customers what is made for them. */
export const seesAll = (user: User | undefined): boolean => user === undefined || user.roles.includes('office');

/** Takes out of answers what is not the reader's to see, in lists and details alike. */
@Injectable()
export class HiddenInterceptor implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { user } = context.switchToHttp().getRequest<Request & { user?: User }>();
    const asItIs = Reflect.getMetadata(KEY, context.getHandler()) as boolean | undefined;
    if (seesAll(user) || asItIs) return next.handle();
    return next.handle().pipe(map((answer) => (answer instanceof StreamableFile ? answer : hide(answer))));
  }
}
