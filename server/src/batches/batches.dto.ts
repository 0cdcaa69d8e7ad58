import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsInt,
  IsNumber,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { Id, Optional, Text, Version, Whole } from '../common/inputs.ts';

/** Most orders of one batch. */
const MOST_ORDERS = 60;

export class UnitsDto {
  @ApiProperty()
  @Id('there is no such order')
  order!: number;

  @ApiProperty()
  @Whole('the first unit', 1, 50)
  from!: number;

  @ApiProperty()
  @Whole('the last unit', 1, 50)
  to!: number;
}

export class NewBatchDto {
  @ApiProperty()
  @Text('the name', 2, 80)
  title!: string;

  @ApiProperty({ type: [Number] })
  @IsArray({ message: 'the orders must be a list' })
  @ArrayMinSize(1, { message: 'choose at least one order' })
  @ArrayMaxSize(MOST_ORDERS, { message: `a batch has ${MOST_ORDERS} orders at most` })
  @ArrayUnique({ message: 'an order is there twice' })
  @IsInt({ each: true, message: 'an order is a number' })
  @Min(1, { each: true, message: 'an order is a number' })
  @Max(2_147_483_647, { each: true, message: 'there is no such order' })
  orders!: number[];

  @ApiPropertyOptional({
    type: [UnitsDto],
    description: 'Which units of an order of several; all of them where left out.',
  })
  @Optional()
  @IsArray({ message: 'the units must be a list' })
  @ArrayMaxSize(MOST_ORDERS, { message: `a batch has ${MOST_ORDERS} orders at most` })
  @ValidateNested({ each: true })
  @Type(() => UnitsDto)
  units?: UnitsDto[];
}

export class CutLineDto {
  @ApiProperty()
  @Id('there is no such stick in this batch')
  id!: number;

  @Version()
  version!: number;

  @ApiPropertyOptional({ type: [Number], description: 'Pieces that are no good, by their place on the stick.' })
  @Optional()
  @IsArray({ message: 'what is spoiled must be a list' })
  @ArrayMaxSize(200, { message: 'that is more than a stick has pieces' })
  @IsInt({ each: true, message: 'a piece is named by its place on the stick' })
  @Min(0, { each: true, message: 'a piece is named by its place on the stick' })
  spoiled?: number[];

  @ApiPropertyOptional({ description: 'What is left of the stick, where it was measured. Inches.' })
  @Optional()
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'what is left must be a number of inches' })
  @Min(0, { message: 'what is left must be 0 or more' })
  left?: number;
}

export class CutDto {
  @ApiProperty({ type: [CutLineDto] })
  @IsArray({ message: 'what was cut must be a list' })
  @ArrayMinSize(1, { message: 'what was cut must have a stick' })
  @ArrayMaxSize(60, { message: '60 sticks at once at most' })
  @ValidateNested({ each: true })
  @Type(() => CutLineDto)
  lines!: CutLineDto[];
}

export class ShortDto {
  @Version()
  version!: number;

  @ApiProperty({ description: 'The line of the rack that has fewer than the book says.' })
  @Id('there is no such line on the rack')
  stock!: number;

  @ApiProperty()
  @Whole('how many there are', 0, 100_000)
  there!: number;
}

export class UndoCutDto {
  @Version()
  version!: number;

  @ApiProperty()
  @Text('why', 2, 120)
  why!: string;
}

export class BatchVersionDto {
  @Version()
  version!: number;
}
