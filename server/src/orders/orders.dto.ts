import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { STATIONS } from '@rubbet/core/order';
import type { StationKey } from '@rubbet/core/order';

export class FlockDto {
  @IsIn(['layers', 'meat'])
  kind!: 'layers' | 'meat';

  @IsInt({ message: 'birds now must be a whole number' })
  @Min(1, { message: 'birds now must be 1 or more' })
  @Max(500, { message: 'birds now must be 500 or fewer' })
  now!: number;

  @IsInt({ message: 'birds in two years must be a whole number' })
  @Min(1, { message: 'birds in two years must be 1 or more' })
  @Max(500, { message: 'birds in two years must be 500 or fewer' })
  later!: number;

  @IsIn(['standard', 'large', 'bantam'])
  breed!: 'standard' | 'large' | 'bantam';

  @IsBoolean()
  ranging!: boolean;

  @IsIn(['child', 'one adult', 'two adults', 'vehicle'])
  mover!: 'child' | 'one adult' | 'two adults' | 'vehicle';

  @IsIn(['daily', 'yearly', 'never'])
  moves!: 'daily' | 'yearly' | 'never';

  @IsOptional()
  @IsIn(['mild', 'hard'])
  winters?: 'mild' | 'hard';
}

export class NewOrderDto {
  @ApiProperty()
  @IsInt({ message: 'choose a customer' })
  customerId!: number;

  @ApiPropertyOptional()
  @IsOptional()
  @IsInt()
  modelId?: number;

  @ApiProperty()
  @IsString()
  @MinLength(2, { message: 'the title needs at least two letters' })
  @MaxLength(120)
  title!: string;

  @ApiProperty({ example: '2026-05-04' })
  @IsISO8601({ strict: true }, { message: 'the wanted day must be a date like 2026-05-04' })
  wantedBy!: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsInt()
  @Min(1, { message: 'the number of units must be 1 or more' })
  @Max(50, { message: 'the number of units must be 50 or fewer' })
  quantity?: number;
}

export class OrderChangeDto {
  @ApiProperty()
  @IsInt()
  version!: number;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MinLength(2, { message: 'the title needs at least two letters' })
  @MaxLength(120)
  title?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsISO8601({ strict: true }, { message: 'the wanted day must be a date like 2026-05-04' })
  wantedBy?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsInt()
  @Min(1, { message: 'the number of units must be 1 or more' })
  @Max(50, { message: 'the number of units must be 50 or fewer' })
  quantity?: number;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(4000)
  notes?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @ValidateNested()
  @Type(() => FlockDto)
  flock?: FlockDto;
}

export class RevisionDto {
  @ApiProperty({ description: 'Version of the order that the change was made on.' })
  @IsInt()
  version!: number;

  @ApiProperty()
  @IsObject()
  spec!: Record<string, unknown>;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(240)
  note?: string;
}

export class SurveyDto {
  @ApiProperty({ description: 'Version of the survey, 0 for the first.' })
  @IsInt()
  @Min(0)
  version!: number;

  @ApiProperty()
  @IsObject()
  survey!: Record<string, unknown>;
}

export class VersionDto {
  @ApiProperty()
  @IsInt()
  version!: number;
}

export class OrderQueryDto {
  @IsOptional()
  @IsString()
  @MaxLength(80)
  search?: string;

  @IsOptional()
  @IsIn([...STATIONS, 'done'])
  station?: StationKey | 'done';

  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  offset?: number;

  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(200)
  limit?: number;
}
