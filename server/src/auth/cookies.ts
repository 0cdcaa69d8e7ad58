import type { CookieOptions, Request, Response } from 'express';
import type { From, Opened } from './sessions.service.ts';

export const SESSION = 'rubbet';
const DEVICE = 'rubbet-device';

/** Behind TLS a cookie travels over nothing else. */
const options = (request: Request): CookieOptions => ({
  httpOnly: true,
  sameSite: 'strict',
  path: '/',
  secure: request.secure,
});

export const cookieOf = (request: Request, name = SESSION): string | undefined =>
  (request.cookies as Record<string, string> | undefined)?.[name];

/** From where a request comes, as it is written down beside a sign-in. */
export const fromOf = (request: Request): From => ({
  address: (request.ip ?? '').slice(0, 60),
  agent: request.headers['user-agent'] ?? '',
  device: cookieOf(request, DEVICE),
});

export const giveCookies = (request: Request, response: Response, opened: Opened): void => {
  response.cookie(SESSION, opened.token, { ...options(request), maxAge: opened.maxAge });
  response.cookie(DEVICE, opened.device, { ...options(request), maxAge: opened.deviceAge });
};

/** Takes the session back; the browser stays known. */
export const dropCookie = (request: Request, response: Response): void => {
  response.clearCookie(SESSION, options(request));
};
