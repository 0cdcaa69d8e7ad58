import { ApiProperty, ApiPropertyOptional, PartialType } from '@nestjs/swagger';
import { IsEmail, MaxLength, ValidateIf } from 'class-validator';
import { Optional, OrNone, Text, Version, Whole } from '../common/inputs.ts';

/** Where something is brought to: what a customer and each of their sites have. */
class WayDto {
  @ApiPropertyOptional()
  @Optional()
  @Text('the address', 0, 240)
  address?: string;

  @ApiPropertyOptional()
  @Optional()
  @Whole('the distance', 0, 500, 'miles')
  miles?: number;

  @OrNone('the way it lies', 0, 359, 'degrees')
  bearing?: number | null;

  @OrNone('the hour from which work may be done there', 0, 1440, 'minutes')
  opens?: number | null;

  @OrNone('the hour until which work may be done there', 0, 1440, 'minutes')
  closes?: number | null;
}

export class CustomerDto extends WayDto {
  @ApiProperty()
  @Text('the name', 2, 120)
  name!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the telephone number', 0, 40)
  phone?: string;

  @ApiPropertyOptional()
  @ValidateIf((o: CustomerDto) => o.email !== undefined && o.email !== '')
  @IsEmail({}, { message: 'the email address is not one, write it like name@example.org' })
  @MaxLength(120, { message: 'the email address must be at most 120 letters' })
  email?: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the notes', 0, 4000)
  notes?: string;
}

export class SiteDto extends WayDto {
  @ApiProperty()
  @Text('the name of the site', 2, 80)
  name!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the notes', 0, 2000)
  notes?: string;
}

export class SiteChangeDto extends PartialType(SiteDto, { skipNullProperties: false }) {
  @Version()
  version!: number;
}

export class CustomerChangeDto extends PartialType(CustomerDto, { skipNullProperties: false }) {
  @Version()
  version!: number;
}

export class CustomerQueryDto {
  @ApiPropertyOptional()
  @Optional()
  @Text('what is searched for', 0, 80)
  search?: string;
}
