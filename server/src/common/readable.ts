import { BadRequestException, PayloadTooLargeException, UnsupportedMediaTypeException } from '@nestjs/common';
import { json } from 'express';
import type { NextFunction, Request, Response } from 'express';

/** Deepest nesting and most values that a body may have: more is never an honest one, and costs time to check. */
const DEEPEST = 24;
const MOST_VALUES = 20_000;
/** Names of what every object has inside: as fields they are dropped or worse on the way. */
const isInside = (key: string): boolean => key === 'prototype' || key in Object.prototype;

const refuse = (message: string): never => {
  throw new BadRequestException({ code: 'invalid', message });
};

const checkText = (text: string): void => {
  if (!text.isWellFormed()) refuse('A text has half of a sign in it: type it again.');
  if (text.includes('\0')) refuse('A text has a sign in it that cannot be kept (NUL): take it out.');
};

/**
 * Looks a body through before anything reads it: how deep, how much, no keys that name the insides of objects, no texts that
 * the database could not give back as they came.
 */
export const checkBody = (body: unknown): void => {
  let values = 0;
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST) refuse(`That is nested deeper than ${DEEPEST} levels and is not taken in.`);
    const next: unknown[] = [];
    for (const value of level) {
      if (++values > MOST_VALUES) refuse(`That holds more than ${MOST_VALUES} values and is not taken in.`);
      if (typeof value === 'string') checkText(value);
      else if (typeof value === 'number' && !Number.isFinite(value)) refuse('A number is too large to be kept.');
      else if (Array.isArray(value)) next.push(...(value.length > MOST_VALUES ? [null, ...value] : value));
      else if (typeof value === 'object' && value !== null)
        for (const [key, inner] of Object.entries(value)) {
          if (isInside(key)) refuse(`"${key}" is no field of anything here: take it out.`);
          checkText(key);
          next.push(inner);
        }
    }
    level = next;
  }
};

/** Texts in the address: each key once, each readable. */
const checkQuery = (query: Readonly<Record<string, unknown>>): void => {
  for (const [key, value] of Object.entries(query)) {
    if (typeof value !== 'string') refuse(`"${key}" stands in the address more than once: leave one.`);
    checkText(value as string);
  }
};

/** Lets only what can be read and kept through to the routes. */
export const readable = (request: Request, _response: Response, next: NextFunction): void => {
  try {
    checkText(decodeURIComponent(request.path));
    checkQuery(request.query as Record<string, unknown>);
    if (request.body !== undefined) checkBody(request.body);
    next();
  } catch (error) {
    next(error);
  }
};

/** Largest body that is taken in. */
const MOST_BYTES = '512kb';
const parse = json({ limit: MOST_BYTES });

/** What is wrong with a body that could not be read, in words. */
const unreadable = (error: { readonly type?: string }): Error => {
  switch (error.type) {
    case 'entity.too.large':
      return new PayloadTooLargeException();
    case 'encoding.unsupported':
    case 'charset.unsupported':
      return new UnsupportedMediaTypeException({
        code: 'invalid',
        message: 'This way of writing is not understood: send JSON in UTF-8.',
      });
    default:
      return new BadRequestException({
        code: 'invalid',
        message: 'What was sent is not JSON that can be read: look for a comma or a quote that is missing.',
      });
  }
};

/** Reads a JSON body. */
export const readBody = (request: Request, response: Response, next: NextFunction): void =>
  parse(request, response, (error?: unknown) =>
    next(error === undefined ? undefined : unreadable(error as { readonly type?: string })),
  );
