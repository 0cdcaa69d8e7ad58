import { ApiProperty, ApiPropertyOptional, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsEmail,
  IsNumber,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { LONGEST_NAME } from '@rubbet/core/stock';
import { Optional, Text, Version, Whole } from '../common/inputs.ts';

export class SupplierDto {
  @ApiProperty()
  @Text('the name', 2, 80)
  name!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the telephone number', 0, 40)
  phone?: string;

  @ApiPropertyOptional()
  @Optional()
  @ValidateIf((_, v) => v !== '')
  @IsEmail({}, { message: 'the mail address must be one like yard@example.com' })
  email?: string;

  @ApiPropertyOptional({ description: 'days' })
  @Optional()
  @Whole('the lead time', 0, 180, 'days')
  leadDays?: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 240)
  note?: string;
}

export class SupplierChangeDto extends PartialType(SupplierDto, { skipNullProperties: false }) {
  @Version()
  version!: number;

  @ApiPropertyOptional()
  @Optional()
  @IsBoolean({ message: 'active is true or false' })
  active?: boolean;
}

export class SizeDto {
  @ApiProperty({ description: 'A length in inches, a roll as 36x600, or empty where there is one size.' })
  @Text('the size', 0, 20)
  size!: string;

  @ApiProperty({ description: 'cents' })
  @Whole('the price', 0, 1_000_000, 'cents')
  cost!: number;
}

export class ItemChangeDto {
  @Version()
  version!: number;

  @ApiPropertyOptional({ type: [SizeDto], description: 'The sizes that are carried, with what they cost.' })
  @Optional()
  @IsArray({ message: 'sizes must be a list' })
  @ArrayMaxSize(40, { message: 'sizes may be 40 at most' })
  @ValidateNested({ each: true })
  @Type(() => SizeDto)
  sizes?: SizeDto[];

  @ApiPropertyOptional()
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'the specific gravity must be a number' })
  @Min(0.25, { message: 'the specific gravity must be 0.25 or more' })
  @Max(0.9, { message: 'the specific gravity must be 0.9 or less' })
  gravity?: number;

  @ApiPropertyOptional({ nullable: true, type: String })
  @Optional()
  @ValidateIf((_, v) => v !== null)
  @Text('the supplier', 1, 40)
  supplierId?: string | null;

  @ApiPropertyOptional({ nullable: true, type: Number })
  @Optional()
  @ValidateIf((_, v) => v !== null)
  @Whole('the lead time', 0, 180, 'days')
  leadDays?: number | null;

  @ApiPropertyOptional()
  @Optional()
  @Whole('the least that is kept', 0, 10_000)
  least?: number;
}

export class NewItemDto {
  @ApiProperty()
  @Text('the name', 2, LONGEST_NAME)
  name!: string;

  @ApiProperty({ description: 'cents' })
  @Whole('the price', 0, 1_000_000, 'cents')
  cost!: number;

  @ApiPropertyOptional()
  @Optional()
  @Whole('how many come in a pack', 1, 10_000)
  pack?: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('the supplier', 1, 40)
  supplierId?: string;

  @ApiPropertyOptional()
  @Optional()
  @Whole('the least that is kept', 0, 10_000)
  least?: number;
}

export class PriceListDto {
  @ApiProperty({ description: 'The list as CSV: item, length, price.' })
  @Text('the list', 1, 400_000)
  csv!: string;

  @ApiProperty({ description: 'Whether it is taken over, or only looked at.' })
  @IsBoolean({ message: 'apply is true or false' })
  apply!: boolean;
}
