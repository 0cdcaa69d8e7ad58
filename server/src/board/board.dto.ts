import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, ValidateNested } from 'class-validator';
import { IsDay, Text, Version, Whole } from '../common/inputs.ts';

export class MoveDto {
  @ApiProperty()
  @Text('the block', 1, 40)
  task!: string;

  @Version()
  version!: number;

  @ApiProperty()
  @Text('the row', 1, 20)
  row!: string;

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the day')
  day!: string;

  @ApiProperty({ description: 'Working minutes into the day.' })
  @Whole('the minute', 0, 479)
  minute!: number;
}

export class PlacedDto extends MoveDto {
  @ApiProperty()
  @IsBoolean()
  pinned!: boolean;
}

export class PutBackDto {
  @ApiProperty({ type: [PlacedDto] })
  @IsArray({ message: 'what is put back must be a list of blocks' })
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => PlacedDto)
  blocks!: PlacedDto[];
}
