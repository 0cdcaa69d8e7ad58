import { BadRequestException } from '@nestjs/common';
import { addDays, daysBetween } from '@rubbet/core/days';
import { shopToday } from '../business/readBusiness.ts';
import type { Db } from '../database/connect.ts';

/** Most days that are written down at once, and where the morning ends. */
const MOST = 60;
export const NOON = 720;

/** Part of a day. */
export const PARTS = ['day', 'morning', 'afternoon'] as const;
export type DayPart = (typeof PARTS)[number];

/** A part of a day as minutes from when, and to when; none where it is the day's own. */
export const minutesIn = (
  part: DayPart = 'day',
): { readonly from_minute: number | null; readonly to_minute: number | null } => ({
  from_minute: part === 'afternoon' ? NOON : null,
  to_minute: part === 'morning' ? NOON : null,
});

/**
 * Days from one to another, that one too, none of them over.
 * @throws BadRequestException where they are over, too many, or the last lies before the first
 */
export const daySpan = async (db: Db, first: string, last: string = first): Promise<string[]> => {
  if (first < (await shopToday(db)))
    throw new BadRequestException({ code: 'invalid', message: 'That day is over: choose today or a later one.' });
  const count = daysBetween(first, last) + 1;
  if (count < 1 || count > MOST)
    throw new BadRequestException({
      code: 'invalid',
      message: `The last day must not lie before the first, nor more than ${MOST} days after it.`,
    });
  return Array.from({ length: count }, (_, n) => addDays(first, n));
};
