import {
  BadRequestException,
  Body,
  Controller,
  Get,
  HttpCode,
  Inject,
  Injectable,
  Module,
  NotFoundException,
  Param,
  ParseIntPipe,
  Patch,
  Post,
} from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger';
import { IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { planSticks } from '@rubbet/core/cut';
import type { StickPiece, StickPlan } from '@rubbet/core/cut';
import { printLength } from '@rubbet/core/measure';
import { findItem } from '@rubbet/core/stock';
import { catalogueSticks, KERF, pairTicket, readTicket } from '@rubbet/core/takeoff';
import { Audit } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';
import { Orders } from '../orders/orders.service.ts';
import { OrdersModule } from '../orders/orders.module.ts';

export class PartChangeDto {
  @ApiProperty()
  @IsInt()
  version!: number;

  @ApiPropertyOptional({ enum: ['open', 'cut', 'spoiled'] })
  @IsOptional()
  @IsIn(['open', 'cut', 'spoiled'])
  state?: 'open' | 'cut' | 'spoiled';

  @ApiPropertyOptional({ description: 'Measured in place, inches.' })
  @IsOptional()
  @IsNumber({}, { message: 'the measured length must be a number of inches' })
  @Min(0.25, { message: 'the measured length must be at least 1/4 in' })
  @Max(400, { message: 'the measured length must be under 400 in' })
  measured?: number;
}

export class StepChangeDto {
  @ApiProperty()
  @IsInt()
  version!: number;

  @ApiProperty({ enum: ['open', 'done'] })
  @IsIn(['open', 'done'])
  state!: 'open' | 'done';

  @ApiPropertyOptional()
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(6000)
  minutes?: number;
}

interface WorkRow {
  readonly id: number;
  readonly order_id: number;
  readonly revision_id: number;
  readonly sticks: unknown;
  readonly done_at: string | null;
}
interface WorkPart {
  readonly id: number;
  readonly part_id: string;
  readonly mark: string;
  readonly item: string;
  readonly length: number;
  readonly state: 'open' | 'cut' | 'spoiled';
  readonly measured: number | null;
  readonly version: number;
}

/** Work orders: the parts and steps of an accepted order, ticked off as they are done. */
@Injectable()
export class Bench {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  /** Makes the work order of an accepted order from its frozen revision. Making it again changes nothing. */
  async make(orderId: number, me: User) {
    const order = await this.orders.find(orderId);
    if (!order.accepted)
      throw new BadRequestException({
        code: 'not-accepted',
        message: 'A work order is made from an accepted order: settle the price first.',
      });
    if (!order.workOrder) {
      const computed = await this.orders.compute(order, order.accepted.revisionId);
      await this.db.transaction(async (trx) => {
        const [id] = await trx('work_orders').insert({
          order_id: orderId,
          revision_id: order.accepted?.revisionId,
          sticks: JSON.stringify(computed.takeoff.sticks),
        });
        await trx.batchInsert(
          'work_parts',
          computed.build.parts.map((p) => ({
            work_order_id: id as number,
            part_id: p.id,
            mark: p.mark,
            item: p.item,
            length: p.length,
          })),
          100,
        );
        await trx.batchInsert(
          'work_steps',
          computed.steps.map((s, seq) => ({ work_order_id: id as number, step_id: s.id, seq })),
          100,
        );
        await this.audit.note(me, 'make work order', 'order', orderId, { parts: computed.build.parts.length }, trx);
      });
      await this.orders.restation(orderId);
    }
    return this.show(orderId);
  }

  async show(orderId: number) {
    const work = await this.workOf(orderId);
    const order = await this.orders.find(orderId);
    const revision = await this.db('spec_revisions').where({ id: work.revision_id }).first();
    const parts = (await this.db('work_parts')
      .where({ work_order_id: work.id })
      .select('id', 'part_id', 'mark', 'item', 'length', 'state', 'measured', 'version')) as WorkPart[];
    const steps = await this.db('work_steps')
      .where({ work_order_id: work.id })
      .orderBy('seq')
      .select('id', 'step_id', 'state', 'minutes', 'done_by', 'version');
    return {
      order: {
        id: order.id,
        title: order.title,
        customer: order.customer.name,
        quantity: order.quantity,
        wantedBy: order.wantedBy,
        flock: order.flock,
      },
      spec: readJson(revision.spec),
      sticks: readJson<StickPlan>(work.sticks),
      doneAt: work.done_at,
      parts,
      steps,
    };
  }

  private async workOf(orderId: number): Promise<WorkRow> {
    const work = (await this.db('work_orders').where({ order_id: orderId }).first()) as WorkRow | undefined;
    if (!work) throw new NotFoundException({ code: 'no-work-order', message: 'This order has no work order yet.' });
    return work;
  }

  /** Ticks a cut, or takes a measured length; what is not cut yet is planned again around it. */
  async changePart(orderId: number, partId: number, body: PartChangeDto, me: User) {
    const work = await this.workOf(orderId);
    const part = (await this.db('work_parts').where({ id: partId, work_order_id: work.id }).first()) as
      WorkPart | undefined;
    if (!part) throw new NotFoundException({ code: 'not-found', message: 'This part is not in the work order.' });
    const { version, ...change } = body;
    if (change.measured !== undefined && Math.abs(change.measured - part.length) > Math.max(2, part.length * 0.1))
      throw new BadRequestException({
        code: 'far-off',
        message: `${part.mark} should be about ${printLength(part.length)}; ${printLength(change.measured)} is too far off. Measure again, or tell the office.`,
      });
    await this.db.transaction(async (trx) => {
      await updateVersioned(trx, 'work_parts', partId, version, change);
      if (change.measured !== undefined || change.state === 'spoiled') await this.replan(work.id, trx);
      await this.audit.note(
        me,
        change.measured === undefined ? `mark ${change.state ?? ''}` : 'measure',
        'part',
        partId,
        { mark: part.mark, ...change },
        trx,
      );
    });
    return this.show(orderId);
  }

  /**
   * Plans the sticks of all parts that are not cut, at their measured lengths. Pieces already cut stay on their sticks, and
   * what is left of those sticks is used first: it costs nothing more.
   */
  private async replan(workId: number, trx: Db): Promise<void> {
    const work = (await trx('work_orders').where({ id: workId }).first()) as WorkRow;
    const parts = ((await trx('work_parts').where({ work_order_id: workId })) as WorkPart[]).filter(
      (p) => findItem(p.item).kind === 'lumber',
    );
    const old = readJson<StickPlan>(work.sticks);
    const cut = new Map<string, number>();
    for (const p of parts) if (p.state === 'cut') cut.set(p.mark, (cut.get(p.mark) ?? 0) + 1);
    const begun = old.sticks.flatMap((stick) => {
      const cuts = stick.cuts.filter(({ id }) => {
        const ticket = readTicket(id);
        const left = cut.get(ticket.mark) ?? 0;
        if (left > 0) cut.set(ticket.mark, left - ticket.parts);
        return left > 0;
      });
      const used = cuts.reduce((sum, c) => sum + c.length + KERF, 0);
      return cuts.length > 0 ? [{ ...stick, cuts, left: Math.max(0, stick.length - used) }] : [];
    });
    const groups = new Map<string, StickPiece>();
    const paired = new Set(
      old.sticks.flatMap((s) => s.cuts.map((c) => readTicket(c.id)).filter((t) => t.parts === 2)).map((t) => t.mark),
    );
    for (const p of parts.filter((q) => q.state !== 'cut')) {
      const length = p.measured ?? p.length;
      const id = p.measured === null ? p.mark : `${p.mark}·${printLength(length)}`;
      const pair = pairTicket(p.mark);
      if (p.measured === null && paired.has(p.mark) && groups.has(id)) {
        groups.delete(id);
        groups.set(pair, { id: pair, item: p.item, length, quantity: (groups.get(pair)?.quantity ?? 0) + 1 });
      } else groups.set(id, { id, item: p.item, length, quantity: (groups.get(id)?.quantity ?? 0) + 1 });
    }
    const pieces = [...groups.values()];
    const items = new Set(pieces.map((p) => p.item));
    const rests = begun
      .filter((s) => items.has(s.item) && s.left > 1)
      .map((s) => ({ item: s.item, length: s.left, cost: 0, quantity: 1 }));
    const plan = planSticks({
      kerf: KERF,
      endTrim: 0,
      stock: [...catalogueSticks().filter((s) => items.has(s.item)), ...rests],
      pieces,
    });
    const fresh = plan.sticks.filter((s) => s.cost > 0);
    const reused = plan.sticks.filter((s) => s.cost === 0);
    const joined = begun.map((stick) => {
      const at = reused.findIndex((r) => r.item === stick.item && Math.abs(r.length - stick.left) < 1e-6);
      const [rest] = at < 0 ? [] : reused.splice(at, 1);
      return rest ? { ...stick, cuts: [...stick.cuts, ...rest.cuts], left: rest.left } : stick;
    });
    const spent = begun.reduce((sum, s) => sum + s.cost, 0);
    await trx('work_orders')
      .where({ id: workId })
      .update({
        sticks: JSON.stringify({
          ...plan,
          sticks: [...joined, ...fresh],
          cost: plan.cost + spent,
          bound: plan.bound + spent,
        }),
      });
  }

  async changeStep(orderId: number, stepId: number, body: StepChangeDto, me: User) {
    const work = await this.workOf(orderId);
    const row = await this.db('work_steps').where({ id: stepId, work_order_id: work.id }).first();
    if (!row) throw new NotFoundException({ code: 'not-found', message: 'This step is not in the work order.' });
    const order = await this.orders.find(orderId);
    const { steps } = await this.orders.compute(order, work.revision_id);
    const step = steps.find((s) => s.id === row.step_id);
    const states = (await this.db('work_steps').where({ work_order_id: work.id }).select('step_id', 'state')) as {
      step_id: string;
      state: string;
    }[];
    const state = new Map(states.map((s) => [s.step_id, s.state]));
    if (body.state === 'done') {
      const open = step?.needs.find((n) => state.get(n) !== 'done');
      if (open !== undefined)
        throw new BadRequestException({
          code: 'out-of-order',
          message: `First: ${steps.find((s) => s.id === open)?.title ?? open}.`,
        });
    } else {
      const later = steps.find((s) => s.needs.includes(row.step_id as string) && state.get(s.id) === 'done');
      if (later)
        throw new BadRequestException({
          code: 'out-of-order',
          message: `"${later.title}" is done already and needs this step: undo that one first.`,
        });
    }
    await this.db.transaction(async (trx) => {
      await updateVersioned(trx, 'work_steps', stepId, body.version, {
        state: body.state,
        minutes: body.minutes ?? null,
        done_by: body.state === 'done' ? me.name : null,
      });
      // The bench is done once nothing but loading and what is done on the road and on site is open.
      const outside = new Set(steps.filter((s) => ['yard', 'road', 'site'].includes(s.station)).map((s) => s.id));
      const open = await trx('work_steps')
        .where({ work_order_id: work.id, state: 'open' })
        .whereNotIn('step_id', [...outside, '-']);
      await trx('work_orders')
        .where({ id: work.id })
        .update({ done_at: open.length === 0 ? trx.raw('UTC_TIMESTAMP()') : null });
      await this.audit.note(
        me,
        `step ${body.state}`,
        'step',
        stepId,
        { step: row.step_id, minutes: body.minutes },
        trx,
      );
    });
    await this.orders.restation(orderId);
    return this.show(orderId);
  }
}

@ApiTags('bench')
@Controller('orders/:id/work-order')
export class BenchController {
  constructor(@Inject(Bench) private readonly bench: Bench) {}

  @Post()
  @HttpCode(200)
  @Roles('office')
  make(@Param('id', ParseIntPipe) id: number, @Me() me: User) {
    return this.bench.make(id, me);
  }

  @Get()
  @Roles(...EVERYONE)
  show(@Param('id', ParseIntPipe) id: number) {
    return this.bench.show(id);
  }

  @Patch('parts/:part')
  @Roles('office', 'shop')
  part(
    @Param('id', ParseIntPipe) id: number,
    @Param('part', ParseIntPipe) part: number,
    @Body() body: PartChangeDto,
    @Me() me: User,
  ) {
    return this.bench.changePart(id, part, body, me);
  }

  @Patch('steps/:step')
  @Roles('office', 'shop')
  step(
    @Param('id', ParseIntPipe) id: number,
    @Param('step', ParseIntPipe) step: number,
    @Body() body: StepChangeDto,
    @Me() me: User,
  ) {
    return this.bench.changeStep(id, step, body, me);
  }
}

@Module({ imports: [OrdersModule], controllers: [BenchController], providers: [Bench], exports: [Bench] })
export class BenchModule {}
