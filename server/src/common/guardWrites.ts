import type { NextFunction, Request, Response } from 'express';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
/** How long browsers come back over TLS only, seconds. */
const A_YEAR = 31_536_000;

const refuse = (response: Response, status: number, code: string, message: string): void =>
  void response.status(status).json({ status, code, message });

/** Whether a write comes from a page of this server: what a browser says of where it was started. */
const isOurs = (request: Request): boolean => {
  const site = request.headers['sec-fetch-site'];
  if (typeof site === 'string' && site !== 'same-origin' && site !== 'none') return false;
  const { origin } = request.headers;
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === (request.get('x-forwarded-host') ?? request.get('host'));
  } catch {
    return false;
  }
};

/**
 * What holds for every request to the API: answers are kept by no cache, over TLS browsers are told to stay with it, and
 * writes are JSON from a page of this server alone.
 */
export const guardWrites = (request: Request, response: Response, next: NextFunction): void => {
  if (request.secure) response.setHeader('Strict-Transport-Security', `max-age=${A_YEAR}`);
  if (!request.path.startsWith('/api')) return next();
  response.setHeader('Cache-Control', 'no-store');
  if (READS.has(request.method)) return next();
  if (!isOurs(request))
    return refuse(response, 403, 'other-origin', 'This was sent from another site and is not taken in.');
  const hasBody = Number(request.headers['content-length'] ?? 0) > 0 || 'transfer-encoding' in request.headers;
  if (hasBody && !request.is('application/json'))
    return refuse(response, 415, 'invalid', 'Only JSON is taken in: send it as application/json.');
  next();
};
