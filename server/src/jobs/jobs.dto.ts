import { ApiProperty } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { ASKED_KINDS } from './kinds.ts';
import type { JobKind } from './kinds.ts';

export class JobDto {
  @ApiProperty({ enum: ASKED_KINDS })
  @IsIn([...ASKED_KINDS], { message: `a job is one of ${ASKED_KINDS.join(', ')}` })
  kind!: JobKind;
}
