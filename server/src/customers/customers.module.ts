import { Body, Controller, Get, Inject, Module, Param, ParseIntPipe, Patch, Post, Query } from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional, ApiTags, PartialType } from '@nestjs/swagger';
import { IsEmail, IsInt, IsOptional, IsString, Max, MaxLength, Min, MinLength, ValidateIf } from 'class-validator';
import { Audit } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';

export class CustomerDto {
  @ApiProperty()
  @IsString()
  @MinLength(2, { message: 'the name needs at least two letters' })
  @MaxLength(120)
  name!: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(40)
  phone?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @ValidateIf((o: CustomerDto) => o.email !== '')
  @IsEmail({}, { message: 'the email address is not one, write it like name@example.org' })
  email?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(240)
  address?: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsInt({ message: 'the distance must be whole miles' })
  @Min(0, { message: 'the distance must be 0 miles or more' })
  @Max(500, { message: 'the distance must be 500 miles or less' })
  miles?: number;
}

export class CustomerChangeDto extends PartialType(CustomerDto) {
  @ApiProperty()
  @IsInt()
  version!: number;
}

@ApiTags('customers')
@Controller('customers')
export class CustomersController {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  @Get()
  @Roles('office')
  list(@Query('search') search = '') {
    return this.db('customers')
      .whereILike('name', `%${search.replace(/[%_]/g, '')}%`)
      .orderBy('name')
      .limit(1000);
  }

  @Post()
  @Roles('office')
  async create(@Body() body: CustomerDto, @Me() me: User) {
    const [id] = await this.db('customers').insert({ ...body });
    await this.audit.note(me, 'create', 'customer', id as number, body);
    return this.db('customers').where({ id }).first();
  }

  @Patch(':id')
  @Roles('office')
  async change(@Param('id', ParseIntPipe) id: number, @Body() body: CustomerChangeDto, @Me() me: User) {
    const { version, ...change } = body;
    await updateVersioned(this.db, 'customers', id, version, change);
    await this.audit.note(me, 'change', 'customer', id, change);
    return this.db('customers').where({ id }).first();
  }
}

@Module({ controllers: [CustomersController] })
export class CustomersModule {}
