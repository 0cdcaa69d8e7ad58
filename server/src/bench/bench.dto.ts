import { ApiPropertyOptional, ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBase64,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsObject,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { STOP_CAUSES, TROUBLES } from '@rubbet/core/steps';
import type { StopCause, TroubleCause } from '@rubbet/core/steps';
import { Id, Optional, Text, Version, Whole } from '../common/inputs.ts';

const STOPS = STOP_CAUSES.map(([cause]) => cause);
const TROUBLE_CAUSES = TROUBLES.map((t) => t.cause);

class EntryDto {
  @Version()
  version!: number;

  @ApiPropertyOptional({ description: 'Names the entry, so that one that is sent again is taken once.' })
  @Optional()
  @IsUUID('4', { message: 'the entry must be named by a UUID' })
  entry?: string;

  @ApiPropertyOptional({ description: 'When it was made, where that was before it was sent.' })
  @Optional()
  @IsISO8601({ strict: true }, { message: 'the time of the entry must be written like 2026-05-04T09:30:00Z' })
  at?: string;
}

class StopDto {
  @ApiProperty({ enum: STOPS })
  @IsIn(STOPS, { message: `the cause must be one of ${STOPS.join(', ')}` })
  cause!: StopCause;

  @ApiProperty()
  @Whole('the minutes of a stop', 0, 6000)
  minutes!: number;
}

export class PartChangeDto extends EntryDto {
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

  @ApiPropertyOptional({ description: 'Why it is so far from what was expected.' })
  @Optional()
  @Text('the reason', 0, 120)
  why?: string;
}

export class StepChangeDto extends EntryDto {
  @ApiProperty({ enum: ['open', 'done'] })
  @IsIn(['open', 'done'])
  state!: 'open' | 'done';

  @ApiPropertyOptional({ description: 'Minutes to be logged for it.' })
  @Optional()
  @Whole('the minutes', 0, 6000)
  minutes?: number;

  @ApiPropertyOptional({ type: [StopDto], description: 'Minutes that it stood still, by cause; they are no labour.' })
  @Optional()
  @IsArray({ message: 'the stops must be a list' })
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => StopDto)
  stops?: StopDto[];

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

export class ChangeOrderDto {
  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject({ message: 'the spec must be an object' })
  spec!: Record<string, unknown>;

  @ApiPropertyOptional({ description: 'Why it is changed, and who asked for it.' })
  @Optional()
  @Text('the note', 0, 240)
  note?: string;
}

export class AcceptChangeDto {
  @Version()
  version!: number;

  @ApiPropertyOptional({
    description: 'What it costs more, cents, where another amount was agreed; less is below nothing.',
  })
  @Optional()
  @IsInt({ message: 'the amount must be whole cents' })
  @Min(-100_000_000, { message: 'the amount is less than anything costs' })
  @Max(100_000_000, { message: 'the amount is more than anything costs' })
  amount?: number;
}

export class RefuseChangeDto {
  @Version()
  version!: number;

  @ApiProperty()
  @Text('the reason', 2, 240)
  why!: string;
}

export class TroubleDto {
  @ApiProperty({ description: 'The step at the bench, by the id of its row.' })
  @Id('say at which step it happened')
  step!: number;

  @ApiProperty({ enum: TROUBLE_CAUSES })
  @IsIn(TROUBLE_CAUSES, { message: `the cause must be one of ${TROUBLE_CAUSES.join(', ')}` })
  cause!: TroubleCause;

  @ApiPropertyOptional({ description: 'The piece, by its mark.' })
  @Optional()
  @Text('the mark', 0, 10)
  mark?: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 240)
  note?: string;
}

export class SolveDto {
  @Version()
  version!: number;

  @ApiProperty({ description: 'What is to be done, for whoever waits for it.' })
  @Text('the answer', 2, 240)
  answer!: string;
}

/** Longest photo in base64: bodies are no longer than half a megabyte. */
const MOST_PHOTO = 500_000;

export class PhotoDto {
  @ApiProperty({ description: 'The step that it shows, by the id of its row.' })
  @Id('say at which step it was taken')
  step!: number;

  @ApiProperty({ description: 'JPEG, PNG or WebP in base64, up to 370 KB.' })
  @MaxLength(MOST_PHOTO, { message: 'the photo must be under 370 KB: take it smaller' })
  @IsBase64({}, { message: 'the photo must be sent in base64' })
  data!: string;
}
