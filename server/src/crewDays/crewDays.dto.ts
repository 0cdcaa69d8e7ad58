import { ApiProperty } from '@nestjs/swagger';
import { ValidateIf } from 'class-validator';
import { DaysDto } from '../common/daySpan.dto.ts';
import { Id, Text } from '../common/inputs.ts';

export class CrewDayDto extends DaysDto {
  @ApiProperty()
  @Id('choose somebody of the book')
  userId!: number;

  @ApiProperty({ type: String, nullable: true, description: 'The crew of those days; none for nobody’s.' })
  @ValidateIf((_, v) => v !== null)
  @Text('the crew', 1, 20)
  crew!: string | null;
}
