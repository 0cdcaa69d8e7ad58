import { Body, Controller, Get, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { TrailerChangeDto, TrailerDto, VehicleChangeDto, VehicleDto } from './fleet.dto.ts';
import { Fleet } from './fleet.service.ts';

@ApiTags('fleet')
@Controller('fleet')
export class FleetController {
  constructor(@Inject(Fleet) private readonly fleet: Fleet) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('FleetAnswer')
  show() {
    return this.fleet.show();
  }

  @Post('trailers')
  @Roles('office')
  @Answers('FleetAnswer', { status: 201 })
  addTrailer(@Body() body: TrailerDto, @Me() me: User) {
    return this.fleet.create('trailer', body, me);
  }

  @Patch('trailers/:id')
  @Roles('office')
  @Answers('FleetAnswer')
  changeTrailer(@Param('id') id: string, @Body() body: TrailerChangeDto, @Me() me: User) {
    return this.fleet.change('trailer', id, body, me);
  }

  @Post('vehicles')
  @Roles('office')
  @Answers('FleetAnswer', { status: 201 })
  addVehicle(@Body() body: VehicleDto, @Me() me: User) {
    return this.fleet.create('vehicle', body, me);
  }

  @Patch('vehicles/:id')
  @Roles('office')
  @Answers('FleetAnswer')
  changeVehicle(@Param('id') id: string, @Body() body: VehicleChangeDto, @Me() me: User) {
    return this.fleet.change('vehicle', id, body, me);
  }
}
