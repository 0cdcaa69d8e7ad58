import { ApiProperty } from '@nestjs/swagger';
import { IsObject } from 'class-validator';
import { Version } from '../common/inputs.ts';

export class SettingsDto {
  @Version()
  version!: number;

  @ApiProperty({ description: 'Settings that differ from the defaults.', type: 'object', additionalProperties: true })
  @IsObject()
  value!: Record<string, unknown>;
}
