import {
  createParamDecorator,
  ForbiddenException,
  Inject,
  Injectable,
  SetMetadata,
  UnauthorizedException,
} from '@nestjs/common';
import type { CanActivate, ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request } from 'express';
import { ORDER_ACTS, ROLES } from '@rubbet/core/order';
import type { OrderAct, StaffRole } from '@rubbet/core/order';
import { Sessions } from '../auth/sessions.service.ts';
import type { User } from '../auth/auth.answers.ts';

const KEY = 'roles';

/** Says who may call a route; `anyone` needs no sign-in. Every route says one or the other. */
export const Roles = (...roles: readonly (StaffRole | 'anyone')[]) => SetMetadata(KEY, roles);
export const EVERYONE = ROLES;
/** Whoever may do this to an order. */
export const May = (act: OrderAct) => Roles(...ORDER_ACTS[act].roles);

type Signed = Request & { user?: User };

/** The signed-in person. */
export const Me = createParamDecorator(
  (_: unknown, context: ExecutionContext): User => context.switchToHttp().getRequest<Signed>().user as User,
);

/** Lets a request through only if its session's role is among those the route states. */
@Injectable()
export class RolesGuard implements CanActivate {
  constructor(
    @Inject(Reflector) private readonly reflector: Reflector,
    @Inject(Sessions) private readonly sessions: Sessions,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const roles = this.reflector.getAllAndOverride<readonly (StaffRole | 'anyone')[] | undefined>(KEY, [
      context.getHandler(),
      context.getClass(),
    ]);
    if (!roles) throw new Error(`${context.getClass().name}.${context.getHandler().name} states no roles.`);
    const request = context.switchToHttp().getRequest<Signed>();
    const user = await this.sessions.find((request.cookies as Record<string, string> | undefined)?.rubbet);
    if (user) request.user = user;
    if (roles.includes('anyone')) return true;
    if (!user) throw new UnauthorizedException();
    if (!user.roles.some((r) => roles.includes(r))) throw new ForbiddenException();
    return true;
  }
}
