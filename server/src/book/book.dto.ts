import { ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsDay, Optional, Text, Whole } from '../common/inputs.ts';

export class BookQueryDto {
  @ApiPropertyOptional({ description: 'The page begins with the deed before this one.' })
  @Optional()
  @Type(() => Number)
  @Whole('where the page begins', 1, 2_147_483_647)
  before?: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('what it was done to', 1, 40)
  entity?: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('its number', 1, 60)
  entityId?: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('who did it', 1, 80)
  actor?: string;

  @ApiPropertyOptional()
  @Optional()
  @IsDay('the first day')
  from?: string;

  @ApiPropertyOptional()
  @Optional()
  @IsDay('the last day')
  to?: string;
}
