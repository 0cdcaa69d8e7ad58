import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, ValidateNested } from 'class-validator';
import { Id, Optional, OptionalInches, Text, Whole } from '../common/inputs.ts';

export class CountLineDto {
  @ApiPropertyOptional({ description: 'The line that was counted; left out where it is new.' })
  @Optional()
  @Id('there is no such line on the rack')
  stock?: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('the item', 1, 40)
  item?: string;

  @OptionalInches('the length') length?: number;
  @OptionalInches('the width') width?: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('the place', 0, 40)
  place?: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the mark', 0, 20)
  mark?: string;

  @ApiProperty()
  @Whole('how many there are', 0, 100_000)
  quantity!: number;
}

export class CountDto {
  @ApiProperty({ type: [CountLineDto] })
  @IsArray({ message: 'what was counted must be a list' })
  @ArrayMinSize(1, { message: 'what was counted must have a line' })
  @ArrayMaxSize(1000, { message: 'what was counted may have 1000 lines at most' })
  @ValidateNested({ each: true })
  @Type(() => CountLineDto)
  lines!: CountLineDto[];
}

export class CountSheetDto {
  @ApiProperty({ description: 'The sheet as CSV: item, length, mark, place, quantity.' })
  @Text('the sheet', 1, 200_000)
  csv!: string;

  @ApiProperty({ description: 'Whether it is taken over, or only looked at.' })
  @IsBoolean({ message: 'apply is true or false' })
  apply!: boolean;
}

export class MoveDto {
  @ApiProperty({ enum: ['spoiled', 'corrected'] })
  @IsIn(['spoiled', 'corrected'], { message: 'what happened is spoiled or corrected' })
  kind!: 'spoiled' | 'corrected';

  @ApiProperty()
  @Whole('the change', -100_000, 100_000)
  change!: number;

  @ApiProperty()
  @Text('why', 2, 120)
  why!: string;
}
