import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { STATIONS } from '@rubbet/core/order';
import type { OrderPlace, Undone } from '@rubbet/core/order';
import { METHODS } from '@rubbet/core/steps';
import type { Method } from '@rubbet/core/steps';
import { Agreed, Id, IsDay, Optional, Text, Version, Whole } from '../common/inputs.ts';

export class FlockDto {
  @IsIn(['layers', 'meat'])
  kind!: 'layers' | 'meat';

  @Whole('birds now', 1, 500)
  now!: number;

  @Whole('birds in two years', 1, 500)
  later!: number;

  @IsIn(['standard', 'large', 'bantam'])
  breed!: 'standard' | 'large' | 'bantam';

  @IsBoolean()
  ranging!: boolean;

  @IsIn(['child', 'one adult', 'two adults', 'vehicle'])
  mover!: 'child' | 'one adult' | 'two adults' | 'vehicle';

  @IsIn(['daily', 'yearly', 'never'])
  moves!: 'daily' | 'yearly' | 'never';

  @Optional()
  @IsIn(['mild', 'hard'])
  winters?: 'mild' | 'hard';
}

export class NewOrderDto {
  @ApiProperty()
  @Id('choose a customer')
  customerId!: number;

  @ApiPropertyOptional()
  @Optional()
  @Id('the site is not one of the list')
  siteId?: number;

  @ApiPropertyOptional()
  @Optional()
  @Id('the model is not one of the list')
  modelId?: number;

  @ApiProperty()
  @Text('the title', 2, 120)
  title!: string;

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the wanted day')
  wantedBy!: string;

  @ApiPropertyOptional()
  @Optional()
  @Whole('the number of units', 1, 50)
  quantity?: number;
}

export class OrderChangeDto {
  @Version()
  version!: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('the title', 2, 120)
  title?: string;

  @ApiPropertyOptional({ example: '2026-05-04' })
  @Optional()
  @IsDay('the wanted day')
  wantedBy?: string;

  @ApiPropertyOptional()
  @Optional()
  @Whole('the number of units', 1, 50)
  quantity?: number;

  @ApiPropertyOptional()
  @Optional()
  @Id('choose a customer')
  customerId?: number;

  @ApiPropertyOptional({
    nullable: true,
    type: Number,
    description: 'A site of the customer; null: their own address.',
  })
  @ValidateIf((o: OrderChangeDto) => o.siteId !== undefined && o.siteId !== null)
  @Id('the site is not one of the list')
  siteId?: number | null;

  @ApiPropertyOptional({
    nullable: true,
    enum: METHODS,
    description: 'How it is made and reaches its place; null: what is proposed.',
  })
  @ValidateIf((o: OrderChangeDto) => o.method !== undefined && o.method !== null)
  @IsIn(METHODS)
  method?: Method | null;

  @ApiPropertyOptional()
  @Optional()
  @Text('the notes', 0, 4000)
  notes?: string;

  @ApiPropertyOptional()
  @Optional()
  @IsObject({ message: 'the flock must be an object' })
  @ValidateNested()
  @Type(() => FlockDto)
  flock?: FlockDto;

  @Agreed()
  undo?: Undone[];
}

class MarginDto {
  @ApiProperty({ description: 'share of the price, 0 to 0.89' })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'the margin must be a share' })
  @Min(0, { message: 'the margin must be 0 or more' })
  @Max(0.89, { message: 'the margin must be 0.89 or less' })
  share!: number;

  @ApiProperty()
  @Text('why', 2, 160)
  why!: string;
}

class DiscountDto {
  @ApiProperty({ description: 'cents' })
  @Whole('the discount', 1, 100_000_000, 'cents')
  cents!: number;

  @ApiProperty()
  @Text('why', 2, 160)
  why!: string;
}

class OptionDto {
  @ApiProperty()
  @Text('the option', 2, 80)
  name!: string;

  @ApiProperty({ description: 'cents, before tax' })
  @Whole('the price', 0, 100_000_000, 'cents')
  price!: number;

  @ApiProperty()
  @IsBoolean({ message: 'whether it is taken is true or false' })
  taken!: boolean;
}

export class TermsDto {
  @Version()
  version!: number;

  @ApiPropertyOptional({ type: MarginDto })
  @Optional()
  @ValidateNested()
  @Type(() => MarginDto)
  margin?: MarginDto;

  @ApiPropertyOptional({ type: DiscountDto })
  @Optional()
  @ValidateNested()
  @Type(() => DiscountDto)
  discount?: DiscountDto;

  @ApiProperty({ type: [OptionDto] })
  @IsArray({ message: 'the options must be a list' })
  @ArrayMaxSize(20, { message: 'a quote has 20 options at most' })
  @ValidateNested({ each: true })
  @Type(() => OptionDto)
  options!: OptionDto[];

  @ApiProperty({ description: 'share of the total, 0 to 1' })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'the deposit must be a share' })
  @Min(0, { message: 'the deposit must be 0 or more' })
  @Max(1, { message: 'the deposit must be 1 or less' })
  deposit!: number;

  @ApiPropertyOptional()
  @Optional()
  @IsDay('the last day')
  validUntil?: string;
}

export class RevisionDto {
  @Version()
  version!: number;

  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject()
  spec!: Record<string, unknown>;

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 240)
  note?: string;

  @Agreed()
  undo?: Undone[];
}

export class SurveyDto {
  @Version()
  version!: number;

  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject()
  survey!: Record<string, unknown>;
}

export class VersionDto {
  @Version()
  version!: number;
}

/** An act that is done for a reason, and may take something away. */
export class ReasonDto {
  @Version()
  version!: number;

  @ApiProperty()
  @Text('the reason', 2, 240)
  why!: string;

  @Agreed()
  undo?: Undone[];
}

export class CopyDto {
  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the wanted day')
  wantedBy!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the title', 2, 120)
  title?: string;
}

export class OrderQueryDto {
  @ApiPropertyOptional()
  @Optional()
  @Text('what is searched for', 0, 80)
  search?: string;

  @ApiPropertyOptional({ enum: [...STATIONS, 'done', 'held', 'cancelled'] })
  @Optional()
  @IsIn([...STATIONS, 'done', 'held', 'cancelled'])
  station?: OrderPlace;

  @ApiPropertyOptional()
  @Optional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(10_000_000)
  offset?: number;

  @ApiPropertyOptional()
  @Optional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(200)
  limit?: number;
}
