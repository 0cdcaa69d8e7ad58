import { ApiPropertyOptional, ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsNumber, Max, Min } from 'class-validator';
import { Optional, Text, Version, Whole } from '../common/inputs.ts';

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

  @ApiPropertyOptional({ type: [Number], description: 'What was read at its check, inches.' })
  @Optional()
  @IsArray({ message: 'what was found must be a list of inches' })
  @ArrayMinSize(1)
  @ArrayMaxSize(2)
  @IsNumber({}, { each: true, message: 'each reading must be a number of inches' })
  @Min(0, { each: true, message: 'a reading cannot be less than nothing' })
  @Max(1000, { each: true, message: 'a reading must be under 1000 in' })
  found?: number[];

  @ApiPropertyOptional({ description: 'Why it is outside, and what was done.' })
  @Optional()
  @Text('the note', 0, 240)
  note?: string;
}
