import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsBoolean, ValidateIf } from 'class-validator';
import { IsDay, Optional, Text, Version, Whole } from '../common/inputs.ts';

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

  @ApiPropertyOptional({
    type: Number,
    nullable: true,
    description: 'When the shop closes early, minutes after midnight.',
  })
  @ValidateIf((_, v) => v !== undefined && v !== null)
  @Whole('the hour of closing', 0, 1440)
  closes?: number | null;

  @ApiPropertyOptional({ description: 'People stay longer that day.' })
  @Optional()
  @IsBoolean({ message: 'overtime is true or false' })
  overtime?: boolean;
}

export class DayParam {
  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the day')
  day!: string;
}
