import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { PARTS } from '../common/daySpan.ts';
import { IsDay, Optional, Text } from '../common/inputs.ts';

export class OutageDto {
  @ApiProperty({ enum: ['row', 'trailer'] })
  @IsIn(['row', 'trailer'], { message: 'it is a row of the board or a trailer' })
  kind!: 'row' | 'trailer';

  @ApiProperty({ description: 'Row of the board, or trailer.' })
  @Text('what is out', 1, 20)
  ref!: string;

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the first day')
  day!: string;

  @ApiPropertyOptional({ example: '2026-05-08' })
  @Optional()
  @IsDay('the last day')
  until?: string;

  @ApiPropertyOptional({ enum: PARTS, description: 'The whole day if left out.' })
  @Optional()
  @IsIn([...PARTS], { message: 'it is out for the day, the morning or the afternoon' })
  part?: (typeof PARTS)[number];

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 120)
  note?: string;
}
