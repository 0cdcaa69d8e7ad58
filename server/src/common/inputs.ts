import { applyDecorators, NotFoundException, ParseIntPipe } from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import {
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  registerDecorator,
  ValidateIf,
} from 'class-validator';
import { UNDONE_WORDS } from '@rubbet/core/order';
import type { Undone } from '@rubbet/core/order';

/** Largest id or version that the database holds. */
const LARGEST = 2_147_483_647;

/** A field that may be left out; null is no way of leaving it out. */
export const Optional = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

const trimmed = Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value));

/** A text of some letters, trimmed; blank counts as nothing. `name` is how people call the field. */
export const Text = (name: string, least: number, most: number): PropertyDecorator =>
  applyDecorators(
    trimmed,
    IsString({ message: `${name} must be a text` }),
    ...(least > 0
      ? [MinLength(least, { message: `${name} needs at least ${least === 2 ? 'two letters' : `${least} letter`}` })]
      : []),
    MaxLength(most, { message: `${name} must be at most ${most} letters` }),
  );

/** A whole number within bounds. */
export const Whole = (name: string, least: number, most: number, unit = ''): PropertyDecorator =>
  applyDecorators(
    IsInt({ message: `${name} must be a whole number${unit ? ` of ${unit}` : ''}` }),
    Min(least, { message: `${name} must be ${least}${unit ? ` ${unit}` : ''} or more` }),
    Max(most, { message: `${name} must be ${most}${unit ? ` ${unit}` : ''} or ${unit ? 'less' : 'fewer'}` }),
  );

/** A whole number that may be left out, or taken away by null. */
export const OrNone =
  (name: string, least: number, most: number, unit: string): PropertyDecorator =>
  (target, key) => {
    ApiPropertyOptional({ type: Number, nullable: true, description: unit })(target, key);
    ValidateIf((_, value) => value !== undefined && value !== null)(target, key);
    Whole(name, least, most, unit)(target, key);
  };

/** Longest thing that the rack holds or the yard sells, inches: a roll. */
const LONGEST = 6000;

/** A length in inches that may be left out. */
export const OptionalInches =
  (name: string): PropertyDecorator =>
  (target, key) => {
    ApiPropertyOptional({ description: 'inches' })(target, key);
    Optional()(target, key);
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: `${name} must be a number of inches` })(target, key);
    Min(1, { message: `${name} must be 1 inch or more` })(target, key);
    Max(LONGEST, { message: `${name} must be ${LONGEST} inches or less` })(target, key);
  };

/** The id of a record. */
export const Id = (message: string): PropertyDecorator =>
  applyDecorators(IsInt({ message }), Min(1, { message }), Max(LARGEST, { message }));

/** The version that a change was made on; 0 where nothing was there yet. */
export const Version = (): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ description: 'The version that the change was made on, 0 where there was none.' }),
    Whole('the version', 0, LARGEST),
  );

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
/** Whether a text is a day of this century as `2026-05-04`. */
export const isDay = (value: unknown): boolean => {
  const m = typeof value === 'string' ? DAY.exec(value) : null;
  if (!m) return false;
  const at = new Date(`${m[0]}T00:00:00Z`);
  return (
    !Number.isNaN(at.getTime()) && at.toISOString().slice(0, 10) === m[0] && m[1] !== undefined && m[1].startsWith('20')
  );
};

/** A day as `2026-05-04`. */
export const IsDay =
  (name: string): PropertyDecorator =>
  (target, key) =>
    registerDecorator({
      name: 'isDay',
      target: target.constructor,
      propertyName: String(key),
      options: { message: `${name} must be a date like 2026-05-04` },
      validator: { validate: isDay },
    });

/** An hour as `09:30`. */
export const Clock = (name: string): PropertyDecorator =>
  Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: `${name} must be written like 09:30` });

/** What the person agreed to lose with this change. */
export const Agreed = (): PropertyDecorator =>
  applyDecorators(
    ApiPropertyOptional({ isArray: true, enum: Object.keys(UNDONE_WORDS) }),
    Optional(),
    IsArray({ message: 'what is agreed to must be a list' }),
    IsIn(Object.keys(UNDONE_WORDS) as Undone[], { each: true, message: 'what is agreed to is not known' }),
  );

/** The id in an address; anything else leads nowhere. */
export const IdPipe = new ParseIntPipe({
  exceptionFactory: () =>
    new NotFoundException({ code: 'not-found', message: 'There is nothing at this address: its number is none.' }),
});
