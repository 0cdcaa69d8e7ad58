import { ApiProperty } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { Text } from '../common/inputs.ts';

export const FEED_KINDS = ['crew', 'person', 'trailer', 'shop'] as const;

export class FeedDto {
  @ApiProperty({ enum: FEED_KINDS })
  @IsIn([...FEED_KINDS], { message: 'a calendar is that of a crew, a person, a trailer or the shop' })
  kind!: (typeof FEED_KINDS)[number];

  @ApiProperty({ description: 'Whose it is: a crew, a person or a trailer; the shop for all.' })
  @Text('whose calendar it is', 1, 60)
  ref!: string;
}
