import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Clock, IsDay, Optional, Text, Version } from '../common/inputs.ts';

export class DeliveryDto {
  @Version()
  version!: number;

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the delivery day')
  day!: string;

  @ApiProperty({ example: '09:30' })
  @Clock('the time')
  arrives!: string;

  @ApiProperty()
  @Text('the trailer', 1, 20)
  trailerId!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the notes', 0, 2000)
  notes?: string;
}
