import { ApiProperty, ApiPropertyOptional, PartialType } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  Max,
  Min,
  ValidateIf,
} from 'class-validator';
import { ROLES } from '@rubbet/core/order';
import type { StaffRole } from '@rubbet/core/order';
import { STATION_KEYS } from '@rubbet/core/steps';
import type { Station } from '@rubbet/core/steps';
import { Optional, Text, Version } from '../common/inputs.ts';

export class PersonDto {
  @ApiProperty()
  @Text('the name', 2, 80)
  name!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the telephone number', 0, 40)
  phone?: string;

  @ApiProperty({ isArray: true, enum: ROLES })
  @IsArray({ message: 'the roles must be a list' })
  @ArrayUnique({ message: 'a role stands there twice' })
  @IsIn([...ROLES], { each: true, message: 'a role is office, shop or driver' })
  roles!: StaffRole[];

  @ApiPropertyOptional({ isArray: true, enum: STATION_KEYS })
  @Optional()
  @IsArray({ message: 'the skills must be a list' })
  @ArrayUnique({ message: 'a skill stands there twice' })
  @IsIn([...STATION_KEYS], { each: true, message: `a skill is one of ${STATION_KEYS.join(', ')}` })
  skills?: Station[];

  @ApiPropertyOptional({ type: [Number], nullable: true, description: 'Minutes a day, Sunday first.' })
  @ValidateIf((o: PersonDto) => o.hours !== undefined && o.hours !== null)
  @IsArray({ message: 'the hours must be a list of seven days' })
  @ArrayMinSize(7, { message: 'the hours must be a list of seven days' })
  @ArrayMaxSize(7, { message: 'the hours must be a list of seven days' })
  @IsInt({ each: true, message: 'hours are whole minutes' })
  @Min(0, { each: true, message: 'hours are 0 or more' })
  @Max(960, { each: true, message: 'nobody works more than 16 hours a day' })
  hours?: number[] | null;
}

export class PersonChangeDto extends PartialType(PersonDto, { skipNullProperties: false }) {
  @Version()
  version!: number;

  @ApiPropertyOptional({ description: 'False: may not sign in any more; what they did stays.' })
  @Optional()
  @IsBoolean({ message: 'active is true or false' })
  active?: boolean;
}
