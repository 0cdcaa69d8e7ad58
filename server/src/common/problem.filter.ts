import { Catch, HttpException, Logger } from '@nestjs/common';
import type { ArgumentsHost, ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { DemandError } from '@rubbet/core/cut';
import { ModelFileError } from '@rubbet/core/formats';
import { SpecError } from '@rubbet/core/model';
import { RuleError } from '@rubbet/core/order';
import { SurveyError } from '@rubbet/core/site';

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
  413: 'too-large',
  429: 'too-many',
};
const SENTENCES: Readonly<Record<number, string>> = {
  401: 'Sign in to go on.',
  403: 'Your sign-in does not cover this; ask the office.',
  404: 'There is nothing at this address.',
  413: 'That is too large to take in.',
};

const problemOf = (error: unknown): Problem => {
  if (error instanceof SpecError) return { status: 400, code: 'spec', message: error.message, faults: error.faults };
  if (
    error instanceof SurveyError ||
    error instanceof DemandError ||
    error instanceof RuleError ||
    error instanceof ModelFileError
  )
    return { status: 400, code: 'invalid', message: error.message };
  if (error instanceof HttpException) {
    const status = error.getStatus();
    const body = error.getResponse();
    if (typeof body === 'object' && 'code' in body) return { ...(body as { code: string; message: string }), status };
    const raw = typeof body === 'object' && 'message' in body ? (body as { message: unknown }).message : body;
    const text = Array.isArray(raw)
      ? raw.map((m) => `${String(m)[0]?.toUpperCase() ?? ''}${String(m).slice(1)}.`).join(' ')
      : String(raw);
    return { status, code: CODES[status] ?? 'failed', message: SENTENCES[status] ?? text };
  }
  const status =
    typeof error === 'object' &&
    error !== null &&
    'status' in error &&
    typeof error.status === 'number' &&
    error.status < 500
      ? error.status
      : 500;
  if (status < 500)
    return { status, code: CODES[status] ?? 'failed', message: SENTENCES[status] ?? 'The request could not be read.' };
  return { status: 500, code: 'failed', message: 'Something went wrong on our side. Nothing was changed; try again.' };
};

/** Turns every error into a problem response; faults of ours are logged in full and told in one sentence. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  readonly #log = new Logger('problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const problem = problemOf(error);
    if (problem.status >= 500) this.#log.error(error instanceof Error ? error.stack : String(error));
    const response = host.switchToHttp().getResponse<Response>();
    if (!response.headersSent) response.status(problem.status).json(problem);
  }
}
