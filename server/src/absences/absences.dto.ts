import { ApiProperty } from '@nestjs/swagger';
import { PartsOfDaysDto } from '../common/daySpan.dto.ts';
import { Id } from '../common/inputs.ts';

export class AbsenceDto extends PartsOfDaysDto {
  @ApiProperty()
  @Id('choose somebody of the book')
  userId!: number;
}
