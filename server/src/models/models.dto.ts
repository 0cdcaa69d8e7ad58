import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsObject } from 'class-validator';
import { Optional, Text, Version } from '../common/inputs.ts';

const object = { type: 'object', additionalProperties: true } as const;

export class ModelDto {
  @ApiProperty()
  @Text('the name', 2, 80)
  name!: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the purpose', 0, 240)
  purpose?: string;

  @ApiProperty(object)
  @IsObject()
  spec!: Record<string, unknown>;

  @ApiPropertyOptional()
  @Optional()
  @Text('the note', 0, 240)
  note?: string;
}

export class ModelChangeDto {
  @Version()
  version!: number;

  @ApiPropertyOptional()
  @Optional()
  @Text('the name', 2, 80)
  name?: string;

  @ApiPropertyOptional()
  @Optional()
  @Text('the purpose', 0, 240)
  purpose?: string;

  @ApiPropertyOptional({ description: 'Least and most of each parameter that a seller may change.', ...object })
  @Optional()
  @IsObject()
  ranges?: Record<string, unknown>;
}

export class ModelRevisionDto {
  @Version()
  version!: number;

  @ApiProperty(object)
  @IsObject()
  spec!: Record<string, unknown>;

  @ApiProperty()
  @Text('the note of what changed', 2, 240)
  note!: string;
}

export class ModelFileDto {
  @ApiProperty({ description: 'A model file as it was read.', ...object })
  @IsObject({ message: 'the file is not a model file: it should be a JSON object' })
  file!: Record<string, unknown>;
}
