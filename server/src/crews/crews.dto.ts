import { ApiProperty, ApiPropertyOptional, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { STATION_KEYS } from '@rubbet/core/steps';
import type { Station } from '@rubbet/core/steps';
import { Id, Optional, Text, Version, Whole } from '../common/inputs.ts';

/** A clear size of a bay, inches: 4 ft to 200 ft. */
const Size =
  (name: string): PropertyDecorator =>
  (target, key) => {
    ApiPropertyOptional({ type: Number, nullable: true, description: 'inches' })(target, key);
    ValidateIf((_, v) => v !== undefined && v !== null)(target, key);
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: `${name} must be a length` })(target, key);
    Min(48, { message: `${name} must be 48 inches or more` })(target, key);
    Max(2400, { message: `${name} must be 2400 inches or less` })(target, key);
  };

export class MemberDto {
  @ApiProperty()
  @Id('choose somebody of the book')
  userId!: number;

  @ApiPropertyOptional()
  @Optional()
  @IsBoolean({ message: 'leads is true or false' })
  leads?: boolean;
}

export class CrewDto {
  @ApiProperty({ enum: ['crew', 'bay'] })
  @IsIn(['crew', 'bay'], { message: 'it is a crew or a bay' })
  kind!: 'crew' | 'bay';

  @ApiProperty()
  @Text('the name', 2, 60)
  name!: string;

  @ApiProperty({ isArray: true, enum: STATION_KEYS })
  @IsArray({ message: 'what is done there must be a list' })
  @ArrayMinSize(1, { message: 'choose at least one kind of work that is done there' })
  @ArrayUnique({ message: 'a kind of work stands there twice' })
  @IsIn([...STATION_KEYS], { each: true, message: `work is one of ${STATION_KEYS.join(', ')}` })
  stations!: Station[];

  @ApiProperty()
  @Whole('the number of people', 1, 30)
  people!: number;

  @Size('the length') length?: number | null;
  @Size('the width') width?: number | null;
  @Size('the height') height?: number | null;

  @ApiPropertyOptional({ type: [MemberDto] })
  @Optional()
  @IsArray({ message: 'who is in it must be a list' })
  @ArrayMaxSize(30, { message: 'that are too many people' })
  @Type(() => MemberDto)
  @ValidateNested({ each: true })
  members?: MemberDto[];
}

export class CrewChangeDto extends PartialType(CrewDto, { skipNullProperties: false }) {
  @Version()
  version!: number;

  @ApiPropertyOptional()
  @Optional()
  @IsBoolean({ message: 'active is true or false' })
  active?: boolean;
}
