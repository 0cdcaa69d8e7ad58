import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { ValidateIf } from 'class-validator';
import { Id, IsDay, Optional, Text } from '../common/inputs.ts';

export class CrewDayDto {
  @ApiProperty()
  @Id('choose somebody of the book')
  userId!: number;

  @ApiProperty({ type: String, nullable: true, description: 'The crew of those days; none for nobody’s.' })
  @ValidateIf((_, v) => v !== null)
  @Text('the crew', 1, 20)
  crew!: string | null;

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the first day')
  day!: string;

  @ApiPropertyOptional({ example: '2026-05-08' })
  @Optional()
  @IsDay('the last day')
  until?: string;
}
