import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { PARTS } from './daySpan.ts';
import { IsDay, Optional, Text } from './inputs.ts';

/** Days that something is written down for. */
export class DaysDto {
  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the first day')
  day!: string;

  @ApiPropertyOptional({ example: '2026-05-08' })
  @Optional()
  @IsDay('the last day')
  until?: string;
}

/** Days, or the same part of each, and why. */
export class PartsOfDaysDto extends DaysDto {
  @ApiPropertyOptional({ enum: PARTS, description: 'The whole day if left out.' })
  @Optional()
  @IsIn([...PARTS], { message: 'it is for the day, the morning or the afternoon' })
  part?: (typeof PARTS)[number];

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 120)
  note?: string;
}
