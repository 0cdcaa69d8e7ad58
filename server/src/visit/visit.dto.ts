import { ApiProperty } from '@nestjs/swagger';
import { IsBoolean, IsIn } from 'class-validator';
import { PREPARE } from '@rubbet/core/order';

export class ConfirmDto {
  @ApiProperty({ enum: PREPARE })
  @IsIn(PREPARE, { message: 'this is nothing that is asked of you' })
  item!: string;

  @ApiProperty()
  @IsBoolean({ message: 'say whether it is done' })
  done!: boolean;
}
