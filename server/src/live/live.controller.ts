import { Controller, Inject, Sse } from '@nestjs/common';
import type { MessageEvent } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Observable } from 'rxjs';
import type { User } from '../auth/auth.answers.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Live } from './live.service.ts';

@ApiTags('live')
@Controller('live')
export class LiveController {
  constructor(@Inject(Live) private readonly live: Live) {}

  /** Server-sent events: `changed` with what was changed, `job` with a job of the caller's as it stands. */
  @Sse()
  @Roles(...EVERYONE)
  listen(@Me() me: User): Observable<MessageEvent> {
    return this.live.listen(me);
  }
}
