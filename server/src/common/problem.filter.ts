import { Catch, HttpException, Logger } from '@nestjs/common';
import type { ArgumentsHost, ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { DemandError } from '@rubbet/core/cut';
import { ModelFileError } from '@rubbet/core/formats';
import { SpecError } from '@rubbet/core/model';
import { RuleError, WorkPlanError } from '@rubbet/core/order';
import { SurveyError } from '@rubbet/core/site';
import type { User } from '../auth/auth.answers.ts';
import { hide, seesAll } from './hidden.ts';

/** What every failed request answers with: a code for programs and a sentence for people. */
export interface Problem {
  readonly status: number;
  readonly code: string;
  readonly message: string;
  readonly [more: string]: unknown;
}

const CODES: Readonly<Record<number, string>> = {
  400: 'invalid',
  401: 'signed-out',
  403: 'not-yours',
  404: 'not-found',
  409: 'conflict',
  410: 'gone',
  413: 'too-large',
  415: 'invalid',
  429: 'too-many',
  503: 'away',
};
const SENTENCES: Readonly<Record<number, string>> = {
  401: 'Sign in to go on.',
  403: 'Your sign-in does not cover this; ask the office.',
  404: 'There is nothing at this address.',
  413: 'That is too large to take in.',
};

/** What the database driver says when the database is not there, or has no connection free. */
const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_CONNECTION_KILLED',
  'ER_UNKNOWN_COM_ERROR',
  'POOL_CLOSED',
]);
const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
const isAway = (error: unknown): boolean =>
  AWAY.has(codeOf(error)) ||
  (error instanceof Error &&
    (error.name === 'KnexTimeoutError' || /closed state|Connection lost/i.test(error.message)));

/** Values that the checks let through and the database does not hold. */
const UNFIT = new Set([
  'ER_DATA_TOO_LONG',
  'ER_WARN_DATA_OUT_OF_RANGE',
  'ER_TRUNCATED_WRONG_VALUE',
  'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD',
  'ER_BAD_NULL_ERROR',
]);

const ofHttp = (error: HttpException): Problem => {
  const status = error.getStatus();
  const body = error.getResponse();
  if (typeof body === 'object' && 'code' in body) return { ...(body as { code: string; message: string }), status };
  const raw = typeof body === 'object' && 'message' in body ? (body as { message: unknown }).message : body;
  const text = Array.isArray(raw)
    ? raw.map((m) => `${String(m)[0]?.toUpperCase() ?? ''}${String(m).slice(1)}.`).join(' ')
    : String(raw);
  return { status, code: CODES[status] ?? 'failed', message: SENTENCES[status] ?? text };
};

/** What a reader says begins with the name of what it read: people are told a sentence. */
const asSentence = (text: string): string => (/^[a-z]/.test(text) ? `Not taken: ${text}` : text);

const problemOf = (error: unknown): Problem => {
  if (error instanceof SpecError)
    return { status: 400, code: 'spec', message: asSentence(error.message), faults: error.faults.slice(0, 50) };
  if (
    error instanceof SurveyError ||
    error instanceof DemandError ||
    error instanceof RuleError ||
    error instanceof ModelFileError
  )
    return { status: 400, code: 'invalid', message: asSentence(error.message) };
  if (error instanceof WorkPlanError) return { status: 409, code: 'newer-plan', message: error.message };
  if (error instanceof HttpException) return ofHttp(error);
  if (isAway(error))
    return {
      status: 503,
      code: 'away',
      message: 'The database does not answer just now. Nothing was changed; it is tried again in a moment.',
    };
  const code = codeOf(error);
  if (code === 'ER_DUP_ENTRY')
    return {
      status: 409,
      code: 'taken',
      message: 'Somebody made the same at the same moment. Look at what is there now, then try again.',
    };
  if (UNFIT.has(code))
    return {
      status: 400,
      code: 'invalid',
      message: 'A value is too long, too large or missing: check what you entered.',
    };
  const given = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  if (given >= 400 && given < 500)
    return {
      status: given,
      code: CODES[given] ?? 'failed',
      message: SENTENCES[given] ?? 'The request could not be read.',
    };
  if (error instanceof URIError)
    return {
      status: 400,
      code: 'invalid',
      message: 'This address could not be read: a % in it is not followed by two digits.',
    };
  return { status: 500, code: 'failed', message: 'Something went wrong on our side. Nothing was changed; try again.' };
};

/** Turns every error into a problem response; faults of ours are logged in full and told in one sentence. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  readonly #log = new Logger('problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const problem = problemOf(error);
    if (problem.status === 500) this.#log.error(error instanceof Error ? error.stack : String(error));
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return;
    if (problem.status === 503) response.setHeader('Retry-After', '2');
    if (typeof problem.wait === 'number') response.setHeader('Retry-After', String(problem.wait));
    const { user } = host.switchToHttp().getRequest<Request & { user?: User }>();
    // A refused write shows the record as it is; what is not the reader's to see is not shown that way either.
    response.status(problem.status).json(seesAll(user) ? problem : hide(problem));
  }
}
