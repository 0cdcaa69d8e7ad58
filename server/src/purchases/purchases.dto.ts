import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateNested } from 'class-validator';
import { Id, IsDay, Optional, OptionalInches, Text, Version, Whole } from '../common/inputs.ts';

export class PurchaseLineDto {
  @ApiProperty()
  @Text('the item', 1, 40)
  item!: string;

  @OptionalInches('the length') length?: number;
  @OptionalInches('the width') width?: number;

  @ApiProperty()
  @Whole('how many', 1, 100_000)
  quantity!: number;

  @ApiProperty({ description: 'cents' })
  @Whole('the price', 0, 1_000_000, 'cents')
  each!: number;
}

export class NewPurchaseDto {
  @ApiProperty()
  @Text('the supplier', 1, 40)
  supplierId!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 240)
  note?: string;

  @ApiProperty({ type: [PurchaseLineDto] })
  @IsArray({ message: 'the lines must be a list' })
  @ArrayMinSize(1, { message: 'order at least one thing' })
  @ArrayMaxSize(200, { message: 'a purchase order has 200 lines at most' })
  @ValidateNested({ each: true })
  @Type(() => PurchaseLineDto)
  lines!: PurchaseLineDto[];
}

export class PurchaseActDto {
  @Version()
  version!: number;

  @ApiPropertyOptional()
  @Optional()
  @IsDay('the day it is due')
  due?: string;
}

export class CancelPurchaseDto {
  @Version()
  version!: number;

  @ApiProperty()
  @Text('why', 2, 120)
  why!: string;
}

export class ReceivedLineDto {
  @ApiProperty()
  @Id('there is no such line in this purchase order')
  id!: number;

  @ApiProperty()
  @Whole('how many came', 0, 100_000)
  quantity!: number;
}

export class ReceiveDto {
  @Version()
  version!: number;

  @ApiProperty({ type: [ReceivedLineDto] })
  @IsArray({ message: 'what came must be a list' })
  @ArrayMinSize(1, { message: 'say what came' })
  @ArrayMaxSize(200, { message: 'a purchase order has 200 lines at most' })
  @ValidateNested({ each: true })
  @Type(() => ReceivedLineDto)
  lines!: ReceivedLineDto[];

  @ApiPropertyOptional({ description: 'When the rest is to come, where it is ordered back.' })
  @Optional()
  @IsDay('the day it is due')
  due?: string;
}
