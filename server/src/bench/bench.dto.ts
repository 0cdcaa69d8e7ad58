import { ApiPropertyOptional, ApiProperty } from '@nestjs/swagger';
import { IsIn, IsNumber, Max, Min } from 'class-validator';
import { Optional, Version, Whole } from '../common/inputs.ts';

export class PartChangeDto {
  @Version()
  version!: number;

  @ApiPropertyOptional({ enum: ['open', 'cut', 'spoiled'] })
  @Optional()
  @IsIn(['open', 'cut', 'spoiled'])
  state?: 'open' | 'cut' | 'spoiled';

  @ApiPropertyOptional({ description: 'Measured in place, inches.' })
  @Optional()
  @IsNumber({}, { message: 'the measured length must be a number of inches' })
  @Min(0.25, { message: 'the measured length must be at least 1/4 in' })
  @Max(400, { message: 'the measured length must be under 400 in' })
  measured?: number;
}

export class StepChangeDto {
  @Version()
  version!: number;

  @ApiProperty({ enum: ['open', 'done'] })
  @IsIn(['open', 'done'])
  state!: 'open' | 'done';

  @ApiPropertyOptional({ description: 'Minutes to be logged for it.' })
  @Optional()
  @Whole('the minutes', 0, 6000)
  minutes?: number;
}
