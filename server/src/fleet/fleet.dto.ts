import { ApiProperty, ApiPropertyOptional, PartialType } from '@nestjs/swagger';
import { IsBoolean, IsNumber, Max, Min } from 'class-validator';
import { Optional, Text, Version } from '../common/inputs.ts';

const Figure =
  (name: string, least: number, most: number, unit: string): PropertyDecorator =>
  (target, key) => {
    ApiProperty({ description: unit })(target, key);
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: `${name} must be a number of ${unit}` })(
      target,
      key,
    );
    Min(least, { message: `${name} must be ${least} ${unit} or more` })(target, key);
    Max(most, { message: `${name} must be ${most} ${unit} or less` })(target, key);
  };

export class TrailerDto {
  @ApiProperty()
  @Text('the name', 2, 60)
  name!: string;

  @Figure('the length of the bed', 48, 640, 'inches') bedLength!: number;
  @Figure('the width of the bed', 36, 120, 'inches') bedWidth!: number;
  @Figure('the height of the bed', 6, 60, 'inches') bedHeight!: number;
  @Figure('what it carries', 200, 40_000, 'pounds') carries!: number;
  @Figure('its own weight', 100, 20_000, 'pounds') weight!: number;

  @ApiProperty()
  @IsBoolean({ message: 'whether it tilts is true or false' })
  tilt!: boolean;
}

export class VehicleDto {
  @ApiProperty()
  @Text('the name', 2, 60)
  name!: string;

  @Figure('what it tows', 500, 60_000, 'pounds') tows!: number;
  @Figure('what its hitch bears', 50, 10_000, 'pounds') tongue!: number;
}

/** Whether it still goes out, and the version that the change was made on. */
const Kept = <T extends new () => object>(Base: T) => {
  class WithVersion extends PartialType(Base, { skipNullProperties: false }) {
    @Version()
    version!: number;

    @ApiPropertyOptional()
    @Optional()
    @IsBoolean({ message: 'active is true or false' })
    active?: boolean;
  }
  return WithVersion;
};

export class TrailerChangeDto extends Kept(TrailerDto) {}
export class VehicleChangeDto extends Kept(VehicleDto) {}
