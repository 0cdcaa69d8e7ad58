import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { PARTS } from '../common/daySpan.ts';
import { Id, IsDay, Optional, Text } from '../common/inputs.ts';

export class AbsenceDto {
  @ApiProperty()
  @Id('choose somebody of the book')
  userId!: number;

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the first day')
  day!: string;

  @ApiPropertyOptional({ example: '2026-05-08' })
  @Optional()
  @IsDay('the last day')
  until?: string;

  @ApiPropertyOptional({ enum: PARTS, description: 'The whole day if left out.' })
  @Optional()
  @IsIn([...PARTS], { message: 'somebody is away for the day, the morning or the afternoon' })
  part?: (typeof PARTS)[number];

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 120)
  note?: string;
}
