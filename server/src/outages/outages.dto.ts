import { ApiProperty } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { PartsOfDaysDto } from '../common/daySpan.dto.ts';
import { Text } from '../common/inputs.ts';

export class OutageDto extends PartsOfDaysDto {
  @ApiProperty({ enum: ['row', 'trailer'] })
  @IsIn(['row', 'trailer'], { message: 'it is a row of the board or a trailer' })
  kind!: 'row' | 'trailer';

  @ApiProperty({ description: 'Row of the board, or trailer.' })
  @Text('what is out', 1, 20)
  ref!: string;
}
