import { ApiProperty, ApiPropertyOptional } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsIn, IsString, Matches, MaxLength, MinLength, ValidateIf, ValidateNested } from 'class-validator';
import { LENGTH_STYLES } from '@rubbet/core/order';
import type { LengthStyle } from '@rubbet/core/measure';
import { BusinessFields } from '../business/business.dto.ts';
import { Optional, Text } from '../common/inputs.ts';

export class SignInDto {
  @ApiProperty()
  @IsString()
  @MinLength(1)
  @MaxLength(60)
  login!: string;

  @ApiProperty()
  @IsString()
  @MinLength(1)
  @MaxLength(200)
  password!: string;
}

const Login = (): PropertyDecorator => (target, key) => {
  Text('the login', 2, 60)(target, key);
  Matches(/^[\p{L}\p{N}._-]+$/u, { message: 'the login may have letters, digits, dots and dashes, no spaces' })(
    target,
    key,
  );
};
const Password = (): PropertyDecorator => (target, key) => {
  IsString({ message: 'the password must be a text' })(target, key);
  MaxLength(200, { message: 'the password must be at most 200 letters' })(target, key);
};

export class AcceptInviteDto {
  @ApiProperty()
  @Login()
  login!: string;

  @ApiProperty()
  @Password()
  password!: string;
}

export class PasswordDto {
  @ApiProperty()
  @Password()
  current!: string;

  @ApiProperty()
  @Password()
  next!: string;
}

export class UnitsDto {
  @ApiProperty({ enum: LENGTH_STYLES })
  @IsIn([...LENGTH_STYLES], { message: 'lengths are shown in inches, feet-inches or mm' })
  style!: LengthStyle;

  @ApiProperty({ enum: [16, 32] })
  @IsIn([16, 32], { message: 'the finest fraction is 16 or 32' })
  denominator!: 16 | 32;
}

export class MyChoicesDto {
  @ApiPropertyOptional({ type: UnitsDto, nullable: true, description: 'Null: as the business has them.' })
  @ValidateIf((o: MyChoicesDto) => o.units !== null && o.units !== undefined)
  @Type(() => UnitsDto)
  @ValidateNested()
  units?: UnitsDto | null;
}

export class SetupDto {
  @ApiProperty({ description: 'The code that the terminal printed.' })
  @Text('the code', 4, 40)
  code!: string;

  @ApiProperty()
  @Text('your name', 2, 80)
  name!: string;

  @ApiProperty()
  @Login()
  login!: string;

  @ApiProperty()
  @Password()
  password!: string;

  @ApiProperty({ type: BusinessFields })
  @Type(() => BusinessFields)
  @ValidateNested()
  business!: BusinessFields;

  @ApiPropertyOptional({ type: UnitsDto })
  @Optional()
  @Type(() => UnitsDto)
  @ValidateNested()
  units?: UnitsDto;
}
