import { ApiProperty } from '@nestjs/swagger';
import { IsIn } from 'class-validator';
import { JOB_KINDS } from './kinds.ts';
import type { JobKind } from './kinds.ts';

export class JobDto {
  @ApiProperty({ enum: JOB_KINDS })
  @IsIn([...JOB_KINDS], { message: `a job is one of ${JOB_KINDS.join(', ')}` })
  kind!: JobKind;
}
