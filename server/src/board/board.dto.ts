import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { IsDay, Optional, Text, Version, Whole } from '../common/inputs.ts';

/** A list of people by what blocks name them by. */
const People = (): PropertyDecorator => (target, key) => {
  IsArray({ message: 'the people must be a list' })(target, key);
  ArrayMaxSize(20, { message: 'at most 20 people work at one block' })(target, key);
  ArrayUnique({ message: 'the same person stands in the list twice' })(target, key);
  IsString({ each: true, message: 'the people must be a list of names' })(target, key);
  MaxLength(40, { each: true })(target, key);
};

export class MoveDto {
  @ApiProperty()
  @Text('the block', 1, 40)
  task!: string;

  @Version()
  version!: number;

  @ApiPropertyOptional({ description: 'Which of its visits, from 0 on; the first if left out.' })
  @Optional()
  @Whole('the visit', 0, 39)
  visit?: number;

  @ApiPropertyOptional({ description: 'Bay or saw; where it stood if left out.' })
  @Optional()
  @Text('the place', 1, 20)
  place?: string;

  @ApiPropertyOptional({ type: [String], description: 'Who does it; those who did if left out.' })
  @Optional()
  @People()
  @ArrayMinSize(1, { message: 'somebody must do it' })
  people?: string[];

  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the day')
  day!: string;

  @ApiProperty({ description: 'Minutes after midnight.' })
  @Whole('the minute', 0, 1439)
  minute!: number;
}

export class ReleaseDto {
  @ApiProperty()
  @Text('the block', 1, 40)
  task!: string;

  @Version()
  version!: number;
}

export class MomentDto {
  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the day')
  day!: string;

  @ApiProperty()
  @Whole('the minute', 0, 1440)
  minute!: number;
}

export class StretchDto {
  @ApiProperty({ example: '2026-05-04' })
  @IsDay('the day')
  day!: string;

  @ApiProperty()
  @Whole('from', 0, 1440)
  from!: number;

  @ApiProperty()
  @Whole('to', 0, 1440)
  to!: number;
}

const Nested =
  (type: () => new () => object): PropertyDecorator =>
  (target, key) => {
    ApiProperty({ type: type() })(target, key);
    ValidateNested()(target, key);
    Type(type)(target, key);
  };

export class VisitDto {
  @Nested(() => MomentDto)
  start!: MomentDto;

  @Nested(() => MomentDto)
  end!: MomentDto;

  @Nested(() => MomentDto)
  dry!: MomentDto;

  @ApiProperty({ type: [String] })
  @People()
  people!: string[];

  @ApiProperty({ type: String, nullable: true })
  @ValidateIf((_, v) => v !== null)
  @Text('the trailer', 1, 20)
  trailer!: string | null;

  @ApiPropertyOptional({ description: 'The rack that it dries on.' })
  @Optional()
  @Text('the rack', 1, 60)
  driesOn?: string;

  @ApiPropertyOptional({ description: 'The delivery from whose site it goes on, or the work before it, set up alike.' })
  @Optional()
  @Text('what it goes on from', 1, 40)
  after?: string;

  @ApiPropertyOptional({ type: [Number], description: 'Minutes of its ways where it shares its trip.' })
  @Optional()
  @IsArray({ message: 'the ways must be a list' })
  @ArrayMaxSize(2)
  @IsInt({ each: true, message: 'a way must be a whole number of minutes' })
  ways?: [number, number];

  @ApiPropertyOptional({ description: 'A later visit that was put where it is by hand.' })
  @Optional()
  @IsBoolean()
  pinned?: boolean;

  @ApiProperty({ type: [StretchDto] })
  @IsArray({ message: 'the pieces must be a list' })
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => StretchDto)
  pieces!: StretchDto[];
}

export class PlacedDto {
  @ApiProperty()
  @Text('the block', 1, 40)
  task!: string;

  @Version()
  version!: number;

  @ApiProperty({ type: String, nullable: true })
  @ValidateIf((_, v) => v !== null)
  @Text('the place', 1, 20)
  place!: string | null;

  @ApiProperty()
  @IsBoolean()
  pinned!: boolean;

  @ApiProperty({ type: [VisitDto] })
  @IsArray({ message: 'the visits must be a list' })
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => VisitDto)
  visits!: VisitDto[];
}

export class PutBackDto {
  @ApiProperty({ type: [PlacedDto] })
  @IsArray({ message: 'what is put back must be a list of blocks' })
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @ValidateNested({ each: true })
  @Type(() => PlacedDto)
  blocks!: PlacedDto[];
}

/** What a morning can bring. */
export const CAUSES = ['ill', 'out', 'late wood', 'rain', 'spoiled', 'longer', 'look again'] as const;
export type Cause = (typeof CAUSES)[number];

export class CauseDto {
  @ApiProperty({ enum: CAUSES })
  @IsIn([...CAUSES], { message: `the cause is one of ${CAUSES.join(', ')}` })
  kind!: Cause;

  @ApiPropertyOptional({ description: 'Who is ill.' })
  @Optional()
  @Text('the person', 1, 40)
  person?: string;

  @ApiPropertyOptional({ enum: ['row', 'trailer'], description: 'Of what kind it is that is out.' })
  @Optional()
  @IsIn(['row', 'trailer'], { message: 'what is out is a row of the board or a trailer' })
  of?: 'row' | 'trailer';

  @ApiPropertyOptional({ description: 'The place, machine or trailer that is out.' })
  @Optional()
  @Text('what is out', 1, 20)
  what?: string;

  @ApiPropertyOptional({ description: 'The order whose wood is late, or whose panel is spoiled.' })
  @Optional()
  @Whole('the order', 1, 999_999_999)
  order?: number;

  @ApiPropertyOptional({ description: 'The block that takes longer, or is to be made again.' })
  @Optional()
  @Text('the block', 1, 40)
  task?: string;

  @ApiPropertyOptional({
    description: 'The wet day, the day on which the wood comes, or the first day of an illness or an outage.',
  })
  @Optional()
  @IsDay('the day')
  day?: string;

  @ApiPropertyOptional({ description: 'The last day of an illness or an outage.' })
  @Optional()
  @IsDay('the last day')
  until?: string;

  @ApiPropertyOptional({ description: 'How many times as long a block takes.' })
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'how many times must be a number' })
  @Min(1.1, { message: 'how many times must be 1.1 at least' })
  @Max(10, { message: 'how many times must be 10 at most' })
  times?: number;

  @ApiPropertyOptional({ description: 'Minutes that what is spoiled takes again.' })
  @Optional()
  @Whole('the minutes', 15, 4800)
  minutes?: number;
}

export const PLANS = ['least upset', 'fewest late', 'no overtime'] as const;

export class ChooseDto {
  @ApiProperty({ enum: PLANS })
  @IsIn([...PLANS], { message: `the plan is one of ${PLANS.join(', ')}` })
  plan!: (typeof PLANS)[number];
}
