import { ApiPropertyOptional } from '@nestjs/swagger';
import { IsArray, IsIn, IsInt, IsNumber, IsString, MaxLength } from 'class-validator';
import { PAPERS } from '@rubbet/core/order';
import { Optional, Version } from '../common/inputs.ts';

const Line =
  (most: number): PropertyDecorator =>
  (target, key) => {
    ApiPropertyOptional({ type: String })(target, key);
    Optional()(target, key);
    IsString({ message: `${String(key)} must be a text` })(target, key);
    MaxLength(most, { message: `${String(key)} must be at most ${most} letters` })(target, key);
  };

/** What a business says of itself; the core judges each value. */
export class BusinessFields {
  @Line(80) name?: string;
  @Line(240) address?: string;
  @Line(40) phone?: string;
  @Line(120) email?: string;
  @Line(60) timeZone?: string;
  @Line(3) currency?: string;

  @ApiPropertyOptional({ enum: PAPERS })
  @Optional()
  @IsIn([...PAPERS], { message: 'the paper is letter or a4' })
  paper?: 'letter' | 'a4';

  @Line(5) opens?: string;

  @ApiPropertyOptional({ description: 'Working minutes of a day.' })
  @Optional()
  @IsInt({ message: 'the working day must be whole minutes' })
  dayMinutes?: number;

  @ApiPropertyOptional({ type: [Number] })
  @Optional()
  @IsArray({ message: 'the working days must be a list' })
  workdays?: number[];

  @ApiPropertyOptional({ description: 'Degrees north.' })
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'degrees north must be a number' })
  north?: number;

  @ApiPropertyOptional({ description: 'Degrees east.' })
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'degrees east must be a number' })
  east?: number;
}

export class BusinessDto extends BusinessFields {
  @Version()
  version!: number;
}
