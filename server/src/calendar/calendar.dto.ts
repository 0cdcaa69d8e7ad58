import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsBoolean } from 'class-validator';
import { IsDay, Optional, Text, Version } from '../common/inputs.ts';

export class CalendarDayDto {
  @Version()
  version!: number;

  @ApiProperty({ description: 'Nobody works that day.' })
  @IsBoolean({ message: 'closed is true or false' })
  closed!: boolean;

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 120)
  note?: string;
}

export class DayParam {
  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the day')
  day!: string;
}
