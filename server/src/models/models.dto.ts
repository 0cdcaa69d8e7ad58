import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { IsInt, IsObject, IsOptional, IsString, MaxLength, Min, MinLength } from 'class-validator';

export class ModelDto {
  @ApiProperty()
  @IsString()
  @MinLength(2, { message: 'the name needs at least two letters' })
  @MaxLength(80)
  name!: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(240)
  purpose?: string;

  @ApiProperty()
  @IsObject()
  spec!: Record<string, unknown>;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(240)
  note?: string;
}

export class ModelChangeDto {
  @ApiProperty()
  @IsInt()
  @Min(1)
  version!: number;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MinLength(2, { message: 'the name needs at least two letters' })
  @MaxLength(80)
  name?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(240)
  purpose?: string;

  @ApiPropertyOptional({ description: 'Least and most of each parameter that a seller may change.' })
  @IsOptional()
  @IsObject()
  ranges?: Record<string, unknown>;
}

export class ModelRevisionDto {
  @ApiProperty()
  @IsInt()
  @Min(1)
  version!: number;

  @ApiProperty()
  @IsObject()
  spec!: Record<string, unknown>;

  @ApiProperty()
  @IsString()
  @MinLength(2, { message: 'say in a few words what changed' })
  @MaxLength(240)
  note!: string;
}

export class ModelFileDto {
  @ApiProperty({ description: 'A model file as it was read.' })
  @IsObject({ message: 'the file is not a model file: it should be a JSON object' })
  file!: Record<string, unknown>;
}
