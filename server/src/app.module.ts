import { Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { AbsencesModule } from './absences/absences.module.ts';
import { CrewDaysModule } from './crewDays/crewDays.module.ts';
import { OutagesModule } from './outages/outages.module.ts';
import { AuthModule } from './auth/auth.module.ts';
import { BatchesModule } from './batches/batches.module.ts';
import { BenchModule } from './bench/bench.module.ts';
import { BoardModule } from './board/board.module.ts';
import { BookModule } from './book/book.module.ts';
import { BusinessModule } from './business/business.module.ts';
import { CalendarModule } from './calendar/calendar.module.ts';
import { HiddenInterceptor } from './common/hidden.ts';
import { Housekeeping } from './common/housekeeping.ts';
import { ProblemFilter } from './common/problem.filter.ts';
import { RolesGuard } from './common/roles.ts';
import { TurnsInterceptor } from './common/turns.ts';
import { CostingModule } from './costing/costing.module.ts';
import { CrewsModule } from './crews/crews.module.ts';
import { CustomersModule } from './customers/customers.module.ts';
import { DatabaseModule } from './database/database.module.ts';
import { DocumentsModule } from './documents/documents.module.ts';
import { FeedsModule } from './feeds/feeds.module.ts';
import { FleetModule } from './fleet/fleet.module.ts';
import { HealthModule } from './health/health.module.ts';
import { ItemsModule } from './items/items.module.ts';
import { JobsModule } from './jobs/jobs.module.ts';
import { ModelsModule } from './models/models.module.ts';
import { OrdersModule } from './orders/orders.module.ts';
import { PeopleModule } from './people/people.module.ts';
import { PurchasesModule } from './purchases/purchases.module.ts';
import { RackModule } from './rack/rack.module.ts';
import { RoadModule } from './road/road.module.ts';
import { SettingsModule } from './settings/settings.module.ts';
import { TodayModule } from './today/today.module.ts';
import { WorkModule } from './work/work.module.ts';
import { VisitModule } from './visit/visit.module.ts';

@Module({
  imports: [
    DatabaseModule,
    WorkModule,
    AuthModule,
    SettingsModule,
    BusinessModule,
    PeopleModule,
    CrewsModule,
    FleetModule,
    CalendarModule,
    BookModule,
    CustomersModule,
    OrdersModule,
    BenchModule,
    BoardModule,
    AbsencesModule,
    CrewDaysModule,
    OutagesModule,
    FeedsModule,
    RoadModule,
    ModelsModule,
    RackModule,
    ItemsModule,
    BatchesModule,
    PurchasesModule,
    CostingModule,
    TodayModule,
    DocumentsModule,
    VisitModule,
    JobsModule,
    HealthModule,
  ],
  providers: [
    { provide: APP_GUARD, useClass: RolesGuard },
    { provide: APP_FILTER, useClass: ProblemFilter },
    { provide: APP_INTERCEPTOR, useClass: TurnsInterceptor },
    { provide: APP_INTERCEPTOR, useClass: HiddenInterceptor },
    Housekeeping,
  ],
})
export class AppModule {}
