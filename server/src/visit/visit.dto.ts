import { ApiProperty } from '@nestjs/swagger';
import { IsBoolean, IsIn } from 'class-validator';
import { VISIT_ITEMS } from './visitItems.ts';

export class ConfirmDto {
  @ApiProperty({ enum: VISIT_ITEMS })
  @IsIn(VISIT_ITEMS, { message: 'this is nothing that is asked of you' })
  item!: string;

  @ApiProperty()
  @IsBoolean({ message: 'say whether it is done' })
  done!: boolean;
}
